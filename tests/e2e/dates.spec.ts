import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { lessonsInTheFuture } from '../../src/wording/rooms/lessonViews';
import { earlierEntries } from '../../src/wording/rooms/practiceViews';
import { openBench } from './bench';
import { expect, test } from './shared';

/* What is dated long ago or ahead of its time. */

const logEntries = (page: Page) => page.getByRole('region', { name: 'Log', exact: true }).getByRole('listitem');

async function open(page: Page, view: string) {
  await page.goto(view);
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
}

test(
  'the log shows and saves all there is, however old; a lesson dated a year ahead is told and hides none',
  { tag: '@nightly' },
  async ({ page }) => {
    await openBench(page, '/?demo');
    await open(page, '/practice');
    await page.getByLabel('Student').selectOption({ label: 'Wren' });
    await expect.poll(() => logEntries(page).count()).toBeGreaterThan(10);
    const shown = await logEntries(page).count();
    await page.evaluate(async () => {
      const base = await new Promise<IDBDatabase>((done) => {
        const asked = indexedDB.open('dove-path');
        asked.onsuccess = () => done(asked.result);
      });
      const all = <T>(table: string) =>
        new Promise<T[]>((done) => {
          const asked = base.transaction(table).objectStore(table).getAll();
          asked.onsuccess = () => done(asked.result as T[]);
        });
      const wren = (await all<{ id: string; name: string }>('students')).find(({ name }) => name === 'Wren');
      const session = (await all<{ studentId: string }>('sessions')).find(({ studentId }) => studentId === wren?.id);
      const lesson = (await all<{ studentId: string }>('lessons')).find(({ studentId }) => studentId === wren?.id);
      const year = new Date().getFullYear();
      const put = base.transaction(['sessions', 'lessons'], 'readwrite');
      put.objectStore('sessions').put({ ...session, id: 'old-session', day: `${year - 2}-03-01`, what: 'Long ago' });
      put.objectStore('lessons').put({ ...lesson, id: 'next-year', day: `${year + 1}-12-30`, goal: 'From next year' });
      await new Promise((done) => (put.oncomplete = done));
    });
    await open(page, '/practice');
    await expect.poll(() => logEntries(page).count()).toBeGreaterThanOrEqual(shown);
    await page.getByRole('button', { name: earlierEntries }).click();
    await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText('Long ago');
    const taken = page.waitForEvent('download');
    await page.getByRole('button', { name: 'CSV' }).click();
    expect(await readFile(await (await taken).path(), 'utf8')).toContain('Long ago');
    await open(page, '/lesson');
    await expect(page.getByText(lessonsInTheFuture('1 lesson'))).toBeVisible();
    await expect(page.getByText('From next year')).toHaveCount(0);
  },
);
