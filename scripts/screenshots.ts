/*
 * npm run screenshots: one picture of each main view from the demo data, into docs/screenshots. Builds first.
 */
import { chromium, type Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { BROWSER, startServer } from './server.mjs';
import { ensureChromium, ensurePackages, run } from './setup.mjs';

const FOLDER = 'docs/screenshots';
const word = (page: Page, label: string, value: string) => page.getByLabel(label, { exact: true }).selectOption(value);

const openPlan = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

async function openView(page: Page, view: string, plan: string) {
  await openPlan(page, plan);
  await page.waitForTimeout(400);
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).click();
  await page.locator('main[data-ready="true"]').waitFor();
}

/** Opens a view of one student's practice, once the made-up log is there. */
async function openStudent(page: Page, address: string, view: string, name: string) {
  await page.waitForFunction(() => globalThis.localStorage.getItem('dove-path-demo-practice') === null);
  await page.goto(`${address}/${view}`);
  await page.locator('main[data-ready="true"]').waitFor();
  await page.getByLabel('Student').selectOption({ label: name });
  await page.waitForTimeout(800);
}

async function startSession(page: Page, address: string) {
  await openStudent(page, address, 'practice', 'Wren');
  await page.getByTestId('day').getByRole('button').nth(1).click();
  await page.getByRole('button', { name: 'Third finger in third position' }).click();
  await page.getByRole('button', { name: 'metronome' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByTestId('staff').first().waitFor();
}

async function moveRight(page: Page, times: number) {
  await page.waitForTimeout(300);
  await page.getByRole('application').focus();
  for (let at = 0; at < times; at++) await page.keyboard.press('ArrowRight');
}

/** What is shown in each picture, beginning from the freshly opened demo. */
const SHOTS = {
  'bench-violin': async (page: Page) => {
    await word(page, 'Octaves', '3');
    await word(page, 'Key', 'A');
    await word(page, 'Positions', 'null');
    await page.waitForTimeout(300);
    await moveRight(page, 18);
  },
  'bench-cello-thumb': async (page: Page) => {
    await openPlan(page, 'Juno: D major into thumb position');
    await moveRight(page, 22);
  },
  'bench-bass': async (page: Page) => {
    await openPlan(page, 'Otis: F major scale, two octaves, ¾ double bass');
    await moveRight(page, 11);
  },
  'bench-edit': async (page: Page) => {
    await moveRight(page, 6);
    await page.keyboard.press('2');
    await page.getByTestId('outcome').waitFor();
    await page.getByTestId('neck').scrollIntoViewIfNeeded();
  },
  studio: async (page: Page, address: string) => {
    await page.goto(`${address}/studio`);
    await page.getByRole('button', { name: /^Pip/ }).click();
  },
  hand: (page: Page) => openView(page, 'Hand', 'Wren: E♭ major scale, two octaves, violin'),
  shifts: (page: Page) => openView(page, 'Shifts', 'Juno: D major into thumb position'),
  ear: (page: Page) => openView(page, 'Ear', 'Otis: F major scale, two octaves, ¾ double bass'),
  takes: async (page: Page) => {
    await openView(page, 'Takes', 'Wren: E♭ major scale, two octaves, violin');
    await page.getByLabel('How it plays').selectOption({ index: 1 });
    await page.getByRole('button', { name: 'At once, without sound' }).click();
    await page.getByTestId('ghost-hand').waitFor();
    await page.getByTestId('heard').evaluate((box) => box.scrollIntoView());
  },
  practice: async (page: Page, address: string) => {
    await startSession(page, address);
    await page.keyboard.press('Space');
    await page.waitForTimeout(9000);
  },
  'practice-today': (page: Page, address: string) => openStudent(page, address, 'practice', 'Wren'),
  cards: async (page: Page, address: string) => {
    await openStudent(page, address, 'cards', 'Pip');
    await page.getByRole('button', { name: 'Make cards', exact: true }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByTestId('field').getByRole('button').nth(6).click();
    await page
      .getByTestId('verdict')
      .getByText(/Right|No, not/)
      .waitFor();
  },
  progress: async (page: Page, address: string) => {
    await openStudent(page, address, 'progress', 'Wren');
    await page.getByTestId('tempo-chart').locator('path').first().waitFor();
  },
  lesson: (page: Page, address: string) => openStudent(page, address, 'lesson', 'Juno'),
  sheet: async (page: Page) => {
    await openView(page, 'Sheet', 'Wren: E♭ major scale, two octaves, violin');
    await page.locator('[data-testid="laid"][data-state="laid"]').waitFor();
  },
  book: async (page: Page, address: string) => {
    await openStudent(page, address, 'book', 'Wren');
    await page.getByRole('button', { name: 'Make this book' }).click();
    await page.locator('[data-testid="made"][data-whole="true"]').waitFor();
    await page.getByRole('button', { name: 'D major scale, two octaves', exact: true }).click();
    await page.waitForTimeout(600);
  },
  class: async (page: Page, address: string) => {
    await page.goto(`${address}/class`);
    await page.getByLabel('Notes to a bow').selectOption('2');
    await page.locator('main[data-ready="true"]').waitFor();
    await page.waitForTimeout(600);
  },
  'bench-piece': async (page: Page) => {
    const typed = page.getByRole('textbox', { name: 'Type the brief' });
    const say = async (text: string) => {
      await typed.fill(text);
      await typed.press('Enter');
      await page.waitForTimeout(800);
    };
    await say('G major');
    await say('my own notes');
    await page.getByRole('textbox', { name: 'Notes', exact: true }).fill(PIECE);
    await page.waitForTimeout(800);
    for (const text of ['at 84 bpm', 'third position, bars 12 and 13', 'bars 19 to 20 same as bar 1']) await say(text);
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await page
      .getByTestId('ways-head')
      .getByText(/^\d+ ways$/)
      .waitFor();
    await page.getByLabel('Fingers on the staff').selectOption('decisive');
    await page.getByTestId('phrases').first().waitFor();
    await page.waitForTimeout(800);
    await page
      .getByTestId('phrases')
      .first()
      .evaluate((row) => row.scrollIntoView({ block: 'start' }));
    await page.waitForTimeout(400);
  },
  path: async (page: Page, address: string) => {
    await openStudent(page, address, 'path', 'Pip');
    await page.getByTestId('stones').waitFor({ timeout: 60_000 });
    await page.waitForTimeout(800);
  },
};

/** A made-up piece of 48 bars: a tune, a middle part, the tune again, with rests between. */
const TUNE =
  'D5:1 B4:1/2 C5 D5:1 G4 | A4 B4:1/2 C5 B4:1 A4 | B4 D5 G5 F#5 | E5 D5 B4:2 | C5:1 E5 D5 C5 | B4 D5 C5 B4 | A4 B4:1/2 A4 G4:1 F#4 | G4:4';
const MIDDLE =
  'E4:1 G4 B4 E5 | D5 C5 B4 A4 | D4 F#4 A4 D5 | C5 B4 A4 G4 | C4 E4 G4 C5 | B4 A4 G4 F#4 | B3 D#4 F#4 B4 | E4:4';

const PIECE = [
  TUNE,
  '-:4',
  MIDDLE,
  '-:4',
  TUNE,
  '-:4',
  MIDDLE,
  '-:4',
  TUNE,
  TUNE.split(' | ').slice(4).join(' | '),
].join(' | ');

/** Pictures of what stands further down the page. */
const LOWER = new Set(['bench-edit', 'bench-piece', 'takes']);

ensurePackages();
ensureChromium();
run('npx', ['astro', 'build', '--silent']);
mkdirSync(FOLDER, { recursive: true });
const { address, stop } = await startServer();
const browser = await chromium.launch(BROWSER);
try {
  for (const [name, arrange] of Object.entries(SHOTS)) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(`${address}/?demo`);
    await page.locator('main[data-ready="true"]').waitFor();
    await arrange(page, address);
    await page.mouse.move(640, 4);
    await page.waitForTimeout(600);
    if (!LOWER.has(name)) await page.evaluate('scrollTo(0, 0)');
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    console.log(`${FOLDER}/${name}.png`);
    await context.close();
  }
} finally {
  await browser.close();
  stop();
}
