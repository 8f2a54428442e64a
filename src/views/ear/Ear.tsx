import { useMemo, useState } from 'react';

import {
  LEVELS,
  pitchName,
  SYSTEMS,
  tableIssues,
  isUnchecked,
  TOLERANCES,
  type Aim,
  type Heard,
  type Level,
  type OwnTable,
} from '../../core';
import { checkWords, neighbourWords, shortCheck, targetCents, UNCHECKED_WORDS } from '../../wording/checks';
import { STRING_TUNING_CHOICES, SYSTEM_WORDS } from '../../wording/intonation';
import { mmFine, signed } from '../../wording/grammar';
import { LEVEL_WORDS } from '../../wording/instruments';
import { tableIssueWords } from '../../wording/issues';
import { noteWords, printed } from '../../wording/notes';
import { fingerWords, placeName, stringWords } from '../../wording/places';
import { Choose } from '../../ui/Choose';
import { Help } from '../../ui/Help';
import { MeaningPage } from '../../ui/MeaningPage';
import { useMeaning, type Meaning } from '../../app/meaning';
import { TargetBoard } from '../../drawing/board/TargetBoard';
import type { Cursor } from '../../ui/MusicLine';
import { NoteCloseUp } from './NoteCloseUp';
import { Together } from './Together';
import * as earViewsText from '../../wording/rooms/earViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** Ear: where each note goes, how exactly, and what to check it against. */
function Ear() {
  const [part, setPart] = useState<Partial<Aim>>({});
  const [typed, setTyped] = useState('0 0 0 0 0 0 0 0 0 0 0 0');
  const table = useMemo(() => readTable(typed), [typed]);
  const set = (more: Partial<Aim>) => setPart({ ...part, ...more });
  const state = useMeaning(part);
  return (
    <MeaningPage music here="/ear" heading={earViewsText.ear} state={state}>
      {(meaning, cursor) => (
        <>
          <div className="flex flex-wrap items-center gap-2">
            <Choose
              label={earViewsText.intonation}
              value={meaning.aim.system}
              choices={SYSTEMS.map((system) => [system, SYSTEM_WORDS[system]] as const)}
              onChoose={(system) => set({ system: system as Aim['system'], table })}
            />
            <Choose
              label={earViewsText.openStrings}
              value={meaning.aim.tuning}
              choices={STRING_TUNING_CHOICES}
              onChoose={(tuning) => set({ tuning: tuning as Aim['tuning'] })}
            />
            <Choose
              label={earViewsText.level}
              value={meaning.aim.level}
              choices={LEVELS.map(
                (level) => [level, earViewsText.withinCents(LEVEL_WORDS[level], TOLERANCES[level])] as const,
              )}
              onChoose={(level) => set({ level: level as Level })}
            />
            {meaning.aim.system === 'own' && (
              <label className="flex items-center gap-2 text-sm text-faded">
                {earViewsText.centsOnEachSemitone}
                <input
                  className="min-h-10 w-80 rounded-md border border-rule bg-sheet px-2 text-ink"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                  onBlur={() => set({ table })}
                />
              </label>
            )}
          </div>
          {meaning.aim.system === 'own' && tableIssues(table).length > 0 && (
            <ul role="alert" className="border-l-4 border-ochre bg-sheet px-3 py-1">
              {tableIssues(table)
                .map(tableIssueWords)
                .map((words) => (
                  <li key={words}>{words}</li>
                ))}
            </ul>
          )}
          <EarOf meaning={meaning} cursor={cursor} />
        </>
      )}
    </MeaningPage>
  );
}

/** Twelve numbers parted by blanks; a dash or a word is a hole. */
function readTable(typed: string): OwnTable {
  return typed
    .trim()
    .split(/[\s,;]+/)
    .map((word) => (/^[-−+]?\d+(\.\d+)?$/.test(word) ? Number(word.replace('−', '-')) : null));
}

interface EarProps {
  readonly meaning: Meaning;
  readonly cursor: Cursor;
}

function EarOf({ meaning, cursor }: EarProps) {
  const { heard, setup } = meaning.findings;
  const notes = useMemo(() => onceEach(heard), [heard]);
  const [voice, setVoice] = useState(0);
  const here = heard.filter(({ note }) => note.at === cursor.at);
  const atCursor = here.find(({ note }) => note.voice === voice) ?? here[0];
  const at = Math.max(
    0,
    notes.findIndex((one) => atCursor !== undefined && tagOf(one) === tagOf(atCursor)),
  );
  const open = (row: number) => {
    setVoice(notes[row].note.voice);
    cursor.go(notes[row].note.at);
  };
  const closeUp = notes[at];
  return (
    <>
      <TargetBoard setup={setup} notes={notes} open={at} onOpen={open} />
      <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="flex min-w-0 flex-col gap-2">
          {isUnchecked(heard) && (
            <p className="border-l-4 border-ochre bg-sheet px-3 py-1" role="note">
              {UNCHECKED_WORDS}
            </p>
          )}
          <Targets meaning={meaning} notes={notes} open={at} onOpen={open} />
        </div>
        <div className="flex flex-col gap-4">
          {closeUp && <NoteCloseUp meaning={meaning} heard={closeUp} />}
          <Together meaning={meaning} />
          <Landmarks meaning={meaning} />
        </div>
      </div>
    </>
  );
}

