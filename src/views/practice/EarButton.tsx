import { Mic } from 'lucide-react';
import { judgeByEar, stopJudgingByEar, useByEar } from '../../app/practice/byEar';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

/** Lets the microphone judge; what it cannot judge is judged by hand. */
export function EarButton() {
  const { on, working, problem } = useByEar();
  return (
    <>
      {(working || problem) && (
        <span role="status" className="max-w-md text-faded">
          {working ? practiceViewsText.lookingAtIt : problem}
        </span>
      )}
      <button
        type="button"
        className="button flex min-h-11 items-center gap-1"
        aria-pressed={on}
        onClick={() => (on ? stopJudgingByEar() : void judgeByEar())}
      >
        <Mic size={17} aria-hidden /> {practiceViewsText.judgeByEar}
      </button>
    </>
  );
}
