/** The note values from the longest down: quarters and the notation package's name. */
const VALUES: readonly (readonly [quarters: number, duration: string])[] = [
  [4, 'w'],
  [2, 'h'],
  [1, 'q'],
  [0.5, '8'],
  [0.25, '16'],
  [0.125, '32'],
];

export interface NoteValue {
  readonly duration: string;
  readonly dots: 0 | 1 | 2;
}

/** The longest written note value that is no longer than so many quarters, with up to two dots; a thirty-second for all that is shorter. */
export function noteValue(quarters: number): NoteValue {
  const [whole, duration] = VALUES.find(([least]) => quarters >= least) ?? VALUES[VALUES.length - 1];
  const dots = quarters >= whole * 1.75 ? 2 : quarters >= whole * 1.5 ? 1 : 0;
  return { duration, dots };
}
