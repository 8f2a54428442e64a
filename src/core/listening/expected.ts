import { heardNotes } from '../findings/heard';
import { playedNotes } from '../findings/played';
import type { Aim } from '../findings/targets';
import { isOpen } from '../findings/targets';
import { openCents } from '../pitch/intonation';
import { resolveSetup, type Setup } from '../instrument/setup';
import { atOneTempo, secondsPerBeat } from '../material/tempo';
import type { Finger, Plan, PlanRequest, PlanResponse, PositionNumber } from '../vocabulary';

/*
 * What a player of a plan is expected to play: every event with its stops, where each is to stand, and about how long it lasts.
 */

export interface ExpectedStop {
  /** From the lowest. */
  readonly string: number;
  readonly finger: Finger;
  readonly semitones: number;
  readonly midi: number;
  /** Target against equal temperament with A at 440 Hz. */
  readonly cents: number;
  /** Where the finger stands, in mm from the nut. */
  readonly mm: number;
  readonly open: boolean;
  readonly toleranceCents: number;
}

export interface ExpectedEvent {
  readonly at: number;
  /** From the lowest. */
  readonly stops: readonly ExpectedStop[];
  readonly position: PositionNumber;
  /** Where the hand's first finger lies, in semitones above the open string; by it places of thumb position are told apart. */
  readonly first: number;
  /** Where its last finger lies. */
  readonly last: number;
  /** Seconds at the plan's tempo. */
  readonly seconds: number;
  /** Seconds of rest before it. */
  readonly rest: number;
  /** True where the hand has moved to it. */
  readonly landing: boolean;
  /** True where it is joined to the one before under one bow. */
  readonly slurred: boolean;
}

export interface Expected {
  readonly setup: Setup;
  readonly events: readonly ExpectedEvent[];
  /** Cents of each open string's target against equal. */
  readonly openCents: readonly number[];
}

/** What is expected of a player of a plan. */
export function expectedOf(request: PlanRequest, answer: PlanResponse, plan: Plan, aim: Aim): Expected {
  const setup = resolveSetup(request);
  const events = atOneTempo(answer.events, answer.changes, request.tempo?.bpm);
  const beat = secondsPerBeat(request.tempo);
  const heard = heardNotes(playedNotes(events, plan, setup), answer, setup, aim, request);
  const landings = new Set(plan.shifts.map(({ to }) => to));
  const byEvent = new Map<number, typeof heard>();
  for (const one of heard) byEvent.set(one.note.at, [...(byEvent.get(one.note.at) ?? []), one]);
  let rest = 0;
  const expected = events.flatMap((event): ExpectedEvent[] => {
    const own = byEvent.get(event.at);
    if ('rest' in event || !own) {
      rest += event.beats * beat;
      return [];
    }
    const [{ note }] = own;
    const before = events[event.at - 1];
    const made: ExpectedEvent = {
      at: event.at,
      stops: own
        .map(({ note: one, target }): ExpectedStop => ({
          string: one.string,
          finger: one.finger,
          semitones: one.semitones,
          midi: one.midi,
          cents: target.cents,
          mm: target.mm,
          open: isOpen(one),
          toleranceCents: target.toleranceCents,
        }))
        .sort((a, b) => a.midi - b.midi),
      position: note.step.position,
      first: note.step.hand[1] ?? 0,
      last: Math.max(...Object.values(note.step.hand), 0),
      seconds: event.beats * beat,
      rest,
      landing: landings.has(event.at),
      slurred: before !== undefined && 'slur' in before && before.slur === true,
    };
    rest = 0;
    return [made];
  });
  return { setup, events: expected, openCents: openTargets(setup, aim) };
}

function openTargets(setup: Setup, { tuning }: Pick<Aim, 'tuning'>): number[] {
  return setup.strings.map(({ pitch }) => openCents(pitch, tuning));
}

/** What the tuner expects: the strings, tuned in pure fifths or fourths. */
export function stringsOf(player: Parameters<typeof resolveSetup>[0]): Pick<Expected, 'setup' | 'openCents'> {
  const setup = resolveSetup(player);
  return { setup, openCents: openTargets(setup, { tuning: 'pure' }) };
}

/** The part of what is expected that lies between two events, both inside. */
export function expectedPart(expected: Expected, from: number, to: number): Expected {
  return { ...expected, events: expected.events.filter(({ at }) => at >= from && at <= to) };
}
