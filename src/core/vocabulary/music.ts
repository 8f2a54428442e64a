/*
 * The closed lists about what is played: material, bows, intonation.
 */

export const DIRECTIONS = ['up', 'down', 'updown'] as const;
export type Direction = (typeof DIRECTIONS)[number];

export const DOUBLE_STOPS = ['third', 'sixth', 'octave', 'fingered-octave', 'tenth'] as const;
export type DoubleStopInterval = (typeof DOUBLE_STOPS)[number];

/** How an arpeggio runs: straight through, or in groups of three that climb a chord note at a time (1 3 5, 3 5 8, 5 8 10 …). */
export const FIGURES = ['straight', 'in-threes'] as const;

/** Each note followed by the one a third, fourth or sixth above it. */
export const BROKEN = ['broken-thirds', 'broken-fourths', 'broken-sixths'] as const;

/** Longest note, in beats. */
export const MOST_BEATS = 64;
/** Most notes written into one; the bow of no instrument takes more. */
export const MOST_VOICES = 4;
/** Most notes written on one bow. */
export const MOST_PER_BOW = 64;

/** Of two notes for two players the one that is planned; the upper where nothing is said. */
export const DIVISI = ['upper', 'lower'] as const;
export type Divisi = (typeof DIVISI)[number];

/** Why a phrase begins at a note: the teacher said so, a rest of a second or more goes before, or a double bar. */
export const PHRASE_STARTS = ['given', 'rest', 'double-bar'] as const;
export type PhraseStart = (typeof PHRASE_STARTS)[number];

export const BOWS = ['down', 'up'] as const;
export type BowDirection = (typeof BOWS)[number];

/** Systems of intonation that need no table. */
export const NAMED_SYSTEMS = ['equal', 'pythagorean', 'just'] as const;
export const SYSTEMS = [...NAMED_SYSTEMS, 'own'] as const;
export type System = (typeof SYSTEMS)[number];

export const STRING_TUNINGS = ['pure', 'equal'] as const;
export type StringTuning = (typeof STRING_TUNINGS)[number];
