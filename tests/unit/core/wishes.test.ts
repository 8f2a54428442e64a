import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, requestIssues, resolveSetup, type Plan, type PlanRequest, type Rules } from '../../../src/core';
import { problemWords } from '../../../src/wording/problems';
import { speechOf } from '../../../src/wording/plans';
import { issueWords } from '../../../src/wording/issues';

const scale = (
  instrument: PlanRequest['instrument'],
  tonic: string,
  octaves: number,
  rules: Rules = {},
): PlanRequest => ({
  instrument,
  rules,
  alternatives: 1,
  material: { type: 'scale', tonic, scale: 'major', octaves, direction: 'up' },
});
const best = (request: PlanRequest): Plan => {
  const [first] = plan(request).plans;
  assert.ok(first, JSON.stringify(request));
  return first;
};

test('two fingers that are to touch touch wherever both are used', () => {
  for (const touch of [
    [1, 2],
    [2, 3],
    [3, 4],
  ] as const)
    for (const tonic of ['D4', 'G4', 'Bb3', 'A3']) {
      const one = plan(scale('violin', tonic, 2, { patterns: [{ string: 'A4', touch: [...touch] }] })).plans[0];
      if (!one) continue;
      for (const { string, fingers } of one.frames) {
        const [low, high] = touch.map((finger) => fingers[`${finger}`]);
        if (string === 'A4' && low !== undefined && high !== undefined) assert.equal(high - low, 1, tonic);
      }
    }
});

test('shifts arrive on semitones where there is one within two notes', () => {
  for (const tonic of ['A3', 'Bb3', 'C4', 'D4', 'G3']) {
    const response = plan(scale('violin', tonic, 3, { shiftOn: 'semitone' }));
    const midi = response.events.map((event) => ('midi' in event ? event.midi[0] : NaN));
    const isSemitone = (at: number) => Math.abs(midi[at] - midi[at - 1]) === 1;
    for (const { to } of response.plans[0].shifts)
      assert.ok(isSemitone(to) || ![-2, -1, 1, 2].some((near) => isSemitone(to + near)), `${tonic} ${to}`);
  }
});

test('a cello hand opens only the way that was asked for, and a lock says how it lies', () => {
  for (const tonic of ['D2', 'Eb2', 'A2', 'Bb2'])
    for (const way of ['forward', 'back'] as const) {
      const one = plan(scale('cello', tonic, 2, { extensions: way })).plans[0];
      const other = way === 'forward' ? 'back' : 'forward';
      for (const { frame } of one.steps) assert.notEqual(frame, other, `${tonic} ${way}`);
    }
  const locked = best(scale('cello', 'D2', 1, { locks: [{ at: 2, frame: 'back' }] }));
  assert.equal(locked.steps[2].frame, 'back');
  const [issue] = requestIssues(scale('violin', 'A3', 1, { locks: [{ at: 2, frame: 'back' }] }));
  assert.equal(issue.code, 'no-frames');
  assert.match(issueWords(issue), /cello/);
  const [apart] = requestIssues(scale('violin', 'A3', 1, { patterns: [{ string: 'A4', touch: [1, 3] }] }));
  assert.deepEqual([apart.path, apart.code], ['/rules/patterns/0/touch', 'not-neighbours']);
  const [string] = requestIssues(scale('violin', 'A3', 1, { patterns: [{ string: 'C4', touch: [1, 2] }] }));
  assert.equal(string.code, 'no-string');
});

test('a harmonic asked where the string has none is offered at the nearest note that has one', () => {
  const request = scale('violin', 'D4', 2, { locks: [{ at: 6, harmonic: true }] });
  const [problem] = plan(request).problems;
  assert.deepEqual(problem.relax, { locks: [{ at: 7, harmonic: true }] });
  const [one] = plan({ ...request, rules: problem.relax }).plans;
  assert.ok(one.steps[7].stops.some(({ harmonic }) => harmonic));
  assert.match(problemWords(problem, request, speechOf('violin', plan(request))), /nearest note that has one/);
});

test('a scale in double stops begins with the first that exists, and says so', () => {
  const thirds: PlanRequest = {
    instrument: 'violin',
    material: { type: 'double-stops', interval: 'third', tonic: 'G3', scale: 'major', octaves: 1, direction: 'updown' },
  };
  const response = plan(thirds);
  const [problem] = response.problems;
  assert.deepEqual([problem.code, problem.missing], ['begins-later', 2]);
  // G–B and A–C lie on the G string alone; B–D is the first, up and down.
  const [first] = response.events;
  assert.deepEqual('pitches' in first && first.pitches, ['B3', 'D4']);
  assert.deepEqual(response.events.at(-1), { ...first, at: response.events.length - 1 });
  assert.equal(response.plans[0].steps.length, response.events.length);
  assert.match(problemWords(problem, thirds, speechOf('violin', response)), /begins on B3 and D4/);
  const { material } = thirds;
  const down = plan({ ...thirds, material: { ...material, direction: 'down' } as typeof material });
  assert.deepEqual(down.events.at(-1), { ...first, at: down.events.length - 1 });
});

test('four octaves are planned from A, B flat and B on the violin and from C on the viola, if the fingerboard goes on', () => {
  for (const [instrument, tonic] of [
    ['violin', 'A3'],
    ['violin', 'Bb3'],
    ['violin', 'B3'],
    ['viola', 'C3'],
  ] as const) {
    const request = scale(instrument, tonic, 4);
    const one = best(request);
    const top = Math.max(...one.steps.flatMap(({ stops }) => stops.map(({ semitones }) => semitones)));
    assert.ok(top <= resolveSetup(request).furthestSemitones && top > resolveSetup(request).reachSemitones);
    const [problem] = plan({ ...request, fingerboardSemitones: 24 }).problems;
    assert.equal(problem.code, 'too-high');
    assert.deepEqual(problem.instead?.[0], { material: { octaves: 3 } });
  }
});
