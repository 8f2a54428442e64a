import assert from 'node:assert/strict';
import { test } from 'node:test';
import { stopMm } from '../../../src/core/instrument/geometry';
import { resolveSetup } from '../../../src/core/instrument/setup';
import { patternCost } from '../../../src/core/hand/patterns';
import type { Transition } from '../../../src/core/planner/cost/moment';
import * as terms from '../../../src/core/planner/cost/terms';
import { secondsPerBeat } from '../../../src/core/material/tempo';
import { hasteFor, STYLE_WEIGHTS, weightsFor } from '../../../src/core/planner/cost/weights';
import { instrumentRecord } from '../../../src/core/instrument/instruments';

const weights = STYLE_WEIGHTS.secure;
const hand = { relaxedMm: 80, fullMm: 95, fingertipMm: 12 };
/** A made-up hand whose finger f rests at 2 × (position + f - 1). */
const resting = (position: number, _string: number, finger: number) => 2 * (position + finger - 1);
const pricing: terms.Pricing = {
  weights,
  hand,
  stops: Float64Array.from({ length: 40 }, (_, n) => stopMm(328, n)),
  resting,
  landings: new Float64Array(36),
};
const touch = (position: number, string: number, finger: number, semitones: number): terms.Touch => ({
  position,
  string,
  topString: string,
  leadString: string,
  finger,
  semitones,
  place: string * 100 + position,
  fourth: finger === 4,
  thumbUp: false,
  landmark: false,
  chord: 0,
  octave: null,
  fingers: String(finger),
  pair: null,
});
const calm: Transition = {
  haste: hasteFor(0.75),
  semitone: false,
  line: 1,
  rocks: [terms.NO_STRING, terms.NO_STRING],
  turn: false,
  onBeat: true,
  alternates: false,
  rest: false,
  free: false,
  phrase: false,
  inFigure: false,
  short: false,
  glides: false,
  bow: undefined,
  quick: false,
  byStep: 0,
  byThrees: 0,
  noShift: false,
  mustShift: false,
};

/** What a shift is charged: its bare cost by what makes it easier or harder. */
function shiftCost(own: terms.Pricing, from: terms.Touch, to: terms.Touch, transition: Transition): number {
  const ease = terms.shiftEase(from, to);
  return (
    terms.bareShift(own, from, to, ease, terms.guideOf(own, from, to)) * terms.shiftShare(own.weights, ease, transition)
  );
}

test('a shift costs more the further it goes and the less time it has', () => {
  const from = touch(1, 2, 1, 2);
  const near = shiftCost(pricing, from, touch(2, 2, 1, 4), calm);
  const far = shiftCost(pricing, from, touch(5, 2, 1, 10), calm);
  const hasty = shiftCost(pricing, from, touch(2, 2, 1, 4), { ...calm, haste: hasteFor(0.2) });
  assert.ok(far > near && near > weights.shiftBase && hasty > near);
});

test('a shift is cheaper on a semitone, at a turn and over an open string, dearer off the beat and across strings', () => {
  const [from, to] = [touch(1, 2, 2, 4), touch(2, 2, 1, 4)];
  const bare = shiftCost(pricing, from, to, calm);
  assert.ok(shiftCost(pricing, from, to, { ...calm, semitone: true }) < bare);
  assert.ok(shiftCost(pricing, from, to, { ...calm, turn: true }) < bare);
  assert.ok(shiftCost(pricing, from, to, { ...calm, rest: true }) < bare);
  assert.ok(shiftCost(pricing, touch(1, 2, 0, 0), to, calm) < bare);
  assert.ok(shiftCost(pricing, from, to, { ...calm, onBeat: false }) > bare);
  assert.ok(shiftCost(pricing, from, { ...to, leadString: 3 }, calm) > bare);
});

test('a shift is cheaper into a landmark and with a double stop that keeps its fingers, dearer where the thumb comes up', () => {
  const [from, to] = [touch(1, 2, 1, 2), touch(3, 2, 1, 6)];
  const bare = shiftCost(pricing, from, to, calm);
  assert.ok(shiftCost(pricing, from, { ...to, landmark: true }, calm) < bare);
  assert.ok(shiftCost(pricing, { ...from, chord: 9 }, { ...to, chord: 9 }, calm) < bare);
  assert.equal(shiftCost(pricing, { ...from, chord: 9 }, { ...to, chord: 8 }, calm), bare);
  assert.ok(shiftCost(pricing, from, { ...to, thumbUp: true }, calm) > bare + weights.thumbChange / 2);
});

