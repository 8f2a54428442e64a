import { letterSteps, parsePitch, type Plan, type PlanRequest, type ResponseEvent } from '../../core';
import { withLock } from './demands';
import * as briefWordsText from '../../wording/rooms/briefWords';

/** A pattern carried on, with how many groups took it, or why none could. */
export type Carried =
  | { readonly kind: 'carried'; readonly request: PlanRequest; readonly groups: number }
  | { readonly kind: 'trouble'; readonly message: string };

/**
 * Copies the fingers of some notes to the groups after them that go the same way a step or more away (a sequence). Fingers are locked, on the
 * pattern too; strings and positions are left to the plan.
 * @param from @param to the pattern's events, both in it
 */
export function carryOn(
  request: PlanRequest,
  plan: Plan,
  events: readonly ResponseEvent[],
  from: number,
  to: number,
): Carried {
  const length = to - from + 1;
  const shape = shapeOf(events, from, length);
  if (length < 2 || !shape) return trouble(briefWordsText.markTwoOrMore);
  const fingers = Array.from({ length }, (_, k) => plan.steps.find(({ at }) => at === from + k)?.stops[0].finger);
  let carried = request;
  let groups = 0;
  for (let start = from; sameShape(shape, shapeOf(events, start, length)); start += length) {
    fingers.forEach((finger, k) => {
      if (finger !== undefined) carried = withLock(carried, start + k, { finger });
    });
    groups++;
  }
  if (groups < 2) return trouble(briefWordsText.theNotesAfterThese(length));
  return { kind: 'carried', request: carried, groups: groups - 1 };
}

function trouble(message: string): Carried {
  return { kind: 'trouble', message };
}

/** Letter steps from each note to the next, or null where there are not that many single notes. */
function shapeOf(events: readonly ResponseEvent[], from: number, length: number): number[] | null {
  const group = events.slice(from, from + length);
  if (group.length < length) return null;
  const steps = group.map((event) => {
    const pitch = 'pitches' in event && event.pitches.length === 1 ? parsePitch(event.pitches[0]) : null;
    return pitch ? letterSteps(pitch) : NaN;
  });
  if (steps.some(Number.isNaN)) return null;
  return steps.slice(1).map((step, at) => step - steps[at]);
}

function sameShape(a: readonly number[], b: readonly number[] | null): boolean {
  return b !== null && a.every((step, at) => step === b[at]);
}
