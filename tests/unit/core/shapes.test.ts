import assert from 'node:assert/strict';
import { test } from 'node:test';
import { THUMB } from '../../../src/core/hand/finger';
import type { Hold } from '../../../src/core/hand/hold';
import { frameSchool } from '../../../src/core/hand/positions';
import { instrumentRecord } from '../../../src/core/instrument/instruments';
import { shapeHand } from '../../../src/core/hand/shapes';
import type { FrameSchool } from '../../../src/core/instrument/record';
import { issueWords } from '../../../src/wording/issues';
import { placeName } from '../../../src/wording/places';
import { plan, requestIssues, type PlanRequest, type School } from '../../../src/core';
import { resolveSetup } from '../../../src/core/instrument/setup';

const framesOf = (kind: 'cello' | 'bass', school?: School): FrameSchool => {
  const frames = frameSchool(instrumentRecord(kind), school);
  assert.ok(frames);
  return frames;
};
const CELLO = framesOf('cello');
const BASS_SCHOOLS = {
  'one-two-four': framesOf('bass', 'one-two-four'),
  'four-finger': framesOf('bass', 'four-finger'),
  pivot: framesOf('bass', 'pivot'),
};
const cello = resolveSetup({ instrument: 'cello' });
const bass = resolveSetup({ instrument: 'bass' });

/** Pitches as the material asks for them. */
const wanted = (midis: readonly number[]) => midis.map((midi) => ({ midi, readings: [0] }));
const CHROMATIC = wanted(Array.from({ length: 80 }, (_, at) => 20 + at));

/** All holds of a stop on the lowest string, with the position's label. */
function holdsAt(school: FrameSchool, setup: typeof cello, semitones: number, demanded = CHROMATIC) {
  const hand = shapeHand(setup, school, demanded);
  const holds = hand.holds(0, { midi: setup.strings[0].midi + semitones, readings: [0] });
  return holds.map((hold) => ({ hold, label: hand.label(hold.position), finger: hold.stops[0].finger }));
}

const closed = ({ hold }: { hold: Hold }) => hold.extended === 0;

test('cello neck positions are named by the stop of the first finger', () => {
  const names = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].map(
    (stop) =>
      holdsAt(CELLO, cello, stop).find((one) => one.finger === 1 && closed(one) && one.label !== 'thumb')?.label,
  );
  assert.deepEqual(names, [0.5, 1, 2, 2.5, 3, 3.5, 4, 5, 5.5, 6, 6.5, 7]);
});

test('the opened cello hand has a whole tone between 1 and 2 and a major third in all', () => {
  const forward = holdsAt(CELLO, cello, 6).find(
    (one) => one.finger === 4 && one.hold.extended === 2 && one.label === 1,
  );
  assert.deepEqual(forward?.hold.frame.slice(1, 5), [2, 4, 5, 6]);
  const back = holdsAt(CELLO, cello, 1).find((one) => one.finger === 1 && one.hold.extended === 1);
  assert.deepEqual([back?.label, back?.hold.frame.slice(1, 5)], [1, [1, 3, 4, 5]]);
});

test('from fifth position up the fourth cello finger is left out; the thumb lies below the first', () => {
  const high = holdsAt(CELLO, cello, 14);
  assert.ok(high.every((one) => one.finger !== 4));
  const octave = holdsAt(CELLO, cello, 12).filter((one) => one.finger === THUMB);
  assert.ok(
    octave.length > 0 &&
      octave.every((one) => placeName({ position: one.label, thumbAt: 12 }, 'cello') === 'thumb an octave up'),
  );
  for (const { hold } of octave)
    assert.ok(hold.frame[1] - hold.frame[THUMB] >= 1 && hold.frame[1] - hold.frame[THUMB] <= 2);
});

test('idle fingers lie where the music wants them: shapes that only differ in fingers nobody asks for are one', () => {
  const second = (demanded = CHROMATIC) =>
    holdsAt(CELLO, cello, 17, demanded)
      .filter(({ finger, label, hold }) => finger === 3 && label === 'thumb' && hold.frame[THUMB] === 12)
      .map(({ hold }) => hold.frame[2])
      .sort();
  assert.deepEqual(new Set(second()), new Set([15, 16]), 'a chromatic line wants the second finger low and high');
  // C, D, E and F on the C string, an octave up: E is wanted, E flat is not.
  assert.deepEqual(second(wanted([48, 50, 52, 53])), [16]);
  assert.deepEqual(second(wanted([48, 50, 51, 53])), [15]);
});

