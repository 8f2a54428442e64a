import type { Meaning } from '../../app/meaning';
import { gapWords, Pattern } from '../../board/Pattern';
import { laidFingers, type Finger, type Plan } from '../../core';
import { listed, sentence } from '../../wording/grammar';
import { printed } from '../../wording/notes';
import { inPlace, stretchWords } from '../../wording/places';

type Frame = Plan['frames'][number];

interface Props {
  readonly meaning: Meaning;
  readonly open: number;
  readonly onOpen: (at: number) => void;
}

/** Each frame in force, in the order of the line: the fingers with the tones and semitones between them, and what changes to the next. */
export function Frames({ meaning, open, onOpen }: Props) {
  const { frames } = meaning.plan;
  return (
    <section aria-labelledby="frames">
      <h2 id="frames" className="font-serif text-xl font-semibold">
        Finger patterns, string by string
      </h2>
      <p className="text-sm text-faded">
        To scale; the tones between the fingers are written above, half tones as ½.
      </p>
      <ol className="mt-1 rounded-lg border border-rule bg-sheet">
        {frames.map((frame, at) => (
          <li
            key={frame.from}
            className={`border-b border-rule last:border-b-0 ${at === open ? 'bg-haze' : ''}`}
          >
            <button
              type="button"
              aria-pressed={at === open}
              onClick={() => onOpen(at)}
              className="grid w-full cursor-pointer grid-cols-1 sm:grid-cols-[7rem_11rem_minmax(0,1fr)] items-center gap-x-3 px-3 py-1.5 text-left"
            >
              <span>
                <span className="font-semibold">{printed(frame.string)} string</span>
                <span className="block text-sm text-faded">
                  {sentence(stretchWords(meaning.speech.place, frame.from, frame.to))}
                </span>
              </span>
              <Pattern fingers={frame.fingers} lengthMm={meaning.findings.setup.lengthMm} />
              <span className="text-[0.95rem]">{changeWords(frame, frames[at - 1], meaning)}</span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What the hand does from the pattern before to this one. */
function changeWords(frame: Frame, before: Frame | undefined, { plan, speech }: Meaning): string {
  const where = inPlace(frame, speech.instrument);
  const pattern = patternWords(frame);
  if (!before) return `Begins ${where}${pattern}.`;
  const shifted = plan.shifts.some(({ to }) => to > before.to - 1 && to <= frame.from && to > before.from);
  if (shifted) return `After a shift, ${where}${pattern}.`;
  const old = new Map(laidFingers(before.fingers));
  const moves = laidFingers(frame.fingers).flatMap(([finger, n]) => {
    const was = old.get(finger);
    return was === undefined || was === n ? [] : [`${finger} ${n > was ? 'higher' : 'lower'}`];
  });
  const crossing =
    frame.string === before.string ? 'The same string' : `To the ${printed(frame.string)} string`;
  return moves.length > 0
    ? `${crossing}: ${listed(moves)}${pattern}.`
    : `${crossing}, every finger where it was.`;
}

/** Which fingers touch, and where one reaches further than a tone: "; 2 and 3 touch". */
function patternWords({ fingers, gaps }: Frame): string {
  if (gaps.length === 0) return '';
  const laid = laidFingers(fingers).map(([finger]) => finger);
  const told = gaps.flatMap((gap, at) => {
    if (!neighbours(laid[at], laid[at + 1])) return [];
    const pair = `${laid[at]} and ${laid[at + 1]}`;
    return gap === 1 ? [`${pair} touch`] : gap > 2 ? [`${gapWords(gap)} tones between ${pair}`] : [];
  });
  return `; ${told.length > 0 ? told.join(', ') : 'no two fingers touch'}`;
}

function neighbours(lower: Finger, higher: Finger): boolean {
  return lower === 'T' || (higher !== 'T' && higher - lower === 1);
}
