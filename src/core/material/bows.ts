import type { BowDirection } from '../vocabulary';
import type { MusicEvent } from './events';

/*
 * Bowing: which notes go on one bow, and which way the bow goes. None of it changes a fingering.
 */

/** Notes under one bow, from event to event (both in it). */
export interface Bow {
  readonly from: number;
  readonly to: number;
  readonly direction: BowDirection;
}

/** What bows follow from: an event, or what is answered of one. */
interface Bowed {
  readonly slur?: true;
  readonly bow?: BowDirection;
  readonly rest?: true;
  readonly kind?: MusicEvent['kind'];
}

/** How a note is bowed, as far as it is written. */
export function bowing({ slur, bow }: Pick<Bowed, 'slur' | 'bow'>) {
  return { ...(slur ? { slur } : {}), ...(bow ? { bow } : {}) };
}

const isRest = ({ rest, kind }: Bowed) => rest === true || kind === 'rest';
const OTHER = { down: 'up', up: 'down' } as const;

/**
 * The bows of a line, in order: notes joined by slurs go on one. They alternate, but for what is written; the first one, and the first after a rest, is a down
 * bow.
 */
export function bowsOf(events: readonly Bowed[]): Bow[] {
  const bows: Bow[] = [];
  let next: BowDirection = 'down';
  for (let at = 0; at < events.length; at++) {
    if (isRest(events[at])) {
      next = 'down';
      continue;
    }
    const from = at;
    const direction: BowDirection = events[at].bow ?? next;
    while (events[at].slur && at + 1 < events.length && !isRest(events[at + 1])) at++;
    bows.push({ from, to: at, direction });
    next = OTHER[direction];
  }
  return bows;
}

/** The line with so many notes to a bow; a rest ends a bow. The way of the bow is written where it begins, and after each rest. */
export function withBows(events: readonly MusicEvent[], perBow: number): MusicEvent[] {
  let onBow = 0;
  return events.map((event, at): MusicEvent => {
    if (event.kind === 'rest') {
      onBow = 0;
      return event;
    }
    onBow = onBow === perBow ? 1 : onBow + 1;
    const next = events[at + 1];
    const begins = at === 0 || events[at - 1].kind === 'rest';
    return {
      ...event,
      ...(onBow < perBow && next?.kind === 'sounding' ? { slur: true } : {}),
      ...(begins ? { bow: 'down' } : {}),
    };
  });
}

/** True where the bow changes between one event and a later one; undefined where no bowing is written at all. */
export function bowChanges(
  events: readonly Bowed[],
  from: number,
  to: number,
  written = hasBows(events),
): boolean | undefined {
  if (!written) return undefined;
  return events.slice(from, to).some((event) => !event.slur || isRest(event));
}

export function hasBows(events: readonly Bowed[]): boolean {
  return events.some(({ slur, bow }) => slur !== undefined || bow !== undefined);
}
