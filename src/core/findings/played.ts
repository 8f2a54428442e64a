import type { Setup } from '../instrument/setup';
import { parsePitch, type Pitch } from '../pitch/pitch';
import type { Finger, Plan, ResponseEvent, Step } from '../vocabulary';

/** One pressed or open note of a plan, with all that findings ask of it. */
export interface Played {
  readonly at: number;
  /** Which of the event's notes, from the lowest. */
  readonly voice: number;
  readonly pitch: Pitch;
  readonly midi: number;
  readonly beats: number;
  /** Index of the string, 0 the lowest. */
  readonly string: number;
  readonly finger: Finger;
  readonly semitones: number;
  readonly stopMm: number;
  /** True where the finger only touches the string. */
  readonly harmonic: boolean;
  readonly step: Step;
}

/** Every note of a plan in order; those of a chord from the lowest. */
export function playedNotes(events: readonly ResponseEvent[], plan: Plan, setup: Setup): Played[] {
  return plan.steps.flatMap((step) => {
    const event = events[step.at];
    if (!event || !('pitches' in event)) return [];
    return step.stops.flatMap((stop, voice) => {
      const pitch = parsePitch(event.pitches[voice]);
      const string = setup.strings.findIndex(({ name }) => name === stop.string);
      if (!pitch || string < 0) return [];
      const { finger, semitones, stopMm, harmonic } = stop;
      return [
        {
          at: step.at,
          voice,
          pitch,
          midi: event.midi[voice],
          beats: event.beats,
          string,
          finger,
          semitones,
          stopMm,
          harmonic,
          step,
        },
      ];
    });
  });
}

/** The notes of each event by themselves, in order. */
export function byEvent(notes: readonly Played[]): Played[][] {
  const lines: Played[][] = [];
  for (const note of notes) {
    const last = lines.at(-1);
    if (last?.[0].at === note.at) last.push(note);
    else lines.push([note]);
  }
  return lines;
}
