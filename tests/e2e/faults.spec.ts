import type { Page } from '@playwright/test';
import { expect, test } from './shared';
import { refuseWrites, storm } from '../support/storm';
import * as sharedText from '../../src/wording/rooms/shared';
import { act, emptyStudio, openBench, openStudio, putRows, saved, setWord } from './bench';

/*
 * The page under faults: edits just before it goes, rotten rows, storage that is blocked, hangs or comes from a later version, hands that slip.
 */

const key = (page: Page) => page.getByLabel('Key', { exact: true });
const shelf = (page: Page) => page.locator('#shelf').locator('xpath=../..').getByRole('listitem');

for (const [how, go] of [
  ['a link to another view', (page: Page) => page.getByRole('link', { name: 'Hand', exact: true }).click()],
  ['a reload', (page: Page) => page.reload()],
  ['closing the page', (page: Page) => page.close({ runBeforeUnload: true })],
] as const)
  test(
    `an edit is kept through ${how} straight after it`,
    { tag: how === 'a reload' ? [] : '@nightly' },
    async ({ context }) => {
      const page = await context.newPage();
      await openBench(page, '/?demo');
      await saved(page);
      await page.getByLabel('Name of this plan').fill('At the last moment');
      await go(page);
      const next = await context.newPage();
      await next.goto('/hand');
      await expect(next.getByText('At the last moment')).toBeVisible();
    },
  );

test('a field of a student is kept through a reload straight after it', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await page.getByRole('button', { name: /^Wren/ }).click();
  await page.getByLabel('To remember').fill('Plays by heart now');
  await page.reload();
  await expect(page.getByLabel('To remember')).toHaveValue('Plays by heart now');
});

test('a field of a student keeps what was typed though it could not be saved, and tries again', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await page.getByRole('button', { name: /^Wren/ }).click();
  await refuseWrites(page, true);
  const box = page.getByLabel('To remember');
  await box.fill('Typed while the room was full');
  await box.blur();
  await expect(page.getByText('the browser has no room left')).toBeVisible();
  await expect(box).toHaveValue('Typed while the room was full');
  await refuseWrites(page, false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('the browser has no room left')).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('To remember')).toHaveValue('Typed while the room was full');
});

test(
  'a plan that cannot be deleted is not said to be, and a student deleted elsewhere is not written back',
  { tag: '@nightly' },
  async ({ context }) => {
    const [page, studio] = [await context.newPage(), await context.newPage()];
    await openBench(page, '/?demo');
    await saved(page);
    await refuseWrites(page, true);
    await page.getByRole('button', { name: /^Delete Otis/ }).click();
    await expect(page.getByText('the browser has no room left')).toBeVisible();
    await expect(shelf(page)).toHaveCount(7);
    await refuseWrites(page, false);
    await openStudio(studio);
    await studio.getByRole('button', { name: /^Wren/ }).click();
    await studio.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page.getByLabel('Student', { exact: true }).locator('option:checked')).toHaveText('anyone');
    await setWord(page, 'Key', 'G');
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Student', { exact: true }).locator('option:checked')).toHaveText('anyone');
  },
);

test('rotten rows are told apart in the Studio, and hide nothing there or on the Bench', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await putRows(page, 'plans', [
    { id: 'r1', name: 'No request', changedAt: 9e12, tags: [], studentId: null },
    { id: 'r2', name: 7, request: { instrument: 'lute' }, changedAt: 9e12 },
  ]);
  await putRows(page, 'students', [{ id: 's1', name: null }]);
  await page.reload();
  await expect(page.locator('main li a[href^="/?plan="]')).toHaveCount(7);
  const damaged = page.getByRole('region', { name: 'Damaged entries' });
  await expect(damaged.getByRole('listitem')).toHaveCount(3);
  await expect(damaged.getByText('A plan, “No request”')).toBeVisible();
  const download = page.waitForEvent('download');
  await damaged.getByRole('button', { name: 'Save as file' }).first().click();
  expect((await download).suggestedFilename()).toMatch(/damaged/);
  await damaged.getByRole('button', { name: 'Delete' }).first().click();
  await expect(damaged.getByRole('listitem')).toHaveCount(2);
  await openBench(page, '/');
  await expect(page.getByTestId('staff')).toBeVisible();
  await expect(shelf(page)).toHaveCount(7);
});

