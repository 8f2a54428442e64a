import type { Page } from '@playwright/test';
import * as lessonViewsText from '../../src/wording/rooms/lessonViews';
import * as paperViewsText from '../../src/wording/rooms/paperViews';
import * as practiceViewsText from '../../src/wording/rooms/practiceViews';
import * as studioViewsText from '../../src/wording/rooms/studioViews';
import { openStudio, ready, studentsOf } from './bench';
import { expect, test } from './shared';

/* A page that goes at once, however it goes: what was typed into it is there afterwards. */

interface Desk {
  readonly name: string;
  readonly address: (ids: { readonly student: string; readonly plan: string }) => string;
  /** Brings the box up, where it is not there at once. */
  readonly open?: (page: Page) => Promise<void>;
  readonly box: (page: Page) => ReturnType<Page['getByLabel']>;
}

const DESKS: readonly Desk[] = [
  { name: 'Bench', address: ({ plan }) => `/?plan=${plan}`, box: (page) => page.getByLabel('Name of this plan') },
  {
    name: 'Studio',
    address: ({ student }) => `/studio?student=${student}`,
    box: (page) => page.getByLabel(studioViewsText.toRemember),
  },
  {
    name: 'Sheet',
    address: ({ plan }) => `/sheet?plan=${plan}`,
    box: (page) => page.getByLabel(paperViewsText.goalInOneLine),
  },
  {
    name: 'lesson',
    address: ({ student }) => `/lesson?student=${student}`,
    box: (page) => page.getByTestId('next-week').getByLabel(lessonViewsText.theTeachersWords),
  },
  {
    name: 'log',
    address: ({ student }) => `/practice?student=${student}`,
    open: async (page) => {
      const log = page.getByRole('region', { name: 'Log', exact: true });
      await log.getByRole('listitem').first().getByRole('button').first().click();
    },
    box: (page) =>
      page.getByRole('region', { name: 'Log', exact: true }).getByLabel(practiceViewsText.theTeachersWords),
  },
];

/** Ways to go, by turns. */
const WAYS: readonly ((page: Page) => Promise<unknown>)[] = [
  (page) => page.reload(),
  (page) => page.goto('/hand'),
  async (page) => {
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Ear' }).click();
    await page.waitForURL(/ear/, { waitUntil: 'commit' });
  },
  (page) => page.goto('about:blank'),
];

for (const { name, address, open, box } of DESKS)
  test(
    `twenty quick departures from the ${name} lose nothing that was typed`,
    { tag: '@nightly' },
    async ({ page }) => {
      await openStudio(page, '/studio?demo');
      const ids = await studentsOf(page, 'Wren');
      // The example’s practice is put in while the page is open.
      if (name === 'log') await expect(page.getByText(/practised/).first()).toBeVisible();
      for (let at = 0; at < 20; at++) {
        await page.goto(address(ids));
        await ready(page);
        await open?.(page);
        const words = `words ${at}`;
        if (at > 0) await expect(box(page), `after departure ${at}`).toHaveValue(`words ${at - 1}`);
        await box(page).fill(words);
        // From at once to a little after it was written.
        if (at % 5 > 0) await page.waitForTimeout((at % 5) * 130);
        await WAYS[at % WAYS.length](page);
      }
    },
  );
