import * as studioViewsText from '../../src/wording/rooms/studioViews';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from './shared';
import { act, chosenWay, cursorWords, openBench, openStudio, picture, saved, setWord, trailTokens } from './bench';

async function boxOf(place: Locator) {
  const box = await place.boundingBox();
  if (!box) throw new Error('it is not drawn');
  return box;
}

/** Where the parts of the Bench are, but for the pictures. */
async function places(page: Page) {
  const parts = {
    brief: page.getByRole('region', { name: 'The brief' }),
    tools: page.getByRole('region', { name: 'Listen' }),
    fingers: page.getByRole('group', { name: 'Finger' }),
    string: page.getByLabel('String here'),
    ways: page.getByTestId('ways-head'),
    findings: page.getByTestId('findings'),
  };
  const tops: Record<string, readonly [number, number]> = {};
  for (const [name, part] of Object.entries(parts)) {
    if ((await part.count()) === 0) continue;
    const { x, y } = await boxOf(part);
    tops[name] = [x, y];
  }
  return tops;
}

test('two octaves up and down stand whole on the Bench, legible, the neck level with the trail', async ({ page }) => {
  await openBench(page, '/?demo');
  await expect(page.locator('[data-testid="staff"] [data-sign^="notehead"]')).toHaveCount(29);
  const seen = await page.evaluate(() => {
    const inside = (box: DOMRect) =>
      box.left >= 0 && box.top >= 0 && box.right <= innerWidth && box.bottom <= innerHeight;
    const boxes = (selector: string) =>
      [...document.querySelectorAll(selector)].map((one) => one.getBoundingClientRect());
    const heads = boxes('[data-testid="staff"] [data-sign^="notehead"]').sort((a, b) => a.left - b.left);
    const texts = [...document.querySelectorAll('[data-testid="picture"] svg text')] as SVGTextElement[];
    return {
      heads: heads.length,
      gaps: heads.slice(1).map((head, at) => head.left - heads[at].right),
      whole: [...heads, ...boxes('path[data-part], [data-testid="trail-neck"], [aria-label="Finger"]')].every(inside),
      scrolls: document.documentElement.scrollHeight - innerHeight,
      column: Number(document.querySelector('[data-testid="strip"]')?.getAttribute('data-column')),
      smallest: Math.min(
        ...texts.map((text) => parseFloat(getComputedStyle(text).fontSize) * (text.getScreenCTM()?.a ?? 1)),
      ),
    };
  });
  expect(seen.heads).toBe(29);
  const tokens = await trailTokens(page);
  expect(tokens).toHaveLength(29);
  expect(Math.min(...tokens.map(({ width }) => width))).toBeGreaterThanOrEqual(16);
  expect(seen.whole).toBe(true);
  expect(seen.scrolls).toBeLessThanOrEqual(0);
  expect(Math.min(...seen.gaps)).toBeGreaterThanOrEqual(8);
  expect(seen.column).toBeGreaterThanOrEqual(24);
  expect(seen.smallest).toBeGreaterThanOrEqual(11.99);

  // The last pixel of a column belongs to its note, and so does the first.
  await picture(page).focus();
  for (const at of [2, 10, 17]) {
    await page.keyboard.press('Home');
    for (let step = 0; step < at; step++) await page.keyboard.press('ArrowRight');
    const finger = await boxOf(page.getByTestId('trail-neck-finger').first());
    const level = tokens[at].y - (finger.y + finger.height / 2);
    expect(Math.abs(level)).toBeLessThanOrEqual(1);
  }
});

test(
  'nothing but the pictures moves when the plan is made anew, nor where there is none',
  { tag: '@nightly' },
  async ({ page }) => {
    await openBench(page, '/?demo');
    await expect(page.getByTestId('findings').getByRole('listitem').first()).toBeVisible();
    const before = await places(page);
    const still = async () => {
      await page.waitForTimeout(300);
      for (const [name, [x, y]] of Object.entries(await places(page))) {
        expect(Math.abs(x - before[name][0]), name).toBeLessThanOrEqual(2);
        expect(Math.abs(y - before[name][1]), name).toBeLessThanOrEqual(2);
      }
    };
    for (const key of ['A', 'F', 'G', 'B-flat']) {
      await setWord(page, 'Key', key);
      await saved(page);
      await still();
    }
    await setWord(page, 'Positions', 'first position only');
    await setWord(page, 'Octaves', 'three-octave');
    await expect(page.getByRole('alert')).toContainText('can’t be played under these rules');
    await still();
    await picture(page).focus();
    for (let at = 0; at < 6; at++) await page.keyboard.press('ArrowRight');
    await still();
  },
);

