import {
  SCALES,
  type InstrumentName,
  type Level,
  type PositionNumber,
  type PositionRule,
  type Rules,
  type School,
  type Style,
} from '../../core';
import { DIGITS } from './digits';
import { foreignKeys } from './foreignKeys';

/*
 * The phrases of a typed brief: what each means. Longer phrases stand before those that are part of them.
 */

/** One thing that was asked for. */
export type Piece =
  | { readonly slot: 'student'; readonly value: string }
  | { readonly slot: 'instrument'; readonly value: InstrumentName }
  | { readonly slot: 'size'; readonly value: string }
  | { readonly slot: 'hand'; readonly value: 'small' | 'medium' | 'large' }
  | { readonly slot: 'school'; readonly value: School }
  | { readonly slot: 'style'; readonly value: Style }
  | { readonly slot: 'tempo'; readonly value: number }
  | { readonly slot: 'bow'; readonly value: number }
  | { readonly slot: 'octaves'; readonly value: number }
  | { readonly slot: 'direction'; readonly value: 'up' | 'down' | 'updown' }
  /** A kind of the brief: "scale", "arpeggio", "third", "broken-thirds" … */
  | { readonly slot: 'kind'; readonly value: string }
  /** A scale; "minor" and "pentatonic" are asked back about. */
  | { readonly slot: 'scale'; readonly value: string }
  | { readonly slot: 'chord'; readonly value: string }
  /** "Eb", or with its octave "Eb4". */
  | { readonly slot: 'key'; readonly value: string }
  | { readonly slot: 'register'; readonly value: 'low' | 'high' }
  | { readonly slot: 'positions'; readonly value: PositionRule | null }
  | { readonly slot: 'visit'; readonly value: PositionNumber }
  | { readonly slot: 'shifts'; readonly value: number }
  /** Letters of strings. */
  | { readonly slot: 'strings'; readonly value: readonly string[] }
  | { readonly slot: 'openStrings'; readonly value: NonNullable<Rules['openStrings']> }
  | { readonly slot: 'fourthFinger'; readonly value: NonNullable<Rules['fourthFinger']> }
  | { readonly slot: 'extensions'; readonly value: NonNullable<Rules['extensions']> }
  | { readonly slot: 'harmonics'; readonly value: NonNullable<Rules['harmonics']> }
  | { readonly slot: 'shiftOn'; readonly value: 'semitone' }
  | { readonly slot: 'sameBack'; readonly value: true }
  /** A shift that arrives at a note, by its letter, in a bar where one is named. */
  | { readonly slot: 'shiftTo'; readonly value: { readonly note: string; readonly bar?: number } }
  /** Two fingers that touch, on a string by its letter. */
  | { readonly slot: 'pattern'; readonly value: { readonly string: string; readonly touch: readonly [number, number] } }
  /** Bars that the demands are for, both inside. */
  | { readonly slot: 'bars'; readonly value: { readonly from: number; readonly to: number } }
  /** The bar whose fingers they are to have. */
  | { readonly slot: 'sameAs'; readonly value: number }
  /** The hand is in place for one bar from another on. */
  | { readonly slot: 'prepare'; readonly value: { readonly from: number; readonly for: number } }
  | { readonly slot: 'level'; readonly value: Level }
  /** Somebody of whom the size has to be asked. */
  | { readonly slot: 'child'; readonly value: true }
  /** A finger to do without. */
  | { readonly slot: 'spared'; readonly value: 2 | 3 };

export type Slot = Piece['slot'];

interface Phrase {
  readonly pattern: RegExp;
  readonly means: (match: RegExpMatchArray) => Piece | readonly Piece[];
}

const ORD = '(half|thumb|1st|2nd|3rd|4th|5th|6th|7th|[1-7])';
const POS = '(?:positions?|pos)';
const BAR = '(?:bars?|measures?) (\\d{1,4})';
const KEY = '([a-g](?: ?(?:bb|b|#|flat|sharp))?)';

function phrase(pattern: string, means: Phrase['means']): Phrase {
  return { pattern: new RegExp(`(?<![\\w#/])(?:${pattern})(?![\\w#/])`), means };
}

