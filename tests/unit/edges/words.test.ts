import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, positionsOf, resolveSetup, TERM_NAMES, type PlanRequest } from '../../../src/core';
import {
  octaveChoices,
  positionChoices,
  positionWords,
  stringChoices,
  wishesFor,
} from '../../../src/brief/brief';
import { readRequest } from '../../../src/contract/read';
import { columnX, visibleEvents } from '../../../src/views/bench/columns';
import {
  playableTonics,
  sizeWords,
  withInstrument,
  withTonic,
  type RunSpec,
} from '../../../src/brief/material';
import {
  dearestTerms,
  planWords,
  printed,
  printedPitches,
  requestWords,
  spoken,
  stepWords,
  TERM_WORDS,
} from '../../../src/brief/words';

const material: RunSpec = { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' };
const request: PlanRequest = { instrument: 'violin', material };

test('notes are spoken and printed', () => {
  assert.equal(spoken('F#4'), 'F sharp 4');
  assert.equal(spoken('Bb3'), 'B flat 3');
  assert.equal(printed('Eb4'), 'E♭');
  assert.equal(printedPitches('No C#6, Bb3 or Fx in A major b2'), 'No C♯6, B♭3 or Fx in A major b2');
});

test('a plan and its steps are said in words', () => {
  const { plans, events } = plan(request);
  assert.equal(planWords(plans[0]), '1st position throughout');
  const [event] = events;
  assert.ok('pitches' in event);
  assert.equal(
    stepWords(plans[0].steps[0], event.pitches, 0, 15),
    'Note 1 of 15: A 3, finger 1 on the G string, 1st position',
  );
  assert.ok(dearestTerms(plans[0], 2).length <= 2);
  assert.ok(TERM_NAMES.every((name) => TERM_WORDS[name].length > 0));
});

test('a request names itself', () => {
  assert.equal(requestWords(request), 'A major scale, two octaves, violin');
  assert.equal(
    requestWords({ ...request, instrument: 'viola', size: '15.5' }),
    'A major scale, two octaves, 15½-inch viola',
  );
  assert.equal(sizeWords('violin', '1/2'), '½');
});

test('the key changes to the nearest tonic that the instrument has', () => {
  assert.deepEqual(playableTonics(request, 'A'), ['A3', 'A4']);
  const wide = { ...request, material: { ...material, octaves: 4 } };
  assert.deepEqual(playableTonics(wide, 'A'), ['A3', 'A4', 'A5'], 'no room for four octaves: room for one');
  const to = (name: string) => (withTonic(request, material, name).material as RunSpec).tonic;
  assert.equal(to('Bb'), 'Bb3');
  assert.equal(to('F'), 'F4', 'F3 is below the violin');
});

test('another instrument keeps the key and leaves what only the old one had', () => {
  const full: PlanRequest = { ...request, size: '1/2', rules: { strings: ['E5'], openStrings: 'never' } };
  const moved = withInstrument(full, 'viola');
  assert.equal((moved.material as RunSpec).tonic, 'A3');
  assert.equal(moved.size, undefined);
  assert.equal(moved.rules?.strings, undefined);
  assert.equal(moved.rules?.openStrings, 'never');
});

test('rules are worded, known to the brief or not', () => {
  assert.equal(positionWords(undefined, 'violin'), 'any position');
  assert.equal(positionWords({ from: 0.5, to: 6 }, 'violin'), 'half to 6th position');
  assert.equal(positionWords({ only: [1, 3] }, 'viola'), '1st and 3rd position');
  assert.equal(positionWords({ only: [2.5] }, 'cello'), 'raised 2nd position');
  assert.equal(positionWords({ from: 2.5, to: 'thumb' }, 'bass'), '2½ to thumb position');
  assert.equal(stringChoices(request).length, 5);
});

test('the brief offers what the instrument has', () => {
  const octaves = (one: PlanRequest) => octaveChoices(one, one.material as RunSpec).map(([value]) => value);
  assert.deepEqual(octaves(request), ['1', '2', '3'], 'no fourth octave above A on a violin');
  const tenths: RunSpec = { ...material, type: 'double-stops', interval: 'tenth', scale: 'major' };
  assert.deepEqual(octaves({ ...request, material: tenths }), ['1', '2']);
  const four = { ...material, octaves: 4 };
  assert.deepEqual(octaves({ ...request, material: four }), ['1', '2', '3', '4'], 'what is asked for stays');
  const thumbs = (instrument: 'violin' | 'cello') =>
    positionChoices(instrument).filter(([rule]) => rule.includes('thumb')).length;
  assert.deepEqual([thumbs('violin'), thumbs('cello')], [0, 1]);
  const thumb: PlanRequest = { instrument: 'cello', material, rules: { positions: { only: ['thumb'] } } };
  assert.equal(withInstrument(thumb, 'violin').rules?.positions, undefined);
  assert.deepEqual(withInstrument(thumb, 'bass').rules?.positions, { only: ['thumb'] });
  const names = (instrument: 'viola' | 'cello' | 'bass') =>
    positionsOf(resolveSetup({ instrument })).map(({ name }) => name);
  assert.deepEqual(names('cello').slice(0, 5), ['half', '1st', '2nd', 'raised 2nd', '3rd']);
  assert.equal(names('bass').at(-1), 'thumb');
  assert.equal(names('viola').at(-1), '14th');
});

test('wishes are worded for what is played, and their values are those of the contract', () => {
  const rules = (one: PlanRequest) => wishesFor(one).map(({ rule }) => rule);
  assert.deepEqual(rules(request), ['openStrings', 'fourthFinger', 'extensions']);
  assert.ok(
    rules({ ...request, material: { ...material, scale: 'chromatic' } as RunSpec }).includes('chromatic'),
  );
  assert.ok(
    rules({ ...request, rules: { chromatic: 'slide' } }).includes('chromatic'),
    'what is set is shown',
  );
  const chromatic: PlanRequest = { ...request, rules: { chromatic: 'slide' } };
  for (const { rule, choices } of wishesFor(chromatic))
    for (const [value] of choices)
      assert.doesNotThrow(() => readRequest({ ...request, rules: { [rule]: value } }), `${rule} ${value}`);
});

test('only the columns in view are drawn', () => {
  assert.deepEqual(visibleEvents(0, 580, 1000), { first: 0, last: 16 });
  const { first, last } = visibleEvents(columnX(500), 580, 1000);
  assert.ok(first < 500 && last > 509 && last - first < 30);
});
