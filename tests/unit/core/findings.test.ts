import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  beatsPerSecond,
  COMMA,
  findingsOf,
  hertzOf,
  isUnchecked,
  midiOf,
  parsePitch,
  resolveHand,
  resolveSetup,
  spreadMm,
  stopMm,
  type Aim,
  type Cue,
  type PlanRequest,
  type Finger,
} from '../../../src/core';
import { playedNotes } from '../../../src/core/findings/played';
import { corpus } from '../../support/corpus';
import { someRequest } from '../requests';
import { planAlone } from '../best';
import { runs } from '../../support/runs';

const A = parsePitch('A4') ?? assert.fail();
const AIM: Aim = { system: 'pythagorean', tuning: 'pure', drone: A, level: 'middle' };

function found(request: PlanRequest, aim = AIM) {
  const response = planAlone(request);
  const [first] = response.plans;
  return { request, response, first, findings: findingsOf(request, response, first, aim) };
}

const notes = (words: string, extra: Partial<PlanRequest> = {}): PlanRequest => ({
  instrument: 'violin',
  material: { type: 'notes', key: 'C major', notes: words.split(' ').map((name) => ({ pitches: [name] })) },
  ...extra,
});

const one = (name: string, string: string, finger: Finger, extra: Partial<PlanRequest> = {}) =>
  found(notes(name, { rules: { locks: [{ at: 0, string, finger }] }, ...extra })).findings.heard[0];

/** The checks with open strings. */
const withOpen = (heard: ReturnType<typeof one>) => heard.checks.filter(({ touch }) => touch === 0);

test('third finger G on the D string: an octave with open G, and nothing with the string it stops', () => {
  const checks = withOpen(one('G4', 'D4', 3));
  assert.deepEqual(
    checks.map(({ interval, string, together }) => [interval, string, together]),
    [['octave', 0, true]],
  );
  assert.ok(Math.abs(checks[0].cents + 3.91) < 0.01);
});

test('first-finger E on D: a fourth under open A, the octave, and a sixth over open G that a comma parts from them', () => {
  const heard = one('E4', 'D4', 1);
  const checks = withOpen(heard);
  assert.deepEqual(
    checks.map(({ interval, string, fits }) => [interval, string, fits]),
    [
      ['fourth', 2, true],
      ['octave', 3, true],
      ['major-sixth', 0, false],
    ],
  );
  assert.ok(heard.comma);
  assert.ok(Math.abs(heard.comma.apart - 21.506) < 0.01);
  // By hand: the fourth under A puts E 1.955 cents over equal; the sixth 5:3 over G (3.91 low) at 884.359 - 900 - 3.91.
  assert.ok(Math.abs(checks[0].cents - 1.955) < 0.01);
  assert.ok(Math.abs(checks[2].cents + 19.551) < 0.01);
  // 21.5 cents too wide: 5 × the G of 195.56 Hz × (2^(21.5/1200) - 1).
  assert.ok(Math.abs(checks[2].offCents - 21.506) < 0.01 && Math.abs(checks[2].beats - 12.22) < 0.05);
});

test('a fourth finger is in unison with the next open string', () => {
  const [first] = one('A4', 'D4', 4).checks;
  assert.deepEqual([first.interval, first.string, first.together], ['unison', 2, true]);
});

test('beats by hand: a unison at 440 Hz ten cents off beats 2.55 times a second, its octave check the same', () => {
  assert.ok(Math.abs(beatsPerSecond([1, 1], 440, 10) - 2.549) < 0.01);
  assert.ok(Math.abs(beatsPerSecond([2, 1], 220, 10) - 2.549) < 0.01);
  // A fifth 3:2 over 440 Hz: the common partial is 1320 Hz; 1320 × (2^(5/1200) - 1) = 3.82.
  assert.ok(Math.abs(beatsPerSecond([3, 2], 440, 5) - 3.818) < 0.01);
  assert.ok(Math.abs(hertzOf(60) - 261.626) < 0.01);
});

