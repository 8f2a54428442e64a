import { widestPair, type WidestPair } from '../../hand/together';
import type { Hold } from '../../hand/hold';
import { midiOf } from '../../pitch/pitch';
import type { SoundingEvent } from '../../material/events';
import { holdAllowed, lockHeld, patternsKept } from './rules';
import type { Forbidding, Lock } from '../../vocabulary';
import type { Candidate, Context } from '../cost';

/*
 * What the teacher's demands and this hand leave of an event's holds.
 */

/** Holds of an event that the demands and locks leave; a spread beyond the hand stands only where locked. */
export function candidatesFor(context: Context, event: SoundingEvent, locked: readonly Lock[]): Candidate[] {
  const locks = heldLocks(locked);
  const rules = context.request.rules ?? {};
  const never = forbidden(context, event).flatMap((one) => ('shift' in one ? [] : [one]));
  const { setup, model, pricing } = context;
  const wanted = rules.patterns && wantedBy(context);
  const candidates: Candidate[] = [];
  for (const hold of context.holdsOf(event).all) {
    if (!takesOctave(event, hold)) continue;
    if (!holdAllowed(setup, model, rules, hold)) continue;
    if (wanted && !patternsKept(setup, rules.patterns, hold, wanted)) continue;
    if (never.some((one) => lockHeld(setup, model, one, hold))) continue;
    if (!locks.every((lock) => lockHeld(setup, model, lock, hold))) continue;
    const widest = widestPair(hold, pricing.hand, pricing.stops);
    if (tooWide(widest) && locks.length === 0) continue;
    candidates.push({ hold, widest });
  }
  if (locks.some(({ harmonic }) => harmonic)) return candidates;
  if (isTouchedAtLast(context, event)) return preferred(candidates, isTouched);
  const plain = preferred(candidates, (hold) => !touchesInside(hold));
  return locks.length > 0 || model.fixedFrames ? plain : preferred(plain, (hold) => !strainsThird(setup, hold));
}

/** Those that are as wanted; all where none is. */
function preferred(candidates: Candidate[], is: (hold: Hold) => boolean): Candidate[] {
  const good = candidates.filter(({ hold }) => is(hold));
  return good.length > 0 ? good : candidates;
}

/** A third by neighbouring fingers opens the hand: 3-1 and 4-2 take it, or an open string. */
function strainsThird(setup: Context['setup'], { stops }: Hold): boolean {
  const [below, above] = stops.map(({ finger }) => finger);
  return isThird(setup, stops) && below > 0 && above > 0 && Math.abs(below - above) === 1;
}

/** Two notes a third apart. */
export function isThird({ strings }: Context['setup'], stops: Hold['stops']): boolean {
  if (stops.length !== 2) return false;
  const [low, high] = stops.map(({ string, semitones }) => strings[string].midi + semitones);
  return high - low >= 3 && high - low <= 4;
}

/** The midi numbers of all pitches of the music. */
function wantedBy({ sounding }: Context): ReadonlySet<number> {
  return new Set(sounding.flatMap(({ pitches }) => pitches.map(midiOf)));
}

const isTouched = ({ stops }: Hold) => stops.some(({ harmonic }) => harmonic);

/** True where a finger only touches one string of a double stop: it is taken where a lock asks for it, or where this hand has nothing else. */
const touchesInside = ({ stops }: Hold) => stops.length > 1 && stops.some(({ harmonic }) => harmonic);

/** True of the note that is to be touched where harmonics are wanted at the last: the turning point, or the last note. */
export function isTouchedAtLast({ request, sounding }: Context, event: SoundingEvent): boolean {
  if (request.rules?.harmonics !== 'last') return false;
  const { material } = request;
  const turns = 'direction' in material && material.direction === 'updown';
  return event === sounding[turns ? (sounding.length - 1) >> 1 : sounding.length - 1];
}

/** True where a hold asks more than this hand's fullest spread. */
export function beyondHand({ pricing }: Context, hold: Hold): boolean {
  return tooWide(widestPair(hold, pricing.hand, pricing.stops));
}

function tooWide(widest: WidestPair | null): boolean {
  return widest !== null && widest.share > 1 + 1e-9;
}

/** True where an octave is taken as the material wants it; a lock may ask for what it likes. */
export function takesOctave({ octave }: SoundingEvent, hold: Hold): boolean {
  return octave === undefined || neighbouringFingers(hold) === (octave === 'fingered');
}

/** True where two notes are taken by 1 and 3 or by 2 and 4. */
function neighbouringFingers(hold: Hold): boolean {
  const fingers = hold.stops.map((stop) => stop.finger).sort();
  return fingers.join() === '1,3' || fingers.join() === '2,4';
}

/** What must not be at an event. */
export function forbidden(context: Context, event: SoundingEvent): Forbidding[] {
  return (context.request.rules?.never ?? []).filter((one) => one.at === event.at);
}

/** What an event's locks say of how it is held; that the hand moves there says nothing of it. */
function heldLocks(locks: readonly Lock[]): readonly Lock[] {
  return locks.filter(({ finger, string, position, harmonic, frame }) =>
    [finger, string, position, harmonic, frame].some((demand) => demand !== undefined),
  );
}

export function locksAt(context: Context, event: SoundingEvent): Lock[] {
  return (context.request.rules?.locks ?? []).filter((lock) => lock.at === event.at);
}
