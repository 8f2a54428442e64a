import { editPath } from '../../app/path/doing';
import { ordersFor } from '../../app/path/asking';
import type { Overview } from '../../app/practice/overview';
import { positionsOf, resolveSetup, type PositionNumber, type StudentGoal, type StudentRecord } from '../../core';
import { Choose } from '../../ui/Choose';
import { planTitle } from '../../wording/material';
import { positionName } from '../../wording/places';
import * as pathText from '../../wording/rooms/pathViews';

interface Props {
  readonly student: StudentRecord;
  readonly overview: Overview;
  /** The goal that stands, also where nobody chose it. */
  readonly goal: StudentGoal | undefined;
}

const OCTAVES = [
  [1, pathText.oneOctave],
  [2, pathText.twoOctaves],
  [3, pathText.threeOctaves],
] as const;

/** Where the path leads, and in which order positions come. */
export function GoalChoice({ student, overview, goal }: Props) {
  const { plays, path } = student;
  const { instrument } = plays;
  const plans = overview.plans.filter(({ studentId, drillFor }) => studentId === student.id && !drillFor);
  const goals: readonly (readonly [StudentGoal, string])[] = [
    ...OCTAVES.map(([octaves, words]) => [{ kind: 'scales', octaves } as const, pathText.goalScales(words)] as const),
    ...positionsOf(resolveSetup(plays), plays.school).map(
      (position) => [{ kind: 'position', position } as const, pathText.goalPosition(position, instrument)] as const,
    ),
    ...plans.map(
      (plan) => [{ kind: 'plan', planId: plan.id } as const, `${pathText.ownPlans}${planTitle(plan)}`] as const,
    ),
  ];
  const taught = ordersFor(student);
  const own = path?.order;
  // One that is not taught any more stays where it was chosen.
  const isTaught = !own || taught.some((one) => JSON.stringify(one) === JSON.stringify(own));
  const orders = isTaught ? taught : [...taught, own];
  const named = (one: PositionNumber | 'opened') =>
    one === 'opened' ? pathText.opened : positionName(one, instrument);
  return (
    <>
      <span className="-mr-2 self-center">{pathText.goal}</span>
      <Choose
        label={pathText.goal}
        value={JSON.stringify(goal ?? null)}
        choices={goals.map(([one, words]) => [JSON.stringify(one), words] as const)}
        onChoose={(text) => void editPath(student, () => ({ goal: JSON.parse(text) as StudentGoal }))}
      />
      <span className="-mr-2 self-center">{pathText.order}</span>
      <Choose
        label={pathText.order}
        value={JSON.stringify(path?.order ?? null)}
        choices={[
          ['null', pathText.asItFallsOut],
          ...orders.map((one) => [JSON.stringify(one), pathText.orderWords(one.map(named))] as const),
        ]}
        onChoose={(text) =>
          void editPath(student, () => ({
            order: text === 'null' ? undefined : (JSON.parse(text) as (typeof orders)[number]),
          }))
        }
      />
    </>
  );
}
