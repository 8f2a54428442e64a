import { useEffect, useState } from 'react';
import { checkWords, commaAdvice, mistunedWords, noCheckWords, targetWords } from '../../wording/checks';
import { listed, mmFine, number, sentence } from '../../wording/grammar';
import { noteWords, printed } from '../../wording/notes';
import { contactMm, hertzOf, isOpen, midiOf, pitchName, TOLERANCES, type Checkpoint, type Heard } from '../../core';
import { Choose } from '../../ui/Choose';
import type { Meaning } from '../../app/meaning';
import { say } from '../../app/notices';
import * as earViewsText from '../../wording/rooms/earViews';

const OFF = [5, 10, 15, 20, 30].map((cents) => [String(cents), earViewsText.cents(cents)] as const);
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
  const { playing, hear, stop } = useHearing();
  const name = noteWords(pitchName(note.pitch));
  const names = (strings: readonly number[]) => listed(strings.map((string) => printed(setup.strings[string].name)));
  return (
    <section
      aria-labelledby="note"
      className="flex flex-col gap-2 rounded-lg border border-rule bg-sheet px-4 py-3"
      data-testid="note"
    >
      <h2 id="note" className="font-serif text-xl font-semibold">
        {earViewsText.onTheString(name, printed(setup.strings[note.string].name))}
      </h2>
      <p>
        {earViewsText.theBowMeetsThe(
          isOpen(note)
            ? earViewsText.theOpenStringTuned(targetWords(target.cents))
            : earViewsText.theMiddleOfThe(
                sentence(targetWords(target.cents)),
                mmFine(target.mm),
                mmFine(target.toleranceMm),
                TOLERANCES[meaning.aim.level],
              ),
          number(contactMm(setup.lengthMm, target.mm)),
        )}
      </p>
      {checks.length > 0 && (
        <>
          <div className="flex items-center gap-2">
            <h3 className="font-semibold">{earViewsText.checkItWith}</h3>
            <span className="text-sm text-faded">{earViewsText.mistunedBy}</span>
            <Choose label={earViewsText.mistunedByLabel} value={off} choices={OFF} onChoose={setOff} />
          </div>
          <ul className="flex flex-col gap-1">
            {checks.map((check) => (
              <li key={tagOf(check)} className="flex flex-col gap-1 border-t border-rule pt-1 first:border-t-0">
                <span>
                  {sentence(checkWords(check, note, setup))}.{' '}
                  {check.neighbours && (
                    <span className="text-sm text-faded">{sentence(mistunedWords(check, note, Number(off)))}.</span>
                  )}
                </span>
                <span className="flex flex-wrap gap-2">
                  {SIDES.map(({ side, words }) => {
                    const tag = `${tagOf(check)}.${side}`;
                    return (
                      <button
                        key={side}
                        type="button"
                        className="button"
                        aria-pressed={playing === tag}
                        onClick={() => (playing === tag ? stop() : hear(check, side * Number(off), tag))}
                      >
                        {playing === tag ? earViewsText.stop : words(off)}
                      </button>
                    );
                  })}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {!checks.some(({ fits }) => fits) && note.finger !== 0 && <p>{sentence(noCheckWords(heard, setup))}</p>}
      {ringing.clear.length > 0 && <p className="text-sage">{earViewsText.ringsAlong(names(ringing.clear))}</p>}
      {ringing.faint.length > 0 && <p className="text-faded">{earViewsText.answersFaintly(names(ringing.faint))}</p>}
      {comma && (
        <p className="border-l-4 border-madder px-3" data-testid="comma">
          {commaAdvice(comma, setup)}
        </p>
      )}
    </section>
  );
}

const tagOf = ({ string, touch, interval }: Checkpoint) => `${string}.${touch}.${interval}`;

/** Pure, and off to either side. */
const SIDES: readonly { readonly side: number; readonly words: (off: string) => string }[] = [
  { side: 0, words: () => earViewsText.hearItPure },
  { side: -1, words: (off) => earViewsText.centsLow(off) },
  { side: 1, words: (off) => earViewsText.centsHigh(off) },
];

/** Sounds a note against what it is checked with: together where both can sound at once, else one after the other. */
function useHearing() {
  const [playing, setPlaying] = useState<string | null>(null);
  useEffect(() => {
    if (playing === null) return;
    const timer = setTimeout(() => setPlaying(null), SECONDS * 1000);
    return () => clearTimeout(timer);
  }, [playing]);
  const stop = () => {
    setPlaying(null);
    void loadPlayer().then(
      ({ hush }) => hush(),
      () => undefined,
    );
  };
  const hear = (check: Checkpoint, off: number, tag: string) => {
    setPlaying(tag);
    const openHz = hertzOf(midiOf(check.pitch));
    const [p, q] = check.ratio;
    const pure = check.above ? (openHz * p) / q : (openHz * q) / p;
    const both = [openHz, pure * 2 ** (off / 1200)] as const;
    loadPlayer()
      .then((player) => {
        player.hush();
        return check.neighbours ? player.soundPair(both, SECONDS) : player.soundInTurn(both, SECONDS);
      })
      .catch(() => {
        setPlaying(null);
        say({ kind: 'trouble', message: earViewsText.noSoundTheBrowser });
      });
  };
  return { playing, hear, stop };
}

const loadPlayer = () => import('../../audio/player');
