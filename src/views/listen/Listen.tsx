import { useEffect, useMemo, useState } from 'react';
import { useMeaning, type Meaning } from '../../app/meaning';
import { heardPlaces } from '../../app/heardPlaces';
import { listenerOf, useTakes } from '../../app/takes';
import { TOLERANCES } from '../../core';
import { triesOf } from '../../core/listening';
import { Caution } from '../../ui/Caution';
import { MeaningPage } from '../../ui/MeaningPage';
import type { Cursor } from '../../ui/MusicLine';
import { NeckHeard } from '../../ui/NeckHeard';
import { view } from '../../ui/View';
import * as listenText from '../../wording/rooms/listenViews';
import { Controls } from './Controls';
import { NotesHeard } from './NotesHeard';
import { TakeList } from './TakeList';
import { WhatWasHeard } from './WhatWasHeard';

/** Listen: what the hand did, in millimetres. */
function Listen() {
  return (
    <MeaningPage music here="/listen" heading={listenText.listenHeading} state={useMeaning()}>
      {(meaning, cursor) => <ListenTo meaning={meaning} cursor={cursor} />}
    </MeaningPage>
  );
}

interface Props {
  readonly meaning: Meaning;
  readonly cursor: Cursor;
}

function ListenTo({ meaning, cursor }: Props) {
  const takes = useTakes((state) => state.takes);
  const live = useTakes((state) => state.live);
  const [chosen, setChosen] = useState<number | null>(null);
  const [together, setTogether] = useState(false);
  const listener = useMemo(() => listenerOf(meaning), [meaning]);
  const take = takes.find(({ id }) => id === chosen) ?? takes[0];
  const heard = takes.filter(({ report }) => !report.unheard);
  const shown = together ? heard : heard.filter(({ id }) => id === take?.id);
  const { expected } = listener;
  const places = heardPlaces(
    expected.setup,
    shown.flatMap(({ report }) => triesOf(expected, report)),
    TOLERANCES[meaning.aim.level],
  );
  // While somebody plays the cursor goes along.
  const playedAt = live?.at;
  const { go } = cursor;
  useEffect(() => {
    if (playedAt !== undefined) go(playedAt);
  }, [playedAt, go]);
  return (
    <>
      <Controls meaning={meaning} listener={listener} />
      {take && (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
          <div className="flex flex-col gap-4">
            <WhatWasHeard meaning={meaning} take={take} listener={listener} cursor={cursor} />
            {shown.length > 0 && (
              <section className="flex flex-col gap-2" aria-labelledby="hand-heading">
                <div className="flex flex-wrap items-baseline gap-3">
                  <h2 id="hand-heading" className="font-serif text-xl font-bold">
                    {listenText.theHand}
                  </h2>
                  {heard.length > 1 && (
                    <button
                      type="button"
                      className="button"
                      aria-pressed={together}
                      onClick={() => setTogether(!together)}
                    >
                      {together ? listenText.thisTake : listenText.allTakes}
                    </button>
                  )}
                </div>
                <NeckHeard setup={expected.setup} places={places} />
              </section>
            )}
          </div>
          <div className="flex flex-col gap-4">
            <TakeList chosen={take.id} onChoose={setChosen} />
            {!take.report.unheard && <NotesHeard meaning={meaning} take={take} listener={listener} cursor={cursor} />}
          </div>
        </div>
      )}
      <Caution />
    </>
  );
}

export default view(listenText.listenHeading, Listen);
