import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, resolveSetup, type PlanRequest } from '../../../src/core';
import { NIGHTLY } from '../../support/runs';
import { craftKinds, fingersOf, planned, sweep } from '../../support/craft';

/*
 * What a teacher would pencil, point by point. Each was otherwise before it was understood.
 */

const line = (instrument: PlanRequest['instrument'], key: string, names: string, more = {}): PlanRequest => ({
  instrument,
  material: { type: 'notes', key, notes: names.split(' ').map((name) => ({ pitches: [name] })) },
  ...more,
});
const best = (request: PlanRequest) => planned(request) ?? assert.fail(JSON.stringify(plan(request).problems[0]));
const fingers = (request: PlanRequest) => fingersOf(best(request).plan);
const stops = (interval: string, instrument: PlanRequest['instrument'], tonic: string): PlanRequest => ({
  instrument,
  material: {
    ...({ type: 'double-stops', interval, tonic, scale: 'major', octaves: 1, direction: 'up' } as never as {
      type: 'double-stops';
    }),
  } as PlanRequest['material'],
});
const kind = (name: string) => {
  const {
    kind,
    planned: cases,
    found,
  } = sweep(craftKinds().find((one) => one.name === name) ?? assert.fail(name), NIGHTLY ? 1 : 2);
  const first = found[0] ? `${found[0].where}: ${fingersOf(found[0].one.plan)}` : '';
  assert.ok(cases > 10, name);
  assert.ok(found.length <= kind.ceiling * cases, `${name}: ${found.length} of ${cases}, ${first}`);
};

test('the hand: harmonic minor by neighbouring fingers, a child not as an adult, tenths for a hand that has them', () => {
  kind('violin: augmented second slid or skipped');
  kind('viola: augmented second slid or skipped');
  const tenth = (hand: 'small' | 'large') => plan({ ...stops('tenth', 'violin', 'Bb3'), hand }).plans.length;
  assert.ok(tenth('large') > 0 && tenth('small') === 0);
});

test('a tritone across strings at speed is no hop: another finger takes one of the two notes', () => {
  const quick = { tempo: { bpm: 120, beatsPerNote: 0.25 } };
  for (const [instrument, pair] of [
    ['violin', 'B4 F5'],
    ['violin', 'E4 Bb4'],
    ['viola', 'E4 Bb4'],
  ] as const) {
    const { steps } = best(line(instrument, 'C major', `${pair} ${pair} ${pair}`, quick)).plan;
    const used = steps.map(({ stops: [stop] }) => stop.finger);
    assert.notEqual(used[0], used[1], used.join());
  }
  assert.equal(fingers(line('violin', 'C major', 'B4 F5 B4 F5', quick)), 'A2 E1 A2 E1');
});

test('a line does not climb a low string to what the next one has low down', () => {
  for (const instrument of ['violin', 'viola', 'cello', 'bass'])
    for (const what of ['one octave', 'two octaves', 'arpeggio']) kind(`${instrument}: ${what} high on a low string`);
  // Where a real scale must go up there it is free to.
  const alone = best({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'Ab2', scale: 'major', octaves: 2, direction: 'up' },
    rules: { strings: ['G2'] },
  });
  assert.ok(alone.plan.steps.every(({ stops: [{ string }] }) => string === 'G2'));
});

test('an open first note is no free ride: the hand goes up from home, or stays there', () => {
  const arpeggio = best({
    instrument: 'bass',
    material: { type: 'arpeggio', tonic: 'D2', chord: 'major', octaves: 2, direction: 'up' },
  });
  const [first] = arpeggio.plan.steps;
  assert.ok(first.position !== 'thumb' && first.position <= 1);
  for (const {
    position,
    stops: [stop],
  } of arpeggio.plan.steps.slice(0, 3))
    assert.ok(position !== 'thumb' && position <= 3, `${stop.string} in ${position}`);
});

test('two shifts do not have one note between them', () => {
  for (const instrument of ['violin', 'viola', 'bass']) kind(`${instrument}: stepping stone`);
  const scale: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'E4', scale: 'major', octaves: 2, direction: 'up' },
  };
  const { shifts } = best(scale).plan;
  shifts.slice(1).forEach(({ from }, at) => assert.ok(from > shifts[at].to));
});

test('strings go with the line', () => {
  for (const instrument of ['violin', 'viola', 'cello', 'bass'])
    for (const what of ['a chromatic line', 'a scale']) kind(`${instrument}: string order against ${what}`);
});

test('a figure that rocks over an open string lets it ring', () => {
  assert.equal(fingers(line('violin', 'A minor', 'E5 A4 F5 A4 E5 A4')), 'E0 A0 E1 A0 E0 A0');
  assert.equal(fingers(line('cello', 'G major', 'G2 D3 B3 A3 B3 D3 B3 D3')), 'G0 D0 A1 A0 A1 D0 A1 D0');
  const never = fingers(line('violin', 'A minor', 'E5 A4 F5 A4', { rules: { openStrings: 'never' } }));
  assert.doesNotMatch(never, /0/);
});

