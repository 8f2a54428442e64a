import { givePlan } from '../../app/opening';
import { useStudents } from '../../app/students';

/** Gives the plan on the stand to another student. */
export function GiveTo({ studentId }: { readonly studentId: string | null }) {
  const others = useStudents().filter(({ id }) => id !== studentId);
  if (others.length === 0) return null;
  return (
    <select
      aria-label="Give this plan to"
      className="min-h-9 cursor-pointer rounded-md border border-dove bg-sheet px-2 text-dove"
      value=""
      onChange={(event) => {
        const student = others.find(({ id }) => id === event.target.value);
        if (student) void givePlan(student);
      }}
    >
      <option value="">Give to …</option>
      {others.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
