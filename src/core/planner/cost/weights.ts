import { instrumentRecord } from '../../instrument/instruments';
import type { InstrumentRecord, PlainWeight } from '../../instrument/record';
import type { PlanRequest, Rules, Style, Weights } from '../../vocabulary';
import { withTaste } from './preferences';

/*
 * What each trouble costs. The unit is the bare disturbance of one shift: leaving a place the hand knows. Everything here may be
 * argued with; each figure carries its musical reason. Styles and demands scale the same figures, never replace them.
 */

const SECURE: Weights = {
  shiftBase: 1,
  shiftTravel: 1,
  shiftTravelSquared: 1,
  shiftOverOpen: 0.6,
  steppingStone: 0.8,
  shiftAcross: 0.4,
  thumbChange: 2,
  shiftToLandmark: 0.25,
  frameSlides: 0.35,
  shiftOnSemitone: 0.15,
  shiftAtTurn: 0.1,
  shiftOffBeat: 0.1,
  landing: [0, 0, 0.35, 0.5, 0.8, 0.2],
  sameFinger: [0, 0, 0.1, 0.35, 0.6, 0],
  guiding: [0, 0, 0, 0.2, 0.45, 0.1],
  crossing: 0.25,
  againstLine: 1,
  skip: 0.5,
  extensionTaken: 0.7,
  extensionHeld: 0.15,
  contraction: 0.5,
  stretch: 0.8,
  beyond: 25,
  fourth: 0.2,
  fourthLong: 0.1,
  fourthHigh: 0.15,
  fourthAccented: 0.15,
  topStretched: 1.2,
  open: 0.08,
  openLong: 0.08,
  openHeld: 0,
  openMissed: 0.6,
  fourthMissed: 0.6,
  ringing: 0.5,
  alternation: 1.5,
  hop: 1.5,
  slurredCrossing: 0.5,
  shiftWithBow: 0.1,
  shiftAtRepeat: 0.15,
  shiftInSlur: 0.3,
  shiftInFigure: 0.3,
  wideSlide: 0,
  crossingWhenShort: 0.8,
  repeat: 1.4,
  shortStay: 6,
  returning: 0.7,
  chromaticFourth: 0,
  irregular: 0.8,
  octaveFrame: 1.6,
  octaveAgain: 3,
  pastOctave: 1.5,
  displace: 0.35,
  slideOf: [0, 1, 1, 2, 2.5, 1],
  displaceIdle: 0.08,
  trap: 0.4,
  height: 0.05,
  lowString: 0.1,
  lowThumb: 0.12,
  colour: 0.05,
  pattern: 1,
  reshape: 0.02,
  bar: 0.35,
  reread: 0.05,
  crowding: 0.1,
  otherWayBack: 0.6,
};

/** Singing: stay on a string, slides welcome, no open string in the line. */
const SINGING: Weights = {
  ...SECURE,
  shiftBase: 0.6,
  shiftTravel: 0.7,
  shiftTravelSquared: 0.5,
  open: 0.5,
  openLong: 0.3,
  openHeld: 5,
  wideSlide: 1.5,
  height: 0.02,
  lowString: 0.006,
  colour: 2,
};

/** Singing in a piece, where a phrase is not there for its colour alone: quick open strings belong to it, and a crossing weighs as much as a shift. */
const SINGING_PIECE: Weights = { ...SINGING, open: 0.12, openLong: 0.1, height: 0.05, lowString: 0.2, colour: 1 };

/** Early: low positions and open strings; the little finger is still weak. */
const EARLY: Weights = {
  ...SECURE,
  shiftBase: 2.5,
  // Blocks up the neck are of a later age.
  irregular: 0,
  extensionTaken: 0.7,
  fourth: 0.3,
  open: 0,
  openLong: 0,
  height: 0.15,
  colour: 0,
  thumbChange: 4,
  lowString: 0.2,
};

export const STYLE_WEIGHTS: Readonly<Record<Style, Weights>> = { secure: SECURE, singing: SINGING, early: EARLY };

/** What "avoid" adds to the thing avoided: more than a string crossing and a small shift together would save. */
const AVOIDED = 1.5;
/** Under "finger per semitone" a slid finger costs as much as a small shift. */
const SLID_AGAINST_WISH = 1;

