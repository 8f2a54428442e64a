import { sameFrame } from '../cost';
import type { Alike } from './fold';
import type { Context } from '../cost';
import { placeAt, type Path } from './trellis';
import { OPEN_PLACE } from './layers';
import type { HoldTrellis } from './build';

/*
 * Coming back the way one went: in the same places, and where the note is the same also with the same finger in the same frame. A note
 * that is lower on the way down (melodic minor) need only lie in the same position on the same string; an open string and
 * the little finger below it are the same.
 */

export function alikeIn(trellis: HoldTrellis): Alike {
  const { layers } = trellis;
  return (t, node, late, back) => {
    const [out, home] = [layers[t].candidates[node].hold, layers[late].candidates[back].hold];
    if (out === home || placeAt(trellis, t, node) >= OPEN_PLACE) return true;
    return out.stops.every((stop, at) => {
      const other = home.stops[at];
      return stop.semitones !== other.semitones || (stop.finger === other.finger && sameFrame(out, home));
    });
  };
}

/** True where a plan comes back the way it went, or has no way back. */
export function comesBackAlike(context: Context, trellis: HoldTrellis, path: Path): boolean {
  if (!context.music.returns) return true;
  const alike = alikeIn(trellis);
  for (let t = 0, late = path.length - 1; t < late; t++, late--)
    if (
      placeAt(trellis, t, path[t]) !== placeAt(trellis, late, path[late]) ||
      !alike(t, path[t], late, path[late])
    )
      return false;
  return true;
}
