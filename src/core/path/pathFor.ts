import { requestIssues } from '../planner/issues';
import { resolveSetup, setupIssues } from '../instrument/setup';
import type { Issue } from '../issue';
import { parsePitch } from '../pitch/pitch';
import type { PathAsk, PathGoal, PlanRequest } from '../vocabulary';
import { candidatesFor } from './candidates';
import { goalOf, type Goal, type Unreachable } from './goal';
import { compareOptions, type Option, type PathProblem } from './options';
import { rangeOf } from './range';
import { bestRow } from './bestRow';
import { plannedStep, type PlannedStep } from './steps';

/*
 * What comes next: from what is known, and the goal, the best row of steps.
 */

/** One step of a path. */
export interface PathStep {
  readonly request: PlanRequest;
  readonly key: string;
  /** What it brings that was not there. */
  readonly new: readonly string[];
  /** What is shaky or at work and comes round again. */
  readonly review: readonly string[];
  /** What later steps bring with the help of what is new here. */
  readonly leads: readonly string[];
  /** True of a plan that the goal asks for itself: no other can stand in its place. */
  readonly isGoal: boolean;
}

export interface Path {
  /** What the goal needs and the student does not know. */
  readonly missing: readonly string[];
  readonly steps: readonly PathStep[];
  /** What could come first: the first of the row, and others that bring one thing which the row brings. */
  readonly next: readonly PathStep[];
  /** What is still missing after the last step that is told. */
  readonly rest: readonly string[];
  readonly provedBest: boolean;
  readonly worseByAtMost: number;
  /** False where no row brings positions in the order that was asked for. */
  readonly inOrder: boolean;
  readonly unreachable: readonly Unreachable[];
}

/** Steps that are told where nothing else is asked for. */
const MOST_STEPS = 20;
/** Steps that are offered to come first. */
const MOST_NEXT = 5;

/** What cannot be understood in what is asked: its plans, its goal, the student. */
export function pathIssues({ student, knownPlans = [], goal }: PathAsk): Issue[] {
  const own = setupIssues(student);
  if (own.length > 0) return under('/student', own);
  // The rules and the hand are read with a note that every instrument has: its lowest string.
  const pitches = [resolveSetup(student).strings[0].name];
  const one: PlanRequest = { ...student, material: { type: 'notes', notes: [{ pitches }] } };
  return [
    ...under('/student', requestIssues(one)),
    ...knownPlans.flatMap((request, at) => under(`/knownPlans/${at}`, requestIssues(request))),
    ...goalIssues('/goal', goal),
  ];
}

const under = (path: string, issues: readonly Issue[]) =>
  issues.map((issue) => ({ ...issue, path: `${path}${issue.path}` }));

function goalIssues(path: string, goal: PathGoal): Issue[] {
  if ('all' in goal) return goal.all.flatMap((one, at) => goalIssues(`${path}/all/${at}`, one));
  if ('material' in goal) return under(path, requestIssues(goal));
  if ('position' in goal) return [];
  return goal.keys.flatMap((key, at): Issue[] =>
    parsePitch(`${key.split(' ')[0]}4`) ? [] : [{ path: `${path}/keys/${at}`, code: 'no-key', data: { name: key } }],
  );
}

/** The goal of a question, planned. */
export const goalAsked = ({ student, goal }: PathAsk): Goal => goalOf(student, goal);

/** The requests that may be steps of a path, the goal's parts among them. */
export function stepsToPlan({ student }: PathAsk, goal: Goal): PlanRequest[] {
  return [...goal.parts, ...candidatesFor(student, rangeOf(student, goal.wanted))];
}

/** What the student knows: what is said to be known, what is shaky (it was known), and the skills of the plans that are known. */
export function knownIn({ known = [], shaky = [], knownPlans = [] }: PathAsk): Set<string> {
  return new Set([...known, ...shaky, ...knownPlans.flatMap((request) => plannedStep(request)?.skills ?? [])]);
}

/** The whole of it in one go: planned here, one request after the other. */
export function pathFor(ask: PathAsk): Path {
  const goal = goalAsked(ask);
  const isThere = goal.stations.length + goal.others.length > 0;
  const pool = (isThere ? stepsToPlan(ask, goal) : []).flatMap((request) => plannedStep(request) ?? []);
  return pathOver(ask, goal, pool, knownIn(ask));
}

/**
 * The best path over steps that are planned.
 * @param pool steps that may be taken besides those of the goal
 * @param known what the student knows
 * @param skipped requests, as text, that are not to be steps; what the goal asks for itself is not skipped
 */
