import assert from 'node:assert/strict';
import { test } from 'node:test';
import { mapOfKey, midiOf, oddBars, pitchName, placesOfNote, readKey, resolveSetup } from '../../../src/core';

const violin = resolveSetup({ instrument: 'violin' });

test('the map has the notes of the key alone, each under the fingers that reach it', () => {
  const spots = mapOfKey(violin, readKey('D major'), [1, 2, 3]);
  for (const { pitch, string, semitones } of spots) {
    assert.ok(['D', 'E', 'F#', 'G', 'A', 'B', 'C#'].includes(pitchName(pitch).replace(/\d/, '')));
    assert.equal(midiOf(pitch), violin.strings[string].midi + semitones);
  }
  const sharp = spots.find(({ string, semitones }) => string === 1 && semitones === 4);
  assert.deepEqual(sharp?.holdings, [
    { position: 1, finger: 2 },
    { position: 2, finger: 1 },
  ]);
});

test('a note rings with an open string of its letter, in any octave; an open string does not ring with itself', () => {
  const ringing = (key: string) =>
    mapOfKey(violin, readKey(key), [1])
      .filter(({ ringsWith }) => ringsWith !== undefined)
      .map(({ pitch, ringsWith }) => [pitchName(pitch), ringsWith]);
  assert.deepEqual(ringing('D major'), [
    ['A3', 2],
    ['D4', 1],
    ['E4', 3],
    ['G4', 0],
    ['A4', 2],
    ['D5', 1],
    ['E5', 3],
    ['G5', 0],
    ['A5', 2],
  ]);
  assert.deepEqual(
    ringing('Db major').map(([name]) => name),
    [],
    'no note of D flat major has the letter of a string as it is tuned',
  );
});

test('open strings need no hand; a note has all its places', () => {
  const spots = mapOfKey(violin, readKey('D major'), [1, 3]);
  const open = spots.filter(({ semitones }) => semitones === 0);
  assert.deepEqual(
    open.map(({ string }) => string),
    [0, 1, 2, 3],
  );
  const [a] = spots.filter(({ string, semitones }) => string === 2 && semitones === 0);
  const places = placesOfNote(spots, a.pitch).map(({ string, semitones }) => [string, semitones]);
  assert.deepEqual(places, [
    [1, 7],
    [2, 0],
  ]);
});

test('bars that were typed too long or too short are found; a pick-up and its bar are not', () => {
  const note = (beats: number, bar = false) => ({ pitches: ['A4'], beats, ...(bar ? { bar: true as const } : {}) });
  assert.deepEqual(oddBars([note(1), note(1)], 4), []);
  assert.deepEqual(oddBars([note(1), note(4, true), note(3, true)], 4), []);
  assert.deepEqual(oddBars([note(4), note(2, true), note(3), note(4, true)], 4), [{ bar: 2, beats: 5 }]);
  assert.deepEqual(oddBars([note(5), note(4, true)], 4), [{ bar: 1, beats: 5 }]);
  assert.deepEqual(oddBars([note(4), note(2, true), note(4, true)], 4), [{ bar: 2, beats: 2 }]);
});
