import type { BrowserContext, Locator, Page } from '@playwright/test';
import { expect, test } from './shared';
import { keptRows, openBench, openStudio, repetition, saved, setWord, studentsOf } from './bench';
import { refuseWrites } from '../support/storm';

/*
 * A storage that another page keeps busy: nothing is taken for empty, nothing is put in the place of what was asked for, and each view heals by itself.
 */

const wait = (page: Page) => page.getByTestId('storage-wait');

/** A page that keeps the storage to itself, as a restore does. */
async function holderIn(context: BrowserContext) {
  const page = await context.newPage();
  await page.goto('/keys');
  return {
    hold: () =>
      page.evaluate(
        () =>
          new Promise<void>((held) => {
            Object.assign(window, { isHeld: true });
            const opening = indexedDB.open('dove-path');
            opening.onsuccess = () => {
              const database = opening.result;
              const keep = database.transaction([...database.objectStoreNames], 'readwrite');
              const again = () => {
                const asking = keep.objectStore('plans').get('nothing');
                asking.onsuccess = () => (window as unknown as { isHeld: boolean }).isHeld && again();
              };
              again();
              keep.oncomplete = () => database.close();
              held();
            };
          }),
      ),
    release: () => page.evaluate(() => Object.assign(window, { isHeld: false }) && undefined),
  };
}

/** What stands in a view once it has read what was asked for. */
const VIEWS: readonly (readonly [string, string])[] = [
  ['/?plan=PLAN', 'Save as'],
  ['/studio?student=STUDENT', 'To remember'],
  ['/practice?student=STUDENT', 'This week'],
  ['/lesson?student=STUDENT', 'Since'],
];
const MORE_VIEWS: typeof VIEWS = [
  ['/hand?plan=PLAN', 'Finger patterns'],
  ['/shifts?plan=PLAN', 'How hard'],
  ['/ear?plan=PLAN', 'equal temperament'],
  ['/sheet?plan=PLAN', 'finger patterns'],
  ['/cards?student=STUDENT', 'Make a deck'],
  ['/progress?student=STUDENT', 'What the last six weeks say'],
  ['/book?student=STUDENT', 'A new book for'],
];

test(
  'while another page holds the storage each view says that it reads, and opens what was asked for after it',
  { tag: '@nightly' },
  async ({ context, page }) => {
    test.setTimeout(120_000);
    await openStudio(page, '/studio?demo');
    const { plan, student } = await studentsOf(page, 'Wren');
    const { hold, release } = await holderIn(context);
    for (const [address, words] of process.env.NIGHTLY ? [...VIEWS, ...MORE_VIEWS] : VIEWS) {
      await hold();
      await page.goto(address.replace('PLAN', plan).replace('STUDENT', student));
      await expect(wait(page)).toContainText(/Still reading (plans|students)/);
      if (process.env.NIGHTLY) await page.waitForTimeout(9000);
      await expect(page.getByText(/Nobody here yet|No plan is saved|cannot be read|Not saved/)).toHaveCount(0);
      await expect(page.locator('main').getByText(words).filter({ visible: true })).toHaveCount(0);
      await release();
      await expect(page.locator('main').getByText(words).filter({ visible: true }).first()).toBeVisible();
      await expect(wait(page)).toHaveCount(0);
      expect(page.url()).toContain(address.includes('PLAN') ? plan : student);
    }
  },
);

test('an edit that waits for the storage is being saved, not unsaved, and is there once the storage answers', async ({
  context,
  page,
}) => {
  await openBench(page, '/?demo');
  await saved(page);
  const { hold, release } = await holderIn(context);
  await hold();
  await page.getByLabel('Name of this plan').fill('Written late');
  await expect(wait(page)).toContainText('Still saving plans');
  await expect(page.getByTestId('save-state')).toHaveText('Saving …');
  await expect(page.getByText('Not saved')).toHaveCount(0);
  await release();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of this plan')).toHaveValue('Written late');
});

