import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  aimFor,
  drillForFinding,
  findingsOf,
  plan,
  resolveHand,
  shiftsInstead,
  withoutShift,
  type Finger,
  type Findings,
  type Level,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../../../src/core';
import { findingWords } from '../../../src/wording/findings';
import { speechOf } from '../../../src/wording/plans';
import { guideWords, HAND_CUES, kindSentence } from '../../../src/wording/shifts';
import { planAlone } from '../best';
import { corpus } from '../../support/corpus';

/*
 * What is said of a plan, held against the plan itself: its hand, its spreads, its rests, and what planning anew gives.
 */

const LEVELS: readonly Level[] = ['first-year', 'early', 'middle', 'advanced'];

interface Said {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly first: Plan;
  readonly level: Level;
  readonly findings: Findings;
}

/** Every plan of the corpus, told to players of each level. */
function* all(most?: number): Generator<Said> {
  for (const { request, response } of corpus(most)) {
    const [first] = response.plans;
    if (!first) continue;
    for (const level of LEVELS)
      yield { request, response, first, level, findings: findingsOf(request, response, first, aimFor(level)) };
  }
}

const AT_REST: ReadonlySet<string> = new Set(['thumb-free', 'base-free', 'fourth-curved']);
/** How far pairs of fingers open, as shares of the whole hand; written down here once more. */
const SHARES: Readonly<Record<string, number>> = {
  '12': 0.6,
  '23': 0.47,
  '34': 0.45,
  '13': 0.78,
  '24': 0.75,
  '14': 1,
  T1: 0.75,
  T2: 1,
  T3: 1.2,
  T4: 1.35,
};

test('one cue a place; held is what stays and what the hand spans; nothing is told across a rest', () => {
  const seen = { hold: 0, rests: 0 };
  for (const { request, response, first, findings } of all()) {
    const steps = new Map(first.steps.map((step) => [step.at, step]));
    const places = findings.cues.map(({ at }) => at);
    assert.equal(new Set(places).size, places.length);
    const { lengthMm } = findings.setup;
    const hand = resolveHand(findings.setup, request.hand);
    for (const { at, cue, fingers } of findings.cues) {
      const before = response.events[at - 1];
      if ('rest' in before) {
        seen.rests++;
        assert.ok(AT_REST.has(cue) || cue === 'octaves' || cue === 'double-stops' || cue === 'unlock', cue);
      }
      if (cue !== 'hold') continue;
      seen.hold++;
      const [was, is] = [steps.get(at - 1) ?? assert.fail(), steps.get(at) ?? assert.fail()];
      const [held, set] = [was.stops[0], is.stops[0]];
      assert.deepEqual(fingers, [held.finger, set.finger]);
      assert.equal(is.hand[String(held.finger) as '1'], held.semitones, 'the finger has not moved');
      const mm = lengthMm * Math.abs(2 ** (-held.semitones / 12) - 2 ** (-set.semitones / 12));
      const pair = [held.finger, set.finger].map(String).sort().reverse().join('');
      const share = SHARES[pair] ?? SHARES[[...pair].reverse().join('')];
      assert.ok(mm <= hand.fullMm * share + 1e-6, `${pair} ${mm}`);
    }
  }
  assert.ok(seen.hold > 500 && seen.rests > 5, JSON.stringify(seen));
});

test('what is said of a shift agrees with its kind, its guide and its rests', () => {
  const kinds = new Map<string, number>();
  for (const { findings } of all())
    for (const { shift, cues, from, to } of findings.shifts) {
      kinds.set(shift.kind, (kinds.get(shift.kind) ?? 0) + 1);
      const words = `${kindSentence(shift)} ${guideWords(shift)} ${cues.map((cue) => HAND_CUES[cue]).join(' ')}`;
      const rested = shift.to - shift.from > 1;
      if (rested) assert.deepEqual(cues, []);
      if (/never leaves the string/.test(words)) assert.equal(from.string, to.string, words);
      if (!shift.guide) assert.doesNotMatch(words, /Guide:|finger leads|finger slides/);
      if (/thumb goes back under the neck/i.test(words)) assert.ok(shift.toPosition !== 'thumb', words);
      if (shift.kind === 'to-thumb') assert.doesNotMatch(words, /travel together|first finger leads|never leaves/);
      if (shift.kind === 'from-thumb') assert.doesNotMatch(words, /travel together|set down|never leaves/);
      const lead = shift.kind === 'old-finger' ? shift.fromFinger : shift.kind === 'new-finger' ? shift.toFinger : null;
      if (lead !== null && shift.guide && shift.guide.finger !== lead)
        assert.match(words, /guides: .* no place of its own/);
    }
  for (const kind of ['same-finger', 'old-finger', 'new-finger', 'open-string', 'across-strings'])
    assert.ok((kinds.get(kind) ?? 0) > 20, `${kind}: ${kinds.get(kind)}`);
});

