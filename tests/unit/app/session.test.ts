import assert from 'node:assert/strict';
import { test } from 'node:test';
import { planOf, responseOf } from '../../../src/app/session/state';
import { withDrills } from '../../../src/app/under';
import { fingeringOf, plan, type Plan, type PlanRequest } from '../../../src/core';
import { choiceOf, newRecord } from '../../../src/store/records';
import { PlannerLost } from '../../../src/work/planner';
import { answerTo, SCALE, scaleOn, settle, world } from '../../support/world';
import { STEP_BLOCKED } from '../../../src/wording/storage';

const tonicOf = (state: ReturnType<ReturnType<typeof world>['state']>) =>
  responseOf(state)?.events.flatMap((event) => ('pitches' in event ? event.pitches : []))[0] ?? null;

test('a fresh plan is planned, and its fingering is saved with it', async () => {
  const { opened, state } = world();
  const record = await opened();
  assert.equal(state().planning.kind, 'planned');
  assert.equal(state().save, 'saved');
  const best = planOf(state());
  assert.ok(best && 'fingering' in record.choice);
  assert.equal(record.choice.kind, 'best');
  assert.deepEqual(record.choice.fingering, fingeringOf(best));
});

test('a drill that is looked at keeps nothing; it is saved when it is worked at, or when that is asked', async () => {
  const asked = [
    (one: ReturnType<typeof world>) => one.session.change({ name: 'Slowly' }),
    (one: ReturnType<typeof world>) => one.session.saveSoon(),
  ];
  for (const keep of asked) {
    const one = world();
    const drill = newRecord(scaleOn('B3'), 0, { drillFor: 'other', tags: ['drill'] });
    const looking = one.session.look(drill);
    await settle();
    one.questions.at(-1)?.answer();
    await looking;
    await one.turn(1000);
    assert.equal(one.state().planning.kind, 'planned');
    assert.equal(one.state().save, 'unsaved');
    assert.ok(one.session.leave());
    assert.equal(one.plans.has(drill.id), false);
    assert.deepEqual(one.drafts, []);
    keep(one);
    await one.turn(1000);
    assert.equal(one.state().save, 'saved');
    assert.ok('fingering' in (one.plans.get(drill.id)?.choice ?? {}), 'with the fingering it was seen with');
  }
});

test('drills stand in a list under the plan they were made for', () => {
  const made = (id: string, drillFor?: string) => ({ ...newRecord(SCALE, 0), id, drillFor });
  const list = withDrills([made('c'), made('b', 'a'), made('d', 'gone'), made('a'), made('e', 'a')]);
  assert.deepEqual(
    list.map(({ plan, under }) => (under ? `- ${plan.id}` : plan.id)),
    ['c', 'd', 'a', '- b', '- e'],
  );
});

test('the best plan stands before the ways beside it are known; they come in their places after it', async () => {
  const { opened, session, questions, state } = world();
  await opened();
  session.changeRequest(scaleOn('B3'));
  const first = questions.at(-1);
  assert.equal(first?.ask.alone, true);
  first?.answer();
  await settle();
  assert.deepEqual([state().planning.kind, responseOf(state())?.plans.length], ['planned', 1]);
  const best = planOf(state());
  const second = questions.at(-1);
  assert.notEqual(second, first);
  assert.equal(second?.ask.alone, undefined);
  second?.answer();
  await settle();
  assert.ok((responseOf(state())?.plans.length ?? 0) > 1);
  assert.deepEqual(planOf(state())?.steps, best?.steps);
});

test('of two edits at once the last one wins, whichever answer comes first', async () => {
  const { opened, session, questions, state } = world();
  await opened();
  session.changeRequest(scaleOn('B3'));
  session.changeRequest(scaleOn('C4'));
  const [first, second] = questions.slice(-2);
  assert.equal(state().planning.kind, 'working');
  second.answer();
  await settle();
  assert.equal(tonicOf(state()), 'C4');
  first.answer();
  await settle();
  assert.equal(tonicOf(state()), 'C4', 'the answer that comes late is dropped');
  assert.equal(state().planning.kind, 'planned');
});

