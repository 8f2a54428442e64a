import { child, childNumber, childText, type Element } from './elements';

/*
 * A metronome mark.
 */

const BEAT_UNITS: Readonly<Record<string, number>> = { whole: 4, half: 2, quarter: 1, eighth: 0.5, '16th': 0.25 };

/** Quarters a minute. */
export function metronomeTempo(metronome: Element): number | undefined {
  const unit = BEAT_UNITS[childText(metronome, 'beat-unit') ?? ''];
  const each = childNumber(metronome, 'per-minute');
  if (unit === undefined || each === undefined || !(each > 0)) return undefined;
  return unit * (child(metronome, 'beat-unit-dot') ? 1.5 : 1) * each;
}
