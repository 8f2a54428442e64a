import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import fc from 'fast-check';
import { runs } from '../../support/runs';

/** What the Studio asks of a page. */
const visited: string[] = [];
Object.assign(globalThis, {
  location: { pathname: '/studio', search: '', assign: (address: string) => visited.push(address) },
  history: { replaceState: () => undefined },
  sessionStorage: undefined,
});

const { archivePlan, changeStudent, lookFor, nameAndTag, planFor, useStudio } = await import('../../../src/app/studio');
const { giveInstead, giveToEach } = await import('../../../src/app/giving');
const { plan: planIt } = await import('../../../src/core');
const { ARCHIVED } = await import('../../../src/app/tags');
const { db } = await import('../../../src/store/db');
const { demoRemoval, fillWithDemo } = await import('../../../src/store/demoStudio');
const { isExample, newRecord } = await import('../../../src/store/records');
const { getPlan, getStudent, listPlans, listStudents } = await import('../../../src/store/read');
const { commit } = await import('../../../src/store/write');
type Student = import('../../../src/core').StudentRecord;

const SCALE = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'up' },
} as const;

/** Planned on the spot: there is no worker here. */
const planned: NonNullable<Parameters<typeof giveToEach>[2]> = ({ request }) =>
  Promise.resolve({ kind: 'planned', response: planIt(request), found: 0, own: false });

function newStudent(name: string, part: Partial<Student> = {}): Student {
  const base = { level: 'early', clefs: ['treble'], noteNames: 'letters', remark: '' } as const;
  return {
    ...base,
    id: crypto.randomUUID(),
    name,
    plays: { instrument: 'violin' },
    createdAt: 1,
    changedAt: 1,
    ...part,
  };
}

const added = (table: 'students' | 'plans', record: unknown) =>
  commit([{ kind: 'added', table, record } as Parameters<typeof commit>[0][number]]);

beforeEach(async () => {
  await Promise.all([db.plans.clear(), db.students.clear(), db.briefs.clear(), db.bin.clear()]);
  visited.length = 0;
});

test('three quick edits of a student are all kept, and a new plan has them', async () => {
  const linnet = newStudent('');
  await added('students', linnet);
  // As a page does it: none waits for the one before, and each knows the student as first shown.
  const edits = [
    changeStudent(linnet, () => ({ name: 'Linnet' }), 'name'),
    changeStudent(linnet, ({ plays }) => ({ plays: { ...plays, size: '3/4' } })),
    changeStudent(linnet, ({ plays }) => ({ plays: { ...plays, hand: 'small' } })),
  ];
  const planned = planFor(linnet);
  await Promise.all([...edits, planned]);
  const kept = await getStudent(linnet.id);
  assert.equal(kept?.name, 'Linnet');
  assert.deepEqual(kept?.plays, { instrument: 'violin', size: '3/4', hand: 'small' });
  const [plan] = await listPlans();
  assert.equal(plan.request.size, '3/4');
  assert.equal(plan.request.hand, 'small');
  assert.deepEqual(visited, [`/?plan=${plan.id}`]);
});

test('however quickly edits follow each other, the last of each field is kept', async () => {
  const edit = fc.record({
    field: fc.constantFrom('name', 'remark', 'level', 'size', 'hand'),
    value: fc.integer({ min: 0, max: 2 }),
    waits: fc.integer({ min: 0, max: 3 }),
  });
  const SIZES = ['4/4', '3/4', '1/2'];
  const HANDS = ['small', 'medium', 'large'] as const;
  const LEVELS = ['first-year', 'early', 'middle'] as const;
  await fc.assert(
    fc.asyncProperty(fc.array(edit, { minLength: 1, maxLength: 8 }), async (edits) => {
      const student = newStudent('Finch');
      await added('students', student);
      const running: Promise<unknown>[] = [];
      const wanted = {
        name: 'Finch',
        remark: '',
        level: 'early' as string,
        size: undefined as string | undefined,
        hand: undefined as string | undefined,
      };
      for (const { field, value, waits } of edits) {
        const put = {
          name: () => ({ name: `Finch ${value}` }),
          remark: () => ({ remark: `says ${value}` }),
          level: () => ({ level: LEVELS[value] }),
          size: ({ plays }: Student) => ({ plays: { ...plays, size: SIZES[value] } }),
          hand: ({ plays }: Student) => ({ plays: { ...plays, hand: HANDS[value] } }),
        }[field] as (student: Student) => Partial<Student>;
        running.push(changeStudent(student, put));
        if (field === 'name') wanted.name = `Finch ${value}`;
        if (field === 'remark') wanted.remark = `says ${value}`;
        if (field === 'level') wanted.level = LEVELS[value];
        if (field === 'size') wanted.size = SIZES[value];
        if (field === 'hand') wanted.hand = HANDS[value];
        for (let turn = 0; turn < waits; turn++) await new Promise((done) => setImmediate(done));
      }
      await Promise.all(running);
      const kept = await getStudent(student.id);
      assert.ok(kept);
      const { name, remark, level, plays } = kept;
      assert.deepEqual({ name, remark, level, size: plays.size, hand: plays.hand }, wanted);
    }),
    runs(40),
  );
});

