import type { ShiftDetail } from '../findings/shifts';
import type { Setup } from '../instrument/setup';
import { keyAlteration, type Key } from '../pitch/key';
import { parseKey } from '../material/build';
import { spellInKey } from '../pitch/inkey';
import { letterSteps, midiOf, pitchName, type Pitch } from '../pitch/pitch';
import type { PlanRequest, Finger, Plan, PlanResponse } from '../vocabulary';
import { drillKey, drillRequest, plannedNote, plannedVoice, voicesIn, type DrillNote } from './drillNotes';
import { withinHand } from './within';

/*
 * Drills are made, not looked up. Each is an ordinary request with its fingers and strings locked, so that it opens, plays and prints like any plan.
 */

export interface ShiftDrill {
  /** Key of the scale it climbs, such as "D major". */
  readonly key: string;
  /** Open pitch of the string, such as "A4". */
  readonly string: string;
  readonly fromFinger: Finger;
  readonly toFinger: Finger;
  /** Letter steps from the one note to the other; negative for a shift down. */
  readonly distance: number;
  /** The first note of the first pair, in letter steps above the open string. */
  readonly start: number;
  /** How many pairs. */
  readonly span: number;
  /** Semitones between the two notes of a shift that it is made for: a pair as far apart comes first, in any key. */
  readonly semitones?: number;
}

export function readKey(name: string): Key {
  const key = parseKey(name);
  if (!key) throw new RangeError(`no key: ${name}`);
  return key;
}

/** The scale's note some letter steps above C0. */
export function noteOf(key: Key, steps: number): Pitch {
  const octave = Math.floor(steps / 7);
  const letter = steps - 7 * octave;
  return { letter, octave, alteration: keyAlteration(key, letter) };
}

/**
 * A shift climbing the scale in sequence on one string: pair after pair, each a step higher, with a rest to set the hand back.
 * Pairs that a finger does not reach or is not used for there are left out.
 */
export function shiftDrill(request: PlanRequest, setup: Setup, drill: ShiftDrill): PlanRequest {
  const key = readKey(drill.key);
  const string = Math.max(
    0,
    setup.strings.findIndex(({ name }) => name === drill.string),
  );
  const open = setup.strings[string];
  const within = withinHand(request, setup, key);
  const pairAt = (start: number) => {
    const [from, to] = [start, start + drill.distance].map((steps) => noteOf(key, open.steps + steps));
    return within(from, drill.fromFinger, string) && within(to, drill.toFinger, string) ? [[from, to]] : [];
  };
  const starts = Array.from({ length: drill.span }, (_, at) => drill.start + at);
  const first = alikeStart(drill, (start) =>
    pairAt(start).some(([from, to]) => midiOf(to) - midiOf(from) === drill.semitones),
  );
  const pairs = [...first, ...starts.filter((start) => !first.includes(start))].flatMap(pairAt);
  const notes = pairs.flatMap(([from, to], at): DrillNote[] => [
    { pitches: [pitchName(from)], finger: drill.fromFinger, string: open.name, bar: at > 0 },
    { pitches: [pitchName(to)], finger: drill.toFinger, string: open.name, beats: 2, shift: true },
    { pitches: [] },
  ]);
  return drillRequest(request, drill.key, notes);
}

/** Letter steps round the start within which every key has each of its intervals. */
const OCTAVE_STEPS = 7;

/** The place nearest to the start that is like the shift the drill is made for; none where it is made for none, or the key has none. */
function alikeStart({ start, semitones }: ShiftDrill, isLike: (start: number) => boolean): number[] {
  if (semitones === undefined) return [];
  const near = Array.from({ length: 2 * OCTAVE_STEPS + 1 }, (_, at) => start + at - OCTAVE_STEPS);
  const like = near.filter((one) => one >= 0 && isLike(one));
  return like.sort((a, b) => Math.abs(a - start) - Math.abs(b - start)).slice(0, 1);
}

/**
 * The drill for a shift of a plan, to be changed: its fingers, string, distance and key. A shift across strings or over an open one goes along the string
 * of its goal, from where the old finger lies on it.
 */
export function drillOfShift({ shift, from, to }: ShiftDetail, response: PlanResponse, setup: Setup): ShiftDrill {
  const name = drillKey(response, shift.to);
  const open = setup.strings[to.string];
  const { fromFinger, toFinger, guide } = shift;
  const begun = from.string === to.string ? from.pitch : spellInKey(readKey(name), open.midi + from.semitones);
  const steps = letterSteps(begun) - open.steps;
  return {
    key: name,
    string: open.name,
    toFinger,
    span: SPAN,
    fromFinger: fromFinger === 0 ? (guide?.finger ?? 1) : fromFinger,
    distance: letterSteps(to.pitch) - letterSteps(begun),
    start: Math.max(0, steps - BELOW),
    semitones: to.midi - midiOf(begun),
  };
}

/** How many steps the drill "most like it" goes below the shift itself, and how many pairs it has. */
const BELOW = 2;
const SPAN = 6;

/**
 * The drill most like one shift of a plan: the same distance, fingers, string and direction in the same key; first the shift itself, then through the scale, at last
 * with the notes before and after it in the plan.
 */
