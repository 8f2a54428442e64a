import type { Plan } from '../core';
import { fingerSign } from '../wording/places';
import { extensionMarks, numeralOf, restezMarks, type Stay } from './marks';
import { line } from './paper/ink';
import { glyphOf, words } from './paper/words';
import type { Desk, SetNote } from './paper/notes';
import { writeFinger } from './paper/over';
import { LEAST_TEXT, type Marks, type Score } from './score';
import * as drawingsText from '../wording/rooms/drawings';

/*
 * What is written over and under the notes on the screen: fingers, bows, strings, “restez”, bar numbers. In staff spaces.
 */

/** Height of a finger, and the line it takes of that. */
const FINGER = 1.5;
const LINE_OF = 0.9;
const SMALL = 1.1;
/** From what stands below to the first finger, and between a finger and what is over it. */
const GAP = 0.55;
const BETWEEN = 0.2;
/** Bar numbers lie so far from the top of the drawing: neither finger nor string is in their way. */
const BAR_NUMBER_DOWN = 1.3;
/** "restez" lies so far below the staff. */
const STAY_DOWN = 4.4;

/** Where things are, and what of the music is drawn. */
export interface Place {
  /** Events from first to last (exclusive). */
  readonly first: number;
  readonly last: number;
  /** Px in a staff space. */
  readonly space: number;
  /** Left edge and middle of an event's column. */
  readonly left: (at: number) => number;
  readonly middle: (at: number) => number;
  /** The upper edge of the drawing. */
  readonly top: number;
  readonly sets: readonly SetNote[];
  /** Numbers of the bars that begin with an event. */
  readonly barNumbers: ReadonlyMap<number, number>;
}

export function writeMarks(desk: Desk, score: Score, marks: Marks, place: Place) {
  writeFingers(desk, score, marks, place);
  const inView = ({ from, to }: Stay) => to >= place.first && from < place.last;
  for (const stay of restezMarks(score.steps).filter(inView)) writeStay(desk, stay, place);
  if (!marks.barNumbers) return;
  const size = LEAST_TEXT / place.space;
  for (const [at, number] of place.barNumbers)
    if (number > 1)
      desk.inks.push(
        ...words(place.left(at) + 0.2, place.top + BAR_NUMBER_DOWN, String(number), { size, tone: 'grey' }),
      );
}

/** Fingers over each note, the bow over them, and over those what string it is and that the hand opens. */
function writeFingers({ inks, sky }: Desk, score: Score, marks: Marks, { sets, middle, space }: Place) {
  const { steps, guides } = score;
  const byAt = new Map(steps.map((step) => [step.at, step]));
  const numerals = marks.numerals ? stringChanges(steps, score.strings) : new Map<number, string>();
  const extensions = extensionMarks(steps);
  const size = marks.fingerSize ?? FINGER;
  const small = Math.max(SMALL, LEAST_TEXT / space);
  for (const { note } of sets) {
    if (!note.first) continue;
    const { at } = note;
    const x = middle(at);
    const step = byAt.get(at);
    let y = Math.min(sky.top(x - 0.6, x + 0.6), 0) - GAP;
    const put = (text: string, height: number) => {
      inks.push(...words(x, y - BETWEEN, text, { size: height, anchor: 'middle' }));
      y -= height;
    };
    const fingered = marks.fingers && (score.fingersAt?.has(at) ?? true);
    if (step && fingered)
      for (const finger of step.stops.map(fingerSign)) {
        writeFinger(inks, guides?.has(at) ? `(${finger})` : finger, x, y, size);
        y -= size * LINE_OF;
      }
    if (note.bow) {
      const glyph = note.bow === 'down' ? 'downBow' : 'upBow';
      const { box } = glyphOf(glyph);
      inks.push({ kind: 'glyph', glyph, x: x - (box[0] + box[2]) / 2, y, size: 1 });
      y += box[1] - BETWEEN;
    }
    if (!step || !fingered) continue;
    const numeral = numerals.get(at);
    if (numeral) put(numeral, small);
    if (extensions.has(at)) put(drawingsText.ext, small);
  }
}

/** Numeral of the string at each event where it changes; I is the highest. */
function stringChanges(steps: Plan['steps'], strings: readonly string[]): Map<number, string> {
  const changes = new Map<number, string>();
  let last = '';
  for (const { at, stops } of steps) {
    const [{ string }] = stops;
    if (string !== last) changes.set(at, numeralOf(string, strings));
    last = string;
  }
  return changes;
}

/** "restez" and a broken line as long as the hand stays up. */
function writeStay({ inks }: Desk, { from, to }: Stay, { middle, left, space }: Place) {
  const y = 4 + STAY_DOWN;
  const size = Math.max(1.05, LEAST_TEXT / space);
  inks.push(...words(middle(from), y, 'restez', { size, anchor: 'middle' }));
  const [start, end] = [middle(from) + 2, left(to + 1) - 0.6];
  if (end <= start) return;
  inks.push(line(start, y - 0.3, end, y - 0.3, 0.1, { dash: [0.4, 0.3] }));
  inks.push(line(end, y - 0.3, end, y - 0.8, 0.1));
}
