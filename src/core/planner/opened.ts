import { makeHold, type Hold } from '../hand/hold';
import { handMoves } from '../hand/moves';
import { positionAllowed, type HoldTrellis, type Path } from './graph';
import { contextAt, type Context, type Held } from './cost';

/*
 * What an opened hand is called. The same frame is one position opened forward and the next opened back; stops alone do not tell. It is named forward,
 * by where the first finger lies, wherever every note of the stay lies in that frame; with the first finger at the first stop, and where the hand also
 * stands closed in the upper position, it is named back.
 */

/** What is held at each event of a path, opened hands by their names. */
export function heldAlong(context: Context, { layers, transitions }: HoldTrellis, path: Path): Held[] {
  const held = Array.from(path, (node, t): Held => ({
    touch: layers[t].touchList[layers[t].touchOf[node]],
    hold: layers[t].candidates[node].hold,
  }));
  if (!context.model.fixedFrames) return held;
  for (let from = 0; from < held.length;) {
    let to = from + 1;
    while (to < held.length && !transitions[to - 1].free && !handMoves(held[to - 1].hold, held[to].hold)) to++;
    const around = [from, to].map((t, end) => (transitions[t - 1]?.free ? undefined : held[end === 0 ? t - 1 : t]));
    const renamed = forward(contextAt(context, from), held.slice(from, to), around, [from, to]);
    if (renamed) held.splice(from, to - from, ...renamed);
    from = to;
  }
  return held;
}

/** A stay opened back, named forward; null where that is not its name. */
function forward(
  context: Context,
  stay: readonly Held[],
  around: readonly (Held | undefined)[],
  [from, to]: readonly [number, number],
): Held[] | null {
  const { model, request, sounding } = context;
  const [{ hold }] = stay;
  const lower = hold.position - 1;
  if (lower < 0 || model.thumbUp(hold.position) || !stay.some((one) => one.hold.extended === 1)) return null;
  const first = model.anchor(lower);
  if (first < 2) return null;
  const frame = [NaN, first, first + 2, first + 3, first + 4, NaN];
  const lies = ({ stops }: Hold) => stops.every(({ finger, semitones }) => finger === 0 || frame[finger] === semitones);
  if (!stay.every((one) => lies(one.hold))) return null;
  if (around.some((one) => one?.hold.position === lower)) return null;
  const { positions, visit = [], locks = [], never = [], extensions } = request.rules ?? {};
  const placed = new Set(sounding.slice(from, to).map(({ at }) => at));
  if (!positionAllowed(positions, model.label(lower)) || visit.includes(model.label(hold.position))) return null;
  if (extensions === 'back') return null;
  if ([...locks, ...never].some(({ at, position, frame }) => (position ?? frame) !== undefined && placed.has(at)))
    return null;
  return stay.map(({ touch, hold: { stops } }) => ({
    touch: { ...touch, position: lower },
    hold: makeHold(lower, stops, frame, { extended: 2, side: 1 }),
  }));
}
