import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  drillForFinding,
  findingsOf,
  parsePitch,
  resolveSetup,
  type Aim,
  type Finding,
  type Finger,
  type Level,
  type PlanRequest,
} from '../../../src/core';
import { cueWords, findingWords } from '../../../src/wording/findings';
import { speechOf } from '../../../src/wording/plans';
import { someRequest } from '../requests';
import { planAlone } from '../best';
import { runs } from '../../support/runs';

const aim = (level: Level): Aim => ({
  ...{ system: 'pythagorean', tuning: 'pure', level },
  drone: parsePitch('C4') ?? assert.fail(),
});

/** A line with a finger and a string for each note: "A4 1 A4" is A4 by the first finger on the A string. */
function line(words: readonly string[], extra: Partial<PlanRequest> = {}): PlanRequest {
  const told = words.map((one) => one.split(' '));
  return {
    instrument: 'violin',
    material: { type: 'notes', key: 'C major', notes: told.map(([names]) => ({ pitches: names.split('+') })) },
    rules: {
      locks: told.flatMap(([, finger, string], at) =>
        finger ? [{ at, finger: (finger === 'T' ? 'T' : Number(finger)) as Finger, string }] : [],
      ),
    },
    alternatives: 1,
    ...extra,
  };
}

function found(request: PlanRequest, level: Level = 'middle') {
  const response = planAlone(request);
  assert.equal(response.plans.length, 1, JSON.stringify(response.problems[0]));
  const [first] = response.plans;
  const findings = findingsOf(request, response, first, aim(level));
  const said = (kind: Finding['kind']) =>
    findings.ranked
      .filter((one) => one.kind === kind)
      .map((one) => findingWords(one, findings.setup, speechOf(request.instrument, response)));
  return { request, response, first, findings, said };
}

const FAST = { tempo: { bpm: 240 } } as const;
const SLOW = { tempo: { bpm: 60 } } as const;

test('a skip over a string is told where it is fast, and only there', () => {
  const skip = ['A3 1 G3', 'F5 1 E5', 'A3 1 G3'];
  assert.match(found(line(skip, FAST)).said('skip')[0], /the bow skips a string, G to E, in 0\.3 s/);
  assert.deepEqual(found(line(skip, SLOW)).said('skip'), []);
  assert.deepEqual(found(line(['A3 1 G3', 'E4 1 D4'], FAST)).said('skip'), [], 'the next string is no skip');
});

test('a high finger beside a low one across two strings is told at speed', () => {
  // 2 high on D (F sharp) beside 3 low on A (D flat) and, the other way, 2 low beside 3 high.
  const high = line(['F#4 2 D4', 'Db5 3 A4'], { ...FAST });
  assert.match(found(high).said('apart')[0], /2 is high on D, 3 low on A/);
  const low = line(['F4 2 D4', 'D#5 3 A4'], FAST);
  assert.match(found(low).said('apart')[0], /2 is low on D, 3 high on A/);
  assert.deepEqual(found({ ...low, ...SLOW }).said('apart'), []);
  assert.deepEqual(found(line(['F4 2 D4', 'D5 3 A4'], FAST)).said('apart'), [], 'a tone apart is even');
});

test('a hand that opens right after a shift is told, and one that opens later is not', () => {
  const arpeggio = (instrument: 'cello' | 'violin', tonic: string) =>
    found({
      instrument,
      material: { type: 'arpeggio', tonic, chord: 'major', octaves: 2, direction: 'updown' },
      alternatives: 1,
    });
  const cello = arpeggio('cello', 'Db2');
  assert.match(cello.said('opened')[0], /the hand opens for F2 right after the shift: .* place 4\./);
  for (const { events } of cello.findings.ranked.filter(({ kind }) => kind === 'opened')) {
    const last = events[events.length - 1];
    assert.ok(cello.first.shifts.some(({ to }) => to === last || to === last - 1));
  }
  assert.ok(cello.first.steps.filter(({ extended }) => extended).length > cello.said('opened').length);
  assert.deepEqual(arpeggio('violin', 'A3').said('opened'), []);
});

test('a first finger by the nut right after a shift is told on the violin', () => {
  const down = line(['D5 1 A4', 'E5 2 A4', 'C5 2 A4', 'Bb4 1 A4'], { material: undefined as never });
  const request = { ...down, material: line(['D5', 'E5', 'C5', 'Bb4']).material };
  const told = found(request);
  assert.ok(told.first.shifts.length > 0);
  assert.match(told.said('low-first')[0], /1 lies low on B♭4 right after the shift/);
  const whole = found(line(['D5 1 A4', 'E5 2 A4', 'C5 2 A4', 'B4 1 A4']));
  assert.deepEqual(whole.said('low-first'), []);
});

