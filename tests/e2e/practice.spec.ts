import { readFile } from 'node:fs/promises';
import type { Download, Page } from '@playwright/test';
import { expect, test } from './shared';
import { keptRows, openBench, ready, repetition, serious, studentWithPlan } from './bench';

async function openPractice(page: Page, address = '/practice') {
  await page.goto(address);
  await ready(page);
}

/** From a plan to a session on it. */
const practiceLink = (page: Page) =>
  page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Practice' });
const session = (page: Page) => page.getByTestId('session');
const count = (page: Page) => page.getByTestId('count');
const prompt = (page: Page) => page.getByTestId('prompt');

const logEntries = (page: Page) => page.getByRole('region', { name: 'Log' }).getByRole('listitem');

/** What the teacher wrote into lessons. */
const keptLessonWords = async (page: Page) =>
  (await keptRows<{ readonly words: string }>(page, 'lessons')).map(({ words }) => words);

async function fileOf(download: Promise<Download>): Promise<string> {
  return readFile(await (await download).path(), 'utf8');
}

async function bringIn(page: Page, text: string) {
  const file = { name: 'practice.json', mimeType: 'application/json', buffer: Buffer.from(text) };
  await page.getByLabel('Practice file', { exact: true }).setInputFiles(file);
}

test(
  'a session is left, gone on with, taken back in part, and stands in the log',
  { tag: '@nightly' },
  async ({ page }) => {
    await studentWithPlan(page, 'Ada');
    // Monday, interrupted: one clean, one low somewhere, and the page goes.
    await practiceLink(page).click();
    await ready(page);
    await page.getByLabel('One goal, in words').fill('The thumb comes along');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(session(page)).toContainText('The thumb comes along');
    await repetition(page, 'PageDown');
    await expect(count(page)).toContainText('1 of 5 times');
    await repetition(page, 'l');
    await expect(prompt(page)).toContainText('Which note was low?');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('PageDown');
    await expect(count(page)).toContainText('2 of 5 times');
    await openPractice(page);
    await expect(page.getByRole('region', { name: 'A session was left in the middle' })).toContainText(
      '2 repetitions so far',
    );
    await page.getByRole('link', { name: 'Go on', exact: true }).click();
    await expect(count(page)).toContainText('2 of 5 times');
    // The last is taken back, and made again.
    await page.keyboard.press('Backspace');
    await expect(count(page)).toContainText('1 of 5 times');
    for (const judged of ['PageDown', 'h', 'PageDown', 'PageDown'] as const) {
      await repetition(page, judged);
      if (judged === 'h') await page.getByRole('button', { name: 'here', exact: true }).click();
    }
    await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible();
    await page.getByLabel('How was it, in a few words').fill('better at the end');
    await page.getByRole('button', { name: 'Save to the log' }).click();
    await ready(page);
    await expect(logEntries(page)).toHaveCount(1);
    await expect(logEntries(page)).toContainText('5 repetitions, 1 high');
    await expect(logEntries(page)).toContainText('better at the end');
  },
);

