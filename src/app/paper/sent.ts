import type { SentPlan } from '../../core';
import { joinKept } from '../../store/backup';
import { fileHead } from '../../store/fileHead';
import type { PlanRecord, StudentRecord } from '../../store/records';
import { additions, listAll } from '../../store/rows';
import { rowIssue } from '../../store/sound';
import { planTitle } from '../../wording/material';
import { issueWords } from '../../wording/issues';
import { say } from '../notices';
import { save } from '../writes';

/** Version that this app reads and writes. */
const VERSION = 1;

/**
 * Joins a plan that somebody sent to what is here; nothing is overwritten.
 * @returns a sentence where it cannot be read; null where it is here now
 */
export async function joinSent(text: string): Promise<string | null> {
  const head = fileHead(text) as Partial<SentPlan>;
  if (typeof head.version !== 'number' || head.version > VERSION)
    return `This plan comes from a later version of Dove Path (${String(head.version)}; this one reads up to ${VERSION}). Update the app, then open it.`;
  const plan = head.plan as PlanRecord | undefined;
  const issue = rowIssue('plans', plan);
  if (issue || !plan)
    return `This plan is damaged: ${issue ? `${issue.path} ${issueWords(issue)}` : 'it is missing.'} Ask for it once more.`;
  const student = head.student as StudentRecord | undefined;
  if (student && rowIssue('students', student))
    return 'The student in this file is damaged. Ask for the plan without them.';
  const brought = {
    plans: [student ? plan : { ...plan, studentId: null }],
    students: student ? [student] : [],
    briefs: [],
  };
  const { added } = joinKept(await listAll(), brought);
  const [put] = added.plans;
  if (!put) {
    say({ kind: 'done', message: `“${planTitle(plan)}” is here already.`, offer: openOffer(plan.id) });
    return null;
  }
  await save(additions(added), () =>
    say({
      kind: 'done',
      message: `“${planTitle(put)}” is here now${added.students.length > 0 ? `, with ${student?.name || 'its student'}` : ''}.`,
      offer: openOffer(put.id),
    }),
  );
  return null;
}

const openOffer = (id: string) => ({ words: 'Open it', act: () => location.assign(`/?plan=${id}`) });
