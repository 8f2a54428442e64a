import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  clefsFor,
  keysAt,
  plan,
  resolveSetup,
  type Clef,
  type InstrumentName,
  type MaterialSpec,
} from '../../../src/core';
import { headMarkup, notesMarkup } from '../../../src/drawing/engrave';
import { changeWidth } from '../../../src/drawing/paper/head';
import { needsOf } from '../../../src/drawing/room';
import { ALL_MARKS, evenLayout, LEAST_TEXT, middleOf, type Layout, type Score } from '../../../src/drawing/score';

const COLUMN = 30;
const HEAD_WIDTH = 11.8;

function scoreOf(material: MaterialSpec, instrument: InstrumentName = 'violin', more: Partial<Score> = {}) {
  const request = { instrument, material, alternatives: 1 } as const;
  const response = plan(request);
  const strings = resolveSetup(request).strings.map(({ name }) => name);
  const clefs = clefsFor(response.events, instrument);
  const { steps } = response.plans[0];
  return { music: response, steps, strings, instrument, clefs, barred: true, ...more };
}

const typed = (names: string): MaterialSpec => ({
  type: 'notes',
  key: 'C major',
  notes: names.split(' ').map((word) => {
    const [name, beats = '1'] = word.split(':');
    return name === '-' ? { rest: true, beats: Number(beats) } : { pitches: [name], beats: Number(beats) };
  }),
});
const layoutFor = ({ music }: Score, scale = 1) => evenLayout(music.events.length, COLUMN, 200, scale);
const drawn = (score: Score, scale = 1, first = 0, last = score.music.events.length) =>
  notesMarkup(score, layoutFor(score, scale), ALL_MARKS, first, last);

/** Left edges of all signs of a kind, in px. */
function lefts(markup: string, sign: RegExp): number[] {
  return [...markup.matchAll(/data-sign="([^"]+)" transform="translate\(([-\d.]+) /g)]
    .filter(([, name]) => sign.test(name))
    .map(([, , x]) => Number(x));
}
const texts = (markup: string, more = '') =>
  [...markup.matchAll(new RegExp(`<text [^>]*${more}[^>]*>([^<]*)</text>`, 'g'))].map(([, text]) => text);

const SCALE: MaterialSpec = { type: 'scale', tonic: 'Bb3', scale: 'major', octaves: 2, direction: 'updown' };

test('every head stands in the middle of its column, at any scale, in whichever part of the music', () => {
  const score = scoreOf(SCALE);
  for (const scale of [0.95, 1, 1.6])
    for (const [first, last] of [
      [0, 29],
      [8, 20],
    ]) {
      const heads = lefts(drawn(score, scale, first, last), /^notehead/);
      assert.equal(heads.length, last - first);
      heads.forEach((x, n) => {
        const middle = middleOf(layoutFor(score), first + n);
        assert.ok(Math.abs(x + (HEAD_WIDTH * scale) / 2 - middle) < 0.02, `${first + n} at ${scale}`);
      });
    }
});

test('the fingers of the plan stand over the notes, and no word is smaller than the least', () => {
  const score = scoreOf(SCALE);
  for (const scale of [0.95, 1.6]) {
    const markup = drawn(score, scale);
    const [fingers, ...others] = texts(markup, 'font-weight="700"');
    assert.deepEqual(
      [...fingers],
      score.steps.flatMap(({ stops }) => stops.map(({ finger }) => String(finger))),
    );
    assert.deepEqual(others, [], 'fingers that look alike are one text');
    const places = /<text x="([^"]+)" y="([^"]+)"[^>]*font-weight="700"/.exec(markup)?.slice(1) ?? [];
    assert.deepEqual(
      places.map((list) => list.split(' ').length),
      [29, 29],
      'with a place for each',
    );
    const sizes = [...markup.matchAll(/font-size="([\d.]+)"/g)].map(([, size]) => Number(size));
    assert.ok(Math.min(...sizes) >= LEAST_TEXT - 0.01, `${Math.min(...sizes)} px`);
  }
  const bare = notesMarkup(score, layoutFor(score), { ...ALL_MARKS, fingers: false }, 0, 29);
  assert.deepEqual(texts(bare, 'font-weight="700"'), []);
});

test('numbers stand at bars from the second, and a note held over a bar line is tied into it', () => {
  const markup = drawn(scoreOf(typed('A4:3 B4:2 C5:3 A4:4')));
  assert.deepEqual(texts(markup, 'color-faded'), ['3'], 'bar 2 begins within a note');
  assert.equal(lefts(markup, /^notehead/).length, 5, 'the second is written twice');
  const [, second, tied, third] = lefts(markup, /^notehead/);
  assert.ok(tied - second < COLUMN && third > tied, 'both within its column');
});

test('rests, flags and beams are drawn, and no bars where there are none', () => {
  const words = typed('A4:0.5 B4:0.5 -:1 C5:0.5 -:0.5 -:1');
  const markup = drawn(scoreOf(words));
  assert.equal(lefts(markup, /^rest/).length, 3);
  assert.equal(lefts(markup, /^flag8/).length, 1, 'the two before it are beamed');
  const barred = scoreOf(typed('A4:4 B4:4'));
  const width = (score: Score) => drawn(score).match(/stroke-width="1.7"/g)?.length ?? 0;
  assert.deepEqual([width(barred), width({ ...barred, barred: false })], [1, 0]);
});

