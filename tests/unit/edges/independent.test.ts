import assert from 'node:assert/strict';
import { test } from 'node:test';
import MidiParser from 'midi-parser-js';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import createVerovio from 'verovio/wasm';
import { VerovioToolkit } from 'verovio/esm';
import type { PlanRequest } from '../../../src/core';
import { usualSheet } from '../../../src/drawing/sheet/usual';
import { writeAs } from '../../../src/work/exports';
import { pdfFile, pngFile, svgFile } from '../../../scripts/lib/sheets';
import { made } from '../../support/files';

/*
 * What is written opens in readers that others wrote.
 */

const REQUESTS: readonly PlanRequest[] = [
  {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'Ab3', scale: 'major', octaves: 3, direction: 'updown', notesPerBow: 4 },
  },
  {
    instrument: 'cello',
    material: {
      type: 'scale',
      tonic: 'D2',
      scale: 'melodic-minor',
      octaves: 3,
      direction: 'updown',
      notesPerBow: 3,
      time: '3/4',
    },
  },
  {
    instrument: 'viola',
    material: { type: 'double-stops', interval: 'sixth', tonic: 'C3', scale: 'major', octaves: 1, direction: 'up' },
  },
  {
    instrument: 'bass',
    material: {
      type: 'notes',
      key: 'F major',
      time: '6/8',
      notes: ['F1', 'A1', 'C2', 'F2', 'C2', 'A1', 'F1'].map((name) => ({ pitches: [name], beats: 1.5 })),
    },
  },
];

const verovio = createVerovio();

test('MusicXML opens in an engraving library with every note, finger and slur', async () => {
  const toolkit = new VerovioToolkit(await verovio);
  for (const request of REQUESTS) {
    const one = made(request);
    assert.ok(one);
    const xml = new TextDecoder().decode(writeAs('musicxml', one));
    assert.ok(toolkit.loadData(xml), 'it loads');
    const mei = toolkit.getMEI({});
    const count = (pattern: RegExp) => mei.match(pattern)?.length ?? 0;
    // An event held over a bar line is written twice.
    const written = [...xml.matchAll(/<pitch>/g)].length;
    const fingers = one.plan.steps.flatMap(({ stops }) => stops).filter(({ finger }) => finger !== 'T').length;
    assert.equal(count(/<note /g), written, JSON.stringify(request));
    assert.equal(count(/<fing[ >]/g), fingers, JSON.stringify(request));
    assert.equal(count(/<slur /g), [...xml.matchAll(/<slur type="start"/g)].length);
  }
});

test('MusicXML keeps the order that its schema asks for', () => {
  const order = [
    'chord',
    'pitch',
    'rest',
    'duration',
    'tie',
    'voice',
    'type',
    'dot',
    'accidental',
    'time-modification',
    'beam',
    'notations',
  ];
  const attributes = ['divisions', 'key', 'time', 'clef', 'transpose'];
  for (const request of REQUESTS) {
    const one = made(request);
    assert.ok(one);
    const xml = new TextDecoder().decode(writeAs('musicxml', one));
    for (const [, inside] of xml.matchAll(/<note>(.*?)<\/note>/gs)) assertOrder(topElements(inside), order);
    for (const [, inside] of xml.matchAll(/<attributes>(.*?)<\/attributes>/gs))
      assertOrder(topElements(inside), attributes);
    assertOrder(topElements(/<score-partwise[^>]*>(.*)<\/score-partwise>/s.exec(xml)?.[1] ?? ''), [
      'work',
      'identification',
      'part-list',
      'part',
    ]);
    const lengths = [...xml.matchAll(/<duration>(\d+)<\/duration>/g)].map(([, length]) => Number(length));
    assert.ok(lengths.every((length) => length > 0));
  }
});

/** Names of the elements on the first level. */
function topElements(xml: string): string[] {
  const names: string[] = [];
  let depth = 0;
  for (const [, close, name, empty] of xml.matchAll(/<(\/?)([\w-]+)[^>]*?(\/?)>/g)) {
    if (close) depth--;
    else {
      if (depth === 0) names.push(name);
      if (!empty) depth++;
    }
  }
  return names;
}

function assertOrder(found: readonly string[], order: readonly string[]) {
  const places = found.map((name) => order.indexOf(name));
  assert.ok(
    places.every((place) => place >= 0),
    found.join(),
  );
  assert.deepEqual(
    places,
    [...places].sort((a, b) => a - b),
    found.join(),
  );
}

test('MIDI opens in another library than the one that wrote it', () => {
  for (const request of REQUESTS) {
    const one = made(request);
    assert.ok(one);
    const read = MidiParser.parse(writeAs('midi', one)) as {
      readonly timeDivision: number;
      readonly track: readonly { readonly event: readonly { readonly type: number; readonly data: unknown }[] }[];
    };
    assert.equal(read.timeDivision, 480);
    const on = read.track.flatMap(({ event }) => event).filter(({ type }) => type === 9);
    const midi = one.response.events.flatMap((event) => ('midi' in event ? event.midi : []));
    assert.deepEqual(
      on.map(({ data }) => (data as number[])[0]).sort((a, b) => a - b),
      [...midi].sort((a, b) => a - b),
    );
  }
});

test('a PDF has its pages, its fonts inside, words that are found, and no bitmap', async () => {
  const one = made(REQUESTS[0]);
  assert.ok(one);
  const { title, pages } = usualSheet(one, new Date(0));
  const bytes = await pdfFile(pages, { title, author: 'Dove Path', bookmarks: [{ title, page: 1 }] });
  const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 }).promise;
  assert.equal(pdf.numPages, pages.length);
  const { info } = (await pdf.getMetadata()) as {
    readonly info: { readonly Title?: string; readonly Author?: string };
  };
  assert.deepEqual([info.Title, info.Author], ['A flat major scale, three octaves, violin', 'Dove Path']);
  assert.equal((await pdf.getOutline())?.[0].title, title);
  const page = await pdf.getPage(1);
  const { items } = await page.getTextContent();
  const text = items.map((item) => ('str' in item ? item.str : '')).join(' ');
  for (const words of ['A flat major scale', '1st position', 'Finger patterns', 'Hard places'])
    assert.ok(text.includes(words), words);
  const raw = Buffer.from(bytes).toString('latin1');
  assert.ok(!raw.includes('/Subtype /Image') && !raw.includes('/Image\n'), 'no bitmap');
  await pdf.destroy();
});

test('a picture has its words as shapes, and is one', () => {
  const one = made(REQUESTS[1]);
  assert.ok(one);
  const { title, pages } = usualSheet(one, new Date(0), { hard: false });
  const svg = svgFile(pages, title);
  assert.ok(svg.startsWith('<svg') && !svg.includes('<text'), 'no words that need a font');
  const png = pngFile(pages.slice(0, 1), title);
  assert.deepEqual([...png.subarray(1, 4)], [0x50, 0x4e, 0x47]);
});
