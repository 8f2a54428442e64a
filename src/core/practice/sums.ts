import type { JudgedPlace, HeardAs, PracticeTask } from '../vocabulary';
import { isKind, tempoKinds, type Kind } from './kinds';
import type { Judged, Repetition } from '../vocabulary';

/*
 * What repetitions come to, by kind of place. Places of the same kinds are counted together: that is small enough to be kept for every day, and says
 * all that trends ask.
 */

/** Tries of places that are alike, and how many of them were low, high or missed. */
export type Counts = readonly [tries: number, low: number, high: number, missed: number];

/** Counts by what the places are: their kinds, joined. */
export type Sums = Readonly<Record<string, Counts>>;

const NONE: Counts = [0, 0, 0, 0];
const JOINT = ' ';

export function signatureOf(kinds: readonly string[]): string {
  return [...kinds].sort().join(JOINT);
}

export function kindsIn(signature: string): Kind[] {
  return signature.split(JOINT).filter(isKind);
}

/** What tries are compared with: others of passages with as many judged notes, 1 for a single target. A word of a signature beside the kinds. */
const amongWord = (notes: number) => `of-${notes}`;

/** How many notes were judged where tries of a signature were made; 0 where nothing is known of it. */
export function amongIn(signature: string): number {
  const word = signature.split(JOINT).find((one) => one.startsWith('of-'));
  return word ? Number(word.slice(3)) : 0;
}

/**
 * What one repetition adds. A target is judged every time. Of a passage the first slip is named: the notes up to it were judged, it off and those before it in;
 * of those after it nobody says anything.
 */
export function countsOf(judged: Judged, places: readonly JudgedPlace[]): Sums {
  const { heard, place, from, to, bpm, byEar } = judged;
  // Heard tries are of every note; they are never put beside those of which the first slip was named.
  if (byEar) return {};
  // What was off without anybody saying where tells nothing about any place.
  if (heard !== 'in' && place === null) return {};
  const played = places.filter(({ at }) => at >= from && at <= to);
  const beside = [...tempoKinds(bpm), amongWord(played.length)];
  const sums: Record<string, Counts> = {};
  for (const { at, kinds } of played) {
    if (heard !== 'in' && place !== null && at > place) continue;
    const off = at === place ? heard : 'in';
    const signature = signatureOf([...kinds, ...beside]);
    const one: Counts = [1, Number(off === 'low'), Number(off === 'high'), Number(off === 'missed')];
    sums[signature] = added(sums[signature] ?? NONE, one);
  }
  return sums;
}

export function added(a: Counts, b: Counts, sign: 1 | -1 = 1): Counts {
  return [a[0] + sign * b[0], a[1] + sign * b[1], a[2] + sign * b[2], a[3] + sign * b[3]];
}

/** Sums with others put to them. */
export function joinedSums(sums: Sums, more: Sums): Sums {
  const all: Record<string, Counts> = { ...sums };
  for (const [signature, counts] of Object.entries(more)) all[signature] = added(all[signature] ?? NONE, counts);
  return all;
}

/** The repetitions that count: judged, and not taken back. In the order in which they were made. */
export function standing(repetitions: readonly Repetition[]): Judged[] {
  const back = new Set(repetitions.flatMap((one) => (one.kind === 'taken-back' ? [one.judged] : [])));
  return repetitions
    .filter((one): one is Judged => one.kind === 'judged' && !back.has(one.id))
    .sort((a, b) => a.number - b.number || a.at - b.at);
}

/** How often each was heard. */
export function heardOf(judged: readonly Pick<Judged, 'heard'>[]): Readonly<Record<HeardAs, number>> {
  const count = (heard: HeardAs) => judged.filter((one) => one.heard === heard).length;
  return { low: count('low'), in: count('in'), high: count('high'), missed: count('missed') };
}

/** True where a clean repetition of a task says that its passage was played as it is written: in its own rhythm and bows, all voices, nothing but a place judged. */
export function isAsWritten({ ladder, target, beatsEach }: PracticeTask): boolean {
  if (target !== undefined) return false;
  switch (ladder.kind) {
    case 'repeat':
      return beatsEach === 1;
    case 'tempo':
    case 'growing':
    case 'aids':
    case 'voices':
      return true;
    default:
      return false;
  }
}

/** The first step of voices that has them all. */
const ALL_VOICES = 2;

/**
 * The fastest tempo at which the whole passage was clean so many times running, in beats a minute; undefined where it never was.
 */
export function reachedIn(
  judged: readonly Judged[],
  { from, to, times, ladder }: Pick<PracticeTask, 'from' | 'to' | 'times' | 'ladder'>,
): number | undefined {
  let reached: number | undefined;
  let running = 0;
  let bpm = 0;
  for (const one of judged) {
    const voices = ladder.kind !== 'voices' || one.step >= ALL_VOICES;
    const whole = one.from <= from && one.to >= to && one.heard === 'in' && voices;
    running = whole ? (one.bpm === bpm ? running + 1 : 1) : 0;
    bpm = one.bpm;
    if (running >= times) reached = Math.max(reached ?? 0, bpm);
  }
  return reached;
}

/** Everything counted of one kind, and of all that is not. */
export function byKind(sums: Sums): ReadonlyMap<Kind, Counts> {
  const found = new Map<Kind, Counts>();
  for (const [signature, counts] of Object.entries(sums))
    for (const kind of kindsIn(signature)) found.set(kind, added(found.get(kind) ?? NONE, counts));
  return found;
}

export function totalOf(sums: Sums): Counts {
  return Object.values(sums).reduce<Counts>((sum, counts) => added(sum, counts), NONE);
}

export function offOf([, low, high, missed]: Counts): number {
  return low + high + missed;
}