test(
  'a student’s week: the file home, three sessions there, back, and the lesson',
  { tag: '@nightly' },
  async ({ page, browser }) => {
    await studentWithPlan(page, 'Ada');
    await practiceLink(page).click();
    await ready(page);
    await page.getByRole('button', { name: 'Begin' }).click();
    await repetition(page, 'PageDown');
    await expect(count(page)).toContainText('1 of 5 times');
    await page.getByRole('button', { name: 'End', exact: true }).click();
    await page.getByLabel('How was it, in a few words').fill('better at the end');
    await page.getByRole('button', { name: 'Save to the log' }).click();
    await ready(page);
    const taken = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Practice file' }).click();
    const home = await fileOf(taken);
    expect(JSON.parse(home)).toMatchObject({ format: 'dove-path-practice', student: { name: 'Ada' } });

    // On another computer: the student alone, three sessions.
    const other = await (await browser.newContext()).newPage();
    await openPractice(other);
    await expect(other.getByText('Nobody is in the Studio yet')).toBeVisible();
    await bringIn(other, home);
    await expect(other.getByRole('status').filter({ hasText: 'Ada is here now' })).toBeVisible();
    await expect(logEntries(other)).toHaveCount(1);
    for (let day = 0; day < 3; day++) {
      await openPractice(other);
      await other
        .getByRole('link', { name: /^Practise/ })
        .first()
        .click();
      await ready(other);
      await other.getByRole('button', { name: 'Begin' }).click();
      await repetition(other, 'PageDown');
      await expect(count(other)).toContainText('1 of 5 times');
      await other.getByRole('button', { name: 'End', exact: true }).click();
      await other.getByLabel('A question for the teacher').fill(`Which bow, ${day}?`);
      await other.getByRole('button', { name: 'Save to the log' }).click();
      await ready(other);
      await expect(logEntries(other)).toHaveCount(2 + day);
    }
    const brought = other.waitForEvent('download');
    await other.getByRole('button', { name: 'Practice file' }).click();
    const back = await fileOf(brought);

    // Back with the teacher, brought in twice: nothing is counted twice.
    await openPractice(page);
    await bringIn(page, back);
    await expect(page.getByRole('status').filter({ hasText: '3 new entries and 3 repetitions' })).toBeVisible();
    await expect(logEntries(page)).toHaveCount(4);
    await bringIn(page, back);
    await expect(page.getByText('nothing was counted twice')).toBeVisible();
    await expect(logEntries(page)).toHaveCount(4);

    // The lesson: what happened, what is asked, and next week as the teacher wants it.
    await page.getByRole('link', { name: 'Lesson page' }).click();
    await ready(page);
    await expect(page.getByRole('region', { name: 'What happened' })).toContainText('4 sessions');
    await expect(page.getByRole('region', { name: 'What happened' })).toContainText('Which bow, 2?');
    const next = page.getByTestId('next-week');
    await next.getByLabel('Minutes a day').fill('12');
    await expect(next.getByTestId('day-minutes')).toContainText('12 minutes of 12');
    await next.getByLabel('One goal, in words').fill('Hear each shift');
    await next.getByLabel(/^Words for One hard place|^Words for The hardest place/).fill('Bars 2 and 3, slowly');
    await next.getByRole('button', { name: 'Keep for next week' }).click();
    await expect(next).toContainText('Kept');
    await next.getByLabel('The teacher’s words').fill('Slow bow');
    await expect.poll(() => keptLessonWords(page)).toEqual(['Slow bow']);
    await next.getByRole('button', { name: 'Undo edit' }).click();
    await expect.poll(() => keptLessonWords(page)).toEqual(['']);
    await next.getByRole('button', { name: 'Redo edit' }).click();
    await expect.poll(() => keptLessonWords(page)).toEqual(['Slow bow']);
    await page.reload();
    await ready(page);
    await expect(next.getByLabel('The teacher’s words')).toHaveValue('Slow bow');
    await openPractice(page);
    const week = page.getByRole('region', { name: 'This week' });
    await expect(week).toContainText('Hear each shift');
    await expect(week).toContainText('Bars 2 and 3, slowly');
    await other.context().close();
  },
);

test('files that are no practice file, cut off, or another student’s are told, and nothing is lost', async ({
  page,
}) => {
  await studentWithPlan(page, 'Bo');
  await openPractice(page);
  const taken = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Practice file' }).click();
  const text = await fileOf(taken);
  await bringIn(page, text.slice(0, 80));
  await expect(page.getByText('it is not JSON, or it was cut off')).toBeVisible();
  await bringIn(page, text.replace('"version":1', '"version":9'));
  await expect(page.getByText('comes from a later version')).toBeVisible();
  const stranger = JSON.parse(text);
  await bringIn(
    page,
    JSON.stringify({ ...stranger, student: { ...stranger.student, id: 'stranger', name: 'Cy' }, plans: [] }),
  );
  await expect(page.getByText('This file is Cy’s, not Bo’s; it was put to Cy.')).toBeVisible();
});

