import { range } from 'd3-array';
import { stopMm, type HandProfile, type Plan, type Setup } from '../../core';
import { nutMark, ON_PAPER, rulerMarks, stringsMarks, tipMarks } from '../board/fingerboard';
import { line, type Mark } from '../paper/ink';
import { typeset } from '../paper/words';

/*
 * The neck with every place that a plan stops, to scale along the strings.
 */

const WIDTH = 480;
const ROW = 20;

export function neckInks({ steps }: Plan, { strings, lengthMm }: Setup, { fingertipMm }: HandProfile) {
  const places = new Map<string, { readonly string: number; readonly mm: number; readonly fingers: Set<string> }>();
  for (const { stops } of steps)
    for (const { string, semitones, finger } of stops) {
      const key = `${string}/${semitones}`;
      const known = places.get(key) ?? {
        string: strings.findIndex(({ name }) => name === string),
        mm: stopMm(lengthMm, semitones),
        fingers: new Set<string>(),
      };
      known.fingers.add(String(finger));
      places.set(key, known);
    }
  const most = Math.max(...[...places.values()].map(({ mm }) => mm), 60) + 20;
  const left = 22;
  const x = (mm: number) => left + (mm / most) * (WIDTH - left - 8);
  const y = (string: number) => 8 + (strings.length - 1 - string) * ROW;
  const marks: Mark[] = [
    ...stringsMarks(
      strings.map(({ name }) => name),
      { y, from: x(0), to: WIDTH, nameX: 4 },
      ON_PAPER,
    ),
    nutMark(x(0), y(strings.length - 1) - 5, y(0) + 5, ON_PAPER),
  ];
  const r = Math.max(5.2, Math.min((fingertipMm / 2 / most) * (WIDTH - left - 8), ROW * 0.47));
  for (const { string, mm, fingers } of places.values())
    marks.push(
      ...(mm === 0
        ? tipMarks('', { x: x(0) - 9, y: y(string), r: 4, kind: 'open', size: 0 }, ON_PAPER)
        : tipMarks(
            [...fingers].join('·'),
            { x: x(mm), y: y(string), r, kind: 'pressed', size: r * (fingers.size > 1 ? 0.85 : 1.25) },
            ON_PAPER,
          )),
    );
  const rule = y(0) + 18;
  marks.push(...rulerMarks(range(0, most, 50), x, { y: rule + 3, labelY: rule + 11 }, ON_PAPER));
  marks.push(line(x(0), rule, WIDTH, rule, 0.6));
  return { inks: typeset(marks), width: WIDTH, height: rule + 14 };
}
