import { useEffect, useRef, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { session, useBench } from '../../app/bench';
import { briefAddress } from '../../app/brief/address';
import { redo, rename, undo } from '../../app/edits';
import { followAddress, leave, planMeanwhile, start, wakeStore } from '../../app/opening';
import { FIRST_REQUEST, type SaveState } from '../../app/session/state';
import { useNothingKept } from '../../app/firstMinute';
import { useStorageWait } from '../../app/storageWait';
import { useStudent } from '../../app/students';
import { Head } from '../../ui/Head';
import { later } from '../../ui/later';
import { Section } from '../../ui/Section';
import { BringInDrop, BringInHere } from '../../ui/BringInHere';
import { NoticeBar } from '../../ui/NoticeBar';
import { UndoButtons } from '../../ui/UndoButtons';
import { useLeaving } from '../../ui/useLeaving';
import { usePageKeys } from '../../ui/usePageKeys';
import { planTitle, requestWords } from '../../wording/material';
import { fetchEngraver } from '../../drawing/Staff';
import { wakePlanner } from '../../work/planner';
import { AboutPlan } from './AboutPlan';
import { Alternatives } from './Alternatives';
import { BriefSentence } from './BriefSentence';
import { Briefs } from './Briefs';
import { DrillFor } from './DrillFor';
import { FindingsList } from './FindingsList';
import { PlannerTrouble } from './PlannerTrouble';
import { PlanShelf } from './PlanShelf';
import { Stage } from './Stage';
import { useShown } from './shown';
import { StudentMatch } from './StudentMatch';
import { ThisPlan } from './ThisPlan';
import * as benchPlanText from '../../wording/rooms/benchPlan';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';
import { levelOf } from '../../app/brief/words';

const FirstMinute = later(benchPlanText.howToBegin, async () => (await import('./FirstMinute')).FirstMinute);
const NewFor = later(benchPlanText.whatIsNew, async () => (await import('./NewFor')).NewFor);
const Palette = later(benchPlanText.theListOfCommands, async () => (await import('./Palette')).Palette);
const Problems = later(benchPlanText.whatStandsInThe, async () => (await import('./Problems')).Problems);

const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  unsaved: benchPlanText.notSavedYet,
  saved: 'Saved',
  saving: benchPlanText.saving,
  failed: benchPlanText.notSaved,
  gone: benchPlanText.deletedOnAnotherPage,
};

// Storage, planner and engraver are made ready while the page is put up: they would be asked for at the end of it.
if (!import.meta.env.SSR) {
  wakeStore();
  wakePlanner({ request: FIRST_REQUEST, alone: true });
  void fetchEngraver();
}

/** The Bench: the brief, the picture of the plan and the plans to choose from. */
function Bench() {
  const { record, planning, chosen, standing, save, ready, history, begun } = useBench(
    useShallow(({ record, planning, chosen, standing, save, ready, history, begunFrom }) => ({
      record,
      planning,
      chosen,
      standing,
      save,
      ready,
      history,
      begun: begunFrom !== null,
    })),
  );
  const slow = useStorageWait() !== null;
  const [palette, setPalette] = useState(false);
  const nothingKept = useNothingKept();
  useEffect(() => {
    void start();
    return followAddress();
  }, []);
  // Of a plan that comes, the ways and findings are seen first.
  const side = useRef<HTMLDivElement>(null);
  useEffect(() => {
    side.current?.scrollTo({ top: 0 });
  }, [record.id]);
  useLeaving(leave, session.comeBack);
  usePageKeys({ undo, redo, commands: () => setPalette(true) });
  const student = useStudent(record.studentId);
  const title = planTitle(record, student);
  useEffect(() => {
    document.title = benchPlanText.benchDovePath(title);
  }, [title]);
  const { now, after } = useShown(planning, chosen, student);
  const problems = after?.response.problems ?? [];
  const issues = planning.kind === 'refused' ? planning.issues : [];
  return (
    <div className="bench">
      <Head here="/" plan={record.id} brief={briefAddress(record.request)}>
        <label className="flex min-w-20 flex-1 items-center gap-2">
          <span className="sr-only">{benchPlanText.nameOfThisPlan}</span>
          <input
            className="w-full rounded border border-transparent bg-transparent px-2 py-1 font-serif text-lg hover:border-rule focus:bg-sheet"
            value={record.name}
            placeholder={requestWords(record.request)}
            maxLength={120}
            onChange={(event) => rename(event.target.value)}
          />
        </label>
        <UndoButtons history={history} more={begun} onUndo={undo} onRedo={redo} />
        <button type="button" className="button" onClick={() => setPalette(true)}>
          {benchPlanText.commands}
        </button>
        <p className="text-sm text-faded" data-testid="save-state" data-state={save}>
          {ready && SAVE_WORDS[save]}
        </p>
      </Head>
      <NoticeBar />
      {!ready && slow && <Meanwhile />}
      <main id="main" tabIndex={-1} className="bench-main" data-ready={ready} hidden={!ready && slow}>
        <h1 className="sr-only">{benchPlanText.bench}</h1>
        <div className="bench-brief">
          {save === 'unsaved' && nothingKept && <FirstMinute />}
          <Section name={benchPlanText.theBrief} on={[record]}>
            <BriefSentence request={record.request} studentId={record.studentId} />
          </Section>
          {record.drillFor && <DrillFor id={record.drillFor} />}
        </div>
        <div className="bench-stage">
          <Section name={benchPlanText.thePictureOfThe} on={[now]}>
            <Stage now={now} after={after} request={record.request} />
          </Section>
          <div className="flex flex-col gap-2 pt-2">
            <StudentMatch record={record} />
            {after && <AboutPlan shown={after} record={record} standing={standing} />}
          </div>
        </div>
        <div ref={side} className="bench-side">
          <div className="bench-ways">
            {(problems.length > 0 || issues.length > 0) && (
              <Problems problems={problems} issues={issues} request={record.request} speech={after?.speech ?? null} />
            )}
            <PlannerTrouble planning={planning} />
            {after && (
              <Section name={benchPlanText.theListOfWays} on={[after]}>
                <Alternatives shown={after} />
              </Section>
            )}
          </div>
          <aside className="bench-more">
            {after?.plan && (
              <Section name={benchPlanText.theFindings} on={[after]}>
                <FindingsList
                  key={record.id}
                  planId={record.id}
                  level={levelOf(record.request, student)}
                  shown={after}
                />
              </Section>
            )}
            {after?.plan && student && <NewFor key={`${record.id}/new`} record={record} student={student} />}
            <ThisPlan id={record.id} tags={record.tags} studentId={record.studentId} />
            {!nothingKept && (
              <>
                <div>
                  <BringInHere />
                </div>
                <Section name={benchPlanText.theListOfPlans}>
                  <PlanShelf openId={record.id} />
                </Section>
              </>
            )}
            <Section name={benchPlanText.theListOfBriefs}>
              <Briefs request={record.request} />
            </Section>
          </aside>
        </div>
      </main>
      <BringInDrop />
      {palette && <Palette speech={after?.speech ?? null} onClose={() => setPalette(false)} />}
    </div>
  );
}

/** Stands in the place of a plan that is still being read. */
function Meanwhile() {
  return (
    <section className="flex flex-wrap items-center gap-3 border-l-4 border-dove bg-sheet px-3 py-2">
      <p>{benchPlanText.stillReadingPlan}</p>
      <button type="button" className="button" onClick={() => void planMeanwhile()}>
        {benchPlanText.planMeanwhile}
      </button>
    </section>
  );
}

export default view(sharedText.viewNames.Bench, Bench);
