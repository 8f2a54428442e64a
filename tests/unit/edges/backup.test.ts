import assert from 'node:assert/strict';
import { test } from 'node:test';
import { BACKUP_VERSION, backupText, joinKept, readBackup } from '../../../src/store/backup';
import { demoStudio } from '../../../src/store/demo';
import { NO_PRACTICE } from '../../../src/store/practiceRead';
import { choiceOf } from '../../../src/store/records';
import { planOfVersion3 } from '../../../src/store/versions';
import { plan, requestIssues } from '../../../src/core';

const studio = demoStudio(1_700_000_000_000);
const { plans, students, briefs } = studio;
const nothing = { plans: [], students: [], briefs: [] };
const text = backupText(studio, new Date(0));
const trouble = (file: string) => {
  const reading = readBackup(file);
  return reading.kind === 'trouble' ? reading.message : 'no trouble';
};

test('what is backed up is read back whole', () => {
  assert.deepEqual(readBackup(text), {
    kind: 'kept',
    kept: JSON.parse(JSON.stringify(studio)),
    practice: NO_PRACTICE,
    books: [],
    aside: [],
  });
  assert.equal(JSON.parse(text).plans.length, 7);
});

test('books are in a backup; one that is damaged is set aside alone', () => {
  const [{ request }] = plans;
  const book = {
    ...{ id: 'b1', studentId: '', name: 'Keys', createdAt: 1, changedAt: 1 },
    ask: { kind: 'position' as const, key: 'D major', position: 3 },
    pages: [{ id: 'p1', name: 'One', request }],
  };
  const text = backupText(
    { ...studio, books: [book, { ...book, id: 'b2', pages: 'none' } as never] },
    new Date(0),
  );
  const reading = readBackup(text);
  assert.ok(reading.kind === 'kept');
  assert.deepEqual(reading.books, [book]);
  assert.equal(reading.aside.length, 1);
});

test('every demo plan is sound and belongs to a student of that instrument', () => {
  for (const { name, request, studentId } of plans) {
    assert.deepEqual(requestIssues(request), [], name);
    assert.ok(plan(request).plans.length > 0, name);
    const student = students.find(({ id }) => id === studentId);
    assert.equal(student?.plays.instrument, request.instrument, name);
  }
});

/** The demo plans as version 2 kept them: by the number of the answer. */
const byNumber = (number: number) => plans.map((plan) => ({ ...plan, choice: undefined, chosen: number }));

const readKept = (file: object) => {
  const reading = readBackup(JSON.stringify({ format: 'dove-path-backup', savedAt: '', ...file }));
  assert.equal(reading.kind, 'kept');
  return reading.kind === 'kept' ? reading.kept : nothing;
};

test('a backup of version 1, which knew plans alone, is read with its plans for nobody in particular', () => {
  const first = byNumber(0).map(({ id, name, request, chosen, createdAt, changedAt }) => ({
    ...{ id, name, request, chosen, createdAt, changedAt },
  }));
  const kept = readKept({ version: 1, plans: first });
  const expected = plans.map((plan) => ({ ...plan, studentId: null, tags: [] }));
  assert.deepEqual(kept.plans, JSON.parse(JSON.stringify(expected)));
  assert.deepEqual([kept.students, kept.briefs], [[], []]);
});

test('a backup of version 2 gives the best plan for its number 0, and for others says that nobody can tell', () => {
  const choices = (number: number) =>
    readKept({ version: 2, plans: byNumber(number), students, briefs }).plans.map(
      ({ choice }) => choice.kind,
    );
  assert.deepEqual(
    choices(0),
    plans.map(() => 'unplanned'),
  );
  assert.deepEqual(
    choices(2),
    plans.map(() => 'lost'),
  );
});

test('in this browser a number waits to be turned into its fingering', () => {
  const [record] = byNumber(2);
  assert.deepEqual(planOfVersion3(record, 'browser'), {
    ...plans[0],
    choice: { kind: 'number', number: 2 },
  });
});