test('notes running without a check are one finding', () => {
  const scale = (tonic: string) =>
    found({
      instrument: 'viola',
      material: { type: 'scale', tonic, scale: 'major', octaves: 2, direction: 'updown' },
      alternatives: 1,
    });
  const runs = scale('Db3').findings.ranked.flatMap((one) => (one.kind === 'no-check' ? [one] : []));
  const long = runs.filter(({ run }) => run.length > 1);
  assert.ok(long.length > 0);
  for (const { run, events } of long) {
    assert.ok(run.length >= 2);
    assert.deepEqual(
      events,
      run.map(({ note }) => note.at),
    );
    assert.ok(run.every(({ checks }) => !checks.some(({ fits }) => fits)));
  }
  assert.match(scale('Db3').said('no-check')[0], /no string checks the \d+ notes from /);
  // A run that comes back to where it began is told by its lowest and highest note.
  const { said } = found({
    ...{ instrument: 'violin', alternatives: 1, rules: { positions: { only: [1] } } },
    material: { type: 'scale', tonic: 'C#4', scale: 'major', octaves: 1, direction: 'updown' },
  });
  assert.match(said('no-check')[0], /the 15 notes from C♯4 to C♯5/);
});

test('every rough place is true by the ruler, and its drill holds its notes under their fingers', () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(someRequest, fc.constantFrom(60, 260), (asked, bpm) => {
      const request: PlanRequest = { ...asked, alternatives: 1, tempo: { bpm } };
      const response = planAlone(request);
      const [first] = response.plans;
      if (!first) return;
      const setup = resolveSetup(request);
      const { ranked } = findingsOf(request, response, first, aim('middle'));
      for (const finding of ranked) {
        if (!('rough' in finding)) continue;
        const { kind, rough } = finding;
        seen.add(kind);
        const steps = finding.events.map((at) => first.steps.find((one) => one.at === at) ?? assert.fail());
        const strings = steps.map(({ stops }) => setup.strings.findIndex(({ name }) => name === stops[0].string));
        const [a, b] = [strings.length - 2, strings.length - 1];
        const shifted = first.shifts.some(({ to }) => finding.events.slice(1).includes(to));
        if (kind === 'skip' || kind === 'apart') assert.ok(rough.seconds < 0.3);
        else assert.ok(shifted && finding.events.length <= 3);
        if (kind === 'skip') assert.ok(Math.abs(strings[a] - strings[b]) > 1);
        if (kind === 'apart') {
          const [x, y] = [steps[a].stops[0], steps[b].stops[0]];
          const up = Number(x.finger) < Number(y.finger) ? y.semitones - x.semitones : x.semitones - y.semitones;
          assert.ok(up <= 0 || up >= 3, `${up}`);
        }
        if (kind === 'opened') assert.ok(steps[b].extended || steps[b].contracted);
        if (kind === 'low-first') assert.equal(steps[b].stops[0].finger, 1);
        const drill = drillForFinding(request, response, first, setup, finding);
        assert.ok(drill.material.type === 'notes');
        const locks = drill.rules?.locks ?? [];
        for (const { stops } of steps)
          assert.ok(locks.some(({ string, finger }) => string === stops[0].string && finger === stops[0].finger));
        assert.equal(planAlone({ ...drill, alternatives: 1 }).problems.length, 0);
      }
    }),
    runs(125, 77),
  );
  for (const kind of ['opened', 'skip']) assert.ok(seen.has(kind), [...seen].join());
});

test('octaves, the lowest string, a heard slide and a high landing have cues of their own, once', () => {
  const cues = (request: PlanRequest, level: Level = 'advanced') =>
    found(request, level).findings.cues.map((cue) => [cue.at, cue.cue] as const);
  const octaves = ['G4', 'A3+A4 1 G3', 'B3+B4 1 G3', 'C4+C5 1 G3'];
  assert.deepEqual(
    cues(line(octaves)).filter(([, cue]) => cue === 'octaves'),
    [[1, 'octaves']],
  );
  assert.deepEqual(
    cues(line(['G4 3 D4', 'B3 2 G3'], SLOW)).map(([, cue]) => cue),
    ['low-string'],
  );
  const up = ['E5 1 A4', 'A5 2 A4'];
  assert.ok(cues(line(up, SLOW)).some(([at, cue]) => at === 1 && cue === 'high'));
  const sung = cues(line(up, { tempo: { bpm: 40 }, style: 'singing' }));
  assert.ok(sung.some(([at, cue]) => at === 1 && cue === 'sung-slide'));
  assert.ok(!cues(line(up, SLOW), 'first-year').some(([, cue]) => cue === 'high'));
});

test('a chromatic slide says how far, and an octave says the thumb only where there is one', () => {
  const { findings } = found(line(['F4 2 D4', 'F#4 2 D4'], SLOW), 'advanced');
  const [slide] = findings.cues;
  // 328 × (2^(-3/12) - 2^(-4/12)) = 15.48 mm
  assert.ok(slide.cue === 'slide' && Math.abs((slide.mm ?? 0) - 15.48) < 0.06);
  assert.match(cueWords(slide, 'violin'), /far enough: 15 mm\.$/);
  const octaves = { at: 0, cue: 'octaves', fingers: [1, 4] } as const;
  assert.doesNotMatch(cueWords(octaves, 'violin'), /thumb/);
  assert.match(cueWords({ ...octaves, fingers: ['T', 3] }, 'cello'), /thumb lies straight/);
});

test('a note after a chord is not told against a note before it', () => {
  const { findings } = found(line(['E4 1 D4', 'B3+G4 2 G3', 'F4 2 D4'], SLOW), 'advanced');
  assert.ok(
    findings.cues.every(({ at, cue }) => at !== 2 || ['unlock', 'thumb-free'].includes(cue)),
    JSON.stringify(findings.cues),
  );
});
