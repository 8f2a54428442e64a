import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';

/*
 * Most tests share one browser context a worker, so that scripts and fonts are fetched and compiled once; its storage is emptied before each of them. A test
 * that asks for another kind of device (touch, dark, another window) has a context of its own, and so has one that asks for `fresh`.
 */

const USUAL = { width: 1280, height: 800 };

interface Shared {
  readonly shared: BrowserContext;
}

interface Options {
  /** True for a test that changes what a context may do: permissions, its network. */
  readonly fresh: boolean;
}

export const test = base.extend<Options & { page: Page }, Shared>({
  fresh: [false, { option: true }],
  shared: [
    async ({ browser }, use, { project }) => {
      const { baseURL } = project.use;
      const context = await browser.newContext({ baseURL, viewport: USUAL });
      await use(context);
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ shared, browser, baseURL, viewport, hasTouch, colorScheme, fresh }, use) => {
    const isUsual = viewport?.width === USUAL.width && viewport.height === USUAL.height;
    if (fresh || hasTouch || colorScheme === 'dark' || !isUsual) {
      const own = await browser.newContext({ baseURL, viewport, hasTouch, colorScheme });
      await use(own);
      await own.close();
      return;
    }
    await emptied(shared, baseURL ?? '');
    await use(shared);
    await Promise.all(shared.pages().map((page) => page.close()));
  },
  page: async ({ context }, use) => {
    await use(await context.newPage());
  },
});

/** Nothing is kept from the test before: neither in the database nor beside it. */
async function emptied(context: BrowserContext, origin: string) {
  const page = await context.newPage();
  const client = await context.newCDPSession(page);
  await client.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb,local_storage,cookies' });
  await page.close();
}

export { expect };
