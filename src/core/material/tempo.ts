import type { PlanRequest } from '../vocabulary';

/*
 * Where the tempo changes on the way, lengths are told in beats of the opening tempo: so whatever asks how much time there is finds it in one unit.
 */

interface Timed {
  readonly at: number;
  readonly beats: number;
}

interface Paced {
  readonly at: number;
  /** Beats a minute from the event on. */
  readonly bpm?: number;
}

/** Beats a minute where none are asked for. */
export const USUAL_BPM = 60;

/**
 * Events with their lengths in beats of the opening tempo.
 * @param opening beats a minute at the beginning
 */
export function atOneTempo<T extends Timed>(
  events: readonly T[],
  changes: readonly Paced[] = [],
  opening: number = USUAL_BPM,
): readonly T[] {
  const turns = changes.filter(({ bpm }) => bpm !== undefined);
  if (turns.length === 0) return events;
  let next = 0;
  let factor = 1;
  return events.map((event) => {
    while (next < turns.length && turns[next].at <= event.at) factor = opening / (turns[next++].bpm ?? opening);
    return factor === 1 ? event : { ...event, beats: event.beats * factor };
  });
}

/** Seconds that one of the material's own beats lasts; without a tempo a calm sixty. */
export function secondsPerBeat(tempo: PlanRequest['tempo']): number {
  return ((tempo?.beatsPerNote ?? 1) * 60) / (tempo?.bpm ?? USUAL_BPM);
}

/** A note of more seconds is long; sums of thirds differ in the last bits. */
const LONG_SECONDS = 1 + 1e-6;

/** True of a note that is long enough to be heard for its colour, and for a weak finger to be felt. */
export const isLongNote = (beats: number, secondsABeat: number) => beats * secondsABeat > LONG_SECONDS;

/** Beats a minute that the request asks for; a scale may have several beats a note. */
export function metronomeOf({ tempo }: PlanRequest): number | undefined {
  if (!tempo) return undefined;
  return Math.round((tempo.bpm / (tempo.beatsPerNote ?? 1)) * 100) / 100;
}
