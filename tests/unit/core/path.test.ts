import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, type PathAsk, type PlanRequest } from '../../../src/core';
import {
  goalAsked,
  knownIn,
  pathFor as pathAlone,
  pathIssues,
  pathOver,
  plannedStep,
  skillsOf,
  stepsToPlan,
  type Path,
  type PlannedStep,
} from '../../../src/core/path';
import { pathAnswer } from '../../../src/wording/path';
import { NIGHTLY, seedOf } from '../../support/runs';

/*
 * What comes next, over real plans.
 */

const skillsIn = (request: PlanRequest): string[] => {
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const [best] = response.plans;
  assert.ok(best, JSON.stringify(request.material));
  assert.ok(
    best.reach.every(({ verdict }) => verdict !== 'beyond'),
    'never beyond the hand',
  );
  return skillsOf(request, response, best).map(({ id }) => id);
};

const planned = new Map<string, PlannedStep | null>();

/** As the product does it, but no step is planned twice in this file. */
function pathFor(ask: PathAsk): Path {
  const goal = goalAsked(ask);
  const pool = stepsToPlan(ask, goal).flatMap((request) => {
    const tag = JSON.stringify(request);
    const step = planned.get(tag) ?? (planned.has(tag) ? null : plannedStep(request));
    planned.set(tag, step);
    return step ?? [];
  });
  return pathOver(ask, goal, pool, knownIn(ask));
}

/** Everything that holds of any path: what it says of its steps is so, and it ends where it should. */
function holds(ask: PathAsk, path: Path) {
  const known = new Set([
    ...(ask.known ?? []),
    ...(ask.shaky ?? []),
    ...(ask.knownPlans ?? []).flatMap((request) => skillsIn(request)),
  ]);
  const had = new Set(known);
  for (const { request, new: fresh, review } of path.steps) {
    const skills = skillsIn(request);
    assert.deepEqual(
      [...fresh].sort(),
      skills.filter((skill) => !had.has(skill)).sort(),
      'new is what is neither known nor brought by an earlier step',
    );
    for (const skill of review) assert.ok([...(ask.shaky ?? []), ...(ask.atWork ?? [])].includes(skill));
    for (const skill of skills) had.add(skill);
  }
  assert.deepEqual(
    path.missing.filter((skill) => !had.has(skill)),
    path.rest,
    'the rest is what is still missing',
  );
  for (const { new: fresh } of path.steps) assert.ok(!fresh.some((skill) => known.has(skill)));
}

const violin = { instrument: 'violin', hand: 'medium', meaning: { level: 'first-year' } } as const;
const scale = (student: Omit<PlanRequest, 'material'>, tonic: string, octaves = 1): PlanRequest => ({
  ...student,
  material: { type: 'scale', tonic, scale: 'major', octaves, direction: 'updown' },
});

test('a path brings one thing a step, ends with its goal, and is the same twice', () => {
  const ask: PathAsk = { student: violin, knownPlans: [scale(violin, 'D4')], goal: scale(violin, 'G3', 2) };
  const path = pathFor(ask);
  holds(ask, path);
  assert.ok(path.provedBest && path.inOrder);
  assert.deepEqual(path.rest, []);
  assert.ok(path.steps.every(({ new: fresh }) => fresh.length === 1));
  assert.deepEqual(path.steps.at(-1)?.request.material, scale(violin, 'G3', 2).material);
  assert.deepEqual([...path.missing].sort(), ['pattern:1-2-2', 'replaced', 'signature:1', 'string:E5', 'string:G3']);
  assert.equal(path.steps.length, 5);
  assert.equal(path.next[0].request, path.steps[0].request);
  assert.ok(path.next.length === 5 && path.next.every(({ new: fresh }) => fresh.length === 1));
  assert.equal(JSON.stringify(pathAnswer(pathAlone(ask))), JSON.stringify(pathAnswer(path)));
});

test('what the student has is never new, and a path that is cut says what is left', () => {
  const ask: PathAsk = { student: violin, knownPlans: [scale(violin, 'D4')], goal: scale(violin, 'G3', 2) };
  const has: PathAsk = { ...ask, known: ['string:G3'], shaky: ['pattern:2-1-2'], most: 2 };
  const path = pathFor(has);
  holds(has, path);
  assert.ok(!path.missing.includes('string:G3'));
  assert.equal(path.steps.length, 2);
  assert.equal(path.rest.length, 2);
  assert.ok(
    path.steps.some(({ review }) => review.includes('pattern:2-1-2')),
    'what is shaky comes round again',
  );
  const reached = pathFor({ ...ask, knownPlans: [scale(violin, 'G3', 2)] });
  assert.deepEqual([reached.missing, reached.steps, reached.next], [[], [], []]);
});

