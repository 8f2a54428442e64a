import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  aimFor,
  byKind,
  earlyIn,
  leansSurely,
  countsOf,
  joinedSums,
  KINDS,
  kindsOfNotes,
  findingsOf,
  plan,
  playedNotes,
  wilsonInterval,
  trendsIn,
  type DayOfSums,
  type Judged,
  type JudgedPlace,
  type PlanRequest,
  type Sums,
} from '../../../src/core';
import { seeded } from '../../../src/app/practice/seeded';
import { earlyWords, trendMore, trendWords } from '../../../src/wording/practice';
import { NIGHTLY, seedOf } from '../../support/runs';
import { firstTold, oftenTold, sideTold, STEADY } from '../../support/students';

test('there are forty kinds of place, fixed beforehand', () => {
  assert.equal(KINDS.length, 40);
  assert.equal(new Set(KINDS).size, 40);
});

/** Students for each question; many more by night. */
const STUDENTS = NIGHTLY ? 200 : 3;
/** Looked at so often, in days: every second by night. */
const EVERY = NIGHTLY ? 2 : 28;

test('in half a year of looks hardly a student without a weakness hears of one, however the work is done', () => {
  for (const [name, habit] of Object.entries(STEADY)) {
    let alarms = 0;
    for (let student = 0; student < STUDENTS; student++)
      if (firstTold(seeded(seedOf(900) + 31 * student), habit, EVERY)) alarms++;
    // Five in a hundred for each of two questions; of few students three times as many may come by luck.
    assert.ok(alarms <= (NIGHTLY ? 0.13 * STUDENTS : 1), `${name}: ${alarms} of ${STUDENTS}`);
  }
});

/** Students that are asked how soon they are told; more by night. */
const ASKED = NIGHTLY ? 400 : 80;

test('a kind that is low four times in five is told: to half of students after 40 tries that were off, to most after 80', () => {
  const share = (off: number) => {
    let told = 0;
    for (let student = 0; student < ASKED; student++) if (sideTold(seeded(seedOf(off) + 7 * student), off)) told++;
    return told / ASKED;
  };
  const [forty, sixty, eighty] = [40, 60, 80].map(share);
  // About 0.55, 0.82 and 0.96; of few students three standard deviations may come by luck.
  const luck = 3 * Math.sqrt(0.25 / ASKED);
  assert.ok(Math.abs(forty - 0.55) < luck, String(forty));
  assert.ok(sixty > 0.82 - luck && sixty > forty, String(sixty));
  assert.ok(eighty > 0.96 - luck, String(eighty));
});

test('a place off in a fifth of its tries beside a tenth elsewhere is told to most after 250 tries, and to few by luck', () => {
  const share = (off: number) => {
    let told = 0;
    for (let student = 0; student < 100; student++)
      if (oftenTold(seeded(seedOf(77) + 13 * student), { tries: 250, others: 2000, off })) told++;
    return told / 100;
  };
  const [weak, steady] = [0.2, 0.1].map(share);
  assert.ok(weak > 0.5, String(weak));
  assert.ok(steady <= 0.05, String(steady));
});

test('what is off more often is told once, not for every kind it shares, and never beside tries that were made otherwise', () => {
  const chance = seeded(3);
  const days: DayOfSums[] = [];
  for (let n = 0; n < 60; n++) {
    let sums: Sums = {};
    for (let one = 0; one < 16; one++) {
      const shift = one % 4 === 0;
      const kinds = [`finger-${1 + (one % 3)}-3`, `string-${1 + (one % 2)}`, ...(shift ? ['up-3', 'shift-other'] : [])];
      const off = Number(chance() < (shift ? 0.5 : 0.1));
      const low = Number(chance() < 0.5);
      sums = joinedSums(sums, { [[...kinds, 'of-16'].sort().join(' ')]: [1, off * low, off * (1 - low), 0] });
    }
    days.push({ day: String(n).padStart(3, '0'), sums });
  }
  const [trend, ...more] = trendsIn(days);
  assert.equal(trend.kind, 'up-3');
  assert.deepEqual(more, []);
  // Sometimes low and sometimes high: an ear to train, not a place to move.
  assert.equal(trend.side, undefined);
  assert.ok(trend.often && trend.often.counts[0] === 240 && trend.often.others[0] === 720);
  // A target is off far more often than a note of a passage; that is no weakness of its kind.
  const apart = days.map(({ day }): DayOfSums => ({
    day,
    sums: { 'finger-4-1 of-1': [10, 1, 1, 0], 'finger-1-1 of-16': [100, 1, 1, 0] },
  }));
  assert.deepEqual(trendsIn(apart), []);
});