const fixed = (pattern: string, piece: Piece): Phrase => phrase(pattern, () => piece);

function place(word: string): PositionNumber {
  return word === 'half' ? 0.5 : word === 'thumb' ? 'thumb' : (Number(word[0]) as PositionNumber);
}

const only = (...places: PositionNumber[]): PositionRule =>
  places.length === 1 && places[0] === 1 ? { from: 1, to: 1 } : { only: places };

const positions = (value: PositionRule | null): Piece => ({ slot: 'positions', value });

/** "e flat", "eb" as "Eb". */
function keyName(words: string): string {
  const [letter] = words;
  const sign = words.slice(1).trim();
  return letter.toUpperCase() + (sign === 'flat' ? 'b' : sign === 'sharp' ? '#' : sign);
}

const visit = ([, ...words]: RegExpMatchArray): Piece[] =>
  words.filter(Boolean).map((word) => ({ slot: 'visit', value: place(word) }));

const touching = (one: string, other: string, string: string): Piece => ({
  slot: 'pattern',
  value: { string: keyName(string), touch: [Number(one[0]), Number(other[0])] },
});

/** Scales of a word or more of their own: those that are taught first have phrases with more to them. */
const TAUGHT =
  /^(major|minor|chromatic|dorian|phrygian|lydian|mixolydian|locrian|ionian|aeolian|pentatonic|.*(natural|harmonic|melodic)-minor|whole-tone|(major|minor)-pentatonic)$/;
/** Names that a chord has too: a scale only where it is called one. */
const CHORDS_TOO = /^(diminished|augmented|dominant|half-diminished)$/;

/** A name as a brief is read: small letters, numbers in digits. */
const plainName = (name: string) =>
  name
    .toLowerCase()
    .replaceAll("'", '')
    .split('-')
    .map((word) => DIGITS[word] ?? word)
    .join(' ');
const literal = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Every other scale that is known, by its own name. */
const OTHER_SCALES: readonly Phrase[] = SCALES.filter((name) => !TAUGHT.test(name))
  .sort((a, b) => b.length - a.length)
  .map((name) =>
    fixed(`${literal(plainName(name))}${CHORDS_TOO.test(name) ? ' scale' : ''}`, { slot: 'scale', value: name }),
  );

/** The words of all scales' names, which are not mended into others. */
export const SCALE_NAME_WORDS: readonly string[] = SCALES.flatMap((name) => plainName(name).split(' '));

const IN_SLURS: Readonly<Record<string, number>> = { pairs: 2, twos: 2, threes: 3, fours: 4, sixes: 6, eights: 8 };

