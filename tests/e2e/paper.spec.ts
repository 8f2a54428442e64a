import { readFile } from 'node:fs/promises';
import type { Download, Page } from '@playwright/test';
import { expect, test } from './shared';
import * as benchPictureText from '../../src/wording/rooms/benchPicture';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { act, dropOn, openBench, openStudio, picture, saved, serious, staffFingers } from './bench';
import { xmlNote, xmlOpening, xmlScore } from '../support/files';

async function ready(page: Page) {
  await expect(page.locator('main[data-ready="true"]')).toBeVisible();
}

async function bytesOf(download: Promise<Download>): Promise<Buffer> {
  return readFile(await (await download).path());
}

/** Does something that saves a file. */
async function savedFile(page: Page, work: () => Promise<void>): Promise<Buffer> {
  const download = page.waitForEvent('download');
  await work();
  return bytesOf(download);
}

async function pdfOf(bytes: Buffer) {
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const first = await (await pdf.getPage(1)).getTextContent();
  return { pages: pdf.numPages, text: first.items.map((item) => ('str' in item ? item.str : '')).join(' ') };
}

const finger = (step: string, octave: number, number: number) =>
  xmlNote({
    step,
    octave,
    duration: 1,
    more: `<notations><technical><fingering>${number}</fingering></technical></notations>`,
  });
/** A made-up duet: a flute, and a violin whose written fingers take the little finger for each open string. */
const duet = xmlScore([
  { name: 'Flute', measures: [xmlOpening(1) + xmlNote({ step: 'A', octave: 5, duration: 4 })] },
  {
    name: 'Violin',
    measures: [
      xmlOpening(1) + finger('D', 4, 4) + finger('E', 4, 1) + finger('F', 4, 2) + finger('G', 4, 3),
      finger('A', 4, 4) + finger('B', 4, 1) + finger('C', 5, 2) + finger('D', 5, 3),
      finger('A', 4, 4) + finger('G', 4, 3) + finger('F', 4, 2) + finger('E', 4, 1),
      finger('D', 4, 4) + finger('E', 4, 1) + finger('D', 4, 4) + finger('E', 4, 1),
    ],
  },
]);

test('a piece is dropped, its part chosen, as written stands beside ours, and ours is taken for two bars', async ({
  page,
}) => {
  await openStudio(page);
  await dropOn(page, 'duet.musicxml', duet);
  const dialog = page.getByRole('dialog', { name: 'Bring in a piece' });
  await expect(dialog.getByLabel('Part')).toHaveValue('1');
  await expect(dialog.getByTestId('first-bars').locator('svg')).toBeVisible();
  await expect(dialog).toContainText('16 notes for violin; 16 notes with a written finger');
  await dialog.getByLabel('To bar').fill('9');
  await expect(dialog.getByRole('alert')).toContainText('There is no bar 9; the bars are 1 to 4.');
  await dialog.getByLabel('To bar').fill('4');
  await dialog.getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/plan=/);
  await ready(page);
  const written = page.getByTestId('as-written');
  await expect(written).toHaveAttribute('data-ready', 'true');
  await expect(page.getByRole('button', { name: /^as written/i })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: /^the best plan/i })).toHaveAttribute('aria-pressed', 'false');
  // A finger put on the way as written is taken there, and says so.
  await page.getByRole('application').focus();
  await page.keyboard.press('End');
  await page.keyboard.press('2');
  await expect(page.getByText('Changed: bar 4, beat 4.')).toBeVisible();
  await expect(page.getByText(benchPictureText.keptHere('finger 2'))).toBeVisible();
  await expect(page.getByRole('button', { name: /^as written/i })).toHaveAttribute('aria-pressed', 'true');
  const last = async () => (await staffFingers(page, page.getByTestId('staff').first())).at(-1);
  await expect.poll(last).toBe('2');
  await page.keyboard.press('Control+z');
  await expect.poll(last).toBe('1');
  for (const bar of [1, 2]) {
    await written.getByRole('button', { name: `Take ours in bar ${bar}` }).click();
    await expect(written.getByRole('button', { name: `Keep theirs in bar ${bar}` })).toBeVisible();
  }
  await expect(written.getByRole('button', { name: 'Take ours in bar 3' })).toBeVisible();
  await expect
    .poll(() => staffFingers(page, page.getByTestId('staff').first()))
    .toEqual(['0', '1', '2', '3', '0', '1', '2', '3', '4', '3', '2', '1', '4', '1', '4', '1']);
  await saved(page);
  await page.reload();
  await ready(page);
  await expect(written.getByRole('button', { name: 'Keep theirs in bar 2' })).toBeVisible();
});

