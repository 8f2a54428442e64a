import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { plan, requestIssues, type NoteSpec, type Plan, type PlanRequest, type Rules } from '../../../src/core';
import { worded } from '../../support/words';

/* Phrases, parts and rules for a stretch. */

const NAMES = ['A3', 'C4', 'D4', 'E4', 'F#4', 'G4', 'A4', 'B4', 'C#5', 'D5', 'E5', 'F#5', 'G5', 'A5', 'B5'];
const notesOf = (names: readonly string[], beats = 0.5): NoteSpec[] =>
  names.map((name) => ({ pitches: [name], beats }));
const someLine = fc.array(fc.constantFrom(...NAMES), { minLength: 3, maxLength: 9 });

const asked = (notes: readonly NoteSpec[], rules: Rules = {}, more: Partial<PlanRequest> = {}): PlanRequest => ({
  instrument: 'violin',
  material: { type: 'notes', key: 'D major', notes: [...notes] },
  rules,
  alternatives: 1,
  explain: 'nothing',
  ...more,
});

const held = ({ steps }: Plan, from = 0, to = steps.length) =>
  steps
    .slice(from, to)
    .map(({ stops, position }) => `${stops.map((stop) => stop.string + stop.finger).join()}@${position}`);
const best = (request: PlanRequest): Plan => plan(request).plans[0] ?? assert.fail('no plan');

test('after a rest of a second a part has the fingers it has alone, and what went before costs nothing', () => {
  const someStyle = fc.constantFrom('secure' as const, 'singing' as const, 'early' as const);
  const someInstrument = fc.constantFrom('violin' as const, 'viola' as const);
  fc.assert(
    fc.property(someLine, someLine, someStyle, someInstrument, (first, second, style, instrument) => {
      const more = { style, instrument };
      const whole = best(
        asked([...notesOf(first), { rest: true, beats: 1 + (first.length % 2) / 2 }, ...notesOf(second)], {}, more),
      );
      const alone = [first, second].map((names) => best(asked(notesOf(names), {}, more)));
      assert.deepEqual(held(whole, 0, first.length), held(alone[0]));
      assert.deepEqual(held(whole, first.length), held(alone[1]));
      assert.ok(Math.abs(whole.cost - alone[0].cost - alone[1].cost) < 1e-9);
    }),
    { seed: 5, numRuns: 60 },
  );
});

test('a phrase begins after a rest of a second, at a double bar and where it is marked, and is told with why', () => {
  const line = notesOf(['A4', 'B4', 'C#5', 'D5', 'E5', 'D5', 'C#5', 'B4'], 1);
  const marked: NoteSpec[] = [
    ...line.slice(0, 2),
    { ...line[2], phrase: true } as NoteSpec,
    { rest: true, beats: 1 },
    line[3],
    { ...line[4], doubleBar: true } as NoteSpec,
    { rest: true, beats: 2 },
    { ...line[5], phrase: false } as NoteSpec,
    { rest: true, beats: 0.5 },
    line[6],
  ];
  const phrases = (tempo: number) =>
    plan(asked(marked, {}, { tempo: { bpm: tempo } })).events.flatMap((event) =>
      'phrase' in event && event.phrase ? [`${event.at} ${event.phrase}`] : [],
    );
  assert.deepEqual(phrases(60), ['2 given', '4 rest', '5 double-bar']);
  assert.deepEqual(phrases(100), ['2 given', '5 double-bar'], 'a beat is no second any more');
});

test('a place demands of its own notes and of no others; the later of two places wins', () => {
  const line = notesOf(['G4', 'A4', 'B4', 'C#5', 'D5', 'C#5', 'B4', 'A4', 'A4', 'B4', 'D5', 'E5']);
  const one = best(asked(line, { places: [{ from: 4, to: 7, strings: ['D4'] }] }));
  const strings = one.steps.map(({ stops }) => stops[0].string);
  assert.deepEqual(strings.slice(4, 8), ['D4', 'D4', 'D4', 'D4']);
  assert.ok([...strings.slice(0, 4), ...strings.slice(8)].some((string) => string !== 'D4'));
  const two = best(
    asked(line, {
      places: [
        { from: 0, to: 7, strings: ['D4'] },
        { from: 4, to: 11, strings: ['G3'] },
      ],
    }),
  );
  assert.deepEqual(
    two.steps.map(({ stops }) => stops[0].string),
    [...Array(4).fill('D4'), ...Array(8).fill('G3')],
  );
  const open = best(asked(line, { openStrings: 'never', places: [{ from: 8, to: 11, openStrings: 'prefer' }] }));
  assert.ok(open.steps.slice(0, 8).every(({ stops }) => stops[0].finger !== 0));
  assert.ok(open.steps.slice(8).some(({ stops }) => stops[0].finger === 0));
});