test('a planner that dies or falls silent is said to have, and the next edit is planned again', async () => {
  const { opened, session, questions, state } = world();
  await opened();
  for (const [why, error] of [
    ['died', new PlannerLost('died')],
    ['silent', new PlannerLost('silent')],
    ['broken', new Error('a mistake')],
  ] as const) {
    session.changeRequest(scaleOn('D4'));
    questions.at(-1)?.fail(error);
    await settle();
    const { planning } = state();
    assert.ok(planning.kind === 'failed');
    assert.equal(planning.why, why);
    assert.ok(planning.last, 'what was answered last stays in sight');
    session.changeRequest(scaleOn('E4'));
    questions.at(-1)?.answer();
    await settle();
    assert.equal(tonicOf(state()), 'E4');
    assert.equal(state().planning.kind, 'planned');
  }
});

test('a dead planner says nothing of the store, and the edit is saved', async () => {
  const { opened, session, questions, state, said, turn, plans } = world();
  const { id } = await opened();
  session.changeRequest(scaleOn('D4'));
  questions.at(-1)?.fail(new PlannerLost('died'));
  await turn(1000);
  assert.deepEqual(said, []);
  assert.equal(state().save, 'saved');
  assert.deepEqual(plans.get(id)?.request, scaleOn('D4'));
});

test('a request that cannot be understood is refused with its issues; the last answer stays', async () => {
  const { opened, session, questions, state } = world();
  await opened();
  session.changeRequest(scaleOn('H3'));
  questions.at(-1)?.answer({ kind: 'refused', issues: [{ path: '/material/tonic', code: 'no-pitch' }] });
  await settle();
  const { planning } = state();
  assert.ok(planning.kind === 'refused');
  assert.equal(planning.issues[0].code, 'no-pitch');
  assert.ok(planning.last);
});

test('a store that refuses is said to, nothing typed is lost, and it is tried again', async () => {
  const { opened, session, state, said, turn, plans, refuse } = world();
  const { id } = await opened();
  refuse(new Error('no room'));
  session.change({ name: 'Monday' });
  await turn(1000);
  assert.equal(state().save, 'failed');
  assert.equal(said[0].message, 'trouble: no room');
  assert.equal(state().record.name, 'Monday');
  assert.notEqual(plans.get(id)?.name, 'Monday');
  await session.stand(newRecord(SCALE, 0));
  assert.equal(state().record.id, id, 'a plan that could not be saved is not taken off the stand');
  refuse(null);
  await said[0].offer?.act();
  await settle();
  assert.equal(state().save, 'saved');
  assert.equal(plans.get(id)?.name, 'Monday');
});

test('a plan deleted on another page stays as it is until it is kept, and edits do not write it back', async () => {
  const { opened, session, state, said, turn, plans, deletedElsewhere } = world();
  const { id } = await opened();
  await deletedElsewhere(id);
  assert.equal(state().save, 'gone');
  session.change({ name: 'Still here' });
  await turn(1000);
  assert.equal(plans.has(id), false);
  assert.equal(state().save, 'gone');
  await said.at(-1)?.offer?.act();
  await turn(1000);
  assert.equal(plans.get(id)?.name, 'Still here');
  assert.equal(state().save, 'saved');
});

test('an edit of a plan that was deleted meanwhile is told, not written', async () => {
  const { opened, session, state, turn, plans } = world();
  const { id } = await opened();
  session.change({ name: 'Too late' });
  plans.delete(id);
  await turn(1000);
  assert.equal(state().save, 'gone');
  assert.equal(plans.has(id), false);
  assert.equal(state().record.name, 'Too late');
});

test('another page’s change is taken over and joins an unsaved edit of another field; undo takes back the own edit alone', async () => {
  const { opened, session, state, said, elsewhere, questions, turn, plans } = world();
  const { id } = await opened();
  await elsewhere(id, { name: 'Theirs' });
  assert.equal(state().record.name, 'Theirs');
  assert.match(said.at(-1)?.message ?? '', /changed on another page/);
  questions.at(-1)?.answer();
  await settle();
  session.change({ tags: ['ours'] });
  await elsewhere(id, { name: 'Theirs again' });
  assert.deepEqual([state().record.name, state().record.tags], ['Theirs again', ['ours']]);
  await turn(1000);
  assert.deepEqual([plans.get(id)?.name, plans.get(id)?.tags], ['Theirs again', ['ours']]);
  session.undo();
  assert.deepEqual([state().record.name, state().record.tags], ['Theirs again', []]);
  session.undo();
  assert.equal(state().record.name, 'Theirs again');
});

