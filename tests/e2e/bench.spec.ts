import { expect, test } from './shared';
import { chosenWay, cursorWords, openBench, picture, saved, setWord, staffFingers, serious } from './bench';

test('the first plan is two octaves of A major in first position, and changing words replans at once', async ({
  page,
}) => {
  await openBench(page);
  await expect(chosenWay(page)).toContainText('1st position throughout');
  await expect(chosenWay(page)).toContainText(/the best plan/i);
  await expect.poll(() => staffFingers(page)).toEqual([...'123012301230123']);
  await setWord(page, 'Key', 'A-flat');
  await setWord(page, 'Positions', 'first position only');
  await expect.poll(() => staffFingers(page)).toEqual([...'123412341234123']);
  await expect(cursorWords(page)).toHaveText(
    /Note 1 of 15, bar 1, beat 1: A flat 3, finger 1 on the G string, 1st position/,
  );
  await setWord(page, 'Octaves', 'three-octave');
  await setWord(page, 'Positions', 'any position');
  await expect(page.getByTestId('shift').first()).toBeAttached();
  await expect(chosenWay(page)).toContainText(/shifts?: /);
});

test('one cursor moves through everything by keys and by pointer', async ({ page }) => {
  await openBench(page);
  await picture(page).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(cursorWords(page)).toContainText('Note 3 of 15, bar 1, beat 3: C sharp 4, finger 3');
  await page.keyboard.press('End');
  await expect(cursorWords(page)).toContainText('Note 15 of 15, bar 4, beat 3: A 5');
  await page.keyboard.press('ArrowRight');
  await expect(cursorWords(page)).toContainText('Note 15 of 15');
  await page.keyboard.press('Home');
  const cursor = page.getByTestId('cursor');
  const before = await cursor.boundingBox();
  const staff = await page.getByTestId('staff').boundingBox();
  if (!before || !staff) throw new Error('nothing is drawn');
  await page.mouse.click(staff.x + 3.5 * before.width, staff.y + 40);
  await expect(cursorWords(page)).toContainText('Note 4 of 15, bar 1, beat 4: D 4, open D');
  expect((await cursor.boundingBox())?.x).toBeCloseTo(before.x + 3 * before.width, 0);
});

test('another way can be chosen and is remembered', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Octaves', 'three-octave');
  await expect(chosenWay(page)).toContainText('7th');
  const second = page.locator('.ways button').nth(1);
  const words = (await second.textContent()) ?? '';
  await second.click();
  await saved(page);
  await page.reload();
  await expect(chosenWay(page)).toHaveText(words);
});

test('a plan is kept, survives a reload, and can be reopened beside another', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Scale', 'harmonic minor');
  await page.getByLabel('Name of this plan').fill('Monday warm-up');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('Monday warm-up');
  await expect(page.getByRole('combobox', { name: 'Scale', exact: true })).toHaveValue('harmonic-minor');
  await page.getByRole('button', { name: 'New plan' }).click();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('');
  await setWord(page, 'Key', 'B-flat');
  await saved(page);
  await page.getByRole('button', { name: 'Monday warm-up', exact: true }).click();
  await expect(page.getByRole('combobox', { name: 'Key', exact: true })).toHaveValue('A');
  await page.getByRole('button', { name: 'B♭ major scale, two octaves, violin', exact: true }).click();
  await expect(page.getByRole('combobox', { name: 'Key', exact: true })).toHaveValue('Bb');
});

test('a deleted plan comes back by undo', async ({ page }) => {
  await openBench(page, '/?demo');
  const name = 'Pip: A major in first position';
  await page.getByRole('button', { name: `Delete ${name}` }).click();
  await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name, exact: true })).toBeVisible();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('A major in first position');
});

test('a backup goes out and comes back after everything is wiped', async ({ page }) => {
  await openBench(page, '/?demo');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  const file = await (await download).path();
  await page.evaluate(async () => {
    localStorage.clear();
    await new Promise((done) => {
      const request = indexedDB.deleteDatabase('dove-path');
      request.onsuccess = request.onblocked = done;
    });
  });
  await openBench(page, '/');
  await expect(
    page.getByRole('button', { name: 'Wren: E♭ major scale, two octaves, violin', exact: true }),
  ).toHaveCount(0);
  await page.getByLabel('Backup file to restore').setInputFiles(file);
  await expect(page.getByText(/7 plans, 5 students, (and )?1 brief.* restored\./)).toBeVisible();
  await expect(
    page.getByRole('button', { name: 'Wren: E♭ major scale, two octaves, violin', exact: true }),
  ).toBeVisible();
});