test('what is hardly off any more is said to be mended, and what leans a little is only counted', () => {
  const day = (n: number, sums: Sums): DayOfSums => ({ day: String(n).padStart(3, '0'), sums });
  const days = Array.from({ length: 40 }, (_, n) =>
    day(n, n < 30 ? { 'finger-3-3 of-16': [6, 3, 0, 0] } : { 'finger-3-3 of-16': [6, 0, 0, 0] }),
  );
  const [trend] = trendsIn(days, '030');
  assert.equal(trend.side, 'low');
  assert.deepEqual(trend.mended, { before: [180, 90, 0, 0], late: [60, 0, 0, 0] });
  assert.match(trendWords(trend), /low in 90 of 90/);
  assert.match(trendMore(trend), /Mended: off in 0 of 60/);
  const few = [day(0, { 'finger-2-1 of-16': [40, 7, 2, 0] })];
  assert.deepEqual(trendsIn(few), []);
  const [early] = earlyIn(few, []);
  assert.match(earlyWords(early), /too early to say, 7 of 9 low/);
  assert.ok(!leansSurely([1268, 0, 1, 0]), 'one of many is no leaning');
});

test('a repetition counts for the places that were judged: up to the first slip, and only that off', () => {
  const places: JudgedPlace[] = [
    { at: 2, kinds: ['finger-1-1'] },
    { at: 3, kinds: ['finger-3-3'] },
    { at: 4, kinds: ['finger-4-1'] },
    { at: 9, kinds: ['finger-2-1'] },
  ];
  const judged: Judged = {
    ...{ kind: 'judged', id: 'a', sessionId: 's', number: 0, at: 0, step: 0, from: 0, to: 5, bpm: 40 },
    ...{ heard: 'low', place: 3 },
  };
  assert.deepEqual(countsOf(judged, places), { 'finger-1-1 of-3': [1, 0, 0, 0], 'finger-3-3 of-3': [1, 1, 0, 0] });
  assert.deepEqual(countsOf({ ...judged, place: null }, places), {});
  assert.deepEqual(countsOf(judged, [places[1]]), { 'finger-3-3 of-1': [1, 1, 0, 0] });
  const clean = countsOf({ ...judged, heard: 'in', place: null, bpm: 100 }, places);
  assert.deepEqual(byKind(clean).get('tempo-100'), [3, 0, 0, 0]);
  assert.equal(byKind(clean).get('tempo-120'), undefined);
});

test('sums put together in any order are the same', () => {
  const [a, b]: Sums[] = [
    { 'finger-1-1': [3, 1, 0, 0], trap: [2, 0, 1, 1] },
    { trap: [1, 1, 0, 0], thumb: [4, 0, 0, 0] },
  ];
  const both = { 'finger-1-1': [3, 1, 0, 0], trap: [3, 1, 1, 1], thumb: [4, 0, 0, 0] };
  assert.deepEqual(joinedSums(a, b), both);
  assert.deepEqual(joinedSums(b, a), both);
});

test('every note of a plan has its finger and its string, every shift its direction and distance', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'updown' },
  };
  const response = plan(request);
  const [best] = response.plans;
  const findings = findingsOf(request, response, best, aimFor('middle'));
  const kinds = kindsOfNotes(playedNotes(response.events, best, findings.setup), findings);
  for (const { at, stops, position } of best.steps) {
    const [{ finger }] = stops;
    const own = kinds.get(at) ?? [];
    if (finger === 0) assert.ok(!own.some((kind) => kind.startsWith('finger')));
    else if (position !== 'thumb')
      assert.ok(own.some((kind) => kind === `finger-${finger}-${Math.min(5, Math.max(1, Math.floor(position)))}`));
  }
  for (const { to, fromPosition, toPosition } of best.shifts) {
    const up = Number(toPosition) > Number(fromPosition);
    const away = Math.min(3, Math.abs(Number(toPosition) - Number(fromPosition)));
    assert.ok(
      (kinds.get(to) ?? []).some((kind) => kind === `${up ? 'up' : 'down'}-${away}`),
      String(to),
    );
  }
});

test('the interval of a share holds it, and is honest for none and for few', () => {
  const [low, high] = wilsonInterval(19, 22);
  assert.ok(low > 0.6 && low < 19 / 22 && high > 19 / 22 && high < 1);
  assert.deepEqual(wilsonInterval(0, 0), [0, 1]);
  assert.ok(wilsonInterval(0, 5)[1] > 0.4);
});
