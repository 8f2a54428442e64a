import assert from 'node:assert/strict';
import { test } from 'node:test';
import { asWritten, plan, withLocksOver, writtenPlan, type Lock, type PlanRequest } from '../../../src/core';
import { speechOf } from '../../../src/wording/plans';
import { beyondWords, differenceWords, unplayableWords } from '../../../src/wording/written';

const scale = (hand: PlanRequest['hand'] = 'medium'): PlanRequest => ({
  instrument: 'violin',
  hand,
  material: {
    type: 'notes',
    key: 'D major',
    notes: ['D4', 'E4', 'F#4', 'G4', 'A4', 'B4'].map((name) => ({ pitches: [name] })),
  },
});

test('a half-written fingering is completed, and every written finger is kept', () => {
  const written: Lock[] = [
    { at: 0, finger: 4 },
    { at: 4, string: 'D4' },
  ];
  const { plan: own, unplayable } = writtenPlan(scale(), written);
  assert.ok(own);
  assert.deepEqual(unplayable, []);
  assert.equal(own.steps[0].stops[0].finger, 4);
  assert.equal(own.steps[4].stops[0].string, 'D4');
  assert.equal(own.steps.length, 6);
});

test('what nobody can play is told, and the rest still judged', () => {
  const written: Lock[] = [
    { at: 1, finger: 2, string: 'E5' },
    { at: 2, finger: 2 },
  ];
  const found = asWritten(scale(), written);
  assert.deepEqual(
    found.unplayable.map(({ lock, why }) => [lock.at, why]),
    [[1, 'alone']],
  );
  assert.equal(found.plan?.steps[2].stops[0].finger, 2);
  const speech = speechOf('violin', found.response);
  assert.equal(
    unplayableWords(found.unplayable[0], speech),
    'Bar 1, beat 2: finger 2 on the E string cannot have this note.',
  );
});

test('the differences say what each pays, and add up to what the plans cost apart', () => {
  const found = asWritten(scale(), [{ at: 0, finger: 4 }]);
  const [best] = found.response.plans;
  assert.ok(found.plan && best);
  const apart = found.differences.reduce((sum, { firstCost, secondCost }) => sum + firstCost - secondCost, 0);
  assert.ok(Math.abs(apart - (found.plan.cost - best.cost)) < 1e-6);
  const words = differenceWords(found.differences[0], found.plan, best, speechOf('violin', found.response));
  assert.match(words, /^Bar 1.*: written 4.*, ours 0.*Ours: .*no little finger/);
});

test('what is beyond a small hand is told with what it would take', () => {
  const wide: PlanRequest = {
    instrument: 'cello',
    hand: 'small',
    material: { type: 'notes', key: 'C major', notes: [{ pitches: ['D3', 'A3'] }, { pitches: ['E2', 'G#2'] }] },
  };
  const best = plan({ ...wide, alternatives: 1 });
  const found = asWritten(wide, [
    { at: 1, finger: 1, string: 'C2' },
    { at: 0, finger: 0 },
  ]);
  assert.ok(best.events.length === 2);
  for (const reach of found.beyond)
    assert.match(beyondWords(reach, speechOf('cello', found.response)), /beyond this hand \(full spread \d+ mm\)\.$/);
});

test('whatever is written, a plan of the same notes comes out of it', () => {
  const fingers = [0, 1, 2, 3, 4] as const;
  for (const a of fingers)
    for (const b of fingers) {
      const { plan: own, unplayable } = writtenPlan(scale(), [
        { at: 2, finger: a },
        { at: 3, finger: b },
      ]);
      assert.ok(own, `${a} ${b}`);
      const kept = [a, b].filter((finger, n) => own.steps[2 + n].stops[0].finger === finger).length;
      assert.ok(kept + unplayable.length >= 2, `${a} ${b}`);
    }
});

test('a finger put by hand is taken in what was found written, and the rest of that stays', () => {
  const written: Lock[] = [
    { at: 0, finger: 4 },
    { at: 4, finger: 4 },
  ];
  const locks: Lock[] = [{ at: 4, finger: 0 }];
  assert.deepEqual(withLocksOver(written, locks), [written[0], locks[0]]);
  const { plan: own } = writtenPlan(scale(), withLocksOver(written, locks));
  const fingers = own?.steps.map(({ stops }) => stops[0].finger);
  assert.deepEqual([fingers?.[0], fingers?.[4]], [4, 0]);
});
