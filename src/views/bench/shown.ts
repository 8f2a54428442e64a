import { useMemo } from 'react';
import { levelOf } from '../../app/brief/words';
import { lastPlanned, type Planned, type Planning } from '../../app/session/state';
import type { StudentRecord, Plan, PlanResponse } from '../../core';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { fingerNamesOf, speechOf, type Speech } from '../../wording/plans';

/** An answer as the Bench shows it. */
export interface Shown {
  readonly planned: Planned;
  readonly response: PlanResponse;
  /** The plan on the stand; null where no fingering fits the brief. */
  readonly plan: Plan | null;
  readonly chosen: number;
  /** True while ways beside the plan are still looked for. */
  readonly more: boolean;
  readonly speech: Speech;
}

/**
 * What came out: `now` for the picture, and `after` it has been painted for the words and lists about it, so that neither
 * the picture nor the next key waits for them. Null where nothing came out yet.
 */
export function useShown(
  planning: Planning,
  chosen: number,
  student: StudentRecord | undefined,
): { readonly now: Shown | null; readonly after: Shown | null } {
  const planned = lastPlanned({ planning });
  const names = student?.noteNames;
  const fingers = fingerNamesOf(student, planned ? levelOf(planned.ask.request, student) : 'middle');
  const more = planning.kind === 'planned' && planning.more === true;
  const speech = useMemo(
    () => planned && speechOf(planned.ask.request.instrument, planned.response, names, fingers),
    [planned, names, fingers],
  );
  const now = useMemo(() => {
    if (!planned || !speech) return null;
    const { response } = planned;
    return { planned, response, plan: response.plans[chosen] ?? null, chosen, more, speech };
  }, [planned, speech, chosen, more]);
  return { now, after: useAfterPaint(now) };
}
