import type { Music, SoundingEvent } from '../../material/events';
import { returnsTo } from '../../material/neighbours';
import { repeatsOf, sequencesOf, type Repeat } from '../../material/repeats';
import { midiOf } from '../../pitch/pitch';
import type { Context } from '../cost';
import type { HoldLayer } from './layers';
import type { Path } from './trellis';

/*
 * Notes that are wanted with the fingers of earlier ones: music that comes again, sequences, a note that returns after its neighbour, and what the
 * teacher asks to be the same.
 */

/** Events that are wanted as earlier ones, one by one. */
export interface Again {
  /** All of them before all of `again`. */
  readonly model: readonly number[];
  readonly again: readonly number[];
  /** What it costs where they are not alike, once; Infinity where they must be. */
  readonly cost: number;
  /** True where strings count from the first of the events: a figure moved to other strings is the same. */
  readonly moved: boolean;
}

interface Found {
  readonly repeats: readonly Repeat[];
  readonly sequences: readonly Repeat[];
}

/** Worked out once for a piece of music. */
const known = new WeakMap<Music, Found>();

function foundIn(music: Music, sounding: readonly SoundingEvent[]): Found {
  const found = known.get(music);
  if (found) return found;
  const repeats = repeatsOf(sounding);
  const made = { repeats, sequences: sequencesOf(sounding, repeats) };
  known.set(music, made);
  return made;
}

/** All that is wanted alike in a piece; in scales and the like only what the teacher asks for. */
export function againIn(context: Context): Again[] {
  const asked = askedFor(context);
  if (context.request.material.type !== 'notes') return asked;
  const { written, sounding, pricing } = context;
  const { repeat } = pricing.weights;
  const { repeats, sequences } = foundIn(written, sounding);
  return [
    ...asked,
    ...repeats.flatMap((one) => inner(one, repeat, false)),
    ...sequences.flatMap((one) => inner(one, repeat, true)),
    ...returningNotes(context),
  ];
}

/** A repeat's first and last notes are free: they belong to what goes before and comes after. */
function inner({ model, from, length }: Repeat, cost: number, moved: boolean): Again[] {
  const inside = Array.from({ length: length - 2 }, (_, i) => i + 1);
  return [{ model: inside.map((i) => model + i), again: inside.map((i) => from + i), cost, moved }];
}

/** Each note that comes again after its neighbour: C–D–C. */
function returningNotes({ sounding, parts, pricing }: Context): Again[] {
  const tops = sounding.map(({ pitches }) => (pitches.length === 1 ? midiOf(pitches[0]) : NaN));
  return sounding.flatMap((event, t): Again[] => {
    if (t < 2 || parts.has(t) || parts.has(t - 1) || event.at !== sounding[t - 2].at + 2) return [];
    if (!returnsTo(tops, t - 2)) return [];
    return [{ model: [t - 2], again: [t], cost: pricing.weights.returning, moved: false }];
  });
}

/** What the teacher wants to be the same; notes with locks that contradict each other keep their locks. */
function askedFor(context: Context): Again[] {
  const { same = [] } = context.request.rules ?? {};
  if (same.length === 0) return [];
  const indexOf = new Map(context.sounding.map(({ at }, t) => [at, t]));
  const apart = new Set(locksAtOdds(context).map(({ at }) => at));
  return same.map(({ from, to, as }) => {
    const [model, again]: [number[], number[]] = [[], []];
    for (let at = from; at <= to; at++) {
      const [a, b] = [indexOf.get(as + at - from), indexOf.get(at)];
      if (a === undefined || b === undefined || apart.has(at)) continue;
      model.push(Math.min(a, b));
      again.push(Math.max(a, b));
    }
    return { model, again, cost: Infinity, moved: false };
  });
}

/** Events that are to be the same and have locks that cannot both hold, with the event that each is to be as. */
export function locksAtOdds({ request }: Context): { readonly at: number; readonly as: number }[] {
  const { same = [], locks = [] } = request.rules ?? {};
  const locked = new Map(locks.map((lock) => [lock.at, lock]));
  return same.flatMap(({ from, to, as }) =>
    Array.from({ length: to - from + 1 }, (_, i) => ({ at: from + i, as: as + i })).filter((pair) => {
      const [own, other] = [locked.get(pair.at), locked.get(pair.as)];
      if (!own || !other) return false;
      return (['finger', 'string'] as const).some(
        (name) => own[name] !== undefined && other[name] !== undefined && own[name] !== other[name],
      );
    }),
  );
}

/** Fingers and strings of a node, as numbers. */
export interface Held {
  readonly fingers: number;
  readonly string: number;
}

interface HeldLayers {
  readonly layers: readonly HoldLayer[];
}

/** How a node of a trellis is held, by what is compared. */
export function heldIn({ layers }: HeldLayers): (t: number, node: number) => Held {
  return (t, node) => {
    const { stops } = layers[t].candidates[node].hold;
    const [{ string }] = stops;
    let fingers = 0;
    for (const stop of stops) fingers = fingers * 64 + (stop.string - string) * 8 + stop.finger;
    return { fingers, string };
  };
}

/** True where a path has the events of a pair alike. */
export function isAlike(
  { model, again, moved }: Again,
  held: ReturnType<typeof heldIn>,
  path: ArrayLike<number>,
): boolean {
  return model.every((t, i) => {
    const [a, b] = [held(t, path[t]), held(again[i], path[again[i]])];
    if (a.fingers !== b.fingers) return false;
    if (!moved) return a.string === b.string;
    const [first, second] = [held(model[0], path[model[0]]), held(again[0], path[again[0]])];
    return a.string - first.string === b.string - second.string;
  });
}

/** What a path pays for music that comes again with other fingers. */
export function paidAgain(trellis: HeldLayers, pairs: readonly Again[], path: Path): number {
  const held = heldIn(trellis);
  return pairs.reduce((sum, pair) => (isAlike(pair, held, path) ? sum : sum + pair.cost), 0);
}
