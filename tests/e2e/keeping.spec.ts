import { mkdtempSync, readlinkSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from './shared';
import { BROWSER } from '../../scripts/server.mjs';
import { openBench, openStudio, saved, setWord, staffFingers } from './bench';
import * as appText from '../../src/wording/rooms/app';
import * as practiceViewsText from '../../src/wording/rooms/practiceViews';
import { STEP_BLOCKED } from '../../src/wording/storage';
import * as lessonViewsText from '../../src/wording/rooms/lessonViews';

/*
 * Nothing that was shown as kept is lost: two pages, no room, a page that dies.
 */

const positions = (page: Page) => page.getByLabel('Positions', { exact: true }).locator('option:checked');

test('two pages with the same plan follow each other, and undo takes back what was edited here', async ({
  context,
}) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openBench(one, '/?demo');
  await openBench(two, '/');
  await two.getByLabel('Name of this plan').fill('For Friday');
  await saved(two);
  await expect(one.getByLabel('Name of this plan')).toHaveValue('For Friday');
  await setWord(one, 'Positions', 'any position');
  await saved(one);
  await expect(positions(two)).toHaveText('any position');
  await expect(two.getByText('changed on another page and now stands here')).toBeVisible();
  await two.getByRole('button', { name: 'Undo edit' }).click();
  await saved(two);
  await expect(two.getByLabel('Name of this plan')).toHaveValue('');
  await expect(positions(two)).toHaveText('any position');
  await expect(one.getByLabel('Name of this plan')).toHaveValue('');
  await one.getByRole('button', { name: 'Undo edit' }).click();
  await expect(positions(two)).toHaveText('first to third position');
});

/** Makes the browser refuse writes, as where its room is full, until it is let again. */
async function fill(page: Page, full: boolean) {
  await page.evaluate((state) => {
    const room = window as typeof window & { full?: boolean };
    if (room.full === undefined) {
      const put = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
        if (room.full) throw new DOMException('no room', 'QuotaExceededError');
        return put.apply(this, args);
      };
    }
    room.full = state;
  }, full);
}

test('two pages that changed the same plan at once both keep theirs', { tag: '@nightly' }, async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openBench(one, '/?demo');
  await openBench(two, '/');
  // The second page's change waits to be kept while the first page keeps its own.
  await fill(two, true);
  await setWord(two, 'Positions', 'any position');
  await expect(two.getByTestId('save-state')).toHaveText('Not saved');
  await setWord(one, 'Positions', 'first position only');
  await saved(one);
  await fill(two, false);
  await two.getByRole('button', { name: 'Try again' }).click();
  await expect(two.getByText(/Both are saved/)).toBeVisible();
  await saved(two);
  const third = await context.newPage();
  await openBench(third, '/');
  const kept = [
    ['Wren: E♭ major scale, two octaves, violin', 'first position only'],
    ['Wren: E♭ major scale, two octaves, violin (second version)', 'any position'],
  ] as const;
  for (const [name, words] of kept) {
    await third.getByRole('button', { name, exact: true }).click();
    await expect(positions(third)).toHaveText(words);
  }
});

test('a plan deleted on another page can be kept', async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openBench(one, '/?demo');
  await openBench(two, '/');
  const name = 'Wren: E♭ major scale, two octaves, violin';
  await one.getByRole('button', { name: `Delete ${name}`, exact: true }).click();
  await expect(two.getByText('This plan was deleted on another page')).toBeVisible();
  await two.getByRole('button', { name: 'Keep it' }).click();
  await expect(one.getByRole('button', { name, exact: true })).toBeVisible();
});

