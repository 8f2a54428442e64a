import { givePlan } from '../../app/opening';
import { useStudents } from '../../app/students';
import { ActMenu } from '../../ui/ActMenu';
import * as benchBriefText from '../../wording/rooms/benchBrief';

/** Gives the plan on the stand to another student. */
export function GiveTo({ studentId }: { readonly studentId: string | null }) {
  const others = useStudents().filter(({ id }) => id !== studentId);
  if (others.length === 0) return null;
  return (
    <ActMenu
      label={benchBriefText.giveThisPlanTo}
      words={benchBriefText.giveTo}
      acts={others.map(({ id, name }) => ({ id, words: name || benchBriefText.noNameYet }))}
      onAct={(id) => {
        const student = others.find((one) => one.id === id);
        if (student) void givePlan(student);
      }}
    />
  );
}
