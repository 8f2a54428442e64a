import type { LiveMoment } from '../../core/listening';
import { signed } from '../../wording/grammar';
import * as listenText from '../../wording/rooms/listenViews';

const WIDTH = 260;
const MOST = 50;
/** Decibels at the left end of the meter. */
const QUIET = -70;
/** Seconds without a sound before a word is said. */
const PATIENCE = 4;

interface Props {
  readonly live: LiveMoment | null;
}

/** The needle for the note at hand, and the level. */
export function Needle({ live }: Props) {
  const cents = live?.cents;
  const x = WIDTH / 2 + (Math.max(-MOST, Math.min(MOST, cents ?? 0)) / MOST) * (WIDTH / 2 - 10);
  const level = Math.max(0, Math.min(1, 1 - (live?.level ?? QUIET) / QUIET));
  return (
    <>
      <svg
        width={WIDTH}
        height={44}
        role="img"
        aria-label={`${listenText.needle}: ${cents === undefined ? '–' : listenText.offFromTarget(signed(cents, 0))}`}
      >
        <line x1={10} x2={WIDTH - 10} y1={22} y2={22} stroke="var(--color-rule)" strokeWidth={2} />
        <line x1={WIDTH / 2} x2={WIDTH / 2} y1={8} y2={36} stroke="var(--color-ink)" strokeWidth={2} />
        {cents !== undefined && <circle cx={x} cy={22} r={9} fill="var(--color-dove)" />}
        <text x={10} y={42} fontSize={12} fill="var(--color-faded)">
          {listenText.flat}
        </text>
        <text x={WIDTH - 10} y={42} fontSize={12} textAnchor="end" fill="var(--color-faded)">
          {listenText.sharp}
        </text>
      </svg>
      <meter className="w-32" min={0} max={1} value={level} aria-label={listenText.levelMeter} />
      <p role="status">{(live?.silent ?? 0) > PATIENCE ? listenText.nothingHeardYet : listenText.listening}</p>
    </>
  );
}
