import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  drillLike,
  drillOfShift,
  hardness,
  findingsOf,
  pitchName,
  letterSteps,
  matchingDrill,
  midiOf,
  octaveBuilding,
  parsePitch,
  rehearse,
  requestIssues,
  resolveSetup,
  sameFingerSeries,
  shiftDrill,
  stopMm,
  TURNS,
  type Aim,
  type Finger,
  type FingerPlaces,
  type Pitch,
  type PlanRequest,
  type Setup,
  type ShiftDetail,
} from '../../../src/core';
import { hardWords } from '../../../src/wording/shifts';
import { corpus } from '../../support/corpus';
import { planAlone } from '../best';

const pitchOf = (name: string): Pitch => parsePitch(name) ?? assert.fail(name);
const AIM: Aim = { system: 'equal', tuning: 'pure', drone: pitchOf('A4'), level: 'middle' };

const lockOf = (request: PlanRequest, at: number) => request.rules?.locks?.find((lock) => lock.at === at);
const noteOf = ({ material }: PlanRequest, at: number) => (material.type === 'notes' ? material.notes[at] : undefined);

function pitchAt(request: PlanRequest, at: number): string {
  const note = noteOf(request, at);
  return note && 'pitches' in note ? note.pitches[0] : '';
}

test('each shift has its guide at the finger’s true place, its mm from the stops, its rehearsal and the drill most like it', () => {
  let shifts = 0;
  for (const { request, response } of corpus()) {
    const [first] = response.plans;
    if (!first) continue;
    const setup = resolveSetup(request);
    const single = response.events.every((event) => !('pitches' in event) || event.pitches.length === 1);
    for (const detail of findingsOf(request, response, first, AIM).shifts) {
      shifts++;
      const { shift, from, to } = detail;
      assert.ok(shift.semitones > 0 && shift.travelMm > 0);
      if (single) guideIsTrue(setup, detail);
      if (!single) continue;

      const { request: rehearsal, steps } = rehearse(request, response, first, setup, detail);
      assert.deepEqual(requestIssues(rehearsal), []);
      const last = rehearsal.material.type === 'notes' ? rehearsal.material.notes.length - 1 : 0;
      const own = [response.events[shift.from], response.events[shift.to]].map((event) =>
        'pitches' in event ? event.pitches[0] : '',
      );
      // The easy place first: the same note, or the same some octaves lower.
      const [easy, hard] = [0, 1].map((at) => pitchOf(pitchAt(rehearsal, at)));
      assert.equal(pitchName(hard), own[1]);
      assert.ok(midiOf(easy) <= midiOf(hard) && (midiOf(hard) - midiOf(easy)) % 12 === 0);
      assert.equal(pitchAt(rehearsal, last), own[1]);
      assert.equal(pitchAt(rehearsal, last - 1), own[0]);
      assert.equal(lockOf(rehearsal, last)?.finger, shift.toFinger);
      for (const { step, at, length } of steps.filter(({ step }) => step === 'guide' || step === 'light')) {
        assert.equal(pitchAt(rehearsal, at), own[0], step);
        assert.equal(pitchAt(rehearsal, at + length - 1), own[1], step);
      }
      const rhythm = steps.find(({ step }) => step === 'rhythm');
      assert.equal(rhythm?.length, 3 * TURNS);

      const drill = drillLike(request, response, first, setup, detail);
      assert.deepEqual(requestIssues(drill), []);
      const distance = letterSteps(to.pitch) - letterSteps(from.pitch);
      let pairs = 0;
      for (let at = 0; noteOf(drill, at + 2) && 'rest' in (noteOf(drill, at + 2) ?? {}); at += 3) {
        const [a, b] = [pitchOf(pitchAt(drill, at)), pitchOf(pitchAt(drill, at + 1))];
        assert.equal(letterSteps(b) - letterSteps(a), distance);
        assert.deepEqual(
          [lockOf(drill, at)?.finger, lockOf(drill, at + 1)?.finger],
          [shift.fromFinger, shift.toFinger],
        );
        assert.equal(lockOf(drill, at)?.string, setup.strings[from.string].name);
        assert.equal(lockOf(drill, at + 1)?.string, setup.strings[to.string].name);
        pairs++;
      }
      assert.ok(pairs >= 1);
      assert.deepEqual([pitchAt(drill, 0), pitchAt(drill, 1)], own);
    }
  }
  assert.ok(shifts > 300, `${shifts} shifts seen`);
});

