import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  barsOf,
  clefsFor,
  lengthOf,
  partsOf,
  placesIn,
  plan,
  valuesOf,
  writtenBars,
  type NotesSpec,
} from '../../../src/core';
import { beatsText, fractionOf, numberOf, plus } from '../../../src/core/formats/fraction';
import { atOneTempo } from '../../../src/core/material/tempo';

const music = (material: NotesSpec) => plan({ instrument: 'violin', material, alternatives: 1 });
const bars = (material: NotesSpec) => {
  const response = music(material);
  return writtenBars(response, 'violin', clefsFor(response.events, 'violin'));
};
const words = ({ of, dots, tuplet }: ReturnType<typeof valuesOf>[number]) =>
  `${of}${'.'.repeat(dots)}${tuplet ? `(${tuplet.actual}:${tuplet.normal})` : ''}`;

test('a length is written with its own value, a dotted one, a tuplet, or several tied', () => {
  const told = (quarters: number) => valuesOf(quarters).map(words).join(' ');
  assert.deepEqual([4, 3, 1.5, 1.75, 0.25].map(told), ['1', '2.', '4.', '4..', '16']);
  assert.deepEqual([1 / 3, 2 / 3, 0.2, 1 / 7, 1 / 6].map(told), ['8(3:2)', '4(3:2)', '16(5:4)', '16(7:4)', '16(3:2)']);
  assert.deepEqual([2.5, 5, 1.25].map(told), ['2 8', '1 4', '4 16']);
});

test('the values of a length add up to it, whatever it is', () => {
  const lengths = fc
    .tuple(fc.integer({ min: 1, max: 64 }), fc.constantFrom(1, 2, 4, 8, 16, 3, 6, 12, 5, 7))
    .map(([numerator, denominator]) => numerator / denominator);
  fc.assert(
    fc.property(lengths, (quarters) => {
      const sum = valuesOf(quarters).reduce((all, value) => all + lengthOf(value), 0);
      assert.ok(Math.abs(sum - quarters) < 1e-6, `${quarters}: ${sum}`);
    }),
  );
});

test('a number is the simplest fraction it stands for, and thirds add up to a whole', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 120 }), (numerator, denominator) => {
      const found = fractionOf(numerator / denominator);
      assert.ok(Math.abs(numberOf(found) - numerator / denominator) < 1e-9);
      assert.ok(found.denominator <= denominator);
    }),
  );
  const third = fractionOf(0.333333333);
  assert.deepEqual(plus(plus(third, third), third), { numerator: 1, denominator: 1 });
  assert.deepEqual([fractionOf(1.5), third].map(beatsText), [1.5, '1/3']);
});

test('tied notes are one event, lengths may be fractions, a tie to another note is a slur', () => {
  const { events } = music({
    type: 'notes',
    notes: [
      { pitches: ['D4'], beats: 2, tie: true },
      { pitches: ['D4'], beats: '1/2', slur: true },
      { pitches: ['E4'], beats: '3/2', tie: true },
      { pitches: ['F4'], beats: 4 },
    ],
  });
  assert.deepEqual(
    events.map((event) => [event.beats, 'slur' in event && event.slur === true]),
    [
      [2.5, true],
      [1.5, true],
      [4, false],
    ],
  );
});

test('a bar line inside a tied note stays where it was written', () => {
  const material: NotesSpec = {
    type: 'notes',
    notes: [
      { pitches: ['D4'], beats: 3 },
      { pitches: ['E4'], beats: 1, tie: true },
      { pitches: ['E4'], beats: 1, bar: true },
      { pitches: ['F4'], beats: 2, bar: true },
    ],
  };
  assert.deepEqual(
    barsOf(music(material)).map(({ start }) => start),
    [0, 4, 5],
  );
  assert.deepEqual(
    bars(material).map(({ notes }) => notes.map(({ quarters, first, last }) => [quarters, first, last])),
    [
      [
        [3, true, true],
        [1, true, false],
      ],
      [[1, false, true]],
      [[2, true, true]],
    ],
  );
});

test('time, key and tempo change on the way; a beat stays as long as it was', () => {
  const material: NotesSpec = {
    type: 'notes',
    key: 'C major',
    notes: [
      ...Array.from({ length: 4 }, () => ({ pitches: ['C5'] })),
      ...Array.from({ length: 6 }, () => ({ pitches: ['C#5'], beats: 0.5 })),
      { pitches: ['D5'] },
    ],
    changes: [
      { at: 4, time: '6/8', key: 'A major', bpm: 120 },
      { at: 10, time: '2/4' },
    ],
  };
  const answer = music(material);
  assert.deepEqual(
    barsOf(answer).map(({ start, time }) => [start, time]),
    [
      [0, '4/4'],
      [4, '6/8'],
      [7, '2/4'],
    ],
  );
  const place = placesIn(answer);
  assert.deepEqual(place(7), { bar: 2, beat: 4, of: 8 }, 'counted in eighths there');
  const [first, second, third] = bars(material);
  assert.deepEqual([first.newKey, second.newKey, second.fifths, second.bpm, third.newTime], [true, true, 3, 120, true]);
  assert.deepEqual(
    second.notes.map(({ signs }) => signs[0]),
    ['#', null, null, null, null, null],
    'C sharp is in the new key; once it is told, since the bar before had it natural',
  );
  assert.deepEqual(partsOf({ music: answer, barred: true })[4][0].time, '6/8');
  const timed = atOneTempo(answer.events, answer.changes, 60);
  assert.deepEqual([timed[3].beats, timed[4].beats], [1, 0.25], 'twice as fast, half the time');
});

test('beams, hooks, tuplets and slurs begin and end where they should', () => {
  const [bar] = bars({
    type: 'notes',
    notes: [
      { pitches: ['A4'], beats: 0.75, slur: true, bow: 'up' },
      { pitches: ['B4'], beats: 0.25 },
      { pitches: ['C5'], beats: '1/3' },
      { pitches: ['D5'], beats: '1/3' },
      { pitches: ['E5'], beats: '1/3' },
      { pitches: ['F5'], beats: 2 },
    ],
  });
  assert.deepEqual(
    bar.notes.map(({ beams }) => beams.join()),
    ['begin', 'end,hook-backward', 'begin', 'continue', 'end', ''],
  );
  assert.deepEqual(
    bar.notes.map(({ tuplet }) => tuplet ?? ''),
    ['', '', 'start', '', 'stop', ''],
  );
  assert.deepEqual(
    bar.notes.map(({ slur }) => slur ?? ''),
    ['start', 'stop', '', '', '', ''],
  );
  assert.equal(bar.notes[0].bow, 'up');
});
