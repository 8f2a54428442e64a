import { FAST } from '../findings/rough';
import type { Issue } from '../issue';
import { rangesGrowing, type Passage } from './growing';
import {
  AIDS,
  BOW_COUNTS,
  HALVES,
  MATCHING,
  RHYTHMS,
  VOICES,
  type AidName,
  type RhythmName,
  type VoicesName,
} from './terms';
import { MOST_BPM } from '../vocabulary';
import type { Ladder, PracticeTask, ResponseEvent } from '../vocabulary';

/*
 * Ladders: what changes from step to step while a passage is worked at. Each is worked out into its steps before the first note is played.
 */

/** One step: how the passage is played while it stands. */
export interface LadderStep {
  /** First and last event. */
  readonly from: number;
  readonly to: number;
  /** Beats a minute. */
  readonly bpm: number;
  /** Times the written length that each note has. */
  readonly beatsEach: number;
  /** Notes to a bow; as written where left out. */
  readonly perBow?: number;
  readonly rhythm?: RhythmName;
  readonly aid?: AidName;
  readonly voices?: VoicesName;
  /** Which step of a rehearsal, or of matching, it is. */
  readonly part?: string;
  /** Whether the target is heard first; as the task has it where left out. */
  readonly hear?: boolean;
}

/** Most steps that anybody climbs. */
const MOST_STEPS = 60;

/** The steps of a task, in order; never empty. The ladder must have no issue. */
export function stepsOf(task: PracticeTask, passage: Passage): LadderStep[] {
  const { ladder, from, to, target, bpm, beatsEach } = task;
  const base: LadderStep = { from, to, bpm, beatsEach: 1 };
  switch (ladder.kind) {
    case 'repeat':
      return [{ ...base, beatsEach }];
    case 'placing': {
      const at = target ?? from;
      return [{ ...base, from: at, to: at, beatsEach }];
    }
    case 'tempo':
      return temposOf(ladder).map((tempo) => ({ ...base, bpm: tempo }));
    case 'halves':
      return HALVES.map((each) => ({ ...base, beatsEach: each }));
    case 'bows':
      return bowCounts(to - from + 1).map((perBow) => ({ ...base, perBow }));
    case 'rhythms':
      return RHYTHMS.map(({ name }) => ({ ...base, rhythm: name }));
    case 'growing':
      return rangesGrowing(ladder.unit, passage, from, to).map((range) => ({ ...base, ...range }));
    case 'aids':
      return AIDS.map(({ name }) => ({ ...base, aid: name }));
    case 'matching': {
      const at = target ?? to;
      const before = Math.max(from, at - 1);
      return MATCHING.map(({ name, alone, beatsEach: each, hear }) => ({
        ...base,
        from: alone ? at : before,
        to: at,
        beatsEach: each,
        hear,
        part: name,
      }));
    }
    case 'voices':
      return VOICES.map((voices) => ({ ...base, voices }));
    case 'parts':
      return ladder.parts.map((part) => ({ ...base, from: part.from, to: part.to, part: part.step }));
  }
}

/** The marks of a metronome ladder: from its start to its goal, which is always the last. */
export function temposOf({ from, to, by }: Extract<Ladder, { kind: 'tempo' }>): number[] {
  const steps = 'steps' in by ? by.steps : Math.ceil((to - from) / by.beats);
  const size = 'steps' in by ? (to - from) / by.steps : by.beats;
  const marks = Array.from({ length: Math.max(0, steps) }, (_, at) => Math.round(from + at * size));
  return [...marks.filter((mark, at) => mark < to && mark !== marks[at - 1]), to];
}

/** Notes to a bow up to all in one. */
function bowCounts(notes: number): number[] {
  return [...BOW_COUNTS.filter((count) => count < notes), Math.max(1, notes)];
}

/** What is wrong with a task; empty where nothing is. */
export function taskIssues({ ladder, from, to, target }: PracticeTask): Issue[] {
  if (to < from) return [{ path: '/to', code: 'passage-turned' }];
  if (target !== undefined && (target < from || target > to)) return [{ path: '/target', code: 'target-outside' }];
  if (ladder.kind !== 'tempo') return [];
  if (ladder.to <= ladder.from)
    return [{ path: '/ladder/to', code: 'goal-not-above', data: { from: ladder.from, to: ladder.to } }];
  if ('beats' in ladder.by && !(ladder.by.beats > 0)) return [{ path: '/ladder/by/beats', code: 'no-step' }];
  if ('beats' in ladder.by && (ladder.to - ladder.from) / ladder.by.beats > MOST_STEPS)
    return [{ path: '/ladder/by/beats', code: 'too-many-steps', data: { most: MOST_STEPS } }];
  if (ladder.to > MOST_BPM) return [{ path: '/ladder/to', code: 'too-fast', data: { most: MOST_BPM } }];
  return [];
}

/** Seconds that the shortest note has on a step. @param events as the step has them played */
export function secondsOfShortest({ bpm }: Pick<LadderStep, 'bpm'>, events: readonly ResponseEvent[]): number {
  const beats = events.flatMap((event) => ('rest' in event ? [] : [event.beats]));
  return (60 / bpm) * (beats.length > 0 ? Math.min(...beats) : 1);
}

/** Whether the hand builds its frame finger by finger, or has to be shaped before it falls: at less than about 0.3 s a note. */
export function handTime(secondsANote: number): 'build' | 'float' {
  return secondsANote < FAST ? 'float' : 'build';
}
