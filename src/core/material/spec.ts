import type { Described } from '../described/describe';
import type * as Schema from '../described/material';

/*
 * What is to be played, in the shape of the planning contract. Pitches are sounding ones.
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

export type ChangeSpec = Described<typeof Schema.ChangeSpec>;
export type NoteSpec = Described<typeof Schema.NoteSpec>;
export type NotesSpec = Described<typeof Schema.NotesSpec>;
export type MaterialSpec = Described<typeof Schema.MaterialSpec>;
