import { chromium, type Browser, type Page } from '@playwright/test';
import { gzipSync } from 'node:zlib';
import { BROWSER, startServer } from './server.mjs';
import { ensureChromium } from './setup.mjs';
import * as measuringText from '../src/wording/rooms/measuring';

/** Keys gone through, one after the other, while the page's long tasks are watched. */
const KEYS = ['D', 'Eb', 'F', 'F#', 'G', 'Ab', 'Bb', 'B', 'C', 'E', 'A'];

interface Change {
  readonly toPictureMs: number;
  readonly longestTaskMs: number;
}

/** Changes the key and waits for the staff to show it; long tasks are those the browser itself reports (50 ms and more). */
async function changeKey(page: Page, key: string): Promise<Change> {
  return page.evaluate(async (name) => {
    const tasks: number[] = [];
    const watcher = new PerformanceObserver((list) => tasks.push(...list.getEntries().map((entry) => entry.duration)));
    watcher.observe({ type: 'longtask' });
    const staff = document.querySelector('[data-testid="staff"]');
    const word = document.querySelector<HTMLSelectElement>('select[aria-label="Key"]');
    if (!staff || !word) throw new Error('the Bench is not there');
    const drawn = new Promise<void>((done) => {
      const eyes = new MutationObserver(() => {
        eyes.disconnect();
        requestAnimationFrame(() => done());
      });
      eyes.observe(staff, { childList: true, subtree: true });
    });
    const start = performance.now();
    word.value = name;
    word.dispatchEvent(new Event('change', { bubbles: true }));
    await drawn;
    const toPictureMs = performance.now() - start;
    await new Promise((done) => setTimeout(done, 200));
    watcher.disconnect();
    return { toPictureMs, longestTaskMs: Math.max(0, ...tasks) };
  }, key);
}

interface Case {
  readonly what: string;
  readonly limitMs: number;
  readonly arrange: (page: Page) => Promise<void>;
}

const word = (page: Page, label: string, value: string) => page.getByLabel(label, { exact: true }).selectOption(value);

/** A line that wanders over the strings, to be typed. */
function typedLine(notes: number): string {
  const names = 'G3 A3 B3 C4 D4 E4 F4 G4 A4 B4 C5 D5 E5 F5 G5 A5 B5 C6'.split(' ');
  const at = (n: number) => Math.abs(((n * 7 + Math.floor(n / 5) * 3) % (2 * names.length - 2)) - names.length + 1);
  return Array.from({ length: notes }, (_, n) => names[at(Math.floor(n / 3))] ?? names[0]).join(' ');
}

async function typeNotes(page: Page, notes: number) {
  await word(page, 'Kind', 'typed');
  await page.getByLabel('Notes', { exact: true }).fill(typedLine(notes));
  await page.getByText(measuringText.ofBar1(notes)).waitFor();
}

const CASES: readonly Case[] = [
  {
    what: measuringText.threeOctavesUpAnd,
    limitMs: 50,
    arrange: async (page) => {
      await word(page, 'Octaves', '3');
      await word(page, 'Direction', 'updown');
    },
  },
  { what: measuringText.n60Notes, limitMs: 50, arrange: (page) => typeNotes(page, 60) },
  { what: measuringText.n1000Notes, limitMs: 100, arrange: (page) => typeNotes(page, 1000) },
];

/** From a changed key to the new picture, the longest task of the main thread meanwhile, and the first view of a cold load. */
export async function benchPage() {
  ensureChromium();
  const { address, stop } = await startServer();
  const browser = await chromium.launch(BROWSER);
  try {
    const rows = [];
    for (const { what, limitMs, arrange } of CASES) {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      await page.goto(address);
      await page.locator('main[data-ready="true"]').waitFor();
      await arrange(page);
      await page.waitForTimeout(800);
      const changes: Change[] = [];
      for (const key of KEYS) changes.push(await changeKey(page, key));
      const pictures = changes.map(({ toPictureMs }) => toPictureMs).sort((a, b) => a - b);
      rows.push({
        what,
        'median ms': Math.round(pictures[pictures.length >> 1]),
        'slowest ms': Math.round(pictures[pictures.length - 1]),
        'limit ms': limitMs,
        'longest task ms': Math.round(Math.max(...changes.map(({ longestTaskMs }) => longestTaskMs))),
      });
      await page.context().close();
    }
    console.log(measuringText.inThePageKey);
    console.table(rows);
    const { readyMs, scriptKb, notationKb } = await coldLoad(browser, address);
    console.log(measuringText.coldLoadToA(readyMs));
    console.log(measuringText.scriptOfTheFirst(scriptKb, notationKb));
  } finally {
    await browser.close();
    stop();
  }
}

/** The engraver with the signs it draws. */
const isNotation = (url: string) => /\/engrave\./.test(url);

/** A first visit with nothing cached or kept: when the plan stands and can be worked at, and what script that took. */
async function coldLoad(browser: Browser, address: string) {
  const visits: { readyMs: number; scriptKb: number; notationKb: number }[] = [];
  for (let visit = 0; visit < 5; visit++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const scripts: Promise<number>[] = [];
    const notation: Promise<number>[] = [];
    page.on('response', (response) => {
      if (response.request().resourceType() !== 'script') return;
      const size = response.body().then(
        (body) => gzipSync(body).length,
        () => 0,
      );
      (isNotation(response.url()) ? notation : scripts).push(size);
    });
    await page.goto(address, { waitUntil: 'commit' });
    await page.locator('main[data-ready="true"]').waitFor();
    const readyMs = Math.round(await page.evaluate(() => performance.now()));
    await page.getByTestId('staff').locator('svg').waitFor();
    const kb = async (sizes: Promise<number>[]) =>
      Math.round((await Promise.all(sizes)).reduce((sum, size) => sum + size, 0) / 1000);
    visits.push({ readyMs, scriptKb: await kb(scripts), notationKb: await kb(notation) });
    await context.close();
  }
  visits.sort((a, b) => a.readyMs - b.readyMs);
  return visits[visits.length >> 1];
}
