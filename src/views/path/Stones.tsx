import { intoNextWeek, openStep, sayHas, skipStep } from '../../app/path/doing';
import type { Overview } from '../../app/practice/overview';
import type { StudentRecord } from '../../core';
import type { PathStep } from '../../core/path';
import { sentence } from '../../wording/grammar';
import { skillsWords, skillWords, stepName } from '../../wording/path';
import * as pathText from '../../wording/rooms/pathViews';
import { SkillPicture } from './SkillPicture';

interface Props {
  readonly heading: string;
  readonly steps: readonly PathStep[];
  readonly student: StudentRecord;
  readonly overview: Overview;
  readonly numbered?: boolean;
}

/** Of what comes round again and what it leads to so many are said. */
const MOST_SAID = 2;

/** Steps as stones from left to right, each with its one new thing. */
export function Stones({ heading, steps, student, overview, numbered = false }: Props) {
  if (steps.length === 0) return null;
  return (
    <section aria-label={heading}>
      <h2 className="font-serif text-xl font-bold">{heading}</h2>
      <ol className="mt-2 flex flex-wrap items-start gap-3" data-testid={numbered ? 'stones' : undefined}>
        {steps.map((step, at) => (
          <Stone
            key={JSON.stringify(step.request)}
            number={numbered ? at + 1 : undefined}
            {...{ step, student, overview }}
          />
        ))}
      </ol>
    </section>
  );
}

interface StoneProps extends Pick<Props, 'student' | 'overview'> {
  readonly step: PathStep;
  readonly number: number | undefined;
}

function Stone({ step, number, student, overview }: StoneProps) {
  const { request, new: fresh, review, leads, isGoal } = step;
  const { instrument } = request;
  const name = stepName(request);
  const act = 'cursor-pointer text-dove underline';
  return (
    <li className="flex w-64 flex-col gap-1 rounded-2xl border-2 border-rule bg-sheet px-4 py-3 break-inside-avoid">
      {number !== undefined && <span className="text-sm text-faded">{number}</span>}
      {fresh.map((id) => (
        <div key={id}>
          <SkillPicture id={id} instrument={instrument} />
          <p className="text-lg leading-tight font-semibold">{sentence(skillWords(id, instrument))}</p>
        </div>
      ))}
      {fresh.length === 0 && <p className="text-lg font-semibold">{sentence(pathText.atGoal)}</p>}
      {fresh.length > 1 && <p className="text-sm text-madder">{pathText.twoAtOnce}</p>}
      <p>{name}</p>
      {review.length > 0 && (
        <p className="text-sm text-sage">
          {sentence(pathText.comesAgain)}: {skillsWords(review.slice(0, MOST_SAID), instrument)}
        </p>
      )}
      {leads.length > 0 && <p className="text-sm text-faded">→ {skillsWords(leads.slice(0, MOST_SAID), instrument)}</p>}
      <p className="mt-auto flex flex-wrap gap-x-3 pt-1 text-sm print:hidden">
        <button
          type="button"
          className={act}
          aria-label={`${pathText.open}: ${name}`}
          onClick={() => void openStep(student, overview, request)}
        >
          {pathText.open}
        </button>
        <button
          type="button"
          className={act}
          aria-label={`${pathText.intoNextWeek}: ${name}`}
          onClick={() => void intoNextWeek(student, overview, request)}
        >
          {pathText.intoNextWeek}
        </button>
        {fresh.length > 0 && (
          <button
            type="button"
            className={act}
            aria-label={`${pathText.hasIt}: ${name}`}
            onClick={() => void sayHas(student, fresh, true)}
          >
            {pathText.hasIt}
          </button>
        )}
        {!isGoal && (
          <button
            type="button"
            className={act}
            aria-label={`${pathText.skip}: ${name}`}
            onClick={() => void skipStep(student, request)}
          >
            {pathText.skip}
          </button>
        )}
      </p>
    </li>
  );
}
