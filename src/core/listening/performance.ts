import { centsPerMm, stopMm } from '../instrument/geometry';
import type { Issue } from '../issue';
import type { Setup } from '../instrument/setup';
import type { Fault } from '../vocabulary';
import type { Expected, ExpectedEvent, ExpectedStop } from './expected';

/*
 * A player made up: what somebody plays of a plan with some faults, note by note, before any of it sounds. It stands in for a microphone, and makes the tests.
 */

/** One note as it is played. */
export interface PerformedNote {
  readonly at: number;
  /** From the lowest of the event. */
  readonly stop: number;
  /** Which time through it is, from 0. */
  readonly pass: number;
  readonly string: number;
  readonly start: number;
  readonly end: number;
  /** Cents of its middle from A at 440 Hz: 100 times the MIDI number, more or less. */
  readonly pitch: number;
  /** The same against equal temperament. */
  readonly cents: number;
  /** Half the swing of the vibrato, its rate, and when it begins after the note. */
  readonly vibrato: { readonly cents: number; readonly hz: number; readonly after: number; readonly phase: number };
  /** By how much it gives way towards its end, in cents. */
  readonly sag: number;
  /** By how much it is off as it lands, before it is slid to its place, in cents. */
  readonly landing: number;
  /** True where it is joined to the one before without a change of bow. */
  readonly slurred: boolean;
  readonly open: boolean;
}

/** Faults at notes or strings that this plan does not have. */
export function faultIssues({ events, setup }: Expected, faults: readonly Fault[]): Issue[] {
  const known = new Map(events.map((event) => [event.at, event]));
  const names = setup.strings.map(({ name }) => name);
  const last = Math.max(0, ...known.keys());
  return faults.flatMap((one, n): Issue[] => {
    const issue = (field: string, code: string, data: Issue['data']): Issue[] => [
      { path: `/${n}/${field}`, code, data },
    ];
    if ('string' in one && !names.includes(one.string)) return issue('string', 'not-one-of', { allowed: names });
    if ('at' in one && !known.has(one.at)) return issue('at', 'no-such-event', { last });
    if ('after' in one && !known.has(one.after)) return issue('after', 'no-such-event', { last });
    if ('from' in one && one.from > last) return issue('from', 'no-such-event', { last });
    const stops = 'stop' in one ? (known.get(one.at)?.stops.length ?? 0) : Infinity;
    if ('stop' in one && one.stop >= stops) return issue('stop', 'no-such-event', { last: stops - 1 });
    return [];
  });
}

/** Numbers from 0 up to 1, each as likely. */
export type Chance = () => number;

/** The same chances for the same seed (mulberry32). */
export function chances(seed: number): Chance {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let value = Math.imul(state ^ (state >>> 15), state | 1);
    value ^= value + Math.imul(value ^ (value >>> 7), value | 61);
    return ((value ^ (value >>> 14)) >>> 0) / 4294967296;
  };
}

/** A normal number, cut at twice its spread. */
function normal(chance: Chance): number {
  const drawn = Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
  return Math.abs(drawn) <= 2 ? drawn : normal(chance);
}

/** Seconds before the first note, of a stop, and of a restart. */
const LEAD_IN = 0.4;
const STOPPED = 1.1;
const RESTARTED = 0.9;

const of = <Name extends Fault['fault']>(faults: readonly Fault[], name: Name) =>
  faults.filter((one): one is Extract<Fault, { fault: Name }> => one.fault === name);

