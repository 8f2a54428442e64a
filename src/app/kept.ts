import { listPlans } from '../store/read';
import { commit } from '../store/write';
import { choiceOf } from '../store/records';
import { planInWorker } from '../work/planner';

/*
 * Version 2 of the store kept the number of a plan among the answers. With the planner as it stands now each number is turned into the fingering it
 * stands for, once, when this version first opens the studio.
 */

/** The page is left alone first, in ms: of thousands of plans the reading alone takes a second. */
const IN_PEACE = 5000;

/** Turns every number that is left into its fingering, once the page has stood for a while. */
export function keepFingeringsLater() {
  setTimeout(() => void keepFingerings().catch(() => undefined), IN_PEACE);
}

/** Turns every number that is left into its fingering; what cannot be planned stays as it is. */
async function keepFingerings(): Promise<void> {
  const plans = (await listPlans()).filter(({ choice }) => choice.kind === 'number');
  for (const { id, request, choice } of plans) {
    if (choice.kind !== 'number') continue;
    const answer = await planInWorker({ request });
    if (answer.kind === 'refused' || answer.response.plans.length === 0) continue;
    const number = Math.min(choice.number, answer.response.plans.length - 1);
    const to = { choice: choiceOf(answer.response.plans[number], number) };
    // Where the plan was changed meanwhile, that change has settled it.
    await commit([{ kind: 'updated', table: 'plans', id, from: { choice }, to }]);
  }
}
