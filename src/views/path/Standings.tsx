import { Plus } from 'lucide-react';
import { sayHas } from '../../app/path/doing';
import type { StudentRecord } from '../../core';
import type { SkillStanding } from '../../core/path';
import { sentence } from '../../wording/grammar';
import { skillWords } from '../../wording/path';
import * as pathText from '../../wording/rooms/pathViews';

interface Props {
  readonly student: StudentRecord;
  readonly standing: readonly SkillStanding[];
  /** What the goal needs and is not there. */
  readonly missing: readonly string[];
}

const ORDER = ['shaky', 'at-work', 'known'] as const;

/** Where the student stands: shaky, at work, known, each with its evidence; the teacher's word goes before the log. */
export function Standings({ student, standing, missing }: Props) {
  const { instrument } = student.plays;
  const name = (id: string) => sentence(skillWords(id, instrument));
  const unknown = missing.filter((id) => !standing.some((one) => one.id === id));
  return (
    <section aria-labelledby="standing" className="flex flex-col gap-3 print:hidden" data-testid="standing">
      <h2 id="standing" className="font-serif text-xl font-bold">
        {pathText.where}
      </h2>
      {standing.length === 0 && <p>{pathText.nothingKnown}</p>}
      <div className="grid gap-4 lg:grid-cols-3">
        {ORDER.map((how) => {
          const own = standing.filter((one) => one.standing === how);
          return (
            own.length > 0 && (
              <div key={how}>
                <h3 className="font-semibold">{sentence(pathText.standingWords[how])}</h3>
                <ul>
                  {own.map(({ id, said, cleanDays, off, tries }) => (
                    <li key={id} className="flex flex-wrap items-baseline gap-x-3">
                      <span>{name(id)}</span>
                      <span className="text-sm text-faded">
                        {said ? pathText.saidByTeacher : pathText.evidence(cleanDays, off, tries)}
                      </span>
                      <button
                        type="button"
                        className="cursor-pointer text-sm text-dove underline"
                        aria-label={`${how === 'known' ? pathText.notYet : pathText.hasIt}: ${name(id)}`}
                        onClick={() => void sayHas(student, [id], how !== 'known')}
                      >
                        {how === 'known' ? pathText.notYet : pathText.hasIt}
                      </button>
                    </li>
                  ))}
                </ul>
              </div>
            )
          );
        })}
      </div>
      {unknown.length > 0 && (
        <div role="group" aria-labelledby="tick" className="flex flex-wrap items-center gap-2">
          <h3 id="tick" className="w-full font-semibold">
            {pathText.tickWhatIsThere}
          </h3>
          {unknown.map((id) => (
            <button
              key={id}
              type="button"
              className="button flex items-center gap-1 font-normal"
              aria-label={`${pathText.hasIt}: ${name(id)}`}
              onClick={() => void sayHas(student, [id], true)}
            >
              <Plus size={15} aria-hidden /> {name(id)}
            </button>
          ))}
        </div>
      )}
    </section>
  );
}