test('into thumb position, out of it and along it the words are of that, and of nothing else', () => {
  const request: PlanRequest = {
    instrument: 'cello',
    material: { type: 'scale', tonic: 'C2', scale: 'major', octaves: 4, direction: 'updown' },
    alternatives: 1,
  };
  const response = plan(request);
  const { shifts } = findingsOf(request, response, response.plans[0], aimFor('middle'));
  const kinds = new Set(shifts.map(({ shift }) => shift.kind));
  assert.ok(shifts.length > 3 && (kinds.has('to-thumb') || kinds.has('from-thumb')), [...kinds].join());
});

test('at the tempo that is named a hurried shift has its time, and no faster one is named', () => {
  let seen = 0;
  for (const { request, response, first, level } of all()) {
    const hurried = { ...request, tempo: { bpm: 200 } };
    const { shifts } = findingsOf(hurried, response, first, aimFor(level));
    for (const { beginAt, seconds, shift } of shifts) {
      const needed = { 'first-year': 2, early: 1.5, middle: 1, advanced: 0.75 }[level] * (0.2 + shift.travelMm / 600);
      if (Math.abs(seconds - needed) > 1e-6) assert.equal(beginAt !== undefined, seconds < needed);
      if (beginAt === undefined) continue;
      seen++;
      assert.ok(beginAt <= 20 || (seconds * 200) / beginAt >= needed - 1e-9);
      assert.ok((seconds * 200) / (beginAt + 2) < needed || beginAt === 20);
    }
  }
  assert.ok(seen > 20, String(seen));
});

test('a shift is said to go by a semitone only where the hand goes a semitone', () => {
  let seen = 0;
  for (const { response } of corpus())
    for (const one of response.plans)
      for (const { semitones, reasons } of one.shifts)
        for (const { data } of reasons)
          if (data.kind === 'moment' && data.good.includes('semitone')) {
            seen++;
            assert.equal(semitones, 1);
          }
  assert.ok(seen > 20, String(seen));
});

test('every plan has something to say, in a sentence that is short and names its places', () => {
  let stretches = 0;
  for (const { request, response, first, level, findings } of all()) {
    assert.ok(findings.ranked.length > 0, JSON.stringify(request.material));
    const speech = speechOf(request.instrument, response, 'letters', level === 'first-year' ? 'low-high' : 'numbers');
    for (const finding of findings.ranked) {
      const words = findingWords(finding, findings.setup, speech);
      assert.ok(words.length <= 140, `${words.length}: ${words}`);
      assert.match(words, /^(Bar|Pick-up) ?\d*, .*[.!]$/);
      assert.doesNotMatch(words, /cost|trap|undefined|NaN|\bsemitones\b|one more places/);
      if (finding.kind === 'stretch') {
        stretches++;
        const { stops } = first.steps.find(({ at }) => at === finding.reach.at) ?? assert.fail();
        const finger = String(finding.note.finger);
        assert.ok(stops.some((stop) => String(stop.finger) === finger));
        assert.ok(words.includes(finger === 'T' ? 'the thumb' : finger === '0' ? 'open' : `inger ${finger}`), words);
      }
    }
  }
  assert.ok(stretches > 50, String(stretches));
});

test('a beginner and a chromatic line do not hear of a comma first', () => {
  for (const { request, level, findings } of all()) {
    const chromatic = request.material.type === 'scale' && request.material.scale === 'chromatic';
    if (level === 'first-year' || chromatic)
      assert.ok(findings.ranked.length === 1 || findings.ranked[0].kind !== 'comma', JSON.stringify(request.material));
  }
});

/** What the first lessons of a child say, in the order in which they are said. */
const LESSONS: readonly (readonly [PlanRequest, Level, readonly string[]])[] = [
  [
    {
      instrument: 'violin',
      size: '1/4',
      material: { type: 'scale', tonic: 'D4', scale: 'major', octaves: 1, direction: 'up' },
      rules: { positions: { only: [1] }, fourthFinger: 'never' },
    },
    'first-year',
    ['pattern', 'same-again', 'stay-down', 'rings', 'tonic'],
  ],
  [
    {
      instrument: 'cello',
      size: '1/4',
      material: { type: 'scale', tonic: 'D3', scale: 'major', octaves: 1, direction: 'up' },
      rules: { positions: { only: [1] } },
    },
    'first-year',
    ['pattern', 'same-again', 'stay-down', 'rings', 'tonic'],
  ],
  [
    {
      instrument: 'violin',
      material: { type: 'notes', key: 'D major', notes: ['F4', 'F#4', 'G4'].map((pitch) => ({ pitches: [pitch] })) },
      rules: { positions: { only: [1] } },
    },
    'first-year',
    ['low-high', 'rings'],
  ],
  [
    { instrument: 'violin', material: { type: 'notes', key: 'D major', notes: [{ pitches: ['D4'] }] } },
    'first-year',
    ['tonic'],
  ],
];

