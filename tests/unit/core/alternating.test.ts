import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, type PlanRequest } from '../../../src/core';

/* Seconds that alternate stay on one string; leaps next to an open string ring. */

interface Figure extends Partial<PlanRequest> {
  readonly slurred?: boolean;
  readonly beats?: number;
}

/** Strings and fingers of a figure that goes to and fro between two notes, as "A3". */
function rocking(instrument: PlanRequest['instrument'], a: string, b: string, figure: Figure = {}): string[] {
  const { slurred = true, beats = 0.25, ...rest } = figure;
  const notes = [a, b, a, b, a, b, a, b].map((pitch, at) => ({
    pitches: [pitch],
    beats,
    ...(slurred && at % 4 < 3 ? { slur: true as const } : {}),
  }));
  const request = {
    instrument,
    tempo: { bpm: 80 },
    alternatives: 1,
    material: { type: 'notes', key: 'D major', notes },
  } as const;
  const [best] = plan({ ...request, ...rest }).plans;
  return best.steps.map(({ stops: [stop] }) => `${stop.string[0]}${stop.finger}`);
}

const pair = (a: string, b: string) => [a, b, a, b, a, b, a, b];

test('violin and viola take a second to the next open string with 3 and 4, in every style', () => {
  assert.deepEqual(rocking('violin', 'D5', 'E5'), pair('A3', 'A4'));
  assert.deepEqual(rocking('violin', 'D5', 'E5', { style: 'early' }), pair('A3', 'A4'));
  assert.deepEqual(rocking('violin', 'G4', 'A4', { slurred: false, beats: 1 }), pair('D3', 'D4'));
  assert.deepEqual(rocking('viola', 'C4', 'D4'), pair('G3', 'G4'));
});

test('no alternating second changes its string or its position, whatever the style, where the hand has both', () => {
  const seconds = [
    ['violin', 'D5', 'E5'],
    ['violin', 'C#5', 'D5'],
    ['violin', 'G4', 'A4'],
    ['viola', 'G3', 'A3'],
    ['cello', 'G3', 'A3'],
    ['cello', 'C3', 'D3'],
    ['bass', 'F2', 'G2'],
  ] as const;
  for (const [instrument, a, b] of seconds)
    for (const style of ['secure', 'singing', 'early'] as const) {
      const strings = new Set(rocking(instrument, a, b, { style }).map(([string]) => string));
      assert.equal(strings.size, 1, `${instrument} ${a} ${b} ${style}`);
    }
});

test('without the little finger the second is taken where both notes lie under others', () => {
  assert.deepEqual(rocking('violin', 'D5', 'E5', { rules: { fourthFinger: 'never' } }), pair('A2', 'A3'));
});

test('a leap beside an open string rings over it', () => {
  assert.deepEqual(rocking('violin', 'C5', 'E5'), pair('A2', 'E0'));
  // Three notes of a second are a turning point, and are as before.
  const turn = {
    type: 'notes',
    key: 'D major',
    notes: ['D5', 'E5', 'F#5'].map((pitch) => ({ pitches: [pitch] })),
  } as const;
  const [best] = plan({ instrument: 'violin', material: turn, alternatives: 1 }).plans;
  assert.deepEqual(
    best.steps.map(({ stops: [stop] }) => stop.finger),
    [3, 0, 1],
  );
});
