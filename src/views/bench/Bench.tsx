import { lazy, Suspense, useEffect, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { requestWords } from '../../brief/words';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { UndoButtons } from '../../ui/UndoButtons';
import { Alternatives } from './Alternatives';
import { BriefSentence } from './BriefSentence';
import { Briefs } from './Briefs';
import { redo, rename, undo } from './edits';
import { FindingsList } from './FindingsList';
import { GivenDifferences } from './Given';
import { openAddress, start } from './opening';
import { PlanShelf } from './PlanShelf';
import { Problems } from './Problems';
import { saveNow } from './saving';
import { Stage } from './Stage';
import { ThisPlan } from './ThisPlan';
import { StudentMatch } from './StudentMatch';
import { useBench } from './state';
import { onPageKey } from './keys';

const Palette = lazy(() => import('./Palette'));

/** The Bench: the brief, the picture of the plan and the plans to choose from. */
export default function Bench() {
  const { record, response, planned, issues, save, ready, history } = useBench(
    useShallow(({ record, response, planned, issues, save, ready, history }) => ({
      record,
      response,
      planned,
      issues,
      save,
      ready,
      history,
    })),
  );
  const [palette, setPalette] = useState(false);
  useEffect(() => {
    void start();
    const keys = (event: KeyboardEvent) => onPageKey(event, () => setPalette(true));
    const leave = () => void saveNow();
    const linked = () => void openAddress(location.hash);
    addEventListener('pagehide', leave);
    addEventListener('keydown', keys);
    addEventListener('hashchange', linked);
    return () => {
      removeEventListener('pagehide', leave);
      removeEventListener('keydown', keys);
      removeEventListener('hashchange', linked);
    };
  }, []);
  const plan = response?.plans[record.chosen];
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-4">
      <Head here="/" plan={record.id}>
        <label className="flex min-w-84 flex-1 items-center gap-2">
          <span className="sr-only">Name of this plan</span>
          <input
            className="w-full rounded border border-transparent bg-transparent px-2 py-1 font-serif text-lg hover:border-rule focus:bg-sheet"
            value={record.name}
            placeholder={requestWords(record.request)}
            maxLength={120}
            onChange={(event) => rename(event.target.value)}
          />
        </label>
        <UndoButtons history={history} onUndo={undo} onRedo={redo} />
        <button type="button" className="button" onClick={() => setPalette(true)}>
          Do …
        </button>
        <p className="text-sm text-faded" data-testid="save-state" data-state={save}>
          {{ saved: 'Kept in this browser', saving: 'Keeping …', failed: 'Not kept' }[save]}
        </p>
      </Head>
      <NoticeBar />
      <main className="grid flex-1 gap-x-5 gap-y-3 lg:grid-cols-[minmax(0,1fr)_19rem]" data-ready={ready}>
        <h1 className="sr-only">Bench</h1>
        <div className="flex min-w-0 flex-col gap-3">
          <BriefSentence request={record.request} studentId={record.studentId} />
          <StudentMatch record={record} />
          <GivenDifferences record={record} response={response} />
          <Problems problems={response?.problems ?? []} issues={issues} request={record.request} />
          {response && <Stage response={response} plan={plan ?? null} request={record.request} />}
        </div>
        <aside className="flex flex-col gap-4">
          {response && <Alternatives plans={response.plans} chosen={record.chosen} />}
          {response && plan && planned && (
            <FindingsList
              key={record.id}
              planId={record.id}
              studentId={record.studentId}
              request={planned}
              response={response}
              chosen={record.chosen}
            />
          )}
          <ThisPlan id={record.id} tags={record.tags} studentId={record.studentId} />
          <PlanShelf openId={record.id} />
          <Briefs request={record.request} />
        </aside>
      </main>
      {palette && (
        <Suspense>
          <Palette onClose={() => setPalette(false)} />
        </Suspense>
      )}
    </div>
  );
}
