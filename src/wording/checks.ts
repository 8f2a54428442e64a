import {
  beatsPerSecond,
  hertzOf,
  isBeatless,
  midiOf,
  pitchClassName,
  pitchName,
  type Checkpoint,
  type CommaConflict,
  type Heard,
  type Interval,
  type Link,
  type Neighbour,
  type Pitch,
  type Played,
  type Setup,
} from '../core';
import { number, signed } from './grammar';
import { noteWords, printed } from './notes';
import { stringWords } from './places';

/*
 * How a note is checked by ear, as a teacher says it.
 */

const INTERVAL_WORDS: Readonly<Record<Interval, string>> = {
  unison: 'the same note',
  octave: 'an octave',
  twelfth: 'a twelfth',
  'two-octaves': 'two octaves',
  fifth: 'a fifth',
  fourth: 'a fourth',
  'major-sixth': 'a major sixth',
  'minor-sixth': 'a minor sixth',
  'major-third': 'a major third',
  'minor-third': 'a minor third',
  'major-tenth': 'a major tenth',
  'minor-tenth': 'a minor tenth',
};

/** Where the string is touched, told by the note that a finger would stop there. */
const TOUCHED_AT: Readonly<Record<number, string>> = { 12: 'at its middle', 7: 'a fifth up', 5: 'a fourth up' };

const nameOf = (note: Played) => noteWords(pitchName(note.pitch));
const stringOf = (setup: Setup, string: number) => printed(setup.strings[string].name);

/** An interval without its article, as in a table. */
export function intervalName(interval: Interval): string {
  return interval.replace('-', ' ');
}

/** What a note is checked against, in a few words: "open G, an octave". */
export function shortCheck(check: Checkpoint, setup: Setup): string {
  return `${otherWords(check, setup)}, ${INTERVAL_WORDS[check.interval]}`;
}

function otherWords({ string, touch, pitch }: Checkpoint, setup: Setup): string {
  if (touch === 0) return `open ${stringOf(setup, string)}`;
  return `the harmonic ${noteWords(pitchName(pitch))} on ${stringOf(setup, string)}`;
}

/** A check as a teacher says it: "open G, an octave, together: no beats". */
export function checkWords(check: Checkpoint, note: Played, setup: Setup): string {
  if (!check.fits) return elsewherePure(check, note, setup);
  if (check.together) return `${shortCheck(check, setup)}, together: ${beatsWords(check)}`;
  return inTurnWords(check, note, setup);
}

function beatsWords(check: Checkpoint): string {
  return isBeatless(check) ? 'no beats' : `beats slowly, ${perSecond(check.beats)}`;
}

/** One note after the other: "play open G, then C5: hear a pure fourth". */
function inTurnWords({ string, touch, pitch, interval, above }: Checkpoint, note: Played, setup: Setup): string {
  const other = touch === 0 ? stringOf(setup, string) : noteWords(pitchName(pitch));
  const first =
    touch === 0
      ? `play open ${other}`
      : `touch the ${stringWords(setup.strings[string].name)} ${TOUCHED_AT[touch]} (harmonic ${other})`;
  if (interval === 'unison') return `${first}, then ${nameOf(note)}: hear the same note`;
  const rings = interval === 'octave' && touch === 0 && above ? '. Stop the bow: the lower string rings on' : '';
  return `${first}, then ${nameOf(note)}: hear ${INTERVAL_WORDS[interval].replace(/^a /, 'a pure ')}${rings}`;
}

/** A check that is pure somewhere else than at the target. */
function elsewherePure(check: Checkpoint, note: Played, setup: Setup): string {
  const higher = check.above ? check.offCents < 0 : check.offCents > 0;
  const pure = INTERVAL_WORDS[check.interval].replace(/^a (major |minor )?/, 'a pure ');
  const where = `fits ${otherWords(check, setup)} as ${pure} only ${cents(Math.abs(check.offCents))} ${higher ? 'higher' : 'lower'} than the scale’s ${printed(pitchClassName(note.pitch))}`;
  const leave = `in the melody leave it ${higher ? 'low' : 'high'}`;
  return check.neighbours ? `${where}: ${leave}, it beats ${perSecond(check.beats)}` : `${where}: ${leave}`;
}