export function pathOver(
  ask: PathAsk,
  goal: Goal,
  pool: readonly PlannedStep[],
  known: ReadonlySet<string>,
  skipped: ReadonlySet<string> = new Set(),
): Path {
  const { atWork = [], shaky = [], most = MOST_STEPS } = ask;
  const again = { shaky: new Set(shaky), atWork: new Set(atWork) };
  const needed = new Set([...goal.stations, ...goal.others].flatMap(({ skills }) => skills));
  const missing = [...needed].filter((skill) => !known.has(skill));
  const nothing = { missing, steps: [], next: [], rest: missing, provedBest: true, worseByAtMost: 0, inOrder: true };
  if (missing.length === 0) return { ...nothing, unreachable: goal.unreachable };
  const free = [...goal.others, ...pool].filter(({ request }) => !skipped.has(JSON.stringify(request)));
  const steps = [...goal.stations, ...free];
  const row = bestRow(problemOf(ask, goal, steps, known, again));
  if (!row) return { ...nothing, unreachable: goal.unreachable };
  const told = row.steps.slice(0, most);
  const telling = { known, again, goal };
  const path = tell(
    told.map((at) => steps[at]),
    telling,
  );
  const brought = new Set(path.flatMap((step) => step.new));
  return {
    missing,
    steps: path,
    next: nextSteps(steps, row.steps, needed, telling),
    rest: missing.filter((skill) => !brought.has(skill)),
    provedBest: row.provedBest,
    worseByAtMost: row.worseByAtMost,
    inOrder: row.inOrder,
    unreachable: goal.unreachable,
  };
}

interface Again {
  readonly shaky: ReadonlySet<string>;
  readonly atWork: ReadonlySet<string>;
}

function problemOf(
  { order = [] }: PathAsk,
  goal: Goal,
  steps: readonly PlannedStep[],
  known: ReadonlySet<string>,
  again: Again,
): PathProblem {
  const unknown = [...new Set([...goal.others, ...steps].flatMap(({ skills }) => skills))]
    .filter((skill) => !known.has(skill))
    .sort();
  const numbers = new Map(unknown.map((skill, at) => [skill, at]));
  const needed = new Uint8Array(unknown.length);
  for (const { skills } of [...goal.stations, ...goal.others])
    for (const skill of skills) {
      const at = numbers.get(skill);
      if (at !== undefined) needed[at] = 1;
    }
  const options = steps.map((step) => optionOf(step, numbers, again));
  // A station that is known already is passed; the last ends the row all the same.
  const stations = [...goal.stations.keys()].filter(
    (at) => at === goal.stations.length - 1 || options[at].brings.length > 0,
  );
  return { size: unknown.length, needed, rank: ranksOf(unknown, order), options, stations };
}

function optionOf(
  { request, skills, ease, key }: PlannedStep,
  numbers: ReadonlyMap<string, number>,
  again: Again,
): Option {
  const brings = skills.flatMap((skill) => numbers.get(skill) ?? []).sort((a, b) => a - b);
  return {
    brings,
    shaky: skills.filter((skill) => again.shaky.has(skill)).length,
    atWork: skills.filter((skill) => again.atWork.has(skill)).length,
    cost: ease,
    key,
    text: JSON.stringify(request),
  };
}

/** The places of skills in the order of positions: "opened" is each way the hand opens. */
function ranksOf(skills: readonly string[], order: NonNullable<PathAsk['order']>): Int16Array {
  const places = order.map((one) => (one === 'opened' ? 'extension' : one === 'thumb' ? 'thumb' : `position:${one}`));
  return Int16Array.from(skills, (skill) => places.indexOf(skill.startsWith('extension') ? 'extension' : skill));
}

/** What a step is told by. */
interface Telling {
  readonly known: ReadonlySet<string>;
  readonly again: Again;
  readonly goal: Goal;
}

/** Steps with what each brings, one after the other. */
function tell(steps: readonly PlannedStep[], { known, again, goal }: Telling): PathStep[] {
  const had = new Set(known);
  const fresh = steps.map(({ skills }) => {
    const own = skills.filter((skill) => !had.has(skill));
    for (const skill of own) had.add(skill);
    return own;
  });
  return steps.map((step, at) => {
    const { request, skills, key } = step;
    return {
      request,
      key,
      isGoal: goal.stations.includes(step),
      new: fresh[at],
      review: skills.filter(
        (skill) => (again.shaky.has(skill) || again.atWork.has(skill)) && !fresh[at].includes(skill),
      ),
      leads: [
        ...new Set(
          steps.flatMap((later, n) => (n > at && later.skills.some((one) => fresh[at].includes(one)) ? fresh[n] : [])),
        ),
      ],
    };
  });
}

/** The first step of the row, and others that bring one thing: what the row brings first, then what the goal needs, then anything. */
function nextSteps(
  steps: readonly PlannedStep[],
  row: readonly number[],
  needed: ReadonlySet<string>,
  telling: Telling,
): PathStep[] {
  const { known, again } = telling;
  const following = row.map((at) => steps[at]);
  const [first] = tell(following, telling);
  const wanted = new Set(following.flatMap(({ skills }) => skills));
  const best = new Map<string, { readonly step: PlannedStep; readonly option: Option }>();
  for (const step of steps) {
    const fresh = step.skills.filter((skill) => !known.has(skill));
    if (fresh.length !== 1) continue;
    const option = optionOf(step, new Map(), again);
    const other = best.get(fresh[0]);
    if (!other || compareOptions(option, other.option) < 0) best.set(fresh[0], { step, option });
  }
  const worth = (skill: string) => (needed.has(skill) ? 2 : wanted.has(skill) ? 1 : 0);
  const others = [...best]
    .filter(([skill]) => !first.new.includes(skill))
    .sort(([a, one], [b, other]) => worth(b) - worth(a) || compareOptions(one.option, other.option))
    .slice(0, MOST_NEXT - 1);
  return [first, ...others.map(([, { step }]) => tell([step, ...following], telling)[0])];
}
