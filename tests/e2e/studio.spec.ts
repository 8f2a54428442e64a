import type { Page } from '@playwright/test';
import { expect, test } from './shared';
import { act, emptyStudio, openBench, openStudio, serious } from './bench';

const row = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) });
const plans = (page: Page) => page.getByRole('region', { name: /Plans|plans|Found/ }).getByRole('listitem');

test('a student is made, measured and kept; what contradicts is said and not taken', async ({ page }) => {
  await openStudio(page);
  await expect(page.getByText('Nobody here yet')).toBeVisible();
  await page.getByRole('button', { name: 'New student' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Ashby');
  await page.getByLabel('Instrument', { exact: true }).selectOption('cello');
  await page.getByLabel('Size', { exact: true }).selectOption('3/4');
  await page.getByLabel('Known by').selectOption('measured');
  await page.getByLabel('Full spread, 1 to 4').fill('100');
  // A word for the hand means a smaller one on a child’s size: 120 mm on a full-size cello.
  await expect(page.getByRole('alert')).toContainText('comfortable spread (108 mm) cannot be wider');
  await page.getByLabel('Comfortable spread, 1 to 4').fill('95');
  await page.getByLabel('Full spread, 1 to 4').fill('112');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('row', { name: /major third, extended/ })).toContainText('beyond');
  await page.getByLabel('Tuning, low to high').fill('C2 G2 D2 A3');
  await expect(page.getByRole('alert')).toContainText('low to high');
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Ashby');
  await expect(page.getByLabel('Full spread, 1 to 4')).toHaveValue('112');
  await expect(page.getByLabel('Tuning, low to high')).toHaveValue('C2 G2 D3 A3');
  await expect(page.getByLabel('alto')).toHaveCount(0);
});

test('edits of a student are undone and redone, and a deleted one comes back with the plans', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await row(page, 'Wren').click();
  await expect(plans(page)).toHaveCount(3);
  await page.getByLabel('Level').selectOption('advanced');
  await page.getByLabel('To remember').fill('plays by heart');
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(page.getByLabel('To remember')).toHaveValue(/Left thumb grips/);
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(page.getByLabel('Level')).toHaveValue('middle');
  await page.getByRole('button', { name: 'Redo edit' }).click();
  await expect(page.getByLabel('Level')).toHaveValue('advanced');
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(row(page, 'Wren')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Level')).toHaveValue('advanced');
  await expect(plans(page)).toHaveCount(3);
});

test('search finds students and plans by name, key and tag; tags narrow the list', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await expect(plans(page)).toHaveCount(7);
  const search = page.getByRole('searchbox');
  await search.fill('e flat wren');
  await expect(plans(page)).toHaveCount(1);
  await search.fill('double stops');
  await expect(plans(page)).toContainText('D major scale in thirds');
  await search.fill('no such thing');
  await expect(page.getByText('Nothing has all of these words.')).toBeVisible();
  await search.fill('');
  await page.getByRole('button', { name: 'lesson', exact: true }).click();
  await expect(plans(page)).toHaveCount(4);
});

test('a plan is given to another student from the list, and says what is otherwise', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await act(page, 'Give Wren: E♭ major scale, two octaves, violin to', 'Juno');
  await expect(page.getByTestId('given')).toContainText('Copied from Wren’s plan');
  await expect(page.getByTestId('given')).toContainText('On a full-size cello');
  await expect(page.getByLabel('Student', { exact: true }).locator('option:checked')).toHaveText('Juno');
  await expect(page.getByTestId('staff')).toBeVisible();
});

test('a plan says when its student has grown out of it, and is brought up to date', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await row(page, 'Pip').click();
  await page.getByLabel('Full spread, 1 to 4').fill('78');
  await page.getByRole('link', { name: /A major in first position/ }).click();
  await expect(page.getByTestId('student-match')).toContainText('another instrument or hand than Pip');
  await page.getByRole('button', { name: 'Take Pip’s' }).click();
  await expect(page.getByTestId('student-match')).toHaveCount(0);
});

test('the studio is emptied and brought back', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await emptyStudio(page);
  await expect(page.getByText('Nobody here yet')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(plans(page)).toHaveCount(7);
});

test(
  'axe finds nothing serious in the Studio, with everyone and with one student',
  { tag: '@nightly' },
  async ({ page }) => {
    await openStudio(page, '/studio?demo');
    expect(await serious(page)).toEqual([]);
    await row(page, 'Otis').click();
    await expect(page.getByLabel('School')).toBeVisible();
    expect(await serious(page)).toEqual([]);
  },
);

test('what was kept before students were known is still there', async ({ page }) => {
  await page.goto('/notes');
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const opening = indexedDB.open('dove-path', 10);
        opening.onerror = () => fail(opening.error);
        opening.onupgradeneeded = () => {
          const plans = opening.result.createObjectStore('plans', { keyPath: 'id' });
          plans.createIndex('changedAt', 'changedAt');
          plans.add({
            id: 'old-one',
            name: 'From last year',
            chosen: 1,
            createdAt: 1,
            changedAt: 2,
            request: {
              instrument: 'violin',
              material: { type: 'scale', tonic: 'Bb3', scale: 'major', octaves: 1, direction: 'up' },
            },
          });
        };
        opening.onsuccess = () => {
          opening.result.close();
          done();
        };
      }),
  );
  await openBench(page, '/?plan=old-one');
  await expect(page.getByLabel('Name of this plan')).toHaveValue('From last year');
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('Bb');
  await expect(page.getByLabel('Student', { exact: true })).toHaveValue('');
  await openStudio(page);
  await expect(plans(page)).toHaveCount(1);
});
