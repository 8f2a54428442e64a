import { GROUP } from './terms';
import type { GROWING_UNITS } from '../vocabulary';

/** What a ladder is worked out for. */
export interface Passage {
  /** The events of the plan, with where bars begin. */
  readonly events: readonly { readonly at: number; readonly rest?: true }[];
  readonly barStarts: readonly number[];
}

/*
 * A passage that grows: bar by bar, two bars at a time, in groups, or from its end backwards. The last step is always the whole.
 */

export type GrowingUnit = (typeof GROWING_UNITS)[number];

interface Range {
  readonly from: number;
  readonly to: number;
}

/** The stretches of a passage in the order in which they are worked at. */
export function rangesGrowing(unit: GrowingUnit, passage: Passage, from: number, to: number): Range[] {
  // A bar of rests is nothing to work at.
  const sounds = ({ from: first, to: last }: Range) =>
    passage.events.some(({ at, rest }) => at >= first && at < Math.max(last, first + 1) && !rest);
  const parts = partsOf(unit, passage, from, to).filter(sounds);
  const whole = { from, to };
  const last = parts.at(-1);
  const ends = last?.from === from && last.to === to;
  return ends ? parts : [...parts, whole];
}

function partsOf(unit: GrowingUnit, { events, barStarts }: Passage, from: number, to: number): Range[] {
  switch (unit) {
    case 'note-from-end': {
      const notes = events.filter(({ at, rest }) => at >= from && at <= to && !rest).map(({ at }) => at);
      return notes
        .slice(0, -1)
        .reverse()
        .map((start) => ({ from: start, to }));
    }
    case 'group':
      return split(from, to, everyNth(from, to));
    case 'bar':
      return split(from, to, barStarts);
    case 'two-bars': {
      const bars = split(from, to, barStarts);
      return bars.slice(0, -1).map((bar, at) => ({ from: bar.from, to: bars[at + 1].to }));
    }
  }
}

function everyNth(from: number, to: number): number[] {
  return Array.from({ length: Math.ceil((to - from + 1) / GROUP) }, (_, at) => from + at * GROUP);
}

/** A passage cut at some events; each part goes on to the first note of the next, so that the joint is worked at too. */
function split(from: number, to: number, cuts: readonly number[]): Range[] {
  const starts = [from, ...cuts.filter((at) => at > from && at <= to)];
  return starts.map((start, at) => ({ from: start, to: starts[at + 1] ?? to }));
}
