import type { Clef, Finger, HandSize, InstrumentName, PositionNumber, School, Weights } from '../vocabulary';

/*
 * What is known of one instrument: everything that the program asks is a field here, and each instrument has them all.
 */

/** Strings other than the usual ones that are in use, with the lowest note of an extension where there is one. */
export interface Stringing {
  readonly code: string;
  readonly tuning?: readonly string[];
  readonly extensionTo?: string;
}

/** A frame that every player of the instrument meets, from finger 1 to finger 4, in semitones above the open string. */
export interface TeachingFrame {
  readonly code: string;
  readonly first: number;
  readonly fourth: number;
}

/** What a teacher can measure of a hand, all in mm. */
export interface HandProfile {
  /** Comfortable spread from the first to the fourth finger. */
  readonly relaxedMm: number;
  /** Widest spread from the first to the fourth finger that does no harm. */
  readonly fullMm: number;
  /** Width of a fingertip pressing the string. */
  readonly fingertipMm: number;
}

/** One way the fingers can lie. Places are semitones above the stop that names the position; a finger left out has none. */
export interface Shape {
  readonly places: Readonly<Partial<Record<'T' | 1 | 2 | 3 | 4, number>>>;
  /** The finger that reaches out of the closed hand, or 0. */
  readonly extended: number;
  /** True where it is the closed hand leaning to one side on a fixed thumb. */
  readonly leaned?: boolean;
  /** Cost of the shape, in the unit of the planner's weights. */
  readonly unsteady: number;
}

/** A stretch of the neck and the shapes used there; `to` is the last stop a position is named by. */
export interface Region {
  readonly from: number;
  readonly to: number;
  readonly thumb: boolean;
  readonly shapes: readonly Shape[];
  /** Where the fingers rest, as in a shape. */
  readonly resting: Shape['places'];
}

/** A node of the string, and the positions by their stops, on the neck or with the thumb up, from which it is touched. */
export interface Touched {
  readonly node: number;
  readonly from: readonly [number, number];
  readonly thumb: boolean;
}

/** One school of one instrument. */
export interface FrameSchool {
  readonly regions: readonly Region[];
  /** Number of a position by its stop. */
  readonly positions: Readonly<Record<number, PositionNumber>>;
  /** The position, by stop, where the hand meets the body of the instrument. */
  readonly landmark: number;
  /** Harmonics that the third finger reaches out of the hand to touch. */
  readonly touched: readonly Touched[];
}

/** A position is named by the letter under the first finger. */
export interface LetterFingering {
  readonly by: 'letters';
  /** Highest position planned. */
  readonly topPosition: number;
}

/** A position is a stop of the first finger, and the hand one of a few frames. */
export interface FrameFingering {
  readonly by: 'frames';
  readonly usual: FrameSchool;
  /** Where there are several schools, the usual one first. */
  readonly schools: Readonly<Partial<Record<School, FrameSchool>>>;
}

/** Prices that are one number. */
export type PlainWeight = { [Name in keyof Weights]: Weights[Name] extends number ? Name : never }[keyof Weights];

/** Prices of an instrument's own, and the usual ones times a factor. */
interface WeightChanges {
  readonly set: Partial<Weights>;
  readonly times: Readonly<Partial<Record<PlainWeight, number>>>;
}

/** Fingers and how far they lie from the first, in semitones. */
interface TaughtPattern {
  readonly fingers: readonly Finger[];
  readonly places: readonly number[];
}

/** How far somebody has come who plans a first scale. */
export type Stage = 'first-position' | 'first-shifts' | 'everywhere';

/** A key that lies well in these positions. */
interface FirstScale {
  readonly tonic: string;
  readonly octaves: number;
  readonly positions?: { readonly from: number; readonly to: number };
}

/** On which two strings octaves are built, by which fingers (as the plan has them where left out), from how many letter steps above the lower string, and whether they sound together. */
interface OctaveBuilding {
  readonly strings: readonly [number, number];
  readonly fingers?: readonly [Finger, Finger];
  readonly start: number;
  readonly together: boolean;
}

/** Positions in the order they are taught; "opened" is the hand that opens in frames. */
type PositionOrder = readonly (PositionNumber | 'opened')[];

/** What is usual for one kind of instrument and what it can do. Every number is a starting value that a request can override. */
export interface InstrumentRecord {
  readonly name: InstrumentName;
  /** Sounding pitches, low to high. */
  readonly tuning: readonly string[];
  /** Vibrating string length (nut to bridge) in mm by size; viola sizes are body lengths in inches. */
  readonly sizes: Readonly<Record<string, number>>;
  /** The string length in mm of the full size that an adult's hand is told for, and the least that adults play; shorter ones are children's. */
  readonly fullMm: number;
  readonly adultFromMm: number;
  readonly sizesIn: 'fractions' | 'inches';
  readonly defaultSize: string;
  /** Highest stop worth planning, in semitones above the open string: the end of a usual fingerboard. */
  readonly reachSemitones: number;
  /** How far up it goes where the music asks for it: players have notes beyond the usual end, on the highest string above all. */
  readonly furthestSemitones: number;
  /** How far the written pitch lies above the sounding one, in octaves. */
  readonly writtenOctavesUp: number;
  /** The clefs its players read, the home clef first. */
  readonly clefs: readonly Clef[];
  /** Most notes that a bow takes at once, the lower ones of four broken. */
  readonly voices: number;
  /** True where the thumb is laid on the strings high up. */
  readonly thumb: boolean;
  /** How a position between two numbered ones is called: the lower one raised, or a half more. */
  readonly between: 'raised' | 'half';
  /** Semitones above the open string that the hand reaches in first position without an extension. */
  readonly firstPosition: number;
  /** How the hand gets up the neck: thumb and elbow come round, or the whole arm moves. */
  readonly upTheNeck: 'thumb-round' | 'whole-arm';
  /** The position where the hand meets the body: beyond it the thumb comes round. */
  readonly bodyJoint: number;
  /** Where the fingers lie: by letters, or in fixed frames of semitones. */
  readonly fingering: LetterFingering | FrameFingering;
  /** A hand that nobody has measured, for an adult on a full-size instrument. */
  readonly hands: Readonly<Record<HandSize, HandProfile>>;
  /** Where its prices differ from the usual ones. */
  readonly weights: WeightChanges;
  readonly stringings: readonly Stringing[];
  readonly teachingFrames: readonly TeachingFrame[];
  /** Patterns as they are taught first in a position. */
  readonly firstPatterns: readonly TaughtPattern[];
  /** Orders in which positions are taught, the usual one first; schools differ. */
  readonly positionOrders: readonly PositionOrder[];
  /** Scales to begin with, by how far somebody has come. */
  readonly firstScales: Readonly<Record<Stage, FirstScale>>;
  /** Where octaves are built from their voices. */
  readonly octaves: OctaveBuilding;
  /** The octave it plays in a class: nothing below this note. */
  readonly classFrom: string;
  /** Its sound in the General MIDI list, counted from 0. */
  readonly program: number;
  /** What its parts are called in scores, in the languages that they are printed in: small letters without accents. */
  readonly partNames: RegExp;
}
