/*
 * The closed lists about what is asked of a plan: style, demands, taste.
 */

export const STYLES = ['secure', 'singing', 'early'] as const;
export type Style = (typeof STYLES)[number];

export const OPEN_STRINGS = ['free', 'prefer', 'avoid', 'never'] as const;
export const FOURTH_FINGER = ['free', 'prefer', 'no-shift', 'avoid', 'never'] as const;
/** "forward" and "back": the hand opens only that way. */
export const EXTENSIONS = ['free', 'avoid', 'never', 'forward', 'back'] as const;
export const HARMONICS = ['free', 'last', 'never'] as const;
/** Fingers that a plan can be asked to do without. */
export const SPARED_FINGERS = [2, 3, 4] as const;
/** Where shifts may arrive: on a semitone step where there is one near, or anywhere. */
export const SHIFT_ON = ['anywhere', 'semitone'] as const;
/** Fingers that press a string, for patterns. */
export const PATTERN_FINGERS = [1, 2, 3, 4] as const;
export const CHROMATIC = ['slide', 'finger-per-semitone'] as const;
/** How much is said about why: of the shifts (usual), of all, or nothing (for whole books). */
export const EXPLAIN = ['shifts', 'all', 'nothing'] as const;
/** How much is said of the ways beside the best plan. */
export const WAYS = ['full', 'brief'] as const;

/** What a teacher's taste is told by. */
export const PREFERENCES = ['open-string', 'little-finger', 'shift', 'crossing', 'extension', 'height'] as const;
export type Preference = (typeof PREFERENCES)[number];
/** Times its usual price a thing may cost by taste; beyond that it is a rule. */
export const LEAST_FACTOR = 0.25;
export const MOST_FACTOR = 4;

/** Most ways asked for at once. */
export const MOST_WAYS = 10;
