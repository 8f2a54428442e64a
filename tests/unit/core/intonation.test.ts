import assert from 'node:assert/strict';
import { test } from 'node:test';
import { tableIssueWords } from '../../../src/wording/issues';
import { COMMA, justCents, parsePitch, pythagoreanCents, tableIssues, type Pitch } from '../../../src/core';
import { targetCents } from '../../../src/core/pitch/intonation';

const pitch = (name: string): Pitch => {
  const found = parsePitch(`${name}4`);
  assert.ok(found, name);
  return found;
};
const near = (actual: number, expected: number, within = 0.05) =>
  assert.ok(Math.abs(actual - expected) < within, `${actual} is not ${expected}`);

test('a syntonic comma is 21.51 cents', () => near(COMMA, 21.506, 0.001));

test('Pythagorean notes in pure fifths from A: 1.955 cents a fifth', () => {
  // By hand: fifths from A times 1.955.
  const expected = {
    A: 0, E: 1.955, B: 3.91, 'F#': 5.865, 'C#': 7.82, 'G#': 9.775, D: -1.955, G: -3.91, C: -5.865,
    F: -7.82, Bb: -9.775, Eb: -11.73, Ab: -13.685,
  }; // prettier-ignore
  for (const [name, cents] of Object.entries(expected)) near(pythagoreanCents(pitch(name)), cents, 0.01);
});

test('Pythagorean semitones are 90.2 cents, the chromatic ones 113.7', () => {
  near(100 + pythagoreanCents(pitch('C')) - pythagoreanCents(pitch('B')), 90.225);
  near(100 + pythagoreanCents(pitch('C#')) - pythagoreanCents(pitch('C')), 113.685);
});

/** Just intervals above a tonic in cents, from their ratios worked out by hand; twelve spelled intervals. */
const JUST: readonly (readonly [string, number, number])[] = [
  ['C', 0, 0], // 1:1
  ['Db', 100, 111.731], // 16:15
  ['D', 200, 203.91], // 9:8
  ['Eb', 300, 315.641], // 6:5
  ['E', 400, 386.314], // 5:4
  ['F', 500, 498.045], // 4:3
  ['F#', 600, 590.224], // 45:32
  ['G', 700, 701.955], // 3:2
  ['Ab', 800, 813.686], // 8:5
  ['A', 900, 884.359], // 5:3
  ['Bb', 1000, 1017.596], // 9:5
  ['B', 1100, 1088.269], // 15:8
];

test('just intervals above C are those of their ratios', () => {
  for (const [name, equal, cents] of JUST) {
    const away = justCents(pitch(name), pitch('C')) - justCents(pitch('C'), pitch('C'));
    near(equal + away, cents, 0.01);
  }
});

/** The major scale's sharps and flats on each of twelve tonics, spelled by hand. */
const SCALES = [
  'C D E F G A B', 'G A B C D E F#', 'D E F# G A B C#', 'A B C# D E F# G#', 'E F# G# A B C# D#', 'B C# D# E F# G# A#',
  'F# G# A# B C# D# E#', 'Db Eb F Gb Ab Bb C', 'Ab Bb C Db Eb F G', 'Eb F G Ab Bb C D', 'Bb C D Eb F G A', 'F G A Bb C D E',
]; // prettier-ignore
const MAJOR_JUST = [0, 203.91, 386.314, 498.045, 701.955, 884.359, 1088.269];
const MAJOR_PYTHAGOREAN = [0, 203.91, 407.82, 498.045, 701.955, 905.865, 1109.775];
const MAJOR_EQUAL = [0, 200, 400, 500, 700, 900, 1100];

test('on all twelve tonics the major scale has the just and the Pythagorean steps', () => {
  for (const scale of SCALES) {
    const names = scale.split(' ');
    const tonic = pitch(names[0]);
    names.forEach((name, at) => {
      const just = MAJOR_EQUAL[at] + justCents(pitch(name), tonic) - justCents(tonic, tonic);
      near(just, MAJOR_JUST[at], 0.01);
      const pure = MAJOR_EQUAL[at] + pythagoreanCents(pitch(name)) - pythagoreanCents(tonic);
      near(pure, MAJOR_PYTHAGOREAN[at], 0.01);
    });
    near(justCents(tonic, tonic), pythagoreanCents(tonic), 1e-9);
  }
});

test('a table with holes names them and takes equal temperament there', () => {
  const table = [0, null, 4, -16, -14, -2, -10, 2, 14, -16, 150, -12];
  assert.deepEqual(tableIssues(table).map(tableIssueWords), [
    'Nothing is given for 1 semitone above the tonic; equal temperament is used there.',
    '150 cents at 10 semitones is more than a semitone away; equal temperament is used there.',
  ]);
  assert.match(tableIssueWords(tableIssues([1, 2])[0]), /twelve numbers/);
  assert.equal(targetCents('own', pitch('E'), pitch('C'), 16, table), -14);
  assert.equal(targetCents('own', pitch('Db'), pitch('C'), 1, table), 0);
  assert.equal(targetCents('own', pitch('Bb'), pitch('C'), -2, table), 0);
});
