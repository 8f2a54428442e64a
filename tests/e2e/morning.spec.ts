import { expect, test } from './shared';
import { briefAddress } from '../../src/app/brief/address';
import {
  act,
  chosenWay,
  cursorWords,
  emptyStudio,
  openBench,
  openStudio,
  picture,
  saved,
  setWord,
  staffFingers,
} from './bench';

const E_FLAT = { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' } as const;

test('a teacher’s morning', async ({ page }) => {
  // A student with a small hand.
  await openStudio(page, '/studio?demo');
  await page.getByRole('button', { name: 'New student' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Linnet');
  await page.getByLabel('Size', { exact: true }).selectOption('3/4');
  await page.getByLabel('Known by').selectOption('small');
  await page.getByRole('button', { name: 'New plan for Linnet' }).click();

  // E flat major in two octaves.
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
  await expect(page.getByLabel('Student', { exact: true }).locator('option:checked')).toHaveText('Linnet');
  await expect(page.getByLabel('Hand', { exact: true })).toHaveValue('small');
  await setWord(page, 'Key', 'E-flat');
  await setWord(page, 'Octaves', 'two-octave');
  await page.getByLabel('Name of this plan').fill('For Linnet');
  await expect(cursorWords(page)).toContainText('of 29, bar 1, beat 1: E flat 4');

  // One finger locked.
  await picture(page).focus();
  for (let at = 0; at < 3; at++) await page.keyboard.press('ArrowRight');
  const locked = (await staffFingers(page))[3] === '3' ? '4' : '3';
  await page.keyboard.press(locked);
  await expect(cursorWords(page)).toContainText(`finger ${locked} on`);
  await expect(page.getByTestId('kept')).toHaveCount(1);

  // One shift forbidden.
  const shift = page.getByTestId('why');
  let there = 3;
  for (; there < 28 && (await shift.count()) === 0; there++) await page.keyboard.press('ArrowRight');
  await expect(shift).toBeVisible();
  await page.keyboard.press('x');
  await expect(shift).toHaveCount(0);
  await expect(page.getByTestId('never')).toHaveCount(1);

  // Two plans compared.
  await page.getByRole('button', { name: 'Compare way 2 with the one chosen' }).click();
  await expect(page.getByRole('heading', { name: 'Side by side with the other way' })).toBeVisible();
  await chosenWay(page).first().waitFor();

  // Five steps undone, and redone; only the notes in view are drawn, so both are read from the beginning.
  const toTheFirst = async () => {
    await picture(page).focus();
    for (let at = 0; at < 29; at++) await page.keyboard.press('ArrowLeft');
    await expect(cursorWords(page)).toContainText('Note 1 of 29');
  };
  await toTheFirst();
  const before = await staffFingers(page);
  const undo = page.getByRole('button', { name: 'Undo edit' });
  const redo = page.getByRole('button', { name: 'Redo edit' });
  for (let step = 0; step < 5; step++) await undo.click();
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('A');
  await expect(page.getByTestId('kept')).toHaveCount(0);
  for (let step = 0; step < 5; step++) await redo.click();
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('Eb');
  const forbiddenIsThere = async () => {
    await toTheFirst();
    for (let at = 0; at < there; at++) await page.keyboard.press('ArrowRight');
    await expect(page.getByTestId('never')).toHaveCount(1);
  };
  await forbiddenIsThere();
  await toTheFirst();
  await expect.poll(() => staffFingers(page)).toEqual(before);
});

test('two bars are heard, and the plan is given to a violist', { tag: '@nightly' }, async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await openBench(page, `/${briefAddress({ instrument: 'violin', style: 'secure', material: E_FLAT })}`);
  await expect(cursorWords(page)).toContainText('Note 1 of 29');
  await picture(page).focus();
  for (const key of ['4', 'ArrowRight', '1']) await page.keyboard.press(key);
  await expect(page.getByTestId('kept')).toHaveCount(2);

  // Two bars heard: eight notes, the cursor following.
  await picture(page).focus();
  await page.keyboard.press('Home');
  for (let at = 0; at < 7; at++) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByTestId('marked')).toHaveText('bar 1, beat 1 to bar 2, beat 4');
  await page.getByLabel('Beats a minute', { exact: true }).fill('240');
  await page.getByLabel('count in').uncheck();
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await expect(cursorWords(page)).toContainText(/Note [2-8] of 29/);
  await expect(page.getByRole('button', { name: 'Listen' })).toBeVisible();
  await expect(cursorWords(page)).toContainText('Note 8 of 29');

  // It was only to be heard so fast: the brief is as it was.
  await page.getByRole('button', { name: /^Remove this choice: at 240/ }).click();

  // Saved, and given to a violist.
  await page.getByLabel('Name of this plan').fill('Linnet’s first E flat');
  await saved(page);
  await act(page, 'Give this plan to', 'Marlow');
  await expect(page.getByTestId('given')).toContainText('Copied from');
  await expect(page.getByTestId('given')).toContainText('viola');
  await expect(page.getByTestId('given')).toContainText('2 demands at single notes were left out');
  await expect(page.getByLabel('Instrument', { exact: true })).toHaveValue('viola');
  await saved(page);
});

test('a plan with what was put into it comes back from a backup', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await openBench(page, `/${briefAddress({ instrument: 'violin', style: 'secure', material: E_FLAT })}`);
  await page.getByLabel('Name of this plan').fill('Linnet’s first E flat');
  await expect(cursorWords(page)).toContainText('bar 1, beat 1: E flat 4');
  await picture(page).focus();
  for (let at = 0; at < 3; at++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press((await staffFingers(page))[3] === '3' ? '4' : '3');
  await expect(page.getByTestId('kept')).toHaveCount(1);
  await saved(page);
  const before = await staffFingers(page);
  await openStudio(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  const file = await (await download).path();
  await emptyStudio(page);
  await expect(page.getByText('Nobody here yet')).toBeVisible();
  await openStudio(page);
  await expect(page.getByText('Nobody here yet')).toBeVisible();
  await page.getByLabel('Backup file to restore').setInputFiles(file);
  await expect(page.getByText(/8 plans, 5 students, (and )?1 brief.* restored\./)).toBeVisible();
  await page.getByRole('link', { name: 'Linnet’s first E flat' }).click();
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
  await expect(page.getByTestId('kept')).toHaveCount(1);
  await expect.poll(() => staffFingers(page)).toEqual(before);
});
