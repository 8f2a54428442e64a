import type { Shift, Step, Verdict } from '../../core';
import { shiftDistance } from '../../wording/rooms/drawings';
import { fingerSign } from '../../wording/places';
import type { Mark, Segment, Tone } from '../paper/ink';

/*
 * The hand trail, for screen and paper: notes run to the right, each finger stands at its real distance along the neck; the hand is a band from first to
 * fourth finger, which steps at a shift.
 */

/** How large things are; in px on the page, in points on paper. */
export interface TrailLook {
  /** Radius of a token. */
  readonly token: number;
  readonly finger: number;
  readonly edge: number;
  /** Edge of a finger that is stretched. */
  readonly stretched: number;
  readonly words: number;
  readonly step: number;
  readonly dot: number;
  /** Shifts closer than this stand at two heights, or their words would run together. */
  readonly wordsWide: number;
}

/** Where things lie. */
export interface TrailPlaces {
  /** Left edge of an event's column; of the one after the last, its end. */
  readonly left: (at: number) => number;
  /** From mm along the neck. */
  readonly y: (mm: number) => number;
}

type Reach = Verdict | undefined;
type Spread = Exclude<Verdict, 'easy'>;

const isSpread = (verdict: Reach): verdict is Spread => verdict === 'stretch' || verdict === 'beyond';

const EDGES: Readonly<Record<Spread, Tone>> = { stretch: 'ochre', beyond: 'madder' };

const middleOf = ({ left }: TrailPlaces, at: number) => (left(at) + left(at + 1)) / 2;

/** The hand as a band, note by note. */
export function bandMark(steps: readonly Step[], { left, y }: TrailPlaces): Mark {
  const path = steps.flatMap(({ at, handMm: [low, high] }): Segment[] => {
    const [top, foot] = [y(high), Math.max(y(low), y(high) + 2)];
    return [['M', left(at), top], ['L', left(at + 1), top], ['L', left(at + 1), foot], ['L', left(at), foot], ['Z']];
  });
  return { kind: 'shape', path, fill: 'dove', opacity: 0.16 };
}

/** Shifts whose words would run into those of the one before: they stand a line higher. */
export function raisedShifts(shifts: readonly Shift[], { left }: TrailPlaces, look: TrailLook): ReadonlySet<number> {
  const raised = new Set<number>();
  shifts.forEach(({ to }, n) => {
    const before = shifts[n - 1];
    if (before && left(to) - left(before.to) < look.wordsWide && !raised.has(before.to)) raised.add(to);
  });
  return raised;
}

const middleMm = ({ handMm: [low, high] }: Step) => (low + high) / 2;

/** A shift: a step between the two places of the hand, with how far it goes. */
export function shiftMarks(
  { travelMm }: Shift,
  { from, to, raised }: { readonly from: Step; readonly to: Step; readonly raised: boolean },
  { left, y }: TrailPlaces,
  look: TrailLook,
): Mark[] {
  const x = left(to.at);
  const [start, end] = [y(middleMm(from)), y(middleMm(to))];
  const top = y(Math.max(from.handMm[1], to.handMm[1]));
  const lines = raised ? 2 : 1;
  return [
    { kind: 'line', x1: x, x2: x, y1: start, y2: end, width: look.step, tone: 'copper' },
    { kind: 'disc', x, y: end, r: look.dot, fill: 'copper' },
    {
      kind: 'label',
      x,
      y: Math.max(look.words * (raised ? 1 : 2.15), top - look.words * 1.15 * lines + 2),
      text: shiftDistance(end < start, Math.round(travelMm)),
      size: look.words,
      bold: true,
      anchor: 'middle',
      tone: 'copper',
    },
  ];
}

/** Fingers on their strings as tokens: an open string is a ring at the nut, a finger that is stretched has an edge of its own. */
export function tokenMarks(
  steps: readonly Step[],
  verdictAt: (at: number) => Reach,
  places: TrailPlaces,
  look: TrailLook,
): Mark[] {
  return steps.flatMap(({ at, stops }) =>
    stops.map(({ finger, stopMm }): Mark => {
      const verdict = verdictAt(at);
      const [x, y, r] = [middleOf(places, at), places.y(stopMm), look.token];
      if (finger === 0) return { kind: 'disc', part: 'open', x, y, r, fill: 'paper', stroke: 'ink', width: look.edge };
      return isSpread(verdict)
        ? { kind: 'disc', part: verdict, x, y, r, fill: 'ink', stroke: EDGES[verdict], width: look.stretched }
        : { kind: 'disc', part: 'easy', x, y, r, fill: 'ink', stroke: 'ink', width: look.edge };
    }),
  );
}

/** The fingers in their tokens, a letter each. */
export function fingerMarks(steps: readonly Step[], places: TrailPlaces, { token, finger: size }: TrailLook): Mark[] {
  return steps.flatMap(({ at, stops }) =>
    stops.flatMap((stop) =>
      [...fingerSign(stop)].map((letter, n): Mark => ({
        kind: 'label',
        x: middleOf(places, at) + n * token * 0.7,
        y: places.y(stop.stopMm) + token * 0.5,
        text: letter,
        size,
        bold: true,
        anchor: 'middle',
        tone: stop.finger === 0 ? 'ink' : 'paper',
      })),
    ),
  );
}

/** What a run of stretched fingers is called, at the first of them; over its token where that lies higher than the notes beside it. */
export function spreadMarks(
  steps: readonly Step[],
  verdictAt: (at: number) => Reach,
  places: TrailPlaces,
  look: TrailLook,
): Mark[] {
  const lies = (step: Step | undefined) => step?.stops[0].stopMm ?? 0;
  return steps.flatMap((step, n): Mark[] => {
    const verdict = verdictAt(step.at);
    if (!isSpread(verdict) || verdict === verdictAt(step.at - 1)) return [];
    const over = lies(steps[n - 1]) < lies(step) && lies(steps[n + 1]) < lies(step);
    const y = places.y(lies(step));
    return [
      {
        kind: 'label',
        x: middleOf(places, step.at),
        y: over ? y - look.token - look.words / 3 : y + look.token + look.words * 1.1,
        text: verdict,
        size: look.words,
        bold: true,
        anchor: 'middle',
        tone: EDGES[verdict],
      },
    ];
  });
}
