import { expect, type Browser, type Page } from '@playwright/test';

/*
 * A storm of edits in two pages of one browser: names typed, words changed, views visited, pages killed, writes refused. What was shown as saved must
 * be there at the end.
 */

interface Edit {
  /** The plan it was made to, as the address says; null where another one came onto the stand meanwhile. */
  plan: string | null;
  readonly name: string;
  saved: boolean;
}

interface Outcome {
  /** Edits that were shown as saved. */
  readonly edits: number;
  /** Those that are not there and were not followed by a later one of the same plan. */
  readonly lost: readonly string[];
}

/** @param atLeast edits that must have been shown as saved before it ends: a slow machine gets more time */
export async function storm(
  browser: Browser,
  address: string,
  ms: number,
  seed: number,
  atLeast = 3,
): Promise<Outcome> {
  const context = await browser.newContext();
  const edits: Edit[] = [];
  let drawn = seed;
  const draw = (below: number) => {
    drawn = (drawn * 16807) % 2147483647;
    return drawn % below;
  };
  const openPage = async (path: string) => {
    const page = await context.newPage();
    page.on('dialog', (dialog) => void dialog.accept());
    await page.goto(address + path);
    await standing(page);
    return page;
  };
  let pages = [await openPage('/?demo'), await openPage('/')];
  const end = Date.now() + ms;
  const enough = () => edits.filter(({ saved }) => saved).length >= atLeast;
  while (Date.now() < end || (!enough() && Date.now() < end + 90_000)) {
    const which = draw(pages.length);
    try {
      pages[which] = await oneStep(pages[which], draw, edits, openPage);
    } catch (error) {
      // A page that is gone or in between is opened anew; what it had shown as saved counts all the same.
      if (!(error instanceof Error)) throw error;
      await pages[which].close().catch(() => undefined);
      pages[which] = await openPage('/');
    }
  }
  for (const page of pages) await page.close({ runBeforeUnload: true });
  pages = [await openPage('/')];
  await pages[0].waitForTimeout(1500);
  const names = await savedNames(pages[0]);
  await context.close();
  return { edits: edits.filter(({ saved }) => saved).length, lost: lostOf(edits, names) };
}

async function standing(page: Page) {
  await expect(page.locator('main[data-ready="true"]')).toBeVisible({ timeout: 30_000 });
}

async function oneStep(
  page: Page,
  draw: (below: number) => number,
  edits: Edit[],
  openPage: (path: string) => Promise<Page>,
): Promise<Page> {
  const edit = async () => {
    const onStand = () => new URL(page.url()).searchParams.get('plan') ?? '';
    const plan = onStand();
    const name = `Edit ${edits.length + 1}.`;
    const made: Edit = { plan, name, saved: false };
    edits.push(made);
    await page.getByLabel('Name of this plan').fill(name, { timeout: 5000 });
    if (onStand() !== plan) made.plan = null;
    return made;
  };
  switch (draw(8)) {
    case 0:
    case 1: {
      const made = await edit();
      await page.waitForTimeout(300 + draw(300));
      made.saved = await shownAsSaved(page, made.name);
      return page;
    }
    case 2:
      // The page goes just after the edit.
      await edit();
      await page.waitForTimeout(draw(250));
      await page.goto(new URL(['/studio', '/hand', '/shifts'][draw(3)], page.url()).href);
      await page.waitForTimeout(draw(200));
      await page.goto(new URL('/', page.url()).href);
      await standing(page);
      return page;
    case 3:
      await edit();
      await page.waitForTimeout(draw(250));
      await page.reload();
      await standing(page);
      return page;
    case 4: {
      // Killed: nothing of the page is asked.
      const made = await edit();
      await page.waitForTimeout(draw(600));
      made.saved = await shownAsSaved(page, made.name);
      await page.close();
      return openPage('/');
    }
    case 5: {
      await refuseWrites(page, true);
      await edit();
      await page.waitForTimeout(400);
      await refuseWrites(page, false);
      const again = page.getByRole('button', { name: 'Try again' });
      if (await again.isVisible()) await again.click({ timeout: 3000 });
      return page;
    }
    case 6:
      await page
        .getByRole('combobox', { name: 'Key', exact: true })
        .selectOption({ index: draw(8) }, { timeout: 5000 });
      return page;
    default: {
      const plans = page.locator('#shelf').locator('xpath=../..').locator('li > button:first-child');
      const count = await plans.count();
      if (count > 0) await plans.nth(draw(count)).click({ timeout: 5000 });
      return page;
    }
  }
}

/** True where the page says saved while it still shows the edit. */
async function shownAsSaved(page: Page, name: string): Promise<boolean> {
  const state = await page.getByTestId('save-state').getAttribute('data-state', { timeout: 2000 });
  const shown = await page.getByLabel('Name of this plan').inputValue({ timeout: 2000 });
  return state === 'saved' && shown === name;
}

/** Makes the browser refuse writes and deletions, as where its room is full, until it is let again. */
export async function refuseWrites(page: Page, refuse: boolean) {
  await page.evaluate((on) => {
    const room = window as typeof window & { refusing?: boolean };
    if (room.refusing === undefined) {
      const put = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
        if (room.refusing) throw new DOMException('no room', 'QuotaExceededError');
        return put.apply(this, args);
      };
      const add = IDBObjectStore.prototype.add;
      IDBObjectStore.prototype.add = function (...args: Parameters<typeof add>) {
        if (room.refusing) throw new DOMException('no room', 'QuotaExceededError');
        return add.apply(this, args);
      };
    }
    room.refusing = on;
  }, refuse);
}

function savedNames(page: Page): Promise<string[]> {
  return page.evaluate(
    () =>
      new Promise<string[]>((done, fail) => {
        const opening = indexedDB.open('dove-path');
        opening.onerror = () => fail(opening.error);
        opening.onsuccess = () => {
          const all = opening.result.transaction('plans').objectStore('plans').getAll();
          all.onsuccess = () => {
            opening.result.close();
            done((all.result as { name: string }[]).map(({ name }) => name));
          };
        };
      }),
  );
}

/** A saved edit is there as it was, as a second version, or was followed by a later edit of the same plan. */
function lostOf(edits: readonly Edit[], names: readonly string[]): string[] {
  const there = (edit: Edit) => names.some((name) => name.startsWith(edit.name));
  return edits.flatMap((edit, at) => {
    if (!edit.saved || edit.plan === null || there(edit)) return [];
    const followed = edits.slice(at + 1).some((later) => later.plan === edit.plan || later.plan === null);
    return followed ? [] : [`“${edit.name}” of plan ${edit.plan}`];
  });
}