/**
 * The weights for an instrument and a style with the teacher's soft demands laid on. A demand only ever adds, so that no plan
 * becomes cheaper by being demanded; but for climbing, which is no fault where the strings are told.
 */
export function weightsFor(instrument: InstrumentRecord, style: Style, rules: Rules, ofPiece = false): Weights {
  const base = onInstrument(ofPiece && style === 'singing' ? SINGING_PIECE : STYLE_WEIGHTS[style], instrument);
  const avoidsExtension = rules.extensions === 'avoid' ? AVOIDED : 0;
  return {
    ...base,
    open: base.open + (rules.openStrings === 'avoid' ? AVOIDED : 0),
    openMissed: rules.openStrings === 'prefer' ? base.openMissed : 0,
    fourthMissed: rules.fourthFinger === 'prefer' ? base.fourthMissed : 0,
    // Who says which strings has said that they are to be climbed.
    lowString: rules.strings ? 0 : base.lowString,
    fourth: base.fourth + (rules.fourthFinger === 'avoid' ? AVOIDED : 0),
    extensionTaken: base.extensionTaken + avoidsExtension,
    displace: base.displace + (rules.chromatic === 'finger-per-semitone' ? SLID_AGAINST_WISH : 0),
  };
}

/** The prices of a style as they are on an instrument: some have a figure of their own, some are a multiple of the usual. */
function onInstrument(style: Weights, { weights: { set, times } }: InstrumentRecord): Weights {
  const multiplied = Object.entries(times).map(([name, factor]) => [name, style[name as PlainWeight] * factor]);
  return { ...style, ...set, ...(Object.fromEntries(multiplied) as Partial<Weights>) };
}

/** Time in seconds that a shift wants; less makes it dearer, more makes it cheaper, within these bounds. */
const SHIFT_SECONDS = 0.75;
const SHIFT_HASTE = [0.7, 2] as const;
/** Notes shorter than this make string crossings dearer; longer ones make colour matter more. */
const CROSSING_SECONDS = 0.5;
const CROSSING_HASTE = [1, 2] as const;
const COLOUR_EASE = [0.5, 2] as const;

/** How the time between two notes scales the terms; each a factor near 1. */
export interface Haste {
  readonly shift: number;
  readonly crossing: number;
  readonly colour: number;
}

/** @param seconds from one note's start to the next, rests included */
export function hasteFor(seconds: number): Haste {
  const clamp = (value: number, [low, high]: readonly [number, number]) => Math.min(high, Math.max(low, value));
  return {
    shift: clamp(Math.sqrt(SHIFT_SECONDS / seconds), SHIFT_HASTE),
    crossing: clamp(Math.sqrt(CROSSING_SECONDS / seconds), CROSSING_HASTE),
    colour: clamp(Math.sqrt(seconds), COLOUR_EASE),
  };
}

/** The weights in force for one request, with what another of the same music prices otherwise. */
export function pricedFor(weights: Weights, before: PlanRequest, after: PlanRequest): Weights {
  if (before === after) return weights;
  const [was, is] = [requestWeights(before), requestWeights(after)];
  const changed = (Object.keys(is) as (keyof Weights)[]).filter(
    (name) => JSON.stringify(was[name]) !== JSON.stringify(is[name]),
  );
  return changed.length === 0
    ? weights
    : { ...weights, ...Object.fromEntries(changed.map((name) => [name, is[name]])) };
}

/** A long open string is left for the little finger there, not for a shift. */
const UNSUNG_OPEN = 1;

/** The prices of what is not sung in a request that sings: separate notes, pedals, accompaniments. */
export function unsungWeights(request: PlanRequest): Weights {
  return { ...requestWeights({ ...request, style: 'secure' }), openHeld: UNSUNG_OPEN };
}

/** The weights that a request asks for on its instrument. */
export function requestWeights(request: PlanRequest, instrument = instrumentRecord(request.instrument)): Weights {
  const { style, rules, material } = request;
  return withTaste(weightsFor(instrument, style ?? 'secure', rules ?? {}, material.type === 'notes'), request);
}
