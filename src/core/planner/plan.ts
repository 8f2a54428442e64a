import { buildMusic } from '../material/build';
import { plansOf, responseEvent } from './answer';
import { comparePlans } from './compare';
import { charactersOf } from './character';
import { alikeIn } from './wayback';
import { shiftlessSteps, shiftReasons, stepReasons } from './reasons';
import { problemsOf } from './relax';
import type { PlanRequest } from './request';
import type { Plan, PlanResponse, ResponseEvent } from './response';
import { setStage, type Stage } from './scene';
import { differentPaths, type Found, type Wanted } from './search';
import { costsOf, type Costs } from './togo';
import { weave, type Web } from './weave';
import { requestWeights, type Weights } from './weights';

const DEFAULT_ALTERNATIVES = 3;

/** In how many events two plans must differ to count as different ideas, for a number of events. */
export function apartFor(events: number): number {
  return Math.min(3, Math.ceil(events / 6));
}

/**
 * Plans the left hand for one request: the cheapest plans that a teacher would call different, cheapest first, or the problem that leaves
 * none. The request must have passed requestIssues.
 * @param weights other prices than the usual ones, to try how much hangs on them
 */
export function plan(request: PlanRequest, weights: Weights = requestWeights(request)): PlanResponse {
  const music = buildMusic(request.material);
  const events = music.events.map(responseEvent);
  const stage = setStage(request, music, weights);
  const web = weave(stage);
  const costs = web.layers.every((layer) => layer.nodes > 0) ? costsOf(web) : null;
  const paths = costs ? differentPaths(web, wantedOf(stage, web), costs) : [];
  const plans = costs ? explained(stage, web, costs, events, paths) : [];
  return {
    contract: 1,
    events,
    key: music.key,
    plans,
    ...comparison(plans, request.compare),
    problems: paths.length === 0 ? problemsOf(stage, web) : [],
  };
}

function comparison(plans: readonly Plan[], pair: PlanRequest['compare']): Partial<PlanResponse> {
  const [first, second] = (pair ?? []).map((at) => plans[at]);
  return first && second ? { comparison: comparePlans(first, second) } : {};
}

/** How many plans the request wants and how they differ. */
export function wantedOf({ request, music, sounding, scene }: Stage, web: Web): Wanted {
  return {
    count: request.alternatives ?? DEFAULT_ALTERNATIVES,
    apart: apartFor(sounding.length),
    back: music.returns ? { otherWay: scene.weights.otherWayBack, alike: alikeIn(web) } : undefined,
  };
}

/** The plans with what sets each apart and why its elements are there. */
function explained(
  stage: Stage,
  web: Web,
  costs: Costs,
  events: readonly ResponseEvent[],
  paths: readonly Found[],
): Plan[] {
  const plans = plansOf(
    stage,
    web,
    paths.map(({ path }) => path),
  );
  const { explain = 'shifts' } = stage.request;
  if (explain === 'nothing' || plans.length === 0) return plans;
  const characters = charactersOf(plans, events);
  const shiftless = shiftlessSteps(web, costs);
  return plans.map((one, at) => {
    const { path } = paths[at];
    const reasoned = shiftReasons(stage, web, costs, shiftless, path, { ...one, character: characters[at] });
    return explain === 'all' ? stepReasons(stage, web, costs, path, reasoned) : reasoned;
  });
}