test('a file that cannot be read says what and where, and keeps the page as it was', async ({ page }) => {
  await openBench(page);
  const before = page.url();
  const dialog = page.getByRole('dialog', { name: 'Bring in a piece' });
  const troubles: readonly (readonly [string, string, RegExp])[] = [
    ['cut.musicxml', duet.slice(0, -40), /cut\.musicxml: The file is broken at line/],
    [
      'minus.xml',
      xmlScore([{ name: 'Violin', measures: [xmlNote({ step: 'A', duration: -1 })] }]),
      /Part P1, bar 1: A note here has a negative length/,
    ],
    ['text.mxl', 'this is no score', /no score, and no notes typed as text either/],
    ['laughs.xml', '<!DOCTYPE a [<!ENTITY b "c">]><score-partwise>&b;</score-partwise>', /entity/],
    ['later.dovepath.json', '{"format":"dove-path-plan","version":99}', /later version/],
    ['backup.json', '{"format":"dove-path-backup","version":4}', /Use “Restore”/],
  ];
  for (const [name, text, words] of troubles) {
    await dropOn(page, name, text);
    await expect(dialog.getByRole('alert')).toContainText(words);
  }
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(dialog).toHaveCount(0);
  expect(page.url()).toBe(before);
  await expect(picture(page)).toBeVisible();
});

test('a sheet is chosen, written on, printed with nothing of the interface, and saved as a PDF', async ({ page }) => {
  await openBench(page);
  await act(page, 'Save this plan as', 'Sheet, to print or as PDF …');
  await page.waitForURL(/\/sheet/);
  await ready(page);
  const laid = page.getByTestId('laid');
  await expect(laid).toHaveAttribute('data-state', 'laid');
  const pages = page.getByTestId('paper-page');
  await expect(pages.first()).toContainText('Finger patterns');
  await page.getByLabel('Goal, in one line').fill('Every string rings');
  await expect(pages.first()).toContainText('Every string rings');
  await page.getByLabel('finger patterns').uncheck();
  await expect(pages.first()).not.toContainText('Finger patterns');
  await page.getByLabel('note names').check();
  await page.getByLabel('Paper', { exact: true }).selectOption({ label: 'Letter' });
  await expect(laid).toHaveAttribute('data-state', 'laid');
  await page.getByRole('button', { name: 'Undo edit' }).click();
  await expect(pages.first()).not.toContainText('Every string rings');
  await page.getByRole('button', { name: 'Redo edit' }).click();
  await expect(pages.first()).toContainText('Every string rings');

  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Views' })).toBeHidden();
  await expect(page.getByLabel('Goal, in one line')).toBeHidden();
  await expect(pages.first()).toBeVisible();
  const printed = await pdfOf(await page.pdf({ preferCSSPageSize: true }));
  expect(printed.pages).toBe(await pages.count());
  expect(printed.text).toContain('Every string rings');
  await page.emulateMedia({ media: 'screen' });

  const file = await pdfOf(await savedFile(page, () => page.getByRole('button', { name: 'Save as PDF' }).click()));
  expect(file.pages).toBe(await pages.count());
  expect(file.text).toContain('Every string rings');
  await page.reload();
  await ready(page);
  await expect(page.getByLabel('Goal, in one line')).toHaveValue('Every string rings');
});

test(
  'a book of twelve keys: made, stopped, gone on with, a page opened and changed, saved',
  { tag: '@nightly' },
  async ({ page }) => {
    await page.goto('/book');
    await ready(page);
    for (const key of ['B♭ major', 'F major', 'C major', 'G major', 'D major', 'A major'])
      await expect(page.getByLabel(key, { exact: true })).toBeChecked();
    for (const key of ['A minor', 'E minor', 'B minor', 'D minor', 'G minor', 'E♭ major'])
      await page.getByLabel(key, { exact: true }).check();
    await expect(page.getByTestId('page-count')).toContainText('24 pages');
    await page.getByLabel('Name', { exact: true }).fill('Twelve keys');
    // Held up on its way, so that there is something to stop.
    await page.evaluate(() => {
      const post = Worker.prototype.postMessage;
      Worker.prototype.postMessage = function (this: Worker, ...all: unknown[]) {
        setTimeout(() => (post as (...args: unknown[]) => void).apply(this, all), 120);
      };
    });
    await page.getByRole('button', { name: 'Make this book' }).click();
    const made = page.getByTestId('made');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(made).toHaveAttribute('data-whole', 'false');
    await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(made).toHaveAttribute('data-whole', 'true');
    await expect(made.getByRole('listitem')).toHaveCount(24);
    await expect(made.getByTestId('paper-page').locator('svg')).toContainText('Twelve keys');
    const file = await pdfOf(await savedFile(page, () => made.getByRole('button', { name: 'Save as PDF' }).click()));
    expect(file.pages).toBe(25);
    expect(file.text).toContain('Contents');

    await made.getByRole('button', { name: 'Open D major scale, two octaves on the Bench' }).click();
    await page.waitForURL(/\?plan=/);
    await ready(page);
    await picture(page).focus();
    await page.keyboard.press('Home');
    await page.keyboard.press('4');
    await expect(page.getByTestId('kept')).toHaveCount(1);
    await saved(page);
    await page.goBack();
    await page.goto('/book');
    await ready(page);
    await page.getByRole('button', { name: /^Twelve keys/ }).click();
    await expect(made).toHaveAttribute('data-whole', 'true');
    await made.getByRole('button', { name: 'D major scale, two octaves', exact: true }).click();
    await expect(made.getByTestId('paper-page').locator('svg text').filter({ hasText: /^4$/ }).first()).toBeVisible();
    const notes = (await savedFile(page, () => made.getByRole('button', { name: 'MusicXML' }).click())).toString();
    expect(notes.match(/<print new-page="yes"\/>/g)?.length).toBe(23);
    expect(notes).toContain('D major scale, two octaves');
  },
);