test('the lower finger carries the hand: old to a higher one, new to a lower one, the first where the thumb comes up', () => {
  const [low, third] = [touch(1, 2, 2, 4), touch(3, 2, 1, 6)];
  assert.deepEqual(terms.guideOf(pricing, low, third), { finger: 1, string: 2, start: 2, end: 6 });
  assert.deepEqual(terms.guideOf(pricing, third, low), { finger: 1, string: 2, start: 6, end: 2 });
  const same = terms.guideOf(pricing, touch(1, 2, 3, 5), touch(3, 2, 3, 9));
  assert.deepEqual(same, { finger: 3, string: 2, start: 5, end: 9 });
  const up = terms.guideOf(pricing, touch(1, 2, 3, 5), { ...touch(3, 2, 2, 8), thumbUp: true });
  assert.equal(up.finger, 1);
  assert.equal(shiftCost(pricing, touch(1, 2, 1, 2), touch(3, 2, 1, 2), calm), Infinity, 'nothing moves');
});

test('landing: first finger is surest, the little one least; 4-4 is worse than 1-4', () => {
  const land = (guide: number, finger: number) => terms.landingTerm(weights, guide, finger);
  assert.ok(land(1, 1) < land(1, 2) && land(1, 2) < land(1, 3) && land(1, 3) < land(1, 4));
  assert.ok(land(4, 4) > land(1, 4));
});

test('strings apart, crossings, skips and colour', () => {
  const on = (string: number) => touch(1, string, 1, 2);
  assert.equal(terms.stringsUp(on(1), on(1)), 0);
  assert.equal(terms.stringsUp(on(0), on(3)), 3);
  assert.equal(terms.stringsUp({ ...on(1), topString: 2 }, on(2)), 0);
  assert.equal(terms.crossingTerm(weights, 0, calm), 0);
  assert.equal(terms.crossingTerm(weights, 1, calm), weights.crossing);
  assert.equal(terms.skipTerm(weights, 1, calm), 0);
  assert.equal(terms.skipTerm(weights, 3, calm), 2 * weights.skip);
  assert.ok(terms.colourTerm(weights, 1, calm) > 0);
  assert.equal(terms.colourTerm(weights, 1, { ...calm, rest: true }), 0);
});

test('a stepping stone weighs by the time there is, and a rest lets the hand settle', () => {
  const after = (seconds: number, rest = false) =>
    terms.stoneTerm(weights, { ...calm, rest, haste: hasteFor(seconds) });
  assert.ok(after(0.25) > after(0.75) && after(0.75) > after(2));
  assert.ok(Math.abs(after(0.75) - weights.steppingStone) < 1e-9);
  assert.equal(after(0.25, true), 0);
});

test('a string change against the line costs more than one along it', () => {
  const rising = { ...calm, line: 1 };
  assert.equal(terms.againstLineTerm(weights, 1, rising), 0);
  assert.equal(terms.againstLineTerm(weights, -1, rising), weights.againstLine);
  assert.equal(terms.againstLineTerm(weights, 1, { ...calm, line: -1 }), weights.againstLine);
  assert.equal(terms.againstLineTerm(weights, 1, { ...calm, line: 0 }), 0);
});

test('a climb costs by the string: most on the lowest, nothing on the highest', () => {
  const setup = resolveSetup({ instrument: 'violin' });
  const on = (string: number) => terms.lowStringTerm(weights, setup, string, 5);
  assert.ok(on(0) > on(1) && on(1) > on(2) && on(3) === 0);
  assert.equal(terms.lowStringTerm(weights, setup, 0, 10), 2 * on(0));
});

test('a figure over an open string rings: a stopped note and one on the same string cost, a string away they do not', () => {
  const rocking = { ...calm, rocks: [2, terms.NO_STRING] as const };
  const open = touch(1, 2, 0, 0);
  const ring = (from: terms.Touch, to: terms.Touch) => terms.ringingTerm(weights, from, to, rocking);
  assert.equal(ring(open, touch(1, 3, 1, 2)), 0);
  assert.equal(ring(open, touch(1, 2, 1, 2)), weights.ringing);
  assert.equal(ring(touch(1, 1, 4, 7), touch(1, 1, 2, 4)), weights.ringing);
  assert.equal(ring(touch(1, 1, 4, 7), touch(1, 0, 2, 4)), 0, 'two strings off nobody expects it');
  assert.equal(terms.ringingTerm(weights, open, touch(1, 2, 1, 2), calm), 0);
});

