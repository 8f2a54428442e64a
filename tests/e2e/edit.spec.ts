import type { Page } from '@playwright/test';
import { expect, test } from './shared';
import { act, chosenWay, cursorWords, openBench, picture, saved, serious, setWord, staffFingers } from './bench';

const outcome = (page: Page) => page.getByTestId('outcome');
const finger = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Finger', exact: true }).getByRole('button', { name });

/** E flat major over two octaves, where a teacher has something to change. */
async function openScale(page: Page) {
  await openBench(page);
  await setWord(page, 'Key', 'E-flat');
  await setWord(page, 'Hand', 'a small hand');
  await expect.poll(() => staffFingers(page)).toHaveLength(15);
}

test('by keyboard alone: a finger is put, a string changed, all undone and redone', async ({ page }) => {
  await openScale(page);
  const first = await staffFingers(page);
  await picture(page).focus();
  for (let at = 0; at < 6; at++) await page.keyboard.press('ArrowRight');
  const other = first[6] === '2' ? '3' : '2';
  await page.keyboard.press(other);
  await expect.poll(async () => (await staffFingers(page))[6]).toBe(other);
  await expect(page.getByTestId('demands')).toContainText(`kept here: finger ${other}`);
  await expect(outcome(page)).toContainText(/Changed: bar .*Now: /);
  await expect(page.getByTestId('kept')).toHaveCount(1);
  const locked = await staffFingers(page);

  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('demands')).toContainText(/kept here: the [A-G]♭? string/);

  await page.keyboard.press('Control+z');
  await expect.poll(() => staffFingers(page)).toEqual(locked);
  await page.keyboard.press('Control+z');
  await expect.poll(() => staffFingers(page)).toEqual(first);
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => staffFingers(page)).toEqual(locked);

  for (let at = 0; at < 20; at++) await page.keyboard.press('ArrowLeft');
  for (let at = 0; at < 6; at++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Delete');
  await expect.poll(() => staffFingers(page)).toEqual(first);
});

test(
  'every word of the brief is reached by Tab in its turn, and changed by the arrow keys',
  { tag: '@nightly' },
  async ({ page }) => {
    await openBench(page);
    const words = page.getByRole('region', { name: 'The brief' }).getByRole('combobox');
    const labels = await words.evaluateAll((all) => all.map((word) => word.getAttribute('aria-label') ?? ''));
    expect(labels.length).toBeGreaterThan(8);
    const word = (label: string) => page.getByRole('combobox', { name: label, exact: true });
    await word(labels[0]).focus();
    for (const label of labels) {
      await expect(word(label)).toBeFocused();
      await page.keyboard.press('Tab');
    }
    for (const [label, words] of [
      ['Little finger', 'little finger only when needed'],
      ['Extensions', 'extensions only when needed'],
      ['Open strings', 'open strings wherever they fit'],
      ['Style', 'in singing style'],
      ['Tempo', 'at 60 beats a minute'],
    ])
      await setWord(page, label, words);
    for (const label of ['Octaves', 'Direction', 'Little finger', 'Extensions', 'Open strings', 'Style', 'Tempo']) {
      const before = await word(label).inputValue();
      await word(label).focus();
      await page.keyboard.press('ArrowDown');
      await expect(word(label)).not.toHaveValue(before);
      await saved(page);
    }
    await expect(page.getByTestId('staff')).toBeVisible();
    await word('Scale').focus();
    await page.keyboard.type('chromatic');
    await setWord(page, 'Chromatic lines', 'a finger to each semitone');
    await expect(word('Chromatic lines')).toHaveValue('finger-per-semitone');
  },
);

test('a shift is forbidden by a key, and made elsewhere', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Octaves', 'three-octave');
  await expect(page.getByTestId('shift').first()).toBeAttached();
  await picture(page).focus();
  await expect(async () => {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByTestId('why')).toBeVisible({ timeout: 60 });
  }).toPass({ intervals: [10] });
  await page.keyboard.press('x');
  await expect(page.getByTestId('demands')).toContainText('no shift to here');
  await expect(page.getByTestId('why')).toBeHidden();
  await expect(outcome(page)).toContainText(/Changed: bar/);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('why')).toBeVisible();
});

test.describe('by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('a note is chosen, locked, kept over a reload, and set free', async ({ page }) => {
    await openScale(page);
    const first = await staffFingers(page);
    const staff = await page.getByTestId('staff').boundingBox();
    const column = await page.getByTestId('cursor').boundingBox();
    if (!staff || !column) throw new Error('nothing is drawn');
    await page.touchscreen.tap(staff.x + 4.5 * column.width, staff.y + 60);
    await expect(cursorWords(page)).toContainText('Note 5 of 15');
    const other = first[4] === '3' ? '2' : '3';
    await finger(page, `finger ${other}`).tap();
    await expect.poll(async () => (await staffFingers(page))[4]).toBe(other);
    await saved(page);
    await page.reload();
    await expect.poll(async () => (await staffFingers(page))[4]).toBe(other);
    await page.touchscreen.tap(staff.x + 4.5 * column.width, staff.y + 60);
    await page.getByRole('button', { name: 'Set free' }).tap();
    await expect.poll(() => staffFingers(page)).toEqual(first);
  });
});

