import type { Locator, Page } from '@playwright/test';
import { expect, test } from './shared';
import { chosenWay, cursorWords, emptyStudio, openBench, openStudio, picture, saved } from './bench';

/*
 * The jobs of a teacher's week, each done by the shortest way that a newcomer would find, with its clicks, keys and typed lines counted.
 */

/** Does things on a page and counts them: a click, a choice, a line of typing and a key are one each. */
class Counted {
  done = 0;
  constructor(readonly page: Page) {}

  async click(place: Locator) {
    this.done++;
    await place.click();
  }
  async choose(place: Locator, value: string) {
    this.done++;
    await place.selectOption(value);
  }
  async type(place: Locator, text: string) {
    this.done++;
    await place.fill(text);
  }
  async key(name: string) {
    this.done++;
    await this.page.keyboard.press(name);
  }
  /** A brief typed in one go. */
  async say(brief: string) {
    const box = this.page.getByLabel('Type the brief');
    await this.type(box, brief);
    await expect(this.page.locator('#typed-brief')).toContainText('Enter plans this.');
    await box.focus();
    await this.key('Enter');
  }
}

const word = (page: Page, label: string) => page.getByRole('combobox', { name: label, exact: true });
const view = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name, exact: true });
const ready = (page: Page) => expect(page.locator('main[data-ready="true"]')).toBeVisible();

test('the first four jobs: a child’s scale, a shift asked for, one string, a chromatic cello', async ({ page }) => {
  await openBench(page);
  const hand = new Counted(page);
  await hand.say('half-size violin G major first position');
  await expect(word(page, 'Size')).toHaveValue('1/2');
  await expect(word(page, 'Positions')).toHaveValue('{"from":1,"to":1}');
  await expect(cursorWords(page)).toContainText('G 3, open G');
  await hand.say('A major any position with a shift to third, no open strings');
  await expect(chosenWay(page).first()).toContainText('3rd');
  await expect(cursorWords(page)).not.toContainText('open');
  await hand.say('C major one octave on the G string, any position');
  await expect(cursorWords(page)).toContainText('C 4, finger');
  await hand.say('cello chromatic three octaves');
  await expect(word(page, 'Scale')).toHaveValue('chromatic');
  await expect(cursorWords(page)).toContainText('of 37');
  expect(hand.done).toBeLessThanOrEqual(2 * 8);
});

test('schools compared, and a plan given to another student', async ({ page }) => {
  await openBench(page, '/?demo');
  await page.getByRole('button', { name: 'Otis: F major scale, two octaves, ¾ double bass', exact: true }).click();
  await expect(cursorWords(page)).toContainText('F 1');
  const hand = new Counted(page);
  await hand.click(page.getByRole('button', { name: 'Compare this plan with' }));
  await hand.click(page.getByRole('menuitem', { name: 'with pivots' }));
  await expect(page.getByRole('heading', { name: 'Side by side with pivots' })).toBeVisible();
  await hand.click(page.getByRole('button', { name: 'Give this plan to' }));
  await hand.click(page.getByRole('menuitem', { name: 'Juno' }));
  await expect(page.getByTestId('given')).toContainText('Copied from Otis’s plan');
  expect(hand.done).toBe(4);
});

test('eight bars of one’s own, and a finger changed', async ({ page }) => {
  await openBench(page);
  const hand = new Counted(page);
  await hand.choose(word(page, 'Kind'), 'typed');
  await hand.type(
    page.getByLabel('Notes', { exact: true }),
    'D4 E4 F#4 G4 | A4 B4 C#5 D5 | D5 C#5 B4 A4 | G4 F#4 E4 D4 | D4:2 F#4:2 | A4:2 D5:2 | C#5:2 A4:2 | D4:4',
  );
  await expect(cursorWords(page)).toContainText('of 23');
  await hand.click(picture(page));
  await hand.key('Home');
  await hand.key('4');
  await expect(page.getByTestId('kept')).toHaveCount(1);
  await expect(cursorWords(page)).toContainText('D 4, finger 4 on the G string');
  expect(hand.done).toBeLessThanOrEqual(2 * 4);
});

test('the hardest shift becomes a drill in another key', async ({ page }) => {
  await openBench(page, '/?demo');
  const hand = new Counted(page);
  await hand.click(view(page, 'Shifts'));
  await ready(page);
  await hand.click(page.getByRole('button', { name: 'How hard' }));
  await hand.click(page.getByRole('region', { name: 'All shifts' }).getByRole('button').nth(1));
  await hand.choose(page.getByLabel('Key', { exact: true }), 'G major');
  await hand.click(page.getByRole('button', { name: 'Open it on the Bench' }));
  await ready(page);
  await expect(page.getByLabel('Name of this plan')).toHaveValue(/G major$/);
  expect(hand.done).toBeLessThanOrEqual(2 * 4);
});

