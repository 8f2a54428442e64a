import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { proposeWeek, type Trend, type WeekItem } from '../../../src/core';

const TREND: Trend = { kind: 'finger-3-3', counts: [30, 19, 3, 0], side: 'low', evidence: 9 };

const given = fc.record({
  assigned: fc.array(fc.uuid(), { maxLength: 14 }),
  trends: fc.constantFrom([], [TREND]),
  hardPlace: fc.option(fc.constant('hard'), { nil: undefined }),
  cardsDue: fc.nat(30),
  minutes: fc.integer({ min: 1, max: 120 }),
});

/** Minutes of the fullest day, where what takes turns is spread evenly. */
function fullestDay(items: readonly WeekItem[]): number {
  const days = new Array<number>(60).fill(0);
  items.forEach(({ minutes, every }, at) => {
    for (let day = at % every; day < days.length; day += every) days[day] += minutes;
  });
  return Math.max(...days);
}

test('next week never exceeds the minutes and always has what was assigned', () => {
  fc.assert(
    fc.property(given, (week) => {
      const items = proposeWeek(week);
      assert.ok(fullestDay(items) <= week.minutes, JSON.stringify(items));
      assert.deepEqual(
        items.filter(({ kind }) => kind === 'plan').map(({ planId }) => planId),
        week.assigned,
      );
      for (const { minutes } of items) assert.ok(Number.isInteger(minutes) && minutes >= 1);
    }),
  );
});

test('with enough minutes all of them are used, in the order of a good day', () => {
  const items = proposeWeek({ assigned: ['scale', 'study'], trends: [TREND], cardsDue: 4, minutes: 20 });
  assert.deepEqual(
    items.map(({ kind }) => kind),
    ['tune', 'plan', 'place', 'plan', 'again', 'cards'],
  );
  assert.equal(
    items.reduce((sum, { minutes }) => sum + minutes, 0),
    20,
  );
  assert.equal(items[2].about, 'finger-3-3');
});

test('where the log says nothing yet, a hard place of the plan is worked at', () => {
  const [, , place] = proposeWeek({ assigned: ['a'], trends: [], hardPlace: 'a', cardsDue: 0, minutes: 12 });
  assert.deepEqual([place.kind, place.planId], ['place', 'a']);
});
