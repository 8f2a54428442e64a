import {
  laidFingers,
  stopMm,
  type Finger,
  type HandProfile,
  type ReachAnswer,
  type Setup,
  type Step,
} from '../../core';
import { mm as mmWords } from '../../wording/grammar';
import { placeName } from '../../wording/places';
import type { Mark } from '../paper/ink';
import { boardScale } from './scale';
import { Span } from './Span';
import { nutMark, ON_PAGE, rulerMarks, stringsMarks, tipMarks } from './fingerboard';
import { Marks } from './Marks';
import { VERDICT_TONES } from './tones';
import * as boardDrawingsText from '../../wording/rooms/boardDrawings';

/** Fingertips are drawn at most so big, in px; a long piece of neck is drawn smaller. */
const MOST_RADIUS = 25;
const LEFT = 64;
const RIGHT = 10;
const STRING_GAP = 34;
const TOP = 54;
/** Size of a finger's figure. */
const FINGER = 17;

interface Props {
  readonly setup: Setup;
  readonly hand: HandProfile;
  /** How the note is held. */
  readonly step: Step;
  /** The widest spread that it asks for. */
  readonly spread?: ReachAnswer;
  /** Where the finger that makes the shift touches the string unheard. */
  readonly guide?: { readonly string: string; readonly mm: number };
  /** Open strings that ring along, by number. */
  readonly rings?: ReadonlySet<number>;
  readonly width?: number;
}

/**
 * A piece of the neck in mm from the nut that has the whole hand in it, with room on both sides.
 * @param fullMm what fills the picture at the greatest scale
 */
function windowFor(step: Step, setup: Setup, fullMm: number): readonly [number, number] {
  const [low, high] = step.handMm;
  const margin = Math.max(30, (high - low) * 0.5, (fullMm - (high - low)) / 2);
  const end = stopMm(setup.lengthMm, setup.furthestSemitones);
  const from = low - margin < 60 ? -12 : low - margin;
  return [from, Math.min(end + 10, high + margin)];
}

/** The fingerboard to scale at one note: fingertips as discs of the student's own width. */
export function Neck({ setup, hand, step, spread, guide, rings = new Set(), width = 860 }: Props) {
  const room = width - LEFT - RIGHT;
  const most = (2 * MOST_RADIUS) / hand.fingertipMm;
  const [from, to] = windowFor(step, setup, room / most);
  const perMm = Math.min(most, room / (to - from));
  const scale = boardScale([from, to], [LEFT, LEFT + (to - from) * perMm]);
  const x = scale.at;
  const rows = setup.strings.length;
  const rowY = (string: number) => TOP + (rows - 1 - string) * STRING_GAP;
  const y = (name: string) => rowY(setup.strings.findIndex((string) => string.name === name));
  const height = TOP + rows * STRING_GAP + 34;
  const radius = (hand.fingertipMm / 2) * scale.perMm;
  const mm = (semitones: number) => stopMm(setup.lengthMm, semitones);
  const playing = step.stops.filter((stop) => stop.finger !== 0);
  const on = playing[0]?.string ?? step.stops[0].string;
  const laid = laidFingers(step.hand);
  const idle = laid.filter(([finger]) => !playing.some((stop) => stop.finger === finger));
  const placeOf = (finger: Finger) => x(mm(laid.find(([name]) => name === finger)?.[1] ?? 0));
  const board: Mark[] = [
    ...stringsMarks(
      setup.strings.map(({ name }) => name),
      { y: rowY, from: x(Math.max(0, from)), to: x(to), nameX: 14 },
      ON_PAGE,
    ),
    ...[...rings].map((string): Mark => {
      const text = boardDrawingsText.rings;
      return { kind: 'label', x: x(to) - 2, y: rowY(string) - 5, text, size: 14, anchor: 'end', tone: 'sage' };
    }),
    ...(from < 0 ? [nutMark(x(0), TOP - 14, rowY(0) + 14, ON_PAGE)] : []),
    ...rulerMarks(scale.marks(8), x, { y: TOP - 28, labelY: TOP - 38 }, ON_PAGE),
    ...idle.flatMap(([finger, semitones]) =>
      tipMarks(finger, { x: x(mm(semitones)), y: y(on), r: radius, kind: 'resting', size: FINGER }, ON_PAGE),
    ),
  ];
  const playingTips = step.stops.flatMap((stop) =>
    tipMarks(
      stop.finger,
      stop.finger === 0
        ? { x: x(Math.max(0, from)) - 16, y: y(stop.string), r: 11, kind: 'open', size: FINGER }
        : { x: x(stop.stopMm), y: y(stop.string), r: radius, kind: 'pressed', size: FINGER },
      ON_PAGE,
    ),
  );
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      style={{ maxHeight: 250 }}
      role="img"
      aria-label={neckWords(setup, step, hand.fingertipMm)}
    >
      <Marks marks={board} />
      {guide && guide.mm > from && guide.mm < to && (
        <circle
          cx={x(guide.mm)}
          cy={y(guide.string)}
          r={radius + 4}
          fill="none"
          stroke="var(--color-copper)"
          strokeWidth={3}
          strokeDasharray="3 4"
          data-testid="guide"
        />
      )}
      <Marks marks={playingTips} />
      {spread && (
        <Span
          from={placeOf(spread.fingers[0])}
          to={placeOf(spread.fingers[1])}
          y={TOP + rows * STRING_GAP + 2}
          tone={VERDICT_TONES[spread.verdict]}
          side="below"
          words={`${spread.fingers.join('–')}: ${mmWords(spread.spreadMm)}, ${spread.verdict}`}
        />
      )}
    </svg>
  );
}

function neckWords({ instrument }: Setup, step: Step, tipMm: number): string {
  const fingers = laidFingers(step.hand).map(([finger, semitones]) => boardDrawingsText.atSemitones(finger, semitones));
  return boardDrawingsText.neckToScaleFingertips(placeName(step, instrument.name), fingers.join(', '), tipMm);
}
