import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { excerptOf } from '../../../src/audio/heardScore';
import { bowsOf, findingsOf, resolveSetup, type Aim, type PlanRequest } from '../../../src/core';
import { planAlone } from '../best';
import { runs } from '../../support/runs';

const SCALE: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'updown', notesPerBow: 4 },
};
const without = ({ material, ...rest }: PlanRequest): PlanRequest => ({
  ...rest,
  material: { ...material, notesPerBow: undefined } as PlanRequest['material'],
});

test('so many notes go on one bow, bows alternate, and the fingering is the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 64 }), fc.constantFrom(1, 2, 3), (perBow, octaves) => {
      const material = { ...SCALE.material, notesPerBow: perBow, octaves } as PlanRequest['material'];
      const request = { ...SCALE, material };
      const response = planAlone(request);
      const bows = bowsOf(response.events);
      assert.deepEqual(
        bows.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, n) => from + n)),
        response.events.map(({ at }) => at),
      );
      bows.slice(0, -1).forEach(({ from, to }) => assert.equal(to - from + 1, perBow));
      bows.forEach(({ direction }, at) => assert.equal(direction, at % 2 === 0 ? 'down' : 'up'));
      assert.deepEqual(response.plans[0].steps, planAlone(without(request)).plans[0].steps);
    }),
    runs(12),
  );
});

test('a rest ends a bow and the next begins down; what is written wins', () => {
  const notes = [
    { pitches: ['D4'], slur: true as const },
    { pitches: ['E4'] },
    { rest: true as const },
    { pitches: ['F#4'] },
    { pitches: ['G4'], bow: 'down' as const },
    { pitches: ['A4'] },
  ];
  const { events } = planAlone({ instrument: 'violin', material: { type: 'notes', key: 'D major', notes } });
  assert.deepEqual(bowsOf(events), [
    { from: 0, to: 1, direction: 'down' },
    { from: 3, to: 3, direction: 'down' },
    { from: 4, to: 4, direction: 'down' },
    { from: 5, to: 5, direction: 'up' },
  ]);
});

test('a shift says whether the bow changes with it', () => {
  const aim: Aim = { system: 'pythagorean', tuning: 'pure', drone: { letter: 5, alteration: 0 }, level: 'middle' };
  const request = { ...SCALE, material: { ...SCALE.material, octaves: 3 } as PlanRequest['material'] };
  const response = planAlone(request);
  const { shifts } = findingsOf(request, response, response.plans[0], aim);
  assert.ok(shifts.length > 0);
  for (const { shift, bow } of shifts) {
    // The independent rule: four to a bow, so the bow changes after notes 3, 7, 11 …
    const changes = Math.floor(shift.from / 4) !== Math.floor(shift.to / 4);
    assert.equal(bow, changes ? 'changes' : 'goes-on');
  }
  const plain = planAlone(without(request));
  for (const { bow } of findingsOf(without(request), plain, plain.plans[0], aim).shifts) assert.equal(bow, undefined);
});

test('playing joins the notes of a bow and breaks a little before the next', () => {
  const response = planAlone(SCALE);
  const { notes } = excerptOf(response.events, response.plans[0], resolveSetup(SCALE), 0, 8);
  assert.deepEqual(
    notes.map(({ share }) => share === 1),
    [true, true, true, false, true, true, true, false, true],
  );
  assert.ok(notes[3].share < 0.95);
});
