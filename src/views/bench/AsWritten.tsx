import { useEffect, useMemo, useState } from 'react';
import { useBench } from '../../app/bench';
import { setRequestAnew } from '../../app/edits';
import { planOf } from '../../app/session/state';
import { atDesk } from '../../app/paper/desk';
import type { Judged } from '../../app/paper/paper.worker';
import { barsAgainst, withoutWritten, withTheirs, type BarAgainst } from '../../app/paper/written';
import type { Lock } from '../../core';
import type { Speech } from '../../wording/plans';
import { beyondWords, feltWords, unplayableWords } from '../../wording/written';
import * as benchPlanText from '../../wording/rooms/benchPlan';
import * as asWrittenText from '../../wording/rooms/asWritten';

interface Props {
  readonly written: readonly Lock[];
  readonly speech: Speech;
}

/** What was found written against ours, bar by bar; ours is taken, or theirs kept, at a click. */
export function AsWritten({ written, speech }: Props) {
  const request = useBench(({ record }) => record.request);
  const free = useMemo(() => withoutWritten(request, written), [request, written]);
  const what = JSON.stringify(free);
  const [found, setFound] = useState<{ readonly what: string; readonly judged: Judged } | null>(null);
  useEffect(() => {
    let here = true;
    atDesk(async (remote) => await remote.judge(free, written)).then(
      (judged) => here && setFound({ what, judged }),
      () => undefined,
    );
    return () => {
      here = false;
    };
    // The request is in the text.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [what, written]);
  const judged = found?.judged;
  const stand = useBench(planOf);
  const bars = judged ? barsAgainst(judged, stand, speech) : [];
  const put = (isOurs: (bar: BarAgainst) => boolean) => {
    if (!judged) return;
    const wanted = bars.map((bar) => ({ events: bar.events, ours: isOurs(bar) }));
    setRequestAnew(withTheirs(request, written, judged, wanted));
  };
  return (
    <section
      aria-labelledby="as-written"
      className="rounded-lg border border-rule bg-sheet px-4 py-2"
      data-testid="as-written"
      data-ready={judged !== undefined && found?.what === what}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 id="as-written" className="flex-1 font-serif text-lg font-semibold">
          {asWrittenText.asWrittenBesideOurs}
        </h2>
        {bars.length > 0 && (
          <>
            <button type="button" className="button" onClick={() => put(() => false)}>
              {asWrittenText.keepAllOfTheirs}
            </button>
            <button type="button" className="button" onClick={() => setRequestAnew(free)}>
              {asWrittenText.takeOursEverywhere}
            </button>
          </>
        )}
      </div>
      {!judged && <p className="text-faded">{asWrittenText.whatIsWrittenIs}</p>}
      {judged && <Sum judged={judged} speech={speech} />}
      {judged && (judged.unplayable.length > 0 || judged.beyond.length > 0) && (
        <ul className="list-disc pl-5 text-madder">
          {judged.unplayable.slice(0, MOST_TOLD).map((one) => (
            <li key={`${one.lock.at} ${one.why}`}>{unplayableWords(one, speech)}</li>
          ))}
          {judged.beyond.slice(0, MOST_TOLD).map((reach) => (
            <li key={`reach ${reach.at}`}>{beyondWords(reach, speech)}</li>
          ))}
        </ul>
      )}
      {bars.length > 0 && (
        <ul className="mt-1 max-h-64 overflow-y-auto">
          {bars.map((bar) => (
            <Bar key={bar.bar} bar={bar} onPut={(theirs) => put((one) => (one === bar ? !theirs : !one.kept))} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** More of one kind tell a reader nothing new. */
const MOST_TOLD = 8;

/** What ours buys and pays as a whole. */
function Sum({ judged: { plan, best }, speech }: { readonly judged: Judged; readonly speech: Speech }) {
  if (!plan || !best) return <p>{asWrittenText.whatIsWrittenCannot}</p>;
  return <p>{asWrittenText.besideTheWritten(feltWords(best, plan, 0, speech.events.length, speech))}</p>;
}

interface BarProps {
  readonly bar: BarAgainst;
  readonly onPut: (theirs: boolean) => void;
}

function Bar({ bar: { bar, theirs, ours, felt, kept }, onPut }: BarProps) {
  return (
    <li className="flex min-h-11 flex-wrap items-center gap-x-3 border-t border-rule first:border-t-0">
      <span className="w-16 font-semibold">{benchPlanText.bar(bar)}</span>
      <span className="min-w-56 flex-1">
        <span className="text-faded">{benchPlanText.written}</span> {theirs}{' '}
        <span className="text-faded">{benchPlanText.ours}</span> {ours}
      </span>
      <span className="text-sm text-faded">{felt}</span>
      <button
        type="button"
        className="button"
        aria-label={asWrittenText.inBar(kept ? asWrittenText.takeOurs : asWrittenText.keepTheirs, bar)}
        onClick={() => onPut(!kept)}
      >
        {kept ? asWrittenText.takeOurs : asWrittenText.keepTheirs}
      </button>
    </li>
  );
}
