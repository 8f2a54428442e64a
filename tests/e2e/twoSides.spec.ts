import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { keptRows, openStudio, ready, repetition, saved, studentWithPlan } from './bench';
import { expect, test } from './shared';

/* One session on two pages, one student on two computers. */

/** A repetition by the pedal, clean. */
async function clean(page: Page) {
  await page.bringToFront();
  await repetition(page, 'PageDown');
}

test('a session that is open on two pages counts each repetition once', async ({ page, context }) => {
  await studentWithPlan(page, 'Ada');
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Practice' }).click();
  await ready(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  await clean(page);
  const other = await context.newPage();
  await other.goto('/practice');
  await ready(other);
  await other.getByRole('link', { name: 'Go on', exact: true }).click();
  await clean(other);
  await clean(page);
  const sessions = await keptRows<{ readonly heard: object }>(page, 'sessions');
  expect(sessions.map(({ heard }) => heard)).toEqual([{ low: 0, in: 3, high: 0, missed: 0 }]);
  expect(await keptRows(page, 'repetitions')).toHaveLength(3);
  // The first page counts the one of the other too.
  await expect(page.getByTestId('count')).toContainText('3');
});

test('a plan renamed at home comes back as that plan', { tag: '@nightly' }, async ({ page, browser, baseURL }) => {
  await studentWithPlan(page, 'Bo');
  await page.goto('/practice');
  await ready(page);
  const taken = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Practice file' }).click();
  const text = await readFile(await (await taken).path(), 'utf8');
  const home = await browser.newContext({ baseURL });
  const atHome = await home.newPage();
  await atHome.goto('/practice');
  await ready(atHome);
  const bring = (on: Page, content: string) =>
    on
      .getByLabel('Practice file', { exact: true })
      .setInputFiles({ name: 'practice.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await bring(atHome, text);
  await expect(atHome.getByText('Bo is here now')).toBeVisible();
  await openStudio(atHome);
  await atHome.getByRole('link', { name: /major/ }).first().click();
  await ready(atHome);
  await atHome.getByLabel('Name of this plan').fill('My scale');
  await saved(atHome);
  await atHome.goto('/practice');
  await ready(atHome);
  const back = atHome.waitForEvent('download');
  await atHome.getByRole('button', { name: 'Practice file' }).click();
  const changed = await readFile(await (await back).path(), 'utf8');
  await home.close();
  await bring(page, changed);
  await expect(page.getByText('1 plan changed at home is so here now.')).toBeVisible();
  await openStudio(page);
  await expect(page.getByRole('link', { name: 'My scale' })).toHaveCount(1);
  await expect(page.getByRole('link', { name: /major/ })).toHaveCount(0);
});
