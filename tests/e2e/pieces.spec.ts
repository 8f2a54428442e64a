import type { Page } from '@playwright/test';
import { xmlNote, xmlOpening, xmlScore } from '../support/files';
import { act, chosenWay, dropOn, openStudio, picture, saved, staffFingers } from './bench';
import { expect, test } from './shared';

/* A piece brought in, and what is asked of its bars. */

const bar = (...names: readonly string[]) =>
  names.map((name) => xmlNote({ step: name[0], octave: Number(name[1]), duration: 1 })).join('');
const rest = xmlNote({ duration: 4 });

/** Two phrases that begin with the same bar, a bar of rest between them. */
const PIECE = xmlScore([
  {
    name: 'Violin',
    measures: [
      xmlOpening(1) + bar('D5', 'B4', 'C5', 'A4'),
      bar('B4', 'G4', 'A4', 'D5'),
      rest,
      bar('D5', 'B4', 'C5', 'A4'),
      bar('G4', 'A4', 'B4', 'G4'),
    ],
  },
]);

async function bringIn(page: Page) {
  await openStudio(page);
  await dropOn(page, 'piece.musicxml', PIECE);
  await page.getByRole('dialog').getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/plan=/);
  await expect(page.locator('[data-phrase]')).toHaveCount(2);
}

/** Marks from the note at the cursor to one so many further. */
async function mark(page: Page, from: number, length: number) {
  const unmark = page.getByRole('button', { name: 'Unmark' });
  if (await unmark.isVisible()) await unmark.click();
  await expect(unmark).toHaveCount(0);
  await picture(page).focus();
  await page.keyboard.press('Home');
  for (let at = 0; at < from; at++) await page.keyboard.press('ArrowRight');
  for (let at = 1; at < length; at++) await page.keyboard.press('Shift+ArrowRight');
}

const FOR_THESE = 'Ask something of the marked notes alone';

test('bars have rules of their own, the fingers of others, phrases that are moved; all of it is undone', async ({
  page,
}) => {
  await bringIn(page);
  const first = await staffFingers(page);

  await mark(page, 4, 4);
  await act(page, FOR_THESE, 'on the G string');
  await expect(page.getByTestId('asked-of')).toContainText('on the G');
  await saved(page);
  const sulG = await staffFingers(page);
  expect(sulG).not.toEqual(first);

  await mark(page, 9, 4);
  await act(page, FOR_THESE, 'the same as from bar 1, beat 1');
  await expect(page.getByTestId('asked-of')).toHaveCount(2);
  await saved(page);
  const fingers = await staffFingers(page);
  expect(fingers.slice(8, 12)).toEqual(fingers.slice(0, 4));

  await mark(page, 10, 1);
  await page.keyboard.press('Shift+ArrowRight');
  await act(page, FOR_THESE, 'the phrase begins here instead');
  await expect(page.locator('[data-phrase="10"]')).toHaveCount(1);
  await expect(page.locator('[data-phrase="9"]')).toHaveCount(0);

  for (let steps = 0; steps < 3; steps++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('asked-of')).toHaveCount(0);
  await expect(page.locator('[data-phrase="9"]')).toHaveCount(1);
  await expect.poll(() => staffFingers(page)).toEqual(first);
});

test('a way is taken for one phrase, and bars are typed', async ({ page }) => {
  await bringIn(page);
  await page.getByRole('button', { name: /^all \d+ ways$/ }).click();
  const way = page.getByRole('button', { name: /, bar \d, beat \d to bar \d, beat \d/ }).first();
  const name = (await way.locator('span').first().textContent()) ?? '';
  await way.click();
  const fingers = await staffFingers(page);
  await page.getByRole('button', { name: /^put “.*” into the brief$/ }).click();
  await expect(chosenWay(page)).toContainText('the best plan', { ignoreCase: true });
  await expect.poll(() => staffFingers(page)).toEqual(fingers);
  expect(name).toMatch(/bar/);
  await page.getByRole('button', { name: 'Undo' }).click();

  const box = page.getByRole('textbox', { name: /type/i }).first();
  await box.fill('third position, bars 4 and 5');
  await box.press('Enter');
  await expect(page.getByTestId('asked-of')).toContainText('in 3rd position');
  await box.fill('no open strings in bar 90');
  await box.press('Enter');
  await expect(page.getByText('There is no bar 90 in this music.')).toBeVisible();
});
