import type { Setup } from '../instrument/setup';
import type { ReachAnswer, Step, Level, PlanRequest } from '../vocabulary';
import type { Finding } from './finding';
import type { OctavePassage } from './octaves';
import type { Played } from './played';
import type { Rough } from './rough';
import type { ShiftDetail } from './shifts';
/*
 * What weighs how much, for whom. Figures that teachers may argue with, each with its reason.
 */

/** How much more or less each kind weighs at a level than for a player in the middle. */
const LEVEL_WEIGHTS: Readonly<Record<Level, Readonly<Record<Finding['kind'], number>>>> = {
  // The low second finger and the first shift are the year's news; an ear that is just opening is not sent after commas.
  'first-year': {
    shift: 1.6,
    trap: 1.6,
    stretch: 1.1,
    crowding: 1,
    comma: 0.3,
    'no-check': 0.6,
    opened: 1,
    'low-first': 1.2,
    skip: 1.4,
    apart: 1,
    lesson: 0.4,
    octaves: 1,
  },
  early: {
    shift: 1.2,
    trap: 1.3,
    stretch: 1,
    crowding: 1,
    comma: 0.6,
    'no-check': 0.8,
    opened: 1,
    'low-first': 1.1,
    skip: 1.2,
    apart: 1,
    lesson: 0.4,
    octaves: 1,
  },
  // A finger that lies wrong is put right before an ear chooses between two true places.
  middle: {
    shift: 1,
    trap: 1,
    stretch: 1,
    crowding: 1,
    comma: 0.7,
    'no-check': 1,
    opened: 1,
    'low-first': 1,
    skip: 1,
    apart: 1,
    lesson: 0.5,
    octaves: 1,
  },
  // The hand is formed: what is left is reach, and the ear.
  advanced: {
    shift: 0.8,
    trap: 0.6,
    stretch: 1,
    crowding: 0.8,
    comma: 1.6,
    'no-check': 1.4,
    opened: 0.9,
    'low-first': 0.8,
    skip: 0.8,
    apart: 0.8,
    lesson: 0.4,
    octaves: 1,
  },
};

export function levelWeight(level: Level, kind: Finding['kind']): number {
  return LEVEL_WEIGHTS[level][kind];
}

/** Into thumb position the whole hand changes. */
const INTO_THUMB = 2;
/** A third or fourth finger that slides itself is the least sure. */
const WEAK_SLIDE = 0.8;

/** The little finger is the weakest to leave from or to land on. */
const LITTLE = 1;
/** Every shift disturbs; each semitone of way by a quarter more. */
const ANY_SHIFT = 2;
const PER_SEMITONE = 1 / 4;
/** A shift in half a second is harder by one, in a quarter of one by two, which is the most. */
const HURRY_SECONDS = 0.5;
const MOST_HURRY = 2;

/** What makes a shift hard, the weightiest first. */
export type Hard = 'far' | 'quick' | 'little-finger' | 'weak-slide' | 'into-thumb';

/** How hard a shift is, and what makes it so: far, quick and little-finger shifts weigh most. */
export function hardness({ shift, seconds }: ShiftDetail): { readonly weight: number; readonly why: Hard[] } {
  const { fromFinger, toFinger, fromPosition, toPosition } = shift;
  const little = fromFinger === 4 || toFinger === 4;
  const slides = fromFinger === toFinger && (toFinger === 3 || toFinger === 4);
  const thumb = toPosition === 'thumb' && fromPosition !== 'thumb';
  const parts: readonly (readonly [Hard, number])[] = [
    ['far', shift.semitones * PER_SEMITONE],
    ['quick', Math.min(MOST_HURRY, HURRY_SECONDS / Math.max(0.1, seconds))],
    ['little-finger', little ? LITTLE : 0],
    ['weak-slide', slides ? WEAK_SLIDE : 0],
    ['into-thumb', thumb ? INTO_THUMB : 0],
  ];
  const weight = parts.reduce((sum, [, part]) => sum + part, ANY_SHIFT);
  const told = parts.filter(([, part]) => part >= TOLD).sort((a, b) => b[1] - a[1]);
  return { weight, why: told.map(([name]) => name) };
}

/** What adds less is not worth a word. */
const TOLD = 0.8;

/** A stretch that is held weighs more than one passed over: a quarter more for each second, up to two. */
const HELD = 0.25;
const MOST_HELD = 2;

