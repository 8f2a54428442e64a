import { useEffect, useState, type ReactNode } from 'react';
import { briefAddress } from '../app/brief/address';
import { planTitle } from '../wording/material';
import { Head, type ViewAddress } from './Head';
import type { Meaning, MeaningState } from '../app/meaning';
import { MusicLine, type Cursor } from './MusicLine';
import { NoticeBar } from './NoticeBar';
import { Section } from './Section';
import * as meaningPageText from '../wording/rooms/meaningPage';

interface Props {
  readonly here: ViewAddress;
  readonly heading: string;
  readonly state: MeaningState;
  /** True where the music stands on top, with the cursor. */
  readonly music?: boolean;
  readonly children: (meaning: Meaning, cursor: Cursor) => ReactNode;
}

/** The frame of Hand, Shifts and Ear: whose plan it is, or why there is none. */
export function MeaningPage({ here, heading, state, music = false, children }: Props) {
  const meaning = state.kind === 'there' ? state.meaning : null;
  const [at, setAt] = useState(() => Number(new URLSearchParams(location.search).get('at') ?? 0) || 0);
  const last = (meaning?.response.events.length ?? 1) - 1;
  const cursor: Cursor = { at: Math.max(0, Math.min(last, at)), go: setAt };
  useEffect(() => {
    if (meaning) showInAddress(meaning, at);
  }, [meaning, at]);
  const title = meaning && planTitle(meaning.record, meaning.student);
  useEffect(() => {
    if (title) document.title = meaningPageText.meaningPageDovePath(title, heading);
  }, [title, heading]);
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here={here} plan={meaning?.record.id} brief={meaning && briefAddress(meaning.request)}>
        {title && <p className="font-serif text-lg">{title}</p>}
      </Head>
      <NoticeBar />
      <main id="main" tabIndex={-1} data-ready={state.kind !== 'loading'} className="flex flex-col gap-4">
        <h1 className="font-serif text-2xl font-bold">{heading}</h1>
        {state.kind === 'loading' && <p className="text-faded">{meaningPageText.thePlanIsBeing}</p>}
        {state.kind === 'nothing' && (
          <p className="border-l-4 border-madder bg-sheet px-3 py-2" role="alert">
            {state.message} <a href="/">{meaningPageText.toTheBench}</a>
          </p>
        )}
        {meaning && (
          <>
            {music && (
              <Section name={meaningPageText.theMusic} on={[meaning]}>
                <MusicLine meaning={meaning} cursor={cursor} />
              </Section>
            )}
            <Section name={heading} on={[meaning]}>
              <Inside meaning={meaning} cursor={cursor} show={children} />
            </Section>
          </>
        )}
      </main>
    </div>
  );
}

/** Drawn inside its section, so that what fails in it is caught there. */
function Inside({
  meaning,
  cursor,
  show,
}: {
  readonly meaning: Meaning;
  readonly cursor: Cursor;
  readonly show: Props['children'];
}) {
  return show(meaning, cursor);
}

/** The address opens the same place on this machine, and the same brief on another. */
function showInAddress({ record, request }: Meaning, at: number) {
  const place = at > 0 ? `&at=${at}` : '';
  history.replaceState(null, '', `${location.pathname}?plan=${record.id}${place}${briefAddress(request)}`);
}
