import { stopMm, pitchName, type Heard, type Setup } from '../../core';
import { mmFine } from '../../wording/grammar';
import { noteWords } from '../../wording/notes';
import type { Mark } from '../paper/ink';
import { boardScale } from './scale';
import { nutMark, ON_PAGE, stringsMarks } from './fingerboard';
import { Marks } from './Marks';
import * as drawingsText from '../../wording/rooms/drawings';
import * as boardDrawingsText from '../../wording/rooms/boardDrawings';

interface Props {
  readonly setup: Setup;
  /** Each place once. */
  readonly notes: readonly Heard[];
  /** Number of the one that is looked at. */
  readonly open: number;
  readonly onOpen: (at: number) => void;
}

const WIDTH = 1180;
const LEFT = 64;
const GAP = 60;
const TOP = 44;
const LEAST_HIT = 24;
/** Names are written where there is so much room before the next on the string. */
const ROOM_FOR_NAME = 22;

/**
 * Where the notes of a plan go, on the strings to scale: the target as a line, how far it may be off as a band round it, and where a note has two true
 * places, both of them.
 */
export function TargetBoard({ setup, notes, open, onOpen }: Props) {
  const most = Math.max(60, ...notes.map(({ target }) => target.mm + target.toleranceMm)) * 1.04;
  const { at: x, perMm, marks } = boardScale([0, most], [LEFT, WIDTH - 20]);
  const rows = setup.strings.length;
  const y = (string: number) => TOP + (rows - 1 - string) * GAP;
  const height = TOP + (rows - 1) * GAP + 40;
  const board = [
    ...stringsMarks(
      setup.strings.map(({ name }) => name),
      { y: y, from: LEFT, to: WIDTH - 12, nameX: 10 },
      ON_PAGE,
    ),
    ...marks(8).map((mm): Mark => {
      const text = drawingsText.rulerMark(mm);
      return { kind: 'label', x: x(mm), y: 16, text, size: 13, anchor: 'middle', tone: 'grey' };
    }),
    nutMark(LEFT, TOP - 16, y(0) + 16, ON_PAGE),
  ];
  return (
    <div
      className="overflow-x-auto rounded-lg border border-rule bg-sheet"
      tabIndex={0}
      role="group"
      aria-label={boardDrawingsText.targetsOnTheStrings}
      data-testid="target-board"
    >
      <svg viewBox={`0 0 ${WIDTH} ${height}`} width={WIDTH} height={height} className="block">
        <Marks marks={board} />
        {notes.map(({ note, target, comma }, at) => {
          if (note.finger === 0) return null;
          const [middle, line] = [x(target.mm), y(note.string)];
          const band = Math.max(2, 2 * target.toleranceMm * perMm);
          const name = noteWords(pitchName(note.pitch));
          const words = boardDrawingsText.fingerFromTheNut(
            name,
            note.finger,
            mmFine(target.mm),
            mmFine(target.toleranceMm),
          );
          return (
            <g key={at} className="cursor-pointer" onClick={() => onOpen(at)} data-testid="target">
              <title>{words}</title>
              <rect
                x={middle - Math.max(band, LEAST_HIT) / 2}
                y={line - 20}
                width={Math.max(band, LEAST_HIT)}
                height={40}
                fill="transparent"
              />
              <rect
                x={middle - band / 2}
                y={line - 13}
                width={band}
                height={26}
                rx={4}
                fill={at === open ? 'var(--color-dove)' : 'var(--color-sage)'}
                opacity={at === open ? 0.55 : 0.3}
              />
              <line x1={middle} x2={middle} y1={line - 13} y2={line + 13} stroke="var(--color-ink)" strokeWidth={2} />
              {comma &&
                placesOf(comma, note.semitones, setup).map((mm) => (
                  <path
                    key={mm}
                    d={`M${x(mm)} ${line - 14}l-5 -8h10z`}
                    fill="var(--color-madder)"
                    data-testid="comma-place"
                  />
                ))}
              {hasRoom(notes, at, perMm) && (
                <text x={middle} y={line + 28} fontSize={13} textAnchor="middle" fill="currentColor">
                  {name}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <p className="px-3 pb-1 text-sm text-faded">{boardDrawingsText.theLineIsThe}</p>
    </div>
  );
}

/** The two places that a comma asks for, in mm from the nut. */
function placesOf({ fifth, third }: NonNullable<Heard['comma']>, semitones: number, setup: Setup): number[] {
  return [fifth, third].map(({ cents }) => stopMm(setup.lengthMm, semitones + cents / 100));
}

/** True where no note before it on the same string is so near that their names would run together. */
function hasRoom(notes: readonly Heard[], at: number, perMm: number): boolean {
  const { note, target } = notes[at];
  return !notes
    .slice(0, at)
    .some(
      (other) =>
        other.note.string === note.string &&
        other.note.finger !== 0 &&
        Math.abs(other.target.mm - target.mm) * perMm < ROOM_FOR_NAME,
    );
}
