/*
 * How much evidence there is for something, in a way that stays honest however often one looks.
 *
 * A likelihood ratio against chance, mixed over alternatives fixed beforehand, has an expected value of at most 1 at every moment where chance alone is at
 * work; so it ever comes to 1/p or more with a chance of at most p (Ville 1939; Robbins 1970). No count of looks has to be corrected for.
 */

/** Logarithms of factorials, as far as they were asked for. */
const LOG_FACTORIALS = [0];

function logFactorial(n: number): number {
  for (let next = LOG_FACTORIALS.length; next <= n; next++)
    LOG_FACTORIALS.push(LOG_FACTORIALS[next - 1] + Math.log(next));
  return LOG_FACTORIALS[n];
}

/** Logarithm of the beta function of whole numbers. */
function logBeta(a: number, b: number): number {
  return logFactorial(a - 1) + logFactorial(b - 1) - logFactorial(a + b - 1);
}

/** The logarithm of a mean of numbers given by their logarithms. */
function logMean(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, one) => sum + Math.exp(one - most), 0) / logs.length);
}

/** A place that leans is off to one side about four times in five: Beta(8, 2), to either side alike. */
const LEANS = [8, 2] as const;

/**
 * The logarithm of the evidence that some tries fall to one side more than by an even chance.
 * @param low @param high how many fell to either side
 */
export function sideEvidence(low: number, high: number): number {
  const [more, less] = LEANS;
  const prior = logBeta(more, less);
  const either = [logBeta(more + low, less + high), logBeta(less + low, more + high)];
  return logMean(either) - prior + (low + high) * Math.LN2;
}

/** Tries of one kind and of others that were made alike: in one day, on passages of one length. */
export interface Beside {
  readonly tries: number;
  readonly off: number;
  readonly otherTries: number;
  readonly otherOff: number;
  /** What share was to be expected off, from what came before. */
  readonly expected: number;
}

/** How much likelier a weak place is off than the others: the odds times these, each as likely. */
const LOG_ODDS = [1.5, 2, 2.7, 4].map(Math.log);

/**
 * The logarithm of the evidence that one kind is off more often than the others beside it, block by block. In each block both rates are set beforehand; the
 * chance hypothesis is given their mean, which makes it the hardest to beat (Turner, Ly and Grünwald 2024, for blocks of two groups).
 */
export function oftenEvidence(blocks: readonly Beside[]): number {
  return logMean(LOG_ODDS.map((odds) => blocks.reduce((sum, block) => sum + blockEvidence(block, odds), 0)));
}

function blockEvidence({ tries, off, otherTries, otherOff, expected }: Beside, odds: number): number {
  if (tries === 0 || otherTries === 0) return 0;
  const share = tries / (tries + otherTries);
  const [weak, other] = ratesApart(expected, odds, share);
  const mean = share * weak + (1 - share) * other;
  return (
    logLikelihood(off, tries, weak) +
    logLikelihood(otherOff, otherTries, other) -
    logLikelihood(off + otherOff, tries + otherTries, mean)
  );
}

const logLikelihood = (off: number, tries: number, rate: number) =>
  off * Math.log(rate) + (tries - off) * Math.log1p(-rate);

const odd = (rate: number) => rate / (1 - rate);

/** Two rates whose odds are so far apart, and whose mean, by share, is about a given one. */
function ratesApart(mean: number, logOdds: number, share: number): readonly [weak: number, other: number] {
  let [low, high] = [0, mean];
  let [weak, other] = [mean, mean];
  for (let turn = 0; turn < 20; turn++) {
    other = (low + high) / 2;
    const odds = odd(other) * Math.exp(logOdds);
    weak = odds / (1 + odds);
    if (share * weak + (1 - share) * other < mean) low = other;
    else high = other;
  }
  return [weak, other];
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