export const PHRASES: readonly Phrase[] = [
  ...foreignKeys(phrase),
  ...OTHER_SCALES,
  phrase(`([1-4]|1st|2nd|3rd|4th)(?: finger)? (?:touches|touching|against|close to|next to) ([1-4]|1st|2nd|3rd|4th)(?: finger)? on (?:the )?${KEY}(?: string)?`, (m) => touching(m[1], m[2], m[3])),
  phrase(`([1-4]) and ([1-4]) (?:touch|touching|together|close) on (?:the )?${KEY}(?: string)?`, (m) => touching(m[1], m[2], m[3])),
  phrase(`prepare ${BAR} from ${BAR}`, (m) => ({ slot: 'prepare', value: { for: Number(m[1]), from: Number(m[2]) } })),
  phrase(`(?:the )?same (?:fingers |fingering )?(?:as|like) (?:in |from )?${BAR}`, (m) => ({ slot: 'sameAs', value: Number(m[1]) })),
  fixed('shifts? on (?:the )?(?:semitones?|half ?steps?|halfsteps?)', { slot: 'shiftOn', value: 'semitone' }),
  phrase(`shift (?:on|to|at) (?:the |note )*${KEY}(?:(?: in)? (?:bar|measure) (\\d+))?`, (m) => ({ slot: 'shiftTo', value: { note: keyName(m[1]), ...(m[2] ? { bar: Number(m[2]) } : {}) } })),
  phrase(`(?:in |for |from )?(?:bars?|measures?|mm?) (\\d{1,4})(?: ?(?:to|-|and|through|until) ?(\\d{1,4}))?`, (m) => ({ slot: 'bars', value: { from: Number(m[1]), to: Number(m[2] ?? m[1]) } })),
  phrase(`sul ${KEY}`, (m) => ({ slot: 'strings', value: [keyName(m[1])] })),
  fixed('(?:the )?same (?:fingers|fingering|way)(?: going| coming)?(?: back)?(?: down)?|down as up', { slot: 'sameBack', value: true }),
  fixed('opened forwards?|forward extensions?(?: only)?|extended forwards?', { slot: 'extensions', value: 'forward' }),
  fixed('opened back(?:wards?)?|back(?:ward)? extensions?(?: only)?|extended back(?:wards?)?', { slot: 'extensions', value: 'back' }),
  fixed('closed(?: hand| positions?)?(?: only)?', { slot: 'extensions', value: 'never' }),
  fixed('(?:complete |absolute |total )?beginners?|first year|1st year', { slot: 'level', value: 'first-year' }),
  fixed('intermediate(?: level)?|middle(?: level)?', { slot: 'level', value: 'middle' }),
  fixed('advanced(?: level)?', { slot: 'level', value: 'advanced' }),
  fixed('child|children|kid|kids|little 1', { slot: 'child', value: true }),
  fixed('1 finger (?:per|a|for each|to each) semitone|1 2 3 4(?: fingering)?', { slot: 'school', value: 'four-finger' }),
  fixed('1 ?2 ?4(?: fingering)?', { slot: 'school', value: 'one-two-four' }),
  fixed('4 fingers?(?: fingering)?', { slot: 'school', value: 'four-finger' }),
  fixed('pivot(?:s|ing)?(?: fingering)?|leaning(?: hand)?', { slot: 'school', value: 'pivot' }),
  phrase('(?:at |tempo )?(\\d{2,3}) ?(?:bpm|beats(?: (?:a|per)? ?minute)?)', (m) => ({ slot: 'tempo', value: Number(m[1]) })),
  phrase('(?:at|tempo(?: of)?) (\\d{2,3})', (m) => ({ slot: 'tempo', value: Number(m[1]) })),
  phrase('(\\d) (?:notes )?(?:to|in|per|on) (?:1 |each |the )?bow', (m) => ({ slot: 'bow', value: Number(m[1]) })),
  phrase('slur(?:red|s) (?:in |of )?(\\d)s?', (m) => ({ slot: 'bow', value: Number(m[1]) })),
  phrase('slur(?:red|s) in (pairs|twos|threes|fours|sixes|eights)', (m) => ({ slot: 'bow', value: IN_SLURS[m[1]] })),
  fixed('separate bows?', { slot: 'bow', value: 1 }),
  phrase('(1\\d)(\\.5| 1/2)? ?inch(?:es)?', (m) => ({ slot: 'size', value: m[2] ? `${m[1]}.5` : m[1] })),
  phrase('(4/4|3/4|1/2|1/4|1/8|1/10|1/16|7/8)(?: sized?)?', (m) => ({ slot: 'size', value: m[1] })),
  fixed('full sized?', { slot: 'size', value: '4/4' }),
  fixed('half sized?|half (?=violin|cello|bass|double)', { slot: 'size', value: '1/2' }),
  fixed('3 quarters?(?: sized?)?', { slot: 'size', value: '3/4' }),
  fixed('quarter sized?', { slot: 'size', value: '1/4' }),
  phrase(`(?:with |and |1 )*shifts?(?:ing)? (?:up )?(?:in)?to ${ORD}(?: ${POS})?(?: and (?:to )?${ORD}(?: ${POS})?)?`, visit),
  phrase(`(?:going|visits?) (?:up )?(?:to )?${ORD}(?: ${POS})?`, visit),
  fixed('(?:no|without) shift(?:s|ing)?', { slot: 'shifts', value: 0 }),
  phrase('(?:at most |no more than |max |only |with )?(\\d) shifts?(?: only)?', (m) => ({ slot: 'shifts', value: Number(m[1]) })),
  fixed(`no thumb(?: ${POS})?`, positions({ from: 0.5, to: 7 })),
  fixed(`(?:only )(?:in )?thumb(?: ${POS})?|thumb(?: ${POS})? only`, positions(only('thumb'))),
  phrase(`${ORD} (?:to|through) ${ORD} ${POS}`, (m) => range(m[1], m[2])),
  phrase(`${POS} ([1-7]) ?(?:to|-) ?([1-7])`, (m) => range(m[1], m[2])),
  phrase(`([1-7])-([1-7]) ${POS}`, (m) => range(m[1], m[2])),
  phrase(`${ORD}(?: ${POS})? and ${ORD} ${POS}(?: only)?`, (m) => positions(only(place(m[1]), place(m[2])))),
  phrase(`up to ${ORD} ${POS}`, (m) => range('1st', m[1])),
  fixed(`(?:with |in )?thumb(?: ${POS})?`, { slot: 'visit', value: 'thumb' }),
  phrase(`(?:only )?(?:in )?${ORD} ${POS}(?: only)?`, (m) => positions(only(place(m[1])))),
  phrase(`${POS} ([1-7])`, (m) => positions(only(place(m[1])))),
  fixed(`(?:any|all) ${POS}`, positions(null)),
  fixed('(?:no|without|never) open(?: strings?)?', { slot: 'openStrings', value: 'never' }),
  fixed('(?:avoid|few|fewer) open strings?', { slot: 'openStrings', value: 'avoid' }),
  fixed('(?:with |prefer |use |many )?open strings?(?: wherever they fit)?', { slot: 'openStrings', value: 'prefer' }),
  fixed('(?:no|without|never)(?: the)? (?:4th finger|little finger|pinky)', { slot: 'fourthFinger', value: 'never' }),
  fixed('avoid(?: the)? (?:4th finger|little finger|pinky)', { slot: 'fourthFinger', value: 'avoid' }),
  fixed('(?:with |prefer |use )(?:the )?(?:4th finger|little finger|pinky)', { slot: 'fourthFinger', value: 'prefer' }),
  fixed('(?:(?:natural )?harmonics? )(?:on|at) (?:the )?(?:last|top|highest)(?: note)?', { slot: 'harmonics', value: 'last' }),
  fixed('(?:no|without|never) harmonics?', { slot: 'harmonics', value: 'never' }),
  phrase('(?:no|without|never)(?: the)? (2nd|3rd) finger', (m) => ({ slot: 'spared', value: m[1] === '2nd' ? 2 : 3 })),
  fixed('(?:no|without|never) extensions?', { slot: 'extensions', value: 'never' }),
  fixed('(?:avoid|few|fewer) extensions?', { slot: 'extensions', value: 'avoid' }),
  phrase(`(?:(?:only|just) )?(?:on )?(?:the )?${KEY} (?:and|to) (?:the )?${KEY} strings(?: only)?`, (m) => ({ slot: 'strings', value: [keyName(m[1]), keyName(m[2])] })),
  phrase(`(?:(?:only|just) )?(?:on )?(?:the )?${KEY} string(?: only| alone)?`, (m) => ({ slot: 'strings', value: [keyName(m[1])] })),
  phrase('(small|medium|large) hands?', (m) => ({ slot: 'hand', value: m[1] as 'small' })),
  fixed('big hands?', { slot: 'hand', value: 'large' }),
  phrase('(secure|singing)(?: style)?', (m) => ({ slot: 'style', value: m[1] as Style })),
  fixed('early(?: music)?(?: style)?', { slot: 'style', value: 'early' }),
  phrase('(?:scales? )?(?:in )?broken (thirds|3rds|fourths|4ths|sixths|6ths)', (m) => ({ slot: 'kind', value: `broken-${plural(m[1])}` })),
  fixed('(?:in )?fingered octaves?', { slot: 'kind', value: 'fingered-octave' }),
  fixed('(?:scales? )?in octaves|double octaves', { slot: 'kind', value: 'octave' }),
  phrase('(?:scales? )?(?:in |double )?(thirds|3rds|sixths|6ths|tenths|10ths)', (m) => ({ slot: 'kind', value: plural(m[1]).slice(0, -1) })),
  fixed('(?:arpeggios? )?in (?:threes|triplets|3s)', { slot: 'kind', value: 'in-threes' }),
  phrase('([1-9])(?: |-)?(?:octaves?|oct|8ves?)', (m) => ({ slot: 'octaves', value: Number(m[1]) })),
  fixed('half dim(?:inished)?(?: 7ths?)?', { slot: 'chord', value: 'half-diminished' }),
  fixed('dom(?:inant)? ?7(?:ths?)?', { slot: 'chord', value: 'dominant-seventh' }),
  fixed('dim(?:inished)? ?7(?:ths?)?', { slot: 'chord', value: 'diminished-seventh' }),
  fixed('maj(?:or)? ?7(?:ths?)?', { slot: 'chord', value: 'major-seventh' }),
  fixed('min(?:or)? ?7(?:ths?)?', { slot: 'chord', value: 'minor-seventh' }),
  fixed('aug(?:mented)?', { slot: 'chord', value: 'augmented' }),
  fixed('dim(?:inished)?', { slot: 'chord', value: 'diminished' }),
  fixed('arpeggios?|arp|broken chords?', { slot: 'kind', value: 'arpeggio' }),
  phrase('(harmonic|melodic|natural)(?: minor| min)?', (m) => ({ slot: 'scale', value: `${m[1]}-minor` })),
  phrase('(major|minor|maj|min) pentatonic', (m) => ({ slot: 'scale', value: `${m[1].slice(0, 3)}or-pentatonic` })),
  phrase('(chromatic|dorian|phrygian|lydian|mixolydian|locrian|pentatonic)', (m) => ({ slot: 'scale', value: m[1] })),
  fixed('aeolian', { slot: 'scale', value: 'natural-minor' }),
  fixed('ionian', { slot: 'scale', value: 'major' }),
  fixed('whole ?tone', { slot: 'scale', value: 'whole-tone' }),
  fixed('major|maj', { slot: 'scale', value: 'major' }),
  fixed('minor|min', { slot: 'scale', value: 'minor' }),
  fixed('up (?:and |then )?(?:back )?down(?: again)?|(?:going |ascending )(?:up )?and (?:going |coming |descending)(?:down)?|both ways|there and back|updown', { slot: 'direction', value: 'updown' }),
  fixed('ascending|going up|rising|upwards|up(?: only)?', { slot: 'direction', value: 'up' }),
  fixed('descending|going down|coming down|downwards|down(?: only)?', { slot: 'direction', value: 'down' }),
  fixed('violin|fiddle|vln', { slot: 'instrument', value: 'violin' }),
  fixed('viola|vla', { slot: 'instrument', value: 'viola' }),
  fixed('cello|violoncello|vc', { slot: 'instrument', value: 'cello' }),
  fixed('double bass|contrabass|bass', { slot: 'instrument', value: 'bass' }),
  fixed('low(?:est)?|bottom', { slot: 'register', value: 'low' }),
  fixed('high(?:est)?|top', { slot: 'register', value: 'high' }),
  phrase(`${KEY}m`, (m) => ({ slot: 'key', value: `${keyName(m[1])} minor` })),
  phrase(`${KEY} ?(\\d)`, (m) => ({ slot: 'key', value: keyName(m[1]) + m[2] })),
  phrase(KEY, (m) => ({ slot: 'key', value: keyName(m[1]) })),
  fixed('scales?', { slot: 'kind', value: 'scale' }),
]; // prettier-ignore

function plural(word: string): string {
  return { '3rds': 'thirds', '4ths': 'fourths', '6ths': 'sixths', '10ths': 'tenths' }[word] ?? word;
}

function range(from: string, to: string): Piece {
  const [a, b] = [place(from), place(to)];
  if (a === 'thumb' || b === 'thumb') return { slot: 'visit', value: 'thumb' };
  return positions({ from: Math.min(a, b), to: Math.max(a, b) } as PositionRule);
}

/** Words that say nothing by themselves. */
export const FILLERS: ReadonlySet<string> = new Set(
  `plan please make give show play me my her his the an of for on in at with and to a per each just then by student key from start starting
   begin begins beginning`.split(/\s+/),
);