/** Kind, guide, semitones and mm of a shift on one string worked out again from where the fingers lie in the two steps alone. */
function guideIsTrue(setup: Setup, { shift, from, to }: ShiftDetail) {
  const [thumbWas, thumbIs] = [from, to].map(({ step }) => step.position === 'thumb');
  if (!thumbWas && thumbIs) assert.equal(shift.guide, undefined);
  if (from.finger === 0 || from.string !== to.string || thumbWas !== thumbIs) return;
  const height = (finger: Finger) => (finger === 'T' ? 0 : finger);
  const [a, b] = [height(from.finger), height(to.finger)];
  assert.equal(shift.kind, a === b ? 'same-finger' : a < b ? 'old-finger' : 'new-finger');
  const carries = a <= b ? from.finger : to.finger;
  const placeIn = ({ step, finger, semitones }: typeof from) =>
    finger === carries ? semitones : step.hand[`${carries}` as keyof FingerPlaces];
  const [start, end] = [placeIn(from), placeIn(to)];
  // A finger without a place in one of the hands, or one that stays where it lies while the hand closes up to it: the hand's own way is told.
  if (start === undefined || end === undefined || start === end) return;
  const { guide } = shift;
  // From pivot to pivot the thumb stays and guides.
  if (from.step.leaned && to.step.leaned && from.step.position === to.step.position)
    return assert.equal(guide, undefined);
  assert.ok(guide);
  assert.equal(guide.finger, carries);
  const open = setup.strings[from.string];
  const place = shift.kind === 'new-finger' ? start : end;
  assert.equal(midiOf(pitchOf(guide.pitch)) - open.midi, place);
  assert.equal(guide.string, open.name);
  assert.equal(shift.semitones, Math.abs(end - start));
  const mm = Math.abs(stopMm(setup.lengthMm, end) - stopMm(setup.lengthMm, start));
  assert.ok(Math.abs(mm - shift.travelMm) < 0.06, `${mm} mm told as ${shift.travelMm}`);
  if (end > start) assert.ok(place <= to.semitones, 'never beyond the goal of a rising hand');
}

const violin: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'updown' },
};
const setup = resolveSetup(violin);

test('the rehearsal and the drill of every shift of a three-octave scale can be played', () => {
  const response = planAlone(violin);
  const [first] = response.plans;
  const { shifts } = findingsOf(violin, response, first, AIM);
  assert.ok(shifts.length >= 4);
  for (const detail of shifts) {
    const drill = planAlone(drillLike(violin, response, first, setup, detail));
    assert.ok(drill.plans.length > 0, `drill of ${detail.shift.to}: ${JSON.stringify(drill.problems[0])}`);
    const { request } = rehearse(violin, response, first, setup, detail);
    const rehearsed = planAlone(request);
    assert.ok(rehearsed.plans.length > 0, `rehearsal of ${detail.shift.to}: ${JSON.stringify(rehearsed.problems[0])}`);
  }
});

test('a landing on a node of the string is checked by its harmonic, on the cello and not on the violin', () => {
  const landing = (instrument: 'cello' | 'violin', string: string, name: string) => {
    const notes = [instrument === 'cello' ? 'B3' : 'B4', name].map((pitch) => ({ pitches: [pitch] }));
    const locks = [1, 4].map((position, at) => ({ at, finger: 1 as const, string, position }));
    const request: PlanRequest = { instrument, material: { type: 'notes', notes }, rules: { locks } };
    const response = planAlone(request);
    return findingsOf(request, response, response.plans[0], AIM).shifts[0].harmonic;
  };
  const sounds = landing('cello', 'A3', 'E4');
  assert.equal(sounds && pitchName(sounds), 'E5');
  assert.equal(landing('violin', 'A4', 'E5'), undefined);
});

test('a generated drill climbs the scale on one string with its fingers, within the fingerboard', () => {
  const request = shiftDrill(violin, setup, {
    ...{ key: 'D major', string: 'A4', fromFinger: 1, toFinger: 3, distance: 4, start: 1, span: 5 },
  });
  const steps = [0, 3, 6, 9, 12].map((at) => [pitchAt(request, at), pitchAt(request, at + 1)]);
  assert.deepEqual(steps, [
    ['B4', 'F#5'],
    ['C#5', 'G5'],
    ['D5', 'A5'],
    ['E5', 'B5'],
    ['F#5', 'C#6'],
  ]);
  const [answer] = planAlone(request).plans;
  assert.ok(answer);
  for (const { stops } of answer.steps) assert.equal(stops[0].string, 'A4');
  assert.equal(answer.shifts.filter(({ fromFinger, toFinger }) => fromFinger === 1 && toFinger === 3).length, 5);
});

