import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';

/*
 * Most tests share one browser context and one page a worker: a new page costs a window, a process and the compiling of all scripts. Its storage is emptied
 * before each test. A test that asks for another kind of device (touch, dark, another window) has a context of its own, and so has one that asks for `fresh`.
 */

const USUAL = { width: 1280, height: 800 };
/** Calls after which a page is not as it was: it is closed when the test is done. */
const LASTING = ['addInitScript', 'exposeFunction', 'route', 'setViewportSize', 'emulateMedia'] as const;

/** What the tests of a worker share. */
class Desk {
  private page: Page | undefined;
  constructor(readonly context: BrowserContext) {}

  /** The one page, blank, with nothing kept from the test before: neither in the database nor beside it. */
  async clear(origin: string): Promise<void> {
    if (!this.page || this.page.isClosed()) this.page = await this.context.newPage();
    const { page } = this;
    await Promise.all(
      this.context
        .pages()
        .filter((other) => other !== page)
        .map((other) => other.close()),
    );
    // A file of the app that runs nothing: what the page keeps for itself can be emptied there only.
    await page.goto(`${origin}/dove.svg`);
    await page.evaluate(() => sessionStorage.clear());
    const client = await this.context.newCDPSession(page);
    await client.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb,local_storage,cookies' });
    await client.detach();
  }

  /** Lends the page to a test; it is closed afterwards where the test changed it for good. */
  async lend(use: (page: Page) => Promise<void>): Promise<void> {
    const page = this.page ?? (await this.context.newPage());
    let changed = false;
    for (const name of LASTING) {
      const call = page[name].bind(page) as (...given: unknown[]) => unknown;
      Object.assign(page, {
        [name]: (...given: unknown[]) => {
          changed = true;
          return call(...given);
        },
      });
    }
    await use(page);
    page.removeAllListeners();
    if (changed && !page.isClosed()) await page.close();
    for (const name of LASTING) Reflect.deleteProperty(page, name);
  }
}

interface Shared {
  readonly desk: Desk;
}

interface Options {
  /** True for a test that changes what a context may do: permissions, its network, the speed of its processor. */
  readonly fresh: boolean;
}

export const test = base.extend<Options, Shared>({
  fresh: [false, { option: true }],
  desk: [
    async ({ browser }, use, { project }) => {
      const { baseURL } = project.use;
      const context = await browser.newContext({ baseURL, viewport: USUAL });
      await use(new Desk(context));
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ desk, browser, baseURL, viewport, hasTouch, colorScheme, fresh }, use) => {
    const isUsual = viewport?.width === USUAL.width && viewport.height === USUAL.height;
    if (fresh || hasTouch || colorScheme === 'dark' || !isUsual) {
      const context = await browser.newContext({ baseURL, viewport, hasTouch, colorScheme });
      await use(context);
      await context.close();
      return;
    }
    await desk.clear(baseURL ?? '');
    await use(desk.context);
  },
  page: async ({ context, desk }, use) => {
    if (context === desk.context) await desk.lend(use);
    else await use(await context.newPage());
  },
});

export { expect };
