import type { Fault } from '../../src/core';
import {
  causesIn,
  type Cause,
  type Chance,
  type Expected,
  type Report,
  type ReportCause,
} from '../../src/core/listening';
import type { Take } from './takes';

/*
 * Causes planted in made-up takes, as large as the figures ask for, and what is found of them.
 */

/** Notes of a take that were found in their place, and by how many cents each is off from the truth. */
export function found({ notes, expected }: Take, { passes, a4 }: Report) {
  const heard = passes.flatMap((pass) => pass.notes);
  const tuned = 1200 * Math.log2(a4 / 440);
  const errors: number[] = [];
  for (const note of notes) {
    const target = expected.events.find(({ at }) => at === note.at)?.stops[0].cents ?? 0;
    const own = heard.find(({ at, start = Infinity, end = -Infinity, heard: how }) => {
      const together = Math.min(end, note.end) - Math.max(start, note.start);
      return at === note.at && how !== 'wrong' && together >= (note.end - note.start) / 2;
    });
    if (own?.cents !== undefined) errors.push(Math.abs(own.cents + tuned - (note.cents - target)));
  }
  return { share: errors.length / notes.length, errors };
}

export const within = (errors: readonly number[], cents: number) =>
  errors.filter((error) => error <= cents).length / errors.length;

/** What is looked for among the causes of a take without sound. */
export type Planted = Extract<Fault, { fault: 'hand' | 'finger' | 'string' | 'frame' | 'contact' }>;

const oneOf = <T>(chance: Chance, list: readonly T[]): T | undefined => list[Math.floor(chance() * list.length)];
const centsAMm = (length: number, mm: number) => 1200 / Math.LN2 / (length - mm);

/** Faults as large as the figures ask for, where a take has enough notes for them. */
export const PLANTS: Readonly<Record<Planted['fault'], (expected: Expected, chance: Chance) => Planted | null>> = {
  hand: ({ events, setup }, chance) => {
    const stopped = events.filter(({ stops }) => !stops[0].open);
    const enough = (position: unknown) => stopped.filter((event) => event.position === position).length >= 5;
    const event = oneOf(
      chance,
      stopped.filter(({ position }) => enough(position)),
    );
    if (!event) return null;
    const low = Math.min(
      ...stopped.filter(({ position }) => position === event.position).map(({ stops }) => stops[0].mm),
    );
    return { fault: 'hand', position: event.position, mm: side(chance) * (9.5 / centsAMm(setup.lengthMm, low)) };
  },
  finger: ({ events, setup }, chance) => {
    const places = (finger: number) => events.flatMap(({ stops: [stop] }) => (stop.finger === finger ? [stop.mm] : []));
    const finger = oneOf(
      chance,
      [1, 2, 3, 4].filter((one) => places(one).length >= 4),
    );
    if (finger === undefined) return null;
    return {
      fault: 'finger',
      finger,
      mm: (side(chance) * 12.5) / centsAMm(setup.lengthMm, Math.min(...places(finger))),
    };
  },
  string: ({ events, setup }, chance) => {
    const string = oneOf(
      chance,
      setup.strings.filter((_, n) => {
        const own = events.filter(({ stops }) => stops[0].string === n);
        return own.length >= 5 || (own.length >= 3 && own.some(({ stops }) => stops[0].open));
      }),
    );
    return string ? { fault: 'string', string: string.name, cents: 8.5 * side(chance) } : null;
  },
  frame: ({ events, setup }, chance) => {
    const stopped = events.filter(({ stops }) => !stops[0].open);
    const event = oneOf(
      chance,
      stopped.filter((one) => stopped.filter(({ position }) => position === one.position).length >= 8),
    );
    if (!event) return null;
    const last = setup.lengthMm * (1 - 2 ** (-event.last / 12));
    return { fault: 'frame', position: event.position, mm: (side(chance) * 12.5) / centsAMm(setup.lengthMm, last) };
  },
  contact: ({ events, setup }, chance) => {
    const string = oneOf(
      chance,
      setup.strings.filter((_, n) => events.filter(({ stops }) => stops[0].string === n).length >= 4),
    );
    return string ? { fault: 'contact', string: string.name, cents: -9 } : null;
  },
};

const side = (chance: Chance) => (chance() < 0.5 ? -1 : 1);

/** True where a cause is what was planted. */
export function names(cause: Cause | ReportCause, planted: Planted, { setup }: Expected): boolean {
  if (cause.cause !== planted.fault) return false;
  if ('position' in cause && 'position' in planted) return cause.position === planted.position;
  if ('finger' in cause && 'finger' in planted) return cause.finger === planted.finger;
  return 'string' in cause && 'string' in planted && setup.strings[cause.string].name === planted.string;
}

/** What is made of a take's cents, without any sound. */
export function causesWithoutSound({ notes, expected }: Take) {
  const byEvent = new Map(expected.events.map((event) => [event.at, event]));
  const evidence = notes.flatMap((note) => {
    const event = byEvent.get(note.at);
    if (!event) return [];
    const [stop] = event.stops;
    return [{ event, stop, cents: note.cents - stop.cents, sag: note.sag }];
  });
  return causesIn(evidence, expected);
}
