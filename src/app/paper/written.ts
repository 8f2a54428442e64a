import { heldAlike, type Lock, type Plan, type PlanRequest } from '../../core';
import type { Speech } from '../../wording/plans';
import type { Judged } from './paper.worker';

/*
 * A written fingering in a plan: which of it is kept, as locks, bar by bar.
 */

/** A bar in which the written fingering and ours part. */
export interface BarAgainst {
  readonly bar: number;
  readonly events: readonly number[];
  readonly theirs: string;
  readonly ours: string;
  /** What ours is easier by. */
  readonly saved: number;
  /** True where theirs is in force. */
  readonly kept: boolean;
}

const same = (a: Lock, b: Lock) => a.at === b.at && a.finger === b.finger && a.string === b.string;

/** The request without the locks that are what was written. */
export function withoutWritten(request: PlanRequest, written: readonly Lock[]): PlanRequest {
  return putLocks(
    request,
    (request.rules?.locks ?? []).filter((lock) => !written.some((one) => same(one, lock))),
  );
}

function putLocks(request: PlanRequest, locks: readonly Lock[]): PlanRequest {
  const sorted = [...locks].sort((a, b) => a.at - b.at);
  return { ...request, rules: { ...request.rules, locks: sorted.length > 0 ? sorted : undefined } };
}

/** The request with what was written at some events kept, or ours taken there. */
export function withTheirs(
  request: PlanRequest,
  written: readonly Lock[],
  events: readonly number[],
  theirs: boolean,
): PlanRequest {
  const here = new Set(events);
  const others = (request.rules?.locks ?? []).filter(({ at }) => !here.has(at));
  const own = theirs ? written.filter(({ at }) => here.has(at)) : [];
  return putLocks(request, [...others, ...own]);
}

/** Every bar in which the two part, in order. */
export function barsAgainst(
  { plan, best, unplayable }: Judged,
  request: PlanRequest,
  written: readonly Lock[],
  { place }: Speech,
): BarAgainst[] {
  if (!plan || !best) return [];
  const broken = new Set(unplayable.map(({ lock }) => lock.at));
  const locks = request.rules?.locks ?? [];
  const bars = new Map<number, number[]>();
  const parts = new Set<number>();
  plan.steps.forEach((step, t) => {
    const { bar } = place(step.at);
    bars.set(bar, [...(bars.get(bar) ?? []), step.at]);
    if (!heldAlike(step, best.steps[t])) parts.add(bar);
  });
  return [...bars].flatMap(([bar, events]): BarAgainst[] => {
    if (!parts.has(bar)) return [];
    const here = new Set(events);
    const own = written.filter(({ at }) => here.has(at) && !broken.has(at));
    return [
      {
        ...{ bar, events, theirs: fingersOf(plan, here), ours: fingersOf(best, here) },
        saved: costOf(plan, here) - costOf(best, here),
        kept: own.length > 0 && own.every((one) => locks.some((lock) => same(lock, one))),
      },
    ];
  });
}

const stepsIn = ({ steps }: Plan, events: ReadonlySet<number>) => steps.filter(({ at }) => events.has(at));
const fingersOf = (plan: Plan, events: ReadonlySet<number>) =>
  stepsIn(plan, events)
    .map(({ stops }) => stops.map(({ finger }) => finger).join('+'))
    .join(' ');
const costOf = (plan: Plan, events: ReadonlySet<number>) =>
  stepsIn(plan, events).reduce((sum, { cost }) => sum + cost, 0);
