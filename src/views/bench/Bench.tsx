import { useEffect } from 'react';
import { Alternatives } from './Alternatives';
import { BriefSentence } from './BriefSentence';
import { NoticeBar } from './NoticeBar';
import { PlanShelf } from './PlanShelf';
import { Problems } from './Problems';
import { Stage } from './Stage';
import { redo, rename, saveNow, start, undo, useBench } from './store';
import { requestWords } from './words';

/** The Bench: the brief, the picture of the plan and the plans to choose from. */
export default function Bench() {
  const { record, response, issues, save, ready } = useBench();
  useEffect(() => {
    void start(new URLSearchParams(location.search).has('demo'));
    const leave = () => void saveNow();
    const keys = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    addEventListener('pagehide', leave);
    addEventListener('keydown', keys);
    return () => {
      removeEventListener('pagehide', leave);
      removeEventListener('keydown', keys);
    };
  }, []);
  const plan = response?.plans[record.chosen];
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-4">
      <header className="flex flex-wrap items-center gap-4 border-b-2 border-rule py-2">
        <a href="/" className="flex items-center gap-2 font-serif text-xl font-bold no-underline">
          <img src="/dove.svg" alt="" width="28" height="28" />
          Dove Path
        </a>
        <label className="flex flex-1 items-center gap-2">
          <span className="sr-only">Name of this plan</span>
          <input
            className="w-full max-w-lg rounded border border-transparent bg-transparent px-2 py-1 font-serif text-lg hover:border-rule focus:bg-sheet"
            value={record.name}
            placeholder={requestWords(record.request)}
            maxLength={120}
            onChange={(event) => rename(event.target.value)}
          />
        </label>
        <p className="text-sm text-faded" data-testid="save-state" data-state={save}>
          {{ saved: 'Kept in this browser', saving: 'Keeping …', failed: 'Not kept' }[save]}
        </p>
      </header>
      <NoticeBar />
      <main className="grid flex-1 gap-x-5 gap-y-3 lg:grid-cols-[minmax(0,1fr)_19rem]" data-ready={ready}>
        <h1 className="sr-only">Bench</h1>
        <div className="flex min-w-0 flex-col gap-3">
          <BriefSentence request={record.request} />
          <Problems problems={response?.problems ?? []} issues={issues} request={record.request} />
          {response && plan && <Stage response={response} plan={plan} request={record.request} />}
        </div>
        <aside className="flex flex-col gap-4">
          {response && <Alternatives plans={response.plans} chosen={record.chosen} />}
          <PlanShelf openId={record.id} />
        </aside>
      </main>
    </div>
  );
}
