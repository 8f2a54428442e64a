/*
 * Codes of what is said about plans; the words for them are found above the core.
 */

/** What can be counted of a way of playing. */
export const COUNTED = [
  'shifts',
  'extension',
  'crossings',
  'landing',
  'fourth',
  'open',
  'return',
  'reach',
] as const;
export type Counted = (typeof COUNTED)[number];

/** What is felt where nothing countable grows. */
export const FELT = ['travel', 'landings', 'height', 'colour', 'slides', 'frame', 'reach'] as const;
export type Felt = (typeof FELT)[number];

/** What a plan may have least of. */
export const PLAN_MEASURES = [
  'shifts',
  'height',
  'crossings',
  'travel',
  'extensions',
  'little-finger',
  'open-strings',
] as const;
export type PlanMeasure = (typeof PLAN_MEASURES)[number];
