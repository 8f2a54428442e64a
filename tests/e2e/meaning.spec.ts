import type { Page } from '@playwright/test';
import { NIGHTLY } from '../support/runs';
import { expect, test } from './shared';
import { briefAddress } from '../../src/app/brief/address';
import { cursorWords, openBench, picture, serious } from './bench';

const findings = (page: Page) => page.getByTestId('findings');
const ways = (page: Page) => page.getByRole('heading', { name: /^\d ways$|^One way$/ });
const view = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name }).click();
const standing = (page: Page) => expect(page.locator('main[data-ready="true"]')).toBeVisible();

async function openPlan(page: Page, name: string) {
  await openBench(page, '/?demo');
  await page.getByRole('button', { name, exact: true }).click();
  await expect(findings(page).getByRole('listitem').first()).toBeVisible();
}

test('a finding selects its notes, says its sentence, and leads to its shift, the rehearsal and the drill, which plays', async ({
  page,
}) => {
  await openPlan(page, 'Juno: D major into thumb position');
  await expect(findings(page)).toContainText('Bar 4, beats 3–4');
  const shift = findings(page).getByRole('listitem').filter({ hasText: 'shift' }).first();
  await expect(shift).toContainText(/Bar \d+, .*: a shift from .* to .*, .*, [\d.]+ mm in [\d.]+ s\./);
  await shift.getByRole('button').first().click();
  const arrived = /, (bar \d+, beat \d+):/.exec((await cursorWords(page).textContent()) ?? '')?.[1];
  await shift.getByRole('link', { name: 'take it apart' }).click();
  await standing(page);
  const closeUp = page.getByTestId('closeup');
  await expect(page.getByRole('button', { pressed: true })).toContainText(String(arrived));
  await expect(closeUp).toContainText(
    /(Guide: finger .* unheard\.|Into thumb position: .*) The hand goes .*, \d+ mm towards the/,
  );
  await expect(closeUp).toContainText('Why here:');
  await expect(page.getByTestId('elsewhere')).toContainText(/Elsewhere|makes no other|Nowhere else/);
  await expect(closeUp.getByTestId('staff').locator('svg')).toBeVisible();
  await page.getByRole('button', { name: 'Open the drill most like it' }).click();
  await standing(page);
  await expect(page.getByLabel('Name of this plan')).toHaveValue(/^Drill: /);
  await expect(ways(page)).toBeVisible();
  await page.getByLabel('Beats a minute', { exact: true }).fill('240');
  await page.getByLabel('count in').uncheck();
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(cursorWords(page)).toContainText(/Note [3-9] of/);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
});

test(
  'the rehearsal opens as a plan of its own, and a series is made to order',
  { tag: '@nightly' },
  async ({ page }) => {
    await openPlan(page, 'Wren: E♭ major scale, two octaves, violin');
    await view(page, 'Shifts');
    await page.getByRole('button', { name: 'Open the rehearsal on the Bench' }).click();
    await standing(page);
    await expect(page.getByLabel('Name of this plan')).toHaveValue(/^Rehearsal: /);
    await expect(picture(page).getByTestId('staff').first()).toBeVisible();
    await page.reload();
    await standing(page);
    await expect(page.getByLabel('Name of this plan')).toHaveValue(/^Rehearsal: /);
    await page.goBack();
    await standing(page);
    await page.getByRole('button', { name: 'How hard' }).click();
    await page.getByRole('region', { name: 'All shifts' }).getByRole('button').nth(1).click();
    await expect(page.getByTestId('closeup').getByRole('heading', { level: 2 })).toContainText('G5 – A♭5, 2 to 1');
    await expect(page.getByLabel('From finger')).toHaveValue('2');
    await page.getByLabel('Key', { exact: true }).selectOption('G major');
    await page.getByRole('button', { name: 'Open it on the Bench' }).click();
    await standing(page);
    await expect(page.getByLabel('Name of this plan')).toHaveValue('Shift 2 to 1, E string, G major');
    await view(page, 'Shifts');
    await page.getByLabel('Kind of drill').selectOption('same');
    await page.getByLabel('From finger').selectOption('2');
    await page.getByRole('button', { name: 'Open it on the Bench' }).click();
    await expect(page.getByLabel('Name of this plan')).toHaveValue('Finger 2 all the way, E string, G major');
    await expect(ways(page)).toBeVisible();
  },
);

