import type { InstrumentKind } from '../../instrument/instruments';
import type { PlanRequest, Rules, Style, Tempo } from '../request';
import { withTaste } from './preferences';

/*
 * What each trouble costs. The unit is the bare disturbance of one shift: leaving a place the hand knows. Everything here may be
 * argued with; each figure carries its musical reason. Styles and demands scale the same figures, never replace them.
 */

export interface Weights {
  /** A shift of no distance at all: the hand lets go and must find itself again. */
  readonly shiftBase: number;
  /** For each 1–4 spread travelled: the further, the less sure. */
  readonly shiftTravel: number;
  /** For the square of it: past a hand's width no finger stays near enough to measure from. */
  readonly shiftTravelSquared: number;
  /** Share left of a shift while an open string sounds: time, and nobody hears it. */
  readonly shiftOverOpen: number;
  /** Added to a shift out of a place that was taken for one note: two shifts running, and nowhere between them does the hand find itself. */
  readonly steppingStone: number;
  /** Added where the shift goes to another string: no guide note leads there. */
  readonly shiftAcross: number;
  /** Added where the thumb leaves the neck or comes back to it: the whole arm changes its shape. */
  readonly thumbChange: number;
  /** Share taken off a shift into the position where the hand meets the body of the instrument: it can be felt. */
  readonly shiftToLandmark: number;
  /** Share taken off a shift of a double stop that keeps its fingers and strings: the frame slides as one. */
  readonly frameSlides: number;
  /** Share taken off a shift between notes a semitone apart on one string: the hand goes where the tune goes. */
  readonly shiftOnSemitone: number;
  /** Share taken off a shift where the line turns round, a natural place to breathe. */
  readonly shiftAtTurn: number;
  /** Share added to a shift that arrives off the beat. */
  readonly shiftOffBeat: number;
  /** Arriving on open, 1, 2, 3, 4, thumb: the first finger leads the hand, the little one is furthest from the frame's root. */
  readonly landing: readonly number[];
  /** Sliding on the same finger: sure on 1, risky on 3 and 4, which carry no hand behind them. */
  readonly sameFinger: readonly number[];
  /** Being the finger that guides the slide: weak fingers guide badly. */
  readonly guiding: readonly number[];
  /** The bow or hand goes to the next string. */
  readonly crossing: number;
  /** A string change against the line, down where it rises or up where it falls: it sounds like a stumble. */
  readonly againstLine: number;
  /** Each string jumped over. */
  readonly skip: number;
  /** Opening the hand beyond its frame, once. */
  readonly extensionTaken: number;
  /** Each note played with the hand kept open. */
  readonly extensionHeld: number;
  /** Drawing a finger in to the place of the one below it. */
  readonly contraction: number;
  /** Reaching from the comfortable spread (0) to the full one (this much). */
  readonly stretch: number;
  /** A spread beyond the hand, allowed only where the teacher locked it. */
  readonly beyond: number;
  /** The little finger playing at all. */
  readonly fourth: number;
  /** The little finger on a note of more than a beat, for each further beat up to three. */
  readonly fourthLong: number;
  /** The little finger above the octave, where the arm must reach round. */
  readonly fourthHigh: number;
  /** An open string: other colour, no vibrato, nothing under the finger to check by. */
  readonly open: number;
  /** An open string on a long note, for each further beat up to three. */
  readonly openLong: number;
  /** A stopped note that could ring open, where open strings are preferred. */
  readonly openMissed: number;
  /** An open string that the little finger could take on the string below, where the little finger is preferred. */
  readonly fourthMissed: number;
  /** In a figure that rocks over an open string: that it does not ring, each time. */
  readonly ringing: number;
  /** Octaves that change their fingers in the middle of a run. */
  readonly octaveFrame: number;
  /** The playing finger slid a semitone without the hand moving. */
  readonly displace: number;
  /** Times the above by finger: the ring finger is tied to its neighbours and slides least cleanly but for the little one. */
  readonly slideOf: readonly number[];
  /** A finger that lies idle moved a semitone. */
  readonly displaceIdle: number;
  /** The same finger low on one string and high on its neighbour straight after, for each semitone. */
  readonly trap: number;
  /** Each semitone that the hand lies higher than it must for this note, or below its home in first position. */
  readonly height: number;
  /**
   * Each note on a low string that the next one has in first position, for each semitone that the hand has climbed: a thick string speaks ill up there.
   * On the lowest string in full, on the others by how thick they are.
   */
  readonly lowString: number;
  /**
   * Each note in thumb position, for each semitone that the thumb lies below the octave: the string is far from the board there, presses
   * hard, and the thumb is sore soon. A hand that can play from the neck does.
   */
  readonly lowThumb: number;
  /** Leaving a string inside a phrase: the colour changes. */
  readonly colour: number;
  /** Times what the hand model says of a frame's steadiness. */
  readonly pattern: number;
  /** Each finger-semitone by which the pattern changes at a string change. */
  readonly reshape: number;
  /** One finger stopping two strings, a fifth (or fourth) lying flat. */
  readonly bar: number;
  /** A written note taken as its enharmonic neighbour: the eye reads one letter, the hand another. */
  readonly reread: number;
  /** Coming back another way than the line went up: a second fingering to learn and to keep apart from the first. */
  readonly otherWayBack: number;
  /** Two fingers a semitone apart where the fingertip is wider than the space. */
  readonly crowding: number;
}

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
  open: 0.08,
  openLong: 0.08,
  openMissed: 0.6,
  fourthMissed: 0.6,
  ringing: 0.5,
  octaveFrame: 1.6,
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
  height: 0.02,
  lowString: 0,
  colour: 2,
};