test('a step whose field another page has changed since says so and stays; it is taken once the field is as it was', async () => {
  const { opened, session, state, said, elsewhere, turn } = world();
  const { id } = await opened();
  session.change({ tags: ['first'] });
  session.change({ name: 'Ours' });
  await turn(1000);
  await elsewhere(id, { name: 'Theirs' });
  session.undo();
  assert.equal(state().record.name, 'Theirs');
  assert.equal(said.at(-1)?.message, STEP_BLOCKED);
  assert.equal(state().history.past.length, 2);
  await elsewhere(id, { name: 'Ours' });
  session.undo();
  session.undo();
  assert.deepEqual([state().record.name, state().record.tags], ['', []]);
});

test('a page that goes leaves a draft of what is not saved yet, and none once it is', async () => {
  const { opened, session, drafts, turn } = world();
  await opened();
  assert.equal(session.leave(), true);
  assert.equal(drafts.length, 0);
  session.change({ name: 'Half a second ago' });
  assert.equal(session.leave(), true);
  assert.deepEqual(
    drafts.map(({ change, record }) => [change.kind, 'name' in record && record.name]),
    [['updated', 'Half a second ago']],
  );
  await turn(1000);
  assert.equal(drafts.length, 0);
});

test('a page whose storage refuses asks before it goes, and the notice of it goes once all is saved', async () => {
  const { opened, session, said, withdrawn, refuse, state, turn } = world();
  await opened();
  refuse(new Error('no room'));
  session.change({ name: 'Monday' });
  await turn(1000);
  assert.equal(session.leave(), false);
  const notice = said.at(-1);
  assert.equal(await notice?.offer?.act(), false);
  refuse(null);
  assert.equal(await said.at(-1)?.offer?.act(), true);
  assert.equal(state().save, 'saved');
  assert.deepEqual(withdrawn.at(-1), said.at(-1));
});

test('the steps of a plan are there again when it is opened again', async () => {
  const { opened, session, state } = world();
  const first = await opened();
  session.change({ name: 'Monday' });
  const other = await opened(newRecord(SCALE, 0));
  assert.equal(state().record.id, other.id);
  session.undo();
  assert.equal(state().record.name, '');
  await opened({ ...first, name: 'Monday' });
  session.undo();
  assert.equal(state().record.name, '');
});

test('where both have changed the same field, both are saved', async () => {
  const { opened, session, state, said, turn, plans } = world();
  const { id } = await opened();
  session.change({ name: 'Ours' });
  const theirs = plans.get(id);
  assert.ok(theirs);
  plans.set(id, { ...theirs, name: 'Theirs', changedAt: theirs.changedAt + 5 });
  await turn(1000);
  assert.equal(plans.get(id)?.name, 'Theirs');
  assert.notEqual(state().record.id, id);
  assert.equal(plans.get(state().record.id)?.name, 'Ours (second version)');
  assert.match(said.at(-1)?.message ?? '', /Both are saved/);
});

test('undo and redo bring back every field of an edit, and plan again', async () => {
  const { opened, session, state, questions } = world();
  await opened();
  session.changeRequest(scaleOn('D4'));
  questions.at(-1)?.answer();
  await settle();
  session.undo();
  questions.at(-1)?.answer();
  await settle();
  assert.deepEqual([state().record.request, tonicOf(state())], [SCALE, 'A3']);
  session.redo();
  questions.at(-1)?.answer();
  await settle();
  assert.equal(tonicOf(state()), 'D4');
});

/** Three octaves: room for ways that really differ. */
const WIDE = { ...SCALE, material: { ...SCALE.material, octaves: 3 } } as typeof SCALE;
const ways = plan({ ...WIDE, alternatives: 3 }).plans;
const stands = (one: Plan | undefined, other: Plan) => {
  assert.ok(one);
  assert.deepEqual(fingeringOf(one), fingeringOf(other));
};