test(
  'each kind of finding is opened from the Bench: its notes are marked and its close-up tells of it',
  { tag: '@nightly' },
  async ({ page }) => {
    // F low and C sharp high with one finger, E between G and A, a fingertip wider than a semitone, a stretch, a shift, a note nothing checks.
    const names = ['F4', 'C#5', 'E4', 'F4', 'G#3', 'C4', 'A5', 'Ab6'];
    const locks = [
      { at: 0, finger: 2 as const, string: 'D4' },
      { at: 1, finger: 2 as const, string: 'A4' },
      { at: 2, finger: 1 as const, string: 'D4' },
      { at: 3, finger: 2 as const, string: 'D4' },
    ];
    const address = briefAddress({
      instrument: 'violin',
      hand: { relaxedMm: 62, fullMm: 80, fingertipMm: 19 },
      material: { type: 'notes', key: 'C major', notes: names.map((name) => ({ pitches: [name] })) },
      rules: { locks },
    });
    await openBench(page, `/${address}`);
    const all = findings(page).getByRole('button', { name: /^all \d+$/ });
    await all.click();
    // One for each view by day, all of them by night.
    const kinds = NIGHTLY
      ? (['shift', 're-placed finger', 'crowding', 'comma', 'no check'] as const)
      : (['shift', 're-placed finger', 'comma'] as const);
    const VIEWS = { shift: 'Shifts', 're-placed finger': 'Hand', crowding: 'Hand', comma: 'Ear', 'no check': 'Ear' };
    for (const kind of kinds) {
      const item = findings(page)
        .getByRole('listitem')
        .filter({ hasText: new RegExp(`^${kind} `) })
        .first();
      await item.getByRole('button').first().click();
      const sentence = (await item.textContent()) ?? '';
      const where = /Bar \d+, beats? [\d–]+(?: to bar \d+, beat \d+)?/.exec(sentence)?.[0] ?? '';
      const last = /(\d+)$/.exec(where)?.[1];
      await expect(cursorWords(page)).toContainText(new RegExp(`bar \\d, beat ${last}:`));
      await expect(page.getByTestId('marked')).toHaveText(where, { ignoreCase: true });
      await item.getByRole('link').click();
      await standing(page);
      await expect(page.getByRole('heading', { name: VIEWS[kind], level: 1 })).toBeVisible();
      if (VIEWS[kind] === 'Ear')
        await expect(page.getByTestId('note')).toContainText(kind === 'comma' ? '22 cents' : 'No string checks');
      await page.goBack();
      await standing(page);
      await all.click();
    }
  },
);

test('every finding is followed to its drill on the Bench, which plays', { tag: '@nightly' }, async ({ page }) => {
  const names = ['F4', 'C#5', 'E4', 'F4', 'G#3', 'C4', 'A5', 'Ab6'];
  const address = briefAddress({
    instrument: 'violin',
    hand: { relaxedMm: 62, fullMm: 80, fingertipMm: 19 },
    material: { type: 'notes', key: 'C major', notes: names.map((name) => ({ pitches: [name] })) },
    rules: {
      locks: [
        { at: 0, finger: 2, string: 'D4' },
        { at: 1, finger: 2, string: 'A4' },
        { at: 2, finger: 1, string: 'D4' },
        { at: 3, finger: 2, string: 'D4' },
      ],
    },
  });
  await openBench(page, `/${address}`);
  await page.getByLabel('Beats a minute', { exact: true }).fill('240');
  await page.getByLabel('count in').uncheck();
  for (const kind of NIGHTLY ? ['shift', 're-placed finger', 'crowding', 'comma', 'no check'] : ['shift', 'no check']) {
    await findings(page)
      .getByRole('button', { name: /^all \d+$/ })
      .click();
    const item = findings(page)
      .getByRole('listitem')
      .filter({ hasText: new RegExp(`^${kind} `) })
      .first();
    await item.getByRole('button', { name: 'drill it' }).click();
    await expect(page.getByLabel('Name of this plan')).toHaveValue(new RegExp(`^Drill: ${kind}, bar \\d`));
    await expect(ways(page)).toBeVisible();
    await page.getByRole('button', { name: 'Listen' }).click();
    await expect(cursorWords(page)).toContainText(/Note [2-9] of/);
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    await expect(page.getByTestId('save-state')).toHaveText('Not saved yet');
    await page.getByText('Made for').getByRole('button').first().click();
    await expect(cursorWords(page)).toContainText('of 8');
  }
  const shelf = page.getByRole('region', { name: 'Saved plans' }).getByRole('listitem');
  await expect(shelf.filter({ hasText: 'Drill: ' })).toHaveCount(0);
  await findings(page).getByRole('button', { name: 'drill it' }).first().click();
  await page.getByRole('button', { name: 'Keep it with this plan' }).click();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await expect(shelf.filter({ hasText: 'Drill: ' })).toHaveCount(1);
});