test(
  'what was planned meanwhile stays on the stand, and what was asked for opens when it is wanted',
  { tag: '@nightly' },
  async ({ context, page }) => {
    await openStudio(page, '/studio?demo');
    const { plan } = await studentsOf(page, 'Wren');
    const { hold, release } = await holderIn(context);
    await hold();
    await page.goto(`/?plan=${plan}`);
    await page.getByRole('button', { name: 'Plan something else meanwhile' }).click();
    await expect(page.getByTestId('staff').first()).toBeVisible();
    await setWord(page, 'Key', 'G');
    await release();
    await expect(page.getByText('The browser’s storage answers again')).toBeVisible();
    await expect(page.getByLabel('Key', { exact: true })).toHaveValue('G');
    await page.getByRole('button', { name: 'Open it' }).click();
    await expect(page).toHaveURL(new RegExp(plan));
    await expect(page.getByLabel('Student', { exact: true }).locator('option:checked')).toHaveText('Wren');
  },
);

test('where the storage never answers planning works meanwhile', { tag: '@nightly' }, async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => ({ addEventListener() {} }) as unknown as IDBOpenDBRequest;
  });
  await page.goto('/studio');
  await expect(wait(page)).toContainText('Still reading');
  await expect(page.getByText('Nobody here yet')).toHaveCount(0);
  await page.goto('/');
  await expect(page.getByTestId('staff')).not.toBeVisible();
  await page.getByRole('button', { name: 'Plan something else meanwhile' }).click();
  await expect(page.getByTestId('staff').first()).toBeVisible();
  await setWord(page, 'Key', 'G');
  await expect(page.getByRole('region', { name: /ways?$/ })).toBeVisible();
});

test('what fails on a full disk is gathered, and “Try again” writes all of it', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  await page.getByRole('button', { name: /^Wren/ }).click();
  await refuseWrites(page, true);
  await page.getByLabel('To remember').fill('Bring the mute');
  await page.getByLabel('To remember').blur();
  await page.getByRole('button', { name: /^Juno/ }).click();
  await page.getByLabel('To remember').fill('New strings');
  await page.getByLabel('To remember').blur();
  await expect(page.getByText('2 changes wait')).toBeVisible();
  await refuseWrites(page, false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('the browser has no room left')).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('To remember')).toHaveValue('New strings');
  await page.getByRole('button', { name: /^Wren/ }).click();
  await expect(page.getByLabel('To remember')).toHaveValue('Bring the mute');
});

/** Answers a card, rightly or not. */
async function answered(page: Page, card: Locator) {
  const kind = (await card.getAttribute('data-kind')) ?? '';
  if (kind === 'place' || kind === 'elsewhere') {
    await card.getByTestId('field').getByRole('button').first().press('ArrowRight');
    await page.keyboard.press('Enter');
  } else if (await card.getByRole('textbox').count()) {
    await card.getByRole('textbox').fill('F#');
    await page.keyboard.press('Enter');
  } else await page.keyboard.press('1');
  await expect(page.getByTestId('verdict')).toContainText(/^(Right\.|No, not)/);
}

test(
  'repetitions and answers on a full disk wait, and are all there after “Try again”',
  { tag: '@nightly' },
  async ({ page }) => {
    await openStudio(page, '/studio?demo');
    const { student, plan } = await studentsOf(page, 'Wren');
    const noRoom = page.getByText('the browser has no room left');
    await page.goto(`/practice?plan=${plan}`);
    await page.getByRole('button', { name: 'Begin' }).click();
    const rows = async (table: string) => (await keptRows(page, table)).length;
    const [repetitions, answers] = [await rows('repetitions'), await rows('answers')];
    await refuseWrites(page, true);
    for (let at = 0; at < 2; at++) await repetition(page, 'PageDown');
    await expect(page.getByText('2 changes wait')).toBeVisible();
    await refuseWrites(page, false);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(noRoom).toHaveCount(0);
    await expect.poll(() => rows('repetitions')).toBe(repetitions + 2);
    await page.goto(`/cards?student=${student}`);
    await page.getByRole('button', { name: 'Make cards', exact: true }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    const card = page.getByTestId('card');
    await expect(card).toBeVisible();
    await refuseWrites(page, true);
    await answered(page, card);
    await expect(noRoom).toBeVisible();
    await refuseWrites(page, false);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(noRoom).toHaveCount(0);
    await expect.poll(() => rows('answers')).toBe(answers + 1);
  },
);
