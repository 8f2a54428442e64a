import { byKind, leansSurely, lyingIn, readKey, stopMm, type Setup, type Sums } from '../../core';
import { ordinal } from '../../wording/grammar';
import { boardScale } from './scale';
import * as boardDrawingsText from '../../wording/rooms/boardDrawings';

interface Props {
  readonly setup: Setup;
  readonly sums: Sums;
}

const WIDTH = 900;
const LEFT = 96;
const ROW = 66;
const TOP = 40;
const PLACES = [1, 2, 3, 4, 5];
const FINGERS = [1, 2, 3, 4];
const NAMES = ['', 'first', 'second', 'third', 'fourth'];
/** Length of a leaning that is all on one side, in px. */
const LEAN = 34;

/**
 * Which way each finger leans in each position, on a neck to scale: towards the nut is low, towards the bridge high. Where a finger lies is that of a
 * middle string in C major; all strings are counted together.
 */
export function Balance({ setup, sums }: Props) {
  const counts = byKind(sums);
  const middle = Math.floor(setup.strings.length / 2);
  const places = PLACES.flatMap((place) => {
    const lying = lyingIn(setup, readKey('C major'), place).filter(({ string }) => string === middle);
    return FINGERS.flatMap((finger) => {
      const own = counts.get(`finger-${finger}-${place}` as Parameters<typeof counts.get>[0]);
      const at = lying.find((one) => one.finger === finger);
      return own && at ? [{ place, finger, own, mm: stopMm(setup.lengthMm, at.semitones) }] : [];
    });
  });
  if (places.length === 0) return <p className="text-faded">{boardDrawingsText.noFingerHasBeen}</p>;
  const most = Math.max(...places.map(({ mm }) => mm));
  const { at: x } = boardScale([0, most * 1.08], [LEFT, WIDTH - 40]);
  const height = TOP + FINGERS.length * ROW + 16;
  const raised = tooClose(places, x);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      width="100%"
      role="img"
      aria-label={balanceWords(places)}
      data-testid="balance"
    >
      <line x1={LEFT} x2={LEFT} y1={TOP - 10} y2={height - 10} stroke="var(--color-ink)" strokeWidth={5} />
      <text x={LEFT} y={18} fontSize={14} textAnchor="middle" fill="var(--color-faded)">
        {boardDrawingsText.nut}
      </text>
      <text x={WIDTH - 20} y={18} fontSize={14} textAnchor="end" fill="var(--color-faded)">
        {boardDrawingsText.byPositionHowMany}
      </text>
      {FINGERS.map((finger) => (
        <g key={finger}>
          <text x={8} y={TOP + (finger - 0.5) * ROW + 6} fontSize={16} fontWeight={700} fill="var(--color-ink)">
            {boardDrawingsText.finger(finger)}
          </text>
          <line
            x1={LEFT}
            x2={WIDTH - 20}
            y1={TOP + (finger - 0.5) * ROW}
            y2={TOP + (finger - 0.5) * ROW}
            stroke="var(--color-rule)"
            strokeWidth={2}
          />
        </g>
      ))}
      {places.map(({ place, finger, own, mm }) => {
        const [tries, low, high, missed] = own;
        const y = TOP + (finger - 0.5) * ROW;
        const off = low + high + missed;
        // An arrow is drawn only where the evidence bears it; of the rest the plain count stands, faint.
        const sure = leansSurely(own);
        const lean = sure ? ((high - low) / off) * LEAN : 0;
        const radius = Math.min(15, 5 + Math.sqrt(tries));
        return (
          <g key={`${finger}-${place}`}>
            <circle
              cx={x(mm)}
              cy={y}
              r={radius}
              fill="var(--color-sheet)"
              stroke="var(--color-dove)"
              strokeWidth={2}
              opacity={sure ? 1 : 0.45}
            />
            {lean !== 0 && (
              <path
                d={`M${x(mm)} ${y}h${lean}m${-Math.sign(lean) * 7} -5l${Math.sign(lean) * 7} 5l${-Math.sign(lean) * 7} 5`}
                stroke="var(--color-copper)"
                strokeWidth={3}
                fill="none"
              />
            )}
            <text
              x={x(mm)}
              y={raised.has(`${finger}-${place}`) ? y - radius - 5 : y + radius + 13}
              fontSize={13}
              textAnchor="middle"
              fill="var(--color-ink)"
            >
              {boardDrawingsText.of(ordinal(place), off, tries)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Words over a place are so wide, in px. */
const WORDS_WIDE = 110;

/** Places whose words would run into those of the one before on the same row: they stand above. */
function tooClose(places: readonly (Told & { readonly mm: number })[], x: (mm: number) => number): ReadonlySet<string> {
  const raised = new Set<string>();
  for (const finger of FINGERS) {
    let last = -Infinity;
    const row = places.filter((place) => place.finger === finger).sort((a, b) => a.mm - b.mm);
    for (const { place, mm } of row)
      if (x(mm) - last < WORDS_WIDE) raised.add(`${finger}-${place}`);
      else last = x(mm);
  }
  return raised;
}

interface Told {
  readonly place: number;
  readonly finger: number;
  readonly own: readonly number[];
}

function balanceWords(places: readonly Told[]): string {
  const parts = places.map(({ place, finger, own: [tries, low, high, missed] }) =>
    boardDrawingsText.fingerPositionLowHigh(NAMES[finger], place, low, high, missed, tries),
  );
  return boardDrawingsText.whichWayEachFinger(parts.join('; '));
}
