import { Printer } from 'lucide-react';
import { editPath } from '../../app/path/doing';
import type { Overview } from '../../app/practice/overview';
import type { StudentRecord } from '../../core';
import { Caution } from '../../ui/Caution';
import { PracticeUndo } from '../../ui/PracticeUndo';
import { StudentPage } from '../../ui/StudentPage';
import { view } from '../../ui/View';
import { counted } from '../../wording/grammar';
import { skillsWords, unreachableWords } from '../../wording/path';
import * as paperViewsText from '../../wording/rooms/paperViews';
import * as pathText from '../../wording/rooms/pathViews';
import { GoalChoice } from './GoalChoice';
import { Standings } from './Standings';
import { Stones } from './Stones';
import { usePath, type PathState } from './usePath';

/** The path of a student: what comes next, one new thing at a time. */
function PathPage() {
  return (
    <StudentPage here="/path" heading={pathText.path} name={pathText.path}>
      {(student, overview) => <Shown key={student.id} student={student} overview={overview} />}
    </StudentPage>
  );
}

function Shown({ student, overview }: { readonly student: StudentRecord; readonly overview: Overview }) {
  const { state, found, stop } = usePath(student, overview);
  const { instrument } = student.plays;
  const path = found?.path;
  const skipped = student.path?.skipped.length ?? 0;
  return (
    <div className="flex flex-col gap-4" data-testid="path">
      <div className="flex flex-wrap items-center gap-4 print:hidden">
        <GoalChoice student={student} overview={overview} goal={found?.goal} />
        <PracticeUndo />
        {path && path.steps.length > 0 && (
          <button type="button" className="button flex items-center gap-1" onClick={() => print()}>
            <Printer size={17} aria-hidden /> {paperViewsText.print}
          </button>
        )}
        {skipped > 0 && (
          <button type="button" className="button" onClick={() => void editPath(student, () => ({ skipped: [] }))}>
            {pathText.undoSkips(skipped)}
          </button>
        )}
      </div>
      <Doing state={state} onStop={stop} />
      {found && found.path === null && <p role="alert">{pathText.planIsGone}</p>}
      {path && (
        <>
          {path.unreachable.map((one) => (
            <p
              key={`${one.id}/${JSON.stringify(one.request.material)}`}
              role="alert"
              className="border-l-4 border-madder px-3"
            >
              {unreachableWords(one)}
            </p>
          ))}
          {path.missing.length === 0 && path.unreachable.length === 0 && <p>{pathText.goalIsReached}</p>}
          {path.steps.length > 0 && (
            <>
              <p className="text-faded">
                {pathText.stepsSoFar(counted(path.steps.length, 'step'), counted(path.missing.length, 'thing'))}{' '}
                {path.provedBest ? pathText.bestOfAll : pathText.maybeBetter(path.worseByAtMost)}
              </p>
              {!path.inOrder && <p role="alert">{pathText.outOfOrder}</p>}
              <Stones heading={pathText.whatComesNext} steps={path.steps} numbered {...{ student, overview }} />
              {path.rest.length > 0 && <p>{pathText.restIs(skillsWords(path.rest, instrument))}</p>}
              <div className="print:hidden">
                <Stones heading={pathText.couldComeFirst} steps={path.next.slice(1)} {...{ student, overview }} />
              </div>
            </>
          )}
          {path.steps.length === 0 && path.missing.length > 0 && path.unreachable.length === 0 && (
            <p>{pathText.noWay}</p>
          )}
        </>
      )}
      {found && <Standings student={student} standing={found.standing} missing={path?.missing ?? []} />}
      <Caution />
    </div>
  );
}

function Doing({ state, onStop }: { readonly state: PathState; readonly onStop: () => void }) {
  if (state.kind === 'found') return null;
  if (state.kind === 'stopped') return <p role="status">{pathText.stopped}</p>;
  if (state.kind === 'failed') return <p role="alert">{pathText.couldNotBeFound}</p>;
  return (
    <p role="status" className="flex items-center gap-3 text-faded">
      {state.all > 0 ? pathText.plannedOf(state.done, state.all) : pathText.lookingForSteps}
      {state.all > 0 && <progress value={state.done} max={state.all} />}
      <button type="button" className="button" onClick={onStop}>
        {pathText.stop}
      </button>
    </p>
  );
}

export default view(pathText.path, PathPage);
