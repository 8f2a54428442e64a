import type { Described } from '../described/describe';
import type * as Schema from '../described/request';

/*
 * The planning contract, version 1: what is asked.
 */

export const STYLES = ['secure', 'singing', 'early'] as const;
export type Style = (typeof STYLES)[number];

export const OPEN_STRINGS = ['free', 'prefer', 'avoid', 'never'] as const;
export const FOURTH_FINGER = ['free', 'prefer', 'no-shift', 'avoid', 'never'] as const;
export const EXTENSIONS = ['free', 'avoid', 'never'] as const;
export const CHROMATIC = ['slide', 'finger-per-semitone'] as const;
/** How much is said about why: of the shifts (usual), of all, or nothing (for whole books). */
export const EXPLAIN = ['shifts', 'all', 'nothing'] as const;

/** Most ways asked for at once. */
export const MOST_WAYS = 10;

export type PositionRule = Described<typeof Schema.PositionRule>;
export type Lock = Described<typeof Schema.Lock>;
export type Forbidding = Described<typeof Schema.Forbidding>;
export type Rules = Described<typeof Schema.Rules>;
export type Tempo = Described<typeof Schema.Tempo>;
export type PlanRequest = Described<typeof Schema.PlanRequest>;
