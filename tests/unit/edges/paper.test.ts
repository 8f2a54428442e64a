import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { clefsFor, plan, resolveHand, resolveSetup, writtenBars, type PlanRequest } from '../../../src/core';
import { slurBelow } from '../../../src/drawing/paper/bends';
import { placed, type Ink } from '../../../src/drawing/paper/ink';
import { brokenWords, textWidth, words } from '../../../src/drawing/paper/words';
import { NOTHING_OVER } from '../../../src/drawing/paper/over';
import { barSpaces, lineBreaksFor, parted } from '../../../src/drawing/paper/spacing';
import { skyline } from '../../../src/drawing/paper/skyline';
import { svgOf } from '../../../src/drawing/paper/svg';
import { drawLines } from '../../../src/drawing/paper/system';
import { compose, MARGIN, PAPERS } from '../../../src/drawing/sheet/blocks';
import { bookPages } from '../../../src/drawing/sheet/book';
import { neededAt, overOf } from '../../../src/drawing/sheet/marks';
import { patternsOf } from '../../../src/drawing/sheet/patterns';
import { pictureOf, PICTURES } from '../../../src/drawing/sheet/pictures';
import { partOnPaper, USUAL_CHOICES } from '../../../src/drawing/sheet/sheet';
import { usualSheet } from '../../../src/drawing/sheet/usual';
import { ladderLabels, sheetPlan } from '../../../src/drawing/sheet/sheetParts';
import { made } from '../../support/files';

const reader = { level: 'middle', names: 'letters' } as const;
const scale = (part: Partial<PlanRequest['material']> = {}, more: Partial<PlanRequest> = {}): PlanRequest => ({
  instrument: 'violin',
  material: {
    type: 'scale',
    tonic: 'A3',
    scale: 'major',
    octaves: 2,
    direction: 'updown',
    ...part,
  } as PlanRequest['material'],
  ...more,
});

function planned(request: PlanRequest) {
  const one = made(request);
  assert.ok(one);
  return one;
}

/** The text of a page. */
const textOf = (inks: readonly Ink[]) => inks.flatMap((ink) => (ink.kind === 'text' ? [ink.text] : [])).join(' ');

/** Every place that something is drawn at. */
function extent(inks: readonly Ink[]) {
  const xs: number[] = [];
  const ys: number[] = [];
  for (const ink of inks) {
    if (ink.kind === 'line') {
      xs.push(ink.x1, ink.x2);
      ys.push(ink.y1, ink.y2);
    } else if (ink.kind !== 'shape') {
      xs.push(ink.x);
      ys.push(ink.y);
    }
  }
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

const barsOfScale = (octaves: number) => {
  const response = plan(scale({ octaves } as never));
  return writtenBars(response, 'violin', clefsFor(response.events, 'violin'));
};

test('lines hold every bar once, in order, and none is too tight', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 4, max: 30, noNaN: true }), { minLength: 1, maxLength: 40 }), (widths) => {
      const bars = widths.map((natural) => ({ columns: [], head: 0, least: natural * 0.7, natural }));
      const lines = lineBreaksFor(bars, 100, () => 10);
      assert.deepEqual(
        lines.flatMap(({ first, last }) => Array.from({ length: last - first }, (_, n) => first + n)),
        widths.map((_, n) => n),
      );
      for (const { first, last } of lines)
        assert.ok(last - first === 1 || bars.slice(first, last).reduce((sum, { least }) => sum + least, 0) <= 90);
    }),
  );
});

test('lines are about equally full, and the last is no lonely bar where two lines can share', () => {
  const bars = Array.from({ length: 9 }, () => ({ columns: [], head: 0, least: 12, natural: 20 }));
  const lines = lineBreaksFor(bars, 100, () => 10);
  const counts = lines.map(({ first, last }) => last - first);
  assert.ok(Math.min(...counts) >= 2, counts.join());
  assert.ok(Math.max(...counts) - Math.min(...counts.slice(0, -1)) <= 1, counts.join());
});

test('a bar that is wider than the page is parted after notes, and nothing is lost', () => {
  const notes = Array.from({ length: 60 }, () => ({ pitches: ['A4'], beats: 0.25 }));
  const response = plan({ instrument: 'violin', material: { type: 'notes', notes, time: '15/4' }, alternatives: 1 });
  const bars = writtenBars(response, 'violin', clefsFor(response.events, 'violin'));
  const pieces = parted(bars, 60);
  assert.ok(pieces.length > 1);
  assert.deepEqual(
    pieces.flatMap(({ notes: own }) => own.map(({ at }) => at)),
    bars[0].notes.map(({ at }) => at),
  );
  assert.deepEqual(
    pieces.map(({ number }) => number === -1),
    pieces.map((_, n) => n > 0),
  );
});