test('a session by keyboard alone, through a ladder with a goal; a ladder that goes nowhere is told', async ({
  page,
}) => {
  await studentWithPlan(page, 'Key');
  await practiceLink(page).press('Enter');
  await ready(page);
  await page.getByRole('button', { name: 'metronome' }).press('Enter');
  await page.getByLabel('To', { exact: true }).last().fill('30');
  await expect(page.getByRole('alert')).toContainText('This ladder goes nowhere: its goal (30) is not above its start');
  await expect(page.getByRole('button', { name: 'Begin' })).toBeDisabled();
  await page.getByLabel('To', { exact: true }).last().fill('100');
  await page.getByLabel('How many steps', { exact: true }).fill('2');
  await page.getByLabel('Clean times in a row').fill('1');
  await expect(page.getByTestId('ladder-steps')).toContainText('3 steps');
  await page.getByRole('button', { name: 'Begin' }).press('Enter');
  await expect(page.getByTestId('step')).toContainText('♩ = 42');
  await repetition(page, 'PageDown');
  await expect(page.getByTestId('step')).toContainText('♩ = 71');
  await repetition(page, 'm');
  await page.keyboard.press('Enter');
  await repetition(page, 'm');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('step')).toContainText('♩ = 42');
  await expect(prompt(page)).toContainText('a step back');
  for (const next of ['♩ = 71', '♩ = 100']) {
    await repetition(page, 'PageDown');
    await expect(page.getByTestId('step')).toContainText(next);
  }
  await repetition(page, 'PageDown');
  await expect(page.getByRole('heading', { name: 'Done: ♩ = 100' })).toBeVisible();
  await page.getByLabel('How was it, in a few words').focus();
  await page.keyboard.type('done');
  await page.getByRole('button', { name: 'Save to the log' }).press('Enter');
  await ready(page);
  await expect(logEntries(page)).toContainText('♩ = 100');
  // A slip of the pen: a day that is still to come is told, kept, and not counted.
  await logEntries(page).getByRole('button', { name: /100/ }).press('Enter');
  await page.getByLabel('Day', { exact: true }).fill('2090-01-01');
  await expect(page.getByRole('alert')).toContainText('1 entry dated in the future');
  await expect(page.getByText('Nothing was practised in the last six weeks')).toBeVisible();
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });
  test('a session by touch alone, the note that was off by a tap; nothing scrolls', async ({ page }) => {
    await studentWithPlan(page, 'Toe');
    await practiceLink(page).tap();
    await ready(page);
    await page.getByRole('button', { name: 'Begin' }).tap();
    await page.getByRole('button', { name: 'stop', exact: true }).tap();
    await page.getByRole('button', { name: 'high', exact: true }).tap();
    await page.getByRole('button', { name: 'yes, it was', exact: true }).tap();
    await expect(prompt(page)).toContainText('Which note was high?');
    await page.getByRole('button', { name: 'Note 3', exact: true }).tap();
    await expect(count(page)).toContainText('1 of 5 times');
    const scrolls = await page.evaluate(() => document.documentElement.scrollHeight > innerHeight + 1);
    expect(scrolls).toBe(false);
    await page.getByRole('button', { name: 'take back', exact: true }).tap();
    await expect(count(page)).toContainText('0 of 5 times');
  });
});

