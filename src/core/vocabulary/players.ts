/*
 * The closed lists about the player: instruments, schools, hands, clefs, what notes are called.
 */

/** The instruments that are known; each has its record in `core/instrument`. */
export const INSTRUMENT_NAMES = ['violin', 'viola', 'cello', 'bass'] as const;
export type InstrumentName = (typeof INSTRUMENT_NAMES)[number];

/** The schools of fingering that any instrument has. Which one has which is in its record. */
export const SCHOOLS = ['one-two-four', 'four-finger', 'pivot'] as const;
export type School = (typeof SCHOOLS)[number];

/** Fingers as everybody names them: 0 the open string, 1 index to 4 little, T the thumb on the string. */
export const FINGERS = [0, 1, 2, 3, 4, 'T'] as const;
export type Finger = (typeof FINGERS)[number];

/** A position by its number (0.5 is half position), or thumb position. */
export type PositionNumber = number | 'thumb';

export const HAND_SIZES = ['small', 'medium', 'large'] as const;
export type HandSize = (typeof HAND_SIZES)[number];

/** How a spread of two fingers is for a hand. */
export const VERDICTS = ['easy', 'stretch', 'beyond'] as const;
export type Verdict = (typeof VERDICTS)[number];

export const CLEFS = ['treble', 'alto', 'tenor', 'bass'] as const;
export type Clef = (typeof CLEFS)[number];

/** How a student calls the notes. */
/** How fingers are called: by number, or in first position as beginners hear it, low 2 and high 2. */
export const FINGER_NAMES = ['numbers', 'low-high'] as const;
export type FingerNames = (typeof FINGER_NAMES)[number];

export const NOTE_NAMES = ['letters', 'fixed-do', 'german'] as const;
export type NoteNames = (typeof NOTE_NAMES)[number];

/** How far a player has come. */
export const LEVELS = ['first-year', 'early', 'middle', 'advanced'] as const;
export type Level = (typeof LEVELS)[number];
