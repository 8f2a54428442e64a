import type { ChoiceIssue, PlanRequest, Problem } from '../../core';
import { moveCursor, setRequest, undo } from './edits';
import { useBench } from './state';
import { printedPitches } from '../../brief/words';

interface Props {
  readonly problems: readonly Problem[];
  readonly issues: readonly ChoiceIssue[];
  readonly request: PlanRequest;
}

/** What can be done about a problem with one click. */
function waysOf({ relax, ways = [] }: Problem) {
  if (ways.length > 0) return ways;
  return relax ? [{ words: 'make this change', relax }] : [];
}

/** Why there is no plan, and the smallest change that would bring one, a click away. */
export function Problems({ problems, issues, request }: Props) {
  const canUndo = useBench((state) => state.history.past.length > 0);
  if (problems.length === 0 && issues.length === 0) return null;
  return (
    <section
      aria-label="No plan yet"
      className="rounded border-l-4 border-madder bg-sheet px-4 py-3"
      role="alert"
    >
      <div className="flex items-center justify-between">
        <h2 className="font-serif text-lg font-semibold text-madder">No fingering fits this brief</h2>
        {canUndo && (
          <button type="button" className="button" onClick={undo}>
            Undo the last change
          </button>
        )}
      </div>
      <ul className="mt-1 flex flex-col gap-2">
        {issues.map((issue) => (
          <li key={issue.path}>{issue.message}</li>
        ))}
        {problems.map((problem) => (
          <li key={`${problem.code}${problem.at}`} className="flex flex-wrap items-center gap-3">
            <span>{printedPitches(problem.message)}</span>
            {problem.fight?.map((at) => (
              <button key={at} type="button" className="link" onClick={() => moveCursor(at)}>
                go to note {at + 1}
              </button>
            ))}
            {waysOf(problem).map(({ words, relax }) => (
              <button
                key={words}
                type="button"
                className="button first-letter:uppercase"
                onClick={() => setRequest({ ...request, rules: { ...request.rules, ...relax } })}
              >
                {words}
              </button>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
