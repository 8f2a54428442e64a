import assert from 'node:assert/strict';
import { test } from 'node:test';
import { worded } from '../../support/words';
import fc from 'fast-check';
import { plan, type DoubleStopInterval, type InstrumentName, type Plan, type PlanRequest } from '../../../src/core';
import { best } from '../best';
import { runs } from '../../support/runs';

/*
 * Notes that sound together: double stops by their kind, chords of three and four notes, and what the hand has to be for them.
 */

function doubleStops(
  instrument: InstrumentName,
  interval: DoubleStopInterval,
  tonic: string,
  rest: Partial<PlanRequest> = {},
): PlanRequest {
  return {
    instrument,
    ...rest,
    material: { type: 'double-stops', interval, tonic, scale: 'major', octaves: 1, direction: 'up' },
  };
}

const pairsOf = ({ steps }: Plan) => steps.map(({ stops }) => stops.map(({ finger }) => String(finger)).join('-'));

test('violin octaves are taken by 1 and 4 or with an open string, the frame sliding as one', () => {
  const octaves = best(doubleStops('violin', 'octave', 'A3'));
  for (const pair of pairsOf(octaves)) assert.match(pair, /^(1-4|0-[1-4])$/);
  const stopped = best({ ...doubleStops('violin', 'octave', 'A3'), rules: { openStrings: 'never' } });
  assert.deepEqual(new Set(pairsOf(stopped)), new Set(['1-4']));
});

test('fingered octaves are taken by 1 and 3 or by 2 and 4', () => {
  const octaves = best(doubleStops('violin', 'fingered-octave', 'A4', { hand: 'large' }));
  for (const pair of pairsOf(octaves)) assert.match(pair, /^(1-3|2-4)$/);
  assert.ok(new Set(pairsOf(octaves)).size === 2, 'both are used: they follow each other up the scale');
});

test('cello octaves are the thumb and 3, or an open string and a finger, and an octave apart by ear', () => {
  const request = doubleStops('cello', 'octave', 'D3');
  const octaves = best(request);
  const pairs = pairsOf(octaves);
  for (const pair of pairs) assert.match(pair, /^(T-3|0-[1-4T])$/);
  assert.ok(pairs.includes('T-3'));
  for (const event of plan(request).events) assert.ok('midi' in event && event.midi[1] - event.midi[0] === 12);
});

test('tenths ask for a hand that has them: a small one is told so, a large one plays them in its reach', () => {
  const tenths = (hand: 'small' | 'large') => plan(doubleStops('violin', 'tenth', 'B4', { hand }));
  const large = tenths('large');
  assert.ok(large.plans.length > 0, JSON.stringify(large.problems[0]));
  assert.ok(large.plans[0].reach.every(({ verdict }) => verdict !== 'beyond'));
  assert.ok(large.plans[0].reach.some(({ verdict }) => verdict === 'stretch'));
  const low = worded(doubleStops('violin', 'tenth', 'Ab3', { hand: { relaxedMm: 45, fullMm: 55, fingertipMm: 9 } }));
  assert.equal(low.plans.length, 0);
  assert.match(low.problems[0].message, /is beyond this hand here/);
});

test('thirds and sixths lie on neighbouring strings in one position, each finger once', () => {
  for (const [instrument, tonic] of [
    ['violin', 'D4'],
    ['viola', 'G3'],
    ['cello', 'G2'],
  ] as const)
    for (const interval of ['third', 'sixth'] as const) {
      const found = best(doubleStops(instrument, interval, tonic));
      for (const { stops } of found.steps) {
        assert.equal(stops.length, 2);
        const [low, high] = stops.map(({ finger }) => finger);
        const bar = low === high && stops[0].semitones === stops[1].semitones;
        assert.ok(low !== high || low === 0 || bar, `${instrument} ${interval} ${low}-${high}`);
      }
    }
});

