import type { Judged, PracticeTask } from '../vocabulary';
import { MOST_BPM } from '../vocabulary';
import { climbOf, type ClimbRule } from './climb';
import { stepsOf, temposOf } from './ladder';
import type { Passage } from './growing';

/*
 * Going on: a session begins where the last one on the same place stood, or a step up the same ladder.
 */

/** How a task is climbed. */
export function ruleOf({ times, ladder, begin = 0 }: PracticeTask, steps: number): ClimbRule {
  return { steps, times, begin, plain: ladder.kind === 'repeat' || ladder.kind === 'placing' };
}

/** True where two tasks work at the same place of a plan. */
export function samePlaceOf(
  a: Pick<PracticeTask, 'from' | 'to' | 'target'>,
  b: Pick<PracticeTask, 'from' | 'to' | 'target'>,
): boolean {
  return a.from === b.from && a.to === b.to && a.target === b.target;
}

function stood(task: PracticeTask, judged: readonly Judged[], passage: Passage) {
  const { length } = stepsOf(task, passage);
  const climb = climbOf(
    judged.map(({ heard }) => heard),
    ruleOf(task, length),
  );
  return { climb, last: length - 1 };
}

/** The task of a session as it goes on: the same, from the step on which it stood; from its last step where all were done. */
export function goneOn(task: PracticeTask, judged: readonly Judged[], passage: Passage): PracticeTask {
  const { climb, last } = stood(task, judged, passage);
  return { ...task, begin: Math.min(climb.step, last) };
}

/** Where a ladder has no step left the tempo goes up by a twentieth, and by two beats at least. */
const TEMPO_UP = 1.05;
const LEAST_UP = 2;

const faster = (bpm: number) => Math.min(MOST_BPM, Math.max(bpm + LEAST_UP, Math.round(bpm * TEMPO_UP)));

/** A step up the ladder of a session: its next one; after its last the same at the next tempo. */
export function stepUp(task: PracticeTask, judged: readonly Judged[], passage: Passage): PracticeTask {
  const { climb, last } = stood(task, judged, passage);
  if (climb.step < last) return { ...task, begin: climb.step + 1 };
  if (!climb.done && last > 0) return { ...task, begin: last };
  const { ladder } = task;
  if (ladder.kind === 'tempo') {
    const marks = temposOf(ladder);
    const size = Math.max(1, marks[marks.length - 1] - (marks[marks.length - 2] ?? ladder.from));
    const to = Math.min(MOST_BPM, ladder.to + size);
    const raised = { ...ladder, from: Math.min(to - 1, ladder.from + size), to };
    return { ...task, ladder: raised, begin: temposOf(raised).length - 1 };
  }
  return { ...task, bpm: faster(task.bpm), begin: 0 };
}
