import type { Page } from '@playwright/test';
import { expect, test } from './shared';
import { openStudio, studentsOf } from './bench';
import { damagedRows } from '../support/damage';
import * as sharedText from '../../src/wording/rooms/shared';

/*
 * Rows that nobody should have written: no view is blank, and what is sound is there.
 */

type Row = Record<string, unknown>;

/** The first row of each table of the database. */
function firstRows(page: Page): Promise<Record<string, Row | undefined>> {
  return page.evaluate(
    () =>
      new Promise<Record<string, Row | undefined>>((done) => {
        const opening = indexedDB.open('dove-path');
        opening.onsuccess = () => {
          const names = [...opening.result.objectStoreNames];
          const read = opening.result.transaction(names);
          const asked = names.map((name) => [name, read.objectStore(name).getAll(undefined, 1)] as const);
          read.oncomplete = () => {
            opening.result.close();
            done(Object.fromEntries(asked.map(([name, { result }]) => [name, (result as Row[])[0]])));
          };
        };
      }),
  );
}

function putRows(page: Page, tables: Record<string, Row[]>) {
  return page.evaluate(
    (all) =>
      new Promise<void>((done, fail) => {
        const opening = indexedDB.open('dove-path');
        opening.onsuccess = () => {
          const step = opening.result.transaction(Object.keys(all), 'readwrite');
          for (const [name, rows] of Object.entries(all)) for (const row of rows) step.objectStore(name).put(row);
          step.oncomplete = () => {
            opening.result.close();
            done();
          };
          step.onerror = () => fail(step.error);
        };
      }),
    tables,
  );
}

const VIEWS = ['/', '/studio', '/hand', '/shifts', '/ear', '/sheet', '/practice', '/cards', '/progress', '/lesson'];

test('with every field of every table damaged in turn no view is blank', { tag: '@nightly' }, async ({ page }) => {
  test.setTimeout(240_000);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await openStudio(page, '/studio?demo');
  const { student, plan } = await studentsOf(page, 'Wren');
  // The made-up practice is put in while the page stands.
  await expect.poll(async () => (await firstRows(page)).lessons?.id, { timeout: 30_000 }).toBeTruthy();
  const tables = Object.entries(await firstRows(page)).flatMap(([name, row]) =>
    row ? [[name, damagedRows(row)] as const] : [],
  );
  expect(tables.length).toBeGreaterThan(8);
  await putRows(page, Object.fromEntries(tables));
  for (const view of VIEWS) {
    const of = ['/practice', '/cards', '/progress', '/lesson', '/studio'].includes(view) ? `?student=${student}` : '';
    await page.goto(view + (['/', '/hand', '/shifts', '/ear', '/sheet'].includes(view) ? `?plan=${plan}` : of));
    await expect(page.locator('main[data-ready="true"]'), view).toBeVisible();
    await expect(page.locator('[data-failed]'), view).toHaveCount(0);
    await expect(page.getByText(/could not be shown/), view).toHaveCount(0);
  }
  expect(errors).toEqual([]);
});

test('a view that fails says so, with a backup and the way to damaged entries', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await page.addInitScript(() => {
    URLSearchParams.prototype.get = () => {
      throw new Error('broken on purpose');
    };
  });
  await page.goto('/hand');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(sharedText.viewFailed('Hand'));
  await expect(page.getByText('broken on purpose')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Damaged entries' })).toHaveAttribute('href', '/studio#damaged');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  expect((await download).suggestedFilename()).toMatch(/^dove-path-.*json$/);
});

test('an edit that no page can write is set aside and listed, and the others are written', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  const { student } = await studentsOf(page, 'Wren');
  await page.evaluate((id) => {
    localStorage.setItem('dove-path-draft:a:1', '{"change":{"kind":"added","table":"lutes"},"record":{"id":"x"}}');
    localStorage.setItem('dove-path-draft:a:2', 'no json');
    localStorage.setItem('dove-path-draft:a:3', JSON.stringify({ change: null, record: { id } }));
  }, student);
  await page.reload();
  const damaged = page.getByRole('region', { name: 'Damaged entries' });
  await expect(damaged.getByRole('listitem')).toHaveCount(3);
  const download = page.waitForEvent('download');
  await damaged.getByRole('button', { name: 'Save as file' }).first().click();
  expect((await download).suggestedFilename()).toBe('dove-path-edit.json');
  for (const left of [2, 1, 0]) {
    await damaged.getByRole('button', { name: 'Delete' }).first().click();
    await expect(damaged.getByRole('listitem')).toHaveCount(left);
  }
});
