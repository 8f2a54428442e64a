import {
  checkpointsFor,
  midiOf,
  parsePitch,
  pitchName,
  playedNotes,
  reachVerdict,
  resolveHand,
  ringing,
  stopMm,
  type Plan,
  type PlanRequest,
  type ResponseEvent,
  type Setup,
  type Step,
} from '../../core';
import { noteWords, shortCheck } from '../../brief/findings';
import { printed } from '../../brief/words';

/** Fingertips are drawn at most so big, in px; a long piece of neck is drawn smaller. */
const MOST_RADIUS = 25;
const WIDTH = 860;
const LEFT = 64;
const STRING_GAP = 34;
const TOP = 54;

const TONES = {
  easy: 'var(--color-sage)',
  stretch: 'var(--color-ochre)',
  beyond: 'var(--color-madder)',
} as const;

interface Props {
  readonly events: readonly ResponseEvent[];
  readonly plan: Plan;
  readonly request: PlanRequest;
  readonly setup: Setup;
  readonly cursor: number;
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

/** The fingerboard to scale at the note under the cursor: fingertips as discs of the student's own width. */
export function Neck({ events, plan, request, setup, cursor }: Props) {
  const step = plan.steps.find((candidate) => candidate.at === cursor);
  if (!step) return null;
  const hand = resolveHand(request.instrument, request.hand);
  const most = (2 * MOST_RADIUS) / hand.fingertipMm;
  const [from, to] = windowFor(step, setup, (WIDTH - LEFT - 10) / most);
  const scale = Math.min(most, (WIDTH - LEFT - 10) / (to - from));
  const x = (mm: number) => LEFT + (mm - from) * scale;
  const rows = setup.strings.length;
  const y = (name: string) =>
    TOP + (rows - 1 - setup.strings.findIndex((string) => string.name === name)) * STRING_GAP;
  const height = TOP + rows * STRING_GAP + 34;
  const radius = (hand.fingertipMm / 2) * scale;
  const mm = (semitones: number) => stopMm(setup.lengthMm, semitones);
  const playing = step.stops.filter((stop) => stop.finger !== 0);
  const on = playing[0]?.string ?? step.stops[0].string;
  const idle = Object.entries(step.hand).filter(
    ([finger]) => !playing.some((stop) => String(stop.finger) === finger),
  );
  const spread = plan.reach.find((reach) => reach.at === step.at);
  const crowded = crowdedPairs(step, mm, hand.fingertipMm);
  const notes = playedNotes(events, { ...plan, steps: [step] }, setup);
  const rings = new Set(notes.flatMap((note) => ringing(note, setup).map(({ string }) => string)));
  const guide = guideOf(plan, step, setup);
  return (
    <figure
      aria-label="The neck at this note"
      className="rounded-lg border border-rule bg-sheet px-2 py-1"
      data-testid="neck"
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        width="100%"
        style={{ maxHeight: 250 }}
        role="img"
        aria-label={neckWords(step, hand.fingertipMm)}
      >
        {setup.strings.map(({ name }, at) => (
          <g key={name}>
            <line
              x1={x(Math.max(0, from))}
              x2={x(to)}
              y1={y(name)}
              y2={y(name)}
              stroke="var(--color-faded)"
              strokeWidth={1.2 + 0.9 * (rows - 1 - at)}
            />
            <text x={14} y={y(name) + 6} fontSize={17} fontWeight={700} fill="var(--color-ink)">
              {printed(name)}
            </text>
            {rings.has(at) && (
              <text x={x(to) - 2} y={y(name) - 5} fontSize={14} textAnchor="end" fill="var(--color-sage)">
                rings
              </text>
            )}
          </g>
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
        {rulerMarks(from, to).map((mark) => (
          <g key={mark}>
            <line x1={x(mark)} x2={x(mark)} y1={TOP - 28} y2={TOP - 34} stroke="var(--color-faded)" />
            <text x={x(mark)} y={TOP - 38} fontSize={13} textAnchor="middle" fill="var(--color-faded)">
              {mark === 0 ? 'nut' : `${mark} mm`}
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
            finger={String(stop.finger)}
            playing
            open={stop.finger === 0}
          />
        ))}
        {spread && (
          <Spread
            from={x(mm(step.hand[String(spread.fingers[0]) as '1'] ?? 0))}
            to={x(mm(step.hand[String(spread.fingers[1]) as '1'] ?? 0))}
            y={TOP + rows * STRING_GAP + 2}
            tone={TONES[spread.verdict]}
            words={`${spread.fingers.join('–')}: ${spread.spreadMm} mm, ${spread.verdict}`}
          />
        )}
      </svg>
      <figcaption className="flex flex-wrap gap-x-4 px-2 text-sm text-faded">
        <span>
          To scale; fingertips {hand.fingertipMm} mm wide, string {Math.round(setup.lengthMm)} mm.
        </span>
        {guide && <span className="text-copper">{guide.words}</span>}
        {notes.map((note) => {
          const [check] = checkpointsFor(note, setup, 'pure');
          return (
            check && (
              <span key={note.voice}>
                Check {noteWords(pitchName(note.pitch))}: {shortCheck(check, setup)}.
              </span>
            )
          );
        })}
        {spread && reachVerdict(hand, spread.share) !== 'easy' && (
          <span className="text-ochre">
            A stretch: warm up, keep the thumb soft, stop at any pain or tingling.
          </span>
        )}
        {crowded.map((words) => (
          <span key={words} className="text-ochre">
            {words}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

/** Where the finger that makes the shift to this note touches the string unheard; null where no shift arrives here. */
function guideOf({ shifts }: Plan, { at }: Step, setup: Setup) {
  const guide = shifts.find(({ to }) => to === at)?.guide;
  const open = setup.strings.find(({ name }) => name === guide?.string);
  const pitch = guide && parsePitch(guide.pitch);
  if (!guide || !open || !pitch) return null;
  return {
    string: guide.string,
    mm: stopMm(setup.lengthMm, midiOf(pitch) - open.midi),
    words: `Guide note: finger ${guide.finger} on ${noteWords(guide.pitch)}, unheard (dotted).`,
  };
}

/** Neighbouring fingers that have less room than their tips are wide. */
function crowdedPairs(step: Step, mm: (semitones: number) => number, tipMm: number): string[] {
  const laid = Object.entries(step.hand).sort((a, b) => a[1] - b[1]);
  return laid.slice(1).flatMap(([finger, semitones], at) => {
    const [below, lower] = laid[at];
    const room = mm(semitones) - mm(lower);
    if (semitones === lower || room >= tipMm) return [];
    return [`${below} and ${finger} are crowded: ${room.toFixed(1)} mm apart, one makes way for the other.`];
  });
}

function rulerMarks(from: number, to: number): number[] {
  const gap = [10, 20, 25, 50, 100].find((candidate) => (to - from) / candidate <= 9) ?? 200;
  const first = Math.max(0, Math.ceil(from / gap));
  return Array.from({ length: Math.floor(to / gap) - first + 1 }, (_, at) => (first + at) * gap);
}

function neckWords(step: Step, tipMm: number): string {
  const fingers = Object.entries(step.hand).map(
    ([finger, semitones]) => `${finger} at ${semitones} semitones`,
  );
  return `Neck to scale, ${step.positionName}: ${fingers.join(', ')}; fingertips ${tipMm} mm`;
}

interface TipProps {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly finger: string;
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

interface SpreadProps {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly tone: string;
  readonly words: string;
}

function Spread({ from, to, y, tone, words }: SpreadProps) {
  return (
    <g>
      <path
        d={`M${from} ${y - 5}V${y + 5}M${from} ${y}H${to}M${to} ${y - 5}V${y + 5}`}
        stroke={tone}
        strokeWidth={3}
        fill="none"
      />
      <text x={(from + to) / 2} y={y + 21} fontSize={15} fontWeight={700} textAnchor="middle" fill={tone}>
        {words}
      </text>
    </g>
  );
}
