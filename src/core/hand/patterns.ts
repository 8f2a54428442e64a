/**
 * Cost of a violin or viola frame's gap pattern in semitones, in the unit of the planner's weights: what steady teaching frames are, and how odd the rest.
 * Where a pattern is missing, ODD_PATTERN holds.
 */
const PATTERN_COSTS: Readonly<Record<string, number>> = {
  '2-1-2': 0, // 2 and 3 touch: the first frame taught
  '1-2-2': 0, // 1 and 2 touch
  '2-2-1': 0.04, // 3 and 4 touch: asks for a square little finger
  '2-2-2': 0.12, // all apart: an augmented fourth
  '1-2-1': 0.15, // both ends close
  '2-1-1': 0.2, // chromatic top
  '1-1-2': 0.2, // chromatic bottom
  '1-1-1': 0.2, // four semitones in a row
  '1-3-1': 0.3, // harmonic minor's gap between 2 and 3
  '3-1-2': 0.35, // the gap below
  '2-1-3': 0.35, // the gap above
  '1-1-3': 0.4,
  '3-1-1': 0.4,
};
const ODD_PATTERN = 0.45;

/** The costs by their gaps as digits: read for every frame there is. */
const BY_DIGITS = new Map(
  Object.entries(PATTERN_COSTS).map(([gaps, cost]) => [Number(gaps.replaceAll('-', '')), cost]),
);

/** @param frame by finger, stops of 1 to 4 in semitones, rising by less than ten */
export function patternCost([, first, second, third, fourth]: readonly number[]): number {
  return BY_DIGITS.get((second - first) * 100 + (third - second) * 10 + fourth - third) ?? ODD_PATTERN;
}
