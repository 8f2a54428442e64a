/*
 * What any sentence needs: lists, counts, numbers and articles. Written out rather than asked of the browser, whose language data takes some 50 ms to
 * be there, at every opening of a page.
 */

/** "a", "a and b", "a, b, and c". */
export function listed(words: readonly string[]): string {
  if (words.length < 3) return words.join(' and ');
  return `${words.slice(0, -1).join(', ')}, and ${words[words.length - 1]}`;
}

/** "1 shift", "2 shifts". */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${number(n)} ${n === 1 ? one : many}`;
}

const ORDINAL_ENDS: Readonly<Record<number, string>> = { 1: 'st', 2: 'nd', 3: 'rd' };

/** "1st", "2nd", "3rd", "11th". */
export function ordinal(n: number): string {
  const teen = n % 100 > 10 && n % 100 < 14;
  return n + ((!teen && ORDINAL_ENDS[n % 10]) || 'th');
}

/** Nothing smaller has a digit to show. */
const NOTHING = 1e-6;

/** A number with so many digits after the point, two at most; halves go away from zero, as they are written. */
export function number(n: number, digits: 0 | 1 | 2 = 0): string {
  const size = Math.abs(n);
  const rounded = size < NOTHING ? 0 : Math.round(Number(`${size}e${digits}`)) / 10 ** digits;
  return `${n < 0 && rounded > 0 ? '-' : ''}${rounded.toFixed(digits)}`;
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