/** Ways a browser can keep its storage from a page. */
const BLOCKED: readonly (readonly [string, () => void])[] = [
  [
    'opening it throws',
    () => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('denied', 'SecurityError');
      };
    },
  ],
  ['there is none', () => Object.defineProperty(window, 'indexedDB', { value: undefined })],
];

for (const [how, block] of BLOCKED)
  test(`where storage is blocked since ${how}, each view says so and planning works`, async ({ page }) => {
    await page.addInitScript(block);
    await page.goto('/studio?demo');
    await expect(page.getByRole('alert').getByText(/cannot be read/)).toBeVisible();
    await expect(page.getByText('Nobody here yet')).toHaveCount(0);
    await openBench(page);
    await expect(page.getByText(/Planning works/)).toBeVisible();
    await expect(page.getByTestId('staff')).toBeVisible();
    await page.goto('/ear');
    await expect(page.getByText(/cannot be read/)).toBeVisible();
  });

test('a database of a later version is read and never written', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await expect(page.locator('main li a[href^="/?plan="]')).toHaveCount(7);
  await page.goto('/keys');
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const opening = indexedDB.open('dove-path', 990);
        opening.onupgradeneeded = () => undefined;
        opening.onsuccess = () => {
          opening.result.close();
          done();
        };
        opening.onerror = () => fail(opening.error);
      }),
  );
  await openBench(page, '/');
  await expect(shelf(page)).toHaveCount(7);
  await setWord(page, 'Key', 'G');
  await expect(page.getByText(/newer version of Dove Path has been used/)).toBeVisible();
  await expect(page.getByTestId('save-state')).toHaveText('Not saved');
});

test('a second click on a plan’s bin deletes no other plan; undo and the bin bring back, also after a reload', async ({
  page,
}) => {
  await openBench(page, '/?demo');
  await expect(shelf(page)).toHaveCount(7);
  const bin = page.getByRole('button', { name: /^Delete Pip/ }).first();
  await expect(page.getByTestId('findings').getByRole('listitem').first()).toBeVisible();
  await bin.dblclick();
  await expect(shelf(page)).toHaveCount(6);
  await page.keyboard.press('Control+z');
  await expect(shelf(page)).toHaveCount(7);
  await page
    .getByRole('button', { name: /^Delete Otis/ })
    .first()
    .click();
  await expect(shelf(page)).toHaveCount(6);
  await openStudio(page);
  await page.getByText('Deleted (1)').click();
  await page.getByRole('button', { name: /^Bring back Otis/ }).click();
  await expect(page.locator('main li a[href^="/?plan="]')).toHaveCount(7);
});

test(
  'what was emptied in one page comes back beside what another page has saved since',
  { tag: '@nightly' },
  async ({ context }) => {
    const [bench, studio] = [await context.newPage(), await context.newPage()];
    await openBench(bench, '/?demo');
    await saved(bench);
    await openStudio(studio);
    await emptyStudio(studio);
    await expect(studio.getByText('Nobody here yet')).toBeVisible();
    await bench.getByRole('button', { name: 'Keep it' }).click();
    await bench.getByLabel('Name of this plan').fill('Went on');
    await saved(bench);
    await studio.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(studio.getByText(/came back as a copy/)).toBeVisible();
    await expect(studio.locator('main li a[href^="/?plan="]')).toHaveCount(8);
  },
);

