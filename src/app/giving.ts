import { withPiece, type Instead, type PlanRecord, type StudentRecord } from '../core';
import { differencesBetween } from '../wording/differences';
import { insteadWords, problemWords } from '../wording/problems';
import { speechOf } from '../wording/plans';
import { planInWorker } from '../work/planner';
import { givenTo } from './brief/student';
import { chosenOf, type Chosen, type Planned } from './chosenWay';
import { inOwnTaste } from './taste';
import { save } from './writes';

/*
 * A plan given to several students: each copy is planned for its hand and instrument before it is given, and what came of it is told by student.
 */

/** Another brief that this student could play. */
interface Offer {
  readonly words: string;
  readonly piece: Instead;
}

export type Gift = { readonly student: StudentRecord } & (
  | { readonly kind: 'given'; readonly differences: readonly string[] }
  | { readonly kind: 'unplayable'; readonly message: string; readonly offers: readonly Offer[] }
  /** The planner or the storage failed; the storage’s own notice tells why. */
  | { readonly kind: 'failed' }
);

/** Gives a plan to students, to each as they can play it; to one who cannot nothing is given. */
export async function giveToEach(
  plan: PlanRecord,
  students: readonly StudentRecord[],
  planned: Planned = planInWorker,
): Promise<Gift[]> {
  const source = await chosenOf(plan, planned).catch(() => null);
  const gifts: Gift[] = [];
  // One after the other: the planner leaves a question for the next one.
  for (const student of students) gifts.push(await giveTo(plan, student, source, planned));
  return gifts;
}

/** Gives a student the plan with a piece of its brief changed. */
export async function giveInstead(
  plan: PlanRecord,
  student: StudentRecord,
  { piece }: Offer,
  planned: Planned = planInWorker,
): Promise<Gift> {
  return giveTo(plan, student, await chosenOf(plan, planned).catch(() => null), planned, piece);
}

async function giveTo(
  plan: PlanRecord,
  student: StudentRecord,
  source: Chosen | null,
  planned: Planned,
  piece?: Instead,
): Promise<Gift> {
  const turned = inOwnTaste(givenTo(plan, student, Date.now()));
  const copy = piece ? { ...turned, request: withPiece(turned.request, piece) } : turned;
  const { request } = copy;
  const answer = await planned({ request }).catch(() => null);
  if (answer?.kind !== 'planned') return { student, kind: 'failed' };
  const { response } = answer;
  const [best] = response.plans;
  if (!best) {
    const speech = speechOf(request.instrument, response, student.noteNames);
    const [problem] = response.problems;
    const offers = (problem.instead ?? []).map((one) => ({ piece: one, words: insteadWords(one, request, speech) }));
    return { student, kind: 'unplayable', message: problemWords(problem, request, speech), offers };
  }
  if (!(await save([{ kind: 'added', table: 'plans', record: copy }]))) return { student, kind: 'failed' };
  const differences = source
    ? differencesBetween({ request: plan.request, ...source }, { request, response, plan: best })
    : [];
  return { student, kind: 'given', differences };
}
