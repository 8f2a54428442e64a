import { midiOf, parsePitch, plan, type InstrumentName, type Pitch, type PlanRequest, type Step } from '../../src/core';
import type { Planned } from './craft';

/*
 * The detectors: each looks at the steps of a plan alone.
 */

export const order = ({ position }: Pick<Step, 'position'>) => (position === 'thumb' ? Infinity : position);
export const stringAt = ({ setup }: Planned, { stops: [{ string }] }: Step) =>
  setup.strings.findIndex(({ name }) => name === string);
export const isOpen = ({ stops }: Step) => stops.every(({ finger }) => finger === 0);

/** Highest stop of first position, in semitones above the open string. */
const FIRST: Readonly<Record<InstrumentName, number>> = { violin: 7, viola: 7, cello: 5, bass: 4 };
/** From this stop of the first finger on the hand has left the low positions. */
const HIGH: Readonly<Record<InstrumentName, number>> = { violin: 7, viola: 7, cello: 7, bass: 5 };

/** A climb up a low string to a note that the next string has in first position. */
export function highOnLow(one: Planned): string | null {
  const {
    plan: { steps },
    setup,
    request: { instrument },
  } = one;
  for (const step of steps) {
    const [{ semitones, finger }] = step.stops;
    const string = stringAt(one, step);
    if (finger === 0) continue;
    const midi = setup.strings[string].midi + semitones;
    const above = setup.strings.slice(string + 1).map((open) => midi - open.midi);
    const low = above.some((there) => there >= 0 && there <= FIRST[instrument]);
    const hand = step.hand[1] ?? semitones;
    if (low && hand >= HIGH[instrument]) return `note ${step.at + 1}`;
  }
  return null;
}

/**
 * A position for one stopped note between two shifts, or leaving a position and coming back within three notes. On the bass not where the hand only rocks
 * a semitone to and fro: between half and first position that is how its scales in flats go in every school but the pivot, which leans.
 */
export function steppingStone({ plan: { shifts }, request: { instrument } }: Planned): string | null {
  for (let at = 1; at < shifts.length; at++) {
    const [first, second] = [shifts[at - 1], shifts[at]];
    const notes = second.from - first.to + 1;
    const back = first.fromPosition === second.toPosition && first.fromPosition !== 'thumb';
    if (instrument === 'bass' && first.semitones === 1 && second.semitones === 1) continue;
    if (notes <= 1 || (back && notes <= 2)) return `note ${first.to + 1}`;
  }
  return null;
}

/** Another string or finger for the same pitch coming down. */
export function otherWayBack({ plan: { steps }, response }: Planned): string | null {
  for (let at = 0, late = steps.length - 1; at < late; at++, late--) {
    const [a, b] = [response.events[steps[at].at], response.events[steps[late].at]];
    if (!('midi' in a) || !('midi' in b) || a.midi.join() !== b.midi.join()) continue;
    const same = steps[at].stops.every(
      ({ string, finger }, n) => string === steps[late].stops[n].string && finger === steps[late].stops[n].finger,
    );
    if (!same) return `notes ${at + 1} and ${late + 1}`;
  }
  return null;
}

/** Going back down a string where the line rises, or up one where it falls. */
export function againstTheLine(one: Planned): string | null {
  const { steps } = one.plan;
  const { events } = one.response;
  for (let at = 1; at < steps.length; at++) {
    const [a, b] = [events[steps[at - 1].at], events[steps[at].at]];
    if (!('midi' in a) || !('midi' in b)) continue;
    const line = Math.sign(b.midi[0] - a.midi[0]);
    const strings = Math.sign(stringAt(one, steps[at]) - stringAt(one, steps[at - 1]));
    if (line * strings < 0) return `note ${at + 1}`;
  }
  return null;
}

/** Thumb position where every note lies in the neck positions of the highest string that has it. */
export function needlessThumb({ plan: { steps }, response, setup, request: { instrument } }: Planned): string | null {
  const top = setup.strings[setup.strings.length - 1].midi;
  const neck = NECK[instrument];
  const all = response.events.flatMap((event) => ('midi' in event ? event.midi : []));
  if (Math.max(...all) > top + neck) return null;
  const at = steps.findIndex(({ position }) => position === 'thumb');
  return at < 0 ? null : `note ${at + 1}`;
}
/** The highest stop of the neck positions: the fourth finger of fourth position, and what lies just above it. */
const NECK: Readonly<Record<InstrumentName, number>> = { violin: 99, viola: 99, cello: 10, bass: 10 };

/** An augmented second taken by one finger sliding, or by fingers with another between. */
export function augmentedSecond({ plan: { steps, shifts }, response }: Planned): string | null {
  const landings = new Set(shifts.map(({ to }) => to));
  for (let at = 1; at < steps.length; at++) {
    const [a, b] = [steps[at - 1], steps[at]];
    const [x, y] = [a, b].map((step) => {
      const event = response.events[step.at];
      return 'pitches' in event ? (parsePitch(event.pitches[0]) as Pitch) : null;
    });
    if (
      !x ||
      !y ||
      Math.abs(midiOf(x) - midiOf(y)) !== 3 ||
      (x.letter - y.letter + 7) % 7 === 2 ||
      (y.letter - x.letter + 7) % 7 === 2
    )
      continue;
    if (a.stops[0].string !== b.stops[0].string) continue;
    const [f, g] = [a.stops[0].finger, b.stops[0].finger];
    if (f === 0 || g === 0 || f === 'T' || g === 'T') continue;
    if (landings.has(b.at) ? f === g : Math.abs(f - g) !== 1) return `note ${at + 1}: ${f}–${g}`;
  }
  return null;
}

