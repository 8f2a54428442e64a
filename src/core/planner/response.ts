import type { Verdict } from '../hand/reach';
import type { Comparison } from './compare';
import type { PositionNumber, Rules } from './request';
import type { TermName } from './terms';

/** The planning contract, version 1: what is answered. Lengths in mm from the nut, semitones above the open string. */
export type FingerName = 0 | 1 | 2 | 3 | 4 | 'T';

export type ResponseEvent =
  | {
      readonly at: number;
      readonly pitches: readonly string[];
      readonly midi: readonly number[];
      readonly beats: number;
      /** True where a bar line stands before it. */
      readonly bar?: true;
    }
  | { readonly at: number; readonly rest: true; readonly beats: number; readonly bar?: true };

export interface StopAnswer {
  readonly string: string;
  readonly finger: FingerName;
  readonly semitones: number;
  readonly stopMm: number;
  readonly harmonic: boolean;
}

export interface Step {
  readonly at: number;
  readonly stops: readonly StopAnswer[];
  readonly position: PositionNumber;
  readonly positionName: string;
  /** What playing it and getting to it costs; with the term `return` they add up to the plan's cost. */
  readonly cost: number;
  readonly extended: boolean;
  /** True where the hand leans a semitone out of its position on a fixed thumb (double bass, pivot school). */
  readonly leaned?: true;
  /** Where the first and the fourth finger (or the last that has a place) lie, in mm from the nut: the width of the hand. */
  readonly handMm: readonly [number, number];
  /** Where each finger lies or would fall, in semitones above the open string; fingers without a place are left out. */
  readonly hand: Readonly<Partial<Record<'1' | '2' | '3' | '4' | 'T', number>>>;
  /** Why an extension, the little finger or an open string is used here; only where the request asks to explain all. */
  readonly reasons?: readonly Reason[];
}

export type ShiftKind = 'same-finger' | 'old-finger' | 'new-finger' | 'open-string' | 'across-strings';

export interface Reason {
  readonly code: string;
  /** How much dearer the cheapest plan without the element is; left out where there is none. */
  readonly loss?: number;
  readonly message: string;
}

export interface Shift {
  readonly from: number;
  readonly to: number;
  readonly fromFinger: FingerName;
  readonly toFinger: FingerName;
  readonly fromPosition: PositionNumber;
  readonly toPosition: PositionNumber;
  /** How far the sliding finger travels. */
  readonly semitones: number;
  readonly travelMm: number;
  readonly kind: ShiftKind;
  /** The note the sliding finger passes or lands on, unheard. */
  readonly guide: { readonly finger: FingerName; readonly string: string; readonly pitch: string };
  readonly reasons: readonly Reason[];
}

export interface ReachAnswer {
  readonly at: number;
  readonly fingers: readonly [FingerName, FingerName];
  readonly spreadMm: number;
  /** Spread over the fullest spread of this pair on this hand. */
  readonly share: number;
  readonly verdict: Verdict;
}

export interface FrameAnswer {
  readonly from: number;
  readonly to: number;
  readonly string: string;
  readonly position: PositionNumber;
  /** The fingers that played and where, in semitones above the open string. */
  readonly fingers: Readonly<Record<string, number>>;
  readonly gaps: readonly number[];
}

export interface Plan {
  /** What sets this plan apart from the others of the answer, in a few words. */
  readonly character?: string;
  readonly cost: number;
  /** Adds up to the cost; terms of zero are left out. */
  readonly terms: Readonly<Partial<Record<TermName, number>>>;
  readonly steps: readonly Step[];
  readonly shifts: readonly Shift[];
  readonly reach: readonly ReachAnswer[];
  readonly frames: readonly FrameAnswer[];
}

export interface Problem {
  readonly code: string;
  readonly at?: number;
  /** The two events that no way joins, where each alone has its place. */
  readonly fight?: readonly [number, number];
  readonly message: string;
  readonly relax?: Rules;
  /** Single changes that would each help, one of a kind, the smallest first. */
  readonly ways?: readonly { readonly words: string; readonly relax: Rules }[];
}

export interface PlanResponse {
  readonly contract: 1;
  readonly events: readonly ResponseEvent[];
  /** The signature the material is written in, for drawing: fifths from C major and its name. */
  readonly key: { readonly fifths: number; readonly name: string };
  readonly plans: readonly Plan[];
  /** Two of the plans laid side by side, where the request asked for it and both are there. */
  readonly comparison?: Comparison;
  readonly problems: readonly Problem[];
}