for (const [width, height] of [
  [768, 1024],
  [640, 400],
] as const)
  test(`at ${width}×${height} the answer is beside the question`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await openBench(page, '/?demo');
    await expect(chosenWay(page).first()).toBeVisible();
    const ways = await boxOf(chosenWay(page).first());
    expect(ways.y + ways.height).toBeLessThanOrEqual(height);
    const fingers = await boxOf(page.getByRole('group', { name: 'Finger' }));
    expect(fingers.y + fingers.height).toBeLessThanOrEqual(height);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  });

test('the first minute: from an empty browser to a plan in five choices', async ({ page }) => {
  await openBench(page);
  const begin = page.getByRole('region', { name: 'How to begin' });
  await expect(begin).toContainText('works out which finger plays which note');
  // A mere visit keeps nothing.
  await page.reload();
  await expect(begin).toBeVisible();
  await begin.getByRole('button', { name: 'Plan a scale' }).click();
  const questions = page.getByRole('dialog');
  await questions.getByLabel('Size').selectOption('1/2');
  await questions.getByLabel('Hand').selectOption('small');
  await questions.getByLabel('As far as').selectOption('first-position');
  await questions.getByRole('button', { name: 'Plan it' }).click();
  await expect(cursorWords(page)).toContainText('Note 1 of 15, bar 1, beat 1: D 4');
  await expect(page.getByRole('combobox', { name: 'Size', exact: true })).toHaveValue('1/2');
  await expect(begin).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(cursorWords(page)).toContainText('Note 1 of 15');
});

test('the example studio stands beside one’s own and goes in one go', { tag: '@nightly' }, async ({ page }) => {
  await openBench(page);
  await page.getByLabel('Name of this plan').fill('My own');
  await saved(page);
  await openBench(page, '/?demo');
  await expect(
    page.getByRole('button', { name: 'Wren: E♭ major scale, two octaves, violin', exact: true }),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'My own', exact: true })).toBeVisible();
  await openStudio(page);
  await page.getByRole('button', { name: 'Remove the example studio' }).click();
  const plans = page.getByRole('region', { name: 'All plans' }).getByRole('listitem');
  await expect(plans).toHaveCount(1);
  await expect(plans).toContainText('My own');
});

test('a brief is typed in one go: understood, asked back about, and never silently wrong', async ({ page }) => {
  await openBench(page);
  const box = page.getByLabel('Type the brief');
  const read = page.locator('#typed-brief');
  await box.fill('Eb melodic minor 3 octaves cello thumb');
  await expect(read).toContainText('E♭ melodic minor scale, three octaves, cello');
  await box.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Instrument', exact: true })).toHaveValue('cello');
  await expect(page.getByRole('combobox', { name: 'Key', exact: true })).toHaveValue('Eb');
  await expect(page.getByText('going to thumb position')).toBeVisible();
  await box.fill('violin low C');
  await expect(read).toContainText('The violin has no low C: its lowest is C4.');
  await page.getByRole('button', { name: 'from C4' }).click();
  await expect(page.getByRole('combobox', { name: 'Start', exact: true })).toHaveValue('C4');
  await box.fill('G minor');
  await page.getByRole('button', { name: 'harmonic minor' }).click();
  await expect(read).toContainText('G harmonic minor scale');
  await box.fill('banana');
  await expect(read).toContainText('“banana” means nothing here.');
  await box.press('Escape');
  await expect(box).toHaveValue('');
  await page.keyboard.press('Tab');
  await picture(page).focus();
  await page.keyboard.press('.');
  await page.getByRole('dialog').getByRole('searchbox').fill('D dorian viola');
  await page.getByRole('menuitem', { name: /^Plan: D dorian scale/ }).click();
  await expect(page.getByRole('combobox', { name: 'Instrument', exact: true })).toHaveValue('viola');
});

