import type {
  BarPlace,
  Finger,
  HandFrame,
  HandPlace,
  InstrumentName,
  PlanResponse,
  PositionNumber,
  PositionRule,
  Step,
} from '../core';
import { instrumentRecord, midiOf, parsePitch, pitchClassName, spellInKey } from '../core';
import { countWords, listed, ordinal } from './grammar';
import { printed } from './notes';

/*
 * Where things are: in the music, along the neck, on which string, under which finger.
 */

/** "the thumb", "open", "finger 3". */
export function fingerWords(finger: Finger): string {
  return finger === 'T' ? 'the thumb' : finger === 0 ? 'open' : `finger ${finger}`;
}

/** A finger as it is written over a note; with a small ring where it only touches the string. */
export function fingerSign({ finger, harmonic }: Step['stops'][number]): string {
  return `${finger}${harmonic ? '°' : ''}`;
}

/** "E♭ string". */
export function stringWords(open: string): string {
  return `${printed(open)} string`;
}

const INTERVALS = [
  '',
  'a semitone',
  'a tone',
  'a minor third',
  'a third',
  'a fourth',
  'a tritone',
  'a fifth',
  'a minor sixth',
  'a sixth',
  'a minor seventh',
  'a seventh',
];

/** A distance along the string as players say it: "a semitone", "a fifth", "an octave and a tone". */
export function intervalWords(semitones: number): string {
  const octaves = Math.floor(semitones / 12);
  const rest = INTERVALS[semitones % 12];
  if (octaves === 0) return rest;
  const whole = octaves === 1 ? 'an octave' : `${countWords(octaves)} octaves`;
  return rest ? `${whole} and ${rest}` : whole;
}

/** A position's number as players of the instrument say it: "1st", "raised 2nd", "2½", "half", "thumb". */
export function positionName(position: PositionNumber, instrument: InstrumentName): string {
  if (position === 'thumb') return 'thumb';
  if (position === 0.5) return 'half';
  const whole = Math.floor(position);
  if (whole === position) return ordinal(whole);
  return instrumentRecord(instrument).between === 'raised' ? `raised ${ordinal(whole)}` : `${whole}½`;
}

/** Where the hand is: "1st", "thumb a fifth up". */
export function placeName({ position, thumbAt }: HandPlace, instrument: InstrumentName): string {
  return position === 'thumb' && thumbAt !== undefined
    ? `thumb ${intervalWords(thumbAt)} up`
    : positionName(position, instrument);
}

/** What note the thumb lies on, on a string; null where it is not up. */
export function thumbNote({ thumbAt }: HandPlace, string: string, key: PlanResponse['key']): string | null {
  const open = parsePitch(string);
  if (!open || thumbAt === undefined) return null;
  return printed(pitchClassName(spellInKey(key, midiOf(open) + thumbAt)));
}

/** "thumb on E♭". */
export function thumbWords(place: HandPlace, string: string, key: PlanResponse['key']): string {
  const note = thumbNote(place, string, key);
  return note ? `thumb on ${note}` : 'thumb position';
}

/** How the hand lies in its position: "closed", "opened forward", "leaning back". */
export function frameWords(frame: HandFrame, { leaned }: Pick<Step, 'leaned'>): string {
  if (frame === 'closed') return 'closed';
  return `${leaned ? 'leaning' : 'opened'} ${frame}`;
}

/** Where the hand is, in a sentence: "in 1st position", "with the thumb on E♭". */
export function inPlace(
  place: HandPlace & { readonly string: string },
  instrument: InstrumentName,
  key: PlanResponse['key'],
): string {
  return place.position === 'thumb'
    ? `with the ${thumbWords(place, place.string, key)}`
    : `in ${positionName(place.position, instrument)} position`;
}

/** "1st position", "thumb position": all thumb places are one. */
export function positionWords(position: PositionNumber, instrument: InstrumentName): string {
  return `${positionName(position, instrument)} position`;
}

/** Words for any rule on positions: "1st to 6th position". */
export function positionRuleWords(rule: PositionRule | undefined, instrument: InstrumentName): string {
  if (!rule) return 'any position';
  const name = (position: PositionNumber) => positionName(position, instrument);
  if ('only' in rule) return `${listed(rule.only.map(name))} position`;
  return rule.from === rule.to ? `${name(rule.from)} position` : `${name(rule.from)} to ${name(rule.to)} position`;
}

const FRACTIONS: readonly (readonly [share: number, sign: string])[] = [
  [1 / 2, '½'],
  [1 / 3, '⅓'],
  [2 / 3, '⅔'],
  [1 / 4, '¼'],
  [3 / 4, '¾'],
];

/** "1", "2½", "3⅓". */
function beatWords(beat: number): string {
  const whole = Math.floor(beat + EXACT);
  const rest = beat - whole;
  if (rest < EXACT) return String(whole);
  const sign = FRACTIONS.find(([share]) => Math.abs(share - rest) < 1e-3)?.[1];
  return sign ? whole + sign : beat.toFixed(2);
}

const EXACT = 1e-6;

/** Notes by how many of them are a whole one. */
const VALUES: Readonly<Record<number, string>> = { 16: 'sixteenth', 32: 'thirty-second', 64: 'sixty-fourth' };

/** Where a note lies inside a beat as a player counts it: "the last thirty-second of beat 2"; null where a sign says it, or nothing does. */
function insideBeat({ beat, of = 4 }: BarPlace): string | null {
  const whole = Math.floor(beat + EXACT);
  const rest = beat - whole;
  if (rest < EXACT || FRACTIONS.some(([share]) => Math.abs(share - rest) < 1e-3)) return null;
  const parts = [8, 16].find((count) => Math.abs(rest * count - Math.round(rest * count)) < EXACT);
  const value = parts === undefined ? undefined : VALUES[of * parts];
  if (parts === undefined || value === undefined) return null;
  const number = Math.round(rest * parts) + 1;
  return `the ${number === parts ? 'last' : ordinal(number)} ${value} of beat ${whole}`;
}

/** Says of an event where it lies. */
export type PlaceOf = (at: number) => BarPlace;

/** The one way to name a place in the music: "bar 3, beat 2". */
export function barWords(place: BarPlace): string {
  return `${barNumber(place.bar)}, ${insideBeat(place) ?? `beat ${beatWords(place.beat)}`}`;
}

/** The beats before the first bar are no bar of their own. */
function barNumber(bar: number): string {
  return bar === 0 ? 'pick-up' : `bar ${bar}`;
}

/** Several places: a place has a comma of its own. */
export function placesWords(places: readonly string[]): string {
  return places.join('; ');
}

/** From one event to another: "bar 3, beats 2–4", "bar 3, beat 4 to bar 4, beat 1". */
export function stretchWords(place: PlaceOf, from: number, to: number): string {
  const [a, b] = [place(from), place(to)];
  if (from === to) return barWords(a);
  return a.bar === b.bar
    ? `${barNumber(a.bar)}, beats ${beatWords(a.beat)}–${beatWords(b.beat)}`
    : `${barWords(a)} to ${barWords(b)}`;
}