test('a way round for a hand, and the third note checked', async ({ page }) => {
  await openBench(page, '/?demo');
  const hand = new Counted(page);
  await hand.click(view(page, 'Hand'));
  await ready(page);
  await hand.click(page.getByRole('button', { name: 'find another way' }).first());
  await expect(page.getByText(/Another way changes bar|It needs to/).first()).toBeVisible();
  await hand.click(view(page, 'Ear'));
  await ready(page);
  const line = page.getByTestId('music-line');
  await expect(line.locator('[data-sign^="notehead"]')).toHaveCount(29);
  hand.done++;
  await expect(async () => {
    await line.locator('[data-sign^="notehead"]').nth(2).click({ force: true });
    await expect(page.getByTestId('note')).toContainText('G4 on the D string', { timeout: 1000 });
  }).toPass();
  await expect(page.getByTestId('note')).toContainText('Check it with');
  expect(hand.done).toBeLessThanOrEqual(2 * 4);
});

test('a plan is found, renamed, deleted and brought back; everything is backed up, emptied and restored', async ({
  page,
}) => {
  await openStudio(page, '/studio?demo');
  const hand = new Counted(page);
  await hand.type(page.getByLabel('Search students and plans'), 'f sharp minor');
  await hand.click(page.getByRole('button', { name: /^More for/ }));
  await hand.click(page.getByRole('menuitem', { name: 'Rename and tag' }));
  await hand.type(page.getByLabel('Name', { exact: true }), 'For the autumn');
  await hand.key('Enter');
  const search = page.getByLabel('Search students and plans');
  await search.fill('autumn');
  await hand.click(page.getByRole('button', { name: 'Delete Wren: For the autumn' }));
  await expect(page.getByText('Nothing has all of these words.')).toBeVisible();
  await hand.click(page.getByRole('button', { name: 'Undo', exact: true }));
  await expect(page.getByRole('link', { name: /^Wren: For the autumn/ })).toBeVisible();
  expect(hand.done).toBeLessThanOrEqual(2 * 7);
  await search.fill('');
  const download = page.waitForEvent('download');
  await hand.click(page.getByRole('button', { name: 'Save a backup' }));
  const file = await (await download).path();
  await emptyStudio(page);
  await expect(page.getByText('Nobody here yet')).toBeVisible();
  await page.getByLabel('Backup file to restore').setInputFiles(file);
  await expect(page.getByRole('link', { name: /^Wren: For the autumn/ })).toBeVisible();
});

test('the first two jobs by keyboard alone, at 200 %', async ({ page }) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await openBench(page);
  // From the top of the page: the skip link, then Tab to the box, past the words of the brief.
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const box = page.getByLabel('Type the brief');
  for (let at = 0; at < 30; at++) {
    if (await box.evaluate((one) => one === document.activeElement)) break;
    await page.keyboard.press('Tab');
  }
  await expect(box).toBeFocused();
  await page.keyboard.type('half size violin G major first position');
  await expect(page.locator('#typed-brief')).toContainText('Enter plans this.');
  await page.keyboard.press('Enter');
  await expect(cursorWords(page)).toContainText('G 3, open G');
  await expect(box).toBeFocused();
  await page.keyboard.type('A major any position with a shift to third no open strings');
  await expect(page.locator('#typed-brief')).toContainText('Enter plans this.');
  await page.keyboard.press('Enter');
  await expect(chosenWay(page).first()).toContainText('3rd');
  await saved(page);
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('the first two jobs by touch alone', async ({ page }) => {
    await openBench(page);
    await page.getByRole('button', { name: 'Plan a scale' }).tap();
    const questions = page.getByRole('dialog');
    await questions.getByLabel('Size').selectOption('1/2');
    await questions.getByLabel('As far as').selectOption('first-position');
    await questions.getByRole('button', { name: 'Plan it' }).tap();
    await expect(cursorWords(page)).toContainText('D 4');
    await word(page, 'Positions').selectOption('null');
    await page.getByRole('button', { name: 'Add a wish' }).tap();
    await page.getByRole('menuitem', { name: 'going to 3rd position' }).tap();
    await expect(chosenWay(page).first()).toContainText('3rd');
    await page.getByRole('button', { name: 'Add a wish' }).tap();
    await page.getByRole('menuitem', { name: 'no open strings' }).tap();
    await expect(cursorWords(page)).not.toContainText('open');
  });
});