export function drillLike(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  setup: Setup,
  detail: ShiftDetail,
): PlanRequest {
  const { shift, from, to } = detail;
  if (voicesIn(response, [shift.from, shift.to]) > 1) return voicesDrill(request, response, plan, detail);
  const fromOpen = setup.strings[from.string];
  const toOpen = setup.strings[to.string];
  const name = drillKey(response, shift.to);
  const key = readKey(name);
  const within = withinHand(request, setup, key);
  const sequence = Array.from({ length: SPAN }, (_, at) => at - BELOW).filter((move) => move !== 0);
  const pair = (move: number): DrillNote[] => {
    const [a, b] = move === 0 ? [from.pitch, to.pitch] : [moved(key, from.pitch, move), moved(key, to.pitch, move)];
    const inReach = within(a, shift.fromFinger, from.string) && within(b, shift.toFinger, to.string);
    if (move !== 0 && !inReach) return [];
    return [
      { pitches: [pitchName(a)], finger: shift.fromFinger, string: fromOpen.name, bar: true },
      { pitches: [pitchName(b)], finger: shift.toFinger, string: toOpen.name, beats: 2 },
      { pitches: [] },
    ];
  };
  const around = [shift.from - 1, shift.from, shift.to, shift.to + 1].flatMap((at): DrillNote[] => {
    const step = plan.steps.find((one) => one.at === at);
    const event = response.events[at];
    if (!step || !event || !('pitches' in event) || event.pitches.length > 1) return [];
    const { finger, string } = step.stops[0];
    return [{ pitches: event.pitches, finger, string }];
  });
  const [first, ...rest] = [...pair(0), ...sequence.flatMap(pair)];
  const joined = around.map((note, at) => ({ ...note, bar: at === 0 }));
  return drillRequest(request, name, [{ ...first, bar: false }, ...rest, ...joined]);
}

/** Times both voices are joined. */
const JOINED = 3;

/** A shift of double stops: each voice by itself, then both, as one hand makes them. */
function voicesDrill(request: PlanRequest, response: PlanResponse, plan: Plan, { shift }: ShiftDetail): PlanRequest {
  const pair = (notes: readonly (DrillNote | null)[]): DrillNote[] =>
    notes.flatMap((note, n) => (note ? [{ ...note, bar: n === 0, beats: n === 0 ? 1 : 2 }] : []));
  const ends = [shift.from, shift.to];
  const voices = Array.from({ length: voicesIn(response, ends) }, (_, voice) =>
    pair(ends.map((at) => plannedVoice(response, plan, at, voice))),
  );
  const both = pair(ends.map((at) => plannedNote(response, plan, at)));
  const turns = [...voices, ...Array.from({ length: JOINED }, () => both)].filter((notes) => notes.length > 0);
  const [first, ...rest] = turns.flatMap((notes) => [...notes, { pitches: [] }]);
  return drillRequest(request, drillKey(response, shift.to), [{ ...first, bar: false }, ...rest]);
}

/** A pitch some letter steps higher in the key. */
function moved(key: Key, pitch: Pitch, steps: number): Pitch {
  return noteOf(key, letterSteps(pitch) + steps);
}

/** Octaves built as players build them, step by step up the scale: the lower note alone, the upper alone, then both. */
export function octaveBuilding(request: PlanRequest, setup: Setup, keyName: string, span: number): PlanRequest {
  const key = readKey(keyName);
  const { strings, fingers, start, together } = setup.instrument.octaves;
  const [low, high] = strings.map((string) => setup.strings[string] ?? setup.strings[0]);
  const held = (finger: Finger | undefined, string: string) => (finger === undefined ? {} : { finger, string });
  const notes = Array.from({ length: span }, (_, at) => noteOf(key, low.steps + start + at)).flatMap(
    (pitch, at): DrillNote[] => {
      const pair = [pitchName(pitch), pitchName({ ...pitch, octave: pitch.octave + 1 })];
      const lower = { pitches: [pair[0]], ...held(fingers?.[0], low.name) };
      const upper = { pitches: [pair[1]], ...held(fingers?.[1], high.name) };
      const both = together
        ? [{ pitches: pair, beats: 2, ...held(fingers?.[0], low.name) }]
        : [lower, { ...upper, beats: 2 }];
      return [{ ...lower, bar: at > 0 }, upper, ...both];
    },
  );
  return drillRequest(request, keyName, notes);
}

/** A series that begins low on one string and climbs the scale. */
export interface Series {
  readonly key: string;
  readonly string: string;
  readonly finger: Finger;
  readonly span: number;
}

/** Where a finger's series begins, in letter steps: in first position; the thumb at the octave. */
const startOf = (finger: Finger) => (finger === 'T' ? 7 : Number(finger));

/** One finger shifting up the scale on one string, a step at a time: the first series everybody learns. */
export function sameFingerSeries(request: PlanRequest, setup: Setup, { finger, ...series }: Series): PlanRequest {
  const pair = { fromFinger: finger, toFinger: finger, distance: 1 };
  return shiftDrill(request, setup, { ...series, ...pair, start: startOf(finger) });
}

/** The finger whose note the first finger matches where none other is named. */
const MATCHED = 3;

/** A note under a higher finger matched by the first finger after a shift: the same pitch, heard twice. */
export function matchingDrill(request: PlanRequest, setup: Setup, { finger, ...series }: Series): PlanRequest {
  const fromFinger = finger === 1 ? MATCHED : finger;
  const pair = { fromFinger, toFinger: 1 as const, distance: 0 };
  return shiftDrill(request, setup, { ...series, ...pair, start: startOf(fromFinger) });
}
