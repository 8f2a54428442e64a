import { buildMusic, pitchClassName, placesIn, resolveSetup, type PlanRequest, type TouchingPattern } from '../../core';
import { instrumentWords } from '../../wording/instruments';
import { printed } from '../../wording/notes';
import type { Piece } from '../../wording/typed/phrases';
import { withLock } from './demands';
import { asked, type Asked } from './offers';
import * as typedBriefText from '../../wording/rooms/typedBrief';

/*
 * What a typed brief says of strings and of single notes, found on the instrument and in the music.
 */

/** The strings of some letters; null where one is none of the instrument's. */
export function stringsNamed(request: PlanRequest, letters: readonly string[]): string[] | null {
  const { strings } = resolveSetup(request);
  const found = letters.map((letter) => strings.find(({ name }) => name.replace(/-?\d+$/, '') === letter)?.name);
  return found.every((name): name is string => name !== undefined) ? found : null;
}

/** The request with the patterns and shifts that were named; asked back about where there is no such string or note. */
export function withPlaces(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const patterns: TouchingPattern[] = [];
  for (const { string, touch } of pieces.flatMap((piece) => (piece.slot === 'pattern' ? [piece.value] : []))) {
    const [name] = stringsNamed(request, [string]) ?? [];
    if (!name) return asked(typedBriefText.theHasNoString(instrumentWords(request.instrument), printed(string)), []);
    patterns.push({ string: name, touch: touch as TouchingPattern['touch'] });
  }
  let ruled = patterns.length > 0 ? { ...request, rules: { ...request.rules, patterns } } : request;
  for (const { note, bar } of pieces.flatMap((piece) => (piece.slot === 'shiftTo' ? [piece.value] : []))) {
    const at = eventNamed(ruled, note, bar);
    if (at === null) return asked(typedBriefText.noSuchNoteToShiftTo(printed(note), bar), []);
    ruled = withLock(ruled, at, { shift: true });
  }
  return ruled;
}

/** The first event after the opening that sounds a note of some letter, in a bar where one is named; null where there is none. */
function eventNamed({ material }: PlanRequest, note: string, bar?: number): number | null {
  const { events, time, pickup } = buildMusic(material);
  const places = placesIn({ events: events, time, pickup });
  const found = events.find(
    (event, at) =>
      at > 0 &&
      event.kind === 'sounding' &&
      event.pitches.some((pitch) => pitchClassName(pitch) === note) &&
      (bar === undefined || places(at).bar === bar),
  );
  return found?.at ?? null;
}
