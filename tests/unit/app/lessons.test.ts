import assert from 'node:assert/strict';
import { test } from 'node:test';
import { itemsAfter, proposed } from '../../../src/app/practice/lessons';
import type { LessonRecord } from '../../../src/core';

const NOTHING_HEARD = { old: [], trends: [], cardsDue: 0, cards: [] };
const plan = (planId: string) => ({ planId, what: planId, words: '' });
const ids = (items: LessonRecord['items']) => items.flatMap(({ planId }) => planId ?? []);

function lessonOf(assigned: LessonRecord['assigned'], items = proposed(NOTHING_HEARD, assigned, 20)): LessonRecord {
  const rest = { goal: '', words: '', createdAt: 1, changedAt: 1 };
  return { id: 'l', studentId: 's', day: '2026-11-30', minutes: 20, assigned, items, ...rest };
}

test('a week that was only proposed is proposed anew', () => {
  const next = [plan('a'), plan('b')];
  assert.deepEqual(itemsAfter(lessonOf([plan('a')]), NOTHING_HEARD, next, 30), proposed(NOTHING_HEARD, next, 30));
});

test('what the teacher wrote, ordered and timed stays, without the plans that went and with those that came', () => {
  const lesson = lessonOf([plan('a'), plan('b')]);
  const own = [...lesson.items].reverse().map((item) => ({ ...item, minutes: 7, words: `my ${item.kind}` }));
  const edited = { ...lesson, items: own };
  assert.deepEqual(itemsAfter(edited, NOTHING_HEARD, edited.assigned, 45), own, 'other minutes a day');
  const after = itemsAfter(edited, NOTHING_HEARD, [plan('b'), plan('c')], 20);
  const stayed = own.filter(({ planId }) => planId !== 'a');
  assert.deepEqual(after.slice(0, stayed.length), stayed);
  assert.ok(!ids(after).includes('a'));
  assert.ok(ids(after).includes('c'));
});
