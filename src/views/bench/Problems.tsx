import { useBench } from '../../app/bench';
import { moveCursor, setRequest, undo } from '../../app/edits';
import { NOTICES, withPiece, type Issue, type PlanRequest, type Problem } from '../../core';
import { issueWords } from '../../wording/issues';
import { barWords } from '../../wording/places';
import type { Speech } from '../../wording/plans';
import { changesWords, insteadWords, problemWords } from '../../wording/problems';
import * as problemsPanelText from '../../wording/rooms/problemsPanel';

interface Props {
  readonly problems: readonly Problem[];
  readonly issues: readonly Issue[];
  readonly request: PlanRequest;
  /** How the answer is spoken of; null where there is none. */
  readonly speech: Speech | null;
}

/** What can be done about a problem with one click. */
function waysOf({ relax, changes, ways = [] }: Problem) {
  if (ways.length > 0) return ways;
  return relax && changes ? [{ changes, relax }] : [];
}

/** Why there is no plan, and the smallest change that would bring one, a click away. */
export function Problems({ problems, issues, request, speech }: Props) {
  const canUndo = useBench((state) => state.history.past.length > 0);
  if (issues.length === 0 && problems.every(({ code }) => NOTICES.has(code)))
    return (
      <p role="status" className="rounded border-l-4 border-dove bg-sheet px-4 py-2">
        {speech && problems.map((problem) => problemWords(problem, request, speech)).join(' ')}
      </p>
    );
  return (
    <section
      aria-label={problemsPanelText.noPlanYet}
      className="rounded border-l-4 border-madder bg-sheet px-4 py-3"
      role="alert"
    >
      <div className="flex items-center justify-between">
        <h2 className="font-serif text-lg font-semibold text-madder">{problemsPanelText.thisCantBePlayed}</h2>
        {canUndo && (
          <button type="button" className="button" onClick={undo}>
            {problemsPanelText.undoTheLastChange}
          </button>
        )}
      </div>
      <ul className="mt-1 flex flex-col gap-2">
        {issues.map((issue) => (
          <li key={issue.path}>{issueWords(issue)}</li>
        ))}
        {speech &&
          problems.map((problem) => (
            <li key={`${problem.code}${problem.at}`} className="flex flex-wrap items-center gap-3">
              <span>{problemWords(problem, request, speech)}</span>
              {problem.fight?.map((at) => (
                <button
                  key={at}
                  type="button"
                  className="cursor-pointer text-dove underline"
                  onClick={() => moveCursor(at)}
                >
                  {problemsPanelText.goTo(barWords(speech.place(at)))}
                </button>
              ))}
              {waysOf(problem).map(({ changes, relax }) => (
                <button
                  key={JSON.stringify(relax)}
                  type="button"
                  className="button first-letter:uppercase"
                  onClick={() => setRequest({ ...request, rules: { ...request.rules, ...relax } })}
                >
                  {changesWords(changes, speech)}
                </button>
              ))}
              {(problem.instead ?? []).map((piece) => (
                <button
                  key={JSON.stringify(piece)}
                  type="button"
                  className="button first-letter:uppercase"
                  onClick={() => setRequest(withPiece(request, piece))}
                >
                  {problemsPanelText.instead(insteadWords(piece, request, speech))}
                </button>
              ))}
            </li>
          ))}
      </ul>
    </section>
  );
}
