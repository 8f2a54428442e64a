import { Play } from 'lucide-react';
import type { ReportNote } from '../../core/listening';
import { playTake } from '../../audio/playTake';
import type { Take } from '../../app/takes';
import type { Cursor } from '../../ui/MusicLine';
import { signed } from '../../wording/grammar';
import type { Meaning } from '../../app/meaning';
import type { Listener } from '../../wording/listening';
import { noteWords } from '../../wording/notes';
import { fingerWords } from '../../wording/places';
import * as listenText from '../../wording/rooms/listenViews';

interface Props {
  readonly meaning: Meaning;
  readonly take: Take;
  readonly listener: Listener;
  readonly cursor: Cursor;
}

/** Every note of the take; each can be heard again. */
export function NotesHeard({ take, ...rest }: Props) {
  const { passes } = take.report;
  return (
    <section className="flex flex-col gap-2" aria-labelledby="notes-heading">
      <h2 id="notes-heading" className="font-serif text-xl font-bold">
        {listenText.noteByNote}
      </h2>
      <div
        className="max-h-[26rem] overflow-auto rounded-lg border border-rule bg-sheet"
        tabIndex={0}
        role="region"
        aria-label={listenText.noteByNote}
      >
        <table className="w-full border-collapse text-left text-[0.95rem]">
          <thead>
            <tr className="border-b-2 border-rule">
              {listenText.columns.map((words) => (
                <th key={words} className="px-2 py-2">
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          {passes.map(({ notes }, number) => (
            <tbody key={number}>
              {passes.length > 1 && (
                <tr>
                  <th colSpan={6} scope="colgroup" className="bg-haze px-2 py-1 text-sm">
                    {listenText.pass(number + 1)}
                  </th>
                </tr>
              )}
              {notes.map((note) => (
                <NoteRow key={note.at} note={note} take={take} {...rest} />
              ))}
            </tbody>
          ))}
        </table>
      </div>
    </section>
  );
}

const OFF = new Set(['low', 'high', 'wrong', 'missed']);

function NoteRow({ note, take, meaning, listener, cursor }: Props & { readonly note: ReportNote }) {
  const { at, heard, start, end } = note;
  const stop = listener.expected.events.find((event) => event.at === at)?.stops[0];
  const event = meaning.response.events[at];
  const name = 'pitches' in event ? noteWords(event.pitches[0], meaning.student?.noteNames) : '';
  const tones = heard === 'wrong' ? [] : (note.stops ?? [note]);
  const cents = tones.flatMap((tone) => (tone.cents === undefined ? [] : [signed(tone.cents, 0)]));
  const mm = tones.flatMap((tone) => (tone.mm === undefined || stop?.open ? [] : [signed(tone.mm, 1)]));
  return (
    <tr className={`border-b border-rule ${cursor.at === at ? 'bg-haze' : ''}`}>
      <th scope="row" className="px-2 font-semibold">
        <button type="button" className="min-h-8 cursor-pointer underline" onClick={() => cursor.go(at)}>
          {name}
        </button>
      </th>
      <td className="px-2">{stop && fingerWords(stop.finger)}</td>
      <td className={`px-2 ${OFF.has(heard) ? 'font-semibold text-madder' : ''}`}>{listenText.verdicts[heard]}</td>
      <td className="px-2 whitespace-nowrap">{cents.length > 0 && listenText.offFromTarget(cents.join(' / '))}</td>
      <td className="px-2 whitespace-nowrap">{mm.length > 0 && listenText.millimetres(mm.join(' / '))}</td>
      <td className="px-1">
        {start !== undefined && end !== undefined && (
          <button
            type="button"
            className="cursor-pointer p-1 text-dove"
            aria-label={listenText.hearNote(name)}
            onClick={() => playTake(take.samples, take.rate, { from: start, seconds: end - start })}
          >
            <Play size={16} aria-hidden />
          </button>
        )}
      </td>
    </tr>
  );
}
