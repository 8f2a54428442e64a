import assert from 'node:assert/strict';
import { test } from 'node:test';
import { octaveChoices } from '../../../src/app/brief/choices';
import { playableTonics, withInstrument, withTonic } from '../../../src/app/brief/briefMaterial';
import { readRequest } from '../../../src/contract/read';
import {
  findingsOf,
  parsePitch,
  plan,
  positionsOf,
  resolveSetup,
  TERM_NAMES,
  type PlanRequest,
  type RunSpec,
} from '../../../src/core';
import { positionChoices, stringChoices, wishesFor } from '../../../src/wording/brief';
import { counted, listed, ordinal, ranges } from '../../../src/wording/grammar';
import { sizeWords } from '../../../src/wording/instruments';
import { requestWords } from '../../../src/wording/material';
import { noteWords, printed, spoken } from '../../../src/wording/notes';
import { barWords, positionName, positionRuleWords, stretchWords } from '../../../src/wording/places';
import { dearestTerms, planWords, speechOf, stepWords, TERM_WORDS } from '../../../src/wording/plans';
import { wayWords } from '../../../src/wording/shifts';

const material: RunSpec = { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' };
const request: PlanRequest = { instrument: 'violin', material };

test('notes are spoken and printed', () => {
  assert.equal(spoken('F#4'), 'F sharp 4');
  assert.equal(spoken('Bb3'), 'B flat 3');
  assert.equal(printed('Eb4'), 'E♭');
  assert.equal(noteWords('C#6'), 'C♯6');
  assert.equal(noteWords('B4', 'german'), 'H4');
});

test('a plan and its steps are said in words', () => {
  const response = plan(request);
  const { plans } = response;
  assert.equal(planWords(plans[0], 'violin'), '1st position throughout');
  assert.equal(
    stepWords(plans[0].steps[0], speechOf('violin', response)),
    'Note 1 of 15, bar 1, beat 1: A 3, finger 1 on the G string, 1st position',
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
  assert.deepEqual(playableTonics(request, 'A'), ['A3', 'A4', 'A5']);
  const wide = { ...request, material: { ...material, octaves: 5 } };
  assert.deepEqual(playableTonics(wide, 'A'), ['A3', 'A4', 'A5', 'A6'], 'no room for five octaves: room for one');
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
  assert.equal(positionRuleWords(undefined, 'violin'), 'any position');
  assert.equal(positionRuleWords({ from: 0.5, to: 6 }, 'violin'), 'half to 6th position');
  assert.equal(positionRuleWords({ only: [1, 3] }, 'viola'), '1st and 3rd position');
  assert.equal(positionRuleWords({ only: [2.5] }, 'cello'), 'raised 2nd position');
  assert.equal(positionRuleWords({ from: 2.5, to: 'thumb' }, 'bass'), '2½ to thumb position');
  assert.equal(stringChoices(request).length, 5);
});

test('the brief offers what the instrument has', () => {
  const octaves = (one: PlanRequest) => octaveChoices(one, one.material as RunSpec).map(([value]) => value);
  assert.deepEqual(octaves(request), ['1', '2', '3', '4'], 'four octaves from A go to the far end of the fingerboard');
  const high = { ...request, fingerboardSemitones: 28 };
  assert.deepEqual(octaves(high), ['1', '2', '3'], 'but not on one that ends before');
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
    positionsOf(resolveSetup({ instrument })).map((position) => positionName(position, instrument));
  assert.deepEqual(names('cello').slice(0, 5), ['half', '1st', '2nd', 'raised 2nd', '3rd']);
  assert.equal(names('bass').at(-1), 'thumb');
  assert.equal(names('viola').at(-1), '15th');
});

test('wishes are worded for what is played, and their values are those of the contract', () => {
  const rules = (one: PlanRequest) => wishesFor(one).map(({ rule }) => rule);
  assert.deepEqual(rules(request), ['openStrings', 'fourthFinger', 'extensions', 'harmonics', 'shiftOn']);
  assert.ok(rules({ ...request, material: { ...material, scale: 'chromatic' } as RunSpec }).includes('chromatic'));
  assert.ok(rules({ ...request, rules: { chromatic: 'slide' } }).includes('chromatic'), 'what is set is shown');
  const chromatic: PlanRequest = { ...request, rules: { chromatic: 'slide' } };
  for (const { rule, choices } of wishesFor(chromatic))
    for (const [value] of choices)
      assert.doesNotThrow(() => readRequest({ ...request, rules: { [rule]: value } }), `${rule} ${value}`);
});

test('places are named by bar and beat, fractions too', () => {
  assert.equal(barWords({ bar: 3, beat: 2 }), 'bar 3, beat 2');
  assert.equal(barWords({ bar: 1, beat: 2.5 }), 'bar 1, beat 2½');
  assert.equal(barWords({ bar: 0, beat: 4 }), 'pick-up, beat 4');
  const place = (at: number) => ({ bar: 1 + Math.floor(at / 4), beat: (at % 4) + 1 });
  assert.equal(stretchWords(place, 1, 1), 'bar 1, beat 2');
  assert.equal(stretchWords(place, 1, 3), 'bar 1, beats 2–4');
  assert.equal(stretchWords(place, 3, 4), 'bar 1, beat 4 to bar 2, beat 1');
});

test('counts, lists and ordinals follow the language', () => {
  assert.deepEqual([counted(1, 'shift'), counted(0, 'shift'), counted(2, 'key')], ['1 shift', '0 shifts', '2 keys']);
  assert.equal(listed(['a', 'b', 'c']), 'a, b, and c');
  assert.deepEqual([1, 2, 3, 4, 11, 12, 13, 21, 22].map(ordinal), [
    '1st',
    '2nd',
    '3rd',
    '4th',
    '11th',
    '12th',
    '13th',
    '21st',
    '22nd',
  ]);
  assert.equal(ranges([1, 3, 4, 5, 9]), '1, 3–5, 9');
});

test('a shift is told by its positions, in thumb position by the notes the thumb goes between, over an open string as such', () => {
  const shiftsOf = (asked: PlanRequest) => {
    const response = plan({ ...asked, alternatives: 1 });
    const tonic = parsePitch('C4') ?? assert.fail();
    const aim = { system: 'equal', tuning: 'pure', tonic, level: 'middle' } as const;
    const { shifts, setup } = findingsOf(asked, response, response.plans[0], aim);
    return shifts.map((detail) => ({ detail, words: wayWords(detail, setup, speechOf(asked.instrument, response)) }));
  };
  const cello = shiftsOf({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'Eb2', scale: 'major', octaves: 3, direction: 'updown' },
  });
  let thumbs = 0;
  for (const { detail, words } of cello) {
    const { fromPosition, toPosition } = detail.shift;
    const up = [fromPosition, toPosition].filter((position) => position === 'thumb').length;
    thumbs += up;
    if (up === 2) assert.match(words, /^in thumb position, thumb from [A-G][♭♯]?( on [A-G])? to [A-G][♭♯]?/);
    if (up === 1) assert.match(words, /the thumb on [A-G][♭♯]?/);
    if (up === 0) assert.match(words, /^(over the open string, )?from .* to .* position$/);
    assert.doesNotMatch(words, /octave/);
  }
  assert.ok(thumbs > 1);
  const locks = [
    { at: 0, finger: 1 as const, position: 0.5 },
    { at: 1, finger: 0 as const },
    { at: 2, finger: 1 as const, position: 1 },
  ];
  const notes = ['Eb2', 'D2', 'E2'].map((name) => ({ pitches: [name] }));
  const over = shiftsOf({ instrument: 'bass', material: { type: 'notes', key: 'C major', notes }, rules: { locks } });
  assert.deepEqual(
    over.map(({ words }) => words),
    ['over the open string, from half to 1st position'],
  );
});
