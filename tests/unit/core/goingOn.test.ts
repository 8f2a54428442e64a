import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  comesBack,
  goneOn,
  isAsWritten,
  partsOfDay,
  reachedIn,
  stepsOf,
  stepUp,
  temposOf,
  type HeardAs,
  type Judged,
  type Ladder,
  type PracticeTask,
  type WeekItem,
} from '../../../src/core';
import { untilLesson } from '../../../src/app/practice/allStudents';
import { runs } from '../../support/runs';

/*
 * Practice that remembers: where a session goes on, which tempo counts, how a day is made.
 */

const PASSAGE = { events: Array.from({ length: 16 }, (_, at) => ({ at })), barStarts: [0, 4, 8, 12] };
const task = (ladder: Ladder, part: Partial<PracticeTask> = {}): PracticeTask => ({
  ...{ from: 0, to: 15, bpm: 60, times: 1, beatsEach: 1, clicks: 1, hearFirst: false, reminders: [] },
  ladder,
  ...part,
});
const judged = (heards: readonly HeardAs[], part: Partial<Judged> = {}): Judged[] =>
  heards.map((heard, number) => ({
    ...{ kind: 'judged', id: String(number), sessionId: 's', number, at: number, step: 0, from: 0, to: 15, bpm: 60 },
    ...{ heard, place: null },
    ...part,
  }));
const TEMPO: Ladder = { kind: 'tempo', from: 60, to: 100, by: { steps: 4 } };

test('a session goes on with the step on which the last one stood, and a step up is the next one', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom<HeardAs>('in', 'low', 'missed'), { maxLength: 12 }), (heards) => {
      const asked = task(TEMPO);
      const on = goneOn(asked, judged(heards), PASSAGE);
      const up = stepUp(asked, judged(heards), PASSAGE);
      const last = stepsOf(asked, PASSAGE).length - 1;
      assert.ok(on.begin !== undefined && on.begin >= 0 && on.begin <= last);
      assert.deepEqual({ ...on, begin: undefined }, { ...asked, begin: undefined });
      const [stood, next] = [on, up].map((one) => stepsOf(one, PASSAGE)[one.begin ?? 0].bpm);
      assert.ok(next > stood || (next === stood && on.begin === last), `${stood} ${next}`);
    }),
    runs(200, 12),
  );
});

test('after the last step the same ladder goes higher: a tempo by its own step, repetitions by a twentieth', () => {
  const done = judged(['in', 'in', 'in', 'in', 'in']);
  const raised = stepUp(task(TEMPO), done, PASSAGE);
  assert.ok(raised.ladder.kind === 'tempo');
  assert.deepEqual(temposOf(raised.ladder), [70, 80, 90, 100, 110]);
  assert.equal(stepsOf(raised, PASSAGE)[raised.begin ?? 0].bpm, 110);
  const plain = task({ kind: 'repeat' }, { times: 2, bpm: 80 });
  assert.equal(stepUp(plain, judged(['in', 'low']), PASSAGE).bpm, 84);
  assert.equal(stepUp(task({ kind: 'repeat' }, { bpm: 20 }), judged(['in']), PASSAGE).bpm, 22);
});

test('the tempo of a plan is that of the whole, all voices, as it is written', () => {
  assert.ok(isAsWritten(task({ kind: 'repeat' })) && isAsWritten(task(TEMPO)));
  assert.ok(!isAsWritten(task({ kind: 'repeat' }, { beatsEach: 2 })));
  assert.ok(!isAsWritten(task({ kind: 'rhythms' })) && !isAsWritten(task({ kind: 'halves' })));
  assert.ok(!isAsWritten(task(TEMPO, { target: 3 })), 'a place alone says nothing of the whole');
  const whole = task({ kind: 'voices' });
  assert.equal(reachedIn(judged(['in'], { step: 0, bpm: 90 }), whole), undefined);
  assert.equal(reachedIn(judged(['in'], { step: 2, bpm: 72 }), whole), 72);
  assert.equal(reachedIn(judged(['in'], { to: 7 }), task(TEMPO)), undefined);
});

const item = (kind: WeekItem['kind'], minutes: number, part: Partial<WeekItem> = {}): WeekItem => ({
  kind,
  minutes,
  every: 1,
  ...part,
});

test('a day tunes first, has cards last, goes round its places in turn, and keeps its minutes', () => {
  const week = [
    item('cards', 3),
    item('plan', 6),
    item('place', 4, { about: 'up-1' }),
    item('place', 4, { about: 'up-2' }),
    item('place', 3, { about: 'trap' }),
    item('tune', 1),
  ];
  const parts = partsOfDay(week, 100);
  assert.equal(parts[0].item.kind, 'tune');
  assert.equal(parts[parts.length - 1].item.kind, 'cards');
  const places = parts.filter(({ item: { kind } }) => kind === 'place').map(({ item: { about } }) => about);
  assert.deepEqual(places, ['up-1', 'up-2', 'trap', 'up-1', 'up-2', 'trap', 'up-1', 'up-2', 'trap']);
  const minutes = (list: readonly { readonly minutes: number }[]) => list.reduce((sum, one) => sum + one.minutes, 0);
  assert.equal(minutes(parts), minutes(week));
  const turns = [item('plan', 5, { every: 2 }), item('plan', 5, { every: 2 })];
  assert.equal(partsOfDay(turns, 0).length + partsOfDay(turns, 1).length, 2);
});

test('what was learned comes back after two weeks and four more, once each, and is learned again where it is practised', () => {
  assert.ok(!comesBack([], 100) && !comesBack([90], 100));
  assert.ok(comesBack([80, 82, 86], 100));
  // It came back on day 100: next after four weeks.
  assert.ok(!comesBack([80, 86, 100], 120) && comesBack([80, 86, 100], 128));
  assert.ok(!comesBack([80, 86, 100, 128], 300), 'twice, and no more');
  assert.ok(comesBack([80, 86, 100, 101, 102], 116), 'practised again: it begins anew');
});

test('who comes next stands first: minutes until the lesson, by day and hour', () => {
  // A Tuesday, ten o'clock.
  const now = new Date(2026, 11, 1, 10, 0).getTime();
  const at = (weekday: number, time: string) => untilLesson({ lessonAt: { weekday, time } }, now);
  assert.equal(at(1, '10:30'), 30);
  assert.equal(at(2, '10:00'), 24 * 60);
  assert.equal(at(1, '09:59'), 7 * 24 * 60 - 1);
  assert.equal(untilLesson({}, now), Infinity);
});