test('repeated figures keep their fingers; scales come down as they went up', () => {
  for (const [instrument, figure] of [
    ['violin', 'C5 E5'],
    ['violin', 'D5 F#5 A5'],
    ['cello', 'E3 G3'],
    ['bass', 'B1 D2'],
  ] as const) {
    const { steps } = best(line(instrument, 'C major', Array(5).fill(figure).join(' '))).plan;
    const size = figure.split(' ').length;
    steps.slice(size).forEach(({ stops: [stop] }, at) => {
      const [before] = steps[at].stops;
      assert.deepEqual([stop.string, stop.finger], [before.string, before.finger], `${instrument} ${figure}`);
    });
  }
  for (const instrument of ['violin', 'viola', 'cello', 'bass']) kind(`${instrument}: comes down another way`);
});

test('the thumb comes up for what the neck does not have, and then stays', () => {
  kind('cello: thumb for a phrase of the neck');
  kind('bass: thumb for a phrase of the neck');
  const low = best({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'B2', scale: 'major', octaves: 2, direction: 'up' },
  });
  assert.ok(low.plan.steps.slice(0, 8).every(({ position }) => position !== 'thumb'));
  const octaves = best(stops('octave', 'cello', 'A3')).plan.steps;
  assert.ok(octaves.every(({ stops: pair }) => pair.map(({ finger }) => finger).join() === 'T,3'));
});

test('double stops: fingered octaves alternate 13 and 24, octaves keep 1–4 with an open string at an end alone, thirds go in pairs', () => {
  for (const [instrument, tonic] of [
    ['violin', 'A3'],
    ['violin', 'C4'],
    ['viola', 'F3'],
  ] as const) {
    const pairs = best(stops('fingered-octave', instrument, tonic)).plan.steps.map(({ stops: pair }) =>
      pair.map(({ finger }) => finger).join(''),
    );
    pairs
      .slice(1)
      .forEach((pair, at) => assert.notEqual(pair, pairs[at], `${instrument} ${tonic}: ${pairs.join(' ')}`));
    const framed = best(stops('octave', instrument, tonic)).plan.steps.map(({ stops: pair }) =>
      pair.map(({ finger }) => finger).join(''),
    );
    assert.ok(
      framed.slice(1, -1).every((pair) => pair === '14'),
      framed.join(' '),
    );
  }
  const thirds = fingers(stops('third', 'violin', 'D4'));
  assert.match(thirds, /D3\+A1 D3\+A1 D4\+A2|D3\+A1 D4\+A2 D3\+A1 D4\+A2/);
  const high = best(stops('third', 'cello', 'A3')).plan.steps.map(({ stops: pair }) =>
    pair.map(({ finger }) => finger).join(''),
  );
  // 4-1 where the scale still begins on the neck.
  assert.deepEqual([...new Set(high)].sort(), ['2T', '31', '41']);
  assert.ok(high.lastIndexOf('41') < high.indexOf('31'));
});

test('singing sings and early music lies low', () => {
  for (const instrument of ['violin', 'viola', 'cello']) {
    kind(`${instrument}: singing no different`);
    kind(`${instrument}: singing crosses no less`);
  }
  kind('bass: singing no different');
  for (const instrument of ['violin', 'viola', 'bass']) kind(`${instrument}: early above secure`);
  const early = best({
    instrument: 'violin',
    style: 'early',
    material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 2, direction: 'up' },
  });
  assert.ok(early.plan.steps.every(({ position }) => position === 1));
});

test('fast: fewer crossings and hops than slow, and shifts that wait for a good moment', () => {
  const scale = (bpm: number): PlanRequest => ({
    instrument: 'violin',
    tempo: { bpm },
    material: { type: 'broken-thirds', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
  });
  const hops = (request: PlanRequest) => {
    const { steps } = best(request).plan;
    const setup = resolveSetup(request);
    const at = (step: (typeof steps)[number]) => setup.strings.findIndex(({ name }) => name === step.stops[0].string);
    return steps.filter((step, t) => t > 0 && at(step) !== at(steps[t - 1])).length;
  };
  assert.ok(hops(scale(480)) <= hops(scale(60)));
  const waits = ({ plan: { shifts, steps } }: ReturnType<typeof best>) =>
    shifts.filter(({ from, semitones }) => semitones === 1 || steps[from].stops[0].finger === 0).length;
  const three = (bpm: number): PlanRequest => ({
    ...{ instrument: 'violin', tempo: { bpm } },
    material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'up' },
  });
  const [slow, fast] = [best(three(60)), best(three(480))];
  assert.ok(fast.plan.shifts.length <= slow.plan.shifts.length && waits(fast) >= waits(slow));
});
