/*
 * Lengths as exact fractions of plain numbers: thirds stay thirds however many of them are added. A library with unbounded numbers reads a score of
 * 100,000 notes five times as slowly.
 */

export interface Fraction {
  readonly numerator: number;
  /** Positive; the two have no common divisor. */
  readonly denominator: number;
}

/** The greatest common divisor. */
function gcd(a: number, b: number): number {
  return b === 0 ? Math.abs(a) : gcd(b, a % b);
}

export function fraction(numerator: number, denominator = 1): Fraction {
  const common = gcd(numerator, denominator) || 1;
  const sign = denominator < 0 ? -1 : 1;
  return { numerator: (sign * numerator) / common, denominator: (sign * denominator) / common };
}

export const ZERO = fraction(0);

export const plus = (a: Fraction, b: Fraction) =>
  a.denominator === b.denominator
    ? fraction(a.numerator + b.numerator, a.denominator)
    : fraction(a.numerator * b.denominator + b.numerator * a.denominator, a.denominator * b.denominator);
export const minus = (a: Fraction, b: Fraction) => plus(a, { numerator: -b.numerator, denominator: b.denominator });
export const times = (a: Fraction, by: number, over = 1) => fraction(a.numerator * by, a.denominator * over);
/** Negative where the first is less, 0 where they are the same. */
export const compare = (a: Fraction, b: Fraction) => a.numerator * b.denominator - b.numerator * a.denominator;
export const later = (a: Fraction, b: Fraction) => (compare(a, b) >= 0 ? a : b);
export const numberOf = ({ numerator, denominator }: Fraction) => numerator / denominator;

/** Largest denominator that is looked for. */
const MOST_DENOMINATOR = 20_000;
const EXACT = 1e-7;

/** The simplest fraction that a number stands for, such as 1/3 for 0.333333333. */
export function fractionOf(value: number): Fraction {
  let [a, b] = [1, 0];
  let [c, d] = [0, 1];
  let rest = value;
  for (let step = 0; step < 24; step++) {
    const whole = Math.floor(rest);
    [a, b, c, d] = [whole * a + b, a, whole * c + d, c];
    if (Math.abs(value - a / c) < EXACT || c > MOST_DENOMINATOR) break;
    rest = 1 / (rest - whole);
  }
  return fraction(a, c);
}

/** The least common multiple. */
export const lcm = (a: number, b: number) => (a / gcd(a, b)) * b;

/** A length in beats as a request has it: a number where that is exact, else a fraction. */
export function beatsText({ numerator, denominator }: Fraction): number | string {
  const exact = (denominator & (denominator - 1)) === 0 || denominator === 5 || denominator === 10;
  return exact ? numerator / denominator : `${numerator}/${denominator}`;
}
