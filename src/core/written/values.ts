/*
 * Lengths as they are written: note values, dots, tuplets.
 */

/** So many notes in the time of so many. */
export interface Tuplet {
  readonly actual: number;
  readonly normal: number;
}

export interface NoteValue {
  /** 1 a whole note, 4 a quarter, 8 an eighth. */
  readonly of: number;
  readonly dots: 0 | 1 | 2;
  readonly tuplet?: Tuplet;
}

/** Note values from the longest down, in quarters. */
const LONGEST = 4;
const SHORTEST_OF = 128;
const DOTTED = [1, 1.5, 1.75] as const;
/** Tuplets that are in use. */
const TUPLETS: readonly Tuplet[] = [
  { actual: 3, normal: 2 },
  { actual: 5, normal: 4 },
  { actual: 7, normal: 4 },
  { actual: 9, normal: 8 },
  { actual: 11, normal: 8 },
  { actual: 13, normal: 8 },
  { actual: 15, normal: 8 },
];
/** Thirds and the like are kept to their last bits. */
const EXACT = 1e-6;

/** The one value that is exactly so many quarters long. */
function single(quarters: number): NoteValue | null {
  for (let of = 1; of <= SHORTEST_OF; of *= 2)
    for (const [dots, factor] of DOTTED.entries())
      if (Math.abs(quarters - (LONGEST / of) * factor) < EXACT) return { of, dots: dots as 0 | 1 | 2 };
  return null;
}

/** Values that add up to a length without tuplets, the longest first; null where there are none. */
function several(quarters: number): NoteValue[] | null {
  const values: NoteValue[] = [];
  let left = quarters;
  while (left > EXACT) {
    const value = single(left) ?? near(left);
    const length = lengthOf(value);
    if (length > left + EXACT) return null;
    values.push(value);
    left -= length;
  }
  return values;
}

/** The longest plain value that is no longer than a length. */
function near(quarters: number): NoteValue {
  let of = 1;
  while (of < SHORTEST_OF && LONGEST / of > quarters + EXACT) of *= 2;
  return { of, dots: 0 };
}

/** In quarters. */
export function lengthOf({ of, dots, tuplet }: NoteValue): number {
  return (((LONGEST / of) * DOTTED[dots]) / (tuplet?.actual ?? 1)) * (tuplet?.normal ?? 1);
}

/**
 * The values that a length is written with: one, or several that are tied; in a tuplet where it is a third or the like of a beat. What is no note value at all is
 * written as the nearest below it.
 * @returns at least one
 */
export function valuesOf(quarters: number): NoteValue[] {
  const own = single(quarters);
  if (own) return [own];
  for (const tuplet of TUPLETS) {
    const value = single((quarters * tuplet.actual) / tuplet.normal);
    if (value) return [{ ...value, tuplet }];
  }
  const tied = several(quarters);
  if (tied) return tied;
  for (const tuplet of TUPLETS) {
    const parts = several((quarters * tuplet.actual) / tuplet.normal);
    if (parts) return parts.map((value) => ({ ...value, tuplet }));
  }
  return [near(quarters)];
}

/** The one value that a length is drawn with where there is room for one alone: its own, or the longest below it. */
export function noteValue(quarters: number): NoteValue {
  const [first, ...rest] = valuesOf(quarters);
  return rest.length === 0 ? first : (DOTTED_BELOW.find((value) => lengthOf(value) <= quarters + EXACT) ?? first);
}

const DOTTED_BELOW: readonly NoteValue[] = [1, 2, 4, 8, 16, 32].flatMap((of) =>
  ([2, 1, 0] as const).map((dots) => ({ of, dots })),
);

/** True where a note of this value has a flag or a beam. */
export const hasFlag = ({ of }: NoteValue) => of >= 8;
