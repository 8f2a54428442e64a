import assert from 'node:assert/strict';
import { test } from 'node:test';
import { apart, fieldsBetween, fits, joined, reversed, turnedRound, withFields } from '../../../src/store/changes';
import { newRecord } from '../../../src/store/records';
import { SCALE } from '../../support/world';

const record = newRecord(SCALE, 1);
const renamed = { ...record, name: 'Monday', changedAt: 9 };

test('a difference holds the fields that differ and no other', () => {
  assert.equal(fieldsBetween(record, { ...record, changedAt: 9 }), null, 'when is not what');
  const fields = fieldsBetween(record, renamed);
  assert.deepEqual(fields, { from: { name: record.name }, to: { name: 'Monday' } });
});

test('put on, it gives the one state, and turned round the other', () => {
  const fields = fieldsBetween(record, renamed);
  assert.ok(fields);
  assert.equal(withFields(record, fields).name, 'Monday');
  assert.deepEqual(withFields(withFields(record, fields), turnedRound(fields)), record);
});

test('two after each other are one; it fits where the first one did', () => {
  const first = fieldsBetween(record, renamed);
  const second = fieldsBetween(renamed, { ...renamed, name: 'Tuesday', tags: ['spring'] });
  assert.ok(first && second);
  assert.deepEqual(joined(first, second), {
    from: { name: record.name, tags: record.tags },
    to: { name: 'Tuesday', tags: ['spring'] },
  });
  assert.equal(fits(record, joined(first, second)), true);
  assert.equal(fits(renamed, first), false);
  assert.equal(apart(first, second), false);
  assert.equal(apart(first, { from: { tags: [] }, to: { tags: ['spring'] } }), true);
});

test('what was added is taken away again, and what was removed comes back whole', () => {
  const added = { kind: 'added', table: 'plans', record } as const;
  assert.deepEqual(reversed(added), { ...added, kind: 'removed' });
  assert.deepEqual(reversed(reversed(added)), added);
});
