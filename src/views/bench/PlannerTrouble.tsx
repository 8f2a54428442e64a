import { session } from '../../app/bench';
import type { Planning, PlannerFault } from '../../app/session/state';

const SENTENCES: Readonly<Record<PlannerFault, string>> = {
  died: 'The planner stopped before it had an answer.',
  silent: 'The planner has not answered for a minute and was stopped.',
  broken: 'The planner failed on this brief; that is its own fault.',
};

/** Said where the planner did not get to an answer; what stands is what it answered last. */
export function PlannerTrouble({ planning }: { readonly planning: Planning }) {
  if (planning.kind !== 'failed') return null;
  return (
    <section
      role="alert"
      aria-label="The planner"
      className="flex flex-wrap items-center gap-3 border-l-4 border-madder bg-sheet px-3 py-2"
      data-testid="planner-trouble"
    >
      <p className="flex-1">
        {SENTENCES[planning.why]} Your brief is safe; what is shown below is the last answer. Try again, or
        undo the last change.
      </p>
      <button type="button" className="button" onClick={() => void session.replan()}>
        Try again
      </button>
    </section>
  );
}
