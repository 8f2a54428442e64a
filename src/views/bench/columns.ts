import { headWidth } from '../../notation/score';

/** Geometry shared by staff, string row and hand trail, so that one column is one event in all of them. In px. */
export const COLUMN = 58;
export const STAFF_HEIGHT = 200;
/** The engraving is enlarged, to be read from a music stand. */
export const STAFF_SCALE = 1.3;
export const STRING_ROW_HEIGHT = 34;
export const TRAIL_HEIGHT = 225;
export const NAME_ROW_HEIGHT = 26;

/** Room for the words and distances at the left of the rows. */
const LEAST_GUTTER = 150;

/** Width of what stands at the left of the rows: its words, or clef, signature and time where they need more. */
export function gutterOf({ fifths }: { readonly fifths: number }): number {
  return Math.max(LEAST_GUTTER, headWidth(fifths, true, STAFF_SCALE));
}

/** Middle of an event's column. */
export function columnX(at: number): number {
  return at * COLUMN + COLUMN / 2;
}

/** Events first to last (exclusive) that a scrolled window shows, with some to spare on either side. */
export interface Visible {
  readonly first: number;
  readonly last: number;
}

const SPARE = 6;

export function visibleEvents(scrollLeft: number, width: number, events: number): Visible {
  const first = Math.max(0, Math.floor(scrollLeft / COLUMN) - SPARE);
  const last = Math.min(events, Math.ceil((scrollLeft + width) / COLUMN) + SPARE);
  return { first, last };
}
