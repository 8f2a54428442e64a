import { stopMm, type HandProfile, type Plan, type Setup } from '../../core';
import { printed } from '../../wording/notes';
import { line, words, type Ink } from '../paper/ink';
import { sheetNeckText } from '../../wording/rooms/drawings';

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
  const inks: Ink[] = [];
  strings.forEach(({ name }, string) => {
    inks.push(line(x(0), y(string), WIDTH, y(string), 1.4 - string * 0.2));
    inks.push(...words(4, y(string) + 3.4, printed(name), { size: 10 }));
  });
  inks.push(line(x(0), y(strings.length - 1) - 5, x(0), y(0) + 5, 3));
  const tip = Math.min((fingertipMm / 2 / most) * (WIDTH - left - 8), ROW * 0.47);
  const r = Math.max(5.2, tip);
  for (const { string, mm, fingers } of places.values()) {
    const open = mm === 0;
    inks.push({
      kind: 'disc',
      x: open ? x(0) - 9 : x(mm),
      y: y(string),
      r: open ? 4 : r,
      fill: open ? 'paper' : 'ink',
      stroke: 'ink',
      width: 1,
    });
    if (!open)
      inks.push(
        ...words(x(mm), y(string) + r * 0.4, [...fingers].join('·'), {
          size: r * (fingers.size > 1 ? 0.85 : 1.25),
          font: 'bold',
          anchor: 'middle',
          tone: 'paper',
        }),
      );
  }
  const rule = y(0) + 18;
  for (let mm = 0; mm <= most; mm += 50) {
    inks.push(line(x(mm), rule - 3, x(mm), rule + 3, 0.6));
    inks.push(
      ...words(x(mm), rule + 11, mm === 0 ? 'nut' : sheetNeckText.mm(mm), {
        size: 7,
        anchor: mm === 0 ? 'start' : 'middle',
        tone: 'grey',
      }),
    );
  }
  inks.push(line(x(0), rule, WIDTH, rule, 0.6));
  return { inks, width: WIDTH, height: rule + 14 };
}