test('a page for a class: score and parts, each in its clef, for four or for two', async ({ page }) => {
  await page.goto('/class');
  await ready(page);
  const pages = page.getByTestId('paper-page');
  for (const name of ['Violins', 'Violas', 'Cellos', 'Basses']) await expect(pages.first()).toContainText(name);
  await page.getByLabel('Double bass').uncheck();
  await expect(pages.first()).not.toContainText('Basses');
  await page.getByLabel('On the paper', { exact: true }).selectOption({ label: 'score and parts' });
  await expect(pages).toHaveCount(4);
  await page.getByLabel('Played together').selectOption({ label: 'typed notes' });
  await page.getByLabel('Notes, as they are typed on the Bench').fill('xyz');
  await expect(page.getByRole('alert').first()).toContainText('cannot be read');
  await page.getByLabel('Notes, as they are typed on the Bench').fill('D4 E F# G A');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(pages.first()).toContainText('5 notes');
});

test(
  'a plan is sent without its student, opened in another browser beside what is there, and opened twice is one',
  { tag: '@nightly' },
  async ({ page, browser }) => {
    await openStudio(page, '/studio?demo');
    await page.getByRole('button', { name: /^Pip/ }).first().click();
    await page.getByRole('region', { name: 'Plans for Pip' }).getByRole('link').first().click();
    await ready(page);
    const file = (
      await savedFile(page, () => act(page, 'Save this plan as', 'File to send, without the student'))
    ).toString();
    expect(file).not.toContain('Pip');
    const other = await (await browser.newContext()).newPage();
    await openStudio(other);
    for (const words of ['is here now', 'is here already']) {
      await dropOn(other, 'plan.dovepath.json', file);
      await expect(other.getByRole('status').filter({ hasText: words })).toBeVisible();
      await other.getByRole('status').getByRole('button', { name: 'Close' }).click();
    }
    await expect(other.getByRole('region', { name: 'All plans' }).getByRole('listitem')).toHaveCount(1);
    const withStudent = (
      await savedFile(page, () => act(page, 'Save this plan as', 'File to send, with the student'))
    ).toString();
    expect(withStudent).toContain('Pip');
  },
);

test('the plan on the stand is saved as notes and as pictures', async ({ page }) => {
  await openBench(page);
  const kinds: readonly (readonly [string, (file: Buffer) => boolean])[] = [
    ['Notes with fingers (MusicXML)', (file) => file.toString().includes('<score-partwise')],
    ['Sound of the notes (MIDI)', (file) => file.toString('latin1').startsWith('MThd')],
    ['Table of notes and fingers (CSV)', (file) => file.toString().startsWith('at,bar,beat')],
    ['Picture of staff and hand trail, SVG', (file) => file.toString().startsWith('<svg')],
    ['Picture of the neck, PNG', (file) => file.subarray(1, 4).toString() === 'PNG'],
  ];
  for (const [words, isIt] of kinds) {
    const file = await savedFile(page, () => act(page, 'Save this plan as', words));
    expect(isIt(file), words).toBe(true);
  }
});

test(
  'axe finds nothing serious on paper, in a book, for a class and while something is brought in',
  { tag: '@nightly' },
  async ({ page }) => {
    test.setTimeout(240_000);
    await openBench(page);
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Sheet' }).click();
    await expect(page.getByTestId('laid')).toHaveAttribute('data-state', 'laid');
    expect(await serious(page)).toEqual([]);
    for (const address of ['/book', '/class']) {
      await page.goto(address);
      await ready(page);
      expect(await serious(page), address).toEqual([]);
    }
    await page.goto('/studio');
    await ready(page);
    await dropOn(page, 'duet.musicxml', duet);
    await expect(page.getByTestId('first-bars').locator('svg')).toBeVisible();
    expect(await serious(page)).toEqual([]);
  },
);
