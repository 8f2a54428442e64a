/*
 * How likely something is by chance alone.
 */

/** Logarithms of factorials, as far as they were asked for. */
const LOG_FACTORIALS = [0];

function logFactorial(n: number): number {
  for (let next = LOG_FACTORIALS.length; next <= n; next++)
    LOG_FACTORIALS.push(LOG_FACTORIALS[next - 1] + Math.log(next));
  return LOG_FACTORIALS[n];
}

function logChoose(n: number, k: number): number {
  return k < 0 || k > n ? -Infinity : logFactorial(n) - logFactorial(k) - logFactorial(n - k);
}

/**
 * The chance that of n even tosses one side comes up at least as often as the commoner one did: the sign test, both ways.
 * @param k times of one side, 0 to n
 */
export function signTest(k: number, n: number): number {
  const most = Math.max(k, n - k);
  return Math.min(1, tailOf(n, most, evenTerm(n)));
}

/** The greatest value of `signTest` with n tosses that is not above a level; 0 where none is. */
export function signTestAttained(n: number, level: number): number {
  return attained(n, Math.ceil(n / 2), level, evenTerm(n));
}

const evenTerm = (n: number) => (k: number) => 2 * Math.exp(logChoose(n, k) - n * Math.LN2);

function tailOf(most: number, least: number, term: (k: number) => number): number {
  let tail = 0;
  for (let k = most; k >= least; k--) tail += term(k);
  return tail;
}

function attained(most: number, least: number, level: number, term: (k: number) => number): number {
  let tail = 0;
  for (let k = most; k >= least; k--) {
    const next = tail + term(k);
    if (next > level) return tail;
    tail = next;
  }
  return Math.min(tail, level);
}

/**
 * The chance that of all that was off at least so much falls to some of the tries, if it falls anywhere alike: Fisher's exact test, one way.
 * @param off among these tries @param allOff among all the tries
 */
export function fisherExact(off: number, tries: number, allOff: number, allTries: number): number {
  return Math.min(1, tailOf(Math.min(tries, allOff), off, shareTerm(tries, allOff, allTries)));
}

/** The greatest value of `fisherExact` with so many tries that is not above a level; 0 where none is. */
export function fisherExactAttained(tries: number, allOff: number, allTries: number, level: number): number {
  return attained(Math.min(tries, allOff), 0, level, shareTerm(tries, allOff, allTries));
}

function shareTerm(tries: number, allOff: number, allTries: number) {
  const whole = logChoose(allTries, allOff);
  return (off: number) => Math.exp(logChoose(tries, off) + logChoose(allTries - tries, allOff - off) - whole);
}

/** An interval that holds a share with 95 %, of k in n: Wilson's, which is honest for few and for none. */
export function wilsonInterval(k: number, n: number): readonly [number, number] {
  if (n === 0) return [0, 1];
  const z = 1.96;
  const share = k / n;
  const middle = share + (z * z) / (2 * n);
  const half = z * Math.sqrt((share * (1 - share)) / n + (z * z) / (4 * n * n));
  const of = 1 + (z * z) / n;
  return [Math.max(0, (middle - half) / of), Math.min(1, (middle + half) / of)];
}