test('what is longer has more room, and what has signs before it has room for them', () => {
  const response = plan({
    instrument: 'violin',
    material: {
      type: 'notes',
      key: 'C major',
      notes: [{ pitches: ['A4'], beats: 2 }, { pitches: ['B4'] }, { pitches: ['C#5'] }],
    },
    alternatives: 1,
  });
  const bars = writtenBars(response, 'violin', clefsFor(response.events, 'violin'));
  const [{ columns }] = barSpaces([{ bars, before: new Map() }]);
  assert.ok(columns[0].room > columns[1].room);
  assert.ok(columns[2].left > columns[1].left);
});

test('the skyline knows what stands where', () => {
  const sky = skyline(20, 0, 4);
  sky.put(5, 6, -3, 7);
  assert.deepEqual([sky.top(0, 4), sky.top(4, 8), sky.bottom(5.5, 5.6), sky.bottom(10, 12)], [0, -3, 7, 4]);
});

test('a slur keeps clear of everything under it', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 1, maxLength: 6 }), (ys) => {
      const hurdles = ys.map((y, n) => ({ x: ((n + 1) * 20) / (ys.length + 1), y }));
      const { lowest } = slurBelow({ x: 0, y: 4.5 }, { x: 20, y: 4.5 }, hurdles);
      assert.ok(lowest >= Math.max(...ys), `${lowest}`);
    }),
  );
});

test('fingers stand above everything that is drawn of their note, and above each other', () => {
  for (const request of [
    scale({ octaves: 3, tonic: 'G3' } as never),
    scale({ type: 'double-stops', interval: 'third', octaves: 1, tonic: 'B3' } as never),
  ]) {
    const one = planned(request);
    const part = partOnPaper(one, { fingers: 'all', names: false, large: false });
    for (const { inks } of drawLines(
      [{ ...part, over: { ...part.over, strings: [], positions: [], guides: new Map() } }],
      { width: 95, numbers: false },
    )) {
      const heads = inks.flatMap((ink) => (ink.kind === 'glyph' && ink.glyph === 'noteheadBlack' ? [ink] : []));
      const fingers = inks.flatMap((ink) => (ink.kind === 'text' && ink.font === 'bold' ? [ink] : []));
      for (const head of heads) {
        const own = fingers.filter((finger) => Math.abs(finger.x + 0.5 - (head.x + 0.6)) < 0.6);
        assert.ok(own.length > 0);
        for (const finger of own)
          assert.ok(finger.y < head.y - 0.5 && finger.y <= -0.2, 'above its head and the staff');
      }
    }
  }
});

test('rows over the staff do not touch: strings, then positions', () => {
  const one = planned(scale({ octaves: 3, tonic: 'G3' } as never));
  const part = partOnPaper(one, { fingers: 'all', names: false, large: false });
  for (const { inks } of drawLines([part], { width: 95, numbers: false })) {
    const rowOf = (pattern: RegExp) =>
      inks.flatMap((ink) => (ink.kind === 'text' && pattern.test(ink.text) ? [ink.y] : []));
    const numerals = rowOf(/^\(?[IV]+\)?$/);
    const positions = rowOf(/position|^\(?\d+(st|nd|rd|th)\)?$/);
    const fingers = inks.flatMap((ink) => (ink.kind === 'text' && ink.font === 'bold' ? [ink.y] : []));
    assert.ok(Math.max(...numerals) < Math.min(...fingers) - 0.5, 'numerals above every finger');
    assert.ok(Math.max(...positions) < Math.min(...numerals) - 0.5, 'positions above every numeral');
  }
});

test('fingers are shown at every note, where a hand must know, or not at all', () => {
  const one = planned(scale({ octaves: 3, tonic: 'G3' } as never));
  const strings = resolveSetup(one.request).strings.map(({ name }) => name);
  const count = (fingers: 'all' | 'needed' | 'none') =>
    overOf(one, { fingers, names: false, large: false }, strings).fingers.size;
  assert.equal(count('all'), one.plan.steps.length);
  assert.equal(count('none'), 0);
  const needed = neededAt(one.plan);
  assert.equal(count('needed'), needed.size);
  assert.ok(needed.size < one.plan.steps.length && needed.has(one.plan.steps[0].at));
  for (const { to } of one.plan.shifts) assert.ok(needed.has(to), 'after a shift');
});

test('finger patterns have every place that a frame has, each once', () => {
  const one = planned(scale());
  const setup = resolveSetup(one.request);
  const patterns = patternsOf(one.plan, setup, one.request);
  const drawn = new Set(
    patterns.flatMap(({ fingers }) =>
      fingers.map(({ string, finger, semitones }) => `${setup.strings[string].name} ${finger} ${semitones}`),
    ),
  );
  for (const { string, fingers } of one.plan.frames)
    for (const [finger, semitones] of Object.entries(fingers)) assert.ok(drawn.has(`${string} ${finger} ${semitones}`));
  assert.ok(resolveHand(setup, one.request.hand).fingertipMm > 0);
});

