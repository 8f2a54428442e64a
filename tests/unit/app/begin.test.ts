import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { PlanRecord, PlanRequest } from '../../../src/core';
import { newRecord } from '../../../src/store/records';
import { SCALE, scaleOn, settle, world } from '../../support/world';

/* When a change begins a plan of its own, and how that is taken back. */

test('another piece of music begins a plan of its own where something hangs on the one that stands', async () => {
  const hung: readonly ((one: ReturnType<typeof world>, id: string) => Partial<PlanRecord>)[] = [
    () => ({ name: 'For Friday' }),
    () => ({ printed: true }),
    () => ({ sheet: { goal: '', reminders: '' } }),
    () => ({ request: { ...SCALE, rules: { locks: [{ at: 1, finger: 2 }] } } }),
    ({ used }, id) => {
      used.add(id);
      return {};
    },
  ];
  for (const hang of hung) {
    const one = world();
    const made = newRecord(SCALE, 0);
    const record = await one.opened({ ...made, ...hang(one, made.id) });
    one.session.changeRequest(scaleOn('B3'));
    await one.turn(1000);
    const { record: fresh } = one.state();
    assert.notEqual(fresh.id, record.id);
    assert.equal(fresh.name, '', 'its music names it');
    assert.deepEqual(one.plans.get(record.id), record);
    assert.ok(one.plans.has(fresh.id));
    assert.ok(one.said.at(-1)?.offer, 'it is said, and can be had otherwise');
    // The new one has nothing hung on it yet: it is changed.
    one.session.changeRequest(scaleOn('C4'));
    await one.turn(1000);
    assert.equal(one.state().record.id, fresh.id);
  }
});

test('a plan that nothing hangs on, and what is of the plan, are changed as before', async () => {
  const free = world();
  const record = await free.opened();
  free.session.changeRequest(scaleOn('B3'));
  assert.equal(free.state().record.id, record.id);
  const named = world();
  const kept = await named.opened(newRecord(SCALE, 0, { name: 'For Friday' }));
  const up = SCALE.material as Extract<PlanRequest['material'], { type: 'scale' }>;
  const ofThePlan: readonly PlanRequest[] = [
    { ...SCALE, style: 'singing' },
    { ...SCALE, rules: { openStrings: 'never' } },
    { ...SCALE, tempo: { bpm: 90 }, hand: 'small', size: '3/4', school: undefined },
    { ...SCALE, material: { ...up, direction: 'updown', notesPerBow: 4, time: '3/4' } },
  ];
  for (const request of ofThePlan) {
    named.session.changeRequest(request);
    await named.turn(1000);
    assert.equal(named.state().record.id, kept.id, JSON.stringify(request));
  }
});

test('an edit that waits to be saved is written to the plan that stays', async () => {
  const one = world();
  const record = await one.opened(newRecord(SCALE, 0, { name: 'For Friday' }));
  one.session.change({ name: 'For Saturday' });
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  assert.equal(one.plans.get(record.id)?.name, 'For Saturday');
  assert.deepEqual(one.plans.get(record.id)?.request, SCALE);
});

test('who meant the plan itself has it changed; what was begun goes, and the name is asked about', async () => {
  const one = world();
  const record = await one.opened(newRecord(SCALE, 0, { name: 'A major for Friday' }));
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  const begun = one.state().record.id;
  const acting = one.said.at(-1)?.offer?.act();
  await settle();
  one.questions.at(-1)?.answer();
  assert.notEqual(await acting, false);
  await one.turn(1000);
  assert.equal(one.state().record.id, record.id);
  assert.deepEqual(one.plans.get(record.id)?.request, scaleOn('B3'));
  assert.equal(one.plans.has(begun), false);
  void one.said.at(-1)?.offer?.act();
  assert.equal(one.state().record.name, '');
  one.session.undo();
  one.session.undo();
  assert.deepEqual(one.state().record.request, SCALE);
});

test('undo takes back that a plan was begun: the one that stayed stands again', async () => {
  const one = world();
  const record = await one.opened(newRecord(SCALE, 0, { name: 'For Friday' }));
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  const begun = one.state().record.id;
  one.session.undo();
  one.session.undo();
  await settle();
  assert.equal(one.state().record.id, record.id);
  assert.deepEqual(one.plans.get(record.id), record);
  assert.equal(one.plans.has(begun), false);
});

test('a write of the plan that stays, under way when another begins, is not taken for the new one’s', async () => {
  const one = world();
  const record = await one.opened(newRecord(SCALE, 0, { name: 'For Friday' }));
  one.session.change({ name: 'For Saturday' });
  void one.session.saveNow();
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  await one.turn(1000);
  assert.equal(one.state().save, 'saved');
  assert.equal(one.plans.size, 2);
  assert.equal(one.plans.get(record.id)?.name, 'For Saturday');
});

test('a new plan that is renamed while it is first written keeps its name when another begins at once', async () => {
  const one = world();
  void one.session.stand(newRecord(SCALE, 0, { name: 'First' }), null);
  await settle();
  const { id } = one.state().record;
  void one.session.saveNow();
  one.session.change({ name: 'Renamed' });
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  await one.turn(1000);
  assert.equal(one.plans.get(id)?.name, 'Renamed');
  assert.equal(one.plans.size, 2);
  assert.deepEqual(one.drafts, []);
});

test('what could not be written of the plan that stays is a draft until it is, and can be tried again', async () => {
  const one = world();
  const record = await one.opened(newRecord(SCALE, 0, { name: 'For Friday' }));
  one.session.change({ name: 'For Saturday' });
  one.refuse(new Error('no room'));
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  assert.equal(
    one.drafts.some((draft) => draft.record.id === record.id),
    true,
  );
  const again = one.said.find(({ kind }) => kind === 'trouble')?.offer;
  one.refuse(null);
  assert.notEqual(await again?.act(), false);
  assert.equal(one.plans.get(record.id)?.name, 'For Saturday');
  assert.equal(
    one.drafts.some((draft) => draft.record.id === record.id),
    false,
  );
});

test('a plan that was begun and then used stays when undo goes back to the one before', async () => {
  const one = world();
  const record = await one.opened(newRecord(SCALE, 0, { name: 'For Friday' }));
  one.session.changeRequest(scaleOn('B3'));
  await one.turn(1000);
  const begun = one.state().record.id;
  one.used.add(begun);
  one.session.comeBack();
  await settle();
  one.session.undo();
  await settle();
  assert.equal(one.state().record.id, record.id);
  assert.ok(one.plans.has(begun));
});

test('the plan of one student turned to another is a plan of its own; one of nobody’s becomes somebody’s', async () => {
  const one = world();
  const wrens = await one.opened(newRecord(SCALE, 0, { studentId: 'wren', name: 'Scale' }));
  one.session.changeRequest(SCALE, { studentId: 'pip' });
  await one.turn(1000);
  assert.notEqual(one.state().record.id, wrens.id);
  assert.equal(one.state().record.studentId, 'pip');
  const other = world();
  const nobodys = await other.opened(newRecord(SCALE, 0, { name: 'Scale' }));
  other.session.changeRequest(SCALE, { studentId: 'pip' });
  assert.equal(other.state().record.id, nobodys.id);
});

test('a brief that is given whole is another plan than a saved one, be it the same music', async () => {
  const one = world();
  const record = await one.opened();
  one.session.changeRequest(SCALE, {}, { anew: true });
  await one.turn(1000);
  assert.notEqual(one.state().record.id, record.id);
});
