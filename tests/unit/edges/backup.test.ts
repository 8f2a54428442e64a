import assert from 'node:assert/strict';
import { test } from 'node:test';
import { BACKUP_VERSION, backupText, joinPlans, readBackup } from '../../../src/store/backup';
import { demoPlans } from '../../../src/store/demo';
import { plan, requestIssues } from '../../../src/core';

const plans = demoPlans(1_700_000_000_000);
const text = backupText(plans, new Date(0));
const trouble = (file: string) => {
  const reading = readBackup(file);
  return reading.kind === 'trouble' ? reading.message : 'no trouble';
};

test('what is backed up is read back whole', () => {
  assert.deepEqual(readBackup(text), { kind: 'plans', plans: JSON.parse(text).plans });
  assert.equal(JSON.parse(text).plans.length, plans.length);
});

test('every demo plan is sound', () => {
  for (const { name, request } of plans) {
    assert.deepEqual(requestIssues(request), [], name);
    assert.ok(plan(request).plans.length > 0, name);
  }
});

test('broken, foreign and later files are refused with a sentence', () => {
  assert.match(trouble(text.slice(0, 200)), /not JSON|cut off/);
  assert.match(trouble('[1,2,3]'), /not written by Dove Path/);
  assert.match(trouble('null'), /not written by Dove Path/);
  assert.match(trouble(text.replace(`"version": ${BACKUP_VERSION}`, '"version": 99')), /later version/);
  assert.match(trouble(text.replace('"chosen": 0', '"chosen": "first"')), /damaged at \/plans\/0\/chosen/);
  assert.match(
    trouble(text.replace('"tonic": "Eb4"', '"tonic": "H4"')),
    /damaged at \/plans\/0\/request\/material\/tonic/,
  );
});

test('restoring adds what is new, leaves out what is here, and copies what differs', () => {
  const [first, ...rest] = plans;
  assert.deepEqual(joinPlans([], plans), { added: plans, known: 0 });
  assert.deepEqual(joinPlans(plans, plans), { added: [], known: plans.length });
  const renamed = { ...first, name: 'Other' };
  const { added, known } = joinPlans([renamed, ...rest], plans);
  assert.equal(known, rest.length);
  assert.equal(added.length, 1);
  assert.notEqual(added[0].id, first.id);
  assert.match(added[0].name, /from backup/);
});
