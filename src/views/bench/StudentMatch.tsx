import { madeForNow } from '../../app/brief/student';
import type { PlanRecord } from '../../core';
import { setStudent } from '../../app/edits';
import { useStudent } from '../../app/students';
import * as benchBriefText from '../../wording/rooms/benchBrief';

/** Said where the plan's instrument or hand is not what its student has now: after a new measuring, say. */
export function StudentMatch({ record }: { readonly record: PlanRecord }) {
  const student = useStudent(record.studentId);
  if (!student || madeForNow(record, student)) return null;
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-ochre px-3" data-testid="student-match">
      {benchBriefText.thisBriefHasAnother(student.name)}
      <button type="button" className="button" onClick={() => setStudent(student)}>
        {benchBriefText.takeS(student.name)}
      </button>
    </p>
  );
}
