import assert from 'node:assert/strict';
import test from 'node:test';
import { asksOf, withPlace } from '../../../src/app/brief/askedOf';
import { readTyped } from '../../../src/app/brief/typed';
import { placesIn, plan, requestIssues, type NoteSpec, type PlanRequest, type Rules } from '../../../src/core';
import { decisiveAt, oursAt } from '../../../src/core';
import { stretchesMade } from '../../../src/wording/stretches';
import { barWords } from '../../../src/wording/places';

/* What is asked of some notes alone: from the marked notes, typed with their bars, told and taken away. */

const BARS = ['D5 B4 C5 A4', 'B4 G4 A4 D5', 'D5 B4 C5 A4', 'G4 A4 B4 G4'];
const notes: NoteSpec[] = [
  ...BARS.slice(0, 2).flatMap((bar) => bar.split(' ').map((name) => ({ pitches: [name], beats: 1 }))),
  { rest: true, beats: 4 },
  ...BARS.slice(2).flatMap((bar) => bar.split(' ').map((name) => ({ pitches: [name], beats: 1 }))),
];
const request: PlanRequest = {
  instrument: 'violin',
  material: { type: 'notes', key: 'G major', notes },
  alternatives: 1,
};

const typed = (text: string): Rules | string => {
  const reading = readTyped(text, request, []);
  if (reading.kind === 'asked') return reading.question;
  // What is not asked is left out.
  return reading.kind === 'understood' ? JSON.parse(JSON.stringify(reading.brief.request.rules)) : reading.kind;
};

test('a brief may name the bars that something is for', () => {
  assert.deepEqual(typed('sul G bars 1 to 2'), { places: [{ strings: ['G3'], from: 0, to: 7 }] });
  assert.deepEqual(typed('third position, bars 4 and 5'), { places: [{ positions: { only: [3] }, from: 9, to: 16 }] });
  assert.deepEqual(typed('no open strings in bar 2'), { places: [{ openStrings: 'never', from: 4, to: 7 }] });
  assert.deepEqual(typed('singing, bars 4-5'), { places: [{ style: 'singing', from: 9, to: 16 }] });
  assert.deepEqual(typed('bar 4 same as bar 1'), { same: [{ from: 9, to: 12, as: 0 }] });
  assert.deepEqual(typed('prepare bar 5 from bar 4'), { prepare: [{ from: 9, for: 13 }] });
  assert.match(String(typed('sul G bar 40')), /no bar 40/);
  assert.match(String(typed('same as bar 1')), /Which bars/);
  assert.match(String(typed('sul E flat bar 1')), /no E♭ string/);
});

test('everything that can be asked of marked notes is a request that is understood, and is told and taken away', () => {
  const response = plan(request);
  const place = placesIn(response);
  for (const stretch of [
    { from: 0, to: 3 },
    { from: 4, to: 7 },
    { from: 9, to: 12 },
  ]) {
    const asks = asksOf(request, stretch, response, place);
    const strings = asks.flatMap(({ id }) => (id.startsWith('string-') ? [id] : []));
    assert.ok(!strings.includes('string-E5'), 'no string that lacks a note');
    assert.ok(strings.includes('string-G3'));
    assert.equal(new Set(asks.map(({ words }) => words)).size, asks.length, 'no two are called the same');
    for (const ask of asks) {
      assert.deepEqual(requestIssues(ask.request), [], ask.words);
      const made = stretchesMade(ask.request);
      if (ask.group === 'Phrases') continue;
      assert.equal(made.length, 1, ask.words);
      assert.ok(made[0].words.includes(ask.words), `${made[0].words}: ${ask.words}`);
      assert.equal(stretchesMade(made[0].request).length, 0);
    }
  }
  const same = asksOf(request, { from: 9, to: 12 }, response, place).filter(({ id }) => id.startsWith('same'));
  assert.deepEqual(
    same.map(({ words }) => words),
    ['the same as from bar 1, beat 1'],
  );
});

test('more asked of the same notes joins what is asked of them already', () => {
  const once = withPlace(request, { from: 0, to: 3 }, { strings: ['D4'] });
  const twice = withPlace(once, { from: 0, to: 3 }, { openStrings: 'never' });
  assert.deepEqual(twice.rules?.places, [{ from: 0, to: 3, strings: ['D4'], openStrings: 'never' }]);
  assert.equal(withPlace(once, { from: 0, to: 4 }, { openStrings: 'never' }).rules?.places?.length, 2);
});

test('decisive fingers are few, and begin every part; ours are those that nobody put', () => {
  const response = plan(request);
  const [one] = response.plans;
  const answered = { request, response, plan: one };
  const decisive = decisiveAt(answered);
  assert.ok(decisive.has(0) && decisive.has(9));
  assert.ok(decisive.size <= 6, String(decisive.size));
  for (const { to } of one.shifts) assert.ok(decisive.has(to));
  const locked = { ...request, rules: { locks: [{ at: 0, finger: 3 as const }] } };
  const ours = oursAt({ ...answered, request: locked });
  assert.ok(!ours.has(0) && ours.has(9));
});

test('a beat is told as a player counts it', () => {
  const say = (beat: number, of?: number) => barWords({ bar: 3, beat, ...(of ? { of } : {}) });
  assert.equal(say(2), 'bar 3, beat 2');
  assert.equal(say(2.5), 'bar 3, beat 2½');
  assert.equal(say(2.875), 'bar 3, the last thirty-second of beat 2');
  assert.equal(say(2.125), 'bar 3, the 2nd thirty-second of beat 2');
  assert.equal(say(4.875, 8), 'bar 3, the last sixty-fourth of beat 4');
});
