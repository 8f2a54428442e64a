import type { Shift } from '../core';
import type { Speech } from '../wording/plans';
import { reasonsWords } from '../wording/reasons';
import * as sharedText from '../wording/rooms/shared';

interface Props {
  readonly shift: Shift;
  readonly speech: Speech;
}

const QUESTIONS = [
  ['why', sharedText.whyShift],
  ['why-here', sharedText.whyHere],
] as const;

/** Why the hand shifts at all, and why here; a question without an answer that holds is left out. */
export function WhyLines({ shift, speech }: Props) {
  const answers = QUESTIONS.map(([question, words]) => ({
    words,
    answer: reasonsWords(
      shift.reasons.filter((reason) => reason.question === question),
      speech,
    ),
  })).filter(({ answer }) => answer !== '');
  if (answers.length === 0) return null;
  return (
    <div className="border-l-4 border-copper px-3 text-[1.02rem]" data-testid="why">
      {answers.map(({ words, answer }) => (
        <p key={words}>
          <strong className="text-copper">{words}: </strong>
          {answer}
        </p>
      ))}
    </div>
  );
}
