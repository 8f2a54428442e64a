import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Plan } from '../../../src/core';
import { printed } from '../../../src/wording/notes';
import { worded } from '../../support/words';
import { someRequest } from '../requests';

const stopsOf = (one: Plan) => one.steps.flatMap(({ stops }) => stops);
const strings = (one: Plan) => new Set(stopsOf(one).map(({ string }) => string));
const playing = (one: Plan, finger: number) =>
  one.steps.filter(({ stops }) => stops.some((stop) => stop.finger === finger)).length;
const travel = (one: Plan) => one.shifts.reduce((sum, { travelMm }) => sum + travelMm, 0);
const crossings = (one: Plan) =>
  one.steps.slice(1).filter(({ stops }, at) => stops[0].string !== one.steps[at].stops[0].string).length;

/** What a name says, tried on its plan. */
const ABSOLUTE: Readonly<Record<string, (one: Plan) => boolean>> = {
  'no little finger': (one) => playing(one, 4) === 0,
  'no open string': (one) => playing(one, 0) === 0,
  'no extension': (one) => one.steps.every(({ extended }) => !extended),
  'every shift lands on 1': (one) => one.shifts.every(({ toFinger }) => toFinger === 1),
  'comes back a different way': (one) => one.terms.return !== undefined,
};
/** What it says its plan has least of. */
const LEAST: Readonly<Record<string, (one: Plan) => number>> = {
  'fewest shifts': ({ shifts }) => shifts.length,
  'stays lowest on the neck': ({ steps }) => Math.max(...steps.map(({ handMm }) => handMm[0])),
  'fewest string crossings': crossings,
  'least travel': travel,
  'fewest extensions': ({ steps }) => steps.filter(({ extended }) => extended).length,
  'little finger used least': (one) => playing(one, 4),
  'fewest open strings': (one) => playing(one, 0),
};

test('a name tells one plan from all others, and what it says is true', () => {
  const told = new Map<string, number>();
  fc.assert(
    fc.property(someRequest, (request) => {
      const { plans } = worded({ ...request, alternatives: 4 });
      const names = plans.map(({ character }) => character ?? '');
      assert.equal(new Set(names).size, names.length, names.join(' | '));
      names.forEach((name, at) => {
        const one = plans[at];
        for (const words of name.split(', ')) {
          if (words in ABSOLUTE || words in LEAST) told.set(words, (told.get(words) ?? 0) + 1);
          if (words in ABSOLUTE) assert.ok(ABSOLUTE[words](one), `${words}: ${name}`);
          const stays = /^stays (?:in|with the) (.*?)(?: position)?$/.exec(words);
          if (stays && !(words in LEAST)) assert.equal(one.shifts.length, 0);
          const only = /^all on the (\S+) string$/.exec(words);
          if (only)
            assert.deepEqual(
              [...strings(one)].map((name) => printed(name)),
              [only[1]],
            );
          const least = LEAST[words];
          if (!least) continue;
          for (const other of plans) if (other !== one) assert.ok(least(one) < least(other), words);
        }
      });
    }),
    { numRuns: 250, seed: 31 },
  );
  for (const words of ['fewest shifts', 'least travel', 'no little finger', 'every shift lands on 1'])
    assert.ok((told.get(words) ?? 0) > 0, words);
});

test('each plan is named for what sets it apart', () => {
  const scale = { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'updown' } as const;
  const low = worded({
    instrument: 'violin',
    alternatives: 4,
    material: { ...scale, octaves: 1, direction: 'up' },
  });
  assert.match(low.plans[0].character ?? '', /stays in 1st position/);
});

test('one plan alone has a name too', () => {
  const { plans } = worded({
    instrument: 'cello',
    alternatives: 1,
    material: { type: 'scale', tonic: 'C2', scale: 'major', octaves: 1, direction: 'up' },
  });
  assert.equal(plans.length, 1);
  assert.ok((plans[0].character ?? '').length > 0);
});
