import assert from 'node:assert/strict';
import { test } from 'node:test';
import { resolveSetup, type PlanRequest } from '../../../src/core';
import {
  demandedAt,
  fingersFor,
  lockAt,
  nextString,
  stringsFor,
  withLock,
  withNever,
  withoutDemands,
} from '../../../src/app/brief/demands';

const request: PlanRequest = {
  instrument: 'violin',
  rules: { openStrings: 'avoid' },
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};
const violin = resolveSetup(request);

test('locks at one note are joined, and what is set free leaves nothing behind', () => {
  const twice = withLock(withLock(request, 5, { finger: 2 }), 5, { string: 'D4' });
  assert.deepEqual(lockAt(twice, 5), { at: 5, finger: 2, string: 'D4' });
  // A demand for a harmonic alone is one too: it stays as a finger is put and taken.
  const touched: PlanRequest = { ...request, rules: { locks: [{ at: 5, harmonic: true }] } };
  const put = withLock(withLock(touched, 5, { finger: 4 }), 5, { finger: undefined });
  assert.equal(put.rules?.locks?.[0].harmonic, true);
  const free = withLock(withLock(twice, 5, { finger: undefined }), 5, { string: undefined });
  assert.equal(free.rules?.locks, undefined);
  assert.equal(free.rules?.openStrings, 'avoid');
});

test('demands are listed by note and taken away by note', () => {
  const asked = withNever(withLock(withLock(request, 7, { finger: 1 }), 3, { finger: 4 }), { at: 4, shift: true });
  assert.deepEqual(
    [...demandedAt(asked)].sort(([a], [b]) => a - b),
    [
      [3, 'kept'],
      [4, 'never'],
      [7, 'kept'],
    ],
  );
  assert.deepEqual([...demandedAt(withoutDemands(asked, 4)).keys()], [3, 7]);
});

test('strings and fingers are offered where the note lies on them', () => {
  assert.deepEqual(stringsFor(violin, 'A4'), ['G3', 'D4', 'A4']);
  assert.equal(nextString(violin, 'A4', 'D4', true), 'A4');
  assert.equal(nextString(violin, 'A4', 'A4', true), undefined);
  assert.deepEqual(fingersFor(violin, 'A4'), [0, 1, 2, 3, 4]);
  assert.deepEqual(fingersFor(resolveSetup({ instrument: 'cello' }), 'E4'), [1, 2, 3, 4, 'T']);
});
