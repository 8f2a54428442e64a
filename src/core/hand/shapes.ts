import { sum } from 'd3-array';
import type { FrameSchool, Region, Shape } from '../instrument/record';
import type { Setup } from '../instrument/setup';
import { THUMB } from './finger';
import { framePositions } from './positions';
import { HARMONIC_UNSTEADY, makeHold, makeStop, NO_FRAME, type DemandedPitch, type HandModel, type Hold } from './hold';
import type { PositionNumber } from '../vocabulary';

/*
 * Cello and double bass: the hand is a few shapes of fixed semitones, set down at some stop. A position is named by the stop where
 * the first finger lies in the closed hand; in thumb position by where the thumb does.
 */

interface Place {
  readonly region: Region;
  readonly stop: number;
  readonly frames: readonly (readonly number[])[];
  /** To which side of the closed hand each shape lies. */
  readonly sides: readonly number[];
}

const SLOT_NAMES = [1, 2, 3, 4, 'T'] as const;

function fingerOf(name: (typeof SLOT_NAMES)[number]): number {
  return name === 'T' ? THUMB : name;
}

function frameOf(places: Shape['places'], stop: number): number[] {
  const frame = [NaN, NaN, NaN, NaN, NaN, NaN];
  for (const name of SLOT_NAMES) {
    const place = places[name];
    if (place !== undefined) frame[fingerOf(name)] = stop + place;
  }
  return frame;
}

/** To which side of the closed hand a shape is opened or leaned: 1 up, -1 down, 0 for one that is neither. */
function sideOf({ places, extended, leaned }: Shape, { places: closed }: Shape): number {
  if (extended === 0 && !leaned) return 0;
  return Math.sign(sum(SLOT_NAMES, (name) => (places[name] ?? 0) - (closed[name] ?? 0)));
}

/** What a school makes of a neck of some reach, the same for every instrument of that reach. */
interface Layout {
  readonly places: readonly Place[];
  readonly labels: readonly PositionNumber[];
  readonly restFrames: readonly (readonly number[])[];
  /** Which shapes put which finger at a stop of a string. Those of one position and finger stand side by side. */
  readonly holdsAt: (string: number, semitones: number) => readonly Hold[];
}

/** Layouts follow from the schools' data alone, so each is worked out once. */
const layouts = new WeakMap<FrameSchool, Map<number, Layout>>();

function layoutOf(school: FrameSchool, reach: number): Layout {
  const known = layouts.get(school) ?? new Map<number, Layout>();
  layouts.set(school, known);
  const layout = known.get(reach) ?? layOut(school, reach);
  known.set(reach, layout);
  return layout;
}

function layOut(school: FrameSchool, reach: number): Layout {
  const places: Place[] = school.regions.flatMap((region) =>
    Array.from({ length: region.to - region.from + 1 }, (_, at) => {
      const stop = region.from + at;
      return {
        region,
        stop,
        frames: region.shapes.map((shape) => frameOf(shape.places, stop)),
        sides: region.shapes.map((shape) => sideOf(shape, region.shapes[0])),
      };
    }),
  );
  const byStop: Hold[][] = Array.from({ length: reach + 1 }, () => []);
  places.forEach((place, position) => {
    place.region.shapes.forEach((shape, at) => {
      for (const name of SLOT_NAMES) {
        const semitones = place.stop + (shape.places[name] ?? NaN);
        if (semitones >= 1 && semitones <= reach)
          byStop[semitones].push(holdAt(place, position, at, fingerOf(name), semitones));
      }
    });
  });
  for (const holds of byStop) holds.sort((a, b) => a.position - b.position || a.stops[0].finger - b.stops[0].finger);
  for (const { node, from, thumb } of school.touched)
    places.forEach((place, position) => {
      const near = place.stop >= from[0] && place.stop <= from[1];
      if (near && place.region.thumb === thumb && node <= reach) byStop[node].push(touchedAt(place, position, node));
    });
  return {
    places,
    labels: framePositions(school),
    restFrames: places.map(({ region, stop }) => frameOf(region.resting, stop)),
    holdsAt: onStrings(byStop),
  };
}

/** The holds of string 0 on every string, each made once. */
function onStrings(byStop: readonly (readonly Hold[])[]): Layout['holdsAt'] {
  const known: (readonly Hold[])[] = [];
  return (string, semitones) =>
    (known[string * byStop.length + semitones] ??= byStop[semitones].map((hold) => {
      const [{ finger, harmonic }] = hold.stops;
      return makeHold(hold.position, [makeStop(string, finger, semitones, harmonic)], hold.frame, hold);
    }));
}