/** A place as it is spelled: A sharp and B flat have targets of their own. */
const tagOf = ({ note, target }: Heard) =>
  [note.string, note.semitones, note.finger, note.pitch.letter, target.cents.toFixed(1)].join('.');

/** Each place on the fingerboard once, for each target that it has. */
function onceEach(heard: readonly Heard[]): Heard[] {
  const seen = new Set<string>();
  return heard.filter((one) => {
    const tag = tagOf(one);
    return !seen.has(tag) && seen.add(tag);
  });
}

interface TargetsProps {
  readonly meaning: Meaning;
  readonly notes: readonly Heard[];
  readonly open: number;
  readonly onOpen: (at: number) => void;
}

function Targets({ meaning, notes, open, onOpen }: TargetsProps) {
  const { setup } = meaning.findings;
  return (
    <div
      className="max-h-[72vh] overflow-auto rounded-lg border border-rule bg-sheet"
      tabIndex={0}
      role="region"
      aria-label={earViewsText.targets}
    >
      <table className="w-full border-collapse text-left text-[0.95rem]">
        <thead className="sticky top-0 bg-sheet">
          <tr className="border-b-2 border-rule">
            <th className="px-3 py-2">{earViewsText.note}</th>
            <th className="px-3 py-2">{earViewsText.stringFinger}</th>
            <th className="px-3 py-2 text-right">{earViewsText.target}</th>
            <th className="px-3 py-2 text-right">{earViewsText.fromTheNut}</th>
            <th className="px-3 py-2 text-right">{earViewsText.within}</th>
            <th className="px-3 py-2">{earViewsText.bestCheck}</th>
          </tr>
        </thead>
        <tbody>
          {notes.map(({ note, target, checks, comma, ringing, neighbour }, at) => (
            <tr key={`${note.at}.${note.voice}`} className={`border-b border-rule ${at === open ? 'bg-haze' : ''}`}>
              <th scope="row" className="px-1">
                <button
                  type="button"
                  aria-pressed={at === open}
                  onClick={() => onOpen(at)}
                  className="min-h-9 cursor-pointer px-2 text-dove underline"
                >
                  {noteWords(pitchName(note.pitch))}
                </button>
              </th>
              <td className="px-3 whitespace-nowrap">
                {printed(setup.strings[note.string].name)}, {note.finger === 0 ? earViewsText.open : note.finger}
              </td>
              <td className="px-3 text-right whitespace-nowrap">{targetCents(target.cents)}</td>
              <td className="px-3 text-right whitespace-nowrap">
                {note.finger === 0 ? '–' : `${mmFine(target.mm)} (${signed(target.awayMm, 1)})`}
              </td>
              <td className="px-3 text-right whitespace-nowrap">
                {note.finger === 0 ? '–' : `±${mmFine(target.toleranceMm)}`}
              </td>
              <td className="px-3">
                {checks[0]?.fits
                  ? shortCheck(checks[0], setup)
                  : note.finger === 0
                    ? earViewsText.itsOwnTuning
                    : neighbour
                      ? earViewsText.noString(neighbourWords(note, neighbour, setup))
                      : earViewsText.noneThatFits}
                {comma && <span className="text-madder"> {earViewsText.comma}</span>}
                {ringing.clear.length > 0 && <span className="text-sage"> {earViewsText.rings}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="flex flex-wrap items-center gap-x-2 px-3 py-1 text-sm text-faded">
        {earViewsText.commaWord} <Help word="comma" /> {earViewsText.ringsWord} <Help word="ringing" />
      </p>
      <p className="px-3 pb-1 text-sm text-faded">{earViewsText.targetCentsAgainstEqual}</p>
    </div>
  );
}

/** The tonic in each octave, to be learned by heart. */
function Landmarks({ meaning }: { readonly meaning: Meaning }) {
  const { findings } = meaning;
  const tonics = new Map<number, Heard>();
  for (const one of findings.heard) {
    if (one.tonic && !tonics.has(one.note.midi)) tonics.set(one.note.midi, one);
  }
  return (
    <section aria-labelledby="landmarks">
      <h2 id="landmarks" className="font-serif text-xl font-semibold">
        {earViewsText.landmarks}
      </h2>
      <ul className="list-disc pl-5">
        {[...tonics.values()].map((one) => (
          <li key={one.note.midi}>
            {earViewsText.onThePosition(
              noteWords(pitchName(one.note.pitch)),
              fingerWords(one.note.finger),
              stringWords(findings.setup.strings[one.note.string].name),
              placeName(one.note.step, findings.setup.instrument.name),
              one.checks[0]?.fits ? `; ${checkWords(one.checks[0], one.note, findings.setup)}` : '',
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

export default view(sharedText.viewNames.Ear, Ear);
