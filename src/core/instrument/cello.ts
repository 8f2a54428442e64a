import { FRAME_POSITIONS, shape, SQUARE_HAND, thumbRegion, touchedFrom, upperRegion } from './frames';
import type { FrameSchool, InstrumentRecord } from './record';

/** Neck: closed, opened forward (2 3 4 and the thumb move), opened backward (1 alone moves). */
const FRAMES: FrameSchool = {
  positions: FRAME_POSITIONS,
  regions: [
    {
      from: 1,
      to: 7,
      thumb: false,
      shapes: [
        shape({ 1: 0, 2: 1, 3: 2, 4: 3 }),
        shape({ 1: 0, 2: 2, 3: 3, 4: 4 }, 0, 2),
        shape({ 1: -1, 2: 1, 3: 2, 4: 3 }, 0, 1),
      ],
      resting: { 1: 0, 2: 1, 3: 2, 4: 3 },
    },
    upperRegion(8, 12),
    // The thumb can come up from where the neck joins the body.
    thumbRegion(7, 33),
  ],
  touched: touchedFrom([7, 9]),
  // The heel of the neck under the thumb, in fourth position.
  landmark: 7,
};

const fingers = [1, 2, 3, 4] as const;

export const CELLO: InstrumentRecord = {
  name: 'cello',
  tuning: ['C2', 'G2', 'D3', 'A3'],
  sizes: { '4/4': 692, '7/8': 655, '3/4': 620, '1/2': 575, '1/4': 505, '1/8': 440 },
  fullMm: 692,
  adultFromMm: 655,
  sizesIn: 'fractions',
  defaultSize: '4/4',
  reachSemitones: 36,
  furthestSemitones: 36,
  writtenOctavesUp: 0,
  clefs: ['bass', 'tenor', 'treble'],
  voices: 4,
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
  fingering: { by: 'frames', usual: FRAMES, schools: {} },
  // A medium hand takes the minor third in first position (98 mm) at ease and the extended major third (127 mm) with a stretch; the others lie about a
  // tenth to either side: there the square hand opens wider.
  hands: {
    small: { relaxedMm: 108, fullMm: 132, fingertipMm: 12 },
    medium: { relaxedMm: 120, fullMm: 144, fingertipMm: 15 },
    large: { relaxedMm: 132, fullMm: 160, fingertipMm: 17 },
  },
  // Low strings lose their tone high up sooner, the thicker the more.
  // A chromatic scale goes 0 123 123 on each string: a group of three again a minor third up, not a fourth finger close behind the third.
  weights: { set: { ...SQUARE_HAND, chromaticFourth: 0.9 }, times: { height: 1.4, lowString: 1.7 } },
  firstPatterns: [
    { fingers, places: [0, 1, 2, 3] },
    { fingers, places: [0, 2, 3, 4] },
  ],
  // Opened hands and fourth position come before the places between; the thumb comes last.
  positionOrders: [
    [1, 'opened', 4, 2, 3, 5, 6, 7, 'thumb'],
    [1, 'opened', 2, 3, 4, 5, 6, 7, 'thumb'],
  ],
  // The low instruments have their first shifts in fourth position.
  firstScales: {
    'first-position': { tonic: 'D3', octaves: 1, positions: { from: 1, to: 1 } },
    'first-shifts': { tonic: 'G2', octaves: 2, positions: { from: 0.5, to: 4 } },
    everywhere: { tonic: 'C2', octaves: 3 },
  },
  // Thumb and third finger, from the octave.
  octaves: { strings: [1, 2], fingers: ['T', 3], start: 7, together: true },
  classFrom: 'C2',
  program: 42,
  partNames: /cello|celli|violonchelo|violoncel|\bvlc\.?\b|\bvc\.?\b/,
};
