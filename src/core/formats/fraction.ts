/*
 * Lengths as exact fractions: thirds stay thirds however many of them are added.
 */

export interface Fraction {
  readonly above: number;
  /** Positive; the two have no common divisor. */
  readonly below: number;
}

function divisor(a: number, b: number): number {
  return b === 0 ? Math.abs(a) : divisor(b, a % b);
}

export function fraction(above: number, below = 1): Fraction {
  const common = divisor(above, below) || 1;
  const sign = below < 0 ? -1 : 1;
  return { above: (sign * above) / common, below: (sign * below) / common };
}

export const ZERO = fraction(0);

export const plus = (a: Fraction, b: Fraction) =>
  a.below === b.below
    ? fraction(a.above + b.above, a.below)
    : fraction(a.above * b.below + b.above * a.below, a.below * b.below);
export const minus = (a: Fraction, b: Fraction) => plus(a, { above: -b.above, below: b.below });
export const times = (a: Fraction, by: number, over = 1) => fraction(a.above * by, a.below * over);
export const compared = (a: Fraction, b: Fraction) => a.above * b.below - b.above * a.below;
export const later = (a: Fraction, b: Fraction) => (compared(a, b) >= 0 ? a : b);
export const numberOf = ({ above, below }: Fraction) => above / below;

/** Largest denominator that is looked for. */
const MOST_BELOW = 20_000;
const EXACT = 1e-7;

/** The simplest fraction that a number stands for, such as 1/3 for 0.333333333. */
export function fractionOf(value: number): Fraction {
  let [a, b] = [1, 0];
  let [c, d] = [0, 1];
  let rest = value;
  for (let step = 0; step < 24; step++) {
    const whole = Math.floor(rest);
    [a, b, c, d] = [whole * a + b, a, whole * c + d, c];
    if (Math.abs(value - a / c) < EXACT || c > MOST_BELOW) break;
    rest = 1 / (rest - whole);
  }
  return fraction(a, c);
}

/** The least number that two numbers both divide. */
export const commonMultiple = (a: number, b: number) => (a / divisor(a, b)) * b;

/** A length in beats as a request has it: a number where that is exact, else a fraction. */
export function beatsText({ above, below }: Fraction): number | string {
  const exact = (below & (below - 1)) === 0 || below === 5 || below === 10;
  return exact ? above / below : `${above}/${below}`;
}