/** Early: low positions and open strings; the little finger is still weak. */
const EARLY: Weights = {
  ...SECURE,
  shiftBase: 2.5,
  extensionTaken: 0.7,
  fourth: 0.3,
  open: 0,
  openLong: 0,
  height: 0.15,
  colour: 0,
  thumbChange: 4,
  lowString: 0.2,
};

/**
 * Where an instrument differs from violin and viola. On cello the square hand makes the fourth finger as sure as the third; on bass
 * the third stands behind it. Low strings lose their tone high up sooner, the thicker the more: on a bass they hardly speak there, and the
 * hand would rather go on shifting by a tone, which is its daily bread, than play across the strings from where the neck ends.
 */
const INSTRUMENT_WEIGHTS: Readonly<Partial<Record<InstrumentKind, (style: Weights) => Partial<Weights>>>> = {
  cello: (style) => ({ ...SQUARE_HAND, height: style.height * 1.4, lowString: style.lowString * 1.4 }),
  bass: (style) => ({
    ...SQUARE_HAND,
    steppingStone: style.steppingStone * 2,
    height: style.height * 3,
    lowString: style.lowString * 9,
  }),
};
const SQUARE_HAND: Partial<Weights> = {
  fourth: 0.05,
  landing: [0, 0, 0.3, 0.4, 0.4, 0.3],
  sameFinger: [0, 0, 0.1, 0.2, 0.25, 0],
  guiding: [0, 0, 0, 0.1, 0.1, 0.1],
};

export const STYLE_WEIGHTS: Readonly<Record<Style, Weights>> = {
  secure: SECURE,
  singing: SINGING,
  early: EARLY,
};

/** What "avoid" adds to the thing avoided: more than a string crossing and a small shift together would save. */
const AVOIDED = 1.5;
/** Under "finger per semitone" a slid finger costs as much as a small shift. */
const SLID_AGAINST_WISH = 1;

/**
 * The weights for an instrument and a style with the teacher's soft demands laid on. A demand only ever adds, so that no plan
 * becomes cheaper by being demanded; but for climbing, which is no fault where the strings are told.
 */
export function weightsFor(instrument: InstrumentKind, style: Style, rules: Rules): Weights {
  const base = { ...STYLE_WEIGHTS[style], ...INSTRUMENT_WEIGHTS[instrument]?.(STYLE_WEIGHTS[style]) };
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
  const clamp = (value: number, [low, high]: readonly [number, number]) =>
    Math.min(high, Math.max(low, value));
  return {
    shift: clamp(Math.sqrt(SHIFT_SECONDS / seconds), SHIFT_HASTE),
    crossing: clamp(Math.sqrt(CROSSING_SECONDS / seconds), CROSSING_HASTE),
    colour: clamp(Math.sqrt(seconds), COLOUR_EASE),
  };
}

/** Seconds that one of the material's own beats lasts; without a tempo a calm sixty. */
export function secondsPerBeat(tempo: Tempo | undefined): number {
  return ((tempo?.beatsPerNote ?? 1) * 60) / (tempo?.bpm ?? 60);
}

/** The weights that a request asks for. */
export function requestWeights(request: PlanRequest): Weights {
  const { instrument, style, rules } = request;
  return withTaste(weightsFor(instrument, style ?? 'secure', rules ?? {}), request);
}