test('where there is no room it is said, the backup has everything, and room again is used', async ({ page }) => {
  await openBench(page, '/?demo');
  await fill(page, true);
  await setWord(page, 'Key', 'G');
  await expect(page.getByTestId('save-state')).toHaveText('Not saved');
  await expect(page.getByText('the browser has no room left')).toBeVisible();
  await page.getByRole('button', { name: 'Otis: F major scale, two octaves, ¾ double bass', exact: true }).click();
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('G');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  const stream = await (await download).createReadStream();
  let text = '';
  for await (const part of stream) text += String(part);
  const { plans } = JSON.parse(text) as { plans: { request: { instrument: string; material: { tonic: string } } }[] };
  const changed = plans.filter(({ request }) => request.material.tonic.startsWith('G'));
  expect(changed.map(({ request }) => request.instrument)).toEqual(['violin']);
  await fill(page, false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('G');
});

/** The process of the browser that has a profile open: its lock is a link to "machine-process". */
const browserOf = (profile: string) => Number(readlinkSync(join(profile, 'SingletonLock')).split('-').at(-1));

test('a browser that is killed has kept what it showed as kept', async ({ playwright, baseURL }) => {
  const folder = mkdtempSync(join(tmpdir(), 'dove-path-profile-'));
  const open = () => playwright.chromium.launchPersistentContext(folder, BROWSER);
  const context = await open();
  const page = await context.newPage();
  await openBench(page, `${baseURL}/?demo`);
  await setWord(page, 'Key', 'B-flat');
  await saved(page);
  process.kill(browserOf(folder), 'SIGKILL');
  await context.close().catch(() => undefined);
  const again = await open();
  const next = await again.newPage();
  await openBench(next, `${baseURL}/`);
  await expect(next.getByLabel('Name of this plan')).toHaveAttribute('placeholder', /^B♭ major scale/);
  await expect(next.getByLabel('Key', { exact: true })).toHaveValue('Bb');
  await again.close();
  rmSync(folder, { recursive: true, force: true });
});

test('a link brings its brief: to the plan that has it, or as a new one; a cut link is refused', async ({
  page,
  browser,
}) => {
  await openBench(page, '/?demo');
  await setWord(page, 'Key', 'B-flat');
  await saved(page);
  const address = new URL(page.url());
  expect(address.hash).toMatch(/^#brief=/);
  const elsewhere = await (await browser.newContext()).newPage();
  await openBench(elsewhere, `${address.origin}/${address.hash}`);
  await expect(elsewhere.getByLabel('Key', { exact: true })).toHaveValue('Bb');
  await expect(elsewhere.getByLabel('Positions', { exact: true }).locator('option:checked')).toHaveText(
    'first to third position',
  );
  await saved(elsewhere);
  await elsewhere.reload();
  await expect(elsewhere.locator('#shelf').locator('xpath=../..').getByRole('listitem')).toHaveCount(1);
  await elsewhere.goto('about:blank');
  await openBench(elsewhere, `${address.origin}/${address.hash.slice(0, 60)}`);
  await expect(elsewhere.getByText('The brief in this address cannot be read')).toBeVisible();
  await elsewhere.close();
});

test('a brief is kept under a name, begins another plan, is deleted and comes back', async ({ page }) => {
  await openBench(page, '/?demo');
  await page.getByLabel('Name for this brief').fill('Friday group');
  await page.getByRole('button', { name: 'Save this brief' }).click();
  const brief = page.getByRole('button', { name: 'New plan from the brief Friday group' });
  await setWord(page, 'Key', 'C');
  await brief.click();
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('Eb');
  await expect(page.getByLabel('Name of this plan')).toHaveValue('');
  await page.getByRole('button', { name: 'Delete the brief Friday group' }).click();
  await expect(brief).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(brief).toBeVisible();
});

test(
  'what is undone stays undone, however late the store tells of what was kept before',
  { tag: '@nightly' },
  async ({ page }) => {
    const client = await page.context().newCDPSession(page);
    await openBench(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const kept = page.getByTestId('kept');
    for (const finger of ['finger 3', 'finger 2', 'finger 4']) {
      await page.getByRole('group', { name: 'Finger', exact: true }).getByRole('button', { name: finger }).click();
      await expect(kept).toHaveCount(1);
      await setWord(page, 'Octaves', 'one-octave');
      await expect(kept).toHaveCount(0);
      // As the change is being kept.
      await page.waitForTimeout(260);
      await page.getByRole('button', { name: 'Undo edit' }).click();
      await expect(kept).toHaveCount(1);
      await saved(page);
      await page.waitForTimeout(300);
      await expect(kept).toHaveCount(1);
      await page.getByRole('button', { name: 'Undo edit' }).click();
      await expect(kept).toHaveCount(0);
      await saved(page);
    }
  },
);

test('a saved fingering stays when the planner would choose otherwise, and the new one is offered', async ({
  page,
}) => {
  await openBench(page, '/?demo');
  await page.getByLabel('Name of this plan').fill('Learned by heart');
  await saved(page);
  const learned = await staffFingers(page);
  await setPrices(page, { fourth: 9 });
  await page.reload();
  const notice = page.getByTestId('saved-fingering');
  await expect(notice).toHaveAttribute('data-standing', 'kept');
  expect(await staffFingers(page)).toEqual(learned);
  await expect(notice.getByRole('listitem').first()).toBeVisible();
  await notice.getByRole('button', { name: 'Use the new fingering' }).click();
  await expect(notice).toHaveCount(0);
  await expect.poll(() => staffFingers(page)).not.toEqual(learned);
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(notice).toBeVisible();
  await expect.poll(() => staffFingers(page)).toEqual(learned);
});

/** Has the planner reckon with other prices from the next time the page is opened. */
function setPrices(page: Page, prices: Record<string, number>) {
  return page.evaluate((text) => localStorage.setItem('dove-path-prices', text), JSON.stringify(prices));
}

const OLD_PLAN = {
  id: 'from-before',
  name: 'Before',
  request: {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'up' },
  },
  createdAt: 1,
  changedAt: 2,
};

for (const [version, plan, standing] of [
  [1, { ...OLD_PLAN, chosen: 1 }, 'lost'],
  [2, { ...OLD_PLAN, chosen: 1, studentId: null, tags: [] }, 'lost'],
  [2, { ...OLD_PLAN, chosen: 0, studentId: null, tags: [] }, null],
] as const)
  test(
    `a backup of version ${version} opens with way ${plan.chosen + 1}, and says where that is no longer known`,
    { tag: version === 1 ? [] : '@nightly' },
    async ({ page }) => {
      await openStudio(page);
      const kept = version === 1 ? { plans: [plan] } : { plans: [plan], students: [], briefs: [] };
      await page
        .locator('input[type="file"]')
        .setInputFiles({
          name: 'old.json',
          mimeType: 'application/json',
          buffer: Buffer.from(JSON.stringify({ format: 'dove-path-backup', version, savedAt: '', ...kept })),
        });
      await expect(page.getByRole('button', { name: 'Delete Before', exact: true })).toBeVisible();
      await openBench(page, '/?plan=from-before');
      await expect(page.getByLabel('Name of this plan')).toHaveValue('Before');
      const notice = page.getByTestId('saved-fingering');
      if (standing) {
        await expect(notice).toHaveAttribute('data-standing', standing);
        await notice.getByRole('button', { name: 'Keep this one' }).click();
      }
      await expect(notice).toHaveCount(0);
      await saved(page);
    },
  );

/** The goal of today's lesson, which is kept. */
async function openLesson(page: Page) {
  await page.goto('/lesson');
  await page.getByLabel('Student').selectOption({ label: 'Wren' });
  const goal = page.getByLabel('One goal, in words');
  await expect(goal).toBeVisible();
  const keep = page.getByRole('button', { name: lessonViewsText.keepForNextWeek });
  if (await keep.isVisible()) await keep.click();
  await expect(keep).toBeHidden();
  return goal;
}

/** Two pages write into one box, and undo: a step is not taken over what the other wrote since, and stays until it can be. */
async function undoStepsAside(
  [one, mine]: readonly [Page, Locator],
  [two, theirs]: readonly [Page, Locator],
  before: string,
) {
  await mine.fill('Mine');
  await mine.press('Tab');
  await expect(theirs).toHaveValue('Mine');
  await theirs.fill('Theirs, later');
  await theirs.press('Tab');
  await expect(mine).toHaveValue('Theirs, later');
  await one.getByRole('button', { name: 'Undo edit' }).click();
  await expect(one.getByText(STEP_BLOCKED)).toBeVisible();
  await expect(theirs).toHaveValue('Theirs, later');
  // The other page takes its own back; then the step that stayed can be taken.
  await two.getByRole('button', { name: 'Undo edit' }).click();
  await expect(mine).toHaveValue('Mine');
  await one.getByRole('button', { name: 'Undo edit' }).click();
  await expect(theirs).toHaveValue(before);
}

test('undo in the lesson takes nothing that another page wrote since', { tag: '@nightly' }, async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openBench(one, '/?demo');
  await one.goto('/practice');
  await one.getByLabel('Student').selectOption({ label: 'Wren' });
  // The made-up practice is put in while the page stands.
  const entries = one.getByRole('region', { name: 'Log' }).getByRole('listitem');
  await expect.poll(() => entries.count()).toBeGreaterThan(10);
  const mine = await openLesson(one);
  await mine.fill('First');
  await mine.press('Tab');
  await one.waitForTimeout(500);
  const theirs = await openLesson(two);
  await expect(theirs).toHaveValue('First');
  await one.reload();
  await openLesson(one);
  await undoStepsAside([one, mine], [two, theirs], 'First');
});

/** Opens the first entry of Wren’s log, and finds the player’s words in it. */
async function openEntry(page: Page) {
  await page.goto('/practice');
  await page.getByLabel('Student').selectOption({ label: 'Wren' });
  const log = page.getByRole('region', { name: 'Log' });
  const entries = log.getByRole('listitem').filter({ has: page.locator('[aria-expanded]') });
  await expect.poll(() => entries.count()).toBeGreaterThan(10);
  await entries.first().locator('[aria-expanded]').click();
  return entries.first().getByLabel(practiceViewsText.thePlayersWords);
}

test('undo in the log takes nothing that another page wrote since', { tag: '@nightly' }, async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await openBench(one, '/?demo');
  const mine = await openEntry(one);
  const theirs = await openEntry(two);
  const before = await mine.inputValue();
  await undoStepsAside([one, mine], [two, theirs], before);
});

