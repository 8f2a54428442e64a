import type { Meaning } from '../../app/meaning';
import { Pattern } from '../../drawing/board/Pattern';
import { resolveHand } from '../../core';
import { Help } from '../../ui/Help';
import { frameBefore, frameWords } from '../../wording/frames';
import { sentence } from '../../wording/grammar';
import { printed } from '../../wording/notes';
import { stretchWords } from '../../wording/places';
import * as handViewsText from '../../wording/rooms/handViews';

interface Props {
  readonly meaning: Meaning;
  readonly open: number;
  readonly onOpen: (at: number) => void;
}

/** Each frame in force, in the order of the line: the fingers with the tones and semitones between them, and what changes to the next. */
export function Frames({ meaning, open, onOpen }: Props) {
  const { frames } = meaning.plan;
  const hand = resolveHand(meaning.findings.setup, meaning.request.hand);
  return (
    <section aria-labelledby="frames">
      <div className="flex items-center gap-2">
        <h2 id="frames" className="font-serif text-xl font-semibold">
          {handViewsText.fingerPatternsStringBy}
        </h2>
        <Help word="finger pattern" />
      </div>
      <p className="text-sm text-faded">{handViewsText.toScaleTheTones}</p>
      <ol className="mt-1 rounded-lg border border-rule bg-sheet">
        {frames.map((frame, at) => (
          <li
            key={`${frame.from}.${frame.string}`}
            className={`border-b border-rule last:border-b-0 ${at === open ? 'bg-haze' : ''}`}
          >
            <button
              type="button"
              aria-pressed={at === open}
              onClick={() => onOpen(at)}
              className="grid w-full cursor-pointer grid-cols-1 sm:grid-cols-[7rem_11rem_minmax(0,1fr)] items-center gap-x-3 px-3 py-1.5 text-left"
            >
              <span>
                <span className="font-semibold">{handViewsText.string(printed(frame.string))}</span>
                <span className="block text-sm text-faded">
                  {sentence(stretchWords(meaning.speech.place, frame.from, frame.to))}
                </span>
              </span>
              <Pattern fingers={frame.fingers} lengthMm={meaning.findings.setup.lengthMm} />
              <span className="text-[0.95rem]">
                {frameWords(frame, frameBefore(frames, at), { ...meaning, setup: meaning.findings.setup, hand })}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