/**
 * A hand that moves and no shift told: on the low instruments where the lowest and the highest finger (the thumb among them where it is up) leave their
 * places the same way; everywhere where two fingers go along their strings together. From pivot to its own middle the thumb stays.
 */
export function movesUntold({ plan: { steps, shifts }, request: { instrument } }: Planned): string | null {
  const told = new Set(shifts.map(({ to }) => to));
  const letters = instrument === 'violin' || instrument === 'viola';
  let before: Step | null = null;
  for (const step of steps) {
    if (told.has(step.at)) before = null;
    if (isOpen(step)) continue;
    if (before && !letters && slidesAlike(before.hand, step.hand)) return `note ${step.at + 1}`;
    if (before && before.at === step.at - 1 && pairSlides(before, step)) return `note ${step.at + 1}`;
    before = step;
  }
  return null;
}

function slidesAlike(from: Step['hand'], to: Step['hand']): boolean {
  const fingers = (['T', '1', '2', '3', '4'] as const).filter((finger) => from[finger] !== undefined);
  const ways = fingers.map((finger) => Math.sign((to[finger] ?? NaN) - (from[finger] ?? NaN)));
  return ways[0] * ways[ways.length - 1] > 0;
}

function pairSlides({ stops: from }: Step, { stops: to }: Step): boolean {
  if (from.length < 2 || from.length !== to.length) return false;
  const ways = from.map(({ string, finger, semitones }, at) =>
    finger !== 0 && string === to[at].string && finger === to[at].finger ? to[at].semitones - semitones : 0,
  );
  return ways.every((way) => way * ways[0] > 0);
}

/** A harmonic touched inside a double stop. */
export function touchedInside({ plan: { steps } }: Planned): string | null {
  const at = steps.findIndex(({ stops }) => stops.length > 1 && stops.some(({ harmonic }) => harmonic));
  return at < 0 ? null : `note ${at + 1}`;
}

/** The same pair of fingers twice running on the same strings. */
export function samePair({ plan: { steps } }: Planned): string | null {
  const pairs = steps.map(({ stops }) => stops.map(({ string, finger }) => string + finger).join());
  const at = pairs.findIndex((pair, n) => n > 0 && pair === pairs[n - 1]);
  return at < 0 ? null : `note ${at + 1}`;
}

/** A figure that goes to and fro and changes its string. */
export function changesString({ plan: { steps } }: Planned): string | null {
  const at = steps.findIndex(({ stops: [stop] }) => stop.string !== steps[0].stops[0].string);
  return at < 0 ? null : `note ${at + 1}`;
}

/** A third by neighbouring fingers, which opens the hand: 4-3, or an opened 2-1. */
export function strainedThird({ plan: { steps } }: Planned): string | null {
  const at = steps.findIndex(({ stops: [low, high] }) => {
    const [a, b] = [Number(low.finger), Number(high?.finger)];
    return a > 0 && b > 0 && Math.abs(a - b) === 1;
  });
  return at < 0 ? null : `note ${at + 1}`;
}

/** An octave that climbs its strings on past their octave where the next pair has it from fourth position on. */
export function climbsPastOctave({ plan: { steps }, setup }: Planned): string | null {
  const { strings } = setup;
  // For its last note the hand may stay on its strings.
  const at = steps.slice(0, -1).findIndex(({ stops: [low] }) => {
    const string = strings.findIndex(({ name }) => name === low.string);
    if (string + 2 >= strings.length || low.semitones <= 12) return false;
    return strings[string].midi + low.semitones - strings[string + 1].midi >= 7;
  });
  return at < 0 ? null : `note ${at + 1}`;
}

/** A chord whose fingers are others in another key. */
export function changesWithKey({ plan: { steps }, request }: Planned): string | null {
  if (request.material.type !== 'notes') return null;
  const inKey = (key: string) =>
    fingers({ ...request, material: { ...request.material, key } as PlanRequest['material'] });
  const own = stopsOf(steps);
  const other = ['B major', 'Db major', 'A minor', 'F major'].find((key) => inKey(key) !== own);
  return other ? `in ${other}` : null;
}

const stopsOf = (steps: readonly Step[]) =>
  steps.map(({ stops }) => stops.map(({ string, finger }) => `${string}${finger}`).join('+')).join(' ');

function fingers(request: PlanRequest): string {
  const [first] = plan({ ...request, alternatives: 1, explain: 'nothing' }).plans;
  return first ? stopsOf(first.steps) : '';
}

/** A shift of a scale by step over three octaves that does not land on 1 going up, or not leave from it coming down. */
export function outOfBlocks({ plan: { shifts }, request: { material } }: Planned): string | null {
  const up = 'direction' in material && material.direction === 'up';
  const turning = shifts.find(({ fromFinger, toFinger }) => ![0, 1, 'T'].includes(up ? toFinger : fromFinger));
  return turning ? `note ${turning.to + 1}` : null;
}

/** What a cellist plays chromatically from one open string to the next. */
const BY_THREES = '0:0,1:1,2:2,3:3,4:1,5:2,6:3';

/** A string that a chromatic line passes through with other fingers than the one before; on the cello with others than 0 123 123. */
export function unlikeFingers({ plan: { steps }, request: { instrument } }: Planned): string | null {
  const order = [...new Set(steps.map(({ stops: [{ string }] }) => string))];
  const groups = order.slice(1, -1).map((name) =>
    steps
      .filter(({ stops: [{ string }] }) => string === name)
      .map(({ stops: [{ finger, semitones }] }) => `${semitones}:${finger}`)
      .sort()
      .join(),
  );
  const odd = instrument === 'cello' && groups.some((group) => group !== BY_THREES);
  return odd || new Set(groups).size > 1 ? groups.join(' / ') : null;
}