test('the octave harmonic is touched, not stopped', () => {
  const touched = holdsAt(CELLO, cello, 12).filter(({ hold }) => hold.stops[0].harmonic);
  assert.ok(touched.length > 0 && touched.every((one) => one.finger === 3));
  for (const node of [19, 24]) {
    const high = holdsAt(CELLO, cello, node).filter(({ hold }) => hold.stops[0].harmonic);
    assert.ok(high.length > 0 && high.every(({ label, finger }) => label === 'thumb' && finger === 3));
  }
});

test('one-two-four spans a whole tone without the third finger; four fingers span a minor third', () => {
  const frames = (school: FrameSchool) =>
    new Set(
      holdsAt(school, bass, 3)
        .filter((one) => typeof one.label === 'number' && one.label < 5)
        .map(({ hold }) => hold.frame[4] - hold.frame[1]),
    );
  assert.deepEqual(frames(BASS_SCHOOLS['one-two-four']), new Set([2]));
  assert.deepEqual(frames(BASS_SCHOOLS['four-finger']), new Set([3]));
  assert.ok(holdsAt(BASS_SCHOOLS['one-two-four'], bass, 5).every((one) => one.finger !== 3));
});

test('a pivot reaches a semitone to either side in the same position, at a price', () => {
  const first = (school: FrameSchool, stop: number) =>
    holdsAt(school, bass, stop).filter((one) => one.label === 1 && one.finger === 4);
  assert.equal(first(BASS_SCHOOLS['one-two-four'], 5).length, 0);
  const [leaned] = first(BASS_SCHOOLS.pivot, 5);
  assert.ok(leaned.hold.unsteady > 0);
  assert.ok(first(BASS_SCHOOLS.pivot, 4).some(({ hold }) => hold.unsteady === 0));
});

test('positions rise along the neck and the first one is home', () => {
  for (const [setup, school] of [
    [cello, CELLO],
    [bass, BASS_SCHOOLS['one-two-four']],
  ] as const) {
    const hand = shapeHand(setup, school, CHROMATIC);
    assert.equal(hand.label(hand.home), 1);
    assert.equal(hand.anchor(hand.home), 2);
    assert.ok(Number(hand.label(hand.landmark)) >= 4);
    assert.ok(Number.isNaN(hand.resting(hand.home, 0, THUMB)));
  }
});

test('a pivot plan says where the hand leans', () => {
  const [one] = plan({
    instrument: 'bass',
    school: 'pivot',
    material: { type: 'notes', notes: ['F#1', 'G1', 'G#1', 'A1', 'G#1'].map((name) => ({ pitches: [name] })) },
    rules: { positions: { only: [1] }, strings: ['E1'] },
  }).plans;
  const leaned = one.steps.map((step) => step.leaned ?? false);
  assert.equal(leaned[0], false, 'the closed hand has F sharp');
  assert.equal(leaned[3], true, 'only a lean has A');
  assert.deepEqual(
    leaned.slice(leaned.indexOf(true)),
    leaned.slice(leaned.indexOf(true)).fill(true),
    'taken once and kept',
  );
});

test('an extension carries the lowest string of a bass down, and the fingers above it stay where they are', () => {
  const scale: PlanRequest = {
    instrument: 'bass',
    extensionTo: 'C1',
    material: { type: 'scale', tonic: 'C1', scale: 'major', octaves: 1, direction: 'updown' },
  };
  const [one] = plan(scale).plans;
  const low = one.steps.slice(0, 4).map(({ stops: [stop] }) => [stop.string, stop.finger, stop.semitones]);
  assert.deepEqual(low, [
    ['E1', 0, -4],
    ['E1', 0, -2],
    ['E1', 0, 0],
    ['E1', 1, 1],
  ]);
  assert.ok(one.steps[0].stops[0].stopMm < 0, 'it lies beyond the nut');
  assert.equal(plan({ ...scale, extensionTo: undefined }).problems[0].code, 'too-low');
  assert.match(issueWords(requestIssues({ ...scale, extensionTo: 'E2' })[0]), /one to 5 semitones down/);
});
