import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  findingsOf,
  plan,
  resolveSetup,
  type Aim,
  type Finding,
  type Level,
  type PlanRequest,
} from '../../../src/core';
import { findingWords } from '../../../src/wording/findings';
import { speechOf } from '../../../src/wording/plans';

/** What a student of some level is told of a plan, the weightiest first. */
function ranked(request: PlanRequest, level: Level): readonly Finding[] {
  const aim: Aim = { system: 'pythagorean', tuning: 'pure', level };
  const response = plan({ ...request, alternatives: 1 });
  return findingsOf(request, response, response.plans[0], aim).ranked;
}
const scale = (tonic: string, octaves = 2, name = 'major') =>
  ({ type: 'scale', tonic, scale: name, octaves, direction: 'updown' }) as const;
const place = (list: readonly Finding[], kind: Finding['kind']) => {
  const at = list.findIndex((one) => one.kind === kind);
  return at < 0 ? Infinity : at;
};

test('a beginner on a half-size violin meets the low second finger and the first shift, and no comma under the tolerance', () => {
  // G major: 2 is low on A and E, high on G and D.
  const first = ranked({ instrument: 'violin', size: '1/2', material: scale('G3') }, 'first-year');
  assert.equal(first[0].kind, 'trap');
  assert.equal(place(first, 'comma'), Infinity, 'a comma of 21.5 cents lies within 25');
  const up = ranked({ instrument: 'violin', size: '1/2', material: scale('D4') }, 'first-year');
  assert.ok(Math.min(place(up, 'shift'), place(up, 'trap')) === 0);
  const thirds = { type: 'broken-thirds', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' } as const;
  assert.equal(place(ranked({ instrument: 'violin', size: '1/2', material: thirds }, 'first-year'), 'comma'), Infinity);
});

test('a small hand on a viola meets its stretches first', () => {
  for (const tonic of ['Db3', 'Eb3', 'Ab3']) {
    const found = ranked({ instrument: 'viola', size: '16.5', hand: 'small', material: scale(tonic, 1) }, 'middle');
    assert.ok(place(found, 'stretch') < Math.min(place(found, 'comma'), place(found, 'no-check')), tonic);
  }
});

test('an advanced violinist is told of commas before fingers set anew, a first-year one the other way round', () => {
  for (const tonic of ['G3', 'C4', 'F4']) {
    const request: PlanRequest = {
      instrument: 'violin',
      material: scale(tonic, 1),
      rules: { positions: { only: [1] } },
    };
    const weight = (level: Level, kind: Finding['kind']) =>
      Math.max(
        0,
        ...ranked(request, level)
          .filter((one) => one.kind === kind)
          .map((one) => one.weight),
      );
    const ratio = (level: Level) => weight(level, 'comma') / weight(level, 'trap');
    if (weight('advanced', 'trap') === 0) continue;
    assert.ok(ratio('advanced') > ratio('middle') && ratio('middle') > ratio('early'), tonic);
  }
});

test('on the cello a shift into thumb position outranks every everyday extension', () => {
  for (const tonic of ['D2', 'E2', 'F2']) {
    const found = ranked({ instrument: 'cello', material: scale(tonic, 3) }, 'middle');
    const into = found.findIndex(
      (one) =>
        one.kind === 'shift' && one.detail.shift.toPosition === 'thumb' && one.detail.shift.fromPosition !== 'thumb',
    );
    assert.ok(into >= 0, tonic);
    const stretches = found.slice(0, into).filter((one) => one.kind === 'stretch' && one.reach.verdict === 'stretch');
    assert.deepEqual(
      stretches.map(({ events }) => events),
      [],
      tonic,
    );
  }
});

test('a bass beginner meets the shifts first, those of the little finger above the others', () => {
  for (const tonic of ['F1', 'G1', 'Bb1']) {
    const found = ranked({ instrument: 'bass', material: scale(tonic) }, 'first-year');
    assert.equal(found[0].kind, 'shift', tonic);
    const [top] = found;
    assert.ok(top.kind === 'shift');
    const { fromFinger, toFinger, semitones } = top.detail.shift;
    assert.ok(fromFinger === 4 || toFinger === 4 || semitones >= 3, tonic);
  }
});

test('a stretch that is held weighs more than one passed over, and the same stretch in four places is one line', () => {
  const notes = (beats: number) => ['Ab3', 'Db4', 'Ab3', 'Db4'].map((pitch) => ({ pitches: [pitch], beats }));
  const request = (beats: number): PlanRequest => ({
    instrument: 'violin',
    hand: 'small',
    material: { type: 'notes', key: 'Ab major', notes: notes(beats) },
    rules: {
      locks: [0, 2]
        .map((at) => ({ at, finger: 1, string: 'G3' }))
        .concat([1, 3].map((at) => ({ at, finger: 4, string: 'G3' }))) as never,
    },
  });
  const [short, long] = [1, 8].map((beats) =>
    ranked(request(beats), 'middle').filter(({ kind }) => kind === 'stretch'),
  );
  assert.ok(short.length > 0 && long.length > 0);
  assert.ok(long[0].weight > short[0].weight);
  const asked = request(1);
  const response = plan(asked);
  const reach = response.plans[0].reach.filter(({ verdict }) => verdict === 'stretch');
  assert.ok(short.length < reach.length, 'told once');
  assert.equal(
    short.reduce((sum, { also = [] }) => sum + 1 + also.length, 0),
    reach.length,
    'no place is lost',
  );
  const words = findingWords(short[0], resolveSetup(asked), speechOf('violin', response));
  assert.match(words, / Also at bar 1, beat \d/);
});

/** Five students, three plans each: what a teacher would name first, second, third, and why. Shifts are told by the positions between which they go. */
const STUDENTS: readonly {
  readonly who: Partial<PlanRequest> & Pick<PlanRequest, 'instrument'>;
  readonly level: Level;
  readonly plans: readonly (readonly [tonic: string, octaves: number, order: readonly string[]])[];
}[] = [
  {
    // In the first year the finger that is set anew and the first shift are the lesson; what only the ear of later years hears comes last.
    ...{ who: { instrument: 'violin', size: '1/2' }, level: 'first-year' },
    plans: [
      ['G3', 2, ['trap', 'lesson']],
      ['C4', 2, ['shift', 'trap']],
      ['D4', 2, ['shift', 'trap', 'crowding']],
    ],
  },
  {
    // A small hand on a large viola: the stretch before all else, for it may hurt; then the hand on its way; then the ear.
    ...{ who: { instrument: 'viola', size: '16.5', hand: 'small' }, level: 'middle' },
    plans: [
      ['Db3', 1, ['stretch', 'no-check']],
      ['Eb3', 2, ['stretch', 'shift', 'low-first']],
      ['Ab3', 2, ['stretch', 'shift', 'trap']],
    ],
  },
  {
    // A formed hand: its shifts, then what the ear has to decide, and fingers that are set anew hardly at all.
    ...{ who: { instrument: 'violin' }, level: 'advanced' },
    plans: [
      ['G3', 3, ['shift', 'comma', 'crowding', 'trap', 'no-check']],
      ['Ab3', 3, ['shift', 'no-check', 'crowding', 'low-first', 'trap']],
      ['A3', 3, ['shift', 'comma', 'crowding', 'trap']],
    ],
  },
  {
    // Into thumb position first; the other shifts; an everyday extension only then.
    ...{ who: { instrument: 'cello' }, level: 'middle' },
    plans: [
      ['D2', 3, ['into-thumb', 'shift', 'stretch', 'trap', 'comma', 'no-check']],
      ['E2', 3, ['into-thumb', 'shift', 'stretch', 'opened']],
      ['F2', 3, ['into-thumb', 'shift', 'stretch']],
    ],
  },
  {
    // On the bass the hand is always on its way: shifts, and those to and from the little finger before the others.
    ...{ who: { instrument: 'bass' }, level: 'first-year' },
    plans: [
      ['F1', 2, ['little-finger-shift', 'shift', 'lesson']],
      ['Bb1', 2, ['little-finger-shift', 'shift', 'lesson']],
      ['E1', 1, ['little-finger-shift', 'lesson']],
    ],
  },
];

test('five students, three plans each: findings come in the order a teacher would name them', () => {
  for (const { who, level, plans } of STUDENTS)
    for (const [tonic, octaves, order] of plans) {
      const asked: PlanRequest = { ...who, material: scale(tonic, octaves) };
      const kinds = ranked(asked, level).map((finding) => {
        if (finding.kind !== 'shift') return finding.kind;
        const { toPosition, fromPosition, fromFinger, toFinger } = finding.detail.shift;
        if (toPosition === 'thumb' && fromPosition !== 'thumb') return 'into-thumb';
        const little = who.instrument === 'bass' && (fromFinger === 4 || toFinger === 4);
        return little ? 'little-finger-shift' : 'shift';
      });
      const first = [...new Set(kinds)].slice(0, order.length);
      assert.deepEqual(first, order, `${who.instrument} ${tonic}, ${octaves}`);
    }
});
