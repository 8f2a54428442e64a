import assert from 'node:assert/strict';
import { test } from 'node:test';
import { aimFor, findingsOf, plan, resolveSetup, type Plan, type PlanRequest, type Rules } from '../../../src/core';
import { handMoves, movesInPlace } from '../../../src/core/hand/moves';
import { makeHold, makeStop, NO_FRAME } from '../../../src/core/hand/hold';
import { wayWords } from '../../../src/wording/shifts';
import { speechOf } from '../../../src/wording/plans';

const notes = (names: readonly string[]) =>
  ({ type: 'notes', key: 'C major', notes: names.map((name) => ({ pitches: name.split('+'), beats: 1 })) }) as const;
const best = (request: PlanRequest): Plan => {
  const [first] = plan({ ...request, alternatives: 1 }).plans;
  assert.ok(first, JSON.stringify(request));
  return first;
};

const hold = (side: number, ...stops: readonly (readonly [string: number, finger: number, semitones: number])[]) =>
  makeHold(
    2,
    stops.map(([string, finger, semitones]) => makeStop(string, finger, semitones)),
    NO_FRAME,
    { side },
  );

test('the hand moves from one side to the other, and where both fingers of a double stop slide', () => {
  assert.equal(movesInPlace(hold(-1, [3, 1, 1]), hold(1, [3, 4, 6])), true);
  assert.equal(movesInPlace(hold(0, [3, 1, 2]), hold(1, [3, 4, 6])), false);
  assert.equal(movesInPlace(hold(-1, [3, 1, 1]), hold(0, [3, 4, 5])), false);
  assert.equal(movesInPlace(hold(0, [0, 1, 2], [1, 3, 4]), hold(0, [0, 1, 3], [1, 3, 5])), true);
  assert.equal(movesInPlace(hold(0, [0, 1, 2], [1, 3, 4]), hold(0, [0, 1, 3], [1, 3, 3])), false);
  assert.equal(movesInPlace(hold(0, [0, 1, 2], [1, 3, 4]), hold(0, [1, 1, 3], [2, 3, 5])), false);
  assert.equal(handMoves(hold(0, [3, 1, 2]), { ...hold(0, [3, 1, 2]), position: 3 }), true);
});

/** B flat with 1 drawn back, then E flat with 4: the cello's hand has gone up a semitone, whatever the position is called. */
const BACK_TO_FORWARD: PlanRequest = {
  instrument: 'cello',
  material: notes(['Bb3', 'Eb4']),
  rules: {
    locks: [
      { at: 0, finger: 1, string: 'A3', position: 1 },
      { at: 1, finger: 4, string: 'A3', position: 1 },
    ],
  },
};

test('from opened back straight to opened forward is a shift within the position, with its frames, guide and mm', () => {
  const one = best(BACK_TO_FORWARD);
  assert.deepEqual(
    one.steps.map(({ frame }) => frame),
    ['back', 'forward'],
  );
  const [shift] = one.shifts;
  assert.equal(one.shifts.length, 1);
  assert.deepEqual([shift.fromPosition, shift.toPosition], [1, 1]);
  assert.deepEqual([shift.fromFrame, shift.toFrame, shift.semitones], ['back', 'forward', 1]);
  assert.equal(shift.guide?.finger, 1);
  assert.ok(shift.travelMm > 30);
  assert.match(String(plan(BACK_TO_FORWARD).plans[0].shifts[0].reasons[0].data.kind), /asked|goes-on/);
  const response = plan(BACK_TO_FORWARD);
  const setup = resolveSetup(BACK_TO_FORWARD);
  const [detail] = findingsOf(BACK_TO_FORWARD, response, response.plans[0], aimFor('middle')).shifts;
  assert.equal(
    wayWords(detail, setup, speechOf('cello', response)),
    'in 1st position, from opened back to opened forward',
  );
});

test('such a shift is counted, forbidden and kept from the little finger like any other; over an open string too', () => {
  const under = (rules: Rules) =>
    plan({ ...BACK_TO_FORWARD, rules: { ...BACK_TO_FORWARD.rules, ...rules }, alternatives: 1 }).plans.length;
  assert.equal(under({ mostShifts: 1 }), 1);
  assert.equal(under({ mostShifts: 0 }), 0);
  assert.equal(under({ never: [{ at: 1, shift: true }] }), 0);
  assert.equal(under({ fourthFinger: 'no-shift' }), 0);
  const locks = [
    { at: 0, finger: 1, string: 'A3', position: 1 },
    { at: 2, finger: 4, string: 'A3', position: 1 },
  ] as const;
  const overOpen = best({ instrument: 'cello', material: notes(['Bb3', 'A3', 'Eb4']), rules: { locks } });
  assert.deepEqual(
    overOpen.shifts.map(({ kind, to }) => [kind, to]),
    [['open-string', 2]],
  );
});

test('a closed hand that opens and closes again does not shift, and opened both ways through closed neither', () => {
  const locks = ['1', '2', '4'].map((finger, at) => ({ at, finger: Number(finger) as 1, string: 'A3', position: 1 }));
  const one = best({ instrument: 'cello', material: notes(['Bb3', 'C4', 'Eb4']), rules: { locks } });
  assert.deepEqual(
    one.steps.map(({ frame }) => frame),
    ['back', 'closed', 'forward'],
  );
  assert.equal(one.shifts.length, 0);
});

test('two fingers that slide together are a shift on the violin too', () => {
  const thirds = notes(['B3+D#4', 'C4+E4']);
  const pair = [0, 1].flatMap((at) => [
    { at, finger: 2 as const, string: 'G3' },
    { at, finger: 1 as const, string: 'D4' },
  ]);
  const one = best({ instrument: 'violin', material: thirds, rules: { locks: pair } });
  assert.equal(one.shifts.length, 1);
});
