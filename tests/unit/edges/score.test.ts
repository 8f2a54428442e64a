import assert from 'node:assert/strict';
import { test } from 'node:test';
import { colourOf, dronesFor, excerptOf } from '../../../src/audio/heardScore';
import { hertzOf, plan, resolveSetup, type PlanRequest } from '../../../src/core';

const request: PlanRequest = {
  instrument: 'violin',
  material: {
    type: 'notes',
    key: 'D major',
    notes: [
      { pitches: ['D4'] },
      { pitches: ['F#4'], beats: 0.5 },
      { rest: true, beats: 1.5 },
      { pitches: ['A3', 'F#4'], beats: 2 },
    ],
  },
};
const setup = resolveSetup(request);
const { events, plans } = plan(request);

test('what is heard has the lengths, pitches and strings of the plan; rests are silent but followed', () => {
  const { notes, moments, beats } = excerptOf(events, plans[0], setup, 0, 3);
  assert.deepEqual(
    notes.map(({ at, start, beats: length, midi }) => [at, start, length, midi]),
    [
      [0, 0, 1, 62],
      [1, 1, 0.5, 66],
      [3, 3, 2, 57],
      [3, 3, 2, 66],
    ],
  );
  for (const { at, string, midi } of notes) {
    const stop = plans[0].steps
      .find((step) => step.at === at)
      ?.stops.find((one) => setup.strings[string].name === one.string);
    assert.ok(stop && setup.strings[string].midi + stop.semitones === midi);
  }
  assert.deepEqual(
    moments.map(({ start }) => start),
    [0, 1, 1.5, 3],
  );
  assert.equal(beats, 5);
});

test('an excerpt begins with its own first note', () => {
  const { notes, moments, beats } = excerptOf(events, plans[0], setup, 1, 2);
  assert.deepEqual([notes[0].start, moments.length, beats], [0, 2, 2]);
});

test('A4 is 440 Hz and an octave doubles it', () => {
  assert.equal(hertzOf(69), 440);
  assert.ok(Math.abs(hertzOf(57) - 220) < 1e-9);
});

test('each string has a colour of its own, brighter the higher it is', () => {
  const colours = [0, 1, 2, 3].map((string) => colourOf(string, 4));
  for (let at = 1; at < colours.length; at++) {
    assert.ok(colours[at].cutoffHz > colours[at - 1].cutoffHz);
    assert.ok(colours[at].partials[5] > colours[at - 1].partials[5]);
    assert.equal(colours[at].partials[0], 1);
  }
});

test('drones: the tonic at or below the lowest note, and the open strings', () => {
  const [tonic, ...open] = dronesFor(setup, 'E♭', 3, 62);
  assert.deepEqual(tonic, { midi: 51, kind: 'tonic', name: 'E♭' });
  assert.deepEqual(dronesFor(setup, 'D', 2, 62)[0].midi, 62);
  assert.deepEqual(
    open.map(({ midi }) => midi),
    [55, 62, 69, 76],
  );
});
