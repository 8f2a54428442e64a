import { buildMusic } from '../material/build';
import { planOf, responseEvent } from './answer';
import { problemsOf } from './relax';
import type { PlanRequest } from './request';
import type { PlanResponse } from './response';
import { setStage } from './scene';
import { differentPaths } from './search';
import { weave } from './weave';

const DEFAULT_ALTERNATIVES = 3;

/** In how many events two plans must differ to count as different ideas, for a number of events. */
export function apartFor(events: number): number {
  return Math.min(3, Math.ceil(events / 6));
}

/**
 * Plans the left hand for one request: the cheapest plans that a teacher would call different, cheapest first, or the problem that leaves
 * none. The request must have passed requestIssues.
 */
export function plan(request: PlanRequest): PlanResponse {
  const music = buildMusic(request.material);
  const events = music.events.map(responseEvent);
  const stage = setStage(request, music);
  const web = weave(stage);
  const paths = web.layers.every((layer) => layer.nodes > 0)
    ? differentPaths(web, request.alternatives ?? DEFAULT_ALTERNATIVES, apartFor(stage.sounding.length))
    : [];
  return {
    contract: 1,
    events,
    key: music.key,
    plans: paths.map(({ path }) => planOf(stage, web, path)),
    problems: paths.length === 0 ? problemsOf(stage, web) : [],
  };
}
