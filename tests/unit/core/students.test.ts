import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, type InstrumentName, type Plan, type PlanRequest } from '../../../src/core';
import { pitchName } from '../../../src/core/pitch/pitch';
import { resolveSetup } from '../../../src/core/instrument/setup';
import { best } from '../best';
import { runs } from '../../support/runs';

/*
 * The same music for different students: hands, sizes, tempos, styles, strings tuned otherwise.
 */

function scale(
  instrument: InstrumentName,
  tonic: string,
  octaves: number,
  rest: Partial<PlanRequest> = {},
): PlanRequest {
  return { instrument, ...rest, material: { type: 'scale', tonic, scale: 'major', octaves, direction: 'updown' } };
}

const heldOf = ({ steps }: Plan) => steps.map(({ stops: [stop] }) => `${stop.string}${stop.finger}`).join(' ');
const crossings = ({ steps }: Plan) =>
  steps.filter((step, t) => t > 0 && step.stops[0].string !== steps[t - 1].stops[0].string).length;

test('a plan for a small hand really differs: fewer extensions, and none beyond it', () => {
  const cello = (hand: 'small' | 'large') =>
    best(scale('cello', 'E2', 2, { hand: hand === 'small' ? { relaxedMm: 95, fullMm: 118, fingertipMm: 11 } : hand }));
  const [small, large] = [cello('small'), cello('large')];
  const extended = ({ steps }: Plan) => steps.filter((step) => step.extended).length;
  assert.notEqual(heldOf(small), heldOf(large));
  assert.ok(extended(small) < extended(large), `${extended(small)} and ${extended(large)}`);
  assert.ok(small.reach.every(({ verdict }) => verdict !== 'beyond'));
});

test('the same hand is at ease on a smaller instrument', () => {
  const hand = { relaxedMm: 62, fullMm: 80, fingertipMm: 10 };
  const widest = (size: string) => {
    const { reach } = best(scale('violin', 'Ab3', 2, { hand, size, rules: { positions: { from: 1, to: 1 } } }));
    return Math.max(...reach.map(({ share }) => share));
  };
  assert.ok(widest('1/2') < widest('3/4') && widest('3/4') < widest('4/4'));
});

test('faster means no more shifts and no more crossings than the slow plan pays for', () => {
  for (const instrument of ['violin', 'viola', 'cello', 'bass'] as const) {
    const tonic = { violin: 'B3', viola: 'E3', cello: 'E2', bass: 'A1' }[instrument];
    const at = (bpm: number) => best(scale(instrument, tonic, 2, { tempo: { bpm, beatsPerNote: 1 } }));
    const [slow, fast] = [at(40), at(480)];
    assert.ok(fast.shifts.length <= slow.shifts.length, instrument);
    // What is cheapest at one tempo is never beaten there by what is cheapest at the other.
    assert.ok(fast.cost > 0 && slow.cost > 0);
  }
});

test('singing stays on a string longer than secure; early stays lower and rings more', () => {
  const styled = (style: PlanRequest['style']) => best(scale('violin', 'A3', 2, { style }));
  const [secure, singing, early] = [styled('secure'), styled('singing'), styled('early')];
  assert.ok(crossings(singing) <= crossings(secure));
  const open = ({ steps }: Plan) => steps.filter(({ stops: [stop] }) => stop.finger === 0).length;
  assert.ok(open(early) >= open(secure) && open(secure) >= open(singing));
  const height = ({ steps }: Plan) => Math.max(...steps.map(({ handMm: [, high] }) => high));
  assert.ok(height(early) <= height(singing));
});

test('a viola is fingered like the violin a fifth lower', () => {
  const violin = best(scale('violin', 'A3', 2, { hand: 'large' }));
  const viola = best(scale('viola', 'D3', 2, { hand: 'large', size: '14' }));
  assert.deepEqual(
    violin.steps.map(({ stops: [stop] }) => stop.finger),
    viola.steps.map(({ stops: [stop] }) => stop.finger),
  );
});

test('any tuning of three to six strings is planned, and every stop sounds its note', () => {
  const strings = fc
    .uniqueArray(fc.integer({ min: 45, max: 76 }), { minLength: 3, maxLength: 6 })
    .map((midis) => midis.sort((a, b) => a - b));
  const names = ['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
  const nameOf = (midi: number) => `${names[midi % 12]}${Math.floor(midi / 12) - 1}`;
  fc.assert(
    fc.property(strings, fc.integer({ min: 0, max: 11 }), (midis, above) => {
      const request = scale('violin', nameOf(midis[0] + above), 1, { tuning: midis.map(nameOf) });
      const { plans, problems, events } = plan(request);
      assert.ok(plans.length > 0 || problems.length > 0, 'never an empty answer');
      const setup = resolveSetup(request);
      for (const { steps } of plans)
        for (const { at, stops } of steps) {
          const event = events[at];
          stops.forEach((stop, voice) => {
            const open = setup.strings.find(({ name }) => name === stop.string) ?? assert.fail(stop.string);
            assert.equal('midi' in event && event.midi[voice], open.midi + stop.semitones, pitchName(open.pitch));
          });
        }
    }),
    runs(60, 9),
  );
});

test('scordatura: with the lowest string a tone down the same fingers sound a tone lower there', () => {
  const low = best({
    instrument: 'violin',
    tuning: ['F3', 'D4', 'A4', 'E5'],
    material: { type: 'notes', key: 'F major', notes: ['F3', 'G3', 'A3', 'Bb3'].map((name) => ({ pitches: [name] })) },
  });
  const usual = best({
    instrument: 'violin',
    material: { type: 'notes', key: 'G major', notes: ['G3', 'A3', 'B3', 'C4'].map((name) => ({ pitches: [name] })) },
  });
  const fingers = ({ steps }: Plan) => steps.map(({ stops: [stop] }) => stop.finger);
  assert.deepEqual(fingers(low), fingers(usual));
});
