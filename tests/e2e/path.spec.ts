import type { Page } from '@playwright/test';
import type { DaySum, LessonRecord, StudentRecord } from '../../src/core';
import { keptRows, putRows, ready, serious, studentWithPlan } from './bench';
import { expect, test } from './shared';

/* The path of a student: what comes next, and what the teacher does with it. */

const stones = (page: Page) => page.getByTestId('stones').getByRole('listitem');

test('on the Bench a plan says what is new in it for its student, and leads to the path to it', async ({ page }) => {
  await studentWithPlan(page, 'Bea');
  await page.getByRole('button', { name: 'What is new in it for Bea' }).click();
  await expect(page.getByTestId('new-for')).toContainText('New for Bea: ');
  await expect(page.getByTestId('new-for')).toContainText('1st position');
  await page.getByRole('button', { name: 'The path to it' }).click();
  await page.waitForURL(/\/path/);
  await ready(page);
  await expect(page.getByTestId('stones')).toBeVisible({ timeout: 60_000 });
  const [student] = await keptRows<StudentRecord>(page, 'students');
  expect(student.path?.goal?.kind).toBe('plan');
  // What the student is said to have is new no more.
  const has = page.getByTestId('standing').getByRole('button', { name: 'Has it: 1st position', exact: true });
  await has.click();
  await expect(page.getByTestId('standing')).toContainText('the teacher’s word');
  await expect(has).toHaveCount(0);
});

async function openPath(page: Page) {
  await page.getByRole('link', { name: 'What comes next' }).click();
  await ready(page);
}

test('a path leads to its goal, one new thing a step; "has it", skip and next week are followed, and undone', async ({
  page,
}) => {
  await studentWithPlan(page, 'Ada');
  await page.goto('/practice');
  await ready(page);
  await openPath(page);
  await page.getByLabel('Goal').selectOption({ label: 'all major scales, one octave' });
  await expect(stones(page).first()).toBeVisible({ timeout: 60_000 });
  const first = await stones(page).first().textContent();
  const many = await stones(page).count();
  expect(many).toBeGreaterThan(8);
  await expect(page.getByTestId('path')).toContainText('missing now');

  await stones(page).first().getByRole('button', { name: 'Has it' }).click();
  await expect(stones(page).first()).not.toHaveText(first ?? '');
  const [student] = await keptRows<StudentRecord>(page, 'students');
  expect(student.path?.words.length).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(stones(page).first()).toHaveText(first ?? '');

  await stones(page).first().getByRole('button', { name: 'Skip' }).click();
  await expect(page.getByRole('button', { name: 'Take 1 skipped step in again' })).toBeVisible();
  await expect(stones(page).first()).not.toHaveText(first ?? '');

  await stones(page).first().getByRole('button', { name: 'Into next week' }).click();
  await expect(page.getByText('is assigned for next week')).toBeVisible();
  const lessons = await keptRows<LessonRecord>(page, 'lessons');
  expect(await serious(page)).toEqual([]);

  // Clean on three days: what it brings is known, and the next stone is offered.
  const { planId } = lessons[0].assigned[lessons[0].assigned.length - 1];
  const before = await stones(page).first().textContent();
  const days = [3, 2, 1].map((back): DaySum => {
    const day = new Date(Date.now() - back * 86_400_000).toISOString().slice(0, 10);
    const plans = { [planId]: { minutes: 10, reached: 72 } };
    return { id: `${student.id}/${day}`, studentId: student.id, day, minutes: 10, plans, rule: 2, sums: {} };
  });
  await putRows(page, 'days', days);
  await page.reload();
  await ready(page);
  await expect(page.getByTestId('standing')).toContainText('clean on 3 days');
  await expect(stones(page).first()).toBeVisible({ timeout: 60_000 });
  await expect(stones(page).first()).not.toHaveText(before ?? '');
});
