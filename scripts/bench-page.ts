import { chromium, type Page } from '@playwright/test';
import { BROWSER, startServer } from './server.mjs';

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
    const watcher = new PerformanceObserver((list) =>
      tasks.push(...list.getEntries().map((entry) => entry.duration)),
    );
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

/** From a changed word to the new picture, and the longest task of the main thread meanwhile. */
export async function benchPage() {
  const { address, stop } = await startServer();
  const browser = await chromium.launch(BROWSER);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(address);
    await page.locator('main[data-ready="true"]').waitFor();
    await page.getByLabel('Octaves', { exact: true }).selectOption('3');
    await page.getByLabel('Direction', { exact: true }).selectOption('updown');
    await page.waitForTimeout(800);
    const changes: Change[] = [];
    for (const key of KEYS) changes.push(await changeKey(page, key));
    const pictures = changes.map(({ toPictureMs }) => toPictureMs).sort((a, b) => a - b);
    const longest = Math.max(...changes.map(({ longestTaskMs }) => longestTaskMs));
    console.log('In the page, three octaves up and down, key changed:');
    console.table([
      { what: 'word to picture, median', ms: Math.round(pictures[pictures.length >> 1]) },
      { what: 'word to picture, slowest', ms: Math.round(pictures[pictures.length - 1]) },
      { what: 'longest main-thread task (0: none of 50 ms or more)', ms: Math.round(longest) },
    ]);
  } finally {
    await browser.close();
    stop();
  }
}
