import { laidFingers, stopMm, type FingerPlaces } from '../../core';
import { gapWords } from '../../wording/frames';
import { boardScale } from './scale';
import { patternText } from '../../wording/rooms/drawings';

const HEIGHT = 42;
const LINE_Y = 28;
const TIP = 11;
const MARGIN = 16;
/** A pattern is drawn at least so long, so that two touching fingers stay close. */
const LEAST_MM = 60;

/** Semitones as tones, as they are read aloud. */
const SPOKEN_GAPS: readonly (string | undefined)[] = [
  'none',
  'a half',
  'one',
  patternText.oneAndAHalf,
  'two',
  patternText.twoAndAHalf,
  'three',
];

interface Props {
  readonly fingers: FingerPlaces;
  readonly lengthMm: number;
  readonly width?: number;
}

/** A finger pattern on one string, to scale, with the tones between the fingers. */
export function Pattern({ fingers, lengthMm, width = 172 }: Props) {
  const laid = laidFingers(fingers);
  const places = laid.map(([, semitones]) => stopMm(lengthMm, semitones));
  const first = places[0] ?? 0;
  const span = Math.max(LEAST_MM, (places[places.length - 1] ?? 0) - first);
  const { at } = boardScale([first, first + span], [MARGIN, width - MARGIN]);
  const gaps = laid.map(([, semitones], n) => (n === 0 ? 0 : semitones - laid[n - 1][1]));
  const words = laid
    .slice(1)
    .map(([finger], n) => patternText.and(laid[n][0], finger, SPOKEN_GAPS[gaps[n + 1]] ?? gapWords(gaps[n + 1])));
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={
        words.length === 0
          ? patternText.fingerAlone(laid[0]?.[0] ?? '')
          : patternText.tonesBetweenFingers(words.join('; '))
      }
    >
      <line x1={4} x2={width - 4} y1={LINE_Y} y2={LINE_Y} stroke="var(--color-faded)" strokeWidth={2} />
      {laid.map(([finger], n) => (
        <g key={finger}>
          <circle cx={at(places[n])} cy={LINE_Y} r={TIP} fill="var(--color-ink)" />
          <text
            x={at(places[n])}
            y={LINE_Y + 5}
            fontSize={14}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--color-sheet)"
          >
            {finger}
          </text>
          {n > 0 && (
            <text
              x={(at(places[n]) + at(places[n - 1])) / 2}
              y={12}
              fontSize={12}
              textAnchor="middle"
              fill="var(--color-ink)"
            >
              {gapWords(gaps[n])}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
