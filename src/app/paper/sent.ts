import type { SentPlan } from '../../core';
import { joinLists } from '../../store/join';
import { fileHead } from '../../store/fileHead';
import type { PlanRecord, StudentRecord } from '../../core';
import { rowIssue } from '../../store/valid';
import { planTitle } from '../../wording/material';
import { issueWords } from '../../wording/issues';
import { sentWords } from '../../wording/files';
import { say } from '../notices';
import { attempt } from '../writes';
import * as paperDeskText from '../../wording/rooms/paperDesk';

/** Version that this app reads and writes. */
const VERSION = 1;

/**
 * Joins a plan that somebody sent to what is here; nothing is overwritten.
 * @returns a sentence where it cannot be read; null where it is here now
 */
export async function joinSent(text: string): Promise<string | null> {
  const head = fileHead(text) as Partial<SentPlan>;
  if (typeof head.version !== 'number' || head.version > VERSION)
    return paperDeskText.thisPlanComesFrom(String(head.version), VERSION);
  const plan = head.plan as PlanRecord | undefined;
  const issue = rowIssue('plans', plan);
  if (issue || !plan)
    return paperDeskText.thisPlanIsDamaged(issue ? `${issue.path} ${issueWords(issue)}` : paperDeskText.itIsMissing);
  const student = head.student as StudentRecord | undefined;
  if (student && rowIssue('students', student)) return paperDeskText.theStudentInThis;
  const joined = await attempt(() =>
    joinLists({ plans: [student ? plan : { ...plan, studentId: null }], students: student ? [student] : [] }),
  );
  const put = joined?.plan;
  if (joined)
    say({
      kind: 'done',
      message: sentWords(
        planTitle(put ?? plan),
        put !== undefined,
        joined.added.students ? (student?.name ?? '') : null,
      ),
      offer: openOffer((put ?? plan).id),
    });
  return null;
}

const openOffer = (id: string) => ({ words: paperDeskText.openIt, act: () => location.assign(`/?plan=${id}`) });
