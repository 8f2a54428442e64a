import { useRef, useState } from 'react';
import type { Brief, Offer, TypedBrief } from '../../app/brief/offers';
import { useBench } from '../../app/bench';
import { cleanBase, setBrief, takeOwnNotes } from '../../app/edits';
import { say } from '../../app/notices';
import { useStudents } from '../../app/students';
import type { PlanRequest } from '../../core';
import { isKept } from '../../app/session/state';
import * as benchBriefText from '../../wording/rooms/benchBrief';

type Reader = typeof import('../../app/brief/typed');

/** A brief typed in one go: what it is read as stands under it; Enter puts it into the words. */
export function SayIt({ request }: { readonly request: PlanRequest }) {
  const record = useBench((state) => state.record);
  const kept = useBench(isKept);
  const students = useStudents();
  const [typed, setTyped] = useState('');
  const [reader, setReader] = useState<Reader | null>(null);
  const box = useRef<HTMLInputElement>(null);
  const clean = cleanBase(record, kept, students);
  const reading: TypedBrief = reader?.readTyped(typed, request, students, clean) ?? { kind: 'nothing' };
  const fetchReader = async () => {
    if (reader) return reader;
    try {
      const fetched = await import('../../app/brief/typed');
      setReader(fetched);
      return fetched;
    } catch {
      say({ kind: 'trouble', message: benchBriefText.typedBriefsCouldNot });
      return null;
    }
  };
  const take = (brief: Brief) => {
    setBrief(brief);
    setTyped('');
    box.current?.focus();
  };
  /** Whoever types and presses Enter at once does not wait for what reads it. */
  const enter = async () => {
    const found = (await fetchReader())?.readTyped(typed, request, students, clean);
    if (found?.kind === 'understood') take(found.brief);
    else if (found?.kind === 'own-notes') {
      takeOwnNotes(found.notes ?? undefined);
      setTyped('');
    } else box.current?.parentElement?.querySelector<HTMLElement>('button')?.focus();
  };
  const accept = ({ typed: instead, brief }: Offer) => {
    if (brief) take(brief);
    else if (instead) {
      setTyped(instead);
      box.current?.focus();
    }
  };
  return (
    <form
      className="relative inline-block min-w-60 flex-1 align-middle"
      onSubmit={(event) => {
        event.preventDefault();
        void enter();
      }}
    >
      <input
        ref={box}
        aria-label={benchBriefText.typeTheBrief}
        aria-describedby="typed-brief"
        className="min-h-8 w-full rounded-md border border-rule bg-sheet px-2"
        placeholder={benchBriefText.orTypeItG}
        maxLength={200}
        autoComplete="off"
        spellCheck={false}
        value={typed}
        onFocus={() => void fetchReader()}
        onChange={(event) => {
          void fetchReader();
          setTyped(event.target.value);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setTyped('');
        }}
      />
      <div
        id="typed-brief"
        role="status"
        className={
          reading.kind === 'nothing'
            ? 'sr-only'
            : 'absolute top-full left-0 z-30 w-[min(34rem,92vw)] rounded-md border-2 border-dove bg-sheet px-3 py-1.5 shadow-lg'
        }
      >
        {reading.kind === 'understood' && reader && (
          <>
            <strong>{reader.briefWords(reading.brief)}</strong>
            {reading.notes.map((note) => (
              <span key={note} className="block text-sm text-faded">
                {note}
              </span>
            ))}
            <span className="block text-sm text-faded">{benchBriefText.enterPlansThis}</span>
          </>
        )}
        {reading.kind === 'own-notes' && (
          <>
            <strong>{reading.notes ? benchBriefText.theseNotes : benchBriefText.sayItNotesOfMyOwn}</strong>
            <span className="block text-sm text-faded">
              {reading.notes ? benchBriefText.enterPlansThem : benchBriefText.enterOpensABox}
            </span>
          </>
        )}
        {reading.kind === 'asked' && <span>{reading.question}</span>}
      </div>
      {reading.kind === 'asked' && reading.offers.length > 0 && (
        <div className="absolute top-full left-0 z-40 mt-9 flex max-w-[min(34rem,92vw)] flex-wrap gap-2 rounded-md border-2 border-dove bg-sheet px-3 py-1.5 shadow-lg">
          {reading.offers.map((offer) => (
            <button key={offer.words} type="button" className="button" onClick={() => accept(offer)}>
              {offer.words}
            </button>
          ))}
        </div>
      )}
    </form>
  );
}
