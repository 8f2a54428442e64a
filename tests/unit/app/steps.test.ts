import assert from 'node:assert/strict';
import { test } from 'node:test';
import { planOf } from '../../../src/app/session/state';
import { fingeringOf, type PlanRequest } from '../../../src/core';
import { SCALE, settle, world } from '../../support/world';

/** Numbers from a seed, the same at every run. */
function drawn(seed: number) {
  let last = seed;
  return (below: number) => (last = (last * 16807) % 2147483647) % below;
}

test('five steps undone and redone end where they began, however late the answers come', async () => {
  for (let seed = 1; seed <= 60; seed++) {
    const draw = drawn(seed);
    const { session, questions, state, opened } = world();
    await opened();
    let answered = questions.length;
    const answerSome = async (all: boolean) => {
      while (answered < questions.length && (all || draw(2) > 0)) {
        questions[answered++].answer();
        await settle();
      }
    };
    const rules = [
      { at: 2, finger: 4 as const },
      { at: 4, finger: 2 as const },
    ];
    const steps: PlanRequest[] = [
      { ...SCALE, material: { ...SCALE.material, tonic: 'Eb4' } as PlanRequest['material'] },
    ];
    steps.push({ ...steps[0], material: { ...steps[0].material, octaves: 2 } as PlanRequest['material'] });
    steps.push({ ...steps[1], rules: { locks: [rules[0]] } });
    steps.push({ ...steps[2], rules: { locks: [rules[0]], never: [{ at: 9, shift: true }] } });
    steps.push({ ...steps[3], rules: { ...steps[3].rules, openStrings: 'never' } });
    for (const request of steps) {
      session.changeRequest(request);
      await settle();
      await answerSome(draw(3) > 0);
    }
    await answerSome(true);
    const before = planOf(state());
    for (let step = 0; step < steps.length; step++) {
      session.undo();
      await settle();
      await answerSome(false);
    }
    for (let step = 0; step < steps.length; step++) {
      session.redo();
      await settle();
      await answerSome(false);
    }
    await answerSome(true);
    const after = planOf(state());
    assert.ok(before && after, `seed ${seed}`);
    assert.deepEqual(fingeringOf(after), fingeringOf(before), `seed ${seed}`);
  }
});