test('a way that was chosen is found again, whatever its number is now', async () => {
  const { opened, state } = world();
  await opened(newRecord(WIDE, 0, { choice: choiceOf(ways[2], 2) }));
  stands(planOf(state()), ways[2]);
  assert.equal(state().standing, 'as-planned');
});

test('where the best would come out differently, the saved fingering stays in force and the new one is beside it', async () => {
  const { opened, state, session } = world();
  // What was once the best is now the planner's third choice.
  await opened(newRecord(WIDE, 0, { choice: choiceOf(ways[2], 0) }));
  stands(planOf(state()), ways[2]);
  assert.equal(state().standing, 'kept');
  const [offered] = responseOf(state())?.plans ?? [];
  stands(offered, ways[0]);
  session.choose(offered);
  await settle();
  stands(planOf(state()), ways[0]);
  assert.equal(state().standing, 'as-planned');
});

test('a saved fingering that the planner no longer offers is worked out as it was saved', async () => {
  const { opened, state } = world();
  const own = plan({
    ...WIDE,
    rules: {
      locks: [
        { at: 1, finger: 1 },
        { at: 2, finger: 2 },
      ],
    },
    alternatives: 1,
  }).plans[0];
  const { choice } = await opened(newRecord(WIDE, 0, { choice: choiceOf(own, 1) }));
  stands(planOf(state()), own);
  assert.equal(state().standing, 'kept');
  assert.equal(choice.kind, 'way');
});

test('what version 2 kept as a number becomes the fingering it stood for; one out of an old backup is told as lost', async () => {
  const number = world();
  const { choice } = await number.opened(newRecord(WIDE, 0, { choice: { kind: 'number', number: 1 } }));
  assert.ok(choice.kind === 'way');
  assert.deepEqual(choice.fingering, fingeringOf(answered(1)));
  const lost = world();
  const record = await lost.opened(newRecord(WIDE, 0, { choice: { kind: 'lost' } }));
  assert.equal(lost.state().standing, 'lost');
  assert.equal(record.choice.kind, 'lost', 'until one is chosen');
  stands(planOf(lost.state()), ways[0]);
});

function answered(number: number): Plan {
  const answer = answerTo({ request: WIDE });
  assert.ok(answer.kind === 'planned');
  return answer.response.plans[number];
}

test('a way that is clicked while a newer answer is worked out is the way of the same name there, or none', async () => {
  const { session, state, questions, opened } = world();
  await opened();
  for (const question of questions) question.answer();
  await settle();
  const shown = responseOf(state())?.plans ?? [];
  const way = shown.find((one) => one.way !== undefined) ?? assert.fail('there is another way');
  const two = { ...SCALE, material: { ...SCALE.material, octaves: 2 } as PlanRequest['material'] };
  const named = plan({ ...two, alternatives: 3 }).plans;
  const same = named.findIndex((one) => JSON.stringify(one.way) === JSON.stringify(way.way));
  assert.ok(same > 0, 'both have it');
  let answered = questions.length;
  session.changeRequest(two);
  session.choose(way);
  await settle();
  assert.equal(planOf(state()), shown[0], 'nothing is chosen of what is out of date');
  while (answered < questions.length) {
    questions[answered++].answer();
    await settle();
  }
  assert.equal(state().chosen, Math.max(0, same));
  stands(planOf(state()), named[Math.max(0, same)]);

  session.changeRequest(SCALE);
  session.choose(way);
  session.changeRequest(two);
  const answerAll = async () => {
    while (answered < questions.length) {
      questions[answered++].answer();
      await settle();
    }
  };
  await answerAll();
  assert.equal(state().chosen, 0, 'a later edit leaves the wish behind');
  session.changeRequest(SCALE);
  session.choose(way);
  questions[answered++].answer();
  await settle();
  session.choose(responseOf(state())?.plans[0] ?? assert.fail());
  await answerAll();
  assert.equal(state().chosen, 0, 'and so does another choice');
});
