import assert from 'node:assert/strict';
import { test } from 'node:test';
import { INSTRUMENT_NAMES, instrumentRecord, lieOf, plan, type PlanRequest } from '../../../src/core';
import { levelOf } from '../../../src/app/brief/words';
import { fingerNamesOf, liesWords, speechOf, stepWords } from '../../../src/wording/plans';

const scale = (instrument: PlanRequest['instrument'], tonic: string, name = 'major'): PlanRequest => ({
  instrument,
  alternatives: 1,
  rules: { positions: { from: 1, to: 1 } },
  material: { type: 'scale', tonic, scale: name, octaves: 1, direction: 'up' },
});

test('a finger is low or high by where it lies in first position, on violin and viola alone', () => {
  const violin = instrumentRecord('violin');
  const lies = [1, 2, 3, 4].map((finger) =>
    [1, 2, 3, 4, 5, 6, 7].map((semitones) => lieOf(violin, 1, { finger: finger as 1, semitones })),
  );
  assert.deepEqual(lies[0], ['low', null, null, null, null, null, null]);
  assert.deepEqual(lies[1], [null, null, 'low', 'high', null, null, null]);
  assert.deepEqual(lies[2], [null, null, null, 'low', null, 'high', null]);
  assert.deepEqual(lies[3], [null, null, null, null, null, 'low', null]);
  assert.equal(lieOf(violin, 3, { finger: 2, semitones: 3 }), null);
  for (const name of INSTRUMENT_NAMES)
    assert.equal(lieOf(instrumentRecord(name), 1, { finger: 2, semitones: 3 }) !== null, /^viol/.test(name), name);
});

test('to a beginner a note is told by how its finger lies, and a plan by its strings', () => {
  const request = scale('violin', 'A4');
  const response = plan(request);
  const [best] = response.plans;
  const told = (fingers?: 'low-high') =>
    best.steps.map((step) => stepWords(step, speechOf('violin', response, 'letters', fingers)));
  // A B C♯ D, E F♯ G♯ A: the second finger is high on both strings.
  assert.match(told('low-high')[2], /high 2 on the A string/);
  assert.match(told()[2], /finger 2 on the A string/);
  assert.match(told('low-high')[1], /finger 1 on the A string/);
  assert.deepEqual(liesWords(best, 'violin'), ['A string: high 2', 'E string: high 2']);
  const minor = plan(scale('violin', 'D4', 'natural-minor')).plans[0];
  assert.deepEqual(liesWords(minor, 'violin'), ['D string: low 2', 'A string: low 1, low 2']);
});

test('at first-year level low and high are heard unless the teacher chose otherwise', () => {
  assert.equal(fingerNamesOf({}, 'first-year'), 'low-high');
  assert.equal(fingerNamesOf(undefined, 'first-year'), 'low-high');
  assert.equal(fingerNamesOf({ fingerNames: 'numbers' }, 'first-year'), 'numbers');
  assert.equal(fingerNamesOf({ fingerNames: 'low-high' }, 'middle'), 'low-high');
  assert.equal(fingerNamesOf(undefined, 'middle'), 'numbers');
});

test('what a brief says of the level goes before the student', () => {
  const request = { ...scale('violin', 'A4'), meaning: { level: 'first-year' as const } };
  assert.equal(levelOf(request, { level: 'advanced' }), 'first-year');
  assert.equal(levelOf(scale('violin', 'A4'), { level: 'advanced' }), 'advanced');
  assert.equal(levelOf(scale('violin', 'A4'), undefined), 'middle');
});
