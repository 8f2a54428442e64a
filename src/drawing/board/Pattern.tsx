import { laidFingers, stopMm, type FingerPlaces } from '../../core';
import { gapWords } from '../../wording/frames';
import { line, type Mark } from '../paper/ink';
import { ON_PAGE, tipMarks } from './fingerboard';
import { Marks } from './Marks';
import { boardScale } from './scale';
import * as boardDrawingsText from '../../wording/rooms/boardDrawings';

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
  boardDrawingsText.oneAndAHalf,
  'two',
  boardDrawingsText.twoAndAHalf,
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
    .map(([finger], n) => boardDrawingsText.and(laid[n][0], finger, SPOKEN_GAPS[gaps[n + 1]] ?? gapWords(gaps[n + 1])));
  const marks: Mark[] = [
    line(4, LINE_Y, width - 4, LINE_Y, 2, { tone: 'grey' }),
    ...laid.flatMap(([finger], n) =>
      tipMarks(finger, { x: at(places[n]), y: LINE_Y, r: TIP, kind: 'pressed', size: 14 }, ON_PAGE),
    ),
    ...gaps.slice(1).map((gap, n): Mark => {
      const middle = (at(places[n + 1]) + at(places[n])) / 2;
      return { kind: 'label', x: middle, y: 12, text: gapWords(gap), size: 12, anchor: 'middle' };
    }),
  ];
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={
        words.length === 0
          ? boardDrawingsText.fingerAlone(laid[0]?.[0] ?? '')
          : boardDrawingsText.tonesBetweenFingers(words.join('; '))
      }
    >
      <Marks marks={marks} />
    </svg>
  );
}
