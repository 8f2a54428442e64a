import { expect, type Page } from '@playwright/test';

/** Opens the Bench and waits until it stands. */
export async function openBench(page: Page, address = '/') {
  await page.goto(address);
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
}

/** Changes a word of the brief. */
export async function setWord(page: Page, label: string, words: string) {
  await page.getByRole('combobox', { name: label, exact: true }).selectOption({ label: words });
}

export const chosenWay = (page: Page) => page.getByRole('button', { pressed: true });
export const cursorWords = (page: Page) => page.getByTestId('cursor-words');
export const picture = (page: Page) => page.getByRole('application');

export async function saved(page: Page) {
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved');
}

/** The fingers written on the staff, in reading order. */
export function staffFingers(page: Page): Promise<string[]> {
  return page.getByTestId('staff').locator('svg > text[font-weight="700"]').allTextContents();
}
