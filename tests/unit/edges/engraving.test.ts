import assert from 'node:assert/strict';
import { test } from 'node:test';
import { clefsFor, parsePitch, plan, writtenBars, type Clef, type NotesSpec } from '../../../src/core';
import { drawKey } from '../../../src/drawing/paper/head';
import type { Ink } from '../../../src/drawing/paper/ink';
import { headY, ledgers, setNote } from '../../../src/drawing/paper/notes';
import { NOTHING_OVER, type Over } from '../../../src/drawing/paper/over';
import { drawLines, type DrawnLine } from '../../../src/drawing/paper/system';

function drawn(material: NotesSpec, over: Partial<Over> = {}, width = 120): DrawnLine[] {
  const response = plan({ instrument: 'violin', material, alternatives: 1 });
  const bars = writtenBars(response, 'violin', clefsFor(response.events, 'violin'));
  return drawLines([{ bars, instrument: 'violin', over: { ...NOTHING_OVER, ...over } }], { width, numbers: true });
}
const typed = (names: string, more: Partial<NotesSpec> = {}): NotesSpec => ({
  type: 'notes',
  key: 'C major',
  notes: names.split(' ').map((word) => {
    const [name, beats = '1'] = word.split(':');
    return name === '-' ? { rest: true, beats: Number(beats) } : { pitches: name.split('+'), beats: Number(beats) };
  }),
  ...more,
});

const glyphs = (inks: readonly Ink[], pattern: RegExp) =>
  inks.flatMap((ink) => (ink.kind === 'glyph' && pattern.test(ink.glyph) ? [ink] : []));
const shapes = (inks: readonly Ink[]) => inks.filter(({ kind }) => kind === 'shape');
const stems = (inks: readonly Ink[]) =>
  inks.flatMap((ink) => (ink.kind === 'line' && ink.x1 === ink.x2 && Math.abs(ink.width - 0.12) < 0.01 ? [ink] : []));

test('a note stands on its line or in its space in every clef', () => {
  const y = (name: string, clef: Clef, instrument: 'violin' | 'bass' = 'violin') =>
    headY(parsePitch(name) as never, clef, instrument);
  assert.deepEqual([y('B4', 'treble'), y('F5', 'treble'), y('E4', 'treble'), y('C4', 'treble')], [2, 0, 4, 5]);
  assert.deepEqual([y('C4', 'alto'), y('C4', 'tenor'), y('C4', 'bass')], [2, 1, -1]);
  assert.equal(y('C2', 'bass', 'bass'), 2.5, 'the bass is read an octave up');
  assert.deepEqual([ledgers(2), ledgers(-1), ledgers(-2.5), ledgers(6)], [[], [-1], [-1, -2], [5, 6]]);
});

test('stems go up below the middle line and down from it, and reach it from afar', () => {
  const response = plan({ instrument: 'violin', material: typed('G3 B4 A6'), alternatives: 1 });
  const [{ notes }] = writtenBars(response, 'violin', clefsFor(response.events, 'violin'));
  const sets = notes.map((note) => setNote(note, 0, 'violin'));
  assert.deepEqual(
    sets.map(({ up }) => up),
    [true, false, false],
  );
  assert.equal(sets[0].tip, 2, 'from ledger lines to the middle line');
  assert.ok(sets[1].tip > 5);
  assert.equal(sets[2].tip, 2);
});

test('each note value has its head, flag or rest', () => {
  const [{ inks }] = drawn(typed('A4:4 A4:2 A4:1 A4:0.5 -:0.5 -:2 -:1 -:0.25 A4:0.25 -:0.5'));
  assert.deepEqual(
    ['noteheadWhole', 'noteheadHalf', 'noteheadBlack', 'flag8Up', 'flag16Up', 'rest2', 'rest4', 'rest8', 'rest16'].map(
      (name) => glyphs(inks, new RegExp(`^${name}$`)).length,
    ),
    [1, 1, 3, 1, 1, 1, 1, 2, 1],
  );
});

test('a rest that fills its bar stands in its middle, and is a whole one', () => {
  const [{ inks }] = drawn(typed('A4 B4 C5 -:3 A4:3', { time: '3/4' }));
  const [rest] = glyphs(inks, /^rest1$/);
  assert.ok(rest);
  assert.equal(glyphs(inks, /^rest/).length, 1);
});

test('notes under one beam have stems one way that end on it', () => {
  const [{ inks }] = drawn(typed('G4:0.5 E5:0.5 A4:0.25 B4:0.25 C5:0.25 D5:0.25'));
  assert.equal(glyphs(inks, /^flag/).length, 0);
  assert.equal(shapes(inks).length, 3, 'one beam over eighths, two over sixteenths');
  assert.equal(stems(inks).length, 6);
});

test('chords a step apart stand on both sides of the stem, and their signs beside each other', () => {
  const [{ inks }] = drawn(typed('G#4+A#4:2'));
  const heads = glyphs(inks, /^noteheadHalf$/);
  assert.ok(Math.abs(heads[0].x - heads[1].x) > 0.9);
  const [first, second] = glyphs(inks, /^accidentalSharp$/);
  assert.ok(Math.abs(first.x - second.x) > 0.9);
  assert.ok(Math.max(first.x, second.x) < Math.min(heads[0].x, heads[1].x));
});

test('dots stand in spaces, one for each head', () => {
  const [{ inks }] = drawn(typed('B4:1.5 C5:0.5 A4+F5:1.5 -:0.5'));
  const dots = glyphs(inks, /^dot$/);
  assert.equal(dots.length, 3);
  for (const { y } of dots) assert.notEqual(y % 1, 0);
});

