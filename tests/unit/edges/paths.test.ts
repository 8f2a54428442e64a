import assert from 'node:assert/strict';
import { test } from 'node:test';
import { run } from '../../support/commands';

/* What comes next, from the command line. */

const STUDENT = { instrument: 'cello', meaning: { level: 'first-year' } };
const scale = (tonic: string) => ({
  ...STUDENT,
  material: { type: 'scale', tonic, scale: 'major', octaves: 1, direction: 'up' },
});

const asked = (question: unknown) =>
  run('path', ['-'], typeof question === 'string' ? question : JSON.stringify(question));

test('the skills of a plan are told with their words and their notes', () => {
  const { code, out, said } = run('skills', ['-'], JSON.stringify(scale('D3')));
  assert.equal(code, 0, said);
  const { contract, skills } = JSON.parse(out.toString()) as {
    contract: number;
    skills: { id: string; words: string; at: number[] }[];
  };
  assert.equal(contract, 1);
  assert.deepEqual(skills.map(({ id }) => id).sort(), [
    'pattern:1-1-1',
    'position:1',
    'signature:2',
    'string:A3',
    'string:D3',
  ]);
  assert.deepEqual(skills.find(({ id }) => id === 'string:D3')?.at, [0, 1, 2, 3]);
  assert.match(skills.find(({ id }) => id === 'signature:2')?.words ?? '', /two sharps/);
  assert.equal(run('skills', ['-', '--way', '9'], JSON.stringify(scale('D3'))).code, 2);
});

test('a path is told step by step, as it is asked for', () => {
  const { code, out, said } = asked({ student: STUDENT, knownPlans: [scale('D3')], goal: scale('G2') });
  assert.equal(code, 0, said);
  const path = JSON.parse(out.toString()) as {
    missing: string[];
    steps: { request: object; new: string[]; review: string[]; leads: string[]; message: string }[];
    next: unknown[];
    rest: string[];
    provedBest: boolean;
  };
  assert.deepEqual(path.missing.sort(), ['signature:1', 'string:G2']);
  assert.deepEqual(path.rest, []);
  assert.ok(path.provedBest && path.next.length > 0);
  for (const step of path.steps) {
    assert.equal(step.new.length, 1);
    assert.match(step.message, /New: /);
  }
  assert.deepEqual(path.steps.at(-1)?.request, scale('G2'));
});

test('a question that cannot be understood is refused with where and what to do', () => {
  for (const [question, path] of [
    ['{', ''],
    [{ student: STUDENT }, '/goal'],
    [{ student: { instrument: 'kazoo' }, goal: { position: 1 } }, '/student/instrument'],
    [{ student: STUDENT, goal: { position: 99 } }, '/goal/position'],
    [{ student: STUDENT, goal: { scales: 'major', octaves: 1, keys: ['H major'] } }, '/goal/keys/0'],
    [{ student: STUDENT, goal: { all: [] } }, '/goal/all'],
    [{ student: STUDENT, goal: scale('D3'), knownPlans: [scale('X3')] }, '/knownPlans/0/material/tonic'],
  ] as const) {
    const { code, out, said } = asked(question);
    assert.equal(code, 2, said);
    assert.equal(out.length, 0);
    const { error } = JSON.parse(said) as { error: { issues: { path: string; message: string }[] } };
    assert.equal(error.issues[0].path, path);
    assert.ok(error.issues[0].message.length > 10);
  }
});
