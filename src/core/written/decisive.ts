import { resolveSetup } from '../instrument/setup';
import type { Plan, PlanRequest, PlanResponse, Step } from '../vocabulary';

/*
 * The fingers that decide: what an editor prints in a part, one every two to four bars. All others follow from the one before.
 */

/** A plan with what it was asked and answered with. */
interface Answered {
  readonly request: PlanRequest;
  readonly response: Pick<PlanResponse, 'events'>;
  readonly plan: Pick<Plan, 'steps' | 'shifts'>;
}

/**
 * Where a finger decides: at the beginning and after a long rest, where the hand shifts, opens or draws in, at thumb and harmonics, where the little
 * finger takes an open string's note, and where the line goes to a string on which nobody would look for it.
 */
export function decisiveAt({ request, response: { events }, plan: { steps, shifts } }: Answered): ReadonlySet<number> {
  const open = new Map(resolveSetup(request).strings.map(({ name, midi }) => [name, midi]));
  const midis = [...open.values()];
  const openAt = ({ string }: Step['stops'][number]) => open.get(string) ?? 0;
  const arrivals = new Set(shifts.map(({ to }) => to));
  const decides = (step: Step, before: Step | undefined): boolean => {
    const event = events[step.at];
    if (!before || arrivals.has(step.at) || ('phrase' in event && event.phrase === 'rest')) return true;
    const [stop] = step.stops;
    const midi = openAt(stop) + stop.semitones;
    const opens = (step.extended || step.contracted) && !(before.extended || before.contracted);
    const special =
      step.stops.some(({ harmonic }) => harmonic) || (stop.finger === 'T' && before.stops[0].finger !== 'T');
    const crosses = before.stops[0].string !== stop.string;
    const hidden = stop.finger !== 0 && midis.some((other) => other > openAt(stop) && other <= midi);
    return opens || special || (stop.finger === 4 && midis.includes(midi)) || (crosses && hidden);
  };
  return new Set(steps.filter((step, t) => decides(step, steps[t - 1])).map(({ at }) => at));
}

/** Those of them that were not found written or put by hand. */
export function oursAt(answered: Answered): ReadonlySet<number> {
  const theirs = new Set((answered.request.rules?.locks ?? []).map(({ at }) => at));
  return new Set([...decisiveAt(answered)].filter((at) => !theirs.has(at)));
}