/** What is played of a plan with some faults, in order. */
export function performed({ events, setup }: Expected, faults: readonly Fault[], chance: Chance): PerformedNote[] {
  const order = orderOf(events, faults);
  const scatter = of(faults, 'scatter')[0]?.cents ?? 0;
  const [vibrato] = of(faults, 'vibrato');
  const drift = of(faults, 'drift')[0]?.bpm ?? 0;
  const notes: PerformedNote[] = [];
  let time = LEAD_IN;
  order.forEach(({ event, pass, pause }, n) => {
    const { at } = event;
    time += pause + event.rest;
    const slower = 60 / (60 + (drift * n) / Math.max(1, order.length));
    const length = event.seconds * slower;
    const wrong = of(faults, 'wrong').find((one) => one.at === at)?.semitones ?? 0;
    event.stops.forEach((stop, voice) => {
      const off = offCents(event, stop, faults, setup) + (stop.open ? 0 : scatter * normal(chance));
      const voiced = of(faults, 'voice').find((one) => one.at === at && one.stop === voice)?.cents ?? 0;
      const shift = of(faults, 'shift').find((one) => one.at === at);
      const stays = shift && !shift.slid ? shift.cents : 0;
      const own = stop.cents + off + voiced + stays + 100 * wrong;
      notes.push({
        at,
        stop: voice,
        pass,
        string: stop.string,
        start: time,
        end: time + length,
        pitch: 100 * stop.midi + own,
        cents: own,
        vibrato: {
          cents: vibrato && !stop.open ? vibrato.cents : 0,
          hz: (vibrato?.hz ?? 5.5) + 0.3 * (chance() - 0.5),
          after: 0.15 * chance(),
          phase: 2 * Math.PI * chance(),
        },
        sag: of(faults, 'contact').find((one) => one.string === setup.strings[stop.string].name)?.cents ?? 0,
        landing: shift?.slid ? shift.cents : 0,
        slurred: event.slurred && pause === 0,
        open: stop.open,
      });
    });
    time += length;
  });
  return notes;
}

interface Turn {
  readonly event: ExpectedEvent;
  readonly pass: number;
  /** Seconds of silence before it. */
  readonly pause: number;
}

/** The events in the order in which they are played. */
function orderOf(events: readonly ExpectedEvent[], faults: readonly Fault[]): Turn[] {
  const skipped = new Set(of(faults, 'skip').map(({ at }) => at));
  const twice = new Set(of(faults, 'repeat').map(({ at }) => at));
  const stops = new Set(of(faults, 'stop').map(({ after }) => after));
  const restarts = [...of(faults, 'restart')];
  const turns: Turn[] = [];
  let [index, pass, pause] = [0, 0, 0];
  while (index < events.length) {
    const event = events[index];
    if (!skipped.has(event.at)) {
      turns.push({ event, pass, pause });
      pause = 0;
      if (twice.has(event.at)) turns.push({ event, pass, pause });
    }
    if (stops.has(event.at) && pass === 0) pause = STOPPED;
    const again = restarts.findIndex(({ after }) => after === event.at);
    if (again >= 0) {
      const [{ from }] = restarts.splice(again, 1);
      pass++;
      pause = RESTARTED;
      index = Math.max(
        0,
        events.findIndex(({ at }) => at >= from),
      );
    } else index++;
  }
  return turns;
}

/** By how much a stop is off through the faults of hand, finger, frame and string, in cents. */
function offCents(
  event: ExpectedEvent,
  stop: ExpectedStop,
  faults: readonly Fault[],
  { lengthMm, strings }: Setup,
): number {
  let mm = 0;
  let cents = 0;
  for (const one of faults) {
    if (one.fault === 'hand' && one.position === event.position) mm += one.mm;
    else if (one.fault === 'finger' && one.finger === stop.finger) mm += one.mm;
    else if (one.fault === 'frame' && one.position === event.position) mm += one.mm * frameShare(event, stop, lengthMm);
    else if (one.fault === 'string' && one.string === strings[stop.string].name) cents += one.cents;
  }
  return cents + (stop.open ? 0 : mm * centsPerMm(lengthMm, stop.mm));
}

/** How far along the frame a stop lies: 0 at the first finger, 1 at the last. */
export function frameShare({ first, last }: ExpectedEvent, stop: ExpectedStop, lengthMm: number): number {
  const [low, high] = [first, last].map((semitones) => stopMm(lengthMm, semitones));
  return high > low ? (stop.mm - low) / (high - low) : 0;
}
