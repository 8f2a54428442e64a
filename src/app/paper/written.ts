import { heldAlike, type Lock, type Plan, type PlanRequest } from '../../core';
import type { Speech } from '../../wording/plans';
import { feltWords } from '../../wording/written';
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
  /** What ours buys and pays, in what a player feels. */
  readonly felt: string;
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

/**
 * The request with ours in some of the bars that part, and what was written in all others; what nobody can play of it is never asked for.
 * @param bars every bar that parts, with what is wanted there
 */
export function withTheirs(
  request: PlanRequest,
  written: readonly Lock[],
  { best, unplayable }: Pick<Judged, 'best' | 'unplayable'>,
  bars: readonly { readonly events: readonly number[]; readonly ours: boolean }[],
): PlanRequest {
  const settled = new Set(bars.flatMap(({ events }) => events));
  const ours = new Set(bars.flatMap((bar) => (bar.ours ? bar.events : [])));
  const broken = new Set(unplayable.map(({ lock }) => lock.at));
  const own = (withoutWritten(request, written).rules?.locks ?? []).filter(({ at }) => !settled.has(at));
  const asked = new Set(own.map(({ at }) => at));
  return putLocks(request, [
    ...own,
    ...written.filter(({ at }) => !ours.has(at) && !asked.has(at) && !broken.has(at)),
    ...(best?.steps ?? [])
      .filter(({ at }) => ours.has(at))
      .flatMap(({ at, stops }) => stops.map(({ finger, string }) => ({ at, finger, string }))),
  ]);
}

/** Every bar in which the two part, in order. @param stand the plan on the stand */
export function barsAgainst({ plan, best }: Judged, stand: Plan | undefined, speech: Speech): BarAgainst[] {
  if (!plan || !best) return [];
  const bars = new Map<number, number[]>();
  const parts = new Set<number>();
  const others = new Set<number>();
  plan.steps.forEach((step, t) => {
    const { bar } = speech.place(step.at);
    bars.set(bar, [...(bars.get(bar) ?? []), step.at]);
    if (!heldAlike(step, best.steps[t])) parts.add(bar);
    const now = stand?.steps[t];
    if (!now || !sameFingers(step, now)) others.add(bar);
  });
  return [...bars].flatMap(([bar, events]): BarAgainst[] => {
    if (!parts.has(bar)) return [];
    const here = new Set(events);
    return [
      {
        bar,
        events,
        theirs: fingersOf(plan, here),
        ours: fingersOf(best, here),
        felt: feltWords(best, plan, events[0], events[events.length - 1], speech),
        kept: !others.has(bar),
      },
    ];
  });
}

/** Positions may be told otherwise where the fingers are the same. */
const sameFingers = (a: Plan['steps'][number], b: Plan['steps'][number]) =>
  a.stops.every(({ finger, string }, n) => finger === b.stops[n]?.finger && string === b.stops[n]?.string);

const stepsIn = ({ steps }: Plan, events: ReadonlySet<number>) => steps.filter(({ at }) => events.has(at));
const fingersOf = (plan: Plan, events: ReadonlySet<number>) =>
  stepsIn(plan, events)
    .map(({ stops }) => stops.map(({ finger }) => finger).join('+'))
    .join(' ');
