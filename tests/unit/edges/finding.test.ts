import assert from 'node:assert/strict';
import { test } from 'node:test';
import { firstOf } from '../../../src/app/firstMinute';
import { tagsFrom } from '../../../src/app/tags';
import { readRequest } from '../../../src/contract/read';
import {
  INSTRUMENT_NAMES,
  instrumentRecord,
  plan,
  resolveSetup,
  type PlanRequest,
  type Stage,
  type PlanRecord,
  type StudentRecord,
} from '../../../src/core';
import { newRecord } from '../../../src/store/records';
import { found, inOrder } from '../../../src/views/studio/search';
import { dayWords } from '../../../src/wording/days';
import { speechOf } from '../../../src/wording/plans';
import { tableOf, TABLE_HEADS } from '../../../src/wording/table';

const scale = (instrument: PlanRequest['instrument'], tonic: string): PlanRequest => ({
  instrument,
  material: { type: 'scale', tonic, scale: 'major', octaves: 1, direction: 'up' },
});

const plans: readonly PlanRecord[] = [
  newRecord(scale('violin', 'D4'), 1000, { tags: ['lesson'], studentId: 'wren' }),
  newRecord(scale('bass', 'F1'), 3000, { name: 'Warm-up' }),
  newRecord(scale('violin', 'Bb3'), 2000),
];
const students = [{ id: 'wren', name: 'Wren', plays: { instrument: 'violin' }, remark: '' }] as StudentRecord[];
const keysOf = (search: string) =>
  found(search, students, plans).plans.map(({ request: { material } }) =>
    material.type === 'notes' ? '' : material.tonic,
  );

test('a search means what it says: keys are whole words, other words may be begun', () => {
  assert.deepEqual(keysOf('D major'), ['D4']);
  assert.deepEqual(keysOf('bass'), ['F1']);
  assert.deepEqual(keysOf('B flat'), ['Bb3']);
  assert.deepEqual(keysOf('b♭ maj'), ['Bb3']);
  assert.deepEqual(keysOf('wren'), ['D4']);
  assert.deepEqual(keysOf('warm'), ['F1']);
  assert.deepEqual(keysOf('lesson D'), ['D4']);
  assert.deepEqual(keysOf('Q'), []);
});

test('plans stand in the order that is asked for', () => {
  const opened = new Map([[plans[2].id, 9]]);
  const order = (by: Parameters<typeof inOrder>[1]) =>
    inOrder(plans, by, opened, students).map((one) => plans.indexOf(one));
  assert.deepEqual(order('changed'), [1, 2, 0]);
  assert.deepEqual(order('made'), [1, 2, 0]);
  assert.equal(order('opened')[0], 2);
  assert.deepEqual(order('name'), [2, 1, 0]);
});

test('days are said as one says them', () => {
  const now = new Date(2026, 10, 26, 10).getTime();
  const before = (days: number) => now - days * 86_400_000;
  assert.equal(dayWords(now - 1000, now), 'today');
  assert.equal(dayWords(before(1), now), 'yesterday');
  assert.equal(dayWords(before(3), now), '3 days ago');
  assert.equal(dayWords(new Date(2026, 2, 14).getTime(), now), '14 Mar');
  assert.equal(dayWords(new Date(2025, 2, 14).getTime(), now), '14 Mar 2025');
});

test('tags are parted by commas, each once', () => {
  assert.deepEqual(tagsFrom(' lesson, ,colour,lesson'), ['lesson', 'colour']);
});

test('three answers make a student and a scale that can be played, on every instrument and size', () => {
  const stages: readonly Stage[] = ['first-position', 'first-shifts', 'everywhere'];
  for (const instrument of INSTRUMENT_NAMES)
    for (const size of Object.keys(instrumentRecord(instrument).sizes))
      for (const stage of stages) {
        const answers = { name: ' Finch ', instrument, size, hand: null, stage };
        const { student, request } = firstOf(answers, 5);
        assert.equal(student.name, 'Finch');
        assert.equal(student.plays.hand, undefined);
        assert.equal(request.size, size);
        const { plans: made } = plan(readRequest(JSON.parse(JSON.stringify(request))));
        assert.ok(made.length > 0, `${instrument} ${size} ${stage}`);
      }
});

test('the table has a line for each event, with place, note, string, finger and what happens', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 3, direction: 'up' },
  };
  const response = plan(request);
  const rows = tableOf(response, response.plans[0], speechOf('violin', response));
  assert.equal(rows.length, response.events.length);
  for (const row of rows) assert.equal(row.length, TABLE_HEADS.length);
  assert.deepEqual(rows[0].slice(0, 5), ['1', 'bar 1, beat 1', 'G3', 'G', 'open']);
  const arrivals = response.plans[0].shifts.map(({ to }) => rows[to][6]);
  assert.ok(arrivals.length > 0 && arrivals.every((words) => words.startsWith('shift of')));
  assert.equal(resolveSetup(request).strings.length, 4);
});
