import { centsPerMm, resolveSetup, stopMm, type HeardTake, type HeardTry, type SessionRecord } from '../../core';
import type { Meaning } from '../meaning';

/*
 * Made-up takes for the made-up log: what the microphone would have heard of a finger that stands low, less so from week to week.
 */

/** A finger that stands beside its place, in mm towards the bridge, six weeks ago; by now a third of it is left. */
const LOW = { finger: 3, mm: -2.2, left: 0.35 };
/** Each finger lies this far to either side of where it is meant to, in mm. */
const SCATTER = 0.9;

/** What was heard of a session. @param progress from 0 six weeks ago to 1 today */
export function demoTake(
  { id, startedAt }: SessionRecord,
  { request, response, plan }: Meaning,
  progress: number,
  chance: () => number,
): HeardTake {
  const setup = resolveSetup(request);
  const low = LOW.mm * (1 - progress * (1 - LOW.left));
  const tries = plan.steps.flatMap(({ at, position, stops }): HeardTry[] => {
    const [{ string, finger, semitones }] = stops;
    if (stops.length > 1 || finger === 0) return [];
    // Three chances together lie near the middle more often than far from it.
    const scatter = SCATTER * (chance() + chance() + chance() - 1.5);
    const mm = (finger === LOW.finger ? low : 0) + scatter;
    const cents = mm * centsPerMm(setup.lengthMm, stopMm(setup.lengthMm, semitones));
    return [{ at, string, semitones, finger, position, cents, mm }];
  });
  return {
    kind: 'heard',
    id: crypto.randomUUID(),
    sessionId: id,
    at: startedAt,
    seconds: response.events.length,
    a4: 440,
    tries,
    said: [],
  };
}
