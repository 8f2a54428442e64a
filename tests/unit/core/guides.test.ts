import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  instrumentData,
  resolveSetup,
  type Finger,
  type InstrumentKind,
  type Lock,
  type PlanRequest,
} from '../../../src/core';
import { worded } from '../../support/words';
import { pitchName, spellMidi } from '../../../src/core/pitch/pitch';

/** The first shift of two notes that are held as locked. */
function shiftOf(
  names: readonly string[],
  locks: readonly Omit<Lock, 'at'>[],
  extra: Partial<PlanRequest> = {},
) {
  const [first] = worded({
    instrument: 'violin',
    material: { type: 'notes', key: 'C major', notes: names.map((name) => ({ pitches: [name], beats: 2 })) },
    rules: { locks: locks.map((lock, at) => ({ at, ...lock })) },
    ...extra,
  }).plans;
  const [shift] = first.shifts;
  const { finger, string, pitch } = shift.guide;
  return [shift.kind, `${finger} on ${string}: ${pitch}`, shift.semitones];
}

const low = { string: 'A4', finger: 1, position: 1 } as const;
const third = (finger: Finger) => ({ string: 'A4', finger, position: 3 });

test('guide notes worked out by hand, for each kind of shift up and down', () => {
  // First position on A: 1 B, 2 C, 3 D. Third position: 1 D, 2 E, 3 F.
  assert.deepEqual(shiftOf(['B4', 'D5'], [low, third(1)]), ['same-finger', '1 on A4: D5', 3]);
  assert.deepEqual(shiftOf(['D5', 'B4'], [third(1), low]), ['same-finger', '1 on A4: B4', 3]);
  assert.deepEqual(shiftOf(['B4', 'F5'], [low, third(3)]), ['old-finger', '1 on A4: D5', 3]);
  assert.deepEqual(shiftOf(['F5', 'B4'], [third(3), low]), ['old-finger', '3 on A4: D5', 3]);
  // Sung slowly, the third finger slides in from the D where it lay.
  assert.deepEqual(shiftOf(['B4', 'F5'], [low, third(3)], { style: 'singing' }), [
    'new-finger',
    '3 on A4: D5',
    3,
  ]);
  // From E on the D string the first finger slides to G there; the third falls on A.
  assert.deepEqual(shiftOf(['E4', 'F5'], [{ string: 'D4', finger: 1 as const, position: 1 }, third(3)]), [
    'across-strings',
    '1 on D4: G4',
    3,
  ]);
  assert.deepEqual(shiftOf(['F5', 'E4'], [third(3), { string: 'D4', finger: 1 as const, position: 1 }]), [
    'across-strings',
    '3 on A4: D5',
    3,
  ]);
});

/** Where the first finger lies in each position, in semitones above the open string, as the schools teach it. */
const LOW_STRINGS: readonly (readonly [number, number, string])[] = [
  [1, 0.5, 'half'],
  [2, 1, '1st'],
  [3, 2, '2nd'],
  [5, 3, '3rd'],
  [7, 4, '4th'],
];

test('position names on every string of cello and bass', () => {
  for (const instrument of ['cello', 'bass'] as const)
    for (const [semitones, position, name] of LOW_STRINGS)
      for (const string of instrumentData(instrument).tuning)
        assert.equal(nameAt(instrument, string, semitones, position), name, `${instrument} ${string}`);
});

test('position names on every string of violin and viola go by letters from the open string', () => {
  const whole = [0, 2, 3, 5, 7, 8, 10, 12];
  const names = ['', '1st', '2nd', '3rd', '4th', '5th', '6th', '7th'];
  for (const instrument of ['violin', 'viola'] as const)
    for (const { name: string, pitch } of resolveSetup({ instrument }).strings)
      for (let position = 1; position <= 7; position++) {
        // The natural note so many letters above the open string.
        const steps = pitch.letter + position;
        const letter = 'CDEFGAB'[steps % 7];
        const pitchOfLetter = `${letter}${pitch.octave + Math.floor(steps / 7)}`;
        const lock = { at: 0, finger: 1 as const, string, position };
        const [first] = worded({
          instrument,
          material: { type: 'notes', key: 'C major', notes: [{ pitches: [pitchOfLetter] }] },
          rules: { locks: [lock] },
        }).plans;
        assert.equal(first.steps[0].positionName, names[position], `${instrument} ${string}`);
        assert.ok(Math.abs(first.steps[0].stops[0].semitones - whole[position]) <= 1);
      }
});

function nameAt(instrument: InstrumentKind, string: string, semitones: number, position: number): string {
  const open = resolveSetup({ instrument }).strings.find(({ name }) => name === string);
  assert.ok(open);
  const [first] = worded({
    instrument,
    material: {
      type: 'notes',
      key: 'C major',
      notes: [{ pitches: [pitchName(spellMidi(open.midi + semitones, 'sharp'))] }],
    },
    rules: { locks: [{ at: 0, finger: 1, string, position }] },
  }).plans;
  return first.steps[0].positionName;
}
