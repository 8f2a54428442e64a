/*
 * Makes what was typed plain before it is read: small letters, signs as letters, numbers as digits, slips of the keyboard put right. The words of
 * a brief and how they are spelled here are one list.
 */

import { DIGITS } from './digits';
import { SCALE_NAME_WORDS } from './phrases';

/** Words by themselves; a mistyped word is held against these. */
const WORDS = `
  violin viola cello violoncello bass double contrabass fiddle vln vla vc
  scale scales arpeggio arpeggios arp broken chord chords thirds fourths sixths tenths octave octaves oct fingered threes triplets
  major minor maj min harmonic harmonics last note melodic natural chromatic dorian phrygian lydian mixolydian aeolian locrian ionian whole tone pentatonic
  dominant diminished augmented half dim dom aug flat sharp
  up down ascending descending going coming rising upwards downwards both ways there back updown
  position positions pos thumb any only shift shifts shifting visit visits
  string strings open no without never avoid few fewer prefer use many little finger fingers extension extensions pinky
  small medium large big hand hands full size sized quarter inch inches
  secure singing early music style tempo bpm beats minute
  notes bow bows slurred slurs pairs twos fours sixes eights separate low lowest high highest bottom top pivot pivots fingering
  key from start starting begin begins beginning
  plan please make give show play me my her his the an of for on in at with and to a per each just alone then most more than max wherever they fit
  by student through into all touch touches touching against close closed next together shift semitone semitones halfstep step same way back
  opened forward forwards extended backward backwards complete absolute total beginner beginners year intermediate middle advanced level child children kid
  kids bar bars measure measures sul prepare like until pivoting leaning dur moll majeur mineur bemol diese`
  .trim()
  .split(/\s+/); // prettier-ignore
const KNOWN: ReadonlySet<string> = new Set([...WORDS, ...Object.keys(DIGITS), ...SCALE_NAME_WORDS]);

/** A word that was read as another. */
export interface Mended {
  readonly typed: string;
  readonly read: string;
}

export interface Plain {
  readonly text: string;
  readonly mended: readonly Mended[];
}

/** @param names words that are names of students, which are never mended */
export function plainText(typed: string, names: ReadonlySet<string>): Plain {
  const words = typed
    .replaceAll('♭', 'b')
    .replaceAll('♯', '#')
    .replaceAll('½', ' 1/2')
    .replaceAll('¾', ' 3/4')
    .replaceAll('¼', ' 1/4')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[’'`]/g, '')
    .replace(/([A-Za-z])-(?=[A-Za-z])/g, '$1 ')
    .replace(/(\d)-(?=[A-Za-z])/g, '$1 ')
    .replace(/\b1-2-4\b/g, '1 2 4')
    .replace(/\b([A-Ga-g])(flat|sharp)\b/gi, '$1 $2')
    .replace(/[,;:!?()"“”]|\.(?!\d)/g, ' ')
    .split(/\s+/)
    .filter((word) => word !== '');
  const kept = words.filter((_, at) => !isArticle(words, at)).map((word) => word.toLowerCase());
  const mended: Mended[] = [];
  const plain = kept.map((word) => {
    const read = names.has(word) ? word : mend(word);
    if (read !== word) mended.push({ typed: word, read });
    return DIGITS[read] ?? read;
  });
  return { text: plain.join(' '), mended };
}

/** "a" is a key before a word of keys, at the end, or as a capital within the words; else it is an article. */
function isArticle(words: readonly string[], at: number): boolean {
  const word = words[at];
  if (word !== 'a' && word !== 'A') return false;
  const next = words[at + 1]?.toLowerCase();
  if (next === undefined || AFTER_KEY.has(next)) return false;
  return word === 'a' || at === 0;
}

const AFTER_KEY: ReadonlySet<string> = new Set(
  `major minor maj min harmonic melodic natural chromatic dorian phrygian lydian mixolydian aeolian locrian ionian pentatonic whole dominant
   diminished augmented flat sharp string arpeggio arpeggios and in moll dur`.split(/\s+/),
);

/** The word that was meant, where one alone is near; else the word itself. */
function mend(word: string): string {
  if (word.length < 4 || KNOWN.has(word) || /\d/.test(word)) return word;
  const most = word.length > 5 ? 2 : 1;
  const near = [...KNOWN]
    .filter((known) => known.length > 3)
    .map((known) => ({ known, away: distance(word, known) }))
    .filter(({ away }) => away <= most)
    .sort((a, b) => a.away - b.away);
  const [first, second] = near;
  if (!first || (second && second.away === first.away && !sameStem(first.known, second.known))) return word;
  return first.known;
}

const sameStem = (a: string, b: string) => a.startsWith(b) || b.startsWith(a);

/** True of a word that is understood, if not by itself. */
export const isKnown = (word: string) => KNOWN.has(word);

/** Words that are near to one that is not known, nearest first. */
export function nearWords(word: string): string[] {
  return [...KNOWN]
    .filter((known) => known.length > 3)
    .map((known) => ({ known, away: distance(word, known) }))
    .filter(({ away, known }) => away <= Math.max(1, Math.floor(known.length / 2)))
    .sort((a, b) => a.away - b.away)
    .slice(0, 3)
    .map(({ known }) => known);
}

/** Letters to add, drop, change or swap to make one word the other. */
function distance(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) =>
    Array.from({ length: b.length + 1 }, (_, j) => (i === 0 ? j : j === 0 ? i : 0)),
  );
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      rows[i][j] = Math.min(rows[i - 1][j] + 1, rows[i][j - 1] + 1, rows[i - 1][j - 1] + same);
      const swapped = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      if (swapped) rows[i][j] = Math.min(rows[i][j], rows[i - 2][j - 2] + 1);
    }
  return rows[a.length][b.length];
}
