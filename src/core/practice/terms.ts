/*
 * Words that practice is told in, as data.
 */

/** Clean times running until a step is done, and repetitions of a plain session, where nobody says otherwise. */
export const USUAL_TIMES = 3;
export const USUAL_REPETITIONS = 5;

/** A ladder falls back one step after so many that were not clean, running. */
export const FALLS_AFTER = 2;

/** A session is proposed to end after so many minutes … */
export const LONG_MINUTES = 15;
/** … or when, after at least so many repetitions, so many running were not clean. */
export const TIRED_AFTER = 5;
export const TIRED_RUN = 3;

/** Orders of rhythm that a passage is played in; lengths are shares of the notes' own, and add up to them. */
export const RHYTHMS = [
  { name: 'long-short', lengths: [1.5, 0.5] },
  { name: 'short-long', lengths: [0.5, 1.5] },
  { name: 'first-of-three', lengths: [2, 0.5, 0.5] },
  { name: 'first-of-four', lengths: [2.5, 0.5, 0.5, 0.5] },
  { name: 'stop-before-shifts', lengths: [1] },
] as const;
export type RhythmName = (typeof RHYTHMS)[number]['name'];

/** Beats of silence before each shift in the last of them. */
export const STOP_BEATS = 1;

/** Help that fades, step by step; the share at which our own playing goes along. */
export const AIDS = [
  { name: 'names-and-fingers', along: 0 },
  { name: 'hard-fingers', along: 0 },
  { name: 'names', along: 0 },
  { name: 'bare', along: 0 },
  { name: 'tonic', along: 0 },
  { name: 'along', along: 1 },
  { name: 'along-softer', along: 0.4 },
  { name: 'along-faint', along: 0.12 },
  { name: 'alone', along: 0 },
] as const;
export type AidName = (typeof AIDS)[number]['name'];

/** Beats each note has, halved from step to step. */
export const HALVES = [4, 2, 1, 0.5] as const;

/** Notes to a bow, step by step; the last is all in one. */
export const BOW_COUNTS = [1, 2, 3, 4, 6, 8] as const;

/** A landing matched with the same pitch low down: heard and placed alone, then from the note before, in rhythm, at last without hearing it first. */
export const MATCHING = [
  { name: 'alone', alone: true, beatsEach: 4, hear: true },
  { name: 'with-before', alone: false, beatsEach: 2, hear: true },
  { name: 'in-rhythm', alone: false, beatsEach: 1, hear: true },
  { name: 'unheard', alone: false, beatsEach: 1, hear: false },
] as const;
export type MatchingName = (typeof MATCHING)[number]['name'];

/** Voices of a double stop, as they are built. */
export const VOICES = ['lower', 'upper', 'both', 'lower-stronger'] as const;
export type VoicesName = (typeof VOICES)[number];

/** Notes of a group that a passage grows by. */
export const GROUP = 4;
