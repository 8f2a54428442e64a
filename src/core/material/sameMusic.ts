import type { NoteSpec, PlanRequest } from '../vocabulary/records';
import { writtenOut } from './build';

/*
 * When a changed request is still a request for the same piece of music, and where its notes went. Fingers, wishes, style, tempo, hand and direction are of
 * the plan; key, kind, octaves, notes, instrument and tuning make another piece.
 */

/** Music that was edited is the same piece while so much of it is left. */
const LEAST_LEFT = 3 / 4;
/** Pairs of notes compared at most when two versions are laid beside each other; beyond it what lies between is taken as new. */
const MOST_PAIRS = 4_000_000;

/** True where two requests ask for the same piece of music on the same instrument. */
export function sameMusic(before: PlanRequest, after: PlanRequest): boolean {
  if (before.instrument !== after.instrument || stringsOf(before) !== stringsOf(after)) return false;
  const [was, is] = [before.material, after.material];
  if (was.type !== 'notes' && is.type !== 'notes') return musicOf(was) === musicOf(is);
  const [old, next] = [writtenOut(was).notes, writtenOut(is).notes];
  const left = notesFollowed(old, next).filter((to) => to !== null).length;
  return left >= LEAST_LEFT * old.length;
}

const stringsOf = ({ tuning, extensionTo }: PlanRequest) => JSON.stringify([tuning, extensionTo]);

/** What is of the plan in a scale or an arpeggio. */
const OF_THE_PLAN = new Set(['direction', 'notesPerBow', 'time', 'pickup', 'firstBar']);

const musicOf = (material: PlanRequest['material']) =>
  JSON.stringify(
    Object.entries(material)
      .filter(([field]) => !OF_THE_PLAN.has(field))
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

/**
 * Where each note of a piece is after it was edited: the longest common subsequence.
 * @returns for each event before its number after, null where it is gone
 */
export function notesFollowed(before: readonly NoteSpec[], after: readonly NoteSpec[]): (number | null)[] {
  const [was, is] = [before.map(soundOf), after.map(soundOf)];
  let head = 0;
  while (head < was.length && head < is.length && was[head] === is[head]) head++;
  let foot = 0;
  while (foot < was.length - head && foot < is.length - head && was.at(-1 - foot) === is.at(-1 - foot)) foot++;
  const middle = common(was.slice(head, was.length - foot), is.slice(head, is.length - foot));
  return before.map((_, at) => {
    if (at < head) return at;
    if (at >= was.length - foot) return at + is.length - was.length;
    const to = middle[at - head];
    return to === null ? null : to + head;
  });
}

const soundOf = (note: NoteSpec) =>
  'pitches' in note ? `${note.pitches.join(' ')}/${note.beats ?? 1}` : `r/${note.beats ?? 1}`;

/** The longest common subsequence of two lists: for each of the first its place in the second, or null. */
function common(first: readonly string[], second: readonly string[]): (number | null)[] {
  const none = first.map(() => null);
  if (first.length === 0 || second.length === 0 || first.length * second.length > MOST_PAIRS) return none;
  // longest[a][b]: how many are common from a and b on.
  const longest = Array.from({ length: first.length + 1 }, () => new Uint32Array(second.length + 1));
  for (let a = first.length - 1; a >= 0; a--)
    for (let b = second.length - 1; b >= 0; b--)
      longest[a][b] =
        first[a] === second[b] ? longest[a + 1][b + 1] + 1 : Math.max(longest[a + 1][b], longest[a][b + 1]);
  const found: (number | null)[] = none;
  for (let a = 0, b = 0; a < first.length && b < second.length;)
    if (first[a] === second[b]) found[a++] = b++;
    else if (longest[a + 1][b] >= longest[a][b + 1]) a++;
    else b++;
  return found;
}
