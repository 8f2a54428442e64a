import type { Meaning } from '../../app/meaning';
import { practiceAddress } from '../../app/practice/address';
import type { Take } from '../../app/takes';
import type { Cursor } from '../../ui/MusicLine';
import { number } from '../../wording/grammar';
import { foundCauseWords, UNHEARD_WORDS, type Listener } from '../../wording/listening';
import * as listenText from '../../wording/rooms/listenViews';

interface Props {
  readonly meaning: Meaning;
  readonly take: Take;
  readonly listener: Listener;
  readonly cursor: Cursor;
}

/** What was heard, causes first. */
export function WhatWasHeard({ meaning, take: { name, report }, listener, cursor }: Props) {
  return (
    <section
      className="flex flex-col gap-2 rounded-lg border border-rule bg-sheet px-4 py-3"
      aria-labelledby="heard-heading"
      data-testid="heard"
    >
      <h2 id="heard-heading" className="font-serif text-xl font-bold">
        {listenText.whatWasHeard}
      </h2>
      <p className="text-sm text-faded">{name}</p>
      {report.unheard ? (
        <p role="alert">{UNHEARD_WORDS[report.unheard]}</p>
      ) : (
        <>
          {report.causes.length === 0 ? (
            <p>{listenText.nothingStandsOut}</p>
          ) : (
            <ul className="flex flex-col gap-1 text-lg">
              {report.causes.map((cause) => (
                <li key={JSON.stringify(cause.cause)} className="flex flex-wrap items-baseline gap-x-3">
                  <button
                    type="button"
                    className="cursor-pointer text-left hover:underline"
                    onClick={() => cursor.go(cause.from)}
                  >
                    {foundCauseWords(cause, listener)}
                  </button>
                  {cause.to > cause.from && (
                    <a
                      className="text-base text-dove underline"
                      href={practiceAddress(meaning.record.id, { from: cause.from, to: cause.to })}
                    >
                      {listenText.practiseIt}
                    </a>
                  )}
                </li>
              ))}
            </ul>
          )}
          <p className="text-faded">{counts(report)}</p>
        </>
      )}
    </section>
  );
}

function counts({ passes, a4 }: Take['report']): string {
  const notes = passes.flatMap((pass) => pass.notes);
  const many = (verdict: string) => notes.filter(({ heard }) => heard === verdict).length;
  const [missed, wrong] = [many('missed'), many('wrong')];
  const words = [
    listenText.notesIn(many('in'), notes.length),
    ...(missed > 0 ? [listenText.missedNotes(missed)] : []),
    ...(wrong > 0 ? [listenText.wrongNotes(wrong)] : []),
    ...(passes.length > 1 ? [listenText.startedAgainTimes(passes.length - 1)] : []),
    listenText.playersA(number(a4, 1)),
  ];
  return `${words.join('; ')}.`;
}
