import { midiOf } from '../../pitch/pitch';
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
    const place = placeAt(trellis, t, node);
    if (place !== placeAt(trellis, late, back)) return false;
    const [out, home] = [layers[t].candidates[node].hold, layers[late].candidates[back].hold];
    if (out === home || place >= OPEN_PLACE) return true;
    return out.stops.every((stop, at) => {
      const other = home.stops[at];
      return stop.semitones !== other.semitones || (stop.finger === other.finger && sameFrame(out, home));
    });
  };
}

/** What a teacher asks for who wants it down as up: the same string and finger wherever the same pitch comes back. */
export function sameBackIn({ layers }: HoldTrellis, { sounding }: Context): Alike {
  const pitches = sounding.map((event) => event.pitches.map(midiOf).join());
  return (t, node, late, back) => {
    if (pitches[t] !== pitches[late]) return true;
    const [out, home] = [layers[t].candidates[node].hold.stops, layers[late].candidates[back].hold.stops];
    return out.every(({ string, finger }, at) => string === home[at].string && finger === home[at].finger);
  };
}

/** True where a plan comes back the way it went, or has no way back. */
export function comesBackAlike(context: Context, trellis: HoldTrellis, path: Path): boolean {
  if (!context.music.returns) return true;
  const alike = alikeIn(trellis);
  for (let t = 0, late = path.length - 1; t < late; t++, late--) if (!alike(t, path[t], late, path[late])) return false;
  return true;
}