test('a plan is given to several at once: a copy for each, on their instrument, and the first stays', async () => {
  const plan = newRecord(SCALE, 5, { name: 'Warm-up', tags: ['lesson'] });
  const cellist = newStudent('Juno', { plays: { instrument: 'cello', hand: 'large' } });
  const child = newStudent('Pip', { plays: { instrument: 'violin', size: '1/2' } });
  await Promise.all([added('plans', plan), added('students', cellist), added('students', child)]);
  const gifts = await giveToEach(plan, [cellist, child], planned);
  assert.deepEqual(
    gifts.map(({ kind }) => kind),
    ['given', 'given'],
  );
  assert.ok(gifts[0].kind === 'given' && gifts[0].differences.length > 0);
  const plans = await listPlans();
  assert.equal(plans.length, 3);
  const of = (id: string) => plans.find(({ studentId }) => studentId === id);
  assert.equal(of(cellist.id)?.request.instrument, 'cello');
  assert.equal(of(cellist.id)?.request.hand, 'large');
  assert.equal(of(child.id)?.request.size, '1/2');
  for (const copy of [of(cellist.id), of(child.id)]) {
    assert.equal(copy?.givenFrom, plan.id);
    assert.equal(copy?.name, 'Warm-up');
  }
  assert.deepEqual(visited, []);
});

test('to one who cannot play it nothing is given, and what they could play is offered', async () => {
  const rules = { positions: { from: 1, to: 1 } };
  const material = { ...SCALE.material, tonic: 'C4', octaves: 3 };
  const plan = newRecord({ ...SCALE, material }, 5, { name: 'For the violin' });
  const able = newStudent('Wren');
  const early = newStudent('Pip', { positions: rules.positions });
  const violist = newStudent('Marlow', { plays: { instrument: 'viola' } });
  await Promise.all([added('plans', plan), ...[able, early, violist].map((student) => added('students', student))]);
  const gifts = await giveToEach(plan, [able, early, violist], planned);
  assert.deepEqual(
    gifts.map(({ kind }) => kind),
    ['given', 'unplayable', 'given'],
  );
  const [, refused] = gifts;
  assert.ok(refused.kind === 'unplayable');
  assert.equal(refused.offers[0].words, 'in 2 octaves');
  const of = async (id: string) => (await listPlans()).find(({ studentId }) => studentId === id);
  assert.equal(await of(early.id), undefined);
  const taken = await giveInstead(plan, early, refused.offers[0], planned);
  assert.equal(taken.kind, 'given');
  const copy = await of(early.id);
  assert.ok(copy && 'octaves' in copy.request.material);
  assert.equal(copy.request.material.octaves, 2);
  assert.equal(copy.name, 'For the violin');
  assert.equal((await of(violist.id))?.name, '', 'a name that says the other instrument is not true any more');
});

test('a plan is renamed and tagged in the list, put into the archive and brought back', async () => {
  const plan = newRecord(SCALE, 5, { tags: ['lesson'] });
  await added('plans', plan);
  const now = async () => (await getPlan(plan.id)) ?? assert.fail('the plan is gone');
  await nameAndTag(plan, '  For May ', 'spring, lesson, spring');
  assert.equal((await now()).name, 'For May');
  assert.deepEqual((await now()).tags, ['spring', 'lesson']);
  await archivePlan(await now(), true);
  assert.deepEqual((await now()).tags, ['spring', 'lesson', ARCHIVED]);
  await archivePlan(await now(), false);
  assert.deepEqual((await now()).tags, ['spring', 'lesson']);
});

test('the words of a search stay until they are changed', () => {
  lookFor('E flat');
  assert.equal(useStudio.getState().search, 'E flat');
  lookFor('');
  assert.equal(useStudio.getState().search, '');
});

test('the example studio stands beside one’s own, comes once, and leaves one’s own plans behind', async () => {
  const own = newRecord(SCALE, 5, { name: 'My own' });
  await added('plans', own);
  assert.equal(await fillWithDemo(), true);
  assert.equal(await fillWithDemo(), false);
  const [wren] = (await listStudents()).filter(({ name }) => name === 'Wren');
  assert.ok(isExample(wren.id));
  const mine = newRecord(SCALE, 6, { name: 'For Wren', studentId: wren.id });
  await added('plans', mine);
  const { changes, students, plans } = await demoRemoval();
  assert.equal(students, 5);
  assert.equal(plans, 7);
  assert.equal((await commit(changes, 'the example studio')).kind, 'written');
  assert.deepEqual(await listStudents(), []);
  const left = await listPlans();
  assert.deepEqual(left.map(({ name }) => name).sort(), ['For Wren', 'My own']);
  assert.ok(left.every(({ studentId }) => studentId === null));
  assert.equal(await fillWithDemo(), true);
});