test('demands that leave no plan are named, and the last one can be undone on the spot', async ({ page }) => {
  await openScale(page);
  await setWord(page, 'Octaves', 'one-octave');
  await setWord(page, 'Positions', 'first position only');
  await expect.poll(() => staffFingers(page)).toEqual([...'12341234']);
  const fingers = await staffFingers(page);
  await page.getByLabel('Position here').selectOption({ label: '5th position' });
  const alert = page.getByRole('alert');
  await expect(alert).toContainText(/E♭?b?4.*can’t be played under these rules/);
  await expect(alert.getByRole('button', { name: 'unlock bar 1, beat 1' })).toBeVisible();
  await alert.getByRole('button', { name: 'Undo the last change' }).click();
  await expect.poll(() => staffFingers(page)).toEqual(fingers);
});

test('where two demands fight the music stays in sight, both notes are marked, and one is let go by keyboard', async ({
  page,
}) => {
  await openScale(page);
  await page.getByLabel('Position here').selectOption({ label: '1st position' });
  await picture(page).focus();
  await page.keyboard.press('ArrowRight');
  await page.getByLabel('Position here').selectOption({ label: '2nd position' });
  await expect.poll(() => staffFingers(page)).toHaveLength(15);
  await picture(page).focus();
  await page.keyboard.press('x');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText(/E♭4 \(bar 1, beat 1\) and F4 \(bar 1, beat 2\) don’t go together/);
  await expect(page.getByTestId('trouble')).toHaveCount(2);
  await expect(page.getByTestId('staff').locator('[data-sign^="notehead"]')).not.toHaveCount(0);
  expect(await serious(page)).toEqual([]);
  await alert.getByRole('button', { name: 'go to bar 1, beat 1' }).click();
  await expect(cursorWords(page)).toContainText('Note 1 of 15, bar 1, beat 1: E flat 4, not planned');
  await picture(page).focus();
  await page.keyboard.press('Delete');
  await expect(alert).toHaveCount(0);
  await expect.poll(() => staffFingers(page)).toHaveLength(15);
  await expect(page.getByTestId('trouble')).toHaveCount(0);
});

test('another material leaves the locks of the old one behind, and undo brings both back', async ({ page }) => {
  await openScale(page);
  await finger(page, 'finger 3').click();
  await expect(page.getByTestId('kept')).toHaveCount(1);
  await setWord(page, 'Octaves', 'one-octave');
  await expect(page.getByTestId('kept')).toHaveCount(0);
  await expect.poll(() => staffFingers(page)).toHaveLength(8);
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(page.getByTestId('kept')).toHaveCount(1);
  await expect.poll(() => staffFingers(page)).toHaveLength(15);
});

test('two ways are laid side by side, their differences marked and added up', async ({ page }) => {
  await openScale(page);
  await page.getByRole('button', { name: 'Compare way 2 with the one chosen' }).click();
  const panel = page.getByRole('region', { name: 'Side by side with the other way' });
  await expect(panel.getByRole('row', { name: /^in all/ })).toBeVisible();
  const boxed = page.getByTestId('parts');
  expect(await boxed.count()).toBeGreaterThan(0);
  await panel.getByRole('listitem').last().getByRole('button').click();
  await expect(panel.getByRole('listitem').first()).toContainText(/Bar \d+.*, (easier|harder|as hard); the other /);
  const words = await chosenWay(page).first().textContent();
  expect(words).toContain('the best plan');
  expect(await serious(page)).toEqual([]);
  await panel.getByRole('button', { name: 'Close the comparison' }).click();
  await expect(panel).toBeHidden();
});

test('the neck shows the hand to scale with its spread', async ({ page }) => {
  await openScale(page);
  await expect(page.getByTestId('neck').getByRole('img')).toHaveCount(0);
  await page.getByRole('button', { name: 'Neck', exact: true }).click();
  await expect(page.getByTestId('neck')).toContainText('To scale; fingertips');
  await picture(page).focus();
  for (let at = 0; at < 3; at++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('neck').getByRole('img')).toHaveAttribute('aria-label', /Neck to scale, .* semitones/);
});

test.describe('more by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('notes are marked and their fingers carried on, a finger is forbidden, two ways compared, all undone', async ({
    page,
  }) => {
    await openScale(page);
    const first = await staffFingers(page);
    const tap = async (note: number) => {
      const staff = await page.getByTestId('staff').boundingBox();
      const column = await page.getByTestId('cursor').boundingBox();
      if (!staff || !column) throw new Error('nothing is drawn');
      await page.touchscreen.tap(staff.x + (note - 0.5) * column.width, staff.y + 60);
    };
    await page.getByRole('button', { name: 'Mark notes' }).tap();
    await tap(4);
    await expect(page.getByTestId('marked')).toHaveText('bar 1, beats 1–4');
    await page.getByRole('button', { name: 'Repeat this fingering' }).tap();
    await expect(page.getByText(/repeated on 2 groups/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo edit' }).tap();
    await expect.poll(() => staffFingers(page)).toEqual(first);
    await page.getByRole('button', { name: 'Unmark' }).tap();
    await tap(6);
    await expect(cursorWords(page)).toContainText('Note 6 of 15');
    await act(page, 'Never here', /^never finger|^never open/);
    await expect.poll(async () => (await staffFingers(page))[5]).not.toBe(first[5]);
    await page.getByRole('button', { name: 'Compare way 2 with the one chosen' }).tap();
    await expect(page.getByRole('heading', { name: 'Side by side with the other way' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo edit' }).tap();
    await expect.poll(() => staffFingers(page)).toEqual(first);
  });
});
