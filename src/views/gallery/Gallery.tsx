import { useState, type ReactNode } from 'react';
import { NO_HISTORY } from '../../app/undo';
import { say } from '../../app/notices';
import { Neck } from '../../drawing/board/Neck';
import { Pattern } from '../../drawing/board/Pattern';
import { Span } from '../../drawing/board/Span';
import { clefsRead, plan, resolveHand, resolveSetup, type PlanRequest } from '../../core';
import { evenLayout } from '../../drawing/score';
import { Staff, StaffHead } from '../../drawing/Staff';
import { BackupButtons } from '../../ui/BackupButtons';
import { Caution } from '../../ui/Caution';
import { Choose } from '../../ui/Choose';
import { Head } from '../../ui/Head';
import { MeaningPage } from '../../ui/MeaningPage';
import { NoticeBar } from '../../ui/NoticeBar';
import { Section } from '../../ui/Section';
import { UndoButtons } from '../../ui/UndoButtons';
import * as sharedText from '../../wording/rooms/shared';
import * as galleryText from '../../wording/rooms/gallery';

const LONG = galleryText.aVeryLongName;
const CHANGE = { was: {}, is: {} };

const SCALE: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'harmonic-minor', octaves: 2, direction: 'updown' },
};
const OCTAVES: PlanRequest = {
  instrument: 'cello',
  material: { type: 'double-stops', interval: 'octave', tonic: 'C3', scale: 'major', octaves: 1, direction: 'up' },
};

/** Every shared part in every state it has. Only while the program is developed. */
export default function Gallery() {
  return (
    <main id="main" tabIndex={-1} className="mx-auto flex max-w-6xl flex-col gap-6 px-5 py-6">
      <h1 className="font-serif text-3xl font-bold">{galleryText.gallery}</h1>
      <p>{galleryText.byLamplightSetThe}</p>
      <Part name={galleryText.head}>
        <Head here="/hand" />
        <Head here="/" plan="one">
          <p className="font-serif text-lg">{LONG}</p>
        </Head>
      </Part>
      <Part name={galleryText.notices}>
        <NoticeBar />
        <p className="flex flex-wrap gap-2">
          <Press
            words={galleryText.done}
            onPress={() => say({ kind: 'done', message: galleryText.twoPlansRestored })}
          />
          <Press
            words={galleryText.doneWithAnOffer}
            onPress={() =>
              say({
                kind: 'done',
                message: galleryText.wasDeleted(LONG),
                offer: { words: galleryText.undo, act: () => undefined },
              })
            }
          />
          <Press
            words={galleryText.trouble}
            onPress={() => say({ kind: 'trouble', message: galleryText.theStorageIsFull })}
          />
        </p>
      </Part>
      <Part name={galleryText.undoAndRedo}>
        <UndoButtons history={NO_HISTORY} onUndo={() => undefined} onRedo={() => undefined} />
        <UndoButtons
          history={{ past: [CHANGE], future: [CHANGE], run: null }}
          onUndo={() => undefined}
          onRedo={() => undefined}
        />
      </Part>
      <Part name={galleryText.choicesBackupCaution}>
        <Choices />
        <BackupButtons />
        <Caution />
      </Part>
      <Part name={galleryText.aPartThatFails}>
        <Section name={galleryText.theNeck}>
          <Fails />
        </Section>
      </Part>
      <Part name={galleryText.aViewOfA}>
        <MeaningPage here="/hand" heading={galleryText.hand} state={{ kind: 'loading' }}>
          {() => null}
        </MeaningPage>
        <MeaningPage
          here="/ear"
          heading={galleryText.ear}
          state={{ kind: 'nothing', message: galleryText.thereIsNoPlan }}
        >
          {() => null}
        </MeaningPage>
      </Part>
      <Part name={galleryText.staffAndNeck}>
        <Music request={SCALE} />
        <Music request={OCTAVES} />
      </Part>
      <Part name={galleryText.fingerPatterns}>
        <Pattern fingers={{ 1: 2, 2: 4, 3: 5, 4: 7 }} lengthMm={328} />
        <Pattern fingers={{ 1: 2 }} lengthMm={1050} />
        <Pattern fingers={{ T: 12, 1: 14, 2: 16, 3: 17 }} lengthMm={692} />
      </Part>
      <Part name={galleryText.spans}>
        <svg width={300} height={70} role="img" aria-label={galleryText.twoSpans}>
          <Span from={20} to={220} y={24} tone="var(--color-sage)" side="above" words={galleryText.n72MmEasy} />
          <Span from={60} to={90} y={40} tone="var(--color-madder)" side="below" words={galleryText.beyondThisHand} />
        </svg>
      </Part>
    </main>
  );
}

function Part({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <section aria-label={name} className="flex flex-col gap-3 border-t border-rule pt-2">
      <h2 className="font-serif text-xl font-semibold">{name}</h2>
      {children}
    </section>
  );
}

function Press({ words, onPress }: { readonly words: string; readonly onPress: () => void }) {
  return (
    <button type="button" className="button" onClick={onPress}>
      {words}
    </button>
  );
}

function Choices() {
  const [value, setValue] = useState('short');
  const choices = [
    ['short', 'short'],
    ['long', LONG],
  ] as const;
  return <Choose label={galleryText.aChoice} value={value} choices={choices} onChoose={setValue} />;
}

function Fails(): ReactNode {
  throw new Error('This part fails on purpose.');
}

function Music({ request }: { readonly request: PlanRequest }) {
  const response = plan(request);
  const [best] = response.plans;
  const setup = resolveSetup(request);
  const { events } = response;
  const clefs = clefsRead(events, request.instrument, undefined);
  const score = {
    music: response,
    steps: best.steps,
    strings: setup.strings.map(({ name }) => name),
    instrument: request.instrument,
    clefs,
    barred: true,
  };
  const [widest] = [...best.reach].sort((a, b) => b.share - a.share);
  const step = best.steps.find(({ at }) => at === widest?.at) ?? best.steps[0];
  return (
    <>
      <div className="flex overflow-x-auto">
        <StaffHead
          clef={clefs[0]}
          fifths={response.key.fifths}
          time={response.time}
          keyName={response.key.name}
          width={90}
          height={150}
          scale={1.1}
        />
        <Staff score={score} layout={evenLayout(events.length, 40, 150, 1.1)} label={sharedText.notes(events.length)} />
      </div>
      <Neck setup={setup} hand={resolveHand(setup, request.hand)} step={step} spread={widest} />
    </>
  );
}
