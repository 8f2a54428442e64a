import type { Page } from '@playwright/test';
import type { LessonRecord, StudentRecord } from '../../src/core';
import { keptRows, ready, serious, studentWithPlan } from './bench';
import { expect, test } from './shared';

/* The path of a student: what comes next, and what the teacher does with it. */

const stones = (page: Page) => page.getByTestId('stones').getByRole('listitem');

async function openPath(page: Page) {
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Path' }).click();
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
  expect(lessons[0].assigned.length).toBeGreaterThan(0);
  expect(await serious(page)).toEqual([]);
});