test('targets in mm by hand: B on the A string of 328 mm, equal and Pythagorean', () => {
  const equal = found(notes('B4', { rules: { locks: [{ at: 0, string: 'A4', finger: 1 }] } }), {
    ...AIM,
    system: 'equal',
    tuning: 'equal',
  }).findings.heard[0].target;
  // 328 × (1 - 2^(-2/12)) = 35.78 mm
  assert.ok(Math.abs(equal.mm - 35.78) < 0.01);
  const pure = one('B4', 'A4', 1).target;
  // 9:8 above A: 328 × (1 - 8/9) = 36.44 mm
  assert.ok(Math.abs(pure.mm - 36.444) < 0.01);
  assert.ok(Math.abs(pure.awayMm - 0.66) < 0.01);
  // A cent is (328 - 36.44) × ln 2 / 1200 = 0.1684 mm there; twelve of them are 2.02 mm.
  assert.ok(Math.abs(pure.toleranceMm - 2.021) < 0.01);
});

test('ringing notes: by the first partials; a fourth under an open string is answered faintly', () => {
  const ring = (name: string, string: string, finger: Finger) => one(name, string, finger).ringing;
  assert.deepEqual(ring('G4', 'D4', 3), { clear: [0], faint: [] });
  assert.deepEqual(ring('B4', 'A4', 1), { clear: [], faint: [3] });
  assert.deepEqual(ring('D5', 'A4', 3), { clear: [0, 1], faint: [] });
  assert.deepEqual(ring('F4', 'D4', 2), { clear: [], faint: [] });
});

test('strings as a tuner has them part fifths and thirds too, by 17.6 cents', () => {
  const { comma } = found(notes('E4', { rules: { locks: [{ at: 0, string: 'D4', finger: 1 }] } }), {
    ...AIM,
    tuning: 'equal',
  }).findings.heard[0];
  assert.ok(comma && Math.abs(comma.apart - 17.6) < 0.05, String(comma?.apart));
});

test('on a wild tuning no check is claimed', () => {
  const wild = found({
    ...notes('D4 E4 F4'),
    tuning: ['G#3', 'C#4', 'A#4', 'D#5'],
    rules: { openStrings: 'never' },
  }).findings;
  assert.ok(wild.heard.some(({ checks }) => checks.length === 0));
  assert.ok(isUnchecked(wild.heard.filter(({ checks }) => checks.length === 0)));
  assert.ok(!isUnchecked(found(notes('D4 E4 F4')).findings.heard));
  assert.ok(!isUnchecked(found(notes('D4 A4')).findings.heard), 'open strings need none');
  assert.ok(wild.ranked.some(({ kind }) => kind === 'no-check'));
});

/** What a resting hand looks after, told wherever there is time. */
const AT_REST: ReadonlySet<Cue> = new Set(['thumb-free', 'base-free', 'fourth-curved']);

test('cues: hold going up, block coming down to a full hand, slide by a semitone, bar over a fifth, hop back', () => {
  const cues = (words: string, fingers: string, strings: string, extra: Partial<PlanRequest> = {}) => {
    const names = strings.split(' ');
    const locks = fingers.split(' ').map((finger, at) => ({ at, finger: Number(finger) as Finger, string: names[at] }));
    const { findings } = found(notes(words, { rules: { locks }, ...extra }), { ...AIM, level: 'advanced' });
    return findings.cues.filter(({ cue }) => !AT_REST.has(cue)).map(({ at, cue }) => `${at} ${cue}`);
  };
  assert.deepEqual(cues('E4 F#4 G4', '1 2 3', 'D4 D4 D4'), ['1 hold', '2 hold']);
  assert.deepEqual(cues('B4 G4 F#4', '1 3 2', 'A4 D4 D4'), ['1 block']);
  assert.deepEqual(cues('F4 F#4', '2 2', 'D4 D4'), ['1 slide']);
  assert.deepEqual(cues('E4 B4', '1 1', 'D4 A4'), ['1 bar']);
  assert.deepEqual(cues('F#4 E4 F4', '2 1 2', 'D4 D4 D4'), ['2 hop-back']);
  assert.deepEqual(cues('E4 C#5', '1 2', 'D4 A4', { tempo: { bpm: 300 } }), ['1 float']);
});

