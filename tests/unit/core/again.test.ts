import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { plan, type NoteSpec, type Plan, type PlanRequest } from '../../../src/core';
import { repeatsOf, sequencesOf } from '../../../src/core/material/repeats';
import { buildMusic } from '../../../src/core/material/build';
import type { SoundingEvent } from '../../../src/core/material/events';
import { contextFor } from '../../../src/core/planner/cost';
import { buildTrellis, isFresh, moveCostBetween, paidAgain, stayCostBetween } from '../../../src/core/planner/graph';
import type { HoldTrellis } from '../../../src/core/planner/graph';

/* Music that comes again, and the fingers it comes again with. */

const line = (text: string): NoteSpec[] =>
  text.split(' ').map((word): NoteSpec => {
    const [name, beats = '1'] = word.split(':');
    const length = { beats: Number(beats) };
    if (name === 'r') return { rest: true, ...length };
    return { pitches: [name.replace('_', '')], ...length, ...(name.endsWith('_') ? { slur: true as const } : {}) };
  });

const sounding = (text: string) =>
  buildMusic({ type: 'notes', notes: line(text) }).events.filter(
    (event): event is SoundingEvent => event.kind === 'sounding',
  );

const asked = (notes: NoteSpec[], more: Partial<PlanRequest> = {}): PlanRequest => ({
  instrument: 'violin',
  material: { type: 'notes', key: 'D major', notes },
  alternatives: 1,
  explain: 'nothing',
  ...more,
});

const fingers = ({ steps }: Plan, from = 0, to = steps.length) =>
  steps.slice(from, to).map(({ stops }) => stops.map(({ string, finger }) => `${finger}${string}`).join('+'));

test('a repeat has the same pitches, lengths, rests and slurs, five events at least; the longest comes first', () => {
  const figure = 'D4 F#4 A4 D5 C#5 B4';
  assert.deepEqual(repeatsOf(sounding(`${figure} G4 ${figure} E4`)), [{ model: 0, from: 7, length: 6 }]);
  assert.deepEqual(repeatsOf(sounding('D4 F#4 A4 D5 G4 D4 F#4 A4 D5')), [], 'four events are no repeat');
  assert.deepEqual(repeatsOf(sounding(`${figure} G4 D4:2 F#4 A4 D5 C#5 B4`)), [{ model: 1, from: 8, length: 5 }]);
  assert.equal(repeatsOf(sounding(`D4_ F#4 A4 D5 C#5 B4 G4 ${figure} E4`))[0].length, 5, 'another slur parts them');
  assert.equal(repeatsOf(sounding(`D4 F#4 r A4 D5 C#5 B4 G4 ${figure}`)).length, 0, 'so does a rest');
  const twice = repeatsOf(sounding(`${figure} G4 ${figure} E4 ${figure}`));
  assert.deepEqual(
    twice.map(({ model, from }) => [model, from]),
    [
      [0, 7],
      [0, 14],
    ],
    'each is told with the first',
  );
});

test('a sequence is a figure of three notes or more said again at once, moved by letters; a plain run is none', () => {
  const moved = (text: string) =>
    sequencesOf(sounding(text), []).map(({ model, from, length }) => [model, from, length]);
  assert.deepEqual(moved('D4 F#4 E4 E4 G4 F#4 F#4 A4 G4 B4'), [
    [0, 3, 3],
    [0, 6, 3],
  ]);
  assert.deepEqual(moved('D4 E4 F#4 G4 A4 B4 C#5 D5 E5'), []);
  assert.deepEqual(moved('D4 F#4 E4 G4 E4 G4 F#4 B4'), [], 'not at once');
  assert.deepEqual(moved('D4 F#4:2 E4:1 E4 G4:1 F#4'), [], 'not in the same rhythm');
});

/** Cheapest of all ways through a trellis with what is paid for music that comes again, by trying every one that may still be cheaper. */
function bruteForce(trellis: HoldTrellis): number {
  const { layers, blocks, again } = trellis;
  let least = Infinity;
  const path: number[] = [];
  const visit = (t: number, cost: number) => {
    if (cost >= least) return;
    if (t === layers.length) {
      least = Math.min(least, cost + paidAgain(trellis, again, Int32Array.from(path)));
      return;
    }
    for (let node = 0; node < layers[t].nodes; node++) {
      path[t] = node;
      let step = layers[0].entry[node];
      if (t > 0) {
        step = Math.min(
          stayCostBetween(trellis, t - 1, path[t - 1], node),
          moveCostBetween(trellis, t - 1, path[t - 1], node),
        );
        if (t > 1 && isFresh(trellis, path, t) && isFresh(trellis, path, t - 1)) step += blocks[t - 1].stone;
      }
      visit(t + 1, cost + step + layers[t].cost[node]);
    }
    path.length = t;
  };
  visit(0, 0);
  return least;
}

