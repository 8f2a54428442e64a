import type { Context } from './context';
import type { Over } from './over';

/*
 * What is in force at an event: a piece has stretches that are planned by rules, prices or hands of their own, parts between long rests and places that
 * the teacher marked. What lies between two of them is priced by the whole request.
 */

/** The context in force at a sounding event. */
export function contextAt(context: Context, t: number): Context {
  const { stretches } = context;
  return stretches ? stretches.all[stretches.of[t]].context : context;
}

/** The context by which the step to a sounding event is priced. */
export function contextTo(context: Context, t: number): Context {
  const { stretches } = context;
  return stretches ? stretches.all[stretches.stepTo[t]].context : context;
}

/** What a place says of a sounding event. */
export function overOf({ stretches }: Context, t: number): Over {
  return stretches ? stretches.all[stretches.of[t]].over : {};
}

/** The context with each of its stretches changed alike. */
export function eachStretch(context: Context, change: (own: Context, over: Over) => Context): Context {
  const { stretches } = context;
  const whole = change(context, {});
  if (!stretches) return whole;
  const all = stretches.all.map(({ context: own, over }) => ({ over, context: change(own, over) }));
  return { ...whole, stretches: { ...stretches, all } };
}
