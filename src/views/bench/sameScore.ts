import type { Score } from '../../drawing/score';

/*
 * The last score that was drawn: an answer that is written the same is not engraved again. The ways that come after the best plan change nothing
 * on the staff.
 */

let last: { readonly score: Score; readonly text: string } | null = null;

/** The score itself, or the last one where both are written the same. */
export function sameScore(score: Score): Score {
  const text = writtenText(score);
  if (last?.text === text) return last.score;
  last = { score, text };
  return score;
}

/** All that a staff shows of a score. */
function writtenText({ music, steps, strings, instrument, clefs, fingersAt }: Score): string {
  const { events, key, time, pickup, firstBar, changes } = music;
  const held = steps.map(({ at, stops, position, thumbAt, extended }) => [
    at,
    stops.map(({ string, finger, harmonic }) => [string, finger, harmonic]),
    position,
    thumbAt,
    extended,
  ]);
  const shown = fingersAt && [...fingersAt];
  return JSON.stringify([events, key, time, pickup, firstBar, changes, held, strings, instrument, clefs, shown]);
}
