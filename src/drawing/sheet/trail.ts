import { stopMm, type Plan, type Setup } from '../../core';
import { line, words, type Ink, type Segment } from '../paper/ink';
import { trailText } from '../../wording/rooms/drawings';

/*
 * The hand trail on paper: the vertical axis is real distance along the neck, the band is the hand, and a shift is a step with its distance.
 */

export const TRAIL_HEIGHT = 110;
const TIP = 5.6;

/**
 * @param xs where each event stands, in points; only events on this line have a place
 * @param left @param right the edges of the line
 */
export function trailInks(
  plan: Plan,
  { lengthMm }: Setup,
  xs: ReadonlyMap<number, number>,
  left: number,
  right: number,
): Ink[] {
  const shown = plan.steps.filter(({ at }) => xs.has(at));
  if (shown.length === 0) return [];
  const most = Math.max(
    ...plan.steps.flatMap(({ handMm, stops }) => [
      handMm[1],
      ...stops.map(({ semitones }) => stopMm(lengthMm, semitones)),
    ]),
  );
  // As on the Bench: up the neck is up.
  const y = (mm: number) => TRAIL_HEIGHT - 6 - (mm / (most + 8)) * (TRAIL_HEIGHT - 12);
  const inks: Ink[] = [
    line(left, y(0), right, y(0), 1.6),
    ...words(left, y(0) - 2.5, 'nut', { size: 7, tone: 'grey' }),
  ];
  for (let mm = 50; mm < most; mm += 50) {
    inks.push(line(left, y(mm), right, y(mm), 0.4, { tone: 'light' }));
    inks.push(...words(left, y(mm) - 1.5, trailText.mm(mm), { size: 6.5, tone: 'grey' }));
  }
  const upper: Segment[] = [];
  const lower: Segment[] = [];
  shown.forEach(({ at, handMm }, n) => {
    const x = xs.get(at) as number;
    const half = 7;
    for (const side of [x - half, x + half]) {
      upper.push([n === 0 && side < x ? 'M' : 'L', side, y(handMm[0])]);
      lower.unshift(['L', side, y(handMm[1])]);
    }
  });
  inks.push({ kind: 'shape', path: [...upper, ...lower, ['Z']], fill: 'light' });
  const shifts = new Map(plan.shifts.map((shift) => [shift.to, shift]));
  shown.forEach(({ at, stops }, n) => {
    const x = xs.get(at) as number;
    const shift = shifts.get(at);
    const before = shown[n - 1];
    if (shift && before) {
      const from = xs.get(before.at) as number;
      inks.push(line(from, y(before.handMm[0]), x, y(shown[n].handMm[0]), 1.5, { dash: [3, 2] }));
      inks.push(
        ...words((from + x) / 2, TRAIL_HEIGHT + 7, trailText.millimetres(Math.round(shift.travelMm)), {
          size: 7,
          anchor: 'middle',
        }),
      );
    }
    for (const { semitones, finger } of stops) {
      const cy = y(stopMm(lengthMm, semitones));
      const open = finger === 0;
      inks.push({ kind: 'disc', x, y: cy, r: TIP, fill: open ? 'paper' : 'ink', stroke: 'ink', width: 0.8 });
      inks.push(
        ...words(x, cy + 2.7, String(finger), {
          size: 7.6,
          font: 'bold',
          anchor: 'middle',
          tone: open ? 'ink' : 'paper',
        }),
      );
    }
  });
  return inks;
}
