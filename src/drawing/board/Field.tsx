import { useRef, useState, type KeyboardEvent } from 'react';
import { stopMm, type Setup } from '../../core';
import { intervalWords, stringWords } from '../../wording/places';
import { boardScale } from './scale';
import { nutMark, ON_PAGE, stringsMarks } from './fingerboard';
import { Marks } from './Marks';
import * as drawingsText from '../../wording/rooms/drawings';

/** A place on the fingerboard, with what is written into it. */
export interface Spot {
  readonly string: string;
  readonly semitones: number;
  readonly label?: string;
  readonly tone?: 'plain' | 'right' | 'wrong';
  /** True where an open string rings along: it has a second ring. */
  readonly rings?: boolean;
  /** What it is called aloud. */
  readonly words?: string;
}

interface Props {
  readonly setup: Setup;
  readonly upTo: number;
  readonly spots: readonly Spot[];
  readonly label: string;
  /** Called with a spot that is chosen; nothing can be chosen where left out. */
  readonly onChoose?: (spot: Spot) => void;
}

const WIDTH = 1000;
const LEFT = 70;
const GAP = 46;
const TOP = 34;
const SIZE = 34;

const TONES = {
  plain: ['var(--color-sheet)', 'var(--color-ink)'],
  right: ['var(--color-sage)', 'var(--color-sheet)'],
  wrong: ['var(--color-madder)', 'var(--color-sheet)'],
} as const;

/** The fingerboard to scale with places on it, to be looked at or to be chosen from: by a click, or with the arrow keys and Enter. */
export function Field({ setup, upTo, spots, label, onChoose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(0);
  const { at: x } = boardScale([0, stopMm(setup.lengthMm, upTo)], [LEFT, WIDTH - 24]);
  const mm = (semitones: number) => stopMm(setup.lengthMm, semitones);
  const rows = setup.strings.length;
  const rowY = (string: number) => TOP + (rows - 1 - string) * GAP;
  const y = (name: string) => rowY(setup.strings.findIndex((string) => string.name === name));
  const height = TOP + (rows - 1) * GAP + 34;
  const place = ({ semitones, string }: Spot) => ({
    left: semitones === 0 ? x(0) - 22 : x(mm(semitones)),
    top: y(string),
  });
  const moved = (event: KeyboardEvent) => {
    const next = neighbour(spots, at, event.key, setup);
    if (next === null) return;
    event.preventDefault();
    setAt(next);
    box.current?.querySelectorAll<HTMLElement>('button')[next]?.focus();
  };
  const board = [
    ...stringsMarks(
      setup.strings.map(({ name }) => name),
      { y: rowY, from: x(0), to: WIDTH - 10, nameX: 8 },
      ON_PAGE,
    ),
    nutMark(x(0), TOP - 16, rowY(0) + 16, ON_PAGE),
  ];
  return (
    <div ref={box} className="relative w-full overflow-x-auto" role="group" aria-label={label} data-testid="field">
      <div className="relative" style={{ width: WIDTH, height }}>
        <svg viewBox={`0 0 ${WIDTH} ${height}`} width={WIDTH} height={height} aria-hidden className="absolute inset-0">
          <Marks marks={board} />
        </svg>
        {spots.map((spot, n) => {
          const [fill, ink] = TONES[spot.tone ?? 'plain'];
          const { left, top } = place(spot);
          const look = {
            left: left - SIZE / 2,
            top: top - SIZE / 2,
            width: SIZE,
            height: SIZE,
            background: spot.label === undefined ? 'transparent' : fill,
            color: ink,
          };
          const words = spot.words ?? placeWords(spot);
          const shape = `absolute flex items-center justify-center rounded-full border-2 border-dove font-bold ${
            spot.rings ? 'outline-2 outline-offset-2 outline-dove focus-visible:outline-4' : ''
          }`;
          return onChoose ? (
            <button
              key={n}
              type="button"
              tabIndex={n === Math.min(at, spots.length - 1) ? 0 : -1}
              aria-label={words}
              className={`${shape} cursor-pointer ${spot.label === undefined ? 'border-dotted' : ''} hover:bg-haze`}
              style={look}
              onFocus={() => setAt(n)}
              onKeyDown={moved}
              onClick={() => onChoose(spot)}
            >
              {spot.label}
            </button>
          ) : (
            <span key={n} role="img" aria-label={words} className={shape} style={look}>
              {spot.label}
            </span>
          );
        })}
      </div>
    </div>
  );
}

function placeWords({ string, semitones, label }: Spot): string {
  const where =
    semitones === 0
      ? drawingsText.open(stringWords(string))
      : drawingsText.upThe(intervalWords(semitones), stringWords(string));
  return label ? `${label}, ${where}` : where;
}

/** The spot that an arrow key leads to: the nearest in that direction; null for other keys. */
function neighbour(spots: readonly Spot[], at: number, key: string, { strings }: Setup): number | null {
  const row = ({ string }: Spot) => strings.findIndex(({ name }) => name === string);
  const from = spots[at];
  if (!from) return null;
  const ways: Readonly<Record<string, (spot: Spot) => number>> = {
    ArrowRight: (spot) => (row(spot) === row(from) ? spot.semitones - from.semitones : NaN),
    ArrowLeft: (spot) => (row(spot) === row(from) ? from.semitones - spot.semitones : NaN),
    ArrowUp: (spot) =>
      row(spot) > row(from) ? (row(spot) - row(from)) * 100 + Math.abs(spot.semitones - from.semitones) : NaN,
    ArrowDown: (spot) =>
      row(spot) < row(from) ? (row(from) - row(spot)) * 100 + Math.abs(spot.semitones - from.semitones) : NaN,
  };
  const way = ways[key];
  if (!way) return null;
  const reached = spots.map((spot, n) => ({ n, away: way(spot) })).filter(({ away }) => away > 0);
  return reached.sort((a, b) => a.away - b.away)[0]?.n ?? at;
}