/** What is heard of a check where the note is off, in cents: "10 cents high: 3.4 beats a second". */
export function mistunedWords(check: Checkpoint, note: Played, off: number): string {
  const lowerHz = hertzOf(check.above ? midiOf(check.pitch) : note.midi);
  return `${cents(off)} off it beats ${perSecond(beatsPerSecond(check.ratio, lowerHz, off))}`;
}

function perSecond(beats: number): string {
  return beats < 10 ? `${number(beats, 1)} times a second` : `${number(beats)} times a second`;
}

function cents(count: number): string {
  return `${number(count)} ${Math.round(count) === 1 ? 'cent' : 'cents'}`;
}

/** Which of two honest checks to use when. */
export function commaAdvice({ fifth, third, apart }: CommaConflict, setup: Setup): string {
  const [own, other] = fifth.fits ? [fifth, third] : [third, fifth];
  const withString = (check: Checkpoint) => `the ${intervalName(check.interval)} with ${stringOf(setup, check.string)}`;
  const use = `Place it by ${withString(own)}: that is its place in this tuning`;
  return `${use}. Only where it sounds together with ${stringOf(setup, other.string)}, take ${withString(other)}, ${cents(apart)} away.`;
}

/** A note that nothing checks: the neighbour that helps to place it. */
export function noCheckWords({ note, neighbour }: Pick<Heard, 'note' | 'neighbour'>, setup: Setup): string {
  return `no string checks ${nameOf(note)}: ${neighbourWords(note, neighbour ?? { kind: 'drone' }, setup)}.`;
}

/** What to compare a note with: "a fifth under C5, the same finger on A". */
export function neighbourWords(note: Played, neighbour: Neighbour, setup: Setup): string {
  switch (neighbour.kind) {
    case 'linked': {
      const [first, second] = neighbour.links;
      const from = linkWords(note.pitch, first, setup);
      const by = first.finger === note.finger ? 'same finger' : `with ${first.finger}`;
      const then = second ? `, and that with ${linkWords(first.pitch, second, setup)}` : '';
      return `compare it with ${from}, ${by}${then}`;
    }
    case 'leading':
      return `place it close under ${noteWords(pitchName(neighbour.tonic))}, the tonic`;
    case 'above-dominant':
      return `hear it as a pure third above ${noteWords(pitchName(neighbour.dominant))}`;
    case 'third':
      return `hear it as a third ${neighbour.above ? 'above' : 'below'} ${noteWords(pitchName(neighbour.tonic))}, just played`;
    case 'drone':
      return 'use a drone on the tonic';
  }
}

/** "C5 on A, a fifth above". */
function linkWords(from: Pitch, { pitch, string, interval }: Link, setup: Setup): string {
  const way = midiOf(pitch) > midiOf(from) ? 'above' : 'below';
  return `${noteWords(pitchName(pitch))} on ${stringOf(setup, string)}, ${INTERVAL_WORDS[interval]} ${way}`;
}

/** Where no string checks any note at all. */
export const UNCHECKED_WORDS =
  'No open string or harmonic of this tuning checks any note here at its target. Use a drone on the tonic, or compare each note with the same one in an easy place.';

/** The same as a column of a table has it. */
export function targetCents(against: number): string {
  return Math.round(against) === 0 ? 'as tuned' : `${signed(against, 0)} cents`;
}

/** A target against equal temperament, rounded to what can be heard. */
export function targetWords(against: number): string {
  if (Math.round(against) === 0) return 'exactly as the tuner has it';
  return `${cents(Math.abs(against))} ${against < 0 ? 'below' : 'above'} what the tuner has`;
}