test('the first year is spared the finer cues', () => {
  const request = notes('F4 F#4', { rules: { locks: [0, 1].map((at) => ({ at, finger: 2, string: 'D4' })) } });
  const { cues } = found(request, { ...AIM, level: 'first-year' }).findings;
  assert.ok(cues.every(({ cue }) => AT_REST.has(cue)));
});

test('traps, crowding and commas agree with looking at every pair of notes', () => {
  for (const { request, response } of corpus(150)) {
    const [first] = response.plans;
    if (!first) continue;
    const setup = resolveSetup(request);
    const hand = resolveHand(resolveSetup(request), request.hand);
    const findings = findingsOf(request, response, first, AIM);
    const played = playedNotes(response.events, first, setup);
    const shiftAt = new Set(first.shifts.map(({ to }) => to));
    const brute: string[] = [];
    for (const a of played)
      for (const b of played) {
        if (b.at <= a.at || a.finger === 0 || a.finger !== b.finger) continue;
        const moved = [...shiftAt].some((at) => at > a.at && at <= b.at);
        const transition = played.some(
          (c) => c.finger === a.finger && c.at > a.at && (c.at < b.at || (c.at === b.at && c.voice < b.voice)),
        );
        const later = played.some((c) => c.finger === a.finger && c.at === a.at && c.voice > a.voice);
        const apart = new Set(played.filter(({ at }) => at > a.at && at <= b.at).map(({ at }) => at)).size;
        const near = apart <= 4 && Math.abs(a.string - b.string) === 1;
        // The whole hand leans over: nothing is placed anew by itself.
        const [was, is] = [a.step.hand, b.step.hand].map((own) => Object.entries(own));
        const ways = is.flatMap(([name, stop]) =>
          was.filter(([one]) => one === name).map(([, before]) => stop - before),
        );
        const asOne = ways.length > 1 && ways.every((way) => way === ways[0] && way !== 0);
        if (!moved && !transition && !later && near && !asOne && a.semitones !== b.semitones)
          brute.push(`${a.at}.${b.at}.${a.finger}`);
      }
    assert.deepEqual(
      findings.traps.map(({ from, to, finger }) => `${from.at}.${to.at}.${finger}`).sort(),
      brute.sort(),
    );

    for (const frame of first.frames) {
      const places = Object.entries(frame.fingers);
      const tight = places.filter(([finger, n]) =>
        places.some(
          ([other, m]) =>
            other !== finger &&
            m < n &&
            !places.some(([, transition]) => transition > m && transition < n) &&
            spreadMm(setup.lengthMm, m, n) < hand.fingertipMm,
        ),
      );
      const crowds = findings.crowds.filter(
        ({ events, string }) => string === frame.string && events.every((at) => at >= frame.from && at <= frame.to),
      );
      assert.ok(crowds.length >= tight.length);
    }
    for (const { fingers, events, string, roomMm } of findings.crowds) {
      const pair = events.map((at) => played.filter((note) => note.at === at));
      const mm = fingers.map(
        (finger) =>
          pair.flat().find((one) => one.finger === finger && setup.strings[one.string].name === string)?.stopMm,
      );
      assert.ok(mm[0] !== undefined && mm[1] !== undefined && Math.abs(mm[1] - mm[0] - roomMm) < 0.11);
    }

    for (const { note, checks, comma } of findings.heard) {
      const open = checks.filter(({ touch }) => touch === 0);
      const pairs = open.flatMap((a) => open.map((b) => Math.abs(a.cents - b.cents)));
      assert.equal(
        comma !== null,
        pairs.some((apart) => Math.abs(apart - COMMA) < COMMA / 2),
        `note ${note.at}`,
      );
    }
  }
});

