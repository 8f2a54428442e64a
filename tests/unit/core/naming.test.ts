import assert from 'node:assert/strict';
import { test } from 'node:test';
import { parsePitch, type NoteNames } from '../../../src/core';
import { noteName } from '../../../src/wording/notes';

const named = (words: string, names: NoteNames) =>
  words.split(' ').map((name) => {
    const pitch = parsePitch(`${name}4`);
    assert.ok(pitch, name);
    return noteName(pitch, names);
  });

test('letters and fixed-do syllables take the sign behind them', () => {
  assert.deepEqual(named('C Eb F# Bbb G##', 'letters'), ['C', 'E♭', 'F♯', 'B𝄫', 'G𝄪']);
  assert.deepEqual(named('C D E F G A B', 'fixed-do'), ['do', 're', 'mi', 'fa', 'sol', 'la', 'si']);
  assert.deepEqual(named('Eb F#', 'fixed-do'), ['mi♭', 'fa♯']);
});

test('German names: H and B, Es and As short, doubles doubled', () => {
  assert.deepEqual(named('B Bb Eb Ab Db F# Cb', 'german'), ['H', 'B', 'Es', 'As', 'Des', 'Fis', 'Ces']);
  assert.deepEqual(named('Bbb Ebb Abb F## B#', 'german'), ['Heses', 'Eses', 'Ases', 'Fisis', 'His']);
});
