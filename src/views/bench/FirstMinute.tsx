import { useRef, useState } from 'react';
import { takeDemo } from '../../app/opening';
import type { Stage } from '../../core';
import { planFirst, type Answers } from '../../app/firstMinute';
import { INSTRUMENT_NAMES, instrumentRecord, type HandSize, type InstrumentName } from '../../core';
import { BackupButtons } from '../../ui/BackupButtons';
import { BringInHere } from '../../ui/BringInHere';
import { Pick, TextField } from '../../ui/fields';
import { HAND_CHOICES, instrumentWords, sizeChoices } from '../../wording/instruments';
import * as benchBriefText from '../../wording/rooms/benchBrief';

const STAGES: readonly (readonly [Stage, string])[] = [
  ['first-position', benchBriefText.firstPosition],
  ['first-shifts', benchBriefText.theFirstShifts],
  ['everywhere', benchBriefText.allOverTheFingerboard],
];

/** What is seen where nothing is kept yet: what this is, and three ways to begin. */
export function FirstMinute() {
  const question = useRef<HTMLDialogElement>(null);
  return (
    <section
      aria-label={benchBriefText.howToBegin}
      className="flex flex-wrap items-center gap-x-3 gap-y-2 rounded-md border-2 border-dove bg-sheet px-3 py-2"
    >
      <p className="min-w-72 flex-1">{benchBriefText.dovePathWorksOut}</p>
      <button type="button" className="button" onClick={() => question.current?.showModal()}>
        {benchBriefText.planAScale}
      </button>
      <button type="button" className="button" onClick={() => void takeDemo()}>
        {benchBriefText.lookAtTheExample}
      </button>
      <BackupButtons restoreOnly />
      <BringInHere />
      <dialog
        ref={question}
        aria-labelledby="first-scale"
        className="m-auto w-[min(34rem,94vw)] rounded-lg border-2 border-dove bg-sheet p-5 text-ink shadow-lg backdrop:bg-ink/30"
      >
        <Questions onDone={() => question.current?.close()} />
      </dialog>
    </section>
  );
}

function Questions({ onDone }: { readonly onDone: () => void }) {
  const [answers, setAnswers] = useState<Answers>({
    name: '',
    instrument: 'violin',
    size: instrumentRecord('violin').defaultSize,
    hand: null,
    stage: 'first-shifts',
  });
  const put = (part: Partial<Answers>) => setAnswers({ ...answers, ...part });
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone();
        void planFirst(answers);
      }}
    >
      <h2 id="first-scale" className="font-serif text-xl font-semibold">
        {benchBriefText.aFirstScale}
      </h2>
      <fieldset className="grid grid-cols-3 gap-3">
        <legend className="mb-1 font-semibold">{benchBriefText.n1WhoPlaysAnd}</legend>
        <TextField label={benchBriefText.nameMayStayEmpty} value={answers.name} onPut={(name) => put({ name })} />
        <Pick
          label={benchBriefText.instrument}
          value={answers.instrument}
          choices={INSTRUMENT_NAMES.map((kind) => [kind, instrumentWords(kind)] as const)}
          onPick={(kind) => {
            const instrument = kind as InstrumentName;
            put({ instrument, size: instrumentRecord(instrument).defaultSize });
          }}
        />
        <Pick
          label={benchBriefText.size}
          value={answers.size}
          choices={sizeChoices(answers.instrument)}
          onPick={(size) => put({ size })}
        />
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-semibold">{benchBriefText.n2TheLeftHand}</legend>
        <Pick
          label={benchBriefText.hand}
          value={answers.hand ?? ''}
          choices={[['', benchBriefText.notMeasuredReachUnknown], ...HAND_CHOICES]}
          onPick={(hand) => put({ hand: (hand || null) as HandSize | null })}
        />
        <p className="mt-1 text-sm text-faded">{benchBriefText.smallMediumAndLarge}</p>
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-semibold">{benchBriefText.n3HowFarHave}</legend>
        <Pick
          label={benchBriefText.asFarAs}
          value={answers.stage}
          choices={STAGES}
          onPick={(stage) => put({ stage: stage as Stage })}
        />
      </fieldset>
      <div className="flex justify-end gap-2">
        <button type="button" className="button" onClick={onDone}>
          {benchBriefText.notNow}
        </button>
        <button type="submit" className="button">
          {benchBriefText.planIt}
        </button>
      </div>
    </form>
  );
}
