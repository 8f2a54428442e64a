import { useEffect } from 'react';
import { useMeaning, type Meaning } from '../../app/meaning';
import { useBeginning } from '../../app/practice/goOn';
import { goalsOf, useOverview, type Overview } from '../../app/practice/overview';
import { usePlayer } from '../../app/practice/player';
import { goOn, leaveRun, usePractice } from '../../app/practice/run';
import type { SessionRecord } from '../../core';
import { getSession } from '../../store/read';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { Section } from '../../ui/Section';
import { planTitle } from '../../wording/material';
import { Done } from './Done';
import { Home } from './Home';
import { Running } from './Running';
import { Setup } from './Setup';
import * as practiceViewsText from '../../wording/rooms/practiceViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

const asksForPlan = () => new URLSearchParams(location.search).has('plan');

/** Practice: a session on a plan, or what there is to do today. */
function Practice() {
  return asksForPlan() ? <OnPlan /> : <Today />;
}

function OnPlan() {
  const state = useMeaning();
  const { run } = usePractice();
  const meaning = state.kind === 'there' ? state.meaning : null;
  const overview = useOverview(meaning ? (meaning.student?.id ?? '') : undefined);
  useEffect(() => {
    const session = new URLSearchParams(location.search).get('session');
    if (meaning && session) void getSession(session).then((found) => found && goOn(meaning, found));
  }, [meaning]);
  // The page goes: what was judged is written already, and the session can be gone on with.
  useEffect(() => {
    addEventListener('pagehide', leaveRun);
    return () => removeEventListener('pagehide', leaveRun);
  }, []);
  const busy = run !== null && run.phase !== 'done';
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5">
      <Head here="/practice" plan={meaning?.record.id} student={meaning?.student?.id}>
        {meaning && !busy && <p className="font-serif text-lg">{planTitle(meaning.record, meaning.student)}</p>}
      </Head>
      <NoticeBar />
      <main
        id="main"
        tabIndex={-1}
        data-ready={state.kind !== 'loading'}
        className={`flex flex-col gap-4 ${busy ? '' : 'pb-24'}`}
      >
        <h1 className={busy ? 'sr-only' : 'font-serif text-2xl font-bold'}>{practiceViewsText.practice}</h1>
        {state.kind === 'loading' && <p className="text-faded">{practiceViewsText.thePlanIsBeing}</p>}
        {state.kind === 'nothing' && (
          <p className="border-l-4 border-madder bg-sheet px-3 py-2" role="alert">
            {state.message} <a href="/practice">{practiceViewsText.toTodaysPractice}</a>
          </p>
        )}
        {meaning && (
          <Section name={practiceViewsText.theSession} on={[meaning]}>
            {run ? (
              run.phase === 'done' ? (
                <Done run={run} />
              ) : (
                <Running run={run} />
              )
            ) : (
              overview && (
                <>
                  {overview.left?.planId === meaning.record.id && (
                    <Left session={overview.left} onGoOn={(session) => void goOn(meaning, session)} />
                  )}
                  <Beginnings key={meaning.record.id} meaning={meaning} overview={overview} />
                </>
              )
            )}
          </Section>
        )}
      </main>
    </div>
  );
}

/** The session set up as the last one on this place stood. */
function Beginnings({ meaning, overview }: { readonly meaning: Meaning; readonly overview: Overview }) {
  const beginning = useBeginning(meaning);
  return beginning && <Setup meaning={meaning} beginning={beginning} goals={goalsOf(overview)} />;
}

interface LeftProps {
  readonly session: SessionRecord;
  readonly onGoOn: (session: SessionRecord) => void;
}

/** A session on this plan was left in the middle. */
function Left({ session, onGoOn }: LeftProps) {
  return (
    <p className="flex flex-wrap items-center gap-3 rounded-lg border-2 border-dove bg-sheet px-4 py-2">
      <span className="flex-1">{practiceViewsText.aSessionOnThis}</span>
      <button type="button" className="button" onClick={() => onGoOn(session)}>
        {practiceViewsText.goOn}
      </button>
    </p>
  );
}

function Today() {
  const player = usePlayer();
  const overview = useOverview(player.student?.id);
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/practice" student={player.student?.id} />
      <NoticeBar />
      <main
        id="main"
        tabIndex={-1}
        data-ready={player.ready && (overview !== undefined || !player.student)}
        className="flex flex-col gap-4"
      >
        <Section name={practiceViewsText.today} on={[overview]}>
          <Home player={player} overview={overview} />
        </Section>
      </main>
    </div>
  );
}

export default view(sharedText.viewNames.Practice, Practice);
