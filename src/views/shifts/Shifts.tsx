import { useState } from 'react';
import type { Cursor } from '../../ui/MusicLine';
import { hardWords, KIND_SHORT } from '../../wording/shifts';
import { mm, seconds } from '../../wording/grammar';
import { noteWords, printed } from '../../wording/notes';
import { barWords, intervalWords, positionName } from '../../wording/places';
import { hardness, pitchName, type ShiftDetail } from '../../core';
import { Caution } from '../../ui/Caution';
import { MeaningPage } from '../../ui/MeaningPage';
import { useMeaning, type Meaning } from '../../app/meaning';
import { CloseUp } from './CloseUp';
import { Series } from './Series';
import * as shiftsViewsText from '../../wording/rooms/shiftsViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** Shifts: each one taken apart, rehearsed, and drilled. */
function Shifts() {
  return (
    <MeaningPage music here="/shifts" heading={shiftsViewsText.shifts} state={useMeaning()}>
      {(meaning, cursor) => <ShiftsOf meaning={meaning} cursor={cursor} />}
    </MeaningPage>
  );
}

interface ShiftsProps {
  readonly meaning: Meaning;
  readonly cursor: Cursor;
}

/** The shift that is open is the one last made at the cursor, or the first to come. */
function ShiftsOf({ meaning, cursor }: ShiftsProps) {
  const { shifts } = meaning.findings;
  const open = Math.max(
    0,
    shifts.findLastIndex(({ shift }) => shift.to <= cursor.at),
  );
  const setOpen = (at: number) => cursor.go(shifts[at].shift.to);
  const detail = shifts[open];
  return (
    <>
      {shifts.length === 0 ? (
        <p>{shiftsViewsText.thisPlanHasNo}</p>
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,11fr)_minmax(0,9fr)]">
          <ShiftTable meaning={meaning} open={open} onOpen={setOpen} />
          {detail && <CloseUp key={detail.shift.to} meaning={meaning} detail={detail} />}
        </div>
      )}
      <Series key={detail?.shift.to} meaning={meaning} detail={detail} />
      <Caution />
    </>
  );
}

interface TableProps {
  readonly meaning: Meaning;
  readonly open: number;
  readonly onOpen: (at: number) => void;
}

/** In which order the table stands. */
type Order = 'as-played' | 'hardest';

function ShiftTable({ meaning, open, onOpen }: TableProps) {
  const { shifts } = meaning.findings;
  const [order, setOrder] = useState<Order>('as-played');
  const hard = shifts.map((detail) => hardness(detail));
  const most = Math.max(...hard.map(({ weight }) => weight));
  const rows = shifts.map((detail, at) => ({ detail, at, hard: hard[at] }));
  if (order === 'hardest') rows.sort((a, b) => b.hard.weight - a.hard.weight || a.at - b.at);
  return (
    <div
      className="overflow-x-auto rounded-lg border border-rule bg-sheet"
      tabIndex={0}
      role="region"
      aria-label={shiftsViewsText.allShifts}
    >
      <table className="w-full border-collapse text-left text-[0.95rem]">
        <thead>
          <tr className="border-b-2 border-rule">
            {['Notes', 'Fingers', 'Positions', 'String', 'Way', 'Time', 'Kind'].map((words) => (
              <th
                key={words}
                className="px-2 py-2"
                aria-sort={words === 'Notes' && order === 'as-played' ? 'ascending' : undefined}
              >
                {words}
              </th>
            ))}
            <th className="px-2 py-1" aria-sort={order === 'hardest' ? 'descending' : undefined}>
              <button
                type="button"
                aria-pressed={order === 'hardest'}
                onClick={() => setOrder(order === 'hardest' ? 'as-played' : 'hardest')}
                className="min-h-9 cursor-pointer text-left text-dove underline"
              >
                {order === 'hardest' ? shiftsViewsText.hardestFirst : shiftsViewsText.howHard}
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ detail, at, hard: { weight, why } }) => (
            <tr key={detail.shift.to} className={`border-b border-rule ${at === open ? 'bg-haze' : ''}`}>
              <th scope="row" className="px-1 font-semibold whitespace-nowrap">
                <button
                  type="button"
                  aria-pressed={at === open}
                  onClick={() => onOpen(at)}
                  className="min-h-10 cursor-pointer px-2 text-left text-dove underline"
                >
                  {pair(detail)}
                  <span className="block text-sm text-faded">{barWords(meaning.speech.place(detail.shift.to))}</span>
                </button>
              </th>
              <td className="px-2">
                {detail.shift.fromFinger} → {detail.shift.toFinger}
              </td>
              <td className="px-2">
                {place(detail.from, meaning)} → {place(detail.to, meaning)}
              </td>
              <td className="px-2">{strings(detail, meaning)}</td>
              <td className="px-2 text-copper">
                {shiftsViewsText.wayAlong(
                  detail.up ? '↑' : '↓',
                  intervalWords(detail.shift.semitones),
                  mm(detail.shift.travelMm),
                )}
              </td>
              <td className="px-2 whitespace-nowrap">{seconds(detail.seconds)}</td>
              <td className="px-2">{KIND_SHORT[detail.shift.kind]}</td>
              <td className="px-2 text-sm leading-tight">
                <span aria-hidden className="block h-1.5 w-14 rounded bg-rule">
                  <span
                    className="block h-full rounded bg-copper"
                    style={{ width: `${Math.round((100 * weight) / most)}%` }}
                  />
                </span>
                {hardWords(why)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="px-2 py-1 text-sm text-faded">{shiftsViewsText.placeOfTheNote}</p>
    </div>
  );
}

/** A position in the table: all of thumb position in a word, the close-up says how far up. */
function place({ step }: ShiftDetail['from'], { speech }: Meaning): string {
  return positionName(step.position, speech.instrument);
}

function pair({ from, to }: ShiftDetail): string {
  return `${noteWords(pitchName(from.pitch))} – ${noteWords(pitchName(to.pitch))}`;
}

function strings({ from, to }: ShiftDetail, { findings: { setup } }: Meaning): string {
  const names = [from, to].map(({ string }) => printed(setup.strings[string].name));
  return names[0] === names[1] ? names[0] : names.join(' → ');
}

export default view(sharedText.viewNames.Shifts, Shifts);
