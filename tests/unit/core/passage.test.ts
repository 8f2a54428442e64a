import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  drillForFinding,
  findingsOf,
  letterSteps,
  matchingDrill,
  midiOf,
  octaveBuilding,
  onePositionDrill,
  parsePitch,
  passageDrill,
  requestIssues,
  resolveSetup,
  sameFingerOnAll,
  sameFingerSeries,
  stretchDrill,
  type Aim,
  type PlanRequest,
} from '../../../src/core';
import { someRequest } from '../requests';
import { planAlone } from '../best';
import { runs } from '../../support/runs';

const AIM: Aim = { system: 'equal', tuning: 'pure', drone: { letter: 5, alteration: 0 }, level: 'middle' };

const lettersOf = (name: string) => letterSteps(parsePitch(name) ?? assert.fail(name));
const linesOf = ({ material }: PlanRequest) =>
  material.type === 'notes' ? material.notes.map((note) => ('pitches' in note ? note.pitches : [])) : [];
const fingersOf = ({ rules }: PlanRequest) => new Map(rules?.locks?.map((lock) => [lock.at, lock.finger]));

test('every finding of 150 plans for a small hand has a drill that can be read and played, and holds its notes', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(someRequest, (made) => {
      const request: PlanRequest = { ...made, hand: 'small' };
      const response = planAlone(request);
      const [first] = response.plans;
      if (!first) return;
      const setup = resolveSetup(request);
      const { ranked } = findingsOf(request, response, first, AIM);
      for (const finding of ranked.slice(0, 12)) {
        seen.set(finding.kind, (seen.get(finding.kind) ?? 0) + 1);
        const drill = drillForFinding(request, response, first, setup, finding);
        assert.deepEqual(requestIssues(drill), [], finding.kind);
        const answer = planAlone(drill);
        assert.ok(answer.plans.length > 0, `${finding.kind}: ${JSON.stringify(answer.problems[0])}`);
        const lines = linesOf(drill).map((pitches) => pitches.join());
        for (const at of finding.events) {
          const event = response.events[at];
          const whole = 'pitches' in event ? event.pitches : [];
          assert.ok(
            lines.includes(whole.join()) || whole.some((name) => lines.includes(name)),
            `${finding.kind} at ${at}`,
          );
        }
      }
    }),
    runs(75, 21),
  );
  for (const kind of ['shift', 'stretch', 'trap', 'no-check'])
    assert.ok((seen.get(kind) ?? 0) > 5, `${kind} seen ${seen.get(kind)} times`);
});

test('the drill of a stretch keeps its fingers, string and letters, and comes down to it from where it is easier', () => {
  const request: PlanRequest = {
    instrument: 'cello',
    hand: 'small',
    material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 1, direction: 'up' },
  };
  const response = planAlone(request);
  const [first] = response.plans;
  const setup = resolveSetup(request);
  const reach = first.reach.find(({ verdict }) => verdict === 'stretch') ?? assert.fail('no stretch');
  const step = first.steps.find(({ at }) => at === reach.at) ?? assert.fail();
  const drill = stretchDrill(request, response, first, setup, reach);
  const lines = linesOf(drill);
  const fingers = fingersOf(drill);
  const pairs: number[][] = [];
  for (let at = 0; lines[at + 2]?.length === 0; at += 3) {
    assert.deepEqual([fingers.get(at), fingers.get(at + 1)], reach.fingers);
    pairs.push([lines[at][0], lines[at + 1][0]].map(lettersOf));
  }
  assert.equal(pairs.length, 6);
  const apart = pairs.map(([low, high]) => high - low);
  assert.deepEqual(new Set(apart).size, 1, 'as many letters apart each time');
  assert.deepEqual(
    pairs.map(([low]) => low - pairs[5][0]),
    [5, 4, 3, 2, 1, 0],
  );
  assert.ok(drill.rules?.locks?.every(({ string }, at) => at > 11 || string === step.stops[0].string));
  const played = response.events[reach.at];
  assert.deepEqual(lines[lines.length - 2], 'pitches' in played ? played.pitches : []);
});

test('a single note is drilled with the note before it, or the one after where it is the first', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 1, direction: 'up' },
  };
  const response = planAlone(request);
  const of = (at: number) =>
    linesOf(passageDrill(request, response, response.plans[0], [at]))
      .slice(0, 2)
      .map(([name]) => name);
  assert.deepEqual(of(3), ['B3', 'C4']);
  assert.deepEqual(of(0), ['A3', 'G3']);
});

test('one finger goes over every string; a scale and its thirds stay in one position, or it is said that they cannot', () => {
  for (const instrument of ['violin', 'viola', 'cello', 'bass'] as const) {
    const bare: PlanRequest = { instrument, material: { type: 'notes', notes: [{ pitches: ['A3'] }] } };
    const setup = resolveSetup(bare);
    const series = sameFingerOnAll(bare, setup, { key: 'D major', finger: 1, span: 3 });
    const [answer] = planAlone(series).plans;
    assert.ok(answer, instrument);
    assert.deepEqual(
      [...new Set(answer.steps.map(({ stops }) => stops[0].string))],
      setup.strings.map(({ name }) => name),
    );
    for (const figure of ['scale', 'broken-thirds'] as const) {
      const drill = onePositionDrill(bare, setup, { key: 'G major', position: 1, figure });
      assert.ok(drill, `${instrument} ${figure}`);
      const [stays] = planAlone(drill).plans;
      assert.ok(stays.steps.every(({ position }) => position === 1));
      assert.equal(stays.shifts.length, 0);
    }
  }
  const violin: PlanRequest = { instrument: 'violin', material: { type: 'notes', notes: [{ pitches: ['A4'] }] } };
  const third = onePositionDrill(violin, resolveSetup(violin), { key: 'D major', position: 3, figure: 'scale' });
  assert.equal(third?.material.type === 'scale' && third.material.octaves, 2);
  assert.equal(third?.rules?.openStrings, 'never');
  const bass: PlanRequest = { ...violin, instrument: 'bass' };
  assert.equal(
    onePositionDrill(bass, resolveSetup(bass), { key: 'C# major', position: 5, figure: 'scale' }),
    null,
    'a closed hand over strings in fourths leaves gaps',
  );
});

