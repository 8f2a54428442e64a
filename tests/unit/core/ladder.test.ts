import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  climbed,
  climbOf,
  AT_START,
  eventsOfStep,
  handTime,
  pauseFor,
  plan,
  stepsOf,
  taskIssues,
  temposOf,
  type Ladder,
  type PlanRequest,
  type PracticeTask,
  type HeardAs,
} from '../../../src/core';

const verdict = fc.constantFrom<HeardAs>('low', 'in', 'high', 'missed');
const rule = fc.record({ steps: fc.integer({ min: 1, max: 12 }), times: fc.integer({ min: 1, max: 5 }) });
const NOTES = 12;
const PASSAGE = { events: Array.from({ length: NOTES }, (_, at) => ({ at })), barStarts: [0, 4, 8] };
const task = (ladder: Ladder): PracticeTask => ({
  ...{ from: 0, to: NOTES - 1, ladder, bpm: 60, times: 3, beatsEach: 2, clicks: 1 },
  ...{ hearFirst: false, reminders: [] },
});

test('a ladder rises only after enough clean ones, falls back one after two that were not, and ends at its goal', () => {
  fc.assert(
    fc.property(fc.array(verdict, { maxLength: 80 }), rule, (verdicts, { steps, times }) => {
      let climb = AT_START;
      verdicts.forEach((heard, at) => {
        const next = climbed(climb, heard, { steps, times, plain: false });
        if (climb.done) assert.deepEqual(next, climb);
        if (next.step > climb.step) {
          assert.equal(next.step, climb.step + 1);
          assert.ok(verdicts.slice(at - times + 1, at + 1).every((one) => one === 'in'));
        }
        if (next.step < climb.step) {
          assert.equal(next.step, climb.step - 1);
          assert.ok(verdicts[at] !== 'in' && verdicts[at - 1] !== 'in');
        }
        if (next.done && !climb.done) {
          assert.equal(next.step, steps - 1);
          assert.ok(verdicts.slice(at - times + 1, at + 1).every((one) => one === 'in'));
        }
        climb = next;
      });
      assert.ok(climb.step >= 0 && climb.step < steps);
    }),
  );
});

test('a clean player reaches the end of every ladder in just steps times repetitions', () => {
  fc.assert(
    fc.property(rule, ({ steps, times }) => {
      const clean = Array.from({ length: steps * times }, () => 'in' as const);
      assert.ok(climbOf(clean, { steps, times, plain: false }).done);
      assert.ok(!climbOf(clean.slice(1), { steps, times, plain: false }).done);
    }),
  );
});

test('left at any moment, a session goes on from where it stood', () => {
  fc.assert(
    fc.property(fc.array(verdict, { maxLength: 40 }), rule, fc.nat(40), (verdicts, { steps, times }, cut) => {
      const how = { steps, times, plain: false };
      const before = climbOf(verdicts.slice(0, cut), how);
      const whole = verdicts.slice(cut).reduce((climb, heard) => climbed(climb, heard, how), before);
      assert.deepEqual(whole, climbOf(verdicts, how));
    }),
  );
});

test('plain repetitions are counted, clean or not', () => {
  const how = { steps: 1, times: 5, plain: true };
  assert.equal(climbOf(['low', 'in', 'missed', 'in'], how).judged, 4);
  assert.ok(climbOf(['low', 'in', 'missed', 'in', 'high'], how).done);
});

test('a metronome ladder rises from its start to its goal and has it for its last', () => {
  const bpm = fc.integer({ min: 20, max: 200 });
  const by = fc.oneof(
    fc.record({ steps: fc.integer({ min: 1, max: 40 }) }),
    fc.record({ beats: fc.integer({ min: 5, max: 100 }) }),
  );
  fc.assert(
    fc.property(bpm, fc.integer({ min: 1, max: 100 }), by, (from, up, how) => {
      const marks = temposOf({ kind: 'tempo', from, to: from + up, by: how });
      assert.equal(marks[marks.length - 1], from + up);
      marks.slice(1).forEach((mark, at) => assert.ok(mark > marks[at], marks.join()));
      if (marks.length > 1) assert.equal(marks[0], from);
    }),
  );
  assert.deepEqual(temposOf({ kind: 'tempo', from: 40, to: 120, by: { steps: 4 } }), [40, 60, 80, 100, 120]);
});

