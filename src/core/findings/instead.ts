import type { Plan, PlanRequest, Shift } from '../vocabulary';
import { positionOrder } from '../hand/positions';

/*
 * What would do the job of a shift in its place.
 */

/** The request without a shift to one event. */
export function withoutShift(request: PlanRequest, to: number): PlanRequest {
  const never = [...(request.rules?.never ?? []), { at: to, shift: true as const }];
  return { ...request, rules: { ...request.rules, never } };
}

/**
 * Of a plan that does without a shift those shifts that do its job: new ones, the same way along the neck, between the shifts before and after it that both
 * plans have.
 */
export function shiftsInstead(plan: Plan, other: Plan, shift: Shift): Shift[] {
  const kept = new Set(other.shifts.map(({ to }) => to));
  const known = new Set(plan.shifts.map(({ to }) => to));
  const both = plan.shifts.map(({ to }) => to).filter((to) => kept.has(to));
  const [after, before] = [both.findLast((to) => to < shift.to) ?? -1, both.find((to) => to > shift.to) ?? Infinity];
  return other.shifts.filter(
    (one) => !known.has(one.to) && one.to > after && one.to < before && wayOf(one) === wayOf(shift),
  );
}

/** Up the neck 1, down -1, within a position 0. */
function wayOf({ fromPosition, toPosition }: Shift): number {
  const [from, to] = [positionOrder(fromPosition), positionOrder(toPosition)];
  return from === to ? 0 : to > from ? 1 : -1;
}