test('notes of one’s own are kept while the plan is a scale, and odd bars are named', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Kind', 'notes of my own');
  const notes = page.getByLabel('Notes', { exact: true });
  await expect(notes).toHaveValue('');
  await notes.fill('D4 E4 F#4 G4 | A4 B4 C#5 D5 E5 | D5:4');
  await expect(page.getByText('Bar 2 has 5 beats: the time has 4 to a bar.')).toBeVisible();
  await setWord(page, 'Kind', 'a scale');
  await saved(page);
  await setWord(page, 'Kind', 'notes of my own');
  await expect(notes).toHaveValue('D4 E4 F#4 G4 | A4 B4 C#5 D5 E5 | D5:4');
});

test('schools, students and other plans lie side by side; the plan is a table too', async ({ page }) => {
  await openBench(page, '/?demo');
  await page.getByRole('button', { name: 'Otis: F major scale, two octaves, ¾ double bass', exact: true }).click();
  await expect(cursorWords(page)).toContainText('F 1');
  await act(page, 'Compare this plan with', 'with four-finger fingering');
  await expect(page.getByRole('heading', { name: 'Side by side with four-finger fingering' })).toBeVisible();
  expect(await page.getByTestId('parts').count()).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Close the comparison' }).click();
  await act(page, 'Compare this plan with', 'for Juno');
  await expect(page.getByRole('heading', { name: 'Side by side with the plan for Juno' })).toBeVisible();
  await act(page, 'Compare this plan with', 'Pip: A major in first position');
  await expect(page.getByText('This plan has 29 notes, the other 15 notes.')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByText('The plan as a table').click();
  await expect(page.getByTestId('plan-table').getByRole('row')).toHaveCount(30);
  await expect(page.getByTestId('plan-table').getByRole('row').nth(1)).toContainText('bar 1, beat 1');
});

test('the Studio finds, names, puts away and gives to several at once', async ({ page }) => {
  await openStudio(page, '/studio?demo');
  const plans = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^More for/ }) });
  const search = page.getByLabel('Search students and plans');
  await search.fill('F major');
  await expect(plans).toHaveCount(1);
  await search.fill('D major');
  await expect(plans).toHaveCount(2);
  await search.fill('Q minor');
  await expect(page.getByText('Nothing has all of these words.')).toBeVisible();
  await search.fill('thirds');
  await page.reload();
  await expect(search).toHaveValue('thirds');
  await expect(plans).toHaveCount(1);
  await act(page, 'More for Wren: D major scale in thirds, one octave, violin', 'Rename and tag');
  await page.getByLabel('Name', { exact: true }).fill('Thirds for May');
  await page.getByLabel('Tags', { exact: true }).fill('thirds, spring');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(plans).toContainText('Thirds for May');
  await expect(plans).toContainText('spring');
  await act(page, 'Give Wren: Thirds for May to', 'several students …');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Pip').check();
  await dialog.getByLabel('Marlow').check();
  await dialog.getByRole('button', { name: 'Give', exact: true }).click();
  const given = dialog.getByRole('list', { name: studioViewsText.whatWasGiven }).getByRole('listitem');
  await expect(given).toHaveCount(2);
  await expect(dialog.getByRole('button', { name: studioViewsText.done })).toBeFocused();
  // On a viola thirds from re 3 begin with the first that exists; Pip knows the first position alone.
  await expect(given.filter({ hasText: 'Pip' })).toContainText('not given');
  await expect(given.filter({ hasText: 'Marlow' })).not.toContainText('not given');
  await dialog.getByRole('button', { name: studioViewsText.done }).click();
  await expect(plans).toHaveCount(2);
  await act(page, 'More for Wren: Thirds for May', 'Put into the archive');
  await search.fill('');
  await expect(page.getByRole('link', { name: /^Wren: Thirds for May/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'archived', exact: true }).click();
  await expect(page.getByRole('link', { name: /^Wren: Thirds for May/ })).toBeVisible();
});

