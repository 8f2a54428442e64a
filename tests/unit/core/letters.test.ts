import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan } from '../../../src/core';
import { stopMm } from '../../../src/core/instrument/geometry';
import { holdsFor, widestPair } from '../../../src/core/hand/together';
import { letterHand } from '../../../src/core/hand/letters';
import { resolveSetup } from '../../../src/core/instrument/setup';
import { parseKey } from '../../../src/core/material/build';
import { parsePitch, type Pitch } from '../../../src/core/pitch/pitch';
import type { Key } from '../../../src/core/pitch/key';
import { demandedPitch } from '../../../src/core/planner/cost/context';
import { LETTERS } from '../../../src/core/instrument/upper';

const setup = resolveSetup({ instrument: 'violin' });
const D = 1;
const A = 2;

function holdsOf(string: number, name: string, keyName = 'C major', others: string[] = []) {
  const key = parseKey(keyName) as Key;
  const demanded = [name, ...others].map((one) => demandedPitch(key, parsePitch(one) as Pitch));
  const hand = letterHand(setup, LETTERS, key, demanded);
  return hand.holds(string, demanded[0]);
}

const positionsOf = (string: number, name: string, finger: number) =>
  new Set(
    holdsOf(string, name)
      .filter((hold) => hold.stops[0].finger === finger && hold.extended === 0)
      .map((hold) => hold.position),
  );

test('first finger on B over an A string is first position, on C second, on D third', () => {
  assert.deepEqual(positionsOf(A, 'B4', 1), new Set([1]));
  assert.deepEqual(positionsOf(A, 'C5', 1), new Set([2]));
  assert.deepEqual(positionsOf(A, 'D5', 1), new Set([3]));
  assert.deepEqual(positionsOf(A, 'B4', 2), new Set([0]));
});

test('a finger keeps its letter under accidentals; an altered note may be read as its neighbour', () => {
  const asSecond = holdsOf(D, 'F#4', 'G major').filter((hold) => hold.stops[0].finger === 2);
  assert.ok(asSecond.every((hold) => hold.position === 1 && !hold.reread));
  const altered = holdsOf(A, 'A#4', 'C major').filter((hold) => hold.stops[0].finger === 1);
  const read = altered.map((hold) => [hold.position, hold.reread]);
  assert.ok(
    read.some(([position, reread]) => position === 1 && reread),
    'A sharp as a low-1 B flat',
  );
});

test('the little finger may reach a letter up and the first a letter back, the hand staying put', () => {
  const extended = holdsOf(A, 'F5').filter((hold) => hold.extended === 4);
  assert.deepEqual([...new Set(extended.map((hold) => hold.position))], [1]);
  const back = holdsOf(A, 'B4').filter((hold) => hold.extended === 1);
  assert.deepEqual([...new Set(back.map((hold) => hold.position))], [2]);
});

test('frames lie where the music wants the fingers and never cross', () => {
  const frames = holdsOf(A, 'B4', 'A major', ['C#5', 'D5', 'E5'])
    .filter((hold) => hold.stops[0].finger === 1 && hold.extended === 0)
    .map((hold) => hold.frame.slice(1, 5));
  assert.deepEqual(frames, [[2, 4, 5, 7]]);
  const both = holdsOf(A, 'B4', 'C major', ['C5', 'C#5', 'D5', 'E5']).filter((hold) => hold.stops[0].finger === 1);
  assert.deepEqual(
    new Set(both.filter((hold) => hold.position === 1 && !hold.extended).map((hold) => hold.frame[2])),
    new Set([3, 4]),
  );
});

test('double stops use two neighbouring strings in one position', () => {
  const key = parseKey('C major') as Key;
  const pitches = ['F4', 'D5'].map((name) => demandedPitch(key, parsePitch(name) as Pitch));
  const candidates = holdsFor(setup, letterHand(setup, LETTERS, key, pitches), pitches);
  const first = candidates.filter(
    ({ position, stops, contracted }) => position === 1 && stops[0].string === D && contracted === 0,
  );
  assert.deepEqual(
    first.map((candidate) => candidate.stops.map((stop) => stop.finger)),
    [[2, 3]],
  );
  const fifth = ['F4', 'C5'].map((name) => demandedPitch(key, parsePitch(name) as Pitch));
  const bars = holdsFor(setup, letterHand(setup, LETTERS, key, fifth), fifth).filter(
    (candidate) => candidate.position === 1,
  );
  assert.ok(
    bars.some((candidate) => candidate.stops.every((stop) => stop.finger === 2)),
    'a fifth is one finger over two strings',
  );
});

test('in first position the first finger may lie back a semitone, and the fourth be drawn in to the third’s place', () => {
  const low = holdsOf(A, 'A#4', 'B major', ['A#4', 'C#5', 'D#5']).filter(
    (h) => h.stops[0].finger === 1 && h.position === 1,
  );
  assert.ok(low.length > 0 && low.every(({ extended }) => extended === 0));
  const drawn = holdsOf(A, 'D5', 'C major', ['B4', 'C5', 'D5']).filter(
    (h) => h.stops[0].finger === 4 && h.position === 1,
  );
  assert.ok(drawn.length > 0 && drawn.every(({ contracted, extended }) => contracted === 4 && extended === 0));
});

test('the widest pair is the first finger against the playing one', () => {
  const [hold] = holdsOf(A, 'E5', 'A major', ['B4', 'C#5', 'D5']).filter(
    (h) => h.stops[0].finger === 4 && h.position === 1,
  );
  const stops = Array.from({ length: 30 }, (_, n) => stopMm(328, n));
  const widest = widestPair(hold, { relaxedMm: 70, fullMm: 85, fingertipMm: 12 }, stops);
  assert.deepEqual(widest?.fingers, [1, 4]);
  assert.equal(widest?.spreadMm.toFixed(1), '73.3');
});

test('the little finger that reaches up to the octave or the fifth above it touches it, and that is no extension', () => {
  const reaching = holdsOf(A, 'A5').filter(({ position, stops }) => position === 3 && stops[0].finger === 4);
  assert.ok(reaching.length > 0 && reaching.every(({ stops, extended }) => stops[0].harmonic && !extended));
  const inPlace = holdsOf(A, 'A5').filter(({ position, stops }) => position === 4 && stops[0].finger === 4);
  assert.ok(inPlace.length > 0 && inPlace.every(({ stops }) => !stops[0].harmonic));
  assert.ok(holdsOf(A, 'E6').some(({ stops }) => stops[0].harmonic));
  assert.ok(holdsOf(A, 'G5').every(({ stops }) => !stops[0].harmonic));
  const material = { type: 'scale', tonic: 'E4', scale: 'major', octaves: 2, direction: 'up' } as const;
  const rules = { positions: { from: 1, to: 3 }, extensions: 'never' } as const;
  const { steps } = plan({ instrument: 'violin', material, rules }).plans[0];
  const { finger, harmonic, touch, semitones } = steps[14].stops[0];
  assert.deepEqual([finger, harmonic, touch, semitones], [4, true, 12, 12]);
});
