import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Opens the Bench and waits until it stands. */
export async function openBench(page: Page, address = '/') {
  await page.goto(address);
  await ready(page);
}

/** Changes a word of the brief; one that is not said is added from the list of wishes. */
export async function setWord(page: Page, label: string, words: string) {
  const word = page.getByRole('combobox', { name: label, exact: true });
  if ((await word.count()) > 0) await word.selectOption({ label: words });
  else await act(page, 'Add a wish', words);
}

/** Does one of the things in a menu. */
export async function act(page: Page, menu: string, words: string | RegExp) {
  await page.getByRole('button', { name: menu, exact: true }).click();
  await page.getByRole('menuitem', { name: words, exact: typeof words === 'string' }).click();
}

/** Empties the studio, the question answered. */
export async function emptyStudio(page: Page) {
  await page.getByRole('button', { name: 'Empty the studio …' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Empty the studio' }).click();
}

export const chosenWay = (page: Page) => page.getByRole('button', { pressed: true });
export const cursorWords = (page: Page) => page.getByTestId('cursor-words');
export const picture = (page: Page) => page.getByRole('application');

export async function saved(page: Page) {
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved');
}

/** The fingers written on the staff, in reading order: those that look alike are one text. */
export async function staffFingers(page: Page, staff = page.getByTestId('staff')): Promise<string[]> {
  const texts = staff.locator('svg > text[font-weight="700"]');
  return [...(await texts.allTextContents()).join('')];
}

/** Middle and width of each finger in the hand trail, in px of the window, from left to right: those of one look are one shape. */
export async function trailTokens(page: Page) {
  const rings = await page.locator('path[data-part]').evaluateAll((paths) =>
    (paths as SVGPathElement[]).flatMap((path) => {
      const { left, top } = (path.ownerSVGElement as SVGSVGElement).getBoundingClientRect();
      return [...(path.getAttribute('d') ?? '').matchAll(/M(\S+) (\S+?)a(\S+) /g)].map(([, x, y, radius]) => ({
        x: left + Number(x) + Number(radius),
        y: top + Number(y),
        width: 2 * Number(radius),
      }));
    }),
  );
  return rings.sort((a, b) => a.x - b.x);
}

/** Opens the Studio and waits until it stands. */
export async function openStudio(page: Page, address = '/studio') {
  await page.goto(address);
  await ready(page);
}

/** What axe finds on a page that is serious or worse, targets that are too small among it. */
export async function serious(page: Page): Promise<string[]> {
  const axe = new AxeBuilder({ page })
    .options({ rules: { 'target-size': { enabled: true } }, resultTypes: ['violations'] })
    // Nothing here has frames: no second page is needed to put their results together.
    .setLegacyMode();
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`);
}

/** The rows of a table as the browser's storage has them. */
export function keptRows<Row>(page: Page, table: string): Promise<readonly Row[]> {
  return page.evaluate(
    (name) =>
      new Promise<Row[]>((done) => {
        const opening = indexedDB.open('dove-path');
        opening.onsuccess = () => {
          const all = opening.result.transaction(name).objectStore(name).getAll();
          all.onsuccess = () => {
            opening.result.close();
            done(all.result as Row[]);
          };
        };
      }),
    table,
  );
}

/** Puts rows into a table as another page would have, without a word to this one. */
export function putRows(page: Page, table: string, rows: readonly object[]) {
  return page.evaluate(
    ([name, all]) =>
      new Promise<void>((done, fail) => {
        const opening = indexedDB.open('dove-path');
        opening.onerror = () => fail(opening.error);
        opening.onsuccess = () => {
          const step = opening.result.transaction(name, 'readwrite');
          for (const row of all) step.objectStore(name).put(row);
          step.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
    [table, rows] as const,
  );
}

/** The ids of a student and of one of their plans. */
export async function studentsOf(page: Page, name: string) {
  const students = await keptRows<{ readonly id: string; readonly name: string }>(page, 'students');
  const student = students.find((row) => row.name === name)?.id ?? '';
  const plans = await keptRows<{ readonly id: string; readonly studentId: string }>(page, 'plans');
  return { student, plan: plans.find(({ studentId }) => studentId === student)?.id ?? '' };
}

/** Waits until the view that was gone to stands. */
export async function ready(page: Page) {
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
}

/** A fresh student with one plan, on the Bench. */
export async function studentWithPlan(page: Page, name: string) {
  await openStudio(page);
  await page.getByRole('button', { name: 'New student' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await expect(page.getByRole('button', { name: new RegExp(`^${name}`) })).toBeVisible();
  await page.getByRole('button', { name: `New plan for ${name}` }).click();
  await ready(page);
  await saved(page);
}

/** Drops a file on the page, as from a folder. */
export async function dropOn(page: Page, name: string, text: string) {
  await page.evaluate(
    ([fileName, content]) => {
      const data = new DataTransfer();
      data.items.add(new File([content], fileName));
      window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
    },
    [name, text] as const,
  );
}

/** One repetition by the pedal alone: played (the first plays as the session begins), stopped, and judged by a key; one that was hardly played is said to be. */
export async function repetition(page: Page, judged: string) {
  const button = (name: string) => page.getByRole('button', { name, exact: true });
  await expect(button('play').or(button('stop'))).toBeVisible();
  if (await button('play').isVisible()) await page.keyboard.press('PageDown');
  await expect(button('stop')).toBeVisible();
  await page.keyboard.press('PageDown');
  const prompt = page.getByTestId('prompt');
  await expect(prompt).toContainText('How was it');
  await page.keyboard.press(judged);
  await expect(prompt.or(page.getByRole('heading', { name: 'Done' }))).not.toContainText('How was it');
  if (await button('yes, it was').isVisible()) await button('yes, it was').click();
}
