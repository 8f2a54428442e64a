import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, type PlanRequest } from '../../../src/core';
import { clefsFor, clefsRead } from '../../../src/core';

function clefsOf(instrument: PlanRequest['instrument'], tonic: string, octaves: number) {
  const material = { type: 'scale', tonic, scale: 'major', octaves, direction: 'up' } as const;
  return clefsFor(plan({ instrument, material, alternatives: 1 }).events, instrument);
}

test('a low line stays in the home clef', () => {
  assert.deepEqual(new Set(clefsOf('cello', 'C2', 2)), new Set(['bass']));
  assert.deepEqual(new Set(clefsOf('viola', 'C3', 2)), new Set(['alto']));
  assert.deepEqual(new Set(clefsOf('violin', 'G3', 3)), new Set(['treble']));
});

test('a line that begins where the home clef is read begins in it, and comes back to it', () => {
  const material = { type: 'scale', tonic: 'Ab3', scale: 'major', octaves: 2, direction: 'updown' } as const;
  const clefs = clefsFor(plan({ instrument: 'viola', material, alternatives: 1 }).events, 'viola');
  assert.deepEqual([clefs[0], clefs[14], clefs.at(-1)], ['alto', 'treble', 'alto']);
  const high = { ...material, tonic: 'Ab4', octaves: 1 } as const;
  const above = clefsFor(plan({ instrument: 'viola', material: high, alternatives: 1 }).events, 'viola');
  assert.deepEqual(new Set(above), new Set(['treble']));
});

test('a line that climbs changes clef once, and bass is read an octave above its sound', () => {
  const cello = clefsOf('cello', 'D2', 4);
  assert.equal(cello[0], 'bass');
  assert.equal(cello.at(-1), 'treble');
  assert.ok(cello.filter((clef, at) => at > 0 && clef !== cello[at - 1]).length <= 2);
  assert.equal(clefsOf('bass', 'E1', 1)[0], 'bass');
  assert.notEqual(clefsOf('bass', 'E1', 3).at(-1), 'bass');
});

test('the clefs a student reads count on their own instrument only', () => {
  const high = [{ at: 0, pitches: ['E5'], midi: [76], beats: 1 }];
  const bassOnly = { plays: { instrument: 'cello' as const }, clefs: ['bass' as const] };
  assert.deepEqual(clefsRead(high, 'cello', bassOnly), ['bass']);
  assert.deepEqual(clefsRead(high, 'cello', undefined), clefsFor(high, 'cello'));
  assert.notDeepEqual(clefsRead(high, 'cello', undefined), ['bass']);
  assert.deepEqual(clefsRead(high, 'violin', bassOnly), ['treble']);
});
