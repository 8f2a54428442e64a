import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, requestIssues, type PlanRequest, type Rules } from '../../../src/core';
import { fightingEvents } from '../../../src/core/planner/search/conflict';
import { movesOutOf } from '../moves';
import { worded } from '../../support/words';
import { someRequest } from '../requests';
import { planAlone } from '../best';
import { runs } from '../../support/runs';

const threeOctaves: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'up' },
};
const withRules = (rules: Rules): PlanRequest => ({ ...threeOctaves, rules });

test('a note outside the rules is named with the smallest change that helps', () => {
  const { plans, problems } = worded(withRules({ positions: { from: 1, to: 1 } }));
  assert.equal(plans.length, 0);
  assert.deepEqual([problems[0].code, problems[0].at], ['out-of-rules', 16]);
  const { relax, message } = problems[0];
  assert.ok(relax?.positions && 'from' in relax.positions && relax.positions.from === 1);
  assert.match(message, /C♯6 \(bar 5, beat 1\).*allow .* position from bar \d, beat \d/);
});

test('the smallest change is the smallest: an open string before wider positions', () => {
  const oneOctave = { ...threeOctaves, material: { ...threeOctaves.material, octaves: 1 } } as PlanRequest;
  const rules: Rules = { openStrings: 'never', fourthFinger: 'never', positions: { only: [1] } };
  assert.deepEqual(plan({ ...oneOctave, rules }).problems[0].relax, { openStrings: 'avoid' });
});

test('two changes are offered where one is not enough', () => {
  const { problems } = plan(withRules({ strings: ['G3'], positions: { from: 1, to: 3 } }));
  assert.deepEqual(Object.keys(problems[0].relax ?? {}).sort(), ['positions', 'strings']);
});

test('an impossible lock is offered to be taken off', () => {
  const { problems } = plan(
    withRules({
      locks: [
        { at: 0, string: 'E5' },
        { at: 1, finger: 2 },
      ],
    }),
  );
  assert.deepEqual(problems[0].relax, { locks: [{ at: 1, finger: 2 }] });
});

test('two locks that no way joins are named as the notes that fight, and either can be let go', () => {
  const shut = [4, 5, 6, 7, 8].map((at) => ({ at, shift: true as const }));
  const locks = [
    { at: 1, finger: 2 as const },
    { at: 3, position: 1 },
    { at: 8, position: 3 },
  ];
  const [problem] = worded(withRules({ locks, never: shut })).problems;
  assert.deepEqual([problem.at, problem.fight], [8, [3, 8]]);
  assert.match(problem.message, /D4 \(bar 1, beat 4\) and B4 \(bar 3, beat 1\) don’t go together/);
  assert.deepEqual(
    problem.ways?.map(({ words }) => words),
    ['unlock bar 1, beat 4', 'unlock bar 3, beat 1', 'allow again what was forbidden at bar 3, beat 1'],
  );
  for (const { relax } of problem.ways ?? [])
    assert.ok(planAlone(withRules({ locks, never: shut, ...relax })).plans.length > 0);
});

test('the fighting events are the nearest two that no path joins, as trying every path finds', () => {
  const gaps = fc.array(fc.uniqueArray(fc.integer({ min: 0, max: 8 }), { maxLength: 9 }), {
    minLength: 1,
    maxLength: 5,
  });
  fc.assert(
    fc.property(gaps, (steps) => {
      // Layers of three nodes; each number is a stay from one node to another.
      const counting = (n: number) => new Int32Array(n).map((_, at) => at);
      const layer = {
        nodes: 3,
        touches: 3,
        touchStart: counting(4),
        touchOf: counting(3),
        cost: new Float64Array(3),
        entry: new Float64Array(3),
        place: counting(3),
      };
      const blocks = steps.map((list) => {
        const sorted = [...list].sort((a, b) => a - b);
        return {
          ...movesOutOf(new Float64Array(9).fill(Infinity), 3),
          stayStart: new Int32Array([0, 3, 6, 9].map((end) => sorted.filter((one) => one < end).length)),
          stayTo: new Int32Array(sorted.map((one) => one % 3)),
          stayCost: new Float64Array(sorted.length),
          inPlace: null,
          stone: 0,
        };
      });
      const joined = (from: number, to: number): boolean => {
        const walk = (t: number, node: number): boolean =>
          t === to || steps[t].some((one) => Math.floor(one / 3) === node && walk(t + 1, one % 3));
        return [0, 1, 2].some((node) => walk(from, node));
      };
      const layers = [layer, ...steps.map(() => layer)];
      const late = layers.findIndex((_, t) => t > 0 && !joined(0, t));
      const early = late < 0 ? -1 : counting(late).findLastIndex((s) => !joined(s, late));
      assert.deepEqual(fightingEvents({ layers, blocks }), late < 0 ? null : [early, late]);
    }),
    runs(300, 11),
  );
});

