import type { ReactNode } from 'react';
import { planTitle } from '../wording/material';
import { Head, type ViewAddress } from './Head';
import type { Meaning, MeaningState } from '../app/meaning';
import { NoticeBar } from './NoticeBar';
import { Section } from './Section';

interface Props {
  readonly here: ViewAddress;
  readonly heading: string;
  readonly state: MeaningState;
  readonly children: (meaning: Meaning) => ReactNode;
}

/** The frame of Hand, Shifts and Ear: whose plan it is, or why there is none. */
export function MeaningPage({ here, heading, state, children }: Props) {
  const meaning = state.kind === 'there' ? state.meaning : null;
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here={here} plan={meaning?.record.id}>
        {meaning && <p className="font-serif text-lg">{planTitle(meaning.record, meaning.student)}</p>}
      </Head>
      <NoticeBar />
      <main data-ready={state.kind !== 'loading'} className="flex flex-col gap-4">
        <h1 className="font-serif text-2xl font-bold">{heading}</h1>
        {state.kind === 'loading' && <p className="text-faded">The plan is being worked out …</p>}
        {state.kind === 'nothing' && (
          <p className="border-l-4 border-madder bg-sheet px-3 py-2" role="alert">
            {state.message} <a href="/">To the Bench</a>
          </p>
        )}
        {meaning && (
          <Section name={heading} on={[meaning]}>
            <Inside meaning={meaning} show={children} />
          </Section>
        )}
      </main>
    </div>
  );
}

/** Drawn inside its section, so that what fails in it is caught there. */
function Inside({ meaning, show }: { readonly meaning: Meaning; readonly show: Props['children'] }) {
  return show(meaning);
}
