import { useState } from 'react';
import { checkWords, commaAdvice, mistunedWords, noCheckWords, targetWords } from '../../wording/checks';
import { mmFine, number, sentence } from '../../wording/grammar';
import { noteWords, printed } from '../../wording/notes';
import {
  contactMm,
  hertzOf,
  isOpen,
  midiOf,
  pitchName,
  TOLERANCES,
  type Checkpoint,
  type Heard,
} from '../../core';
import { Choose } from '../../ui/Choose';
import type { Meaning } from '../../app/meaning';
import { say } from '../../app/notices';

const OFF = [5, 10, 15, 20, 30].map((cents) => [String(cents), `${cents} cents`] as const);
const SECONDS = 3;

interface Props {
  readonly meaning: Meaning;
  readonly heard: Heard;
}

/** One note close up: its target, its checks to hear, what rings, what fights. */
export function NoteCloseUp({ meaning, heard }: Props) {
  const { note, target, checks, comma, ringing, elsewhere } = heard;
  const { setup } = meaning.findings;
  const [off, setOff] = useState('10');
  const name = noteWords(pitchName(note.pitch));
  return (
    <section
      aria-labelledby="note"
      className="flex flex-col gap-2 rounded-lg border border-rule bg-sheet px-4 py-3"
      data-testid="note"
    >
      <h2 id="note" className="font-serif text-xl font-semibold">
        {name} on the {printed(setup.strings[note.string].name)} string
      </h2>
      <p>
        {isOpen(note)
          ? `The open string, tuned ${targetWords(target.cents)}.`
          : `${sentence(targetWords(target.cents))}: the middle of the finger ${mmFine(target.mm)} from the nut, within ${mmFine(target.toleranceMm)} (${TOLERANCES[meaning.aim.level]} cents).`}{' '}
        The bow meets the string about {number(contactMm(setup.lengthMm, target.mm))} mm from the bridge.
      </p>
      {checks.length > 0 && (
        <>
          <div className="flex items-center gap-2">
            <h3 className="font-semibold">Check it with</h3>
            <span className="text-sm text-faded">mistuned by</span>
            <Choose label="Mistuned by" value={off} choices={OFF} onChoose={setOff} />
          </div>
          <ul className="flex flex-col gap-1">
            {checks.map((check) => (
              <li
                key={`${check.string}.${check.touch}.${check.interval}`}
                className="flex flex-col gap-1 border-t border-rule pt-1 first:border-t-0"
              >
                <span>
                  {sentence(checkWords(check, note, setup))}.{' '}
                  {check.together && (
                    <span className="text-sm text-faded">
                      {sentence(mistunedWords(check, note, Number(off)))}.
                    </span>
                  )}
                </span>
                <span className="flex flex-wrap gap-2">
                  <button type="button" className="button" onClick={() => hear(check, 0)}>
                    Hear it pure
                  </button>
                  <button type="button" className="button" onClick={() => hear(check, Number(off))}>
                    {off} cents high
                  </button>
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {!checks.some(({ fits }) => fits) && note.finger !== 0 && (
        <p>{sentence(noCheckWords(note, elsewhere, setup))}</p>
      )}
      {ringing.length > 0 && (
        <p className="text-sage">
          When it is true,{' '}
          {ringing.map(({ string }) => `the ${printed(setup.strings[string].name)} string`).join(' and ')}{' '}
          rings along.
        </p>
      )}
      {comma && (
        <p className="border-l-4 border-madder px-3" data-testid="comma">
          {commaAdvice(comma, setup)} They are {number(comma.apart)} cents apart.
        </p>
      )}
    </section>
  );
}

/** Sounds the note with the open string of a check. */
function hear(check: Checkpoint, off: number) {
  const openHz = hertzOf(midiOf(check.pitch));
  const [p, q] = check.ratio;
  const pure = check.above ? (openHz * p) / q : (openHz * q) / p;
  import('../../audio/player')
    .then(({ soundPair }) => soundPair([openHz, pure * 2 ** (off / 1200)], SECONDS))
    .catch(() =>
      say({
        kind: 'trouble',
        message: 'No sound: the browser gives this page no way to play. Check its sound settings.',
      }),
    );
}