test('a place never makes a plan cheaper, and its style is that of its notes alone', () => {
  fc.assert(
    fc.property(someLine, fc.nat(4), fc.constantFrom([1], [3], [2]), (names, from, only) => {
      const line = notesOf(names);
      const to = Math.min(names.length - 1, from + 2);
      const free = best(asked(line));
      const places = [{ from: Math.min(from, to), to, positions: { only } }];
      const [one] = plan(asked(line, { places })).plans;
      if (!one) return;
      assert.ok(one.cost >= free.cost - 1e-9);
      assert.ok(one.steps.slice(places[0].from, to + 1).every(({ position }) => position === only[0]));
    }),
    { seed: 9, numRuns: 40 },
  );
  const line = notesOf(['G4', 'A4', 'B4', 'C#5', 'D5', 'E5', 'F#5', 'G5']);
  const early = best(asked(line, { places: [{ from: 0, to: 7, style: 'early' }] }));
  assert.deepEqual(held(early), held(best(asked(line, {}, { style: 'early' }))));
});

test('prepared is a note whose position the hand is in beforehand', () => {
  const line = notesOf(['A4', 'B4', 'C#5', 'D5', 'E5', 'F#5', 'A5', 'B5', 'C#6', 'D6', 'C#6', 'A5']);
  const one = best(asked(line, { prepare: [{ from: 4, for: 8 }] }));
  assert.ok(one.shifts.every(({ to }) => to <= 4 || to > 8));
  assert.equal(one.steps[4].position, one.steps[8].position);
});

test('what cannot be meant of a stretch is said with what to do', () => {
  const line: NoteSpec[] = [
    ...notesOf(['A4', 'B4', 'C#5', 'D5']),
    { rest: true, beats: 1 },
    ...notesOf(['A4', 'B4', 'D5', 'D5']),
  ];
  const codes = (rules: Rules, notes = line) =>
    requestIssues(asked(notes, rules)).map(({ path, code }) => `${path} ${code}`);
  assert.deepEqual(codes({ places: [{ from: 5, to: 2, strings: ['X9'] }] }), [
    '/rules/places/0/strings/0 no-string',
    '/rules/places/0/from stretch-turned',
  ]);
  assert.deepEqual(codes({ places: [{ from: 2, to: 20, openStrings: 'never' }] }), ['/rules/places/0/to no-event']);
  assert.deepEqual(codes({ same: [{ from: 5, to: 8, as: 0 }] }), ['/rules/same/0/as same-differs']);
  assert.deepEqual(codes({ same: [{ from: 1, to: 3, as: 0 }] }), ['/rules/same/0/as same-overlaps']);
  assert.deepEqual(
    codes({
      same: [
        { from: 5, to: 6, as: 0 },
        { from: 0, to: 1, as: 5 },
      ],
    }),
    ['/rules/same/0 same-loops'],
  );
  assert.deepEqual(codes({ prepare: [{ from: 2, for: 4 }] }), ['/rules/prepare/0/for on-a-rest']);
  const phrase = [{ pitches: ['A4'] }, { rest: true, phrase: true }] as NoteSpec[];
  assert.deepEqual(codes({}, phrase), ['/material/notes/1/phrase phrase-in-rest']);
});

test('places that leave no plan are named, and the smaller change is offered', () => {
  const line = notesOf(['A4', 'B4', 'C#5', 'D5', 'E5', 'F#5']);
  const places = [
    { from: 0, to: 3, strings: ['G3'] },
    { from: 2, to: 5, positions: { only: [1] } },
  ];
  const { plans, problems } = worded(asked(line, { places }));
  assert.equal(plans.length, 0);
  assert.deepEqual(problems[0].places, [0, 1]);
  assert.match(problems[0].message, /rules of their own/);
  const relax = problems[0].relax ?? assert.fail('nothing helps');
  assert.ok(plan(asked(line, { places, ...relax })).plans.length > 0);
});

test('of two notes that no hand stops together one is planned, and it is told', () => {
  const notes: NoteSpec[] = [{ pitches: ['A3', 'B3'] }, { pitches: ['A3', 'B3'], divisi: 'lower' }];
  const { plans, problems, events } = worded(asked(notes));
  assert.deepEqual(
    problems.map(({ code, at }) => [code, at]),
    [
      ['divisi', 0],
      ['divisi', 1],
    ],
  );
  assert.deepEqual(
    events.map((event) => 'pitches' in event && [...event.pitches, event.left]),
    [
      ['B3', 'A3'],
      ['A3', 'B3'],
    ],
  );
  assert.equal(plans[0].steps.length, 2);
  assert.match(problems[0].message, /two players/);
});

test('accents keep the little finger off, and a held top is not stretched for', () => {
  const line = notesOf(['A5', 'B5'], 1);
  const high = (top: Partial<NoteSpec>) =>
    best(asked([...line, { pitches: ['C6'], beats: 1, ...top } as NoteSpec, ...notesOf(['B5', 'A5', 'G5'], 1)]));
  const isStretched = ({ steps }: Plan) => steps[2].extended;
  assert.ok(!isStretched(high({ beats: 3 })) && !isStretched(high({ accent: true })));
});
