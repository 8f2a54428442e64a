import assert from 'node:assert/strict';
import { test } from 'node:test';
import { carryOn } from '../../../src/app/brief/pattern';
import { plan, type PlanRequest } from '../../../src/core';
import { extensionMarks, restezMarks } from '../../../src/drawing/marks';

const scale = (request: Partial<PlanRequest> & Pick<PlanRequest, 'instrument' | 'material'>) => {
  const response = plan(request);
  return { request, response, first: response.plans[0] };
};

test('an extension is marked where the hand opens, not again while it stays open', () => {
  const { first } = scale({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 1, direction: 'up' },
    rules: { positions: { from: 1, to: 1 } },
  });
  const marks = extensionMarks(first.steps);
  assert.ok(marks.size > 0);
  first.steps.forEach((step, t) => {
    const opens = step.extended && !(t > 0 && first.steps[t - 1].extended);
    assert.equal(marks.has(step.at), opens, `note ${step.at}`);
  });
});

test('restez stands where the hand stays in third position over a change of string', () => {
  const { first } = scale({
    instrument: 'violin',
    material: { type: 'scale', tonic: 'C4', scale: 'major', octaves: 2, direction: 'up' },
    rules: { positions: { only: [3] } },
  });
  const [mark] = restezMarks(first.steps);
  const crossing = first.steps.findIndex(
    (step, t) => t > 0 && step.stops[0].string !== first.steps[t - 1].stops[0].string,
  );
  assert.deepEqual(mark, { from: crossing, to: first.steps.length - 1 });
});

test('in first position nothing says restez', () => {
  const { first } = scale({
    instrument: 'violin',
    material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
    rules: { positions: { from: 1, to: 1 } },
  });
  assert.deepEqual(restezMarks(first.steps), []);
});

const thirds = scale({
  instrument: 'violin',
  material: { type: 'broken-thirds', tonic: 'D4', scale: 'major', octaves: 1, direction: 'up' },
});

test('a pattern is carried on as far as the sequence goes, fingers only', () => {
  const { request, response, first } = thirds;
  const carried = carryOn(request, first, response.events, 0, 1);
  assert.equal(carried.kind, 'carried');
  if (carried.kind !== 'carried') return;
  const locks = carried.request.rules?.locks ?? [];
  assert.equal(locks.length, 2 * (carried.groups + 1));
  const pair = [0, 1].map((at) => first.steps[at].stops[0].finger);
  for (const { at, finger, string, position } of locks) {
    assert.equal(finger, pair[at % 2]);
    assert.deepEqual([string, position], [undefined, undefined]);
  }
  assert.deepEqual(request.rules, undefined);
});

test('one note, a rest, or notes that go another way are no pattern', () => {
  const { request, response, first } = thirds;
  const says = (from: number, to: number) => {
    const carried = carryOn(request, first, response.events, from, to);
    return carried.kind === 'trouble' ? carried.message : '';
  };
  assert.match(says(0, 0), /Mark two or more/);
  assert.match(says(0, response.events.length - 1), /do not go the same way/);
});
