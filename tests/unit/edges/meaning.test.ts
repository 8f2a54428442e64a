import assert from 'node:assert/strict';
import { test } from 'node:test';
import { findingsOf, plan, type PlanRequest } from '../../../src/core';
import { answerValue, isError } from '../../../src/work/answering';
import { aimOf } from '../../../src/wording/meaning';
import { cueWords } from '../../../src/wording/findings';

const request: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 2, direction: 'updown' },
  alternatives: 2,
};

function answered(asked: unknown) {
  const answer = answerValue(asked);
  assert.ok(!isError(answer), JSON.stringify(answer).slice(0, 300));
  return answer;
}

test('meaning is answered only where it is asked for, for every plan, in the words of the page', () => {
  assert.ok(answered(request).plans.every(({ meaning }) => meaning === undefined));
  const asked: PlanRequest = { ...request, meaning: { intonation: 'pythagorean', strings: 'pure', level: 'middle' } };
  const { plans } = answered(asked);
  const response = plan(asked);
  plans.forEach(({ meaning }, at) => {
    assert.ok(meaning);
    const findings = findingsOf(asked, response, response.plans[at], aimOf(asked));
    assert.deepEqual(
      meaning.findings.map(({ code, at: events }) => [code, events]),
      findings.ranked.map(({ kind, events }) => [kind, events]),
    );
    assert.equal(meaning.notes.length, response.plans[at].steps.length);
    assert.deepEqual(
      meaning.cues.map(({ message }) => message),
      findings.cues.map((cue) => cueWords(cue, 'violin')),
    );
    for (const { fingers } of meaning.cues) assert.ok(fingers.length > 0);
    for (const { message } of meaning.findings) assert.match(message, /^Bar \d+, beat.*\.$/);
  });
});

test('first-finger B on the A string: the fifth under open E fits, the sixth over open D is a comma lower', () => {
  const locks = [{ at: 0, finger: 1 as const, string: 'A4' }];
  const material = { type: 'notes', key: 'G major', notes: [{ pitches: ['B4'] }] } as const;
  const { plans } = answered({
    instrument: 'violin',
    material,
    rules: { locks },
    meaning: { intonation: 'pythagorean' },
  });
  const [note] = plans[0].meaning?.notes ?? [];
  assert.deepEqual(note.stops, [{ cents: 3.9, mm: 0.7, toleranceCents: 12, toleranceMm: 2 }]);
  const [best] = note.checks;
  assert.deepEqual([best.string, best.interval, best.fits, best.together, best.beats], ['E5', 'fourth', true, true, 0]);
  assert.equal(best.message, 'Open E, a fourth, together: no beats.');
  const sixth = note.checks.find(({ interval }) => interval === 'major sixth');
  assert.ok(sixth && !sixth.fits && Math.abs(sixth.offCents - 21.5) < 0.05, 'too wide by a comma');
});

test('a drone sets the tonic, a table is taken, and what cannot be read is named', () => {
  const just = answered({ ...request, meaning: { intonation: 'just', drone: 'D4' } });
  const plain = answered({ ...request, meaning: { intonation: 'just' } });
  assert.notDeepEqual(just.plans[0].meaning?.notes, plain.plans[0].meaning?.notes);
  const table = [0, -9, 4, 16, -14, -2, -10, 2, 14, -16, 18, -12];
  const own = answered({ ...request, meaning: { intonation: table } });
  assert.ok(own.plans[0].meaning?.notes.some(({ stops }) => stops[0].cents === -14));
  for (const [meaning, path] of [
    [{ drone: 'H9' }, '/meaning/drone'],
    [{ intonation: [1, 2] }, '/meaning/intonation'],
    [{ level: 'master' }, '/meaning/level'],
    [{ tuner: true }, '/meaning/tuner'],
  ] as const) {
    const answer = answerValue({ ...request, meaning });
    assert.ok(isError(answer));
    assert.ok(
      answer.error.issues.some((issue) => issue.path.startsWith(path) || issue.path === '/meaning'),
      JSON.stringify(answer.error.issues),
    );
  }
});