test(
  'a stretch has its drill, and a scale is kept in one position or it is said that it cannot be',
  { tag: '@nightly' },
  async ({ page }) => {
    await openPlan(page, 'Wren: E♭ major scale, two octaves, violin');
    await view(page, 'Hand');
    await expect(page.getByRole('listitem').filter({ hasText: '3 and 4 touch' }).first()).toBeVisible();
    await page.getByRole('button', { name: 'open its drill' }).first().click();
    await standing(page);
    await expect(page.getByLabel('Name of this plan')).toHaveValue(/^Drill: stretch, bar 4, beat 3/);
    await expect(ways(page)).toBeVisible();
    await view(page, 'Shifts');
    await page.getByLabel('Kind of drill').selectOption('broken-thirds');
    await page.getByLabel('Position').selectOption({ label: '3rd position' });
    await page.getByLabel('Key', { exact: true }).selectOption('D major');
    await page.getByRole('button', { name: 'Open it on the Bench' }).click();
    await standing(page);
    await expect(page.getByLabel('Name of this plan')).toHaveValue(
      'broken thirds in one position: 3rd position, D major',
    );
    await expect(page.getByRole('button', { pressed: true })).toContainText('3rd position throughout');
    await openPlan(page, 'Otis: F major scale, two octaves, ¾ double bass');
    await view(page, 'Shifts');
    await page.getByLabel('Kind of drill').selectOption('scale');
    await page.getByLabel('Position').selectOption({ label: '5th position' });
    await page.getByLabel('Key', { exact: true }).selectOption('C# major');
    await page.getByRole('button', { name: 'Open it on the Bench' }).click();
    await expect(page.getByText('This position has not a whole octave of this key.')).toBeVisible();
  },
);

test('Hand shows frames, the same frame elsewhere in mm, the stretch with its limit and a way round', async ({
  page,
}) => {
  await openPlan(page, 'Wren: E♭ major scale, two octaves, violin');
  const stretch = findings(page).getByRole('listitem').filter({ hasText: 'stretch' });
  await expect(stretch).toContainText(/[\d.]+ mm from 1 to 4: a stretch \(full spread [\d.]+ mm\)/);
  await stretch.getByRole('link', { name: 'see the hand' }).click();
  await standing(page);
  await expect(page.getByRole('row', { name: /as it is/ })).toContainText('mm');
  const spreads = await page.getByRole('row').locator('td:nth-child(3)').allTextContents();
  const mm = spreads.map((words) => Number.parseFloat(words));
  expect(mm.length).toBeGreaterThan(3);
  expect(mm).toEqual([...mm].sort((a, b) => b - a));
  await page.getByRole('button', { name: 'find another way' }).click();
  await expect(page.getByText(/Another way changes bar|It needs to/)).toBeVisible();
});

test('Ear gives targets in cents and mm, hears checks, explains a comma, and says holes in a table', async ({
  page,
}) => {
  await openPlan(page, 'Wren: F♯ minor arpeggio, two octaves, violin');
  await openBench(page, '/');
  await page.getByLabel('Kind', { exact: true }).selectOption('scale');
  await page.getByLabel('Key', { exact: true }).selectOption('D');
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved');
  await view(page, 'Ear');
  await standing(page);
  const targets = page.getByRole('region', { name: 'Targets' });
  await expect(targets).toContainText(/[+−][\d.]+ cents/);
  await expect(targets).toContainText(/[\d.]+ mm \([+−][\d.]+\)/);
  await targets.getByRole('row').filter({ hasText: 'comma' }).first().getByRole('button').click();
  await expect(page.getByTestId('comma')).toContainText('22 cents away');
  await page.getByTestId('note').getByRole('button', { name: 'Hear it pure' }).first().click();
  await page.getByTestId('note').getByRole('button', { name: '10 cents high' }).first().click();
  await page.getByLabel('Intonation').selectOption('own');
  const table = page.getByLabel('Cents on each semitone from the tonic up');
  await table.fill('0 x 4 -16 -14 -2 -10 2 14 -16');
  await table.blur();
  await expect(page.getByRole('alert')).toContainText('twelve numbers');
  await expect(page.getByRole('alert')).toContainText('Nothing is given for 1 semitone above');
  await page.getByLabel('Open strings').selectOption('equal');
  await targets.getByRole('row').filter({ hasText: 'comma' }).first().getByRole('button').click();
  await expect(page.getByTestId('comma')).toContainText('18 cents away');
});

test('double stops have pure targets of their own', async ({ page }) => {
  await openPlan(page, 'Wren: D major scale in thirds, one octave, violin');
  await view(page, 'Ear');
  await expect(page.getByText(/D4 \+ F♯4: major third 5:4, 14 cents narrower; the upper finger moves/)).toBeVisible();
});

test('without a plan, or with one that cannot be played, the views say so and show the way', async ({ page }) => {
  for (const name of ['hand', 'shifts', 'ear']) {
    await page.goto(`/${name}`);
    await expect(page.getByRole('alert')).toContainText('No plan is saved here yet');
    await expect(page.getByRole('link', { name: 'To the Bench' })).toBeVisible();
  }
});

test('axe finds nothing serious on Hand, Shifts and Ear', { tag: '@nightly' }, async ({ page }) => {
  await openPlan(page, 'Wren: E♭ major scale, two octaves, violin');
  for (const name of ['Hand', 'Shifts', 'Ear']) {
    await view(page, name);
    await standing(page);
    expect(await serious(page), name).toEqual([]);
  }
});