const NAMES = ['D4', 'E4', 'F#4', 'G4', 'A4', 'B4', 'C#5', 'D5', 'E5', 'F#5', 'G5', 'A5'];
const someNote = fc.record({
  pitches: fc.constantFrom(...NAMES).map((name) => [name]),
  beats: fc.constantFrom(0.25, 0.5, 1),
});
const RULES = [{ only: [1, 3] }, { only: [1, 2] }, { from: 1, to: 1 }];

test('on short lines with repeats and sequences no way is cheaper than the plan', () => {
  let repeated = 0;
  fc.assert(
    fc.property(
      fc.array(someNote, { minLength: 5, maxLength: 5 }),
      fc.array(someNote, { minLength: 0, maxLength: 2 }),
      fc.constantFrom(...RULES),
      fc.nat({ max: 9 }),
      fc.boolean(),
      (figure, between, positions, at, locked) => {
        const notes = [...figure, ...between, ...figure];
        const request = asked(notes, { rules: { positions } });
        const [free] = plan(request).plans;
        if (!free) return;
        const finger = free.steps[at].stops[0].finger;
        const never = locked ? { never: [{ at, finger }] } : {};
        const other = { ...request, rules: { positions, ...never } };
        const [one] = plan(other).plans;
        if (!one) return;
        const trellis = buildTrellis(contextFor(other, buildMusic(other.material)));
        if (trellis.again.length > 0) repeated++;
        assert.ok(Math.abs(one.cost - bruteForce(trellis)) < 1e-9, `${one.cost}`);
      },
    ),
    { seed: 7, numRuns: 25 },
  );
  assert.ok(repeated > 15, `${repeated} with something that comes again`);
});

test('what comes again keeps its fingers though what goes before differs, and a note keeps its finger round its neighbour', () => {
  const figure = 'E5:0.5 F#5:0.5 G5:0.5 A5:0.5 B5:0.5 A5:0.5 G5:0.5 F#5:0.5';
  const [one] = plan(asked(line(`A4 ${figure} C#5 D5 ${figure} D5`))).plans;
  assert.deepEqual(fingers(one, 2, 8), fingers(one, 12, 18));
  let [kept, seen] = [0, 0];
  fc.assert(
    fc.property(fc.array(someNote, { minLength: 3, maxLength: 6 }), fc.nat(10), (notes, n) => {
      const figured = [NAMES[n], NAMES[n + 1], NAMES[n]].map((name) => ({ pitches: [name], beats: 0.5 }));
      const [own] = plan(asked([...notes, ...figured, ...notes])).plans;
      const [x, , again] = fingers(own, notes.length, notes.length + 3);
      seen++;
      if (x === again) kept++;
    }),
    { seed: 3, numRuns: 60 },
  );
  assert.ok(kept >= seen - 1, `${kept} of ${seen}`);
});

test('a stretch that is to be the same has the same strings and fingers at every note, chains too; locks go before it', () => {
  const figure = 'E5 F#5 G5 A5';
  const notes = line(`${figure} D5 ${figure} C#5 ${figure} D5`);
  const same = [
    { from: 10, to: 13, as: 5 },
    { from: 5, to: 8, as: 0 },
  ];
  const [one] = plan(asked(notes, { rules: { same, locks: [{ at: 12, finger: 4 }] } })).plans;
  assert.equal(one.steps[2].stops[0].finger, 4);
  assert.deepEqual(fingers(one, 0, 4), fingers(one, 5, 9));
  assert.deepEqual(fingers(one, 0, 4), fingers(one, 10, 14));
  const odds = plan(
    asked(notes, {
      rules: {
        same: [{ from: 5, to: 8, as: 0 }],
        locks: [
          { at: 6, finger: 1 },
          { at: 1, finger: 3 },
        ],
      },
    }),
  );
  assert.deepEqual(
    odds.problems.map(({ code, locks }) => [code, locks]),
    [['lock-over-same', [6, 1]]],
  );
  assert.equal(odds.plans[0].steps[6].stops[0].finger, 1);
  assert.equal(odds.plans[0].steps[1].stops[0].finger, 3);
});
