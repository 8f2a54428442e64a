import { givePlan } from '../../app/opening';
import { useStudents } from '../../app/students';
import { ActMenu } from '../../ui/ActMenu';
import { giveToText } from '../../wording/rooms/benchBrief';

/** Gives the plan on the stand to another student. */
export function GiveTo({ studentId }: { readonly studentId: string | null }) {
  const others = useStudents().filter(({ id }) => id !== studentId);
  if (others.length === 0) return null;
  return (
    <ActMenu
      label={giveToText.giveThisPlanTo}
      words={giveToText.giveTo}
      acts={others.map(({ id, name }) => ({ id, words: name || giveToText.noNameYet }))}
      onAct={(id) => {
        const student = others.find((one) => one.id === id);
        if (student) void givePlan(student);
      }}
    />
  );
}
