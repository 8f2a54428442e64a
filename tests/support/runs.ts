/*
 * How often chance is asked. By day each law is tried a number of times with a seed of its own, so that a run can be repeated; by night many times more, with
 * new seeds that are printed.
 */

export const NIGHTLY = process.env.NIGHTLY !== undefined;
const NIGHT = Number(process.env.NIGHTLY ?? 0);

/** The seed of a law: its own by day, another each night. */
export const seedOf = (seed: number) => (NIGHTLY ? (seed * 2654435761 + NIGHT) >>> 0 : seed);

/** Runs of a law for fast-check. @param numRuns by day; ten times as many by night */
export const runs = (numRuns: number, seed = 1) => ({ numRuns: NIGHTLY ? 10 * numRuns : numRuns, seed: seedOf(seed) });
