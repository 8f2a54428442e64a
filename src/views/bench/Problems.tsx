import type { ChoiceIssue, PlanRequest, Problem } from '../../core';
import { setRequest } from './store';

interface Props {
  readonly problems: readonly Problem[];
  readonly issues: readonly ChoiceIssue[];
  readonly request: PlanRequest;
}

/** Why there is no plan, and the smallest change that would bring one, a click away. */
export function Problems({ problems, issues, request }: Props) {
  if (problems.length === 0 && issues.length === 0) return null;
  return (
    <section
      aria-label="No plan yet"
      className="rounded border-l-4 border-madder bg-sheet px-4 py-3"
      role="alert"
    >
      <h2 className="font-serif text-lg font-semibold text-madder">No fingering fits this brief</h2>
      <ul className="mt-1 flex flex-col gap-2">
        {issues.map((issue) => (
          <li key={issue.path}>{issue.message}</li>
        ))}
        {problems.map((problem) => (
          <li key={`${problem.code}${problem.at}`} className="flex flex-wrap items-center gap-3">
            <span>{problem.message}</span>
            {problem.relax && (
              <button
                type="button"
                className="button"
                onClick={() => setRequest({ ...request, rules: { ...request.rules, ...problem.relax } })}
              >
                Make this change
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
