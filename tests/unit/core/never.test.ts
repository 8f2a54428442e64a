import assert from 'node:assert/strict';
import { test } from 'node:test';
import { issueWords } from '../../../src/wording/issues';
import { worded } from '../../support/words';
import fc from 'fast-check';
import { plan, requestIssues, type Forbidding, type PlanRequest } from '../../../src/core';
import { someRequest } from '../requests';
import { planAlone } from '../best';
import { runs } from '../../support/runs';

const request: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'up' },
};

test('what is forbidden at a note is not there, and costs never fall by it', () => {
  let seen = 0;
  fc.assert(
    fc.property(someRequest, fc.nat(), fc.constantFrom('finger', 'string', 'position'), (asked, where, what) => {
      const [free] = plan({ ...asked, rules: {}, alternatives: 1 }).plans;
      if (!free) return;
      const step = free.steps[where % free.steps.length];
      const [stop] = step.stops;
      const part = { finger: stop.finger, string: stop.string, position: step.position };
      const never = [{ at: step.at, [what]: part[what as 'finger'] }] as Forbidding[];
      const { plans, problems } = plan({ ...asked, rules: { never }, alternatives: 1 });
      if (plans.length === 0) {
        assert.equal(problems[0].code, 'out-of-rules');
        assert.ok((problems[0].changes ?? []).some(({ kind }) => kind === 'allow-again') || !problems[0].relax);
        return;
      }
      const held = plans[0].steps.find(({ at }) => at === step.at);
      assert.ok(held);
      const agrees = {
        finger: held.stops.some(({ finger }) => finger === stop.finger),
        string: held.stops.some(({ string }) => string === stop.string),
        position: held.position === step.position,
      };
      assert.equal(agrees[what as 'finger'], false);
      assert.ok(plans[0].cost >= free.cost - 1e-9);
      seen++;
    }),
    runs(100, 8),
  );
  assert.ok(seen > 60, String(seen));
});

test('a forbidden shift is made elsewhere', () => {
  const [free] = planAlone(request).plans;
  const { to } = free.shifts[0];
  const [bound] = planAlone({ ...request, rules: { never: [{ at: to, shift: true }] } }).plans;
  assert.ok(bound.shifts.length > 0 && bound.shifts.every((shift) => shift.to !== to));
  assert.ok(bound.cost > free.cost);
});

test('where forbidding leaves nothing, allowing it again is offered', () => {
  const rules = {
    positions: { from: 1, to: 1 },
    openStrings: 'never' as const,
    never: [
      { at: 0, position: 1 },
      { at: 3, shift: true as const },
    ],
  };
  const scale = { ...request.material, octaves: 1 } as PlanRequest['material'];
  const { problems } = worded({ ...request, material: scale, rules });
  assert.equal(problems[0].at, 0);
  assert.match(problems[0].message, /allow half to 1st position|forbidden at bar 1, beat 1/);
});

test('forbidding at a note that is not there is no understandable request', () => {
  const [issue] = requestIssues({ ...request, rules: { never: [{ at: 99, shift: true }] } });
  assert.equal(issue.path, '/rules/never/0/at');
  assert.match(issueWords(issue), /events 0 to 21/);
});
