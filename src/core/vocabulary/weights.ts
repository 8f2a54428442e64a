/**
 * The named prices that a plan is charged with. The unit is the bare disturbance of one shift: leaving a place the hand knows.
 * The figures are in `planner/cost/weights.ts`; where an instrument differs, in its record.
 */
export interface Weights {
  /** A shift of no distance at all: the hand lets go and must find itself again. */
  readonly shiftBase: number;
  /** For each 1–4 spread travelled: the further, the less sure. */
  readonly shiftTravel: number;
  /** For the square of it: past a hand's width no finger stays near enough to measure from. */
  readonly shiftTravelSquared: number;
  /** Share left of a shift while an open string sounds: time, and nobody hears it. */
  readonly shiftOverOpen: number;
  /** Added to a shift out of a place that was taken for one note: two shifts running, and nowhere between them does the hand find itself. */
  readonly steppingStone: number;
  /** Added where the shift goes to another string: no guide note leads there. */
  readonly shiftAcross: number;
  /** Added where the thumb leaves the neck or comes back to it: the whole arm changes its shape. */
  readonly thumbChange: number;
  /** Share taken off a shift into the position where the hand meets the body of the instrument: it can be felt. */
  readonly shiftToLandmark: number;
  /** Share taken off a shift of a double stop that keeps its fingers and strings: the frame slides as one. */
  readonly frameSlides: number;
  /** Share taken off a shift between notes a semitone apart on one string: the hand goes where the tune goes. */
  readonly shiftOnSemitone: number;
  /** Share taken off a shift where the line turns round, a natural place to breathe. */
  readonly shiftAtTurn: number;
  /** Share added to a shift that arrives off the beat. */
  readonly shiftOffBeat: number;
  /** Arriving on open, 1, 2, 3, 4, thumb: the first finger leads the hand, the little one is furthest from the frame's root. */
  readonly landing: readonly number[];
  /** Sliding on the same finger: sure on 1, risky on 3 and 4, which carry no hand behind them. */
  readonly sameFinger: readonly number[];
  /** Being the finger that guides the slide: weak fingers guide badly. */
  readonly guiding: readonly number[];
  /** The bow or hand goes to the next string. */
  readonly crossing: number;
  /** A string change against the line, down where it rises or up where it falls: it sounds like a stumble. */
  readonly againstLine: number;
  /** Each string jumped over. */
  readonly skip: number;
  /** Opening the hand beyond its frame, once. */
  readonly extensionTaken: number;
  /** Each note played with the hand kept open. */
  readonly extensionHeld: number;
  /** Drawing a finger in to the place of the one below it. */
  readonly contraction: number;
  /** Reaching from the comfortable spread (0) to the full one (this much). */
  readonly stretch: number;
  /** A spread beyond the hand, allowed only where the teacher locked it. */
  readonly beyond: number;
  /** The little finger playing at all. */
  readonly fourth: number;
  /** The little finger on a note of more than a beat, for each further beat up to three. */
  readonly fourthLong: number;
  /** The little finger on an accented note. */
  readonly fourthAccented: number;
  /** The little finger stretched to a top note that is long, accented or repeated: a position higher has it plainly. */
  readonly topStretched: number;
  /** The little finger above the octave, where the arm must reach round. */
  readonly fourthHigh: number;
  /** An open string: other colour, no vibrato, nothing under the finger to check by. */
  readonly open: number;
  /** An open string on a long note, for each further beat up to three. */
  readonly openLong: number;
  /** An open string on a note of more than a second: it cannot be shaded. */
  readonly openHeld: number;
  /** A stopped note that could ring open, where open strings are preferred. */
  readonly openMissed: number;
  /** An open string that the little finger could take on the string below, where the little finger is preferred. */
  readonly fourthMissed: number;
  /** In a figure that rocks over an open string: that it does not ring, each time. */
  readonly ringing: number;
  /** Leaving the string or the position inside a second that alternates. */
  readonly alternation: number;
  /** The little finger in a chromatic scale, where the hand goes in groups of three that are the same on every string. */
  readonly chromaticFourth: number;
  /** What a crossing between two quick notes under one bow costs more, as a share of it. */
  readonly slurredCrossing: number;
  /** What a shift at a change of bow costs less, as a share of it. */
  readonly shiftWithBow: number;
  /** What a shift to the same note again costs less, as a share of it: the ear has the goal already. */
  readonly shiftAtRepeat: number;
  /** What a shift inside a quick slur costs more, as a share of it. */
  readonly shiftInSlur: number;
  /** What a shift inside a figure (four sixteenths, a note and its neighbour) costs more, as a share of it. */
  readonly shiftInFigure: number;
  /** One finger that slides a whole tone or more from note to note, heard as a slide that nobody asked for. */
  readonly wideSlide: number;
  /** What is left of a crossing after a note that is cut short, as a share of it: the bow has time. */
  readonly crossingWhenShort: number;
  /** Music that comes again with other fingers, each time: one calm shift of a third. */
  readonly repeat: number;
  /** Singing that climbs a low string for a stay of less than eight notes. */
  readonly shortStay: number;
  /** A note that comes again after one other with another finger (C–D–C). */
  readonly returning: number;
  /** A finger that goes from the one string of a double stop to the other between quick notes. */
  readonly hop: number;
  /** In a scale of three octaves a shift up that does not land on the first finger, or one down that does not leave from it. */
  readonly irregular: number;
  /** Octaves that change their fingers in the middle of a run. */
  readonly octaveFrame: number;
  /** Fingered octaves with the same pair of fingers twice running on the same strings. */
  readonly octaveAgain: number;
  /** A double stop under the thumb that climbs a pair of strings past its octave, where the next pair has it from fourth position to its own. */
  readonly pastOctave: number;
  /** The playing finger slid a semitone without the hand moving. */
  readonly displace: number;
  /** Times the above by finger: the ring finger is tied to its neighbours and slides least cleanly but for the little one. */
  readonly slideOf: readonly number[];
  /** A finger that lies idle moved a semitone. */
  readonly displaceIdle: number;
  /** The same finger low on one string and high on its neighbour straight after, for each semitone. */
  readonly trap: number;
  /** Each semitone that the hand lies higher than it must for this note, or below its home in first position. */
  readonly height: number;
  /**
   * Each note on a low string that the next one has in first position, for each semitone that the hand has climbed: a thick string speaks ill up there.
   * On the lowest string in full, on the others by how thick they are.
   */
  readonly lowString: number;
  /**
   * Each note in thumb position, for each semitone that the thumb lies below the octave: the string is far from the board there, presses
   * hard, and the thumb is sore soon. A hand that can play from the neck does.
   */
  readonly lowThumb: number;
  /** Leaving a string inside a phrase: the colour changes. */
  readonly colour: number;
  /** Times what the hand model says of a frame's steadiness. */
  readonly pattern: number;
  /** Each finger-semitone by which the pattern changes at a string change. */
  readonly reshape: number;
  /** One finger stopping two strings, a fifth (or fourth) lying flat. */
  readonly bar: number;
  /** A written note taken as its enharmonic neighbour: the eye reads one letter, the hand another. */
  readonly reread: number;
  /** Coming back another way than the line went up: a second fingering to learn and to keep apart from the first. */
  readonly otherWayBack: number;
  /** Two fingers a semitone apart where the fingertip is wider than the space. */
  readonly crowding: number;
}
