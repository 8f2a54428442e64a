import {
  isCrowded,
  isTouching,
  laidFingers,
  lieOf,
  spreadMm,
  type Finger,
  type HandProfile,
  type Plan,
  type Setup,
} from '../core';
import { listed } from './grammar';
import { printed } from './notes';
import { inPlace } from './places';
import type { Speech } from './plans';

/*
 * Finger patterns in words: which fingers touch, and what changes from one to the next.
 */

type Frame = Plan['frames'][number];

const GAPS: Readonly<Record<number, string>> = { 0: '·', 1: '½', 2: '1', 3: '1½', 4: '2' };

/** Steps between two fingers as they are written: half tones as ½. */
export function gapWords(semitones: number): string {
  return GAPS[semitones] ?? String(semitones / 2);
}

/** Whose hand lies on which strings, in a plan. */
interface Held {
  readonly plan: Plan;
  readonly setup: Setup;
  readonly hand: HandProfile;
  readonly speech: Pick<Speech, 'key'> & Partial<Pick<Speech, 'fingers'>>;
}

/** The pattern that one is told against: of two that sounded together the one on its own string. */
export function frameBefore(frames: readonly Frame[], at: number): Frame | undefined {
  const last = frames[at - 1];
  if (!last || last.from === frames[at].from) return last;
  const own = frames.find(({ from, string }) => from === last.from && string === frames[at].string);
  return own ?? last;
}

/** What the hand does from the pattern before to this one, and which of its fingers touch. */
export function frameWords(frame: Frame, before: Frame | undefined, held: Held): string {
  const { plan, setup, speech } = held;
  const where = inPlace(frame, setup.instrument.name, speech.key);
  const pattern = patternWords(frame, held);
  if (!before) return `Begins ${where}${pattern}.`;
  if (frame.from === before.from) return `Sounding with it, on the ${printed(frame.string)} string${pattern}.`;
  const shifted = plan.shifts.some(({ to }) => to > before.from && to <= frame.from && to >= before.to);
  if (shifted) return `After a shift, ${where}${pattern}.`;
  const crossing = frame.string === before.string ? 'The same string' : `To the ${printed(frame.string)} string`;
  const change = changeWords(frame, before, held);
  const said = change ? `: ${change}` : pattern ? '' : `: ${aloneWords(frame)}`;
  return `${crossing}${said}${pattern}.`;
}

/** The fingers of a pattern of which nothing else is to be said. */
function aloneWords({ fingers }: Frame): string {
  const laid = laidFingers(fingers).map(([finger]) => String(finger));
  return laid.length === 1 ? `${laid[0]} alone` : listed(laid);
}

/** How the fingers that both patterns have lie now; nothing where they have none in common. */
function changeWords(frame: Frame, before: Frame, { setup }: Held): string {
  const old = new Map(laidFingers(before.fingers));
  const shared = laidFingers(frame.fingers).flatMap(([finger, n]) => {
    const was = old.get(finger);
    return was === undefined ? [] : [{ finger, by: n - was }];
  });
  const moved = shared.filter(({ by }) => by !== 0);
  if (shared.length > 0 && moved.length === 0)
    return shared.length === laidFingers(frame.fingers).length ? 'every finger where it was' : '';
  if (moved.length === 0) return '';
  const way = (by: number) => (by > 0 ? 'higher' : 'lower');
  // Where the hand is a fixed frame no single finger moves: it opens, closes or goes as one.
  if (setup.instrument.fingering.by === 'letters') return listed(moved.map(({ finger, by }) => `${finger} ${way(by)}`));
  const asOne = moved.length === shared.length && moved.every(({ by }) => by === moved[0].by);
  return asOne ? `the hand ${way(moved[0].by)}` : 'the hand opened or closed';
}

/** Which neighbours touch, crowd, or lie further apart than a tone: "; 2 and 3 touch". */
function patternWords({ fingers, position }: Frame, { setup, hand, speech }: Held): string {
  const letters = setup.instrument.fingering.by === 'letters';
  const laid = laidFingers(fingers);
  const beginner = speech.fingers === 'low-high';
  const called = (stop: { readonly finger: Finger; readonly semitones: number }) =>
    [beginner ? lieOf(setup.instrument, position, stop) : null, stop.finger].filter((word) => word !== null).join(' ');
  const pairs = laid.slice(1).flatMap(([finger, high], at) => {
    const [below, low] = laid[at];
    const names = [called({ finger: below, semitones: low }), called({ finger, semitones: high })] as const;
    return neighbours(below, finger) ? [{ words: `${below} and ${finger}`, names, low, high }] : [];
  });
  const told = pairs.flatMap(({ words, names: [lower, upper], low, high }) => {
    const room = spreadMm(setup.lengthMm, low, high);
    if (isCrowded(room, hand)) return [`no room for both ${words}`];
    if (letters && beginner && high - low === 1) return [`${upper} touches ${lower}`];
    if (letters && high - low === 1) return [isTouching(room, hand) ? `${words} touch` : `${words} close`];
    return high - low > 2 ? [`${gapWords(high - low)} tones between ${words}`] : [];
  });
  if (told.length > 0) return `; ${told.join(', ')}`;
  if (pairs.length === 0) return '';
  if (letters) return pairs.length > 1 ? '; no two of them touch' : `; ${pairs[0].words} apart`;
  return pairs.every(({ low, high }) => high - low === 1) ? '; next finger, closed hand' : '';
}

function neighbours(lower: Finger, higher: Finger): boolean {
  return lower === 'T' || (higher !== 'T' && higher - lower === 1);
}