test('arrow keys go through a menu and do nothing; Enter does', async ({ page }) => {
  await openBench(page, '/?demo');
  await saved(page);
  await page.getByRole('button', { name: 'Give this plan to' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('menuitem').first()).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Give this plan to' })).toBeFocused();
  await expect(shelf(page)).toHaveCount(7);
  await act(page, 'Give this plan to', 'Juno');
  await expect(shelf(page)).toHaveCount(8);
});

test('Back and Forward go through the plans that were opened, and undo outlives a visit to another view', async ({
  page,
}) => {
  await openBench(page, '/?demo');
  await setWord(page, 'Key', 'G');
  await saved(page);
  await page.getByRole('button', { name: 'Otis: F major scale, two octaves, ¾ double bass', exact: true }).click();
  await expect(key(page)).toHaveValue('F');
  await saved(page);
  await page.goBack();
  await expect(key(page)).toHaveValue('G');
  await saved(page);
  await page.goForward();
  await expect(key(page)).toHaveValue('F');
  await saved(page);
  await page.goBack();
  await expect(key(page)).toHaveValue('G');
  await page.getByRole('link', { name: 'Hand', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Hand', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(key(page)).toHaveValue('Eb');
});

test('an address of nobody and nothing is said, not answered with another’s', async ({ page }) => {
  await openBench(page, '/?demo');
  await page.goto('/hand?plan=nobody');
  await expect(page.getByText('The plan in this address is not saved in this browser')).toBeVisible();
  await openBench(page, '/?plan=nobody');
  await expect(page.getByText('The plan in this address is not saved in this browser')).toBeVisible();
  await openStudio(page, '/studio?student=nobody');
  await expect(page.getByText('The student in this address is not in this browser')).toBeVisible();
});

test('the focus never goes to nowhere: after a deletion, a closed notice, a note set free', async ({ page }) => {
  await openBench(page, '/?demo');
  const focused = () => page.evaluate(() => document.activeElement?.tagName);
  await page
    .getByRole('button', { name: /^Delete Pip/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(shelf(page)).toHaveCount(6);
  expect(await focused()).toBe('BUTTON');
  await page.getByRole('button', { name: 'Close', exact: true }).focus();
  await page.keyboard.press('Enter');
  expect(await focused()).not.toBe('BODY');
  await page.getByRole('group', { name: 'Finger', exact: true }).getByRole('button', { name: 'finger 3' }).click();
  await page.getByRole('button', { name: 'Set free' }).click();
  await expect(page.getByRole('application')).toBeFocused();
});

test('no view scrolls sideways at 360 px', { tag: '@nightly' }, async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  for (const address of [
    '/?demo',
    '/studio',
    '/hand',
    '/shifts',
    '/ear',
    '/practice',
    '/cards',
    '/progress',
    '/lesson',
    '/keys',
    '/notes',
    '/licences',
  ]) {
    await page.goto(address);
    await expect(page.locator('main')).toBeVisible();
    await page.waitForTimeout(400);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(over, address).toBeLessThanOrEqual(0);
  }
});

test.describe(() => {
  test.use({ fresh: true });

  test('what may be needed is there though the server has gone', { tag: '@nightly' }, async ({ page, context }) => {
    await openBench(page, '/?demo');
    await expect(page.getByTestId('staff')).toBeVisible();
    // The parts are fetched once the page has stood for a moment.
    await page.waitForResponse((response) => response.url().includes('Palette'));
    await page.waitForTimeout(1000);
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Commands …' }).click();
    await expect(page.getByRole('menuitem').first()).toBeVisible();
    await page.keyboard.press('Escape');
    await setWord(page, 'Key', 'G');
    await saved(page);
    // What is fetched only when it is asked for says why it does nothing, and so does a link.
    const unreachable = page.getByText(sharedText.thisPartOfThe);
    const asked = [
      page.getByRole('button', { name: 'Listen' }),
      page.getByRole('link', { name: 'Studio' }),
      page.getByRole('link', { name: 'Dove Path' }),
    ];
    for (const control of asked) {
      await control.click();
      await expect(unreachable).toBeVisible();
      await page.getByRole('button', { name: 'Close', exact: true }).click();
    }
    // Saving a file of the plan is one of the things of its menu.
    await act(page, 'Save this plan as', /CSV/);
    await expect(unreachable).toBeVisible();
    await context.setOffline(false);
    await page.getByRole('link', { name: 'Studio' }).click();
    await expect(page).toHaveURL(/studio/);
  });
});

test('a planner that cannot be had is said, and is started again', async ({ page }) => {
  await page.route(/plan\.worker/, (route) => route.abort());
  await page.goto('/?demo');
  await expect(page.getByTestId('planner-trouble')).toBeVisible();
  await page.unroute(/plan\.worker/);
  await page.getByTestId('planner-trouble').getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByTestId('staff')).toBeVisible();
});

test(
  'a short storm of edits, kills and refused writes loses nothing that was shown as saved',
  { tag: '@nightly' },
  async ({ browser, baseURL }) => {
    const { edits, lost } = await storm(browser, baseURL ?? '', 9_000, 6);
    expect(edits).toBeGreaterThan(0);
    expect(lost).toEqual([]);
  },
);
