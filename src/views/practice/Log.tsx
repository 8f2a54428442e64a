import { useLiveQuery } from 'dexie-react-hooks';
import { Download, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { dayWords, isDay } from '../../app/practice/calendar';
import { isBegun } from '../../app/editing';
import { beginEntry, earlierSessions, editEntry, offerCsv, removeEntry, type LogEdit } from '../../app/practice/log';
import type { Overview } from '../../app/practice/overview';
import { practiceAddress } from '../../app/practice/address';
import type { SessionRecord, StudentRecord } from '../../core';
import { NumberField, TextField } from '../../ui/fields';
import { ifOnce } from '../../ui/focus';
import { counted } from '../../wording/grammar';
import { PlaceTable } from '../../ui/PlaceTable';
import { PracticeUndo } from '../../ui/PracticeUndo';
import { PracticeFileButtons } from '../../ui/PracticeFileButtons';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

interface Props {
  readonly student: StudentRecord;
  readonly overview: Overview;
}

/** The log: by date, or by kind of place; every word of it can be changed. */
export function Log({ student, overview }: Props) {
  const [by, setBy] = useState<'date' | 'place'>('date');
  const { future, plans } = overview;
  const [whole, setWhole] = useState(false);
  const earlier = useLiveQuery(() => (whole ? earlierSessions(student.id) : []), [whole, student.id]) ?? [];
  const sessions = [...overview.sessions, ...earlier];
  const planIds = plans.map(({ id }) => id);
  const [begun, setBegun] = useState<SessionRecord | null>(null);
  // Once it is written it stands among the others, in the same place on the page.
  if (begun && sessions.some(({ id }) => id === begun.id)) setBegun(null);
  const shown = begun ? [begun, ...sessions.filter(({ id }) => id !== begun.id)] : sessions;
  return (
    <section aria-labelledby="log" className="rounded-lg border border-rule bg-sheet px-4 py-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 id="log" className="font-serif text-lg font-semibold">
          {practiceViewsText.log}
        </h2>
        <span role="group" aria-label={practiceViewsText.theLogIsShown} className="flex">
          {(['date', 'place'] as const).map((one) => (
            <button key={one} type="button" className="button" aria-pressed={by === one} onClick={() => setBy(one)}>
              {practiceViewsText.by(one)}
            </button>
          ))}
        </span>
        <span className="flex-1" />
        <PracticeUndo />
        <button
          type="button"
          className="button flex items-center gap-1"
          onClick={() => setBegun(beginEntry(student.id))}
        >
          <Plus size={17} aria-hidden /> {practiceViewsText.addAnEntry}
        </button>
        <button type="button" className="button flex items-center gap-1" onClick={() => void offerCsv(student)}>
          <Download size={17} aria-hidden /> {practiceViewsText.csv}
        </button>
        <PracticeFileButtons student={student} />
      </div>
      {future.length > 0 && (
        <div role="alert" className="mt-2 border-l-4 border-madder px-3">
          <p>{practiceViewsText.datedInTheFuture(counted(future.length, 'entry', 'entries'))}</p>
          <ul>
            {future.map((entry) => (
              <Entry key={entry.id} entry={entry} plans={planIds} />
            ))}
          </ul>
        </div>
      )}
      {by === 'date' ? (
        <ul className="mt-1">
          {shown.map((entry) => (
            <Entry key={entry.id} entry={entry} plans={planIds} isNew={entry === begun} onDrop={() => setBegun(null)} />
          ))}
        </ul>
      ) : (
        <PlaceTable sums={overview.sums} />
      )}
      {by === 'date' && !whole && (
        <button type="button" className="button mt-1" onClick={() => setWhole(true)}>
          {practiceViewsText.earlierEntries}
        </button>
      )}
      {sessions.length === 0 && <p className="text-faded">{practiceViewsText.nothingWasPractisedIn}</p>}
    </section>
  );
}

interface EntryProps {
  readonly entry: SessionRecord;
  readonly plans: readonly string[];
  /** True of an entry that has no words yet: it is open, with the cursor in its name. */
  readonly isNew?: boolean;
  /** Takes an entry away that was never written. */
  readonly onDrop?: () => void;
}

function Entry({ entry, plans, isNew = false, onDrop }: EntryProps) {
  const [open, setOpen] = useState(isNew);
  const { day, what, minutes, reached, heard, planId } = entry;
  const words = [
    entry.playerWords,
    entry.teacherWords,
    entry.question && practiceViewsText.asks(entry.question),
  ].filter((one) => one !== '');
  return (
    <li className="long-row border-t border-rule py-1 first:border-t-0">
      <div className="flex flex-wrap items-center gap-x-3">
        <button
          type="button"
          aria-expanded={open}
          className="grid min-h-9 min-w-60 flex-1 cursor-pointer grid-cols-[6rem_minmax(0,1fr)] items-baseline gap-x-3 text-left hover:text-dove"
          onClick={() => setOpen(!open)}
        >
          <span className="text-faded">{dayWords(day)}</span>
          <span className="flex flex-wrap items-baseline gap-x-3">
            <span className="font-semibold">{what || practiceViewsText.aNewEntry}</span>
            <span>{practiceViewsText.logMin(Math.round(minutes))}</span>
            {reached !== undefined && <span>♩ = {Math.round(reached)}</span>}
            <span className="text-faded">{heardWords(heard)}</span>
            {entry.byEar && <span className="text-faded">{practiceViewsText.heardByMicrophone}</span>}
          </span>
        </button>
        {planId && plans.includes(planId) && (
          <a
            className="text-dove underline"
            href={practiceAddress(planId)}
            aria-label={practiceViewsText.practiseAgain(what)}
          >
            {practiceViewsText.again}
          </a>
        )}
        <button
          type="button"
          aria-label={practiceViewsText.deleteIt(what, dayWords(day))}
          className="min-h-9 cursor-pointer p-1.5 text-faded hover:text-madder"
          onClick={(event) => ifOnce(event, () => (isBegun(entry.id) ? onDrop?.() : void removeEntry(entry)))}
        >
          <Trash2 size={17} aria-hidden />
        </button>
      </div>
      {words.length > 0 && !open && <p className="pl-[6.75rem] text-sm text-faded">{words.join(' · ')}</p>}
      {open && <EntryFields entry={entry} />}
    </li>
  );
}

function heardWords({ low, in: clean, high, missed }: SessionRecord['heard']): string {
  const all = low + clean + high + missed;
  if (all === 0) return '';
  const off = [
    [low, 'low'],
    [high, 'high'],
    [missed, 'missed'],
  ] as const;
  const parts = off.filter(([count]) => count > 0).map(([count, words]) => `${count} ${words}`);
  return `${counted(all, 'repetition')}${parts.length > 0 ? `, ${parts.join(', ')}` : practiceViewsText.allIn}`;
}

function EntryFields({ entry }: { readonly entry: SessionRecord }) {
  const put = (to: LogEdit) => void editEntry(entry, to);
  return (
    <div className="grid gap-x-4 gap-y-2 pb-2 pl-4 sm:grid-cols-2">
      <TextField
        label={practiceViewsText.what}
        value={entry.what}
        focus={entry.what === ''}
        onPut={(what) => put({ what })}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={practiceViewsText.day}
          value={entry.day}
          trouble={(day) => (isDay(day) ? null : practiceViewsText.aDaySuchAs)}
          onPut={(day) => put({ day })}
        />
        <NumberField
          label={practiceViewsText.minutes}
          unit="min"
          value={Math.round(entry.minutes * 10) / 10}
          least={0}
          most={600}
          onPut={(minutes = 0) => put({ minutes })}
        />
      </div>
      <TextField label={practiceViewsText.goal} value={entry.goal} onPut={(goal) => put({ goal })} />
      <TextField
        label={practiceViewsText.thePlayersWords}
        value={entry.playerWords}
        onPut={(playerWords) => put({ playerWords })}
      />
      <TextField
        label={practiceViewsText.theTeachersWords}
        value={entry.teacherWords}
        onPut={(teacherWords) => put({ teacherWords })}
      />
      <TextField
        label={practiceViewsText.aQuestionForThe}
        value={entry.question}
        onPut={(question) => put({ question })}
      />
      <TextField label={practiceViewsText.nextTime} value={entry.next} onPut={(next) => put({ next })} />
    </div>
  );
}
