import type { PositionNumber } from '../vocabulary';

/** The frame of an open string: no finger has a place. */
export const NO_FRAME: readonly number[] = [NaN, NaN, NaN, NaN, NaN, NaN];

export interface Stop {
  /** Index of the string, 0 the lowest. */
  readonly string: number;
  /** Slot of the finger. */
  readonly finger: number;
  /** Semitones above the open string. */
  readonly semitones: number;
  /** True where the finger only touches the string for a natural harmonic. */
  readonly harmonic: boolean;
}

/**
 * One way to hold an event: its stops, all within one place of the hand.
 * `frame[f]` is the stop in semitones where finger f lies or would fall, NaN where it has no place.
 */
export interface Hold {
  /** Number of the position inside its hand model, rising along the neck. */
  readonly position: number;
  readonly stops: readonly Stop[];
  readonly frame: readonly number[];
  /** The finger that reaches outside the closed hand, or 0. */
  readonly extended: number;
  /** The finger that lies closer than its place while the hand stays, or 0. */
  readonly contracted: number;
  /** True where the hand leans a semitone out of its position on a fixed thumb (double bass). */
  readonly leaned: boolean;
  /** 1 where an opened or leaned hand lies above its closed place, -1 where it lies below, else 0; an open string keeps the side of the hand before it. */
  readonly side: number;
  /** True where a written note is taken as its enharmonic neighbour. */
  readonly reread: boolean;
  /** How rare or unsteady the frame is, in the unit of the planner's weights; 0 for what is taught first. */
  readonly unsteady: number;
}

/** What sets a hold apart from a closed, steady one that is played as it is written. */
export type Oddity = Partial<Pick<Hold, 'extended' | 'contracted' | 'leaned' | 'side' | 'reread' | 'unsteady'>>;

/** All holds are made here, so that they are stored alike: the search reads them by the thousand, and twice as fast for it. */
export function makeHold(
  position: number,
  stops: readonly Stop[],
  frame: readonly number[],
  { extended = 0, contracted = 0, leaned = false, side = 0, reread = false, unsteady = 0 }: Oddity = {},
): Hold {
  return { position, stops, frame, extended, contracted, leaned, side, reread, unsteady };
}

/** A harmonic is only touched: it asks less of the hand than a stop so far out, but leaves the frame. */
export const HARMONIC_UNSTEADY = 0.2;

/** A stop, stored like all others. */
export function makeStop(string: number, finger: number, semitones: number, harmonic = false): Stop {
  return { string, finger, semitones, harmonic };
}

/** Where one school of one instrument lets the fingers be. */
export interface HandModel {
  /** Positions are numbered 0 to positionCount - 1. */
  readonly positionCount: number;
  label(position: number): PositionNumber;
  /** How far up the neck the hand sits, in semitones above the nut. */
  anchor(position: number): number;
  /** True in thumb position. */
  thumbUp(position: number): boolean;
  /** Number of the position where the hand meets the body of the instrument. */
  readonly landmark: number;
  /** True where a frame is one of a few fixed shapes, so that fingers on two strings must share one. */
  readonly fixedFrames: boolean;
  /** Number of the first position, where the hand is at home. */
  readonly home: number;
  /** Where a finger falls when the hand merely rests in a position, in semitones; NaN where it has no place. */
  resting(position: number, string: number, finger: number): number;
  /** Where the fingers lie in a position with the hand opened or leaned to a side (1 or -1); NO_FRAME where the hand does not open like that. */
  frameAside(position: number, side: number): readonly number[];
  /** All holds of one written pitch on one string by a pressed finger; the open string is left to the caller. */
  holds(string: number, pitch: DemandedPitch): readonly Hold[];
}

/** A pitch of the material with the ways it may be read, the written one first; steps count letters above C0. */
export interface DemandedPitch {
  readonly midi: number;
  readonly readings: readonly number[];
}