const chords = (instrument: InstrumentName, ...lines: string[][]): PlanRequest => ({
  instrument,
  material: { type: 'notes', notes: lines.map((pitches) => ({ pitches, beats: 2 })) },
});

test('chords that every violinist knows', () => {
  assert.deepEqual(pairsOf(best(chords('violin', ['G3', 'D4', 'B4', 'G5']))), ['0-0-1-2']);
  assert.deepEqual(pairsOf(best(chords('violin', ['D4', 'A4', 'F#5']))), ['0-0-1']);
  assert.deepEqual(pairsOf(best(chords('violin', ['A3', 'E4', 'C#5', 'A5']))), ['1-1-2-3']);
  // B flat major lies under 1 1 2 3 in second position or under 2 2 3 4 in first: both are taught.
  const bFlat = plan(chords('violin', ['Bb3', 'F4', 'D5', 'Bb5'])).plans.map((one) => pairsOf(one)[0]);
  assert.deepEqual(bFlat.slice(0, 2).sort(), ['1-1-2-3', '2-2-3-4']);
});

test('chords that every cellist knows', () => {
  assert.deepEqual(pairsOf(best(chords('cello', ['C2', 'G2', 'E3', 'C4']))), ['0-0-1-2']);
  assert.deepEqual(pairsOf(best(chords('cello', ['G2', 'D3', 'B3']))), ['0-0-1']);
});

test('open strings sound together, with each other and with stopped notes', () => {
  assert.deepEqual(pairsOf(best(chords('violin', ['D4', 'A4'], ['G3', 'D4', 'A4'], ['A4', 'E5']))), [
    '0-0',
    '0-0-0',
    '0-0',
  ]);
  assert.deepEqual(pairsOf(best(chords('cello', ['C2', 'G2'], ['G2', 'D3', 'A3']))), ['0-0', '0-0-0']);
  assert.deepEqual(pairsOf(best(chords('viola', ['D4', 'B4']))), ['0-1']);
});

test('one finger laid flat over two strings is paid for; the thumb lies so by nature', () => {
  const flat = best({ ...chords('violin', ['B3', 'F#4']), rules: { positions: { only: [1] } } });
  assert.deepEqual(pairsOf(flat), ['2-2']);
  assert.ok((flat.terms.frame ?? 0) >= 0.3);
  const thumb = best({ ...chords('cello', ['A3', 'E4']), rules: { locks: [{ at: 0, finger: 'T', string: 'G2' }] } });
  assert.ok(pairsOf(thumb)[0].startsWith('T-'));
});

test('whatever notes are asked for at once, there is an answer and no hand with two places for a finger', () => {
  const stop = fc.integer({ min: 55, max: 84 });
  const together = fc.uniqueArray(stop, { minLength: 1, maxLength: 4 });
  const names = ['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
  fc.assert(
    fc.property(fc.array(together, { minLength: 1, maxLength: 6 }), (events) => {
      const lines = events.map((midis) => midis.map((midi) => `${names[midi % 12]}${Math.floor(midi / 12) - 1}`));
      const { plans, problems } = worded(chords('violin', ...lines));
      assert.ok(plans.length > 0 || problems.length > 0);
      for (const { stops } of plans.flatMap(({ steps }) => steps)) {
        const places = new Map<string, number>();
        for (const { finger, semitones } of stops.filter(({ finger }) => finger !== 0)) {
          assert.ok((places.get(String(finger)) ?? semitones) === semitones);
          places.set(String(finger), semitones);
        }
      }
    }),
    runs(100, 4),
  );
});

test('a chord that no hand can hold is said so with what to do, and the rest of the piece is not blamed', () => {
  const { plans, problems } = worded(chords('violin', ['A4'], ['G3', 'A3', 'B3'], ['E5']));
  assert.equal(plans.length, 0);
  assert.deepEqual([problems.length, problems[0].code, problems[0].at], [1, 'not-together', 1]);
  assert.match(problems[0].message, /Leave a note out or change the voicing/);
});
