/*
 * Codes of what is said about plans; the words for them are found above the core.
 */

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
  'on-the-beat',
  'nearer',
] as const;
export type Moment = (typeof MOMENTS)[number];