const INSTRUMENTS = [
  ['violin', 'A4', 'A3'],
  ['viola', 'D4', 'D3'],
  ['cello', 'D3', 'D2'],
  ['bass', 'D2', 'F1'],
] as const;

test('one finger all the way really shifts at every pair, on every instrument', () => {
  let pairs = 0;
  for (const [instrument, string] of INSTRUMENTS)
    for (const key of ['C major', 'D major', 'E major', 'F major', 'Bb major', 'Ab major'])
      for (const finger of [1, 2, 4] as const) {
        const request: PlanRequest = { instrument, material: { type: 'notes', notes: [{ pitches: ['A3'] }] } };
        const setup = resolveSetup(request);
        const drill = sameFingerSeries(request, setup, { key, string, finger, span: 5 });
        const [one] = planAlone(drill).plans;
        if (linesOf(drill).length === 0) continue;
        assert.ok(one, `${instrument} ${key} ${finger}`);
        linesOf(drill).forEach((pitches, at) => {
          if (at % 3 !== 1 || pitches.length === 0) return;
          pairs++;
          assert.ok(
            one.shifts.some(({ to }) => to === at),
            `${instrument} ${key} ${finger} at ${at}`,
          );
        });
      }
  assert.ok(pairs > 200, String(pairs));
});

test('octaves are built on every instrument: the cello’s by thumb and 3, the bass’s broken, two strings apart', () => {
  for (const [instrument] of INSTRUMENTS)
    for (const key of ['C major', 'D major', 'F major', 'G major', 'A major', 'Bb major']) {
      const request: PlanRequest = { instrument, material: { type: 'notes', notes: [{ pitches: ['A3'] }] } };
      const setup = resolveSetup(request);
      const drill = octaveBuilding(request, setup, key, 5);
      const [one] = planAlone(drill).plans;
      assert.ok(one, `${instrument} ${key}`);
      const fingers = one.steps.slice(0, 2).map(({ stops }) => stops[0].finger);
      if (instrument === 'cello') assert.deepEqual(fingers, ['T', 3]);
      if (instrument !== 'bass') continue;
      assert.deepEqual(fingers, [1, 4]);
      assert.ok(one.steps.every(({ stops }) => stops.length === 1));
      const [low, high] = one.steps.map(({ stops }) => setup.strings.findIndex(({ name }) => name === stops[0].string));
      assert.equal(high - low, 2);
    }
});

test('a drill from a minor plan stays in that minor; a comma is heard both ways; matching matches another finger', () => {
  const material = { type: 'scale', tonic: 'E4', scale: 'harmonic-minor', octaves: 1, direction: 'updown' } as const;
  const request: PlanRequest = { instrument: 'violin', material };
  const response = planAlone(request);
  const [first] = response.plans;
  const setup = resolveSetup(request);
  const { ranked } = findingsOf(request, response, first, { ...AIM, system: 'pythagorean' });
  const comma = ranked.find(({ kind }) => kind === 'comma');
  assert.ok(comma && comma.kind === 'comma');
  const drill = drillForFinding(request, response, first, setup, comma);
  assert.match((drill.material.type === 'notes' && drill.material.key) || '', /^E .*minor$/);
  const against = [comma.conflict.fifth, comma.conflict.third].map(({ string }) => setup.strings[string].name);
  for (const open of against)
    assert.ok(
      linesOf(drill).some((pitches) => pitches.includes(open)),
      open,
    );
  const matched = matchingDrill(request, setup, { key: 'D major', string: 'A4', finger: 1, span: 3 });
  const [from, to] = [...fingersOf(matched).values()];
  assert.ok(from !== to && to === 1);
});

test('the drill of an augmented second keeps it at every step', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    hand: 'small',
    material: {
      type: 'notes',
      key: 'G minor',
      notes: [{ pitches: ['D4'] }, { pitches: ['Eb4'] }, { pitches: ['F#4'] }, { pitches: ['G4'] }],
    },
    rules: {
      locks: [
        { at: 1, finger: 1, string: 'D4' },
        { at: 2, finger: 2, string: 'D4' },
      ],
    },
  };
  const response = planAlone(request);
  const [first] = response.plans;
  const drill = stretchDrill(request, response, first, resolveSetup(request), {
    ...{ at: 2, fingers: [1, 2], spreadMm: 49, share: 0.9, verdict: 'stretch' },
  });
  const midis = linesOf(drill).map(([name]) => (name ? midiOf(parsePitch(name) ?? assert.fail()) : NaN));
  let seen = 0;
  for (let at = 0; !Number.isNaN(midis[at + 1]) && Number.isNaN(midis[at + 2]); at += 3) {
    assert.equal(midis[at + 1] - midis[at], 3);
    seen++;
  }
  assert.ok(seen >= 2);
});
