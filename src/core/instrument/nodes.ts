/*
 * Natural harmonics: where a finger that only touches the string lets it sound in two, three or four equal parts. (A string touched at a node of its
 * k-th partial sounds that partial: k times the open string's frequency.)
 */

/** What a string touched at a node sounds above the open string. */
interface Partial {
  readonly semitones: number;
  /** Letter steps. */
  readonly steps: number;
}

const OCTAVE: Partial = { semitones: 12, steps: 7 };
const TWELFTH: Partial = { semitones: 19, steps: 11 };
const TWO_OCTAVES: Partial = { semitones: 24, steps: 14 };

/** The nodes that are usual, by the semitones above the open string at which a finger would stop there. */
const NODES: ReadonlyMap<number, Partial> = new Map([
  [5, TWO_OCTAVES],
  [7, TWELFTH],
  [12, OCTAVE],
  [19, TWELFTH],
  [24, TWO_OCTAVES],
]);

/** What a string touched here sounds, in semitones and letter steps above the open string; undefined where there is no node that is usual. */
export function soundsTouched(semitones: number): Partial | undefined {
  return NODES.get(semitones);
}

/** True where a stop and a touch sound the same: at the octave, the fifth above it and two octaves. */
export function soundsAlikeTouched(semitones: number): boolean {
  return NODES.get(semitones)?.semitones === semitones;
}
