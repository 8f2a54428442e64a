import { buildMusic, pitchClassName, placesIn, resolveSetup, type PlanRequest, type TouchingPattern } from '../../core';
import { instrumentWords } from '../../wording/instruments';
import { printed } from '../../wording/notes';
import type { Piece, Slot } from '../../wording/typed/phrases';
import { valueOf } from '../../wording/typed/pieces';
import { withLock } from './demands';
import { asked, type Asked } from './offers';
import { withPlace } from './askedOf';
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

/** Asked back about strings that the instrument does not have. */
export function noSuchString(
  { instrument }: PlanRequest,
  letters: readonly string[],
  offers: Asked['offers'] = [],
): Asked {
  const names = letters.map((name) => printed(name)).join(' and ');
  return asked(typedBriefText.theHasNoString(instrumentWords(instrument), names), offers);
}

/** The request with the patterns and shifts that were named; asked back about where there is no such string or note. */
export function withPlaces(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const patterns: TouchingPattern[] = [];
  for (const { string, touch } of pieces.flatMap((piece) => (piece.slot === 'pattern' ? [piece.value] : []))) {
    const [name] = stringsNamed(request, [string]) ?? [];
    if (!name) return noSuchString(request, [string]);
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

/** What can be asked of some bars. */
export const OF_A_STRETCH: ReadonlySet<Slot> = new Set<Slot>([
  'positions',
  'strings',
  'openStrings',
  'fourthFinger',
  'extensions',
  'harmonics',
  'spared',
  'style',
]);

export const namesBars = (pieces: readonly Piece[]) => pieces.some(({ slot }) => slot === 'bars');

/** The request with what is asked of some bars: rules of their own, the fingers of another bar, being there beforehand. */
export function withStretches(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const [bars, sameAs, prepare] = [valueOf(pieces, 'bars'), valueOf(pieces, 'sameAs'), valueOf(pieces, 'prepare')];
  if (!bars && sameAs === undefined && !prepare) return request;
  const { events, time, pickup, firstBar } = buildMusic(request.material);
  const place = placesIn({ events, time, pickup, firstBar });
  const inBars = (from: number, to: number) => events.filter(({ at }) => place(at).bar >= from && place(at).bar <= to);
  const missing = [bars?.from, bars?.to, sameAs, prepare?.from, prepare?.for].find(
    (bar) => bar !== undefined && inBars(bar, bar).length === 0,
  );
  if (missing !== undefined) return asked(typedBriefText.thereIsNoBar(missing), []);
  const rules = { ...request.rules };
  if (prepare) {
    const [from, goal] = [prepare.from, prepare.for].map((bar) => inBars(bar, bar));
    const target = goal.find(({ kind }) => kind === 'sounding');
    if (target) rules.prepare = [...(rules.prepare ?? []), { from: from[0].at, for: target.at }];
  }
  if (!bars) {
    if (sameAs !== undefined) return asked(typedBriefText.whichBarsSameAs(sameAs), []);
    return { ...request, rules };
  }
  const own = inBars(bars.from, bars.to);
  const stretch = { from: own[0].at, to: own[own.length - 1].at };
  if (sameAs !== undefined) {
    const as = inBars(sameAs, sameAs)[0].at;
    return { ...request, rules: { ...rules, same: [...(rules.same ?? []), { ...stretch, as }] } };
  }
  const demands = demandsIn(request, pieces);
  if ('kind' in demands) return demands;
  return Object.keys(demands).length === 0 ? { ...request, rules } : withPlace({ ...request, rules }, stretch, demands);
}

/** What is asked of the bars; asked back about where there is no such string. */
function demandsIn(request: PlanRequest, pieces: readonly Piece[]): Parameters<typeof withPlace>[2] | Asked {
  const letters = valueOf(pieces, 'strings');
  const strings = letters && stringsNamed(request, letters);
  if (letters && !strings) return noSuchString(request, letters);
  const spared = pieces.flatMap((piece) => (piece.slot === 'spared' ? [piece.value] : []));
  const given = {
    positions: valueOf(pieces, 'positions') ?? undefined,
    strings: strings ?? undefined,
    openStrings: valueOf(pieces, 'openStrings'),
    fourthFinger: valueOf(pieces, 'fourthFinger'),
    extensions: valueOf(pieces, 'extensions'),
    harmonics: valueOf(pieces, 'harmonics'),
    style: valueOf(pieces, 'style'),
    fingers: spared.length > 0 ? { never: spared } : undefined,
  };
  return Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));
}

/** The first event after the opening that sounds a note of some letter, in a bar where one is named; null where there is none. */
function eventNamed({ material }: PlanRequest, note: string, bar?: number): number | null {
  const { events, time, pickup, firstBar } = buildMusic(material);
  const places = placesIn({ events, time, pickup, firstBar });
  const found = events.find(
    (event, at) =>
      at > 0 &&
      event.kind === 'sounding' &&
      event.pitches.some((pitch) => pitchClassName(pitch) === note) &&
      (bar === undefined || places(at).bar === bar),
  );
  return found?.at ?? null;
}
