import {
  isCrowded,
  isTouching,
  laidFingers,
  stopMm,
  type Finger,
  type HandProfile,
  type Plan,
  type PlanRequest,
  type Setup,
} from '../../core';
import { placeName } from '../../wording/places';
import { sentence } from '../../wording/grammar';
import { nutMark, ON_PAPER, stringMarks, tipMarks } from '../board/fingerboard';
import { line, type Ink, type Mark } from '../paper/ink';
import { textWidth, typeset, words } from '../paper/words';
import { at as moved, type Block } from './blocks';
import * as sheetDrawingsText from '../../wording/rooms/sheetDrawings';

/*
 * Finger patterns as small fingerboards in the size they have on this student's instrument: a hand can be laid on the paper. Fingers that touch are joined.
 */

/** Points in a millimetre. */
const MM = 72 / 25.4;
const STRING_MM = 6.4;
const BEFORE_MM = 9;
const AFTER_MM = 9;
const LABEL_MM = 9;
/** A pattern that begins nearer to the nut is drawn with it. */
const NEAR_NUT_MM = 85;

/** A finger on a string, a second place of the same finger told apart. */
interface Laid {
  readonly string: number;
  readonly finger: Finger;
  readonly semitones: number;
  readonly again: boolean;
}

interface Pattern {
  readonly title: string;
  readonly fingers: readonly Laid[];
}

/** The patterns of a plan, one a position, in the order in which they come. */
export function patternsOf(plan: Plan, { strings }: Setup, { instrument }: PlanRequest): Pattern[] {
  const byPlace = new Map<string, Map<string, Laid>>();
  for (const frame of plan.frames) {
    const title = sentence(placeName(frame, instrument));
    const laid = byPlace.get(title) ?? new Map<string, Laid>();
    byPlace.set(title, laid);
    const string = strings.findIndex(({ name }) => name === frame.string);
    for (const [finger, semitones] of laidFingers(frame.fingers)) {
      const key = `${string}/${finger}/${semitones}`;
      const again = [...laid.values()].some(
        (one) => one.string === string && one.finger === finger && one.semitones !== semitones,
      );
      if (!laid.has(key)) laid.set(key, { string, finger, semitones, again });
    }
  }
  return [...byPlace].map(([title, laid]) => ({
    title: /position|thumb/i.test(title) ? title : sheetDrawingsText.position(title),
    fingers: [...laid.values()],
  }));
}

interface DrawnPattern {
  readonly inks: readonly Ink[];
  readonly width: number;
  readonly height: number;
}

/**
 * @param size of the words beside it, in points
 * @param most how wide it may be; where the true size is wider the nut is left out, and at last it is drawn smaller
 */
function drawPattern(
  { title, fingers }: Pattern,
  { strings, lengthMm }: Setup,
  hand: HandProfile,
  size: number,
  most: number,
): DrawnPattern {
  const places = fingers.map(({ semitones }) => stopMm(lengthMm, semitones));
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const room = most / MM - LABEL_MM - AFTER_MM;
  const nut = first < NEAR_NUT_MM && last + 2 <= room;
  const from = nut ? -2 : first - BEFORE_MM;
  const scale = Math.min(1, room / (last - from));
  const x = (mm: number) => (LABEL_MM + (mm - from) * scale) * MM;
  const place = (semitones: number) => x(stopMm(lengthMm, semitones));
  const width = x(last + AFTER_MM / scale);
  const used = fingers.map(({ string }) => string);
  const highest = Math.max(...used);
  const lowest = Math.min(...used);
  const row = STRING_MM * MM;
  const y = (string: number) => size * 1.7 + (highest - string + 0.7) * row;
  const heading = scale < 1 ? sheetDrawingsText.smallerThanItIs(title) : title;
  const marks: Mark[] = [...words(0, size, heading, { size, font: 'bold' })];
  const look = { ...ON_PAPER, name: { size: size * 0.9, bold: false } };
  for (let string = lowest; string <= highest; string++)
    marks.push(
      ...stringMarks(
        {
          name: strings[string].name,
          below: strings.length - 1 - string,
          y: y(string),
          from: x(nut ? 0 : from),
          to: width,
          nameX: 2,
          faint: !used.includes(string),
        },
        look,
      ),
    );
  if (nut) marks.push(nutMark(x(0), y(highest) - 3, y(lowest) + 3, look));
  // A tip never covers the next string's.
  const tip = Math.min((hand.fingertipMm / 2) * MM * scale, row * 0.46);
  for (let string = lowest; string <= highest; string++)
    marks.push(...joined(fingers, string, { lengthMm, hand, place, y, tip }));
  for (const { string, finger, semitones, again } of fingers) {
    const tipPlace = { x: place(semitones), y: y(string), r: tip, size: tip * 1.25 };
    marks.push(...tipMarks(finger, { ...tipPlace, kind: again ? 'again' : 'pressed' }, look));
  }
  const inks = typeset(marks);
  return { inks, width: Math.max(width, textWidth(heading, 'bold', size)), height: y(lowest) + row * 0.6 };
}

interface Board {
  readonly lengthMm: number;
  readonly hand: HandProfile;
  readonly place: (semitones: number) => number;
  readonly y: (string: number) => number;
  readonly tip: number;
}

/** Bars between the fingers of a string that touch. */
function joined(fingers: readonly Laid[], string: number, { lengthMm, hand, place, y, tip }: Board): Ink[] {
  const own = fingers.filter((one) => one.string === string && !one.again).sort((a, b) => a.semitones - b.semitones);
  return own.slice(1).flatMap(({ semitones }, n): Ink[] => {
    const below = own[n].semitones;
    const room = stopMm(lengthMm, semitones) - stopMm(lengthMm, below);
    const together = isTouching(room, hand) || isCrowded(room, hand);
    if (semitones === below || semitones - below > 2 || !together) return [];
    return [line(place(below), y(string), place(semitones), y(string), tip * 1.1)];
  });
}

/** All patterns of a plan, side by side as far as they fit, with a measure to see whether the print is true. */
export function patternBlocks(
  plan: Plan,
  setup: Setup,
  hand: HandProfile,
  request: PlanRequest,
  width: number,
  size: number,
): Block[] {
  const drawn = patternsOf(plan, setup, request).map((pattern) => drawPattern(pattern, setup, hand, size, width));
  const rows: DrawnPattern[][] = [];
  let used = 0;
  for (const one of drawn) {
    if (rows.length === 0 || used + one.width > width) {
      rows.push([]);
      used = 0;
    }
    rows[rows.length - 1].push(one);
    used += one.width + 18;
  }
  const blocks = rows.map((row): Block => {
    let x = 0;
    const inks: Ink[] = [];
    for (const one of row) {
      // One that is wider than the page is drawn as wide as the page.
      inks.push(...moved(one.inks, x, 0));
      x += one.width + 18;
    }
    return { inks, height: Math.max(...row.map(({ height }) => height)), before: size };
  });
  return [...blocks, measure(size)];
}

function measure(size: number): Block {
  const length = 20 * MM;
  const y = size * 0.6;
  return {
    inks: [
      line(0, y, length, y, 0.7),
      line(0, y - 3, 0, y + 3, 0.7),
      line(length, y - 3, length, y + 3, 0.7),
      ...words(length + 6, size, sheetDrawingsText.is20MmWhere, { size: size * 0.85, tone: 'grey' }),
    ],
    height: size * 1.3,
    before: size * 0.4,
  };
}
