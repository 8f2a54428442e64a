import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import type { AnswerRecord } from '../../../src/core';
import { db } from '../../../src/store/db';
import { dayKey } from '../../../src/store/days';
import { demoStudio } from '../../../src/store/demoStudio';
import { addAnswer, addRepetition, listChoices } from '../../../src/store/log';
import { mendDerived } from '../../../src/store/mend';
import { daysOf, listAll, listDamagedElsewhere, memoriesOf, sessionsOf } from '../../../src/store/read';
import { TABLE_NAMES } from '../../../src/store/tables';
import { rowIssue } from '../../../src/store/valid';
import { damagedRows } from '../../support/damage';
import { judged, sessionFor } from '../../support/log';

/*
 * Rows that nobody should have written, in every table: what is read is sound, what follows from the log is worked out anew.
 */

const NOW = Date.parse('2026-11-20T16:00:00Z');
const DAY = '2026-11-20';
const { students, plans } = demoStudio(NOW);
const [wren] = students;

beforeEach(async () => {
  await Promise.all(TABLE_NAMES.map((name) => db.table(name).clear()));
  const session = sessionFor(wren.id, DAY, { id: 'practised', minutes: 4 });
  await addRepetition(judged(session, 0, 'low'), session, 0);
  const answer: AnswerRecord = { id: 'a', cardId: 'card', studentId: wren.id, at: NOW, right: true, took: 5000 };
  await addAnswer(answer);
});

test('sums and memories that are damaged are not read, and are worked out anew from the log', async () => {
  const whole = await Promise.all([daysOf(wren.id, DAY), memoriesOf(wren.id)]);
  assert.equal(whole[0][0].minutes, 4);
  const [day] = await db.days.toArray();
  const [memory] = await db.memories.toArray();
  const rows = [...damagedRows({ ...day }), ...damagedRows({ ...memory })];
  let mended = 0;
  for (const [table, sound] of [
    ['days', day],
    ['memories', memory],
  ] as const)
    for (const row of rows) {
      const broken = { ...row, id: sound.id };
      if (rowIssue(table, broken) === null) continue;
      await db.table(table).put(broken);
      for (const found of await daysOf(wren.id, DAY)) assert.equal(rowIssue('days', found), null);
      for (const found of await memoriesOf(wren.id)) assert.equal(rowIssue('memories', found), null);
      mended += await mendDerived(NOW);
      assert.deepEqual(await Promise.all([daysOf(wren.id, DAY), memoriesOf(wren.id)]), whole);
    }
  assert.ok(mended > 50);
  await db.days.put({ ...day, day: '2026-11-21' });
  assert.equal(await mendDerived(NOW), 1, 'a row that contradicts its key');
  assert.equal(day.id, dayKey(wren.id, DAY));
  assert.equal(await mendDerived(NOW), 0);
});

test('whatever has become of the rows of any table, what is read is sound, and what is damaged is listed', async () => {
  await db.plans.put(plans[0]);
  await db.students.put(wren);
  await db.bin.put({ id: 'b', deletedAt: NOW, words: 'Pip', changes: [] });
  await db.choices.put({ id: 'c', chosen: { request: plans[0].request }, studentId: null, changedAt: NOW });
  for (const name of TABLE_NAMES) {
    const [row] = (await db.table(name).toArray()) as Record<string, unknown>[];
    if (!row) continue;
    await db.table(name).bulkPut(damagedRows(row));
  }
  const all = await listAll();
  for (const name of ['plans', 'students'] as const)
    for (const row of all[name]) assert.equal(rowIssue(name, row), null);
  const damaged = [...all.damaged, ...(await listDamagedElsewhere())];
  const tables = new Set(damaged.map(({ table }) => table));
  for (const name of ['plans', 'students', 'sessions', 'bin', 'choices'] as const) assert.ok(tables.has(name), name);
  for (const row of await sessionsOf(wren.id)) assert.equal(rowIssue('sessions', row), null);
  for (const { request } of await listChoices(null)) assert.ok(request.instrument);
});
