import { givePlan } from '../../app/opening';
import { useStudents } from '../../app/students';
import { ActMenu } from '../../ui/ActMenu';

/** Gives the plan on the stand to another student. */
export function GiveTo({ studentId }: { readonly studentId: string | null }) {
  const others = useStudents().filter(({ id }) => id !== studentId);
  if (others.length === 0) return null;
  return (
    <ActMenu
      label="Give this plan to"
      words="Give to …"
      acts={others.map(({ id, name }) => ({ id, words: name || 'no name yet' }))}
      onAct={(id) => {
        const student = others.find((one) => one.id === id);
        if (student) void givePlan(student);
      }}
    />
  );
}
