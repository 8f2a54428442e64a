import type { SoundingEvent } from '../../material/events';
import { midiOf } from '../../pitch/pitch';
import { contextAt, type Context } from '../cost';
import { beyondHand, candidatesFor, locksAt, type HoldTrellis } from '../graph';
import type { Problem } from '../../vocabulary';
import { fightingEvents } from '../search';
import { remediesFor } from './remedies';

/*
 * When no plan is left: what stands in the way, and the smallest changes that would help.
 */

/** @returns the problems of a request whose trellis has no path; never empty */
export function problemsOf(context: Context, trellis: HoldTrellis): Problem[] {
  const unplayable = context.sounding.filter((event) => context.holdsOf(event).all.length === 0);
  if (unplayable.length > 0) return unplayable.slice(0, MOST_PROBLEMS).map((event) => outOfRange(context, event));
  const empty = trellis.layers.findIndex((layer) => layer.nodes === 0);
  if (empty >= 0) {
    const event = context.sounding[empty];
    const inRules = holdsInRules(context, event);
    const code = inRules ? 'beyond-reach' : 'out-of-rules';
    return [{ code, at: event.at, ...placesAt(context, [event]), ...helped(context, [event]) }];
  }
  const fight = (fightingEvents(trellis) ?? []).map((t) => context.sounding[t]);
  const [first, second] = fight;
  if (!second) return [{ code: 'out-of-rules', at: context.sounding[0].at, ...helped(context, []) }];
  return [
    {
      code: 'out-of-rules',
      at: second.at,
      fight: [first.at, second.at],
      ...placesAt(context, fight),
      ...helped(context, fight),
    },
  ];
}

/** The places in force at some events, so that a refusal can name them. */
function placesAt({ request }: Context, events: readonly SoundingEvent[]): Pick<Problem, 'places'> {
  const places = (request.rules?.places ?? []).flatMap(({ from, to }, n) =>
    events.some(({ at }) => from <= at && at <= to) ? [n] : [],
  );
  return places.length > 0 ? { places } : {};
}

/** More problems of one kind than this tell the reader nothing new. */
const MOST_PROBLEMS = 5;

function outOfRange({ setup }: Context, event: SoundingEvent): Problem {
  const midis = event.pitches.map(midiOf);
  const top = setup.strings[setup.strings.length - 1];
  if (Math.min(...midis) < setup.strings[0].midi - setup.extensionSemitones) return { code: 'too-low', at: event.at };
  const beyondEnd = Math.max(...midis) > top.midi + setup.reachSemitones;
  return { code: beyondEnd ? 'too-high' : 'not-together', at: event.at };
}

/** True where the rules leave an event a hold and it is the hand that cannot take it. */
function holdsInRules(context: Context, event: SoundingEvent): boolean {
  const own = contextAt(context, context.sounding.indexOf(event));
  const { pricing } = own;
  const hand = { ...pricing.hand, relaxedMm: HUGE_MM, fullMm: HUGE_MM };
  if (context.holdsOf(event).all.every((hold) => beyondHand(context, hold))) return true;
  const free = candidatesFor({ ...own, pricing: { ...pricing, hand } }, event, locksAt(context, event));
  // A finger that would have to leave its place and still not reach does not make the note one within the rules.
  return free.some(({ hold }) => hold.extended === 0 && beyondHand(context, hold));
}

/** A hand that takes everything. */
const HUGE_MM = 10_000;

function helped(context: Context, events: readonly SoundingEvent[]): Pick<Problem, 'changes' | 'relax' | 'ways'> {
  const ways = remediesFor(context, events);
  const [first] = ways;
  return { ...(first ? { changes: first.changes, relax: first.relax } : {}), ways };
}
