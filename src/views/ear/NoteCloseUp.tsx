import { useState } from 'react';
import { checkWords, commaAdvice } from '../../wording/findings';
import { mmFine, number } from '../../wording/grammar';
import { noteWords, printed } from '../../wording/notes';
import { contactMm, hertzOf, pitchName, TOLERANCES, type Checkpoint, type Heard } from '../../core';
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
  const { note, target, checks, comma, ringing } = heard;
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
        {note.finger === 0
          ? `The open string, tuned ${number(Math.abs(target.cents), 1)} cents ${target.cents < 0 ? 'below' : 'above'} equal temperament.`
          : `${number(Math.abs(target.cents), 1)} cents ${target.cents < 0 ? 'below' : 'above'} equal temperament: the middle of the finger ${mmFine(target.mm)} from the nut, within ${mmFine(target.toleranceMm)} (${TOLERANCES[meaning.aim.level]} cents).`}{' '}
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
              <li key={`${check.string}.${check.interval}`} className="flex flex-wrap items-center gap-2">
                <span className="flex-1">{checkWords(check, note, setup, Number(off))}</span>
                <button type="button" className="button" onClick={() => hear(meaning, check, 0)}>
                  Hear it pure
                </button>
                <button type="button" className="button" onClick={() => hear(meaning, check, Number(off))}>
                  {off} cents high
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {checks.length === 0 && note.finger !== 0 && (
        <p>No open string checks {name}; compare it with the same note elsewhere, or with a drone.</p>
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
          {commaAdvice(comma, setup)} They are {number(comma.apart, 1)} cents apart.
        </p>
      )}
    </section>
  );
}

/** Sounds the note with the open string of a check. */
function hear({ findings }: Meaning, check: Checkpoint, off: number) {
  const open = findings.setup.strings[check.string];
  const openHz = hertzOf(open.midi);
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