test('first lessons: the pattern, the same again, low and high, fingers that stay, ringing notes, the tonic', () => {
  for (const [request, level, order] of LESSONS) {
    const response = planAlone(request);
    const { ranked } = findingsOf(request, response, response.plans[0], aimFor(level));
    const kinds = ranked.flatMap((finding) => (finding.kind === 'lesson' ? [finding.lesson.kind] : []));
    assert.deepEqual(kinds, order);
  }
});

test('a passage of octaves is one finding, with its cue once, and is drilled voice by voice', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: {
      type: 'double-stops',
      interval: 'octave',
      tonic: 'A3',
      scale: 'major',
      octaves: 1,
      direction: 'updown',
    },
    alternatives: 1,
  };
  const response = plan(request);
  const [first] = response.plans;
  const { ranked, cues, setup } = findingsOf(request, response, first, aimFor('middle'));
  assert.ok(first.shifts.length > 5);
  assert.equal(ranked.filter(({ kind }) => kind === 'shift').length, 0);
  const octaves = ranked.filter(({ kind }) => kind === 'octaves');
  assert.equal(octaves.length, 1);
  assert.equal(cues.filter(({ cue }) => cue === 'octaves').length, 1);
  const thirds: PlanRequest = {
    ...request,
    material: { type: 'double-stops', interval: 'third', tonic: 'C4', scale: 'major', octaves: 1, direction: 'up' },
  };
  const answer = plan(thirds);
  const found = findingsOf(thirds, answer, answer.plans[0], aimFor('middle'));
  const shift = found.ranked.find(({ kind }) => kind === 'shift') ?? assert.fail();
  assert.equal(found.cues.filter(({ cue }) => cue === 'double-stops').length, 1);
  const drill = drillForFinding(thirds, answer, answer.plans[0], setup, shift);
  assert.ok(drill.material.type === 'notes');
  const [from, to] = [response, answer].map(() => found.shifts[0].shift).map(({ from: at }) => at);
  assert.equal(from, to);
  const sounding = drill.material.notes.flatMap((note) => ('pitches' in note ? [note.pitches.length] : []));
  assert.ok(sounding.includes(1) && sounding.includes(2), 'each voice, then both');
  assert.equal(planAlone(drill).problems.length, 0);
});

test('what is said to do a shift’s job elsewhere does so in the plan made without it', () => {
  let named = 0;
  for (const { request, response } of corpus(60)) {
    const [first] = response.plans;
    for (const shift of first?.shifts.slice(0, 3) ?? []) {
      const other = planAlone(withoutShift(request, shift.to)).plans[0];
      if (!other) continue;
      assert.ok(
        other.shifts.every(({ to }) => to !== shift.to),
        'planned without it',
      );
      const height = (position: number | 'thumb') => (position === 'thumb' ? Infinity : position);
      for (const one of shiftsInstead(first, other, shift)) {
        named++;
        assert.ok(!first.shifts.some(({ to }) => to === one.to));
        const up = ({ fromPosition: a, toPosition: b }: typeof one) =>
          Math.sign(Number(height(b) > height(a)) - Number(height(b) < height(a)));
        assert.equal(up(one), up(shift));
        // No shift that both plans make lies between: it would be another job.
        const [low, high] = [Math.min(one.to, shift.to), Math.max(one.to, shift.to)];
        const both = first.shifts.filter(
          ({ to }) => to > low && to < high && other.shifts.some((same) => same.to === to),
        );
        assert.deepEqual(both, []);
      }
    }
  }
  assert.ok(named > 5, String(named));
});

test('fingers that are left out are not told of', () => {
  const never: readonly Finger[] = [4];
  for (const { request, response } of corpus(200)) {
    if (request.rules?.fourthFinger !== 'never' || !response.plans[0]) continue;
    const { heard } = findingsOf(request, response, response.plans[0], aimFor('middle'));
    for (const { elsewhere } of heard) assert.ok(elsewhere.kind !== 'stopped' || !never.includes(elsewhere.finger));
  }
});