test('Hand has a map: a note says its fingers, its other places and its check', async ({ page }) => {
  await openBench(page, '/?demo');
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Hand' }).click();
  const map = page.getByTestId('map');
  await map.getByLabel('Key of the map').selectOption('D');
  await map.getByRole('button', { name: /^D5, on the A string: 3 in 1st/ }).click();
  await expect(map.getByRole('status')).toContainText('D5, on the A string');
  await expect(map.getByRole('button', { name: /rings with the open D string$/ })).not.toHaveCount(0);
  await expect(map.getByRole('status')).toContainText('Check it: open D, an octave.');
  await map.getByLabel('only the places of D5').check();
  const drawn = map.getByRole('group', { name: /^Fingerboard/ }).getByRole('button');
  for (const name of await drawn.allTextContents()) expect(name).toBe('D');
  await map.getByLabel('Written in the places').selectOption('fingers');
  await expect(drawn.first()).toHaveText(/\d/);
});

test('the music line moves the cursor of Hand, Shifts and Ear; their addresses hold the plan', async ({
  page,
  browser,
}) => {
  await openBench(page, '/?demo');
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Ear' }).click();
  const line = page.getByTestId('music-line');
  await line.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('note').getByRole('heading').first()).toContainText('F4 on the D string');
  await page.getByTestId('target').nth(4).click();
  await expect(page.getByTestId('note').getByRole('heading').first()).toContainText('B♭4 on the A string');
  await expect(page).toHaveTitle('Wren: E♭ major scale, two octaves, violin · Ear · Dove Path');
  const elsewhere = await (await browser.newContext()).newPage();
  await elsewhere.goto(page.url());
  await expect(elsewhere.getByTestId('note').getByRole('heading').first()).toContainText('B♭4 on the A string');
  await elsewhere.context().close();
});

test('what came out is announced, and the skip link leads to the view', async ({ page }) => {
  await openBench(page, '/?demo');
  await expect(page.getByTestId('announced')).toHaveText(/^\d ways; first: .*\.$/);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the view' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
});

test('a word of the craft is explained by keyboard, and Escape closes it', async ({ page }) => {
  await openBench(page, '/?demo');
  const help = page.getByRole('button', { name: 'What is meant by “way”?' });
  await help.focus();
  await page.keyboard.press('Enter');
  const words = page.getByRole('note').filter({ hasText: 'another fingering of the same music' });
  await expect(words).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(words).toBeHidden();
  await expect(help).toBeFocused();
});

test.describe(() => {
  test.use({ fresh: true });

  test('a link is copied and says what it holds; a check is heard low and high, and stopped', async ({
    page,
    context,
  }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await openBench(page, '/?demo');
    await page.getByRole('button', { name: 'Copy a link' }).click();
    await expect(page.getByText('It does not hold the student')).toBeVisible();
    const link = await page.evaluate(() => navigator.clipboard.readText());
    expect(link).toContain('#brief=');
    expect(link).not.toContain('plan=');
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await page.getByText('The plan as a table').click();
    await page.getByRole('button', { name: 'Copy the table' }).click();
    await expect(page.getByText('The table was copied.')).toBeVisible();
    const table = await page.evaluate(() => navigator.clipboard.readText());
    expect(table.split('\n')).toHaveLength(30);
    expect(table.split('\n')[1].split('\t').slice(0, 3)).toEqual(['1', 'bar 1, beat 1', 'E♭4']);

    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Ear' }).click();
    const note = page.getByTestId('note');
    await page.getByRole('region', { name: 'Targets' }).getByRole('button', { name: 'G4', exact: true }).click();
    for (const side of ['10 cents low', '10 cents high', 'Hear it pure']) {
      await note.getByRole('button', { name: side }).first().click();
      await note.getByRole('button', { name: 'Stop' }).click();
      await expect(note.getByRole('button', { name: 'Stop' })).toHaveCount(0);
    }
  });
});

test('a new plan asks for whom and begins clean; a new student begins from the brief', async ({ page }) => {
  await openBench(page, '/?demo');
  await act(page, 'New plan', 'for Juno');
  await expect(page.getByRole('combobox', { name: 'Instrument', exact: true })).toHaveValue('cello');
  await expect(page.getByRole('combobox', { name: 'Octaves', exact: true })).toHaveValue('1');
  await saved(page);
  await page.getByRole('combobox', { name: 'Student', exact: true }).selectOption({ label: 'new student …' });
  await page.waitForURL(/\/studio/);
  await expect(page.getByRole('heading', { name: 'A new student' })).toBeVisible();
  await page.getByLabel('Known by').selectOption('unknown');
  await expect(page.getByText('its reach is unknown').first()).toBeVisible();
});
