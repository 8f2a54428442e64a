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
import { boardScale } from './scale';
import { Span } from './Span';
import { Strings } from './Strings';
import { VERDICT_TONES } from './tones';
import { neckText } from '../../wording/rooms/drawings';

/** Fingertips are drawn at most so big, in px; a long piece of neck is drawn smaller. */
const MOST_RADIUS = 25;
const LEFT = 64;
const RIGHT = 10;
const STRING_GAP = 34;
const TOP = 54;

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
  const end = stopMm(setup.lengthMm, setup.reachSemitones);
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
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      style={{ maxHeight: 250 }}
      role="img"
      aria-label={neckWords(setup, step, hand.fingertipMm)}
    >
      <Strings setup={setup} from={x(Math.max(0, from))} to={x(to)} nameX={14} y={rowY} />
      {[...rings].map((string) => (
        <text key={string} x={x(to) - 2} y={rowY(string) - 5} fontSize={14} textAnchor="end" fill="var(--color-sage)">
          {neckText.rings}
        </text>
      ))}
      {from < 0 && (
        <line
          x1={x(0)}
          x2={x(0)}
          y1={TOP - 14}
          y2={TOP + (rows - 1) * STRING_GAP + 14}
          stroke="var(--color-ink)"
          strokeWidth={5}
        />
      )}
      {scale.marks(8).map((mark) => (
        <g key={mark}>
          <line x1={x(mark)} x2={x(mark)} y1={TOP - 28} y2={TOP - 34} stroke="var(--color-faded)" />
          <text x={x(mark)} y={TOP - 38} fontSize={13} textAnchor="middle" fill="var(--color-faded)">
            {mark === 0 ? neckText.nut : neckText.mm(mark)}
          </text>
        </g>
      ))}
      {idle.map(([finger, semitones]) => (
        <Tip key={finger} x={x(mm(semitones))} y={y(on)} radius={radius} finger={finger} />
      ))}
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
      {step.stops.map((stop) => (
        <Tip
          key={stop.string}
          x={stop.finger === 0 ? x(Math.max(0, from)) - 16 : x(stop.stopMm)}
          y={y(stop.string)}
          radius={stop.finger === 0 ? 11 : radius}
          finger={stop.finger}
          playing
          open={stop.finger === 0}
        />
      ))}
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
  const fingers = laidFingers(step.hand).map(([finger, semitones]) => neckText.atSemitones(finger, semitones));
  return neckText.neckToScaleFingertips(placeName(step, instrument.name), fingers.join(', '), tipMm);
}

interface TipProps {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly finger: Finger;
  readonly playing?: boolean;
  readonly open?: boolean;
}

function Tip({ x, y, radius, finger, playing = false, open = false }: TipProps) {
  const solid = playing && !open;
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={radius}
        fill={solid ? 'var(--color-ink)' : 'var(--color-sheet)'}
        fillOpacity={solid ? 0.92 : 0.6}
        stroke="var(--color-ink)"
        strokeWidth={playing ? 2.5 : 1.3}
        strokeDasharray={playing ? undefined : '4 3'}
      />
      <text
        x={x}
        y={y + 6}
        fontSize={17}
        fontWeight={700}
        textAnchor="middle"
        fill={solid ? 'var(--color-sheet)' : 'var(--color-ink)'}
      >
        {finger}
      </text>
    </g>
  );
}
