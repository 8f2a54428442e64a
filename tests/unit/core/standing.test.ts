import assert from 'node:assert/strict';
import { test } from 'node:test';
import { standingOf, type PlanSkills, type Tried } from '../../../src/core/path';

/* Where a student stands with each skill, from the log and the teacher's word. */

const NOW = Date.UTC(2026, 10, 30);
const DAY = 86_400_000;

const PLAN: PlanSkills = {
  planId: 'scale',
  skills: [
    { id: 'position:3', at: [4, 5, 6] },
    { id: 'signature:2', at: [0] },
    { id: 'string:G3', at: [0] },
  ],
  goalBpm: 80,
  assigned: false,
};
const day = (n: number, reached?: number) => ({
  day: `2026-11-${String(n).padStart(2, '0')}`,
  planId: 'scale',
  ...(reached === undefined ? {} : { reached }),
});
/** A repetition of the whole, some days ago: clean, or off at an event. */
const tried = (ago: number, off?: number): Tried => ({
  planId: 'scale',
  at: NOW - ago * DAY,
  from: 0,
  to: 7,
  clean: off === undefined,
  place: off ?? null,
});
const standing = (given: Partial<Parameters<typeof standingOf>[0]>) =>
  new Map(standingOf({ plans: [PLAN], days: [], tried: [], said: [], now: NOW, ...given }).map((one) => [one.id, one]));
const how = (given: Partial<Parameters<typeof standingOf>[0]>, id = 'position:3') => standing(given).get(id)?.standing;

test('what nobody has practised is new; what was practised or is assigned is at work', () => {
  assert.equal(how({}), undefined);
  assert.equal(how({ days: [day(1)] }), 'at-work');
  assert.equal(how({ plans: [{ ...PLAN, assigned: true }] }), 'at-work');
});

test('known is what was clean at its goal on three different days', () => {
  assert.equal(how({ days: [day(1, 80), day(2, 84), day(3, 79)] }), 'at-work');
  assert.equal(how({ days: [day(1, 80), day(2, 84), day(2, 90)] }), 'at-work');
  assert.equal(how({ days: [day(1, 80), day(2, 84), day(3, 90)] }), 'known');
  const other: PlanSkills = { ...PLAN, planId: 'other', goalBpm: 60 };
  const days = [day(1, 80), day(2, 80), { ...day(3, 60), planId: 'other' }];
  assert.equal(how({ plans: [PLAN, other], days }), 'known', 'of several plans that have it');
});

const KNOWN = { days: [day(1, 80), day(2, 80), day(3, 80)] };

test('shaky is what is known and was off in three of the last ten tries; five clean ones running steady it', () => {
  const off = [tried(9, 5), tried(8, 5), tried(7, 4)];
  assert.equal(how({ ...KNOWN, tried: off }), 'shaky');
  assert.equal(how({ ...KNOWN, tried: off.slice(1) }), 'known');
  const steady = [6, 5, 4, 3, 2].map((ago) => tried(ago));
  assert.equal(how({ ...KNOWN, tried: [...off, ...steady.slice(1)] }), 'shaky');
  assert.equal(how({ ...KNOWN, tried: [...off, ...steady] }), 'known');
  assert.equal(how({ ...KNOWN, tried: off.map((one) => ({ ...one, at: one.at - 60 * DAY })) }), 'known', 'long ago');
  assert.equal(how({ days: [], tried: off }), undefined, 'never practised whole');
});

test('a try counts where it shows the skill: a slip elsewhere says only what came before it was in', () => {
  const elsewhere = [tried(9, 1), tried(8, 1), tried(7, 1)];
  assert.equal(standing({ ...KNOWN, tried: elsewhere }).get('position:3')?.tries, 0);
  assert.equal(standing({ ...KNOWN, tried: [tried(3, 7)] }).get('position:3')?.tries, 1);
  assert.equal(standing({ ...KNOWN, tried: [tried(3, 7)] }).get('position:3')?.off, 0);
  // A key has no place of its own: the whole of the plan was off.
  assert.equal(how({ ...KNOWN, tried: elsewhere }, 'signature:2'), 'shaky');
});

test('the teacher’s word goes before the log, both ways', () => {
  assert.equal(how({ ...KNOWN, said: [{ skill: 'position:3', has: false }] }), 'at-work');
  assert.equal(how({ said: [{ skill: 'position:3', has: true }] }), 'known');
  const said = standing({ said: [{ skill: 'thumb', has: true }] }).get('thumb');
  assert.equal(said?.standing, 'known');
  assert.ok(said?.said);
  assert.equal(how({ said: [{ skill: 'position:3', has: false }] }), undefined, 'nobody has worked at it');
});
