import { useEffect, useMemo, useRef, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { session, useBench } from '../../app/bench';
import { briefAddress } from '../../app/brief/address';
import { redo, rename, undo } from '../../app/edits';
import { followAddress, leave, start } from '../../app/opening';
import { lastPlanned, type SaveState } from '../../app/session/state';
import { useNothingKept } from '../../app/firstMinute';
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
import { speechOf } from '../../wording/plans';
import { fetchEngraver } from '../../notation/Staff';
import { wakePlanner } from '../../work/planner';
import { Alternatives } from './Alternatives';
import { BriefSentence } from './BriefSentence';
import { Briefs } from './Briefs';
import { DrillFor } from './DrillFor';
import { FindingsList } from './FindingsList';
import { PlannerTrouble } from './PlannerTrouble';
import { PlanShelf } from './PlanShelf';
import { Stage } from './Stage';
import { StudentMatch } from './StudentMatch';
import { TasteLine } from './TasteLine';
import { ThisPlan } from './ThisPlan';

const AsWritten = later('What was written', async () => (await import('./AsWritten')).AsWritten);
const GivenDifferences = later(
  'What differs for this student',
  async () => (await import('./Given')).GivenDifferences,
);
const FirstMinute = later('How to begin', async () => (await import('./FirstMinute')).FirstMinute);
const Palette = later('The list of commands', async () => (await import('./Palette')).Palette);
const Problems = later('What stands in the way', async () => (await import('./Problems')).Problems);
const SavedFingering = later(
  'The saved fingering',
  async () => (await import('./SavedFingering')).SavedFingering,
);

const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  unsaved: 'Not saved yet',
  saved: 'Saved',
  saving: 'Saving …',
  failed: 'Not saved',
  gone: 'Deleted on another page',
};

// The planner and the engraver are fetched while the page is put up: both would be asked for at the end of it.
if (!import.meta.env.SSR) {
  wakePlanner();
  void fetchEngraver();
}

/** The Bench: the brief, the picture of the plan and the plans to choose from. */
export default function Bench() {
  const { record, planning, chosen, standing, save, ready, history } = useBench(
    useShallow(({ record, planning, chosen, standing, save, ready, history }) => ({
      record,
      planning,
      chosen,
      standing,
      save,
      ready,
      history,
    })),
  );
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
    document.title = `${title} · Bench · Dove Path`;
  }, [title]);
  const planned = lastPlanned({ planning });
  const response = planned?.response ?? null;
  const plan = response?.plans[chosen];
  const problems = response?.problems ?? [];
  const issues = planning.kind === 'refused' ? planning.issues : [];
  const instrument = planned?.ask.request.instrument;
  const names = student?.noteNames;
  const speech = useMemo(
    () => (response && instrument ? speechOf(instrument, response, names) : null),
    [response, instrument, names],
  );
  return (
    <div className="bench">
      <Head here="/" plan={record.id} brief={briefAddress(record.request)}>
        <label className="flex min-w-20 flex-1 items-center gap-2">
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
          Commands …
        </button>
        <p className="text-sm text-faded" data-testid="save-state" data-state={save}>
          {SAVE_WORDS[save]}
        </p>
      </Head>
      <NoticeBar />
      <main id="main" tabIndex={-1} className="bench-main" data-ready={ready}>
        <h1 className="sr-only">Bench</h1>
        <div className="bench-brief">
          {save === 'unsaved' && nothingKept && <FirstMinute />}
          <Section name="The brief" on={[record]}>
            <BriefSentence request={record.request} studentId={record.studentId} />
          </Section>
          {record.drillFor && <DrillFor id={record.drillFor} />}
        </div>
        <div className="bench-stage">
          {planned && response && speech && (
            <Section name="The picture of the plan" on={[response, chosen]}>
              <Stage
                response={response}
                plan={plan ?? null}
                request={record.request}
                asked={planned.ask.request}
                speech={speech}
              />
            </Section>
          )}
          <div className="flex flex-col gap-2 pt-2">
            <StudentMatch record={record} />
            {response?.taste && <TasteLine request={record.request} taste={response.taste} />}
            {record.givenFrom && <GivenDifferences record={record} response={response} plan={plan} />}
            {speech && response && standing !== 'as-planned' && (
              <SavedFingering standing={standing} plans={response.plans} chosen={chosen} speech={speech} />
            )}
            {record.written && speech && <AsWritten written={record.written} speech={speech} />}
          </div>
        </div>
        <div ref={side} className="bench-side">
          <div className="bench-ways">
            {(problems.length > 0 || issues.length > 0) && (
              <Problems problems={problems} issues={issues} request={record.request} speech={speech} />
            )}
            <PlannerTrouble planning={planning} />
            {response && speech && planned && (
              <Section name="The list of ways" on={[response]}>
                <Alternatives
                  plans={response.plans}
                  chosen={chosen}
                  own={planned.own}
                  more={planning.kind === 'planned' && planning.more === true}
                  speech={speech}
                />
              </Section>
            )}
          </div>
          <aside className="bench-more">
            {planned && plan && speech && (
              <Section name="The findings" on={[planned, chosen]}>
                <FindingsList
                  key={record.id}
                  planId={record.id}
                  level={student?.level ?? 'middle'}
                  planned={planned}
                  chosen={chosen}
                  speech={speech}
                />
              </Section>
            )}
            <ThisPlan id={record.id} tags={record.tags} studentId={record.studentId} />
            {!nothingKept && (
              <>
                <div>
                  <BringInHere />
                </div>
                <Section name="The list of plans">
                  <PlanShelf openId={record.id} />
                </Section>
              </>
            )}
            <Section name="The list of briefs">
              <Briefs request={record.request} />
            </Section>
          </aside>
        </div>
      </main>
      <BringInDrop />
      {palette && <Palette speech={speech} onClose={() => setPalette(false)} />}
    </div>
  );
}
