import type { Ladder, PlanResponse, PracticeTask } from '../../core';
import { MOST_BPM, LEAST_BPM, REHEARSAL_STEPS, USUAL_REPETITIONS, USUAL_TIMES } from '../../core';
import { tempoOf } from '../brief/choices';
import type { Meaning } from '../meaning';
import { REHEARSAL } from './address';

/*
 * What an address asks to be practised, and what a session begins with where nothing else is said.
 */

/** The task that an address asks for: the whole plan, or the part it names. */
export function askedTask({ response, request, record }: Meaning, asked: URLSearchParams): PracticeTask {
  const last = response.events.length - 1;
  const at = (name: string) => {
    const value = Number(asked.get(name) ?? NaN);
    return Number.isInteger(value) && value >= 0 && value <= last ? value : undefined;
  };
  const from = Math.min(at('from') ?? 0, at('to') ?? last);
  const to = Math.max(at('to') ?? last, from);
  const target = at('target');
  const ladder: Ladder = record.tags.includes(REHEARSAL) ? rehearsalLadder(response) : { kind: 'repeat' };
  const bpm = Number(tempoOf(request)) || 60;
  return {
    from,
    to,
    bpm,
    times: usualTimes(ladder.kind),
    beatsEach: 1,
    clicks: 1,
    hearFirst: target !== undefined,
    ...(target !== undefined && target >= from && target <= to ? { target } : {}),
    ladder,
    reminders: [],
  };
}

/** A rehearsal of a shift goes through its steps, a bar line between them. */
function rehearsalLadder({ events }: PlanResponse): Ladder {
  const starts = [0, ...events.flatMap(({ at, bar }) => (bar && at > 0 ? [at] : []))];
  const parts = starts.map((from, n) => ({
    from,
    to: (starts[n + 1] ?? events.length) - 1,
    step: REHEARSAL_STEPS[n] ?? '',
  }));
  return { kind: 'parts', parts };
}

const TEMPO_STEPS = 4;

/** A ladder of another kind, with what is usual for it. */
export function ladderOf(kind: Ladder['kind'], bpm: number): Ladder {
  switch (kind) {
    case 'tempo':
      return {
        kind,
        from: Math.max(LEAST_BPM, Math.round(bpm * 0.7)),
        to: Math.min(MOST_BPM, Math.round(bpm * 1.3)),
        by: { steps: TEMPO_STEPS },
      };
    case 'growing':
      return { kind, unit: 'bar' };
    case 'parts':
      return { kind: 'repeat' };
    default:
      return { kind };
  }
}

/** Times that a step takes: plain repetitions are more than clean ones running. */
export function usualTimes(kind: Ladder['kind']): number {
  return kind === 'repeat' || kind === 'placing' ? USUAL_REPETITIONS : USUAL_TIMES;
}
