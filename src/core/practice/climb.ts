import { FALLS_AFTER, LONG_MINUTES, TIRED_AFTER, TIRED_RUN } from './terms';
import type { HeardAs } from '../vocabulary';

/*
 * Where a session stands. It follows from the repetitions judged so far and from nothing else, so that it can be left at any moment and taken up again.
 */

export interface Climb {
  /** The step that stands, from 0. */
  readonly step: number;
  /** Clean repetitions running on it. */
  readonly clean: number;
  /** Repetitions on it that were not clean, running. */
  readonly unclean: number;
  /** All that were judged. */
  readonly judged: number;
  readonly done: boolean;
}

export interface ClimbRule {
  readonly steps: number;
  /** Clean times running that a step takes; of plain repetitions, how many there are. */
  readonly times: number;
  /** Plain repetitions end when they have been made, clean or not. */
  readonly plain: boolean;
  /** The step it begins on, from 0. */
  readonly begin?: number;
}

export const AT_START: Climb = { step: 0, clean: 0, unclean: 0, judged: 0, done: false };

/** The climb after one more repetition. */
export function climbed(before: Climb, verdict: HeardAs, { steps, times, plain }: ClimbRule): Climb {
  if (before.done) return before;
  const judged = before.judged + 1;
  const isClean = verdict === 'in';
  const clean = isClean ? before.clean + 1 : 0;
  const unclean = isClean ? 0 : before.unclean + 1;
  if (plain) return { step: 0, clean, unclean, judged, done: judged >= times };
  if (clean >= times) {
    const done = before.step === steps - 1;
    return done
      ? { step: before.step, clean, unclean: 0, judged, done }
      : { step: before.step + 1, clean: 0, unclean: 0, judged, done };
  }
  if (unclean >= FALLS_AFTER) return { step: Math.max(0, before.step - 1), clean: 0, unclean: 0, judged, done: false };
  return { step: before.step, clean, unclean, judged, done: false };
}

/** Where a session stands after some repetitions. */
export function climbOf(verdicts: readonly HeardAs[], rule: ClimbRule): Climb {
  const start = { ...AT_START, step: Math.min(rule.begin ?? 0, rule.steps - 1) };
  return verdicts.reduce((climb, verdict) => climbed(climb, verdict, rule), start);
}

/** Why it is time to stop, where it is. */
export type Pause = 'long' | 'tired' | 'over';

/** @param minutes that the session has lasted @param allotted that it has in the day, where it has any */
export function pauseFor(verdicts: readonly HeardAs[], minutes: number, allotted = Infinity): Pause | null {
  if (minutes >= allotted) return 'over';
  if (minutes >= LONG_MINUTES) return 'long';
  const last = verdicts.slice(-TIRED_RUN);
  const tired =
    verdicts.length >= TIRED_AFTER && last.length === TIRED_RUN && last.every((verdict) => verdict !== 'in');
  return tired ? 'tired' : null;
}