test('a broken or foreign backup file is refused in a sentence and nothing changes', async ({ page }) => {
  await openBench(page, '/?demo');
  const plans = page.locator('#shelf').locator('xpath=../..').getByRole('listitem');
  const restore = (text: string) =>
    page
      .getByLabel('Backup file to restore')
      .setInputFiles({ name: 'file.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await restore('{"format":"dove-path-ba');
  await expect(page.getByText(/not a backup: it is not JSON/)).toBeVisible();
  await restore('{"plans":[]}');
  await expect(page.getByText(/not written by Dove Path/)).toBeVisible();
  await restore('{"format":"dove-path-backup","version":7,"plans":[]}');
  await expect(page.getByText(/later version/)).toBeVisible();
  await expect(plans).toHaveCount(7);
});

test('an impossible rule says which note and what would help, and helps at a click', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Octaves', 'three-octave');
  await setWord(page, 'Positions', 'first position only');
  const problem = page.getByRole('alert');
  await expect(problem).toContainText('C♯6 (bar 5, beat 1) can’t be played under these rules');
  await expect(problem).toContainText('allow up to 6th position from bar 5, beat 1');
  await problem.getByRole('button', { name: 'allow up to 6th position' }).click();
  await expect(problem).toHaveCount(0);
  await expect(chosenWay(page)).toContainText('shift');
  await expect(page.getByRole('combobox', { name: 'Positions', exact: true }).locator('option:checked')).toHaveText(
    '1st to 6th position',
  );
});

test('where storage is blocked the user is told, and goes on working', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
  });
  await openBench(page);
  await expect(page.getByText(/blocks storage/)).toBeVisible();
  await setWord(page, 'Key', 'E-flat');
  await expect(cursorWords(page)).toContainText('E flat 4');
});

test('no request leaves the machine, no policy is broken, nothing fails in the console', async ({ page, baseURL }) => {
  const outside: string[] = [];
  const complaints: string[] = [];
  page.on('request', (request) => {
    const url = request.url();
    if (!url.startsWith(baseURL ?? '') && !url.startsWith('blob:') && !url.startsWith('data:')) outside.push(url);
  });
  page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
  page.on('pageerror', (error) => complaints.push(error.message));
  const response = await page.goto('/?demo');
  expect(response?.headers()['content-security-policy']).toMatch(/default-src 'self'/);
  expect(response?.headers()['content-security-policy']).not.toMatch(/unsafe/);
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
  await setWord(page, 'Key', 'D');
  await expect
    .poll(() => page.evaluate(() => document.fonts.check('20px "Atkinson Hyperlegible Next Variable"')))
    .toBe(true);
  expect(outside).toEqual([]);
  expect(complaints).toEqual([]);
});

test('axe finds nothing serious, with a plan and with a problem', { tag: '@nightly' }, async ({ page }) => {
  await openBench(page, '/?demo');
  expect(await serious(page)).toEqual([]);
  await setWord(page, 'Positions', 'second position only');
  await setWord(page, 'Octaves', 'three-octave');
  await expect(page.getByRole('alert')).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('cello, bass and double stops are planned and drawn; a shift says why it is there', async ({ page }) => {
  await openBench(page, '/?demo');
  const open = (name: string) => page.getByRole('button', { name, exact: true }).click();
  await open('Juno: D major into thumb position');
  await expect(cursorWords(page)).toContainText('D 2, finger 1 on the C string');
  await picture(page).focus();
  const why = page.getByTestId('why');
  for (let at = 0; at < 30 && (await why.count()) === 0; at++) await page.keyboard.press('ArrowRight');
  await expect(why).toContainText(/Why shift: The line goes on to .*, which .*\./);
  await open('Otis: F major scale, two octaves, ¾ double bass');
  await expect(cursorWords(page)).toContainText('F 1, finger 1 on the E string, half position');
  await setWord(page, 'School', 'four-finger fingering');
  await expect(chosenWay(page)).toBeVisible();
  await open('Wren: D major scale in thirds, one octave, violin');
  await expect(cursorWords(page)).toContainText(/D 4 and F sharp 4, finger \d on the . string and finger \d/);
  await setWord(page, 'Kind', 'scale in octaves');
  await expect(cursorWords(page)).toContainText('D 4 and D 5');
});
