import assert from 'node:assert/strict';
import { test } from 'node:test';
import { differencesBetween, type Placed } from '../../../src/wording/differences';
import { forStudent, madeForNow, playingIssues } from '../../../src/app/brief/student';
import {
  heldAlike,
  oddMeasures,
  placesIn,
  plan,
  requestIssues,
  type PlanRequest,
  type StudentRecord,
} from '../../../src/core';
import { oddMeasureWords } from '../../../src/wording/instruments';
import { issueWords } from '../../../src/wording/issues';
import { demoStudio } from '../../../src/store/demoStudio';
import { newRecord } from '../../../src/store/records';

const { students } = demoStudio(0);
const student = (name: string): StudentRecord => {
  const found = students.find((one) => one.name === name);
  assert.ok(found, name);
  return found;
};

const SCALE: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' },
  rules: { openStrings: 'avoid', locks: [{ at: 2, finger: 1 }], never: [{ at: 5, shift: true }] },
};

const placed = (request: PlanRequest): Placed => {
  const response = plan(request);
  return { request, response, plan: response.plans[0] };
};

test('on the same instrument a plan keeps its notes and demands and takes the hand and positions', () => {
  const given = forStudent(SCALE, student('Pip'));
  assert.equal(given.size, '1/2');
  assert.deepEqual(given.hand, { relaxedMm: 58, fullMm: 70, fingertipMm: 9 });
  assert.deepEqual(given.rules?.positions, { from: 1, to: 1 });
  assert.deepEqual(given.rules?.locks, SCALE.rules?.locks);
  assert.deepEqual(given.material, SCALE.material);
  assert.equal(given.style, 'secure');
});

test('on another instrument the key begins where the hand met it, and demands at notes are left behind', () => {
  const viola = forStudent(SCALE, student('Marlow'));
  assert.equal('tonic' in viola.material && viola.material.tonic, 'Eb3');
  assert.equal(viola.rules?.locks, undefined);
  assert.equal(viola.rules?.never, undefined);
  assert.equal(viola.rules?.openStrings, 'avoid');
  assert.ok(plan({ ...viola, rules: { positions: { from: 1, to: 3 } } }).plans.length > 0);
  const high = { ...SCALE, material: { ...SCALE.material, tonic: 'Eb6' } as PlanRequest['material'] };
  assert.deepEqual(requestIssues(forStudent(high, student('Juno'))), []);
  const bass = forStudent(SCALE, student('Otis'));
  assert.equal(bass.school, 'one-two-four');
  assert.ok(plan(bass).plans.length > 0);
});

test('a plan takes the taste noticed for its student, and leaves another’s behind', () => {
  const taste = { 'little-finger': 0.4 };
  assert.deepEqual(forStudent(SCALE, { ...student('Wren'), preferences: taste }).preferences, taste);
  const from = { ...SCALE, preferences: taste };
  assert.equal(forStudent(from, student('Pip')).preferences, undefined);
});

test('measures smaller than a child’s or larger than a giant’s are told, and taken as they are', () => {
  const hand = (fullMm: number, fingertipMm = 12) => ({ relaxedMm: 40, fullMm, fingertipMm });
  assert.deepEqual(oddMeasures(hand(100)), []);
  assert.deepEqual(oddMeasures(hand(45, 5)), ['small-spread', 'small-fingertip']);
  assert.deepEqual(oddMeasures(hand(230, 30)), ['wide-spread', 'wide-fingertip']);
  assert.match(oddMeasureWords(['small-spread']), /kept as typed/);
});

test('every demo plan can be given to every demo student', () => {
  const { plans } = demoStudio(0);
  for (const { request, name } of plans)
    for (const one of students) assert.deepEqual(requestIssues(forStudent(request, one)), [], `${name} to ${one.name}`);
});

test('a plan is known to be for what its student plays on now', () => {
  const wren = student('Wren');
  const record = newRecord(forStudent(SCALE, wren), 0, { studentId: wren.id });
  assert.ok(madeForNow(record, wren));
  assert.ok(!madeForNow(record, { ...wren, plays: { ...wren.plays, hand: 'small' } }));
});

test('contradicting measures and wrong strings are named', () => {
  const [issue] = playingIssues({ instrument: 'violin', hand: { relaxedMm: 80, fullMm: 70, fingertipMm: 9 } });
  assert.match(issueWords(issue), /cannot be wider than the full one/);
  const [wrong] = playingIssues({ instrument: 'violin', tuning: ['G3', 'D3', 'A4'] });
  assert.match(issueWords(wrong), /low to high/);
  assert.deepEqual(playingIssues({ instrument: 'cello' }), []);
});

test('what is otherwise for another student is told: instrument, start, demands, shifts, fingers', () => {
  const source = placed({ ...SCALE, rules: { ...SCALE.rules, positions: undefined } });
  const told = differencesBetween(source, placed(forStudent(source.request, student('Juno'))));
  assert.match(told.join('\n'), /On a full-size cello \(string 692 mm\) instead of a full-size violin/);
  assert.match(told.join('\n'), /2 demands at single notes were left out/);
  assert.match(told.join('\n'), /Other fingers at bar/);
  assert.deepEqual(differencesBetween(source, source), ['Every finger is the same.']);
});

test('for a smaller hand on the same strings the changed notes are the ones that differ', () => {
  const high = { ...SCALE, material: { ...SCALE.material, tonic: 'Bb3' } as PlanRequest['material'] };
  const source = placed({ ...high, style: 'singing', rules: { positions: { from: 2, to: 5 } } });
  const given = placed({ ...high, rules: { positions: { from: 1, to: 1 } } });
  const told = differencesBetween(source, given).join('\n');
  const differ = source.plan.steps.filter((step, at) => !heldAlike(step, given.plan.steps[at]));
  assert.ok(differ.length > 0);
  const { bar, beat } = placesIn(source.response)(differ[0].at);
  assert.match(told, new RegExp(`at bar ${bar}, beats? ${beat}\\b`));
});
