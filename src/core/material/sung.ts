import { midiOf } from '../pitch/pitch';
import type { SoundingEvent } from './events';

/*
 * Which notes belong to a line that is sung on one string: those of a legato phrase, and neither a pedal nor an accompaniment.
 */

/** Share of a phrase's steps that lie under a slur for it to be legato. */
const LEGATO = 2 / 3;
/** Fewer notes are no stay on a string. */
const LEAST_STAY = 4;
/** Notes from which a pitch that takes every second one is a pedal. */
const PEDAL = 6;
/** An accompaniment: a figure of so many notes at most, said so often running. */
const FIGURE = { least: 2, most: 8, times: 3 };

/**
 * Of each sounding event whether it is sung.
 * @param begins whether a phrase begins at an event
 */
export function sungNotes(sounding: readonly SoundingEvent[], begins: (t: number) => boolean): boolean[] {
  const sung = sounding.map(() => false);
  for (let from = 0, to = 1; from < sounding.length; from = to++) {
    while (to < sounding.length && !begins(to)) to++;
    if (to - from >= LEAST_STAY && isLegato(sounding.slice(from, to))) sung.fill(true, from, to);
  }
  const tops = sounding.map(({ pitches }) => pitches.map(midiOf).join());
  for (const [from, to] of [...pedals(tops), ...accompaniments(tops, sounding)]) sung.fill(false, from, to);
  return sung;
}

/** @param phrase a rest after a note parts it from the next */
function isLegato(phrase: readonly SoundingEvent[]): boolean {
  const steps = phrase.slice(1).filter((event, n) => event.at === phrase[n].at + 1);
  const slurred = phrase.slice(0, -1).filter(({ slur }) => slur).length;
  return steps.length > 0 && slurred >= LEGATO * steps.length;
}

type Stretch = readonly [from: number, to: number];

/** Stretches in which one pitch takes at least every second note. */
function pedals(tops: readonly string[]): Stretch[] {
  const found: Stretch[] = [];
  for (const pitch of new Set(tops)) {
    for (let from = 0; from < tops.length; from++) {
      if (tops[from] !== pitch) continue;
      let to = from + 1;
      while (to < tops.length && (tops[to] === pitch || tops[to - 1] === pitch)) to++;
      if (tops[to - 1] !== pitch) to--;
      if (to - from >= PEDAL) found.push([from, to]);
      from = to;
    }
  }
  return found;
}

/** Stretches in which a figure in equal values is said again and again. */
function accompaniments(tops: readonly string[], sounding: readonly SoundingEvent[]): Stretch[] {
  const found: Stretch[] = [];
  for (let length = FIGURE.least; length <= FIGURE.most; length++)
    for (let from = 0; from + length < tops.length; from++) {
      let to = from + length;
      while (to < tops.length && tops[to] === tops[to - length] && sounding[to].beats === sounding[from].beats) to++;
      const equal = sounding.slice(from, from + length).every(({ beats }) => beats === sounding[from].beats);
      if (!equal || to - from < FIGURE.times * length) continue;
      found.push([from, to]);
      from = to - length;
    }
  return found;
}
