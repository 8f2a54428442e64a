import type { PlanResponse } from '../../core';
import {
  carryMarked,
  choosePlan,
  layBeside,
  moveCursor,
  redo,
  setStudent,
  toggleMarking,
  undo,
  unmark,
} from './edits';
import { listen, setCountIn, setDrone, setLoop, useListening } from './listening';
import { NAMES_WORDS, setLines, setNames, useLook, zoomBy } from './look';
import { givePlan, newPlan, openPlan } from './opening';
import { useBench } from './state';
import { planTitle, planWords } from '../../brief/words';
import type { PlanRecord, StudentRecord } from '../../store/records';

/** Something that can be done by its name. */
export interface Command {
  readonly words: string;
  /** The key that does the same, where there is one. */
  readonly keys?: string;
  readonly act: () => void;
}

/** Everything that can be done on the Bench now. */
export function commandsFor(
  students: readonly StudentRecord[],
  plans: readonly PlanRecord[],
  response: PlanResponse | null,
): Command[] {
  const { record, selection } = useBench.getState();
  const { playing, loop, countIn, drone } = useListening.getState();
  const { lines } = useLook.getState();
  const owner = (plan: PlanRecord) => students.find(({ id }) => id === plan.studentId);
  const shifts = response?.plans[record.chosen]?.shifts ?? [];
  return [
    { words: playing ? 'Stop listening' : 'Listen', keys: 'Space', act: listen },
    { words: loop ? 'Play once' : 'Play in a loop', act: () => setLoop(!loop) },
    { words: countIn ? 'Begin without counting in' : 'Count in first', act: () => setCountIn(!countIn) },
    ...(drone === null ? [] : [{ words: 'Silence the drone', act: () => setDrone(null) }]),
    { words: 'Undo', keys: 'Ctrl Z', act: undo },
    { words: 'Redo', keys: 'Ctrl Shift Z', act: redo },
    { words: 'Mark notes', keys: 'Shift ← →', act: toggleMarking },
    ...(selection
      ? [
          { words: 'Carry the marked fingers on', act: carryMarked },
          { words: 'Unmark', act: unmark },
        ]
      : []),
    { words: 'New plan', act: () => void newPlan() },
    { words: lines ? 'Show in one line' : 'Break into lines', act: () => setLines(!lines) },
    { words: 'Larger picture', act: () => zoomBy(1) },
    { words: 'Smaller picture', act: () => zoomBy(-1) },
    ...NAMES_WORDS.map(([names, words]) => ({ words: `Note names: ${words}`, act: () => setNames(names) })),
    ...shifts.map((shift, at) => ({
      words: `Go to shift ${at + 1}, at note ${shift.to + 1}`,
      act: () => moveCursor(shift.to),
    })),
    ...(response?.plans ?? []).flatMap((plan, at) =>
      at === record.chosen
        ? []
        : [
            { words: `Take way ${at + 1}: ${plan.character ?? planWords(plan)}`, act: () => choosePlan(at) },
            { words: `Compare with way ${at + 1}`, act: () => layBeside(at) },
          ],
    ),
    ...students
      .filter(({ id }) => id !== record.studentId)
      .flatMap((student) => [
        { words: `Plan this for ${student.name}`, act: () => setStudent(student) },
        { words: `Give a copy to ${student.name}`, act: () => void givePlan(student) },
      ]),
    ...plans
      .filter(({ id }) => id !== record.id)
      .map((plan) => ({ words: `Open ${planTitle(plan, owner(plan))}`, act: () => void openPlan(plan.id) })),
    { words: 'Go to the Studio', act: () => location.assign('/studio') },
    { words: 'All keys', act: () => location.assign('/keys') },
    { words: 'How to type notes', act: () => location.assign('/notes') },
  ];
}