test(
  'the metronome keeps to the audio clock, and lays its clicks out ahead, further in a hidden page',
  { tag: '@nightly' },
  async ({ page }) => {
    await studentWithPlan(page, 'Tick');
    await practiceLink(page).click();
    await ready(page);
    await page.getByLabel('Beats a minute').fill('180');
    await page.getByLabel('Clicks to a beat').selectOption('2');
    await page.getByRole('button', { name: 'Begin' }).click();
    const clicks = () =>
      page.evaluate(() => performance.getEntriesByName('click').map((mark) => (mark as PerformanceMark).detail));
    await expect.poll(async () => (await clicks()).length).toBeGreaterThan(10);
    // Another page lies over this one: the browser would run its timers once a second.
    await page.evaluate(() => {
      Object.defineProperty(document, 'hidden', { value: true, configurable: true });
      document.dispatchEvent(new Event('visibilitychange'));
    });
    await expect.poll(async () => Math.max(...(await clicks()).map(({ ahead }) => ahead))).toBeGreaterThan(2);
    await expect(prompt(page)).toContainText('How was it', { timeout: 20_000 });
    const marks = await clicks();
    // Four beats are counted in, then half beats: at 180 a minute a sixth of a second each.
    const after = marks.slice(4).map(({ time }) => time);
    after.slice(1).forEach((time, at) => expect(Math.abs(time - after[0] - (at + 1) / 6)).toBeLessThan(0.002));
    // A machine that stalls may lay one out late; what is asserted is that they are laid out ahead, and where on the audio clock.
    const late = marks.filter(({ ahead }) => ahead <= 0).length;
    expect(late).toBeLessThanOrEqual(Math.floor(marks.length / 10));
  },
);

test('cards: made of a position and of a plan, answered on the neck, by letters and by keys; a wrong one shows where it is', async ({
  page,
}) => {
  await studentWithPlan(page, 'Card');
  await page.goto('/cards');
  await ready(page);
  await page.getByRole('button', { name: 'Make cards', exact: true }).click();
  await expect(page.getByText(/new cards put into the box/)).toBeVisible();
  await page.getByRole('button', { name: 'Make cards', exact: true }).click();
  await expect(page.getByText('All of these cards are in the box already')).toBeVisible();
  await page.getByLabel('About').selectOption('checks');
  await page.getByRole('button', { name: 'Make cards of it' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'its checks' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  const card = page.getByTestId('card');
  await expect(card).toBeVisible();
  for (let turn = 0; turn < 5; turn++) {
    const kind = (await card.getAttribute('data-kind')) ?? '';
    if (kind === 'place' || kind === 'elsewhere') {
      const spot = card.getByTestId('field').getByRole('button').first();
      await spot.focus();
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('Enter');
    } else if (await card.getByRole('textbox').count()) {
      await card.getByRole('textbox').fill('x');
      await page.keyboard.press('Enter');
      await expect(card.getByRole('alert')).toContainText('is not a note');
      await card.getByRole('textbox').fill('F#');
      await page.keyboard.press('Enter');
    } else await page.keyboard.press('1');
    await expect(page.getByTestId('verdict')).toContainText(/^(Right\.|No, not)/);
    // Where it lies is shown, whichever way it was answered.
    await expect(card.getByTestId('field')).toBeVisible();
    await page.getByRole('button', { name: 'Next', exact: true }).press('Enter');
    await expect(page.getByTestId('verdict')).toBeEmpty();
  }
});

/** Opens the log of the made-up studio, which is put in while the page stands. */
async function openMadeUpLog(page: Page) {
  await openBench(page, '/?demo');
  await openPractice(page);
  await page.getByLabel('Student').selectOption({ label: 'Wren' });
  await expect.poll(() => logEntries(page).count()).toBeGreaterThan(10);
}

test('axe finds nothing serious in practice, cards, progress and the lesson', { tag: '@nightly' }, async ({ page }) => {
  await openMadeUpLog(page);
  expect(await serious(page)).toEqual([]);
  for (const view of ['/cards', '/progress', '/lesson']) {
    await openPractice(page, view);
    if (view === '/progress') await expect(page.getByTestId('tempo-chart')).toBeVisible();
    expect(await serious(page), view).toEqual([]);
  }
  await expect(page.getByTestId('trends')).toContainText('Third finger in third position: low in');
});

test('axe finds nothing serious in a session', { tag: '@nightly' }, async ({ page }) => {
  await openMadeUpLog(page);
  await page
    .getByTestId('day')
    .getByRole('button', { name: /^Practise / })
    .nth(1)
    .click();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(session(page).getByTestId('staff').first()).toBeVisible();
  expect(await serious(page)).toEqual([]);
});