test('ladders that go nowhere are told', () => {
  const code = (ladder: Ladder) => taskIssues(task(ladder))[0]?.code;
  assert.equal(code({ kind: 'tempo', from: 80, to: 60, by: { steps: 4 } }), 'goal-not-above');
  assert.equal(code({ kind: 'tempo', from: 60, to: 60, by: { steps: 4 } }), 'goal-not-above');
  assert.equal(code({ kind: 'tempo', from: 60, to: 90, by: { beats: 0 } }), 'no-step');
  assert.equal(code({ kind: 'tempo', from: 60, to: 90, by: { beats: 0.1 } }), 'too-many-steps');
  assert.equal(code({ kind: 'tempo', from: 60, to: 90, by: { beats: 4 } }), undefined);
  assert.equal(taskIssues({ ...task({ kind: 'repeat' }), target: 40 })[0].code, 'target-outside');
});

test('every growing passage ends as the whole, and each unit grows as it says', () => {
  const ranges = (unit: Extract<Ladder, { kind: 'growing' }>['unit']) =>
    stepsOf(task({ kind: 'growing', unit }), PASSAGE).map(({ from, to }) => [from, to]);
  for (const unit of ['bar', 'two-bars', 'group', 'note-from-end'] as const)
    assert.deepEqual(ranges(unit).at(-1), [0, 11]);
  // Each bar goes on to the first note of the next.
  assert.deepEqual(ranges('bar'), [[0, 4], [4, 8], [8, 11], [0, 11]]); // prettier-ignore
  assert.deepEqual(ranges('two-bars'), [[0, 8], [4, 11], [0, 11]]); // prettier-ignore
  // From the end backwards: one note more each time.
  ranges('note-from-end').forEach(([from, to], at) => assert.deepEqual([from, to], [10 - at, 11]));
});

const SCALE: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'updown' },
};

test('rhythms keep the length of their groups, and stops stand before each shift', () => {
  const { events, plans } = plan(SCALE);
  const shifts = new Set(plans[0].shifts.map(({ from }) => from));
  const whole: PracticeTask = { ...task({ kind: 'rhythms' }), to: 11 };
  const steps = stepsOf(whole, { events, barStarts: [] });
  const total = (at: number) => eventsOfStep(events, steps[at], shifts).reduce((sum, { beats }) => sum + beats, 0);
  for (const at of [0, 1, 2, 3]) assert.equal(total(at), 12);
  const stopped = eventsOfStep(events, { ...steps[4], to: events.length - 1 }, shifts);
  assert.equal(stopped.filter((event) => 'rest' in event).length, shifts.size);
  stopped.forEach((event, at) => {
    if ('rest' in event) assert.ok(shifts.has(stopped[at - 1].at));
  });
});

test('a ladder of bows ends with all on one, and of voices with both', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'double-stops', interval: 'octave', tonic: 'D4', scale: 'major', octaves: 1, direction: 'up' },
  };
  const { events } = plan(request);
  const passage = { events, barStarts: [] };
  const all: PracticeTask = { ...task({ kind: 'bows' }), to: 7 };
  assert.deepEqual(
    stepsOf(all, passage).map(({ perBow }) => perBow),
    [1, 2, 3, 4, 6, 8],
  );
  const bowed = eventsOfStep(events, { ...stepsOf(all, passage)[5] }, new Set());
  assert.deepEqual(
    bowed.map((event) => 'slur' in event && event.slur === true),
    [true, true, true, true, true, true, true, false],
  );
  const built = stepsOf({ ...all, ladder: { kind: 'voices' } }, passage).map((step) =>
    eventsOfStep(events, step, new Set()).map((event) => ('pitches' in event ? event.pitches.length : 0)),
  );
  assert.deepEqual(
    built.map(([first]) => first),
    [1, 1, 2, 2],
  );
});

test('the hand builds its frame slowly and shapes it ahead when there is no time', () => {
  assert.equal(handTime(1), 'build');
  assert.equal(handTime(0.25), 'float');
});

test('a pause is proposed after a quarter of an hour, or when the last three of at least five were not clean', () => {
  assert.equal(pauseFor([], 14.9), null);
  assert.equal(pauseFor([], 15), 'long');
  assert.equal(pauseFor(['low', 'low', 'missed'], 1), null);
  assert.equal(pauseFor(['in', 'in', 'low', 'low', 'missed'], 1), 'tired');
  assert.equal(pauseFor(['low', 'low', 'low', 'low', 'in'], 1), null);
});