test('a step that is skipped does not come; a plan that the goal asks for is not skipped', () => {
  const ask: PathAsk = { student: violin, knownPlans: [scale(violin, 'D4')], goal: scale(violin, 'G3', 2) };
  const goal = goalAsked(ask);
  const pool = stepsToPlan(ask, goal).flatMap((request) => plannedStep(request) ?? []);
  const known = knownIn(ask);
  const path = pathOver(ask, goal, pool, known);
  assert.deepEqual(
    path.steps.map(({ isGoal }) => isGoal),
    path.steps.map((_, at) => at === path.steps.length - 1),
  );
  const skipped = new Set(path.steps.map(({ request }) => JSON.stringify(request)));
  const other = pathOver(ask, goal, pool, known, skipped);
  holds(ask, other);
  for (const { request, isGoal } of other.steps) assert.ok(isGoal || !skipped.has(JSON.stringify(request)));
  assert.deepEqual(other.rest, []);
});

test('positions come in the order that is asked for', () => {
  const student = { instrument: 'violin', meaning: { level: 'first-year' } } as const;
  const known = ['D4', 'A4', 'G4', 'C4', 'F4', 'Bb3'].map((tonic) =>
    scale({ ...student, rules: { positions: { only: [1] } } }, tonic),
  );
  const goal: PathAsk['goal'] = { all: [{ position: 2 }, { position: 3 }] };
  const rows = (
    [
      [1, 2, 3],
      [1, 3, 2],
    ] as const
  ).map((order) => {
    const ask: PathAsk = { student, knownPlans: known, goal, order: [...order], most: 60 };
    const path = pathFor(ask);
    holds(ask, path);
    assert.ok(path.inOrder);
    return path.steps.flatMap((step) => step.new).filter((skill) => /^position:[23]$/.test(skill));
  });
  assert.deepEqual(rows, [
    ['position:2', 'position:3'],
    ['position:3', 'position:2'],
  ]);
});

test('what this hand cannot reach is said, with what comes nearest', () => {
  const small = { instrument: 'violin', hand: { relaxedMm: 40, fullMm: 50, fingertipMm: 10 } } as const;
  const tenths: PlanRequest = {
    ...small,
    material: { type: 'double-stops', interval: 'tenth', tonic: 'A3', scale: 'major', octaves: 1, direction: 'up' },
  };
  const far = pathAlone({ student: small, goal: tenths });
  assert.equal(far.steps.length, 0);
  assert.ok(far.unreachable.length > 0);
  for (const { message } of pathAnswer(far).unreachable) assert.match(message, /hand|neck|fingerboard/);
  const low: PlanRequest = {
    ...violin,
    material: { type: 'scale', tonic: 'C3', scale: 'major', octaves: 1, direction: 'up' },
  };
  const below = pathAnswer(pathAlone({ student: violin, goal: low }));
  assert.match(below.unreachable[0].message, /below the lowest string/);
});

test('a question that cannot be understood is answered with where and why', () => {
  const bad = (goal: PathAsk['goal']) => pathIssues({ student: violin, goal }).map(({ path }) => path);
  assert.deepEqual(bad(scale(violin, 'H4')), ['/goal/material/tonic']);
  assert.deepEqual(bad({ all: [{ position: 3 }, scale(violin, 'H4')] }), ['/goal/all/1/material/tonic']);
  const rules = { strings: ['X9'] };
  assert.deepEqual(
    pathIssues({ student: { ...violin, rules }, goal: { position: 1 } }).map(({ path }) => path),
    ['/student/rules/strings/0'],
  );
  const stringless: PathAsk = { student: { ...violin, tuning: ['G3', 'x', 'A4', 'E5'] }, goal: { position: 1 } };
  assert.deepEqual(
    pathIssues(stringless).map(({ path }) => path),
    ['/student/tuning/1'],
  );
});

const STUDENTS = [
  { instrument: 'violin', tonics: ['G3', 'A3', 'Bb3', 'C4', 'D4'] },
  { instrument: 'viola', tonics: ['C3', 'D3', 'Eb3', 'F3', 'G3'] },
  { instrument: 'cello', tonics: ['C2', 'D2', 'F2', 'G2', 'A2'] },
  { instrument: 'bass', tonics: ['E1', 'F1', 'G1', 'Bb1', 'C2'] },
] as const;

test('whoever the student and whatever the goal, what is said of each step is so', () => {
  const someAsk = fc
    .record({
      who: fc.constantFrom(...STUDENTS),
      hand: fc.constantFrom('small', 'medium', 'large'),
      known: fc.array(fc.nat(4), { maxLength: 3 }),
      goal: fc.nat(4),
      octaves: fc.constantFrom(1, 2),
      order: fc.boolean(),
    })
    .map(({ who, hand, known, goal, octaves, order }): PathAsk => {
      const student = { instrument: who.instrument, hand, meaning: { level: 'first-year' } } as const;
      return {
        student,
        knownPlans: known.map((at) => scale(student, who.tonics[at])),
        goal: scale(student, who.tonics[goal], octaves),
        ...(order ? { order: [0.5, 1, 'opened', 2, 3] } : {}),
      };
    });
  fc.assert(
    fc.property(someAsk, (ask) => {
      const path = pathFor(ask);
      holds(ask, path);
      if (path.unreachable.length === 0 && path.missing.length > 0) assert.ok(path.steps.length > 0);
    }),
    { numRuns: NIGHTLY ? 60 : 2, seed: seedOf(13) },
  );
});
