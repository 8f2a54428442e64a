import { FRAME_POSITIONS, shape, SQUARE_HAND, thumbRegion, touchedFrom, upperRegion } from './frames';
import type { FrameSchool, InstrumentRecord, Shape } from './record';

const ONE_TWO_FOUR: Shape['places'] = { 1: 0, 2: 1, 4: 2 };

function bassSchool(neck: readonly Shape[], resting: Shape['places']): FrameSchool {
  return {
    positions: FRAME_POSITIONS,
    regions: [
      { from: 1, to: 10, thumb: false, shapes: neck, resting },
      // From about 6½ up the third finger takes over from the fourth.
      upperRegion(11, 12),
      thumbRegion(10, 27),
    ],
    touched: touchedFrom([8, 10]),
    // Fifth position, where the thumb comes to the heel of the neck.
    landmark: 8,
  };
}

/** A pivot leans the frame a semitone to either side on a fixed thumb: less than a shift, more than nothing. */
const PIVOT = 0.45;
const leaning = (places: Shape['places']): Shape => ({ ...shape(places, PIVOT), leaned: true });

const SCHOOLS = {
  'one-two-four': bassSchool([shape(ONE_TWO_FOUR)], ONE_TWO_FOUR),
  'four-finger': bassSchool([shape({ 1: 0, 2: 1, 3: 2, 4: 3 })], { 1: 0, 2: 1, 3: 2, 4: 3 }),
  pivot: bassSchool([shape(ONE_TWO_FOUR), leaning({ 1: 1, 2: 2, 4: 3 }), leaning({ 1: -1, 2: 0, 4: 1 })], ONE_TWO_FOUR),
};

export const BASS: InstrumentRecord = {
  name: 'bass',
  tuning: ['E1', 'A1', 'D2', 'G2'],
  sizes: { '4/4': 1100, '3/4': 1050, '1/2': 965, '1/4': 900 },
  fullMm: 1050,
  adultFromMm: 1050,
  sizesIn: 'fractions',
  defaultSize: '3/4',
  reachSemitones: 30,
  furthestSemitones: 30,
  writtenOctavesUp: 1,
  clefs: ['bass', 'tenor', 'treble'],
  voices: 4,
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
  fingering: { by: 'frames', usual: SCHOOLS['one-two-four'], schools: SCHOOLS },
  // A medium hand takes the whole tone in half position (108 mm) at ease and the four-finger minor third (150 to 158 mm) with a stretch.
  hands: {
    small: { relaxedMm: 104, fullMm: 148, fingertipMm: 14 },
    medium: { relaxedMm: 118, fullMm: 165, fingertipMm: 17 },
    large: { relaxedMm: 132, fullMm: 182, fingertipMm: 19 },
  },
  // The low strings hardly speak high up, and the hand would rather go on shifting by a tone, which is its daily bread, than play across the strings from
  // where the neck ends.
  weights: { set: SQUARE_HAND, times: { steppingStone: 2, height: 3, lowString: 9 } },
  firstPatterns: [{ fingers: [1, 2, 4], places: [0, 1, 2] }],
  // Half and first, then upwards, semitone by semitone.
  positionOrders: [[0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6, 'thumb']],
  firstScales: {
    'first-position': { tonic: 'G1', octaves: 1, positions: { from: 0.5, to: 1 } },
    'first-shifts': { tonic: 'C2', octaves: 1, positions: { from: 0.5, to: 4 } },
    everywhere: { tonic: 'E1', octaves: 3 },
  },
  // The strings are a fourth apart, so an octave lies two strings up under 1 and 4, and is broken.
  octaves: { strings: [0, 2], fingers: [1, 4], start: 1, together: false },
  classFrom: 'E1',
  program: 43,
  partNames:
    /contrabass|contrabb|contrebasse|kontrabass|double bass|string bass|contrabajo|kontrabas|\bbass\b|\bcb\.?\b|\bd\.? ?b\.?\b/,
};
