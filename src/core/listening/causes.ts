import { centsPerMm } from '../instrument/geometry';
import type { Finger, PositionNumber } from '../vocabulary';
import type { Expected, ExpectedEvent, ExpectedStop } from './expected';
import { median } from './middle';
import { frameShare } from './performance';

/*
 * What the hand did: the simplest cause that explains where the notes stood, with a price for each cause. A robust fit, cause by cause; nothing is said on thin
 * evidence, and where two explain nearly as much both are named.
 */

/** One note that was heard, against its target. */
export interface Evidence {
  readonly event: ExpectedEvent;
  readonly stop: ExpectedStop;
  /** Cents from its target, the player's A taken out. */
  readonly cents: number;
  /** Cents by which it gave way from its beginning to its end. */
  readonly sag: number;
}

/** What may be behind it. Mm are positive towards the bridge, cents sharp. */
export type Cause =
  | { readonly cause: 'hand'; readonly position: PositionNumber; readonly first: number; readonly mm: number }
  | { readonly cause: 'finger'; readonly finger: Finger; readonly mm: number }
  | { readonly cause: 'frame'; readonly position: PositionNumber; readonly first: number; readonly mm: number }
  | { readonly cause: 'string'; readonly string: number; readonly cents: number }
  | { readonly cause: 'contact'; readonly string: number; readonly cents: number };

export interface FoundCause {
  readonly cause: Cause;
  /** First and last event that it rests on, and how many notes. */
  readonly from: number;
  readonly to: number;
  readonly tries: number;
  /** Sum of squares that it explains, in spreads. */
  readonly gain: number;
  /** What would explain nearly as much. */
  readonly or: readonly Cause[];
}

/** Cents that a true player's notes are spread by; an open string's less. */
const SPREAD = 4;
const OPEN_SPREAD = 2;
/** Further off a note counts for less. */
const HUBER = 2.5;
/** A cause has to explain so much, in squares of spreads. */
const PRICE = 12;
/** A smaller effect is nothing to work at, in cents. */
const LEAST_EFFECT = 5;
/** Notes that a cause rests on at the least. */
const LEAST_NOTES = { hand: 5, finger: 4, frame: 5, string: 3, contact: 4 } as const;
/** A second cause that explains so much of what the best does is named too. */
const NEARLY = 0.8;
/** Causes of one take. */
const MOST = 4;
/** Notes nearer to the first finger than this say nothing of the frame. */
const LEAST_SHARE = 0.2;

interface Candidate {
  readonly tag: string;
  readonly kind: 'hand' | 'finger' | 'frame' | 'string';
  /** Cents of each note for one mm, or one cent, of it. */
  readonly column: readonly number[];
  readonly of: (amount: number) => Cause;
}

/** The causes behind some notes, the strongest first. */
export function causesIn(all: readonly Evidence[], { setup }: Expected): FoundCause[] {
  const pressed = contacts(all);
  // Where the pitch gives way its middle stands half as far off: that is the bow's, not the hand's.
  const bowed = (string: number) => pressed.some(({ cause }) => cause.cause === 'contact' && cause.string === string);
  const evidence = all.map((one) => (bowed(one.stop.string) ? { ...one, cents: one.cents - one.sag / 2 } : one));
  const spread = evidence.map(({ stop }) => (stop.open ? OPEN_SPREAD : SPREAD));
  const values = evidence.map(({ cents }, n) => cents / spread[n]);
  const candidates = candidatesOf(evidence, setup.lengthMm).map((one) => ({
    ...one,
    column: one.column.map((part, n) => part / spread[n]),
  }));
  const chosen: { candidate: Candidate; or: Cause[]; gain: number }[] = [];
  for (;;) {
    const columns = chosen.map(({ candidate }) => candidate.column);
    const before = fitted(values, columns);
    const offers = candidates
      .filter(({ tag }) => !chosen.some(({ candidate }) => candidate.tag === tag))
      .map((candidate) => {
        const after = fitted(values, [...columns, candidate.column], before.weights);
        const amount = after.amounts[after.amounts.length - 1];
        return { candidate, amount, gain: before.loss - after.loss };
      })
      .filter(({ candidate, amount, gain }) => gain >= PRICE && stands(candidate, amount, spread))
      .sort((a, b) => b.gain - a.gain);
    const [best, ...rest] = offers;
    if (!best || chosen.length >= MOST) break;
    const or = rest
      .filter(({ candidate, gain }) => gain >= NEARLY * best.gain && overlaps(candidate, best.candidate))
      .map(({ candidate, amount }) => candidate.of(amount));
    chosen.push({ candidate: best.candidate, or, gain: best.gain });
  }
  const { amounts } = fitted(
    values,
    chosen.map(({ candidate }) => candidate.column),
  );
  const found = chosen.map(({ candidate, or, gain }, n): FoundCause => {
    const own = evidence.filter((_, at) => candidate.column[at] !== 0);
    return { cause: candidate.of(amounts[n]), ...placesOf(own), gain, or };
  });
  return [...found, ...pressed].sort((a, b) => b.gain - a.gain);
}

