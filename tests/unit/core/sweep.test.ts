import assert from 'node:assert/strict';
import { test } from 'node:test';
import { soundness, sweepCases } from '../../support/sweep';

/** Every so many cases are tried here; the script tries them all. Prime to the counts of scales, chords and octaves. */
const EVERY = 29;

test('a sample of all instruments, tonics, scales, chords and octaves gives a sound plan or names the note', () => {
  const sample = sweepCases().filter((_, at) => at % EVERY === 0);
  assert.ok(sample.length > 100);
  for (const one of sample) assert.equal(soundness(one), null, JSON.stringify(one));
});
