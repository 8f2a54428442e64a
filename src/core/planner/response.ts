import type { Described } from '../described/describe';
import type * as Schema from '../described/response';

/*
 * The planning contract, version 1: what the core answers, in codes and data. Lengths in mm from the nut, semitones above the open string. The
 * sentences and names are put in above the core.
 */

/** What is special about how a note is held. */
export const ELEMENTS = [
  'extension',
  'contraction',
  'little-finger',
  'open-string',
  'thumb',
  'stay',
  'string',
] as const;
export type Element = (typeof ELEMENTS)[number];

export const SHIFT_KINDS = [
  'same-finger',
  'old-finger',
  'new-finger',
  'open-string',
  'across-strings',
] as const;
export type ShiftKind = (typeof SHIFT_KINDS)[number];

export const PROBLEMS = ['too-low', 'too-high', 'not-together', 'beyond-reach', 'out-of-rules'] as const;

export type ResponseEvent = Described<typeof Schema.ResponseEvent>;
export type { MusicChange } from '../material/events';
export type StopAnswer = Described<typeof Schema.StopAnswer>;
export type HandPlace = Described<typeof Schema.HandPlace>;
export type Reason = Described<typeof Schema.Reason>;
export type Step = Described<typeof Schema.Step>;
export type Shift = Described<typeof Schema.Shift>;
export type ReachAnswer = Described<typeof Schema.ReachAnswer>;
export type FrameAnswer = Described<typeof Schema.FrameAnswer>;
export type WayName = Described<typeof Schema.WayName>;
export type Demand = Described<typeof Schema.Demand>;
export type TraitName = Described<typeof Schema.TraitChange>['trait'];
export type TraitChange = Described<typeof Schema.TraitChange>;
export type Plan = Described<typeof Schema.Plan>;
export type RuleChange = Described<typeof Schema.RuleChange>;
export type WayOut = Described<typeof Schema.WayOut>;
export type Problem = Described<typeof Schema.Problem>;
export type TermCompared = Described<typeof Schema.TermCompared>;
export type PlaceCompared = Described<typeof Schema.PlaceCompared>;
export type Comparison = Described<typeof Schema.Comparison>;
export type PlanResponse = Described<typeof Schema.PlanResponse>;