test('a note held over a bar line is tied, a tuplet has its number', () => {
  const [{ inks }] = drawn({
    ...typed('A4:3 B4:2 C5'),
    notes: [...typed('A4:3 B4:2').notes, ...['C5', 'D5', 'E5'].map((name) => ({ pitches: [name], beats: '1/3' }))],
  });
  assert.ok(
    shapes(inks).some((ink) => ink.kind === 'shape' && ink.path.some(([letter]) => letter === 'C')),
    'a curve',
  );
  assert.equal(glyphs(inks, /^tuplet3$/).length, 1);
});

test('signatures stand where they belong in each clef', () => {
  const ys = (fifths: number, clef: Clef) => {
    const inks: Ink[] = [];
    drawKey(inks, fifths, 0, clef, 0);
    return inks.flatMap((ink) => (ink.kind === 'glyph' ? [ink.y] : []));
  };
  assert.deepEqual(ys(3, 'treble'), [0, 1.5, -0.5]);
  assert.deepEqual(ys(2, 'bass'), [1, 2.5]);
  assert.deepEqual(ys(-2, 'alto'), [2.5, 1]);
  assert.deepEqual(ys(1, 'tenor'), [3]);
  const taken: Ink[] = [];
  drawKey(taken, 0, 2, 'treble', 0);
  assert.deepEqual(glyphs(taken, /^accidentalNatural$/).length, 2, 'what is left of nothing is taken back');
});

test('a change of key, time and clef is drawn where it happens', () => {
  const material = typed('A4 B4 C5 D5 A4 B4 C5', { changes: [{ at: 4, key: 'D major', time: '3/4' }] });
  const [{ inks }] = drawn(material);
  assert.equal(glyphs(inks, /^time/).length, 4);
  assert.equal(glyphs(inks, /^accidentalSharp$/).length, 2, 'the signature');
  assert.equal(glyphs(inks, /^accidentalNatural$/).length, 1, 'and C natural in it');
});

test('signs that are taken back have their room before the notes', () => {
  const material = typed('A4 B4 E5 A4 B4 E5 A4 B4', { key: 'E major', changes: [{ at: 4, key: 'C major' }] });
  const [{ inks }] = drawn(material);
  const naturals = glyphs(inks, /^accidentalNatural$/).map(({ x }) => x);
  const heads = glyphs(inks, /^noteheadBlack$/).map(({ x }) => x);
  assert.equal(naturals.length, 4);
  assert.ok(naturals[0] > heads[3] + 1.2 && naturals[3] + 0.8 < heads[4], `${naturals} in ${heads}`);
});

test('what is asked for is over the notes, and nothing else is', () => {
  const over: Partial<Over> = {
    fingers: new Map([
      [0, ['1']],
      [1, ['T']],
    ]),
    strings: [{ from: 0, to: 3, text: 'II' }],
    positions: [
      { from: 0, to: 1, text: '1st position', short: '1st' },
      { from: 2, to: 3, text: '3rd position', short: '3rd' },
    ],
    rings: new Set([1]),
    checks: new Set([2]),
    names: new Map([[0, 'A']]),
    marked: [{ from: 1, to: 2, text: '1' }],
    extensions: new Set([0]),
  };
  const [{ inks }] = drawn(typed('A4 B4 C5 D5'), over);
  const words = inks.flatMap((ink) => (ink.kind === 'text' ? [ink.text] : []));
  for (const text of ['1', 'II', '1st position', '3rd position', 'A', 'ext.']) assert.ok(words.includes(text), text);
  assert.equal(glyphs(inks, /^thumb$/).length, 1);
  assert.equal(inks.filter(({ kind }) => kind === 'disc').length, 1);
  assert.equal(inks.filter(({ kind }) => kind === 'box').length, 1);
  const [{ inks: bare }] = drawn(typed('A4 B4 C5 D5'));
  assert.ok(!bare.some(({ kind }) => kind === 'text' || kind === 'disc' || kind === 'box'));
});

test('what goes on over the end of a line says so on the next', () => {
  const names = Array.from({ length: 32 }, () => 'A4').join(' ');
  const lines = drawn(
    typed(names),
    { positions: [{ from: 0, to: 31, text: '1st position' }], strings: [{ from: 0, to: 31, text: 'II' }] },
    60,
  );
  assert.ok(lines.length > 1);
  const words = lines.map(({ inks }) => inks.flatMap((ink) => (ink.kind === 'text' ? [ink.text] : [])));
  assert.ok(words[0].includes('1st position') && words[0].includes('II'));
  for (const later of words.slice(1)) assert.ok(later.includes('(1st position)') && later.includes('(II)'));
});

test('several parts stand in one system, bar under bar', () => {
  const part = (names: string) => {
    const response = plan({ instrument: 'violin', material: typed(names), alternatives: 1 });
    return {
      bars: writtenBars(response, 'violin', clefsFor(response.events, 'violin')),
      instrument: 'violin' as const,
      over: NOTHING_OVER,
    };
  };
  const [{ inks, places }] = drawLines(
    [
      { ...part('A4 B4 C5 D5'), name: 'One', shortName: '1.' },
      { ...part('A4:0.5 A4:0.5 B4 C5 D5'), name: 'Two', shortName: '2.' },
    ],
    { width: 120, numbers: true },
  );
  assert.equal(places[0].get(1), places[1].get(2), 'the second beat is under the second beat');
  assert.ok(['One', 'Two'].every((name) => inks.some((ink) => ink.kind === 'text' && ink.text === name)));
  assert.ok(glyphs(inks, /^bracket/).length === 2);
});