test('every remedy offered leaves a plan, and where there is a plan without rules there is a remedy', () => {
  const tight = fc.constantFrom<Rules>(
    { positions: { only: [3] }, openStrings: 'never' },
    { strings: ['D4'], positions: { from: 1, to: 3 }, fourthFinger: 'never' },
    { fourthFinger: 'no-shift', positions: { only: [1, 5] }, openStrings: 'never', extensions: 'never' },
    { positions: { from: 1, to: 3 }, mostShifts: 0, visit: [3] },
    { sameBack: true, visit: [5], positions: { only: [1, 3] } },
  );
  let unmet = 0;
  fc.assert(
    fc.property(someRequest, tight, (request, rules) => {
      const bound = { ...request, instrument: 'violin' as const, rules, alternatives: 1 };
      const { plans, problems } = planAlone(bound);
      if (plans.length > 0 || planAlone({ ...bound, rules: {} }).plans.length === 0) return;
      unmet++;
      const ways = problems.flatMap(({ ways }) => ways ?? []);
      assert.ok(ways.length > 0 && ways.length <= 3, JSON.stringify(bound));
      for (const { relax } of ways)
        assert.ok(planAlone({ ...bound, rules: { ...rules, ...relax } }).plans.length > 0, JSON.stringify(relax));
    }),
    runs(90, 5),
  );
  assert.ok(unmet > 30, String(unmet));
});

test('a remedy helps where an open string rings at the opening and again later', () => {
  const names = ['D2', 'F#1', 'B1', 'D2', 'E2', 'D2', 'Ab1', 'Ab1', 'C2'];
  const rules: Rules = {
    positions: { only: [1, 3] },
    fourthFinger: 'never',
    strings: ['E1', 'D2'],
    locks: [{ at: 1, finger: 0, string: 'E1', position: 5 }],
  };
  const request: PlanRequest = {
    instrument: 'bass',
    style: 'early',
    extensionTo: 'C1',
    material: { type: 'notes', notes: names.map((name) => ({ pitches: [name] })) },
    rules,
  };
  const [{ ways = [] }] = plan(request).problems;
  assert.ok(ways.length > 0);
  for (const { relax } of ways)
    assert.ok(planAlone({ ...request, rules: { ...rules, ...relax } }).plans.length > 0, JSON.stringify(relax));
});

test('where the hand is what stands in the way, that is said, and no other hand is asked for', () => {
  const hand = { relaxedMm: 40, fullMm: 50, fingertipMm: 10 };
  const request: PlanRequest = {
    instrument: 'violin',
    hand,
    material: { type: 'notes', notes: [{ pitches: ['A3', 'A4'] }] },
    rules: { positions: { from: 1, to: 1 } },
  };
  const [problem] = worded(request).problems;
  assert.equal(problem.code, 'beyond-reach');
  assert.match(problem.message, /^A3 and A4 \(bar 1, beat 1\) is beyond this hand here\. Lock a fingering/);
});

test('notes off the instrument are said to be too low or too high', () => {
  const codes = (names: string[][]) =>
    plan({
      instrument: 'violin',
      material: { type: 'notes', notes: names.map((pitches) => ({ pitches })) },
    }).problems.map(({ code, at }) => `${code} ${at}`);
  assert.deepEqual(codes([['A3'], ['F3']]), ['too-low 1']);
  assert.deepEqual(codes([['A8'], ['A3']]), ['too-high 0']);
  assert.deepEqual(codes([['G3', 'A3', 'B3']]), ['not-together 0']);
});

test('a spread beyond the hand is kept out, but shown where it is locked', () => {
  const hand = { relaxedMm: 40, fullMm: 50, fingertipMm: 10 };
  const notes = { type: 'notes' as const, notes: [{ pitches: ['A3', 'A4'] }] };
  const request: PlanRequest = { instrument: 'violin', hand, material: notes };
  assert.deepEqual(plan({ ...request, rules: { positions: { from: 1, to: 1 } } }).plans, []);
  const [shown] = plan({ ...request, rules: { locks: [{ at: 0, position: 1 }] } }).plans;
  assert.equal(shown.reach[0].verdict, 'beyond');
});

test('what cannot be understood is an issue with its path', () => {
  const paths = (change: object) =>
    requestIssues({ ...threeOctaves, ...change } as PlanRequest).map(({ path }) => path);
  assert.deepEqual(paths({ material: { ...threeOctaves.material, tonic: 'H3' } }), ['/material/tonic']);
  assert.deepEqual(paths({ rules: { strings: ['A3'] } }), ['/rules/strings/0']);
  assert.deepEqual(paths({ rules: { strings: ['g3'] } }), ['/rules/strings/0'], 'strings go by the names they have');
  assert.deepEqual(paths({ rules: { locks: [{ at: 99 }] } }), ['/rules/locks/0/at']);
  assert.deepEqual(paths({ rules: { positions: { from: 3, to: 1 } } }), ['/rules/positions']);
  assert.deepEqual(paths({ hand: { relaxedMm: 90, fullMm: 80, fingertipMm: 9 } }), ['/hand/relaxedMm']);
  const notes = Array.from({ length: 30_000 }, () => ({ pitches: ['A4'] }));
  assert.deepEqual(paths({ material: { type: 'notes', notes } }), ['/material/notes']);
  assert.deepEqual(paths({ material: { type: 'notes', notes: [{ rest: true }] } }), ['/material/notes']);
});