/** An opened hand on the low instruments is everyday work as long as it lies within the hand. */
export function stretchWeight(reach: ReachAnswer, step: Step | undefined, setup: Setup, seconds: number): number {
  if (reach.verdict === 'beyond') return 10;
  const held = Math.min(MOST_HELD, HELD * seconds);
  const everyday = setup.instrument.fingering.by === 'frames' && (step?.extended ?? false);
  return (everyday ? 1 + reach.share : 2 + 3 * reach.share) + held;
}

/** What is rough disturbs less than a shift or a stretch: a skip most, for the whole arm goes; then an opened hand that has not settled. */
const ROUGH: Readonly<Record<Rough['kind'], number>> = { skip: 1.8, opened: 1.6, 'low-first': 1.4, apart: 1.2 };
/** Each second less makes it rougher, up to one. */
const HURRIED = 1;

export function roughWeight({ kind, seconds }: Rough): number {
  return ROUGH[kind] + HURRIED * Math.max(0, 1 - seconds);
}

/** The first lesson is said first; each later one weighs a little less. */
const FIRST_LESSON = 2.6;
const EACH_LATER = 0.15;

/** @param n its place in the order of lessons, from 0 */
export function lessonWeight(n: number): number {
  return FIRST_LESSON - EACH_LATER * n;
}

/** The shifts of a passage of octaves are one thing: it weighs as a far shift, more the more the hand has to narrow. */
const OCTAVES = 3.5;
const PER_MM_NARROWER = 0.02;

export function octavesWeight({ widestMm, narrowestMm }: OctavePassage): number {
  return OCTAVES + PER_MM_NARROWER * (widestMm - narrowestMm);
}

/** Two true places a comma apart; in a chromatic line nobody has the time to choose. */
const COMMA_WEIGHT = 1.5;
const IN_CHROMATIC = 0.1;

export function commaWeight(material: PlanRequest['material']): number {
  return COMMA_WEIGHT * (material.type === 'scale' && material.scale === 'chromatic' ? IN_CHROMATIC : 1);
}

/** One note without a check is soon compared with another; a long run of them needs an hour of its own. */
const UNCHECKED = 0.3;
const MOST_UNCHECKED = 2;

export function runWeight(notes: number): number {
  return Math.min(MOST_UNCHECKED, UNCHECKED + (notes - 1) / 6);
}

/** Which findings are of one kind of place: what is said of them is the same but for where. */
function kindOfPlace(finding: Finding): string {
  switch (finding.kind) {
    case 'shift': {
      const { shift, from, to } = finding.detail;
      const { fromFinger, toFinger, fromPosition, toPosition, travelMm } = shift;
      return [fromFinger, toFinger, fromPosition, toPosition, travelMm, from.string, to.string].join();
    }
    case 'stretch': {
      const { fingers, spreadMm } = finding.reach;
      return [...fingers, spreadMm].join();
    }
    case 'crowding':
      return [...finding.crowd.fingers, finding.crowd.string, finding.crowd.roomMm].join();
    case 'trap': {
      const { finger, from, to } = finding.trap;
      // Going up or coming down, it is the same finger on the same two strings.
      return [finger, ...[from, to].map(placeOf).sort()].join(' ');
    }
    case 'comma':
      return placeOf(finding.note);
    case 'no-check':
      // Of long runs, and of notes that only a drone helps, there is one thing to say, wherever they are.
      if (finding.run.length > 1) return 'run';
      return finding.run[0].neighbour?.kind === 'drone' ? 'drone' : placeOf(finding.run[0].note);
    case 'octaves':
      return 'octaves';
    case 'lesson':
      return finding.lesson.kind;
    default:
      return finding.rough.notes.map((note) => [placeOf(note), note.finger].join()).join(' ');
  }
}

const placeOf = ({ string, semitones, pitch }: Played) => [string, semitones, pitch.letter].join();

/** One finding a kind of place: the weightiest, or of equals the first, with where else it comes. */
export function oncePerPlace(findings: readonly Finding[]): Finding[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const tag = `${finding.kind} ${kindOfPlace(finding)}`;
    groups.set(tag, [...(groups.get(tag) ?? []), finding]);
  }
  return [...groups.values()].map((group) => {
    const first = group.reduce((best, one) => (one.weight > best.weight ? one : best));
    const also = group.filter((one) => one !== first).map(({ events }) => events);
    return also.length > 0 ? { ...first, also } : first;
  });
}
