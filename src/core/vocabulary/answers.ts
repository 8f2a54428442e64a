/*
 * The closed lists about what is answered: what plans are charged for, how shifts are called, what reasons and problems there are.
 */

/** The terms of a plan's cost. */
export const TERM_NAMES = [
  'shift',
  'landing',
  'crossing',
  'skip',
  'extension',
  'reach',
  'fourth',
  'open',
  'displace',
  'height',
  'colour',
  'frame',
  'return',
  'repeat',
] as const;
export type TermName = (typeof TERM_NAMES)[number];

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
  'to-thumb',
  'from-thumb',
] as const;
export type ShiftKind = (typeof SHIFT_KINDS)[number];

/** How a hand lies that goes in frames: closed, opened (or leaned) up, opened (or leaned) back. */
export const HAND_FRAMES = ['closed', 'forward', 'back'] as const;
export type HandFrame = (typeof HAND_FRAMES)[number];

export const PROBLEMS = [
  'too-low',
  'too-high',
  'not-together',
  'beyond-reach',
  'out-of-rules',
  'begins-later',
  'divisi',
  'lock-over-same',
] as const;
/** Told beside plans, and no reason that there is none. */
export const NOTICES: ReadonlySet<(typeof PROBLEMS)[number]> = new Set(['begins-later', 'divisi', 'lock-over-same']);

/** What can be counted of a way of playing, the most telling first. */
export const COUNTED = ['shifts', 'extension', 'stretch', 'crossings', 'fourth', 'slides'] as const;
export type Counted = (typeof COUNTED)[number];

/** What is felt where nothing countable grows. */
export const FELT = ['frame', 'reach', 'height', 'colour'] as const;
export type Felt = (typeof FELT)[number];

/** What makes a moment good for a shift. */
export const MOMENTS = [
  'during-open',
  'semitone',
  'first-finger',
  'turning-point',
  'change-of-bow',
  'on-the-beat',
  'nearer',
] as const;
export type Moment = (typeof MOMENTS)[number];

/** What plans of the same music are compared by. */
export const TRAITS = [
  'shifts',
  'farthest',
  'crossings',
  'little-fingers',
  'extensions',
  'height',
  'stretches',
  'colour',
  'open-strings',
  'same-back',
] as const;
export type TraitName = (typeof TRAITS)[number];
