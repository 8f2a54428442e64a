import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { PlanRequest, Rules } from '../../../src/core';
import { buildMusic } from '../../../src/core/material/build';
import { transitionsOf } from '../../../src/core/planner/graph/transitions';
import { contextFor } from '../../../src/core/planner/cost/context';
import { shiftShare } from '../../../src/core/planner/cost/terms';
import { hasteFor } from '../../../src/core/planner/cost/weights';

/** Notes as "A4" or "A4:0.5", rests as "-". */
function momentsBetween(typed: string, rules?: Rules) {
  const request: PlanRequest = {
    instrument: 'violin',
    tempo: { bpm: 60 },
    rules,
    material: {
      type: 'notes',
      notes: typed.split(' ').map((word) => {
        const [name, beats = '1'] = word.split(':');
        return name === '-'
          ? { rest: true as const, beats: Number(beats) }
          : { pitches: name.split('+'), beats: Number(beats) };
      }),
    },
  };
  const context = contextFor(request, buildMusic(request.material));
  return { context, transitions: transitionsOf(context) };
}

test('a moment knows a semitone, a turn of the line, the beat and a rest', () => {
  const { transitions } = momentsBetween('A4 Bb4:0.5 A4:0.5 - E5:1.5 F#5');
  assert.deepEqual(
    transitions.map(({ semitone }) => semitone),
    [true, true, false, false],
  );
  assert.deepEqual(
    transitions.map(({ turn }) => turn),
    [false, true, true, false],
  );
  assert.deepEqual(
    transitions.map(({ onBeat }) => onBeat),
    [true, false, true, false],
  );
  assert.deepEqual(
    transitions.map(({ rest }) => rest),
    [false, false, true, false],
  );
});

test('haste is by the time from one start to the next, rests included', () => {
  const { transitions } = momentsBetween('A4:0.25 B4:2 - C5');
  assert.deepEqual(
    transitions.map(({ haste }) => haste),
    [hasteFor(0.25), hasteFor(3)],
  );
});

test('the line of a double stop is that of its higher note', () => {
  const { transitions } = momentsBetween('D4+B4 E4+C5 E4+B4');
  assert.deepEqual(
    transitions.map(({ semitone, turn }) => [semitone, turn]),
    [
      [true, false],
      [true, true],
    ],
  );
});

test('equal moments are one, and a shift forbidden at one note is forbidden there alone', () => {
  const plain = momentsBetween('A4 B4 C#5 D5 E5').transitions;
  assert.equal(plain[0], plain[1]);
  assert.notEqual(plain[1], plain[2]);
  assert.equal(plain[0], plain[3]);
  const { transitions } = momentsBetween('A4 B4 C#5 D5 E5', { never: [{ at: 2, shift: true }] });
  assert.deepEqual(
    transitions.map(({ noShift }) => noShift),
    [false, true, false, false],
  );
});

test('what is worked out beforehand is what the terms say', () => {
  const { context, transitions } = momentsBetween('A4 Bb4:0.5 A4:0.5 - E5:1.5 F#5');
  const { weights } = context.pricing;
  for (const transition of transitions) {
    transition.shares.forEach((share, ease) => assert.equal(share, shiftShare(weights, ease, transition)));
    const none = transition.across.length >> 1;
    assert.equal(transition.across[none], 0);
    for (const way of [1, -1])
      assert.ok(transition.across[none + way] > 0 && transition.across[none + 2 * way] > transition.across[none + way]);
    const against = (way: number) => transition.line * way < 0;
    for (const way of [1, -1])
      assert.equal(transition.across[none + way] > transition.across[none - way], against(way) && !against(-way));
    assert.equal(transition.stone === 0, transition.rest);
  }
});