/**
 * The shape hand of a school on one instrument.
 * @param demanded every pitch of the material: fingers lie ready where the music will want them
 */
export function shapeHand(setup: Setup, school: FrameSchool, demanded: readonly DemandedPitch[]): HandModel {
  const { places, labels, restFrames, holdsAt } = layoutOf(school, setup.reachSemitones);
  const useful = usefulFingers(setup, demanded);
  const ready: number[][] = [];
  return {
    positionCount: places.length,
    home: places.findIndex(({ stop }) => school.positions[stop] === 1),
    landmark: places.findIndex(({ region, stop }) => !region.thumb && stop === school.landmark),
    fixedFrames: true,
    label: (position) => labels[position],
    thumbUp: (position) => places[position].region.thumb,
    anchor: (position) => places[position].stop,
    resting: (position, _string, finger) => restFrames[position][finger],
    frameAside: (position, side) => places[position].frames[places[position].sides.indexOf(side)] ?? NO_FRAME,
    holds: (string: number, pitch: DemandedPitch) => {
      const semitones = pitch.midi - setup.strings[string].midi;
      if (semitones < 1 || semitones > setup.reachSemitones) return [];
      // The same on every string.
      ready[semitones] ??= readiest(holdsAt(0, semitones), useful);
      const holds = holdsAt(string, semitones);
      return ready[semitones].map((at) => holds[at]);
    },
  };
}

type Useful = (frame: readonly number[], finger: number) => boolean;

/** Says whether the music wants a finger of a frame where it lies, on any string. */
function usefulFingers(setup: Setup, demanded: readonly DemandedPitch[]): Useful {
  const wanted = new Set<number>();
  for (const { midi } of demanded) for (const open of setup.strings) wanted.add(midi - open.midi);
  return (frame, finger) => wanted.has(frame[finger]);
}

/**
 * Which holds have their idle fingers readiest: of several shapes for the same finger in the same place, one is left out where another
 * has every useful finger in the same place, opens the hand no wider and is as steady.
 * @param holds those of one position and finger stand side by side
 * @returns their numbers
 */
function readiest(holds: readonly Hold[], useful: Useful): number[] {
  const kept: number[] = [];
  for (let first = 0, end = 0; first < holds.length; first = end) {
    while (end < holds.length && onePlace(holds[first], holds[end])) end++;
    for (let at = first; at < end; at++) {
      let outdone = false;
      for (let other = first; other < end && !outdone; other++)
        outdone = other !== at && outdoes(holds[other], holds[at], useful, other < at);
      if (!outdone) kept.push(at);
    }
  }
  return kept;
}

function onePlace(a: Hold, b: Hold): boolean {
  return a.position === b.position && a.stops[0].finger === b.stops[0].finger;
}

/** @param first whether hold a wins where they are equal */
function outdoes(a: Hold, b: Hold, useful: Useful, first: boolean): boolean {
  if (a.extended !== b.extended || a.leaned !== b.leaned || a.unsteady > b.unsteady || !noWider(a, b)) return false;
  return hasUseful(a, b, useful) && (first || a.unsteady < b.unsteady || !hasUseful(b, a, useful));
}

/** True where every useful finger of b lies in the same place in a. */
function hasUseful({ frame: a }: Hold, { frame: b }: Hold, useful: Useful): boolean {
  for (let finger = 1; finger <= THUMB; finger++) if (a[finger] !== b[finger] && useful(b, finger)) return false;
  return true;
}

/** True where the first finger and the one below lie no further from the playing one; the thumb lies where it does in both. */
function noWider({ frame: a, stops: [{ finger }] }: Hold, { frame: b }: Hold): boolean {
  if (!Number.isNaN(a[THUMB]) || finger === 1) return true;
  return a[1] >= b[1] && !(a[finger - 1] < b[finger - 1]);
}

function holdAt(place: Place, position: number, at: number, finger: number, semitones: number): Hold {
  const { extended, unsteady, leaned } = place.region.shapes[at];
  const side = place.sides[at];
  return makeHold(position, [makeStop(0, finger, semitones)], place.frames[at], { extended, leaned, side, unsteady });
}

/** The third finger (with one-two-four the fourth would not reach) laid out to a node. */
function touchedAt({ frames, region }: Place, position: number, node: number): Hold {
  const frame = frames[0].slice();
  frame[3] = node;
  frame[4] = NaN;
  return makeHold(position, [makeStop(0, 3, node, true)], frame, {
    unsteady: region.shapes[0].unsteady + HARMONIC_UNSTEADY,
  });
}
