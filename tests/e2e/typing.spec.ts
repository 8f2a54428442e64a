import type { Page } from '@playwright/test';
import { expect, test } from './shared';
import { openStudio, studentsOf } from './bench';
import * as lessonViewsText from '../../src/wording/rooms/lessonViews';
import * as practiceViewsText from '../../src/wording/rooms/practiceViews';
import * as sharedText from '../../src/wording/rooms/shared';
import * as studioViewsText from '../../src/wording/rooms/studioViews';

/*
 * What is typed stays typed: slowly or fast, while the storage tells back, and through a reload.
 */

/** Opens the example student’s page of a view. */
async function openFor(page: Page, view: string) {
  await openStudio(page, '/studio?demo');
  const { student } = await studentsOf(page, 'Wren');
  await page.goto(`${view}?student=${student}`);
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
}

const week = (page: Page) => page.getByTestId('next-week');

test('a lesson keeps every letter, a minutes box what was typed, and the teacher’s own through a new plan', async ({
  page,
}) => {
  await openFor(page, '/lesson');
  await week(page).getByRole('button', { name: lessonViewsText.keepForNextWeek }).click();
  await expect(week(page).getByText(lessonViewsText.keptChangesAreSaved)).toBeVisible();
  const words = week(page)
    .getByLabel(/^Words for/)
    .first();
  await words.pressSequentially('with the whole bow', { delay: 60 });
  await expect(words).toHaveValue('with the whole bow');
  const minutes = week(page)
    .getByLabel(/^Minutes for/)
    .first();
  await minutes.fill('');
  await minutes.pressSequentially('15', { delay: 60 });
  await expect(minutes).toHaveValue('15');
  await week(page).getByLabel(lessonViewsText.minutesADay).fill('40');
  await week(page).getByRole('checkbox').nth(1).click();
  await page.waitForTimeout(500);
  await page.reload();
  await expect(words).toHaveValue('with the whole bow');
  await expect(minutes).toHaveValue('15');
});

test('the lesson of another student begins with that student’s own plan', async ({ page }) => {
  await openFor(page, '/lesson');
  await expect(week(page).getByRole('checkbox').first()).toBeChecked();
  for (const name of ['Juno', 'Marlow', 'Wren']) {
    await page.getByLabel('Student').selectOption({ label: name });
    await expect(week(page).getByRole('checkbox').first(), name).toBeChecked();
  }
});

test('a lesson that is not kept yet outlives a reload', async ({ page }) => {
  await openFor(page, '/lesson');
  await week(page).getByLabel(lessonViewsText.theTeachersWords).fill('bring the other book');
  await page.reload();
  await expect(week(page).getByLabel(lessonViewsText.theTeachersWords)).toHaveValue('bring the other book');
});

test('a new student is written with the first word, and a megabyte is cut and said', async ({ page }) => {
  await openStudio(page, '/studio');
  await page.getByRole('button', { name: studioViewsText.newStudent }).click();
  await expect(page.getByLabel(studioViewsText.name, { exact: true })).toBeFocused();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Everyone 0 plans' })).toBeVisible();
  await expect(page.getByText('Nobody here yet')).toBeVisible();
  await page.getByRole('button', { name: studioViewsText.newStudent }).click();
  await page.keyboard.type('Fern');
  await expect(page.getByLabel(studioViewsText.name, { exact: true })).toHaveValue('Fern');
  const remark = page.getByLabel('To remember');
  await remark.evaluate((box: HTMLInputElement) => {
    box.focus();
    document.execCommand('insertText', false, 'x'.repeat(1_000_000));
  });
  await expect(page.getByText(sharedText.noMoreLetters(400))).toBeVisible();
  await expect(remark).toHaveValue('x'.repeat(400));
  await page.waitForTimeout(500);
  await page.reload();
  await page.getByRole('button', { name: /^Fern/ }).click();
  await expect(remark).toHaveValue('x'.repeat(400));
});

test('a new entry of the log begins with the cursor in its name and is there once it has a word', async ({ page }) => {
  await openFor(page, '/practice');
  const log = page.getByRole('region', { name: 'Log', exact: true });
  await log.getByRole('button', { name: practiceViewsText.addAnEntry }).click();
  await expect(log.getByLabel(practiceViewsText.what, { exact: true })).toBeFocused();
  await page.keyboard.type('Orchestra', { delay: 40 });
  await expect(log.getByLabel(practiceViewsText.what, { exact: true })).toHaveValue('Orchestra');
  await page.waitForTimeout(400);
  await page.reload();
  await expect(log.getByText('Orchestra')).toBeVisible();
});
