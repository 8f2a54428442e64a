import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, type PlanRequest, type Step } from '../../../src/core';

/** The first plan's steps of a two-octave scale. */
function scaleSteps(instrument: PlanRequest['instrument'], tonic: string, scale: string): readonly Step[] {
  const material = { type: 'scale', tonic, scale, octaves: 2, direction: 'up' } as const;
  const [first] = plan({ instrument, material, alternatives: 1, explain: 'nothing' }).plans;
  assert.ok(first, `${instrument} ${tonic} ${scale}`);
  return first.steps;
}

const MINORS = ['natural-minor', 'harmonic-minor', 'melodic-minor'];
const place = ({ position }: Step) => (position === 'thumb' ? Infinity : position);

test('a cello scale that the neck can play is not taken with the thumb on low strings', () => {
  const tonics = ['C2', 'Db2', 'D2', 'Eb2', 'E2', 'F2', 'F#2', 'G2', 'Ab2', 'A2', 'Bb2'];
  for (const tonic of tonics)
    for (const scale of ['major', ...MINORS]) {
      const thumbs = scaleSteps('cello', tonic, scale).filter(({ position }) => position === 'thumb');
      assert.deepEqual(thumbs, [], `${tonic} ${scale}`);
    }
});

test('a bass plays the first octave of two low on the neck, however many small shifts it takes', () => {
  const tonics = ['E1', 'F1', 'F#1', 'G1', 'Ab1', 'A1', 'Bb1', 'B1', 'C2', 'Db2', 'D2'];
  for (const tonic of tonics) {
    const highest = Math.max(...scaleSteps('bass', tonic, 'major').slice(0, 8).map(place));
    assert.ok(highest <= 4, `${tonic}: ${highest}`);
  }
});

test('a violin or viola begins two octaves no higher than third position', () => {
  for (const [instrument, tonics] of [
    ['violin', ['G3', 'Ab3', 'A3', 'Bb3', 'B3', 'C4', 'Db4', 'D4']],
    ['viola', ['C3', 'Db3', 'D3', 'Eb3', 'E3', 'F3', 'F#3', 'G3']],
  ] as const)
    for (const tonic of tonics)
      for (const scale of ['major', ...MINORS]) {
        const highest = Math.max(...scaleSteps(instrument, tonic, scale).slice(0, 8).map(place));
        assert.ok(highest <= 3, `${instrument} ${tonic} ${scale}: ${highest}`);
      }
});

test('where a scale has open strings in its first position, it begins there and uses them', () => {
  for (const [instrument, tonic] of [
    ['violin', 'G3'],
    ['violin', 'D4'],
    ['viola', 'C3'],
    ['viola', 'G3'],
    ['cello', 'C2'],
    ['cello', 'G2'],
    ['bass', 'E1'],
    ['bass', 'A1'],
  ] as const) {
    const opening = scaleSteps(instrument, tonic, 'major').slice(0, 4);
    assert.ok(
      opening.every((step) => place(step) <= 1),
      `${instrument} ${tonic}`,
    );
    assert.equal(opening[0].stops[0].finger, 0);
  }
});
