import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  instrumentRecord,
  resolveSetup,
  type Finger,
  type InstrumentName,
  type Lock,
  type PlanRequest,
} from '../../../src/core';
import { worded } from '../../support/words';
import { pitchName, spellMidi } from '../../../src/core/pitch/pitch';

/** The first shift of two notes that are held as locked. */
function shiftOf(names: readonly string[], locks: readonly Omit<Lock, 'at'>[], extra: Partial<PlanRequest> = {}) {
  const [first] = worded({
    instrument: 'violin',
    material: { type: 'notes', key: 'C major', notes: names.map((name) => ({ pitches: [name], beats: 2 })) },
    rules: { locks: locks.map((lock, at) => ({ at, ...lock })) },
    ...extra,
  }).plans;
  const [shift] = first.shifts;
  const { guide } = shift;
  return [shift.kind, guide ? `${guide.finger} on ${guide.string}: ${guide.pitch}` : 'none', shift.semitones];
}

const low = { string: 'A4', finger: 1, position: 1 } as const;
const third = (finger: Finger) => ({ string: 'A4', finger, position: 3 });

test('guide notes worked out by hand: the lower finger carries the hand, up and down', () => {
  // First position on A: 1 B, 2 C, 3 D. Third position: 1 D, 2 E, 3 F.
  const second = { string: 'A4', finger: 2, position: 1 } as const;
  assert.deepEqual(shiftOf(['B4', 'D5'], [low, third(1)]), ['same-finger', '1 on A4: D5', 3]);
  assert.deepEqual(shiftOf(['D5', 'B4'], [third(1), low]), ['same-finger', '1 on A4: B4', 3]);
  // To a higher finger the old one leads to its place in the new position …
  assert.deepEqual(shiftOf(['B4', 'F5'], [low, third(3)]), ['old-finger', '1 on A4: D5', 3]);
  assert.deepEqual(shiftOf(['D5', 'C5'], [third(1), second]), ['old-finger', '1 on A4: B4', 3]);
  // … to a lower one the new one sets out from its place in the old.
  assert.deepEqual(shiftOf(['C5', 'D5'], [second, third(1)]), ['new-finger', '1 on A4: B4', 3]);
  assert.deepEqual(shiftOf(['F5', 'B4'], [third(3), low]), ['new-finger', '1 on A4: D5', 3]);
  // Sung slowly it is the same: a slide into the third finger is only a colour.
  assert.deepEqual(shiftOf(['B4', 'F5'], [low, third(3)], { style: 'singing' }), ['old-finger', '1 on A4: D5', 3]);
  const onD = { string: 'D4', finger: 1, position: 1 } as const;
  assert.deepEqual(shiftOf(['E4', 'F5'], [onD, third(3)]), ['across-strings', '1 on D4: G4', 3]);
  assert.deepEqual(shiftOf(['F5', 'E4'], [third(3), onD]), ['across-strings', '1 on D4: E4', 3]);
});

test('on the cello D with 4 up to E with 1 is guided by 1 on B; into thumb position no note guides', () => {
  const cello = { instrument: 'cello' } as const;
  const fourth = { string: 'A3', finger: 4, position: 1 } as const;
  assert.deepEqual(shiftOf(['D4', 'E4'], [fourth, { string: 'A3', finger: 1, position: 4 }], cello), [
    'new-finger',
    '1 on A3: B3',
    5,
  ]);
  const [kind, guide, semitones] = shiftOf(
    ['E4', 'A4'],
    [
      { string: 'A3', finger: 1, position: 4 },
      { string: 'A3', finger: 'T', position: 'thumb' },
    ],
    cello,
  );
  assert.deepEqual([kind, guide], ['to-thumb', 'none']);
  assert.ok(Number(semitones) > 0);
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
      for (const string of instrumentRecord(instrument).tuning)
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

function nameAt(instrument: InstrumentName, string: string, semitones: number, position: number): string {
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

test('an opened cello hand is named forward by where 1 lies, and back with 1 at the first stop', () => {
  const opened = (names: readonly string[], string: string) =>
    worded({
      instrument: 'cello',
      alternatives: 1,
      material: { type: 'notes', key: 'C major', notes: names.map((name) => ({ pitches: [name] })) },
      rules: { locks: [1, 2, 4].map((finger, at) => ({ at, finger: finger as Finger, string })) },
    }).plans[0].steps.map(({ positionName, extended }) => `${positionName}${extended ? ' opened' : ''}`);
  assert.deepEqual(new Set(opened(['E3', 'F#3', 'G#3'], 'D3')), new Set(['1st opened']));
  const [first, ...others] = opened(['Bb3', 'C4', 'D4'], 'A3');
  assert.equal(first, '1st opened');
  assert.ok(others.every((name) => name.startsWith('1st')));
});