test('cues hold against the ruler: no two fingers are held or put down closer than a fingertip, a bar lies over neighbours', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(someRequest, fc.constantFrom(40, 240), (asked, bpm) => {
      const request = { ...asked, tempo: { bpm } };
      const response = planAlone(request);
      const [first] = response.plans;
      if (!first) return;
      const setup = resolveSetup(request);
      const { fingertipMm } = resolveHand(setup, request.hand);
      const { cues } = findingsOf(request, response, first, { ...AIM, level: 'advanced' });
      const all = playedNotes(response.events, first, setup);
      assert.equal(new Set(cues.map(({ at }) => at)).size, cues.length, 'one at a place');
      for (const { at, cue } of cues) {
        seen.set(cue, (seen.get(cue) ?? 0) + 1);
        const t = all.findIndex((note) => note.at === at);
        const [before, note, next] = [all[t - 1], all[t], all[t + 1]];
        if (note.step.stops.length > 1) {
          if (cue === 'block') assert.ok(note.step.stops.every(({ finger }) => finger !== 0));
          if (cue === 'octaves') assert.equal(next.midi - note.midi, 12);
          continue;
        }
        const room = (a: typeof note, b: typeof note) => Math.abs(a.stopMm - b.stopMm);
        if (cue === 'hold') assert.ok(room(before, note) >= fingertipMm && before.beats * (60 / bpm) >= 0.3);
        if (cue === 'make-way') assert.ok(room(before, note) < fingertipMm);
        if (cue === 'block') assert.ok(next.string === note.string && room(note, next) >= fingertipMm);
        if (cue === 'bar' || cue === 'bar-or-hop') {
          assert.ok(Math.abs(before.string - note.string) === 1 && before.semitones === note.semitones);
          assert.equal(cue === 'bar-or-hop', note.finger === 3 || note.finger === 4);
        }
        if (cue === 'unlock') assert.ok(first.shifts.some(({ from }) => from === at));
        if (cue === 'overlap') assert.equal(Math.abs(before.string - note.string), 1);
        if (cue === 'connect') assert.ok(before.string === note.string && before.stopMm > note.stopMm);
        if (cue === 'low-string') assert.ok(note.string === 0 && before.string > 0);
      }
    }),
    runs(150, 41),
  );
  for (const cue of ['hold', 'make-way', 'block', 'bar', 'unlock', 'let-go', 'float'])
    assert.ok((seen.get(cue) ?? 0) > 0, `${cue} of ${[...seen.keys()].join()}`);
});

test('every stretch names its limit, and findings come the weightiest first', () => {
  const { findings } = found({
    instrument: 'violin',
    hand: { relaxedMm: 60, fullMm: 82, fingertipMm: 10 },
    material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' },
  });
  const weights = findings.ranked.map(({ weight }) => weight);
  assert.deepEqual(
    weights,
    [...weights].sort((a, b) => b - a),
  );
  const stretches = findings.ranked.filter((one) => one.kind === 'stretch');
  assert.ok(stretches.length > 0);
  for (const { reach, limitMm } of stretches) {
    const share = { '1,2': 0.6, '2,3': 0.47, '3,4': 0.45, '1,3': 0.78, '2,4': 0.75, '1,4': 1 }[reach.fingers.join()];
    assert.ok(share !== undefined && Math.abs(limitMm - 82 * share) < 0.2, reach.fingers.join());
  }
});

test('an open string is no finding, and its target is its own tuning', () => {
  const [heard] = found(notes('D4')).findings.heard;
  assert.equal(heard.note.finger, 0);
  assert.equal(heard.target.mm, 0);
  assert.ok(Math.abs(heard.target.cents + 1.955) < 0.01);
  assert.equal(midiOf(heard.note.pitch), 62);
  assert.ok(stopMm(328, 0) === 0);
});
