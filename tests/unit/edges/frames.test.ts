import assert from 'node:assert/strict';
import { test } from 'node:test';
import { laidFingers, resolveHand, resolveSetup, type InstrumentName, type PlanRequest } from '../../../src/core';
import { frameBefore, frameWords } from '../../../src/wording/frames';
import { speechOf } from '../../../src/wording/plans';
import { planAlone } from '../best';

const LENGTHS: Readonly<Record<InstrumentName, number>> = { violin: 328, viola: 370, cello: 692, bass: 1050 };
const TONICS: Readonly<Record<InstrumentName, readonly string[]>> = {
  violin: ['G3', 'Ab3', 'A3', 'Bb3', 'B3', 'C4', 'Db4', 'D4', 'Eb4', 'E4'],
  viola: ['C3', 'Db3', 'D3', 'Eb3', 'E3', 'F3', 'G3'],
  cello: ['C2', 'Db2', 'D2', 'Eb2', 'E2', 'F2', 'G2'],
  bass: ['E1', 'F1', 'Gb1', 'G1', 'A1', 'Bb1'],
};
/** A stop in mm, by the text’s own formula. */
const mm = (kind: InstrumentName, n: number) => LENGTHS[kind] * (1 - 2 ** (-n / 12));

test('what is said of a pattern holds against the ruler: touch, no room, where it was, one hand', () => {
  const seen = new Map<string, number>();
  for (const kind of ['violin', 'viola', 'cello', 'bass'] as const)
    for (const tonic of TONICS[kind])
      for (const scale of ['major', 'harmonic-minor', 'chromatic']) {
        const material = { type: 'scale', tonic, scale, octaves: 2, direction: 'updown' } as const;
        const request: PlanRequest = { instrument: kind, material, alternatives: 1, explain: 'nothing' };
        const response = planAlone(request);
        const [one] = response.plans;
        const speech = speechOf(kind, response);
        const setup = resolveSetup(request);
        const hand = resolveHand(setup, undefined);
        one.frames.forEach((frame, at) => {
          const before = one.frames[at - 1];
          const words = frameWords(frame, before, { plan: one, setup, hand, speech });
          const room = (a: string, b: string) =>
            Math.abs(mm(kind, frame.fingers[a as '1'] ?? NaN) - mm(kind, frame.fingers[b as '1'] ?? NaN));
          for (const [, a, b, what] of words.matchAll(/([T1-4]) and ([T1-4]) (touch|close|apart)/g)) {
            seen.set(what, (seen.get(what) ?? 0) + 1);
            assert.ok(kind === 'violin' || kind === 'viola', words);
            const tips = room(a, b) / hand.fingertipMm;
            if (what === 'touch') assert.ok(tips >= 1 && tips <= 1.5, `${words}: ${tips}`);
            if (what === 'close') assert.ok(tips > 1.5, `${words}: ${tips}`);
          }
          if (words.includes('no two of them touch')) {
            const laid = laidFingers(frame.fingers).map(([finger]) => String(finger));
            laid.slice(1).forEach((finger, n) => {
              if (Number(finger) - Number(laid[n]) === 1)
                assert.ok(room(laid[n], finger) > 1.5 * hand.fingertipMm, words);
            });
          }
          for (const [, a, b] of words.matchAll(/no room for both ([T1-4]) and ([T1-4])/g))
            assert.ok(room(a, b) < hand.fingertipMm, words);
          if (words.includes('every finger where it was')) {
            seen.set('same', (seen.get('same') ?? 0) + 1);
            for (const [finger, n] of laidFingers(frame.fingers))
              assert.equal(new Map(laidFingers(before.fingers)).get(finger), n, words);
          }
          if (kind === 'cello' || kind === 'bass') assert.doesNotMatch(words, /\d (higher|lower)/);
        });
      }
  for (const what of ['touch', 'same']) assert.ok((seen.get(what) ?? 0) > 10, what);
});

test('each string of a double stop has its own fingers', () => {
  const material = {
    type: 'double-stops',
    interval: 'sixth',
    tonic: 'A3',
    scale: 'major',
    octaves: 1,
    direction: 'up',
  } as const;
  const request: PlanRequest = { instrument: 'violin', material, alternatives: 1 };
  const response = planAlone(request);
  const [one] = response.plans;
  const setup = resolveSetup(request);
  const speech = speechOf('violin', response);
  const held = { plan: one, setup, hand: resolveHand(setup, undefined), speech };
  one.frames.forEach((frame, at) => {
    const before = frameBefore(one.frames, at);
    const together = one.frames.filter(({ from }) => from === before?.from);
    if (before && before.from !== frame.from && together.some(({ string }) => string === frame.string))
      assert.equal(before.string, frame.string, 'told against its own string');
  });
  assert.match(frameWords(one.frames[1], one.frames[0], held), /^Sounding with it, on the /);
  for (const { from, to, string, fingers } of one.frames)
    for (const [finger, n] of laidFingers(fingers))
      assert.ok(
        one.steps.some(
          ({ at, stops }) =>
            at >= from &&
            at <= to &&
            stops.some((stop) => stop.string === string && stop.finger === finger && stop.semitones === n),
        ),
        `${string} ${finger} ${n}`,
      );
});
