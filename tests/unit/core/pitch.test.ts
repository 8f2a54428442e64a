import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { keyAlteration, keyOf, majorFifths } from '../../../src/core/pitch/key';
import { spellInKey } from '../../../src/core/pitch/inkey';
import { midiOf, parsePitch, pitchName, respellings, spellMidi, type Pitch } from '../../../src/core/pitch/pitch';
import { chordPattern, scalePattern } from '../../../src/core/pitch/scales';
import { buildMusic, parseKey } from '../../../src/core/material/build';
import type { MaterialSpec } from '../../../src/core/vocabulary';

const pitch = (name: string) => parsePitch(name) as Pitch;
const names = (spec: MaterialSpec) =>
  buildMusic(spec).events.map((event) => (event.kind === 'rest' ? '-' : event.pitches.map(pitchName).join('+')));

test('pitch names are read, counted and written back', () => {
  assert.equal(midiOf(pitch('C4')), 60);
  assert.equal(midiOf(pitch('B#3')), 60);
  assert.equal(midiOf(pitch('Cb5')), 71);
  for (const name of ['A3', 'C#4', 'Eb5', 'F##2']) assert.equal(pitchName(pitch(name)), name);
  for (const bad of ['H3', 'A', '', 'A#b', '4']) assert.equal(parsePitch(bad), null, bad);
});

test('a respelling sounds the same on a neighbouring letter', () => {
  assert.deepEqual(respellings(pitch('A#4')).map(pitchName), ['Bb4']);
  assert.deepEqual(respellings(pitch('F4')).map(pitchName), ['E#4']);
  assert.deepEqual(respellings(pitch('Cb4')).map(pitchName), ['B3']);
});

test('plain spellings keep their sound', () => {
  fc.assert(
    fc.property(fc.integer({ min: 12, max: 110 }), fc.constantFrom('sharp', 'flat'), (midi, sign) => {
      const spelled = spellMidi(midi, sign as 'sharp' | 'flat');
      assert.equal(midiOf(spelled), midi);
      assert.ok(Math.abs(spelled.alteration) <= 1);
    }),
  );
});

test('signatures: A major has three sharps, E flat three flats, F sharp major sharpens E', () => {
  const key = (name: string) => keyOf(pitch(name), 'major', false, name);
  assert.equal(majorFifths(pitch('A4')), 3);
  assert.equal(key('Eb4').fifths, -3);
  const altered = (name: string) => [0, 1, 2, 3, 4, 5, 6].map((letter) => keyAlteration(key(name), letter));
  assert.deepEqual(altered('A4'), [1, 0, 0, 1, 1, 0, 0]);
  assert.deepEqual(altered('Eb4'), [0, 0, -1, 0, 0, -1, -1]);
  assert.deepEqual(altered('F#4'), [1, 1, 1, 1, 1, 1, 0]);
  assert.equal(parseKey('E minor')?.fifths, 1);
  assert.equal(parseKey('D dorian')?.fifths, 0);
  assert.equal(parseKey('Q major'), null);
  assert.equal(pitchName(spellInKey(key('Eb4'), 68)), 'Ab4');
  assert.equal(pitchName(spellInKey(key('A4'), 68)), 'G#4');
});

test('scales are spelled by their key', () => {
  const scale = (tonic: string, name: string, direction: 'up' | 'down' | 'updown' = 'up') =>
    names({ type: 'scale', tonic, scale: name, octaves: 1, direction }).join(' ');
  assert.equal(scale('F#4', 'major'), 'F#4 G#4 A#4 B4 C#5 D#5 E#5 F#5');
  assert.equal(scale('A3', 'harmonic-minor'), 'A3 B3 C4 D4 E4 F4 G#4 A4');
  assert.equal(scale('A3', 'melodic-minor', 'updown'), 'A3 B3 C4 D4 E4 F#4 G#4 A4 G4 F4 E4 D4 C4 B3 A3');
  assert.equal(scale('D4', 'dorian'), 'D4 E4 F4 G4 A4 B4 C5 D5');
  assert.equal(scale('C4', 'major-pentatonic'), 'C4 D4 E4 G4 A4 C5');
});

test('chromatic scales raise going up and lower coming down, from the key', () => {
  const run = (tonic: string, direction: 'up' | 'down') =>
    names({ type: 'scale', tonic, scale: 'chromatic', octaves: 1, direction }).join(' ');
  assert.equal(run('Eb4', 'up'), 'Eb4 E4 F4 F#4 G4 Ab4 A4 Bb4 B4 C5 C#5 D5 Eb5');
  assert.equal(run('A3', 'down'), 'A4 G#4 G4 F#4 F4 E4 Eb4 D4 C#4 C4 B3 Bb3 A3');
});

test('arpeggios, broken thirds and double stops', () => {
  const base = { tonic: 'C4', octaves: 1, direction: 'up' } as const;
  assert.equal(names({ type: 'arpeggio', chord: 'dominant-seventh', ...base }).join(' '), 'C4 E4 G4 Bb4 C5');
  assert.equal(
    names({ type: 'broken-thirds', scale: 'major', ...base }).join(' '),
    'C4 E4 D4 F4 E4 G4 F4 A4 G4 B4 A4 C5',
  );
  assert.equal(
    names({ type: 'double-stops', interval: 'sixth', scale: 'major', ...base }).join(' '),
    'C4+A4 D4+B4 E4+C5 F4+D5 G4+E5 A4+F5 B4+G5 C5+A5',
  );
  assert.equal(names({ type: 'broken-fourths', scale: 'major', ...base }).join(' '), 'C4 F4 D4 G4 E4 A4 F4 B4 G4 C5');
  assert.equal(names({ type: 'broken-sixths', scale: 'major', ...base }).join(' '), 'C4 A4 D4 B4 E4 C5');
  assert.equal(
    names({ type: 'arpeggio', chord: 'major', figure: 'in-threes', ...base, direction: 'updown' }).join(' '),
    'C4 E4 G4 E4 G4 C5 C5 G4 E4 G4 E4 C4',
  );
});

test('unknown scales and chords are null, and package names work with hyphens', () => {
  assert.equal(scalePattern('no-such-thing'), null);
  assert.equal(chordPattern('no-such-thing'), null);
  assert.equal(scalePattern('hungarian-minor')?.up.length, 7);
  assert.equal(chordPattern('half-diminished')?.up.length, 4);
});