test('a saved fingering comes through a backup whole', () => {
  const [first, ...rest] = plans;
  const [best] = plan(first.request).plans;
  const saved = { ...first, choice: choiceOf(best, 0) };
  const file = backupText({ ...studio, plans: [saved, ...rest] }, new Date(0));
  const reading = readBackup(file);
  assert.ok(reading.kind === 'kept');
  assert.deepEqual(reading.kept.plans[0].choice, JSON.parse(JSON.stringify(saved.choice)));
});

test('broken, foreign and later files are refused with a sentence', () => {
  assert.match(trouble(text.slice(0, 200)), /not JSON|cut off/);
  assert.match(trouble('[1,2,3]'), /not written by Dove Path/);
  assert.match(trouble('null'), /not written by Dove Path/);
  assert.match(trouble(text.replace(`"version": ${BACKUP_VERSION}`, '"version": 99')), /later version/);
  assert.match(trouble(text.replace('"students"', '"pupils"')), /list of students is missing/);
});

test('a damaged record is set aside with what is wrong with it, and the rest is read', () => {
  const damaged = (from: string, to: string) => {
    const reading = readBackup(text.replace(from, to));
    assert.ok(reading.kind === 'kept');
    assert.equal(reading.aside.length, 1);
    const { kept } = reading;
    const left = kept.plans.length + kept.students.length + kept.briefs.length;
    assert.equal(left, plans.length + students.length + briefs.length - 1);
    return reading.aside[0];
  };
  assert.match(damaged('"kind": "unplanned"', '"kind": "first"'), /^\/plans\/0\/choice/);
  assert.match(
    damaged('"tonic": "Eb4"', '"tonic": "H4"'),
    /^\/plans\/0\/request\/material\/tonic.*not a pitch/,
  );
  assert.match(damaged('"level": "middle"', '"level": "grand"'), /^\/students\/0\/level: Choose one of/);
});

test('rows that were damaged here are in the backup as they were found, and are told of when it is read', () => {
  const row = { id: 'x', name: 7 };
  const issue = { path: '/name', code: 'wrong-type' };
  const file = backupText({ ...studio, damaged: [{ table: 'plans', key: 'x', row, issue }] }, new Date(0));
  assert.deepEqual(JSON.parse(file).damaged, [{ table: 'plans', row }]);
  const reading = readBackup(file);
  assert.ok(reading.kind === 'kept');
  assert.equal(reading.aside.length, 1);
  assert.equal(reading.kept.plans.length, plans.length);
});

test('restoring adds what is new, leaves out what is here, and copies what differs', () => {
  assert.deepEqual(joinKept(nothing, studio), { added: studio, known: 0 });
  const all = plans.length + students.length + briefs.length;
  assert.deepEqual(joinKept(studio, studio), { added: nothing, known: all });
  const [first, ...rest] = plans;
  const renamed = { ...studio, plans: [{ ...first, name: 'Other' }, ...rest] };
  const { added, known } = joinKept(renamed, studio);
  assert.equal(known, all - 1);
  assert.equal(added.plans.length, 1);
  assert.notEqual(added.plans[0].id, first.id);
  assert.match(added.plans[0].name, /from backup/);
  // The same file once more: the copy is here already.
  const twice = joinKept({ ...renamed, plans: [...renamed.plans, ...added.plans] }, studio);
  assert.deepEqual([twice.added.plans, twice.known], [[], all]);
});

test('a plan that was opened since its backup is the same plan, though its fingering is chosen now', () => {
  const [first, ...rest] = plans;
  const opened = { ...first, choice: choiceOf(plan(first.request).plans[0], 0) };
  const { added } = joinKept({ ...studio, plans: [opened, ...rest] }, studio);
  assert.deepEqual(added.plans, []);
});

test('a student who has changed since is added as a copy, and restored plans follow the copy', () => {
  const [first, ...rest] = students;
  const grown = { ...studio, students: [{ ...first, remark: 'grown' }, ...rest], plans: [] };
  const { added } = joinKept(grown, studio);
  assert.equal(added.students.length, 1);
  const theirs = plans.filter(({ studentId }) => studentId === first.id).map(({ id }) => id);
  assert.ok(theirs.length > 0);
  for (const plan of added.plans)
    assert.equal(plan.studentId === added.students[0].id, theirs.includes(plan.id), plan.name);
});