test('a change of clef stands small before its note, within the music', () => {
  const score = scoreOf(typed('C3 D3 E5 F5'), 'cello');
  const mixed = { ...score, clefs: ['bass', 'bass', 'tenor', 'tenor'] as const };
  const [clef] = lefts(drawn(mixed), /ClefChange/);
  const [, , third] = lefts(drawn(mixed), /^notehead/);
  assert.ok(clef < third && clef > COLUMN * 1.4, `${clef} before ${third}`);
  assert.deepEqual(lefts(drawn(mixed, 1, 2), /ClefChange/), [], 'at the beginning of a line the head says it');
});

/** Columns as wide as the notes need them. */
function neededLayout(score: Score): Layout {
  const lefts = needsOf(score).widths.reduce((all, width) => [...all, all[all.length - 1] + width], [0]);
  const end = lefts[lefts.length - 1];
  return { width: end, height: 200, scale: 1, middleLine: 100, left: (at) => lefts[Math.min(at, lefts.length - 1)] };
}

test('a change of clef within a bar touches neither the note before it nor its own', () => {
  const score = scoreOf(typed('C3 D3 E5 F#5 E3 F3'), 'cello');
  for (const [clef, other] of [
    ['tenor', 'bass'],
    ['treble', 'tenor'],
    ['bass', 'treble'],
  ] as const) {
    const clefs = [clef, clef, other, clef, clef, clef];
    const mixed: Score = { ...score, clefs };
    const markup = notesMarkup(mixed, neededLayout(mixed), ALL_MARKS, 0, 6);
    const [first, second] = lefts(markup, /ClefChange/);
    const heads = lefts(markup, /^notehead/);
    const [sharp] = lefts(markup, /Sharp$/);
    const endOf = (x: number, of: Clef) => x + 10 * changeWidth(of);
    assert.ok(heads[1] + HEAD_WIDTH + 1 < first && endOf(first, other) + 1 < heads[2], `${other}: ${first}`);
    assert.ok(heads[2] + HEAD_WIDTH + 1 < second && endOf(second, clef) < sharp, `${clef}: ${second}`);
  }
});

test('where the key changes its signature stands between bar line and note, and notes are written in it', () => {
  const notes = typed('C5 B4 A4 E4 F#4 G#4 A4 B4 A4 B4 E5');
  const changes = [
    { at: 4, key: 'E major' },
    { at: 8, key: 'C major', time: '3/4' },
  ];
  const score = scoreOf({ ...notes, changes } as MaterialSpec);
  const layout = neededLayout(score);
  const markup = notesMarkup(score, layout, ALL_MARKS, 0, 11);
  const heads = lefts(markup, /^notehead/);
  const between = (sign: RegExp, before: number) =>
    lefts(markup, sign).filter((x) => x > layout.left(before) && x + 8 < heads[before]);
  assert.equal(between(/Sharp$/, 4).length, 4);
  assert.equal(lefts(markup, /Sharp$/).length, 4, 'F sharp and G sharp need no sign of their own');
  assert.equal(between(/Natural$/, 8).length, 4, 'and all are taken back');
  assert.equal(between(/^time/, 8).length, 2);
  heads.forEach((x, at) => assert.ok(Math.abs(x + HEAD_WIDTH / 2 - middleOf(layout, at)) < 0.02, `${at}`));
  const second = notesMarkup(score, layout, ALL_MARKS, 4, 11);
  assert.deepEqual(lefts(second, /Sharp$/), [], 'at the beginning of a line the head says it');
  assert.deepEqual(
    [3, 4, 8].map((at) => keysAt(score.music)(at).name),
    ['C major', 'E major', 'C major'],
  );
});

test('a guide note has a crossed head and its finger in brackets', () => {
  const score = scoreOf(typed('A4 B4 D5'), 'violin', { guides: new Set([1]), barred: false });
  const markup = drawn(score);
  assert.deepEqual([lefts(markup, /^noteheadX/).length, lefts(markup, /^noteheadBlack/).length], [1, 2]);
  assert.ok(texts(markup, 'font-weight="700"').some((text) => /^\(\d\)$/.test(text)));
});

test('the head of a line holds clef, signature and time, within the width that is kept for it', () => {
  const size = { width: 200, height: 120, scale: 1, middleLine: 60 };
  const markup = headMarkup({ clef: 'bass', fifths: 3, time: '12/8' }, size);
  assert.deepEqual(
    [/^fClef$/, /Sharp$/, /^time/].map((sign) => lefts(markup, sign).length),
    [1, 3, 3],
  );
  const xs = lefts(markup, /./);
  assert.ok(Math.min(...xs) >= 0 && Math.max(...xs) < 200);
  assert.doesNotMatch(markup, /#000|NaN|undefined/, 'in the colours of the page');
});
