import assert from 'node:assert/strict';
import { test } from 'node:test';
import { partsOf, plan, signsToShow, type MaterialSpec } from '../../../src/core';
import { headMarkup } from '../../../src/drawing/engrave';

const signs = (material: MaterialSpec) => {
  const music = plan({ instrument: 'violin', material, alternatives: 1 });
  const parts = partsOf({ music, barred: true });
  return signsToShow(music, 'violin', parts).map((voices) => voices.map((sign) => sign ?? '.').join('+'));
};

const typed = (key: string, names: string, bars: readonly number[] = []) =>
  signs({
    type: 'notes',
    key,
    notes: names
      .split(' ')
      .map((name, at) => ({
        ...(name === '-' ? { rest: true as const } : { pitches: name.split('+') }),
        beats: 1,
        ...(bars.includes(at) ? { bar: true as const } : {}),
      })),
  });

test('what the signature says is not written again; what it does not say is', () => {
  assert.deepEqual(typed('D major', 'D4 F#4 F4 F4 C5 C#5'), ['.', '.', 'n', '.', 'n', '#']);
  assert.deepEqual(typed('C minor', 'B4 Bb4 A4'), ['n', 'b', 'n']);
  assert.deepEqual(typed('C major', 'F##4 Bbb4'), ['##', 'bb']);
});

test('a sign holds in its octave and to the end of the bar', () => {
  assert.deepEqual(typed('C major', 'C#4 C#5 C#4'), ['#', '#', '.']);
  assert.deepEqual(typed('C major', 'C#5 C#5 C#5 C5', [1]), ['#', '#', '.', 'n']);
});

test('where the bar before had another sign, the note is given its own once', () => {
  assert.deepEqual(typed('C major', 'C#5 D5 C5 C5', [2]), ['#', '.', 'n', '.']);
  assert.deepEqual(typed('C major', 'C#5 D5 E5 C5', [1, 2]), ['#', '.', '.', '.'], 'two bars on it is forgotten');
});

test('each voice of a double stop has its own sign, a rest none', () => {
  assert.deepEqual(typed('C major', 'E4+G#4 - E4+G4'), ['.+#', '', '.+n']);
});

test('the melodic minor scale writes its raised steps going up and takes them back going down', () => {
  const written = signs({ type: 'scale', tonic: 'A3', scale: 'melodic-minor', octaves: 1, direction: 'updown' });
  assert.deepEqual(written.slice(5, 10), ['#', '#', '.', 'n', 'n']);
});

test('beyond seven signs no signature is written, and every note carries its own', () => {
  const scale = { type: 'scale', tonic: 'G#3', scale: 'major', octaves: 1, direction: 'up' } as const;
  assert.deepEqual(signs(scale), ['#', '#', '#', '#', '#', '#', '##', '#']);
  const signatures = [-8, -7, -2, 0, 1, 7, 8].map((fifths) => {
    const head = headMarkup({ clef: 'alto', fifths }, { width: 140, height: 100, scale: 1, middleLine: 50 });
    return ['Flat', 'Sharp'].map((sign) => head.split(`data-sign="accidental${sign}"`).length - 1);
  });
  assert.deepEqual(signatures, [
    [0, 0],
    [7, 0],
    [2, 0],
    [0, 0],
    [0, 1],
    [0, 7],
    [0, 0],
  ]);
});
