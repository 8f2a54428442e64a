import type { SoundingEvent } from '../../material/events';
import type { Candidate, Context, Touch } from '../cost';
import { candidatesFor, comesBackAlike, type HoldTrellis, type Path } from '../graph';
import type { Reason, Counted } from '../../vocabulary';
import type { Passes } from '../search';
import type { Detour } from './detours';
import { accountOf, lossOf, type Worse } from './tradeoff';

/*
 * What every reason is found in, and what a way round something in a plan loses against it.
 */

/** A plan with what it was found in. */
export interface Explained {
  readonly context: Context;
  readonly trellis: HoldTrellis;
  readonly costs: Passes;
  readonly path: Path;
}

export function touchAt({ layers }: HoldTrellis, path: Path, t: number): Touch {
  return layers[t].touchList[layers[t].touchOf[path[t]]];
}

/** What is lost by a way round, with the code of the first thing and the price; null where nothing is. */
export function lossBy(
  own: Explained,
  other: Detour,
  comesBack: boolean,
  leave: readonly Counted[] = [],
): { readonly found: Pick<Reason, 'code' | 'loss'>; readonly worse: Worse } | null {
  const { context, trellis, path } = own;
  const mine = accountOf(context, trellis, path, other.first, other.last, comesBack);
  const otherBack = comesBackAlike(context, trellis, other.path);
  const theirs = accountOf(context, trellis, other.path, other.first, other.last, otherBack);
  const worse = lossOf(mine, theirs, leave);
  const loss = theirs.cost - mine.cost;
  // What costs less argues for another plan, whatever it takes more of.
  if (!worse || loss < 0) return null;
  return { found: { code: worse.worse[0]?.what ?? worse.felt ?? '', loss }, worse };
}

/** How much more a way round pays for changes of colour. */
export function colourLost({ context, trellis, path: own }: Explained, { path, first, last }: Detour): number {
  const colour = (one: Path) => accountOf(context, trellis, one, first, last, true).terms.get('colour') ?? 0;
  return colour(path) - colour(own);
}

export function lossOfCost(own: Explained, { path, first, last }: Detour, comesBack: boolean): number {
  const { context, trellis } = own;
  const back = comesBackAlike(context, trellis, path);
  return (
    accountOf(context, trellis, path, first, last, back).cost -
    accountOf(context, trellis, own.path, first, last, comesBack).cost
  );
}

/** The holds of an event that the rules take away, and those they leave. */
export function withoutRules(context: Context, event: SoundingEvent): Candidate[] {
  if (!context.request.rules) return [];
  return candidatesFor({ ...context, request: { ...context.request, rules: {} } }, event, []);
}
