import { INSTRUMENTS, type InstrumentKind, type School } from '../instrument/instruments';
import type { FrameSchool, Region, Shape, Touched } from './shapes';

/*
 * The schools of cello and double bass as data: which shapes, how far up, and what the positions are called. Where players
 * disagree the choice is said beside it.
 */

const shape = (places: Shape['places'], unsteady = 0, extended = 0): Shape => ({
  places,
  unsteady,
  extended,
});

/** Numbers of positions by the stop of the first finger: on the cello, and on the bass as every school counts them. */
const POSITIONS: FrameSchool['positions'] = {
  1: 0.5,
  2: 1,
  3: 2,
  4: 2.5,
  5: 3,
  6: 3.5,
  7: 4,
  8: 5,
  9: 5.5,
  10: 6,
  11: 6.5,
  12: 7,
};

/** Upper positions: 1 2 3 with gaps of one or two semitones; a whole tone between 2 and 3 after another opens the hand wide. */
const UPPER_SHAPES: readonly Shape[] = [
  shape({ 1: 0, 2: 2, 3: 3 }),
  shape({ 1: 0, 2: 1, 3: 3 }),
  shape({ 1: 0, 2: 1, 3: 2 }, 0.1),
  shape({ 1: 0, 2: 2, 3: 4 }, 0.15),
];

/**
 * Thumb position. What it costs to lay the thumb up at all is in every shape: it is for where the neck hand does not reach. Major and minor
 * fourths from the thumb to the third finger are the taught ones.
 */
const THUMB_UP = 0.5;
const THUMB_SHAPES: readonly Shape[] = [
  shape({ T: 0, 1: 2, 2: 4, 3: 5 }, THUMB_UP),
  shape({ T: 0, 1: 2, 2: 3, 3: 5 }, THUMB_UP),
  shape({ T: 0, 1: 1, 2: 3, 3: 5 }, THUMB_UP + 0.05),
  shape({ T: 0, 1: 1, 2: 3, 3: 4 }, THUMB_UP + 0.1),
  shape({ T: 0, 1: 2, 2: 3, 3: 4 }, THUMB_UP + 0.1),
  shape({ T: 0, 1: 1, 2: 2, 3: 3 }, THUMB_UP + 0.1),
  shape({ T: 0, 1: 2, 2: 4, 3: 6 }, THUMB_UP + 0.2),
  shape({ T: 0, 1: 1, 2: 2, 3: 4 }, THUMB_UP + 0.2),
];

function thumbRegion(from: number, to: number): Region {
  return { from, to, thumb: true, shapes: THUMB_SHAPES, resting: { T: 0, 1: 2, 2: 4, 3: 5 } };
}

function upperRegion(from: number, to: number): Region {
  return { from, to, thumb: false, shapes: UPPER_SHAPES, resting: { 1: 0, 2: 2, 3: 3 } };
}

/**
 * Harmonics: the octave from the end of the neck; in thumb position the fifth above it and the double octave from a step or two too low for the
 * third finger to stop them.
 */
function touchedFrom(neck: readonly [number, number]): readonly Touched[] {
  return [
    { node: 12, from: neck, thumb: false },
    { node: 19, from: [12, 13], thumb: true },
    { node: 24, from: [17, 18], thumb: true },
  ];
}

/** Neck: closed, opened forward (2 3 4 and the thumb move), opened backward (1 alone moves). */
const CELLO: FrameSchool = {
  positions: POSITIONS,
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

const ONE_TWO_FOUR: Shape['places'] = { 1: 0, 2: 1, 4: 2 };

function bassSchool(neck: readonly Shape[], resting: Shape['places']): FrameSchool {
  return {
    positions: POSITIONS,
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

const BASS_SCHOOLS: Readonly<Record<School, FrameSchool>> = {
  'one-two-four': bassSchool([shape(ONE_TWO_FOUR)], ONE_TWO_FOUR),
  'four-finger': bassSchool([shape({ 1: 0, 2: 1, 3: 2, 4: 3 })], { 1: 0, 2: 1, 3: 2, 4: 3 }),
  pivot: bassSchool(
    [shape(ONE_TWO_FOUR), leaning({ 1: 1, 2: 2, 4: 3 }), leaning({ 1: -1, 2: 0, 4: 1 })],
    ONE_TWO_FOUR,
  ),
};

/** The frames of each instrument that has fixed ones, by the school asked for. */
export const FRAMES_OF: Readonly<
  Partial<Record<InstrumentKind, (school: School | undefined) => FrameSchool>>
> = {
  cello: () => CELLO,
  bass: (school = INSTRUMENTS.bass.schools[0]) => BASS_SCHOOLS[school],
};