function placesOf(own: readonly Evidence[]) {
  const at = own.map(({ event }) => event.at);
  return { from: Math.min(...at), to: Math.max(...at), tries: own.length };
}

/** Every cause that these notes could have. */
function candidatesOf(evidence: readonly Evidence[], lengthMm: number): Candidate[] {
  const cpm = ({ stop }: Evidence) => (stop.open ? 0 : centsPerMm(lengthMm, stop.mm));
  const place = ({ event }: Evidence) => `${event.position}${event.position === 'thumb' ? `.${event.first}` : ''}`;
  const found: Candidate[] = [];
  const each = (tags: readonly string[], make: (tag: string, some: Evidence) => Candidate) => {
    for (const tag of new Set(tags)) found.push(make(tag, evidence[tags.indexOf(tag)]));
  };
  const stoppedTag = (one: Evidence, tag: string) => (one.stop.open ? '' : tag);
  each(
    evidence.map((one) => stoppedTag(one, `hand:${place(one)}`)),
    (tag, { event: { position, first } }) => ({
      tag,
      kind: 'hand',
      column: evidence.map((one) => (!one.stop.open && `hand:${place(one)}` === tag ? cpm(one) : 0)),
      of: (mm) => ({ cause: 'hand', position, first, mm }),
    }),
  );
  each(
    evidence.map((one) => stoppedTag(one, `finger:${one.stop.finger}`)),
    (tag, { stop: { finger } }) => ({
      tag,
      kind: 'finger',
      column: evidence.map((one) => (!one.stop.open && `finger:${one.stop.finger}` === tag ? cpm(one) : 0)),
      of: (mm) => ({ cause: 'finger', finger, mm }),
    }),
  );
  each(
    evidence.map((one) => stoppedTag(one, `frame:${place(one)}`)),
    (tag, { event: { position, first } }) => ({
      tag,
      kind: 'frame',
      column: evidence.map((one) => {
        const share = frameShare(one.event, one.stop, lengthMm);
        return !one.stop.open && `frame:${place(one)}` === tag && share > LEAST_SHARE ? share * cpm(one) : 0;
      }),
      of: (mm) => ({ cause: 'frame', position, first, mm }),
    }),
  );
  each(
    evidence.map(({ stop }) => `string:${stop.string}`),
    (tag, { stop: { string } }) => ({
      tag,
      kind: 'string',
      column: evidence.map((one) => (`string:${one.stop.string}` === tag ? 1 : 0)),
      of: (cents) => ({ cause: 'string', string, cents }),
    }),
  );
  return found.filter(
    ({ tag, kind, column }) => tag !== '' && column.filter((one) => one !== 0).length >= LEAST_NOTES[kind],
  );
}

/** True where the effect is worth a word: in the middle of its notes, of a frame at the last finger. */
function stands({ kind, column }: Candidate, amount: number, spread: readonly number[]): boolean {
  const effects = column.flatMap((one, n) => (one === 0 ? [] : [Math.abs(one * amount * spread[n])]));
  const effect = kind === 'frame' ? Math.max(...effects) : median(effects);
  return effect >= LEAST_EFFECT;
}

