/*
 * npm run screenshots: one picture of each main view from the demo data, into docs/screenshots. Builds first.
 */
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { BROWSER, startServer } from './server.mjs';
import { ensureChromium, ensurePackages, run } from './setup.mjs';

const FOLDER = 'docs/screenshots';
const word = (page, label, value) => page.getByLabel(label, { exact: true }).selectOption(value);

const openPlan = (page, name) => page.getByRole('button', { name, exact: true }).click();

async function openView(page, view, plan) {
  await openPlan(page, plan);
  await page.waitForTimeout(400);
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).click();
  await page.locator('main[data-ready="true"]').waitFor();
}

async function moveRight(page, times) {
  await page.waitForTimeout(300);
  await page.getByRole('application').focus({ preventScroll: true });
  for (let at = 0; at < times; at++) await page.keyboard.press('ArrowRight');
}

/** What is shown in each picture, beginning from the freshly opened demo. */
const SHOTS = {
  'bench-violin': async (page) => {
    await word(page, 'Octaves', '3');
    await word(page, 'Key', 'A');
    await word(page, 'Positions', 'null');
    await page.waitForTimeout(300);
    await moveRight(page, 18);
  },
  'bench-cello-thumb': async (page) => {
    await openPlan(page, 'Juno: D major into thumb position');
    await moveRight(page, 22);
  },
  'bench-bass': async (page) => {
    await openPlan(page, 'Otis: F major scale, two octaves, ¾ double bass');
    await moveRight(page, 11);
  },
  'bench-thirds': (page) => openPlan(page, 'Wren: D major scale in thirds, one octave, violin'),
  'bench-notes': async (page) => {
    await openPlan(page, 'Wren: F♯ minor arpeggio, two octaves, violin');
    await word(page, 'Kind', 'typed');
    await page
      .getByLabel('Notes', { exact: true })
      .fill('F#4 A C#5:2 | D:1/2 C# B A G#:2 |\nF#4+A4:1 E4+G#4 D4+F#4 - | C#4+A4:4');
    await page.getByLabel('Notes', { exact: true }).blur();
  },
  'bench-edit': async (page) => {
    await moveRight(page, 6);
    await page.keyboard.press('2');
    await page.getByTestId('outcome').waitFor();
    await page.getByTestId('neck').scrollIntoViewIfNeeded();
  },
  'bench-compare': async (page) => {
    await page.getByRole('button', { name: 'Compare way 3 with the one chosen' }).click();
    await moveRight(page, 19);
    await page.getByRole('heading', { name: 'Two ways side by side' }).scrollIntoViewIfNeeded();
  },
  'bench-neck': async (page) => {
    await openPlan(page, 'Pip: A major in first position');
    await moveRight(page, 2);
    await page.getByTestId('neck').scrollIntoViewIfNeeded();
  },
  'bench-listen': async (page) => {
    await openPlan(page, 'Marlow: A flat major without open strings');
    await page.getByLabel('Note names').selectOption('theirs');
    await moveRight(page, 4);
    for (let at = 0; at < 7; at++) await page.keyboard.press('Shift+ArrowRight');
    await page.getByLabel('loop').check();
  },
  'bench-lines': async (page) => {
    await openPlan(page, 'Marlow: A flat major without open strings');
    await page.getByLabel('in lines').check();
    await page.getByRole('button', { name: 'Smaller picture' }).click();
    await moveRight(page, 17);
  },
  'bench-given': async (page) => {
    await page.getByRole('button', { name: 'Give this plan to' }).click();
    await page.getByRole('menuitem', { name: 'Marlow' }).click();
    await page.getByTestId('given').waitFor();
  },
  'bench-tablet': (page) => moveRight(page, 6),
  studio: async (page, address) => {
    await page.goto(`${address}/studio`);
    await page.getByRole('button', { name: /^Pip/ }).click();
  },
  'studio-damaged': async (page, address) => {
    await page.getByRole('button', { name: /^Delete Otis/ }).click();
    await page.getByText('was deleted').waitFor();
    await page.evaluate(putDamaged);
    await page.goto(`${address}/studio`);
    await page.getByText('Deleted (1)').click();
    await page.getByRole('heading', { name: 'Damaged entries' }).waitFor();
  },
  hand: (page) => openView(page, 'Hand', 'Wren: E♭ major scale, two octaves, violin'),
  shifts: (page) => openView(page, 'Shifts', 'Juno: D major into thumb position'),
  ear: (page) => openView(page, 'Ear', 'Otis: F major scale, two octaves, ¾ double bass'),
  'bench-dark': (page) => moveRight(page, 10),
  'bench-problem': async (page) => {
    await word(page, 'Octaves', '3');
    await word(page, 'Positions', JSON.stringify({ from: 1, to: 1 }));
  },
};

/** Puts an entry into the database that nobody can read. */
function putDamaged() {
  return new Promise((done) => {
    const opening = indexedDB.open('dove-path');
    opening.onsuccess = () => {
      const step = opening.result.transaction('plans', 'readwrite');
      step.objectStore('plans').put({ id: 'torn', name: 'Half a plan', changedAt: 1 });
      step.oncomplete = () => done(opening.result.close());
    };
  });
}

/** Pictures of what stands further down the page. */
const LOWER = new Set(['bench-edit', 'bench-compare', 'bench-neck']);

ensurePackages();
ensureChromium();
run('npx', ['astro', 'build', '--silent']);
mkdirSync(FOLDER, { recursive: true });
const { address, stop } = await startServer();
const browser = await chromium.launch(BROWSER);
try {
  for (const [name, arrange] of Object.entries(SHOTS)) {
    const colorScheme = name.endsWith('-dark') ? 'dark' : 'light';
    const viewport = name.endsWith('-tablet') ? { width: 820, height: 1180 } : { width: 1280, height: 800 };
    const context = await browser.newContext({ viewport, colorScheme });
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
