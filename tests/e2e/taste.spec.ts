import type { Page } from '@playwright/test';
import { expect, test } from './shared';
import { briefAddress } from '../../src/app/brief/address';
import { cursorWords, openBench, openStudio, picture, saved } from './bench';

/** Puts the little finger on each note that would be open. */
async function littleFingers(page: Page, tonic: string) {
  const material = { type: 'scale', tonic, scale: 'major', octaves: 2, direction: 'up' } as const;
  await openBench(page, `/${briefAddress({ instrument: 'violin', style: 'secure', material })}`);
  await expect(cursorWords(page)).toContainText('Note 1 of 15');
  await picture(page).focus();
  for (let note = 1; note <= 15; note++) {
    const words = (await cursorWords(page).textContent()) ?? '';
    if (note > 1 && words.includes('open ')) {
      await page.keyboard.press('4');
      await expect(cursorWords(page)).toContainText(/finger 4|open /);
    }
    await page.keyboard.press('ArrowRight');
  }
  await saved(page);
}

test(
  'what a teacher chose often is offered with its evidence, accepted, said where it decides, and taken back',
  { tag: '@nightly' },
  async ({ page }) => {
    await openStudio(page);
    await expect(page.getByTestId('taste')).toHaveCount(0);
    for (const tonic of ['A3', 'G3', 'C4']) await littleFingers(page, tonic);
    await openStudio(page);
    const taste = page.getByTestId('taste');
    await expect(taste).toContainText(
      /In \d+ of \d+ places where you chose against the first plan your choice leaned to the little finger/,
    );
    await taste.getByRole('button', { name: 'Yes, from now on' }).click();
    await expect(taste).toContainText('New plans lean to the little finger');
    await openBench(page);
    await page.getByRole('button', { name: 'New plan' }).click();
    await page.getByLabel('Key', { exact: true }).selectOption('D');
    const line = page.getByTestId('taste-line');
    await expect(line).toContainText('Your taste decided here: the little finger even for open strings');
    await line.getByRole('button', { name: 'Plan without it' }).click();
    await expect(line).toHaveCount(0);
    await openStudio(page);
    await taste.getByRole('button', { name: 'Take it back' }).click();
    await expect(taste).toContainText('Shall new plans lean that way?');
    await taste.getByRole('button', { name: 'Not now' }).click();
    await expect(taste).toHaveCount(0);
  },
);