test('octaves keep their frame; fingered ones are meant to change', () => {
  const octave = (fingers: string, how: 'framed' | 'fingered' = 'framed') => ({
    ...touch(1, 0, 1, 2),
    ...{ octave: how, fingers },
  });
  assert.equal(terms.octaveTerm(weights, octave('1,4'), octave('1,4')), 0);
  assert.equal(terms.octaveTerm(weights, octave('1,4'), octave('0,3')), weights.octaveFrame);
  const fingered = (fingers: string) => ({ ...octave(fingers), octave: 'fingered' as const });
  assert.equal(terms.octaveTerm(weights, fingered('1,3'), fingered('1,3')), weights.octaveAgain);
  assert.equal(terms.octaveTerm(weights, fingered('1,3'), fingered('2,4')), 0);
  assert.equal(terms.octaveTerm(weights, fingered('1,3'), { ...fingered('1,3'), string: 3 }), 0);
  assert.equal(terms.octaveTerm(weights, octave('1,4'), fingered('1,3')), 0);
  assert.equal(terms.octaveTerm(weights, octave('1,3', 'fingered'), octave('2,4', 'fingered')), 0);
});

test('reach: nothing while comfortable, rising to the full spread, forbidding beyond it', () => {
  assert.equal(terms.reachTerm(weights, hand, 0.8), 0);
  assert.ok(Math.abs(terms.reachTerm(weights, hand, 1) - weights.stretch) < 1e-9);
  assert.ok(terms.reachTerm(weights, hand, 1.05) > weights.beyond);
});

test('the little finger and open strings cost more on long notes', () => {
  const note = (beats: number, accent = false) => ({ beats, accent, lowest: 2, heldTop: false });
  assert.equal(terms.fourthTerm(weights, 5, note(1)), weights.fourth);
  assert.ok(terms.fourthTerm(weights, 5, note(3)) > weights.fourth);
  assert.ok(terms.fourthTerm(weights, 14, note(1)) > weights.fourth);
  assert.ok(terms.fourthTerm(weights, 5, note(1, true)) > weights.fourth);
  assert.equal(terms.openTerm(weights, 1), weights.open);
  assert.equal(terms.openTerm(weights, 9), terms.openTerm(weights, 4), 'more than four beats is just long');
});

test('a contraction costs, and less than an extension', () => {
  assert.ok(terms.contractionTerm(weights, true) > 0);
  assert.ok(terms.contractionTerm(weights, true) < weights.extensionTaken);
  assert.equal(terms.contractionTerm(weights, false), 0);
});

test('extensions cost once to take and a little to hold', () => {
  assert.equal(terms.extensionTakenTerm(weights, true), weights.extensionTaken);
  assert.equal(terms.extensionHeldTerm(weights, true), weights.extensionHeld);
  assert.equal(terms.extensionTakenTerm(weights, false) + terms.extensionHeldTerm(weights, false), 0);
});

test('moved fingers: the playing one costs most, one without a place nothing', () => {
  const [low, high] = [
    [NaN, 1, 3, 5, 6],
    [NaN, 2, 3, 5, 7],
  ];
  const playing = terms.displaceTerm(weights, low, high, 1);
  assert.equal(playing, weights.displace + weights.displaceIdle);
  assert.equal(terms.displaceTerm(weights, [NaN, NaN, 3, 5, 6], high, 2), weights.displaceIdle);
  assert.equal(terms.reshapeTerm(weights, low, high), 2 * weights.reshape);
});

test('a trap is the same finger low on one string and high on the next; a bar is the same stop', () => {
  assert.equal(terms.trapTerm(weights, touch(1, 1, 1, 1), touch(1, 2, 1, 2), calm), weights.trap);
  assert.equal(terms.trapTerm(weights, touch(1, 1, 1, 1), touch(1, 2, 2, 3), calm), 0);
  const quick = { ...calm, haste: hasteFor(0.125) };
  assert.equal(terms.trapTerm(weights, touch(1, 1, 1, 1), touch(1, 2, 1, 2), quick), 2 * weights.trap);
  assert.equal(terms.barTerm(weights, touch(1, 1, 1, 2), touch(1, 2, 1, 2)), weights.bar);
  assert.equal(terms.barTerm(weights, touch(1, 1, 0, 0), touch(1, 2, 0, 0)), 0);
});

test('height counts both ways; crowding only where the fingertip is wider', () => {
  assert.equal(terms.heightTerm(weights, 4), terms.heightTerm(weights, -4));
  assert.equal(terms.crowdingTerm(weights, hand, 13), 0);
  assert.ok(terms.crowdingTerm(weights, hand, 6) > terms.crowdingTerm(weights, hand, 9));
});

