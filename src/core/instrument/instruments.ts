export type Clef = 'treble' | 'alto' | 'tenor' | 'bass';
export const CLEFS = ['treble', 'alto', 'tenor', 'bass'] as const satisfies readonly Clef[];

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

/** What is usual for one kind of instrument and what it can do. Every number is a starting value that a request can override. */
export interface InstrumentData {
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
  /** How far the written pitch lies above the sounding one, in octaves. */
  readonly writtenOctavesUp: number;
  /** The clefs its players read, the home clef first. */
  readonly clefs: readonly Clef[];
  /** Most notes that a bow takes at once, the lower ones of four broken. */
  readonly voices: number;
  /** How positions are found: by the letter under the first finger, or by frames of semitones. */
  readonly handBy: 'letters' | 'frames';
  /** Schools of fingering, the usual one first; one alone needs no name. */
  readonly schools: readonly string[];
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
  readonly stringings: readonly Stringing[];
  readonly teachingFrames: readonly TeachingFrame[];
}

const FOURTHS: readonly TeachingFrame[] = [
  { code: 'perfect-fourth-1st', first: 2, fourth: 7 },
  { code: 'augmented-fourth-1st', first: 1, fourth: 7 },
  { code: 'perfect-fourth-4th', first: 7, fourth: 12 },
];

// String lengths: figures common among makers, nut to bridge; instruments vary by a few mm, hence editable.
export const INSTRUMENTS = {
  violin: {
    tuning: ['G3', 'D4', 'A4', 'E5'],
    sizes: { '4/4': 328, '3/4': 308, '1/2': 286, '1/4': 258, '1/8': 233, '1/10': 214, '1/16': 205 },
    fullMm: 328,
    adultFromMm: 328,
    sizesIn: 'fractions',
    defaultSize: '4/4',
    reachSemitones: 28,
    writtenOctavesUp: 0,
    clefs: ['treble'],
    voices: 4,
    handBy: 'letters',
    schools: [],
    thumb: false,
    between: 'half',
    firstPosition: 7,
    upTheNeck: 'thumb-round',
    bodyJoint: 5,
    stringings: [],
    teachingFrames: FOURTHS,
  },
  viola: {
    tuning: ['C3', 'G3', 'D4', 'A4'],
    sizes: { '16.5': 380, '16': 370, '15.5': 360, '15': 350, '14': 330, '13': 310, '12': 286 },
    fullMm: 370,
    adultFromMm: 350,
    sizesIn: 'inches',
    defaultSize: '16',
    reachSemitones: 26,
    writtenOctavesUp: 0,
    clefs: ['alto', 'treble'],
    voices: 4,
    handBy: 'letters',
    schools: [],
    thumb: false,
    between: 'half',
    firstPosition: 7,
    upTheNeck: 'thumb-round',
    bodyJoint: 5,
    stringings: [],
    teachingFrames: FOURTHS,
  },
  cello: {
    tuning: ['C2', 'G2', 'D3', 'A3'],
    sizes: { '4/4': 692, '7/8': 655, '3/4': 620, '1/2': 575, '1/4': 505, '1/8': 440 },
    fullMm: 692,
    adultFromMm: 655,
    sizesIn: 'fractions',
    defaultSize: '4/4',
    reachSemitones: 36,
    writtenOctavesUp: 0,
    clefs: ['bass', 'tenor', 'treble'],
    voices: 4,
    handBy: 'frames',
    schools: [],
    thumb: true,
    between: 'raised',
    firstPosition: 5,
    upTheNeck: 'whole-arm',
    bodyJoint: 4,
    stringings: [],
    teachingFrames: [
      { code: 'minor-third-closed', first: 2, fourth: 5 },
      { code: 'major-third-extended', first: 2, fourth: 6 },
      { code: 'minor-third-4th', first: 7, fourth: 10 },
    ],
  },
  bass: {
    tuning: ['E1', 'A1', 'D2', 'G2'],
    sizes: { '4/4': 1100, '3/4': 1050, '1/2': 965, '1/4': 900 },
    fullMm: 1050,
    adultFromMm: 1050,
    sizesIn: 'fractions',
    defaultSize: '3/4',
    reachSemitones: 30,
    writtenOctavesUp: 1,
    clefs: ['bass', 'tenor', 'treble'],
    voices: 4,
    handBy: 'frames',
    schools: ['one-two-four', 'four-finger', 'pivot'],
    thumb: true,
    between: 'half',
    firstPosition: 4,
    upTheNeck: 'whole-arm',
    bodyJoint: 5,
    stringings: [
      { code: 'five-strings', tuning: ['B0', 'E1', 'A1', 'D2', 'G2'] },
      { code: 'extension-to-c', extensionTo: 'C1' },
      { code: 'solo', tuning: ['F#1', 'B1', 'E2', 'A2'] },
    ],
    teachingFrames: [
      { code: 'whole-tone-half', first: 1, fourth: 3 },
      { code: 'whole-tone-1st', first: 2, fourth: 4 },
      { code: 'minor-third-four-fingers', first: 2, fourth: 5 },
    ],
  },
} as const satisfies Record<string, InstrumentData>;

export type InstrumentKind = keyof typeof INSTRUMENTS;
export const INSTRUMENT_KINDS = Object.keys(INSTRUMENTS) as InstrumentKind[];

/** What is known of a kind of instrument. */
export function instrumentData(kind: InstrumentKind): InstrumentData {
  return INSTRUMENTS[kind];
}

/** Every size that any instrument comes in. */
export const SIZES: readonly string[] = [
  ...new Set(INSTRUMENT_KINDS.flatMap((kind) => Object.keys(INSTRUMENTS[kind].sizes))),
];

/** A school of the instruments that have several. */
export type School = (typeof INSTRUMENTS)[InstrumentKind]['schools'][number];
export const SCHOOLS: readonly School[] = INSTRUMENT_KINDS.flatMap((kind) => [...INSTRUMENTS[kind].schools]);
