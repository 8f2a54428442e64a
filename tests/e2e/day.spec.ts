import type { Page } from '@playwright/test';
import { briefAddress } from '../../src/app/brief/address';
import { keptRows, openBench, openStudio, picture, ready, repetition, studentWithPlan } from './bench';
import { expect, test } from './shared';

/* Practice that remembers: the first judged repetition in three presses, going on, what was played, the day as one, the week on paper. */

/** Two notes, quickly played through. */
const SHORT = briefAddress({
  instrument: 'violin',
  material: { type: 'notes', key: 'D major', notes: [{ pitches: ['D4'] }, { pitches: ['E4'] }] },
  tempo: { bpm: 200 },
});

const prompt = (page: Page) => page.getByTestId('prompt');
const count = (page: Page) => page.getByTestId('count');

async function shortPlan(page: Page) {
  await openBench(page, `/${SHORT}`);
}

/** A pedal held down for a while. */
async function hold(page: Page, key: string) {
  await page.keyboard.down(key);
  await page.waitForTimeout(750);
  await page.keyboard.up(key);
}

test('from the Bench to the first judged repetition in three presses, by mouse and by keys', async ({ page }) => {
  await shortPlan(page);
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Practice' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(prompt(page)).toContainText('How was it', { timeout: 15_000 });
  await page.getByRole('button', { name: 'in', exact: true }).click();
  await expect(count(page)).toContainText('1 of 5 times');

  await page.goto('/');
  await ready(page);
  await picture(page).focus();
  await page.keyboard.press('p');
  await expect(page.getByRole('button', { name: 'Begin' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(prompt(page)).toContainText('How was it', { timeout: 15_000 });
  await page.keyboard.press('i');
  await expect(count(page)).toContainText('1 of 5 times');
});

test('by two pedals alone: played, in, low with its place, high, missed, taken back; a held pedal is one press', async ({
  page,
}) => {
  await shortPlan(page);
  await picture(page).focus();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  await page.keyboard.press('PageDown');
  const judging = () => expect(prompt(page)).toContainText('How was it', { timeout: 15_000 });
  await judging();
  await page.keyboard.press('PageDown');
  await expect(count(page)).toContainText('1 of 5 times');
  // Low, at the note before the last.
  await page.keyboard.press('PageDown');
  await judging();
  await page.keyboard.press('PageUp');
  await expect(prompt(page)).toContainText('Which note was low?');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageDown');
  await expect(count(page)).toContainText('2 of 5 times');
  // High, and nobody knows where.
  await page.keyboard.press('PageDown');
  await judging();
  await hold(page, 'PageDown');
  await expect(prompt(page)).toContainText('Which note was high?');
  await hold(page, 'PageUp');
  await expect(count(page)).toContainText('3 of 5 times');
  // The last is taken back by a long press of the left one.
  await hold(page, 'PageUp');
  await expect(count(page)).toContainText('2 of 5 times');
  type Row = { readonly kind: string; readonly number: number; readonly place?: number | null };
  const rows = (await keptRows<Row>(page, 'repetitions')).filter(({ kind }) => kind === 'judged');
  rows.sort((a, b) => a.number - b.number);
  expect(rows.map(({ place }) => place)).toEqual([null, 0, null]);
});

test('a repetition that was hardly played is asked about once, and what is taken back takes its tempo with it', async ({
  page,
}) => {
  await studentWithPlan(page, 'Ada');
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Practice' }).click();
  await ready(page);
  await page.getByLabel('How many times').fill('3');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'stop', exact: true }).click();
  await page.getByRole('button', { name: 'in', exact: true }).click();
  await expect(prompt(page)).toContainText('Was that played?');
  await page.getByRole('button', { name: 'no', exact: true }).click();
  await expect(count(page)).toContainText('0 of 3 times');
  for (let at = 0; at < 2; at++) await repetition(page, 'i');
  await repetition(page, 'i');
  await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible();
  type Kept = { readonly reached?: number; readonly heard: { readonly in: number } };
  expect((await keptRows<Kept>(page, 'sessions'))[0].reached).toBeGreaterThan(20);
});

test('practice goes on where it stood: the same ladder, the step, the reminders', async ({ page }) => {
  await studentWithPlan(page, 'Bea');
  const practice = page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Practice' });
  await practice.click();
  await ready(page);
  await page.getByRole('button', { name: 'metronome' }).click();
  await page.getByLabel('Clean times in a row').fill('1');
  await page.getByLabel('Contact point').check();
  await page.getByRole('button', { name: 'Begin' }).click();
  await repetition(page, 'i');
  await expect(page.getByTestId('step')).not.toHaveText('♩ = 42');
  const step = await page.getByTestId('step').textContent();
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'Save to the log' }).click();
  await page.waitForURL(/student=/);
  await ready(page);
  const [plan] = await keptRows<{ readonly id: string }>(page, 'plans');
  await page.goto(`/practice?plan=${plan.id}`);
  await ready(page);
  await expect(page.getByText('It goes on with step 2.')).toBeVisible();
  await expect(page.getByLabel('Contact point')).toBeChecked();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByTestId('step')).toHaveText(step ?? '');
  // A step up the same ladder.
  await page.goto(`/practice?plan=${plan.id}&up=1`);
  await ready(page);
  await expect(page.getByText(/It goes on with step [23]\./)).toBeVisible();
});

test('the day as one: tuned, ticked off, broken off and gone on with; the week is printed in three presses', async ({
  page,
}) => {
  await studentWithPlan(page, 'Cleo');
  await page.goto('/practice');
  await ready(page);
  await page.getByRole('link', { name: 'Lesson page' }).click();
  await ready(page);
  await page.getByRole('button', { name: 'Keep for next week' }).click();
  await page.getByRole('link', { name: 'Print the week' }).click();
  await ready(page);
  await expect(page.getByRole('button', { name: 'Print' })).toBeEnabled();
  await expect(page.getByRole('img', { name: /Cleo: the week, page 1/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Practice file' })).toBeVisible();

  await page.goto('/practice');
  await ready(page);
  await page.getByTestId('start-day').click();
  await page.getByTestId('tune').getByRole('button', { name: 'Tuned' }).click();
  const day = page.getByTestId('day');
  await expect(day.getByRole('listitem').first()).toContainText('done');
  await page.reload();
  await ready(page);
  await expect(day.getByRole('listitem').first()).toContainText('done');
  await page.getByRole('button', { name: 'Go on with the day' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await repetition(page, 'i');
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'Save to the log' }).click();
  await ready(page);
  await expect(day.getByRole('listitem').nth(1)).toContainText('done');
});

test('before lessons all students stand on one page, those who come next first', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await page.getByRole('link', { name: 'Before lessons: all students' }).click();
  await ready(page);
  const rows = page.getByTestId('all-students').getByRole('row');
  await expect(rows).toHaveCount(6);
  await expect(rows.filter({ hasText: 'Wren' })).toContainText(/of 7 days/);
  await expect(rows.nth(1)).toContainText(/(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day, \d\d:\d\d/);
});

test('a metronome and a drone of their own', async ({ page }) => {
  await studentWithPlan(page, 'Dot');
  await page.goto('/practice');
  await ready(page);
  await page.getByRole('button', { name: 'Start the metronome' }).click();
  await expect.poll(() => page.evaluate(() => performance.getEntriesByName('click').length)).toBeGreaterThan(2);
  await page.getByRole('button', { name: 'Stop the metronome' }).click();
  await page.getByLabel('Drone', { exact: true }).selectOption('A4');
  await expect(page.getByLabel('Drone', { exact: true })).toHaveValue('A4');
});
