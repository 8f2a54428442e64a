import { expose } from 'comlink';
import { plan, planKept, type KeptFingering, type PathAsk, type PlanRequest } from '../core';
import {
  goalAsked,
  knownIn,
  pathOver,
  plannedStep,
  skillsOf,
  stepsToPlan,
  type Path,
  type PlannedStep,
  type Skill,
} from '../core/path';
import { keptSteps, keepSteps } from '../store/madeSteps';

/** A plan whose skills are asked for, in the fingering it is practised with. */
export interface PractisedPlan {
  readonly planId: string;
  readonly request: PlanRequest;
  readonly kept?: KeptFingering;
}

/** Steps that were planned already, by their request; null where it cannot be played. */
const planned = new Map<string, PlannedStep | null>();
const read = new Set<string>();

const skillsFound = new Map<string, readonly Skill[]>();

/** Told from time to time: how many steps are planned, of how many. */
type Tell = (done: number, all: number) => void;
const TOLD_EVERY = 40;

/** Plans of one player: what they have in common. */
function playerText({ student }: PathAsk): string {
  return JSON.stringify(student);
}

/** The steps that can be played, planned where they were not yet. */
async function poolOf(ask: PathAsk, requests: readonly PlanRequest[], tell: Tell): Promise<PlannedStep[]> {
  const player = playerText(ask);
  if (!read.has(player)) {
    read.add(player);
    for (const [text, step] of await keptSteps(player)) planned.set(text, step);
  }
  const texts = requests.map((request) => JSON.stringify(request));
  const fresh = new Map<string, PlannedStep | null>();
  for (const [at, text] of texts.entries()) {
    if (planned.has(text)) continue;
    const step = plannedStep(requests[at]);
    planned.set(text, step);
    fresh.set(text, step);
    if (fresh.size % TOLD_EVERY === 0) {
      tell(at, texts.length);
      // A newer question may be told meanwhile.
      await new Promise((done) => setTimeout(done));
    }
  }
  if (fresh.size > 0) await keepSteps(player, fresh);
  return texts.flatMap((text) => planned.get(text) ?? []);
}

/** What looks for paths in the background. */
const pathfinder = {
  /** @param skipped requests, as text, that are not to be steps */
  async path(ask: PathAsk, skipped: readonly string[], tell: Tell): Promise<Path> {
    const goal = goalAsked(ask);
    if (goal.stations.length + goal.others.length === 0) return pathOver(ask, goal, [], knownIn(ask));
    const pool = await poolOf(ask, stepsToPlan(ask, goal), tell);
    return pathOver(ask, goal, pool, knownIn(ask), new Set(skipped));
  },
  /** What each of some plans asks, in the fingering it is practised with. */
  skills(plans: readonly PractisedPlan[]): (readonly [planId: string, skills: readonly Skill[]])[] {
    return plans.map(({ planId, request, kept }) => {
      const text = JSON.stringify([request, kept]);
      const known = skillsFound.get(text);
      if (known) return [planId, known];
      const asked = { ...request, alternatives: 1, explain: 'nothing' } as const;
      const answer = kept ? planKept(asked, kept) : { response: plan(asked), found: 0 };
      const own = answer.response.plans[answer.found ?? 0];
      const skills = own ? skillsOf(asked, answer.response, own) : [];
      skillsFound.set(text, skills);
      return [planId, skills];
    });
  },
};

expose(pathfinder);
export type Pathfinder = typeof pathfinder;