test('a sheet lies within its margins on every paper and in large print', () => {
  for (const paper of ['a4', 'letter'] as const)
    for (const large of [false, true]) {
      const { pages } = usualSheet(planned(scale({ octaves: 3, tonic: 'G3', notesPerBow: 4 } as never)), new Date(0), {
        ...{ paper, large, log: true, blank: 4, names: true },
      });
      assert.ok(pages.length >= 1);
      for (const { width, height, inks } of pages) {
        assert.deepEqual({ width, height }, PAPERS[paper]);
        const { left, right, top, bottom } = extent(inks);
        assert.ok(left >= MARGIN - 8 && right <= width - MARGIN + 8, `${left} ${right}`);
        assert.ok(top >= MARGIN - 8 && bottom <= height - MARGIN + 8, `${top} ${bottom}`);
      }
    }
});

test('what is chosen is on the sheet, and what is not is left away', () => {
  const one = planned(scale({ octaves: 3, tonic: 'G3' } as never, { tempo: { bpm: 60 } }));
  const whole = usualSheet(one, new Date(0), { log: true }).pages.flatMap(({ inks }) => inks);
  for (const shown of ['Finger patterns', 'Hard places', 'Steps', 'Log', '60 a minute', '96 a minute'])
    assert.ok(textOf(whole).includes(shown), shown);
  const bare = usualSheet(one, new Date(0), { patterns: false, hard: false, ladder: false }).pages.flatMap(
    ({ inks }) => inks,
  );
  for (const shown of ['Finger patterns', 'Hard places', 'Steps', 'Log'])
    assert.ok(!textOf(bare).includes(shown), shown);
  assert.deepEqual(ladderLabels(one.request, 80).at(-1), '80 a minute');
});

test('blocks that belong together are on one page, and a page begins where it is asked for', () => {
  const block = (height: number, more = {}) => ({ inks: words(0, 10, 'x', { size: 8 }), height, before: 5, ...more });
  const { pages, marks } = compose(
    [
      block(600, { mark: 'first' }),
      block(60, { withNext: true, mark: 'together' }),
      block(100),
      block(10, { newPage: true, mark: 'new' }),
    ],
    'a4',
    { left: '', from: 1 },
  );
  assert.equal(pages.length, 3);
  assert.deepEqual(marks, [
    { title: 'first', page: 1 },
    { title: 'together', page: 2 },
    { title: 'new', page: 3 },
  ]);
});

test('a book has contents whose numbers are right, however many lines they take', () => {
  const plans = Array.from({ length: 70 }, (_, n) => ({
    name: `Page ${n + 1}`,
    warning: '',
    plan: n === 0 ? sheetPlan(planned(scale()), reader, 'One') : null,
  }));
  const { pages, marks } = bookPages({
    ...{ title: 'A book', who: '', date: '', caution: '', names: 'letters', pages: plans },
    choices: { ...USUAL_CHOICES, patterns: false },
  });
  assert.equal(marks.length, 71);
  for (const { title, page } of marks.slice(1)) assert.ok(textOf(pages[page - 1].inks).includes(title), title);
  assert.ok(textOf(pages[0].inks).includes('Contents'));
});

test('pictures are as large as what is drawn in them', () => {
  const one = planned(scale({ octaves: 3, tonic: 'G3' } as never));
  for (const name of PICTURES) {
    const { width, height, inks } = pictureOf(name, one);
    const { left, right, top, bottom } = extent(inks);
    assert.ok(left >= 0 && top >= 0 && right <= width + 6 && bottom <= height + 6, name);
  }
});

test('words are broken at blanks, and signs of keys are drawn as signs', () => {
  for (const line of brokenWords('one two three four five six seven', 'sans', 10, 60))
    assert.ok(textWidth(line, 'sans', 10) <= 60 || !line.includes(' '));
  const inks = words(0, 0, 'E♭ major', { size: 10 });
  assert.deepEqual(
    inks.map(({ kind }) => kind),
    ['text', 'glyph', 'text'],
  );
  const [first] = placed(inks, 2, 5, 7);
  assert.deepEqual(first.kind === 'text' && [first.x, first.y, first.size], [5, 7, 20]);
});

test('a drawing is sound XML whatever its words are', () => {
  const svg = svgOf({ width: 100, height: 50, inks: words(0, 10, '<b>&"', { size: 8 }) }, 'a < b');
  assert.ok(svg.includes('&lt;b&gt;&amp;&quot;') && svg.includes('<title>a &lt; b</title>'));
});

test('every bar of a scale is drawn, with its number where a line begins', () => {
  const bars = barsOfScale(3);
  const lines = drawLines([{ bars, instrument: 'violin', over: NOTHING_OVER }], { width: 80, numbers: true });
  assert.equal(lines.flatMap(({ places }) => [...places[0].keys()]).length, 43);
  assert.ok(lines.slice(1).every(({ inks }) => inks.some((ink) => ink.kind === 'text' && /^\d+$/.test(ink.text))));
});