test('patterns: the taught frames are free, rare ones are not, and an unknown one is the dearest', () => {
  assert.equal(patternCost([NaN, 2, 4, 5, 7]), 0);
  assert.ok(patternCost([NaN, 1, 3, 5, 7]) > 0);
  assert.ok(patternCost([NaN, 1, 4, 7, 8]) > patternCost([NaN, 1, 2, 3, 6]));
  assert.equal(terms.patternTerm(weights, 0.3), 0.3 * weights.pattern);
});

test('soft demands only ever add to the weights', () => {
  const soft = weightsFor(instrumentRecord('violin'), 'secure', {
    openStrings: 'avoid',
    fourthFinger: 'avoid',
    extensions: 'avoid',
    chromatic: 'finger-per-semitone',
  });
  const free = weightsFor(instrumentRecord('violin'), 'secure', {});
  for (const name of ['open', 'fourth', 'extensionTaken', 'displace'] as const)
    assert.ok(soft[name] > free[name], name);
  assert.equal(free.openMissed, 0);
  assert.ok(weightsFor(instrumentRecord('violin'), 'secure', { openStrings: 'prefer' }).openMissed > 0);
});

test('time: fast notes make shifts and crossings dearer, slow ones make colour matter', () => {
  assert.ok(hasteFor(0.2).shift > hasteFor(1).shift && hasteFor(0.2).crossing > hasteFor(1).crossing);
  assert.ok(hasteFor(2).colour > hasteFor(0.5).colour);
  assert.equal(secondsPerBeat(undefined), 1);
  assert.equal(secondsPerBeat({ bpm: 120, beatsPerNote: 0.5 }), 0.25);
});

test('a second that alternates pays for leaving its string or its position, and only inside the figure', () => {
  const still = touch(1, 2, 3, 5);
  const moment = { ...calm, alternates: true };
  assert.equal(terms.alternationTerm(weights, still, still, moment), 0);
  assert.equal(terms.alternationTerm(weights, still, { ...still, string: 3 }, moment), weights.alternation);
  assert.equal(terms.alternationTerm(weights, still, { ...still, position: 4 }, moment), weights.alternation);
  assert.equal(terms.alternationTerm(weights, still, { ...still, string: 3 }, calm), 0);
});

test('under one bow a crossing between quick notes costs more, and a shift at a change of bow less', () => {
  const crossing = (bow: Transition['bow'], quick: boolean) =>
    terms.crossingTerm(pricing.weights, 1, { ...calm, bow, quick });
  assert.ok(crossing('goes-on', true) > crossing('changes', true));
  assert.equal(crossing('goes-on', false), crossing('changes', false));
  assert.equal(crossing(undefined, true), crossing('changes', true));
  const share = (bow: Transition['bow']) => terms.shiftShare(pricing.weights, 0, { ...calm, bow });
  assert.ok(share('changes') < share('goes-on'));
  assert.equal(share('goes-on'), share(undefined));
});

test('a scale of three octaves pays for a shift that does not begin its block, a chromatic one for a group that is not played out', () => {
  const irregular = (from: number, to: number, byStep: number, byThrees = 0) =>
    terms.irregularTerm(pricing.weights, from, to, { byStep, byThrees });
  assert.equal(irregular(3, 1, 1), 0);
  assert.equal(irregular(1, 3, -1), 0);
  assert.equal(irregular(0, 1, 1), 0);
  assert.ok(irregular(3, 2, 1) > 0);
  assert.ok(irregular(2, 4, -1) > 0);
  assert.equal(irregular(2, 4, 0), 0);
  assert.equal(irregular(3, 1, 0, 1), 0);
  assert.equal(irregular(1, 3, 0, -1), 0);
  assert.ok(irregular(2, 1, 0, 1) > 0);
  assert.ok(irregular(1, 2, 0, -1) > 0);
});

test('at speed no finger hops across the strings of a double stop', () => {
  const pair = (low: number, high: number): terms.Touch => ({ ...touch(1, 2, 1, 2), pair: [low, high] });
  const hop = (from: terms.Touch, to: terms.Touch, quick = true) =>
    terms.hopTerm(pricing.weights, from, to, { ...calm, quick });
  assert.ok(hop(pair(1, 2), pair(2, 3)) > 0);
  assert.ok(hop(pair(2, 3), pair(1, 2)) > 0);
  assert.equal(hop(pair(1, 2), pair(2, 3), false), 0);
  assert.equal(hop(pair(1, 2), pair(3, 4)), 0);
  assert.equal(hop(pair(0, 1), pair(1, 2)), hop(pair(1, 2), pair(2, 3)));
  assert.equal(hop(pair(1, 2), { ...pair(2, 3), string: 3 }), 0);
});
