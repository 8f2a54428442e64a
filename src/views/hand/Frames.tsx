import { printed } from '../../brief/words';
import { inPosition, stopMm, type Plan } from '../../core';
import type { Meaning } from '../../ui/meaning';

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
        Frames, string by string
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
              className="grid w-full cursor-pointer grid-cols-[7rem_11rem_minmax(0,1fr)] items-center gap-x-3 px-3 py-1.5 text-left"
            >
              <span>
                <span className="font-semibold">{printed(frame.string)} string</span>
                <span className="block text-sm text-faded">
                  {frame.from === frame.to
                    ? `note ${frame.from + 1}`
                    : `notes ${frame.from + 1}–${frame.to + 1}`}
                </span>
              </span>
              <Fingers frame={frame} lengthMm={meaning.findings.setup.lengthMm} />
              <span className="text-[0.95rem]">{changeWords(frame, frames[at - 1], meaning)}</span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

const GAPS: Readonly<Record<number, string>> = { 0: '·', 1: '½', 2: '1', 3: '1½', 4: '2' };

/** The fingers that play, to scale, with the steps between them. */
function Fingers({ frame, lengthMm }: { readonly frame: Frame; readonly lengthMm: number }) {
  const laid = Object.entries(frame.fingers).sort((a, b) => a[1] - b[1]);
  const mm = laid.map(([, n]) => stopMm(lengthMm, n));
  const span = Math.max(60, mm[mm.length - 1] - mm[0]);
  const x = (place: number) => 16 + ((place - mm[0]) / span) * 140;
  const words = laid
    .map(([finger], at) => (at === 0 ? finger : `${GAPS[frame.gaps[at - 1]] ?? ''} ${finger}`))
    .join(' ');
  return (
    <svg
      viewBox="0 0 172 42"
      width="172"
      height="42"
      role="img"
      aria-label={`fingers with tones between them: ${words}`}
    >
      <line x1={4} x2={168} y1={28} y2={28} stroke="var(--color-faded)" strokeWidth={2} />
      {laid.map(([finger], at) => (
        <g key={finger}>
          <circle cx={x(mm[at])} cy={28} r={11} fill="var(--color-ink)" />
          <text
            x={x(mm[at])}
            y={33}
            fontSize={14}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--color-sheet)"
          >
            {finger}
          </text>
          {at > 0 && (
            <text
              x={(x(mm[at]) + x(mm[at - 1])) / 2}
              y={12}
              fontSize={12}
              textAnchor="middle"
              fill="var(--color-ink)"
            >
              {GAPS[frame.gaps[at - 1]] ?? frame.gaps[at - 1]}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}

/** What the hand does from the frame before to this one. */
function changeWords(frame: Frame, before: Frame | undefined, { plan }: Meaning): string {
  const step = plan.steps.find(({ at }) => at === frame.from);
  const where = inPosition(step?.positionName ?? String(frame.position));
  const pattern = patternWords(frame);
  if (!before) return `Begins ${where}${pattern}.`;
  const shifted = plan.shifts.some(({ to }) => to > before.to - 1 && to <= frame.from && to > before.from);
  if (shifted) return `After a shift, ${where}${pattern}.`;
  const moves = Object.entries(frame.fingers).flatMap(([finger, n]) => {
    const old = before.fingers[finger];
    if (old === undefined || old === n) return [];
    return [`${finger} ${n > old ? 'higher' : 'lower'}`];
  });
  const crossing =
    frame.string === before.string ? 'The same string' : `To the ${printed(frame.string)} string`;
  return moves.length > 0
    ? `${crossing}: ${moves.join(', ')}${pattern}.`
    : `${crossing}, every finger where it was.`;
}

/** Which fingers touch, and where one reaches further than a tone: ": 2 and 3 touch". */
function patternWords({ fingers, gaps }: Frame): string {
  const names = Object.entries(fingers)
    .sort((a, b) => a[1] - b[1])
    .map(([finger]) => finger);
  if (gaps.length === 0) return '';
  const neighbours = (at: number) =>
    names[at] === 'T' || Number(names[at + 1]) - Number(names[at]) === 1 ? names.slice(at, at + 2) : [];
  const told = gaps.flatMap((gap, at) => {
    const pair = neighbours(at).join(' and ');
    if (!pair) return [];
    return gap === 1 ? [`${pair} touch`] : gap > 2 ? [`${GAPS[gap] ?? gap} tones between ${pair}`] : [];
  });
  return `; ${told.length > 0 ? told.join(', ') : 'no two fingers touch'}`;
}