test('a drill like a chosen shift begins with its fingers, string and distance, in any key', () => {
  let seen = 0;
  const anyKey = ['C major', 'E major', 'Ab major', 'B minor', 'F minor'];
  for (const instrument of ['violin', 'viola', 'cello', 'bass'] as const)
    for (const tonic of ['C', 'D', 'Eb', 'F#', 'A']) {
      const octave = { violin: 4, viola: 3, cello: 2, bass: 2 }[instrument];
      const request: PlanRequest = {
        instrument,
        material: { type: 'scale', tonic: `${tonic}${octave}`, scale: 'major', octaves: 2, direction: 'updown' },
        alternatives: 1,
      };
      const response = planAlone(request);
      const on = resolveSetup(request);
      for (const detail of findingsOf(request, response, response.plans[0], AIM).shifts) {
        const drill = drillOfShift(detail, response, on);
        assert.equal(drill.toFinger, detail.shift.toFinger);
        assert.equal(drill.string, on.strings[detail.to.string].name);
        if (detail.from.string === detail.to.string) {
          assert.equal(drill.fromFinger, detail.shift.fromFinger);
          assert.equal(drill.semitones, detail.to.midi - detail.from.midi);
        }
        if (Math.abs(drill.distance) > 7) continue;
        for (const key of anyKey) {
          const made = shiftDrill(request, on, { ...drill, key });
          assert.ok(made.material.type === 'notes');
          if (made.material.notes.length === 0) continue;
          const [from, to] = [0, 1].map((at) => midiOf(parsePitch(pitchAt(made, at) ?? '') ?? assert.fail()));
          const fingers = made.rules?.locks?.slice(0, 2).map(({ finger }) => finger);
          assert.deepEqual(fingers, [drill.fromFinger, drill.toFinger]);
          assert.equal(to - from, drill.semitones, `${instrument} ${tonic} ${detail.shift.to} in ${key}`);
          assert.deepEqual(planAlone({ ...made, alternatives: 1 }).problems, []);
          seen++;
        }
      }
    }
  assert.ok(seen > 200, String(seen));
});

test('how hard a shift is: what adds to it is said, and a longer, quicker or little-finger one is harder', () => {
  const shifted = (fingers: readonly [Finger, Finger], goal: string, bpm: number) => {
    const notes = ['B4', goal].map((name) => ({ pitches: [name] }));
    const locks = fingers.map((finger, at) => ({ at, finger, string: 'A4' }));
    const request: PlanRequest = {
      ...violin,
      material: { type: 'notes', key: 'C major', notes },
      rules: { locks },
      tempo: { bpm },
    };
    const response = planAlone(request);
    return hardness(findingsOf(request, response, response.plans[0], AIM).shifts[0]);
  };
  const easy = shifted([1, 1], 'C5', 60);
  const far = shifted([1, 1], 'F5', 60);
  const quick = shifted([1, 1], 'C5', 200);
  const little = shifted([1, 4], 'G5', 60);
  assert.deepEqual(easy.why, []);
  assert.ok(far.why.includes('far') && far.weight > easy.weight);
  assert.ok(quick.why.includes('quick') && quick.weight > easy.weight);
  assert.ok(little.why.includes('little-finger') && little.weight > easy.weight);
  assert.match(hardWords(easy.why), /unhurried/);
});

test('series of one finger on every string, matching with the first finger, octaves built', () => {
  for (const { name } of setup.strings)
    for (const finger of [1, 2, 3, 4] as const) {
      const series = sameFingerSeries(violin, setup, { key: 'G major', string: name, finger, span: 4 });
      const [answer] = planAlone(series).plans;
      assert.ok(answer, `${finger} on ${name}`);
      assert.ok(answer.steps.every(({ stops }) => stops[0].finger === finger && stops[0].string === name));
    }
  const matching = matchingDrill(violin, setup, { key: 'D major', string: 'D4', finger: 3, span: 3 });
  const [matched] = planAlone(matching).plans;
  assert.ok(matched);
  assert.deepEqual([pitchAt(matching, 0), pitchAt(matching, 1)], ['G4', 'G4']);
  assert.deepEqual(
    matched.steps.slice(0, 2).map(({ stops }) => stops[0].finger),
    [3, 1],
  );
  const octaves = octaveBuilding(violin, setup, 'G major', 3);
  const [built] = planAlone(octaves).plans;
  assert.ok(built);
  assert.deepEqual(
    built.steps.map(({ stops }) => stops.length),
    [1, 1, 2, 1, 1, 2, 1, 1, 2],
  );
});