function overlaps(a: Candidate, b: Candidate): boolean {
  const both = a.column.filter((one, n) => one !== 0 && b.column[n] !== 0).length;
  return both >= NEARLY * Math.min(...[a, b].map(({ column }) => column.filter((one) => one !== 0).length));
}

interface Fit {
  readonly amounts: readonly number[];
  readonly loss: number;
  readonly weights: readonly number[];
}

const ROUNDS = 4;

/** Least squares with Huber's weights. */
function fitted(values: readonly number[], columns: readonly (readonly number[])[], begin?: readonly number[]): Fit {
  let weights = begin ?? values.map(() => 1);
  let amounts: number[] = [];
  let rest: readonly number[] = values;
  for (let round = 0; round < ROUNDS; round++) {
    amounts = solve(values, columns, weights);
    rest = values.map((value, n) => value - columns.reduce((sum, column, k) => sum + column[n] * amounts[k], 0));
    weights = rest.map((one) => Math.min(1, HUBER / Math.max(1e-9, Math.abs(one))));
  }
  const loss = rest.reduce((sum, one) => {
    const away = Math.abs(one);
    return sum + (away <= HUBER ? away * away : HUBER * (2 * away - HUBER));
  }, 0);
  return { amounts, loss, weights };
}

/** A hint of a ridge keeps columns apart that are nearly the same. */
const RIDGE = 1e-6;

/** The normal equations, by elimination. */
function solve(
  values: readonly number[],
  columns: readonly (readonly number[])[],
  weights: readonly number[],
): number[] {
  const size = columns.length;
  const rows = columns.map((one, i) => [
    ...columns.map(
      (other, j) => one.reduce((sum, part, n) => sum + weights[n] * part * other[n], 0) + (i === j ? RIDGE : 0),
    ),
    one.reduce((sum, part, n) => sum + weights[n] * part * values[n], 0),
  ]);
  for (let i = 0; i < size; i++) {
    const pivot = rows[i][i] || RIDGE;
    for (let k = i; k <= size; k++) rows[i][k] /= pivot;
    for (let j = 0; j < size; j++) {
      if (j === i) continue;
      const factor = rows[j][i];
      for (let k = i; k <= size; k++) rows[j][k] -= factor * rows[i][k];
    }
  }
  return rows.map((row) => row[size]);
}

/** Cents by which notes of a true bow give way within them, more or less. */
const SAG_SPREAD = 3;

/** Strings on which the pitch gives way as the bow presses. */
function contacts(evidence: readonly Evidence[]): FoundCause[] {
  return [...new Set(evidence.map(({ stop }) => stop.string))].flatMap((string): FoundCause[] => {
    const own = evidence.filter(({ stop }) => stop.string === string);
    if (own.length < LEAST_NOTES.contact) return [];
    const cents = median(own.map(({ sag }) => sag));
    const gain = own.length * (cents / SAG_SPREAD) ** 2;
    if (Math.abs(cents) < LEAST_EFFECT || gain < PRICE) return [];
    return [{ cause: { cause: 'contact', string, cents }, ...placesOf(own), gain, or: [] }];
  });
}

/** Cents that some causes make of a note. */
export function effectOf(
  causes: readonly FoundCause[],
  { event, stop }: Pick<Evidence, 'event' | 'stop'>,
  lengthMm: number,
): number {
  if (stop.open)
    return causes.reduce(
      (sum, { cause }) => sum + (cause.cause === 'string' && cause.string === stop.string ? cause.cents : 0),
      0,
    );
  const cpm = centsPerMm(lengthMm, stop.mm);
  return causes.reduce((sum, { cause }) => {
    switch (cause.cause) {
      case 'hand':
        return (
          sum +
          (cause.position === event.position && (cause.position !== 'thumb' || cause.first === event.first)
            ? cause.mm * cpm
            : 0)
        );
      case 'frame':
        return sum + (cause.position === event.position ? cause.mm * cpm * frameShare(event, stop, lengthMm) : 0);
      case 'finger':
        return sum + (cause.finger === stop.finger ? cause.mm * cpm : 0);
      case 'string':
        return sum + (cause.string === stop.string ? cause.cents : 0);
      case 'contact':
        return sum;
    }
  }, 0);
}
