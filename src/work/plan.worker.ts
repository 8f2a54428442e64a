import { expose } from 'comlink';
import {
  changesBetween,
  choicesIn,
  drillForFinding,
  fingeringOf,
  findingsOf,
  hasFingering,
  learnTaste,
  onePositionDrill,
  plan,
  planKept,
  requestWeights,
  resolveSetup,
  withLocksOver,
  writtenPlan,
  type Aim,
  type Chosen,
  type Finding,
  type Findings,
  type Learned,
  type Lock,
  type PlanRequest,
  type PositionDrill,
  type Weights,
} from '../core';
import { forView, type Answer, type Ask } from './ask';

/** The answer given last: what is asked next is mostly about it, and long answers are slow to send to and fro. */
let last: { readonly text: string; readonly answer: Answer } | undefined;
/** Other prices than the usual ones, to try what hangs on them. */
let prices: Partial<Weights> = {};

function answerTo(ask: Ask): Answer {
  const text = JSON.stringify(ask);
  if (last?.text !== text) last = { text, answer: workOut(ask) };
  return last.answer;
}

function workOut(ask: Ask): Answer {
  const { kept } = ask;
  const asked = forView(ask);
  const weights = { ...requestWeights(asked), ...prices };
  if (ask.written && !ask.alone) return withWritten(asked, ask.written, kept, weights);
  if (kept) return { kind: 'planned', ...planKept(asked, kept, weights) };
  const response = plan(asked, weights);
  return { kind: 'planned', response, found: response.plans.length > 0 ? 0 : null, own: false };
}

/** The same with what was found written as one more way. */
function withWritten(request: PlanRequest, written: readonly Lock[], kept: Ask['kept'], weights: Weights): Answer {
  const response = plan(request, weights);
  const [best] = response.plans;
  const own = best && writtenPlan(request, withLocksOver(written, request.rules?.locks ?? []), weights).plan;
  const alike = own ? response.plans.findIndex((one) => hasFingering(one, fingeringOf(own))) : -1;
  const named = own && {
    ...own,
    way: { code: 'as-written' as const },
    changes: changesBetween(own, best, response.events),
  };
  // Where ours is the same, ours it is; a way that is the same is called what it was found as.
  const others = response.plans.filter((_, n) => n === 0 || n !== alike);
  const plans = named && alike !== 0 ? [...others, named] : response.plans;
  const all = { ...response, plans };
  if (!kept) return { kind: 'planned', response: all, found: plans.length > 0 ? 0 : null, own: false };
  const found = plans.findIndex((one) => hasFingering(one, kept));
  if (found >= 0) return { kind: 'planned', response: all, found, own: false };
  return { kind: 'planned', ...planKept(request, kept, weights) };
}

/** One plan of an answer; null where it has no such plan. */
function chosenOf(ask: Ask, chosen: number) {
  const answer = answerTo(ask);
  const one = answer.kind === 'planned' ? answer.response.plans[chosen] : undefined;
  return answer.kind === 'planned' && one ? { response: answer.response, plan: one } : null;
}

/** What one plan of an answer means for its student. */
function findings(ask: Ask, chosen: number, aim: Aim): Findings | null {
  const one = chosenOf(ask, chosen);
  return one && findingsOf(ask.request, one.response, one.plan, aim);
}

/** The drill for something found in a plan. */
function findingDrill(ask: Ask, chosen: number, finding: Finding): PlanRequest | null {
  const one = chosenOf(ask, chosen);
  const { request } = ask;
  return one && drillForFinding(request, one.response, one.plan, resolveSetup(request), finding);
}

/** A drill in one position; null where the position has no octave of the key. */
function positionDrill(request: PlanRequest, asked: PositionDrill): PlanRequest | null {
  return onePositionDrill(request, resolveSetup(request), asked);
}

/** What a teacher's choices have in common; null where they say nothing yet. */
function learn(chosen: readonly Chosen[]): Learned | null {
  return learnTaste(chosen.flatMap(choicesIn));
}

/** The weightiest findings alone, and how many there are. */
function weightiest(ask: Ask, chosen: number, aim: Aim, most: number): Weightiest {
  const ranked = findings(ask, chosen, aim)?.ranked ?? [];
  return { first: ranked.slice(0, most), count: ranked.length };
}

export interface Weightiest {
  readonly first: readonly Finding[];
  readonly count: number;
}

/** As JSON text: for a thousand notes the page reads that much sooner than a copied object. */
function answerText(ask: Ask): string {
  const text = JSON.stringify(answerTo(ask));
  practise(ask.request);
  return text;
}

/** Works out what may be asked next, and keeps it. */
function expect(ask: Ask) {
  answerTo(ask);
}

/** Keys that are planned once for practice: code that has run a few times runs several times as fast. */
const PRACTICE = ['G', 'Eb', 'D', 'Bb', 'F#', 'Ab'];
/** The page has settled after so long; between two of them a question that comes is heard. In ms. */
const SETTLED = 1000;
const PAUSE = 60;
let practised = false;

/** After the first answer, while nobody asks: one octave of a few keys, so that the first change of key is as quick as the tenth. */
function practise({ instrument, material }: PlanRequest) {
  if (practised || material.type !== 'scale') return;
  practised = true;
  PRACTICE.forEach((key, n) => {
    const tonic = material.tonic.replace(/^\D+/, key);
    const octave: PlanRequest = { instrument, material: { ...material, tonic, octaves: 1 }, alternatives: 1 };
    setTimeout(() => plan(octave), SETTLED + n * PAUSE);
  });
}

const setPrices = (other: Partial<Weights>) => {
  prices = other;
};

/** What the worker offers to the page. */
const planner = { answerText, expect, findings, weightiest, findingDrill, positionDrill, learn, setPrices };
export type PlannerInWorker = typeof planner;

expose(planner);
