/**
 * Where a finger stops the string for a note some semitones above the open one, in equal temperament.
 * A string's frequency is inversely proportional to its sounding length, so the stop lies at L(1 - 2^(-n/12)).
 * @param lengthMm vibrating length of the open string in mm
 * @param semitones above the open string; need not be whole
 * @returns distance from the nut in mm
 */
export function stopMm(lengthMm: number, semitones: number): number {
  return lengthMm * (1 - 2 ** (-semitones / 12));
}

/**
 * Where the stop lies for a pure ratio above the open string, L(1 - 1/r).
 * @param ratio frequency over that of the open string, at least 1
 * @returns distance from the nut in mm
 */
export function stopMmForRatio(lengthMm: number, ratio: number): number {
  return lengthMm * (1 - 1 / ratio);
}

/**
 * How many cents the pitch moves for each mm the finger moves, near a stop: 1200 / ln 2 / (L - d).
 * @param stop distance from the nut in mm
 */
export function centsPerMm(lengthMm: number, stop: number): number {
  return 1200 / Math.LN2 / (lengthMm - stop);
}
