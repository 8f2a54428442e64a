/*
 * What any sentence needs: lists, counts, numbers and articles, as the language has them.
 */

const LANGUAGE = 'en';
const LISTS = new Intl.ListFormat(LANGUAGE, { type: 'conjunction' });
const PLURALS = new Intl.PluralRules(LANGUAGE);
const ORDINALS = new Intl.PluralRules(LANGUAGE, { type: 'ordinal' });
const ORDINAL_ENDS: Readonly<Partial<Record<Intl.LDMLPluralRule, string>>> = {
  one: 'st',
  two: 'nd',
  few: 'rd',
  other: 'th',
};

/** "a", "a and b", "a, b, and c". */
export function listed(words: readonly string[]): string {
  return LISTS.format(words);
}

/** "1 shift", "2 shifts". */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${number(n)} ${PLURALS.select(n) === 'one' ? one : many}`;
}

/** "1st", "2nd", "3rd", "11th". */
export function ordinal(n: number): string {
  return n + (ORDINAL_ENDS[ORDINALS.select(n)] ?? '');
}

/** By the digits after the point: making a format takes far longer than using it. */
const FORMATS = [0, 1, 2].map(
  (digits) =>
    new Intl.NumberFormat(LANGUAGE, {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      useGrouping: false,
    }),
);

/** A number with so many digits after the point, two at most. */
export function number(n: number, digits: 0 | 1 | 2 = 0): string {
  return FORMATS[digits].format(n);
}

/** With its sign, as distances from a target are: "+3.1", "−0.4". */
export function signed(n: number, digits: 0 | 1 | 2): string {
  return `${n < 0 ? '−' : '+'}${number(Math.abs(n), digits)}`;
}

/** A length in whole mm: a hand is not measured more finely. */
export function mm(length: number): string {
  return `${number(length)} mm`;
}

/** A length in mm to a tenth, where the ear hears it: targets and tolerances. */
export function mmFine(length: number): string {
  return `${number(length, 1)} mm`;
}

/** A time, to a tenth of a second. */
export function seconds(time: number): string {
  return `${number(time, 1)} s`;
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five'];

/** Small numbers in words. */
export function countWords(n: number): string {
  return COUNTS[n] ?? String(n);
}

/** A sentence begins with a capital. */
export function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What a user typed, as it is given back to them: not without end. */
export function echoed(name: string): string {
  return name.length > MOST_ECHOED ? `${name.slice(0, MOST_ECHOED)}…` : name;
}

/** Letters of a name that are echoed. */
const MOST_ECHOED = 60;

/** "1, 3–5, 9": numbers in rising order, neighbours joined. */
export function ranges(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of numbers) {
    const last = runs[runs.length - 1];
    if (last && last[1] === n - 1) last[1] = n;
    else runs.push([n, n]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
