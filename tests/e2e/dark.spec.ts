import { expect, test } from './shared';
import { openBench, staffFingers, serious } from './bench';

test.use({ colorScheme: 'dark' });

test('by lamplight the page is dark, the staff is light on it, and everything is readable', async ({ page }) => {
  await openBench(page, '/?demo');
  await expect.poll(() => staffFingers(page)).not.toEqual([]);
  const colours = await page.evaluate(() => {
    const ink = document.querySelector('[data-testid="staff"] [data-sign^="notehead"]');
    const light = (colour: string) =>
      (colour.match(/\d+/g) ?? []).slice(0, 3).reduce((sum, part) => sum + Number(part), 0);
    return {
      paper: light(getComputedStyle(document.documentElement).backgroundColor),
      ink: ink ? light(getComputedStyle(ink).fill) : 0,
    };
  });
  expect(colours.paper).toBeLessThan(150);
  expect(colours.ink).toBeGreaterThan(600);
  await page.getByRole('button', { name: 'Compare way 2 with the one chosen' }).click();
  expect(await serious(page)).toEqual([]);
});
