import {
  barStarts,
  letterSteps,
  MIDDLE_LINES,
  partsOf,
  signsToShow,
  signatureChangesIn,
  written,
  type Clef,
  type InstrumentName,
  type ResponseEvent,
} from '../core';
import type { Score } from './score';
import { AFTER_BAR, signatureChangeWidth } from './signatureWidths';

/*
 * How much room notes need, in tenths of a staff space, before any of them is drawn.
 */

/** From the middle line to the outer ones, and a letter step. */
export const HALF_STAFF = 20;
const STEP = 5;

/** How far the heads go above and below the middle line; the staff itself at least. */
export interface Extent {
  readonly above: number;
  readonly below: number;
}

/** How far up and down the notes go from the middle line. */
export function extentOf(events: readonly ResponseEvent[], clefs: readonly Clef[], instrument: InstrumentName): Extent {
  let [above, below] = [HALF_STAFF, HALF_STAFF];
  events.forEach((event, at) => {
    if (!('pitches' in event)) return;
    for (const name of event.pitches) {
      const up = STEP * (letterSteps(written(name, instrument)) - MIDDLE_LINES[clefs[at]]);
      above = Math.max(above, up);
      below = Math.max(below, -up);
    }
  });
  return { above, below };
}

/** A head with the gap to the next, and how much more a note twice as long has. */
const NOTE = 25.3;
const DOUBLED = 0.22;
/** A sign before a head needs this much more; after a bar line it cannot reach into the room of the note before. */
const SIGN = 6;
const SIGN_AT_BAR = 15;
const DOUBLE_SIGN = 8;
const CHORD_SIGNS = 9;
/** A change of clef before a bar line stands in the room of the note before; within a bar between the two. */
const CLEF_AT_BAR = 27;
const CLEF_BEFORE = 10;
const CLEF_AFTER = 18;
const DOT = 7;

/** What each event of a score needs from side to side, and at which of them bars begin. */
export function needsOf(score: Score): { readonly widths: number[]; readonly bars: ReadonlySet<number> } {
  const { music, instrument, clefs } = score;
  const parts = partsOf(score);
  const signs = signsToShow(music, instrument, parts);
  const turns = signatureChangesIn(music, parts);
  const changes = (at: number) => at > 0 && at < clefs.length && clefs[at] !== clefs[at - 1];
  const atBar = (at: number) => parts[at][0].bar !== null;
  const isSigned = (at: number) => signs[at].some((sign) => sign !== null);
  const clefRoom = (at: number) =>
    (changes(at) && !atBar(at) ? CLEF_AFTER : 0) +
    (changes(at + 1) ? (atBar(at + 1) ? CLEF_AT_BAR : CLEF_BEFORE + (isSigned(at + 1) ? SIGN : 0)) : 0);
  const widths = parts.map((own, at) => {
    const shown = signs[at].filter((sign): sign is string => sign !== null);
    const long = own.reduce((sum, { quarters }) => sum + lengthOf(quarters), 0);
    const sign = shown.length === 0 ? 0 : own[0].bar ? SIGN_AT_BAR : SIGN;
    const double = shown.some((name) => name.length > 1) ? DOUBLE_SIGN : 0;
    const turn = turns.get(at);
    // The heads stay in the middle of their column: what stands before them takes as much after them.
    const anew = turn ? 20 * (AFTER_BAR + signatureChangeWidth(turn)) : 0;
    return long + sign + double + Math.max(0, shown.length - 1) * CHORD_SIGNS + clefRoom(at) + anew;
  });
  return { widths, bars: barStarts(parts) };
}

function lengthOf(quarters: number): number {
  const dotted = Math.abs(Math.log2(quarters) % 1) > 0.05 ? DOT : 0;
  return NOTE * (1 + DOUBLED * Math.max(0, Math.log2(quarters))) + dotted;
}
