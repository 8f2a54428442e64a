import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { notesFollowed, sameMusic, writtenOut, type NoteSpec, type PlanRequest } from '../../../src/core';
import { runs } from '../../support/runs';

const SCALE: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'up' },
};
const notesOn = (notes: readonly NoteSpec[]): PlanRequest => ({
  instrument: 'violin',
  material: { type: 'notes', notes: [...notes] },
});
const note = (pitch: string): NoteSpec => ({ pitches: [pitch] });

test('key, kind, octaves, instrument and tuning make another piece; direction and bows do not', () => {
  const { material } = SCALE;
  const others: readonly PlanRequest[] = [
    { ...SCALE, material: { ...material, tonic: 'B3' } as PlanRequest['material'] },
    { ...SCALE, material: { ...material, scale: 'dorian' } as PlanRequest['material'] },
    { ...SCALE, material: { ...material, octaves: 2 } as PlanRequest['material'] },
    { ...SCALE, instrument: 'viola' },
    { ...SCALE, tuning: ['A3', 'D4', 'A4', 'E5'] },
  ];
  for (const other of others) assert.equal(sameMusic(SCALE, other), false, JSON.stringify(other));
  const turned = { ...material, direction: 'down', notesPerBow: 2, time: '2/4' } as PlanRequest['material'];
  assert.ok(sameMusic(SCALE, { ...SCALE, style: 'singing', material: turned }));
  assert.ok(sameMusic(SCALE, { ...SCALE, material: writtenOut(material) }), 'a scale written out is the same notes');
});

test('edited music is the same piece while three quarters of it are left', () => {
  const eight = ['A3', 'B3', 'C#4', 'D4', 'E4', 'F#4', 'G#4', 'A4'].map(note);
  assert.ok(sameMusic(notesOn(eight), notesOn(eight.slice(0, 6))));
  assert.equal(sameMusic(notesOn(eight), notesOn(eight.slice(0, 5))), false);
  assert.ok(sameMusic(notesOn(eight), notesOn([...eight, ...eight])), 'going on is no other piece');
});

test('notes that are left are followed, in order, wherever others come and go', () => {
  const some = fc.array(fc.constantFrom('A3', 'B3', 'C4'), { maxLength: 12 });
  fc.assert(
    fc.property(some, some, (before, after) => {
      const [was, is] = [before.map(note), after.map(note)];
      const to = notesFollowed(was, is);
      const found = to.filter((at) => at !== null);
      assert.deepEqual(
        found,
        [...found].sort((a, b) => a - b),
      );
      assert.equal(new Set(found).size, found.length);
      to.forEach((at, n) => at === null || assert.equal(after[at], before[n]));
      assert.equal(found.length, longestCommon(before, after));
    }),
    runs(200),
  );
});

/** By definition: every part of one that can be left out. */
function longestCommon(one: readonly string[], other: readonly string[]): number {
  if (one.length === 0 || other.length === 0) return 0;
  const row = new Array<number>(other.length + 1).fill(0);
  for (const sound of one)
    for (let at = 0, corner = 0; at < other.length; at++) {
      const above = row[at + 1];
      row[at + 1] = sound === other[at] ? corner + 1 : Math.max(above, row[at]);
      corner = above;
    }
  return row[other.length];
}

test('two long versions with nothing in common are told apart at once', () => {
  const [low, high] = ['A3', 'B4'].map((pitch) => Array.from({ length: 5000 }, () => note(pitch)));
  assert.ok(notesFollowed(low, high).every((at) => at === null));
});
