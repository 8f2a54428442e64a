import type { SessionGoal } from '../app/practice/overview';
import { TextField } from './fields';
import * as practicePartsText from '../wording/rooms/practiceParts';

interface Props {
  readonly goal: string;
  readonly proposed: readonly SessionGoal[];
  readonly onPut: (goal: string) => void;
}

/** One goal in words: the teacher's own, or one that is proposed, with what speaks for it. */
export function GoalField({ goal, proposed, onPut }: Props) {
  return (
    <div className="flex flex-col gap-2">
      <TextField label={practicePartsText.oneGoalInWords} value={goal} onPut={onPut} />
      {proposed.length > 0 && (
        <div className="flex flex-wrap gap-2" role="group" aria-label={practicePartsText.goalsProposed}>
          {proposed.map(({ words, why }) => (
            <button key={words} type="button" className="button text-left" title={why} onClick={() => onPut(words)}>
              {words}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
