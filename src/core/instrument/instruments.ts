export type InstrumentKind = 'violin' | 'viola' | 'cello' | 'bass';
export type Clef = 'treble' | 'alto' | 'tenor' | 'bass';

/** What is usual for one kind of instrument. Every number here is a starting value that a request can override. */
export interface InstrumentData {
  readonly label: string;
  /** Sounding pitches, low to high. */
  readonly tuning: readonly string[];
  /** Vibrating string length (nut to bridge) in mm by size; viola sizes are body lengths in inches. */
  readonly sizes: Readonly<Record<string, number>>;
  readonly defaultSize: string;
  /** Highest stop worth planning, in semitones above the open string: the end of a usual fingerboard. */
  readonly reachSemitones: number;
  /** How far the written pitch lies above the sounding one, in octaves. */
  readonly writtenOctavesUp: number;
  /** The clefs its players read, the home clef first. */
  readonly clefs: readonly Clef[];
}

// String lengths: figures common among makers, nut to bridge; instruments vary by a few mm, hence editable.
export const INSTRUMENTS: Readonly<Record<InstrumentKind, InstrumentData>> = {
  violin: {
    label: 'violin',
    tuning: ['G3', 'D4', 'A4', 'E5'],
    sizes: { '4/4': 328, '3/4': 308, '1/2': 286, '1/4': 258, '1/8': 233, '1/10': 214, '1/16': 205 },
    defaultSize: '4/4',
    reachSemitones: 28,
    writtenOctavesUp: 0,
    clefs: ['treble'],
  },
  viola: {
    label: 'viola',
    tuning: ['C3', 'G3', 'D4', 'A4'],
    sizes: { '16.5': 380, '16': 370, '15.5': 360, '15': 350, '14': 330, '13': 310, '12': 286 },
    defaultSize: '16',
    reachSemitones: 26,
    writtenOctavesUp: 0,
    clefs: ['alto', 'treble'],
  },
  cello: {
    label: 'cello',
    tuning: ['C2', 'G2', 'D3', 'A3'],
    sizes: { '4/4': 692, '7/8': 655, '3/4': 620, '1/2': 575, '1/4': 505, '1/8': 440 },
    defaultSize: '4/4',
    reachSemitones: 36,
    writtenOctavesUp: 0,
    clefs: ['bass', 'tenor', 'treble'],
  },
  bass: {
    label: 'double bass',
    tuning: ['E1', 'A1', 'D2', 'G2'],
    sizes: { '4/4': 1100, '3/4': 1050, '1/2': 965, '1/4': 900 },
    defaultSize: '3/4',
    reachSemitones: 30,
    writtenOctavesUp: 1,
    clefs: ['bass', 'tenor', 'treble'],
  },
};