test('another scale on a plan with a name begins a plan of its own; undo goes back, and who meant the plan has it changed', async ({
  page,
}) => {
  await openBench(page, '/?demo');
  await page.getByLabel('Name of this plan').fill('For Friday');
  await saved(page);
  const key = page.getByLabel('Key', { exact: true });
  await setWord(page, 'Key', 'G');
  await expect(page.getByText(appText.newPlanBegun('For Friday'))).toBeVisible();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('');
  await saved(page);
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('For Friday');
  await expect(key).toHaveValue('Eb');
  await setWord(page, 'Key', 'F');
  await expect(page.getByLabel('Name of this plan')).toHaveValue('');
  await saved(page);
  await page.getByRole('button', { name: appText.changeThisPlanInstead }).click();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('For Friday');
  await expect(key).toHaveValue('F');
  await page.getByRole('button', { name: /^Call it/ }).click();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('');
  await saved(page);
  await page.reload();
  await expect(key).toHaveValue('F');
});

test('a brief typed in whole never overwrites a saved plan, and leaves its wishes behind', async ({ page }) => {
  await openBench(page, '/?demo');
  const typed = page.getByLabel('Type the brief');
  await typed.fill('D major one octave no open strings');
  await typed.press('Enter');
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('D');
  await saved(page);
  await typed.fill('A major one octave');
  await typed.press('Enter');
  await expect(page.getByLabel('Key', { exact: true })).toHaveValue('A');
  await expect(page.getByText('no open strings', { exact: true })).toHaveCount(0);
  await saved(page);
  for (const name of ['D major', 'A major', 'E♭ major'])
    await expect(page.getByRole('button', { name: new RegExp(`^Wren: ${name} scale`) }).first()).toBeAttached();
});
