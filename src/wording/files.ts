import type { IssueData } from '../core';
import type { FileNotice, Unreadable } from '../core/formats';
import { counted, echoed, listed, number } from './grammar';

/*
 * Files that were read: what was left out, and why one cannot be read.
 */

type Data = IssueData;

const text = (value: Data[string] | undefined) => echoed(String(value ?? ''));
const count = (data: Data) => Number(data.count ?? 0);
const names = (value: Data[string] | undefined) =>
  Array.isArray(value) ? listed(value.slice(0, 12).map((one) => `"${echoed(String(one))}"`)) : '';

/** What was left out, counted: one, and many. */
const LEFT: Readonly<Record<string, readonly [one: string, many?: string]>> = {
  'grace-notes': ['grace note'],
  'cue-notes': ['cue note'],
  lyrics: ['syllable of text', 'syllables of text'],
  percussion: ['percussion note'],
  'chord-notes': ['chord note without a note before it', 'chord notes without a note before them'],
  'notes-of-no-length': ['note without a length', 'notes without a length'],
  'other-fingers': ['further finger on the same note', 'further fingers on the same note'],
  'odd-fingers': ['finger that no hand has', 'fingers that no hand has'],
  'quarter-tones': ['quarter tone, taken to the nearest semitone', 'quarter tones, taken to the nearest semitone'],
  'odd-keys': ['key without a usual signature', 'keys without a usual signature'],
  'odd-times': ['time signature that is not known here', 'time signatures that are not known here'],
  'free-time': ['stretch without a time signature', 'stretches without a time signature'],
  ornaments: ['ornament'],
  articulations: ['note with an articulation', 'notes with articulations'],
  fermata: ['fermata', 'fermatas'],
  arpeggiate: ['broken chord sign'],
  glissando: ['glissando', 'glissandos'],
  slide: ['slide'],
  dynamics: ['sign for loud and soft', 'signs for loud and soft'],
  words: ['word over the staff', 'words over the staff'],
  directions: ['other direction'],
  'chord-names': ['chord name'],
  'figured-bass': ['figured bass'],
  groupings: ['grouping'],
  endings: ['ending of a repeat', 'endings of a repeat'],
  'other-signs': ['other sign'],
  overlaps: [
    'note that overlapped the next in its voice, cut there',
    'notes that overlapped the next in their voice, cut there',
  ],
  'cut-short': [
    'note that still sounded when the next began, cut there',
    'notes that still sounded when the next began, cut there',
  ],
};

const NOTICES: Readonly<Record<string, (data: Data) => string>> = {
  repeats: () => 'Repeats were left as they are and not played out.',
  tablature: () => 'The part has tablature; its notes were read, its signs were not.',
  'empty-part': ({ part }) => `The part "${text(part)}" has no notes.`,
  'other-voices': (data) => `Left out: ${counted(count(data), 'other voice')} of this part (${names(data.voices)}).`,
  'ties-in-part': (data) => `${counted(count(data), 'chord')} tied in part only: each is played again.`,
  'chords-cut': (data) =>
    `${counted(count(data), 'chord')} with more than ${text(data.most)} notes: the highest were kept.`,
};

/** A notice as a sentence. */
export function noticeWords({ code, data = {} }: FileNotice): string {
  const own = NOTICES[code];
  if (own) return own(data);
  const [one, many] = LEFT[code] ?? ['sign'];
  return `Left out: ${counted(count(data), one, many)}.`.replace(/^Left out: (.* cut there|.*semitone)\.$/, '$1.');
}

const TROUBLES: Readonly<Record<string, (data: Data) => string>> = {
  'empty-file': () => 'The file is empty.',
  'unknown-file': () =>
    'This file cannot be read here. Bring MusicXML (.musicxml, .xml, .mxl), MIDI (.mid) or notes typed as text.',
  'too-large': ({ megabytes, most }) =>
    `The file is too large: ${text(megabytes)} MB, and at most ${text(most)} MB are read. Save the part or the movement alone.`,
  'too-large-notes': ({ most }) => `The file has more than ${text(most)} notes. Save the part or the movement alone.`,
  'too-many-parts': ({ most }) => `The score has more than ${text(most)} parts. Save the part alone.`,
  'broken-xml': ({ line, what }) =>
    `The file is broken at line ${text(line)}: ${text(what)} Save it again from the program that made it.`,
  'xml-entity': ({ line }) =>
    `The file defines or uses an entity (line ${text(line)}); a score needs none, and it is not read for safety. Save it again from the program that made it.`,
  'xml-deep': ({ most }) => `The file is nested more than ${text(most)} deep; no score is. It was not read.`,
  'no-score': ({ root }) =>
    `This is XML, but no MusicXML score: it begins with "${text(root)}". Export it as MusicXML.`,
  'no-score-inside': () => 'This is a packed file with no score in it. Export it as MusicXML.',
  'broken-zip': () => 'This is a packed file that cannot be unpacked. Save it again from the program that made it.',
  'broken-midi': () => 'This is a MIDI file that is cut off or broken. Save it again from the program that made it.',
  'midi-frames': () => 'This MIDI file is timed by film frames and not by beats. Save it with beats.',
  'midi-time': () => 'This MIDI file has a negative time in it. Save it again from the program that made it.',
  'no-notes': () => 'There is no note in this file.',
  'only-percussion': () => 'There is only percussion in this file, and nothing to finger.',
  'negative-time': () => 'A note here has a negative length. Save the file again from the program that made it.',
  'no-divisions': () =>
    'The unit of time here is not a positive number. Save the file again from the program that made it.',
  'no-pitch-here': () => 'A note here has no pitch. Put it right in the program that made the file.',
  'no-part': ({ part, parts }) => `There is no part "${text(part)}"; there are ${names(parts)}.`,
  'no-bar': ({ bar, first, last }) => `There is no bar ${text(bar)}; the bars are ${text(first)} to ${text(last)}.`,
  'bars-turned': ({ from, to }) => `Bar ${text(to)} comes before bar ${text(from)}; swap them.`,
  'no-voice': ({ voice, voices }) => `There is no voice ${text(voice)}; there are ${names(voices)}.`,
  'nothing-there': () => 'There is no note in these bars; choose others.',
  'too-long-passage': ({ count: notes, most }) =>
    `These bars have ${text(notes)} notes, and at most ${number(Number(most))} are planned at once; choose fewer bars.`,
};

/** Why a file cannot be read, with what to do. */
export function unreadableWords({ code, data }: Pick<Unreadable, 'code' | 'data'>): string {
  return TROUBLES[code]?.(data) ?? 'This file cannot be read.';
}

/** Where in the file it is: "part P1, bar 12: "; empty where that is not known. */
export function unreadablePlace({ path }: Pick<Unreadable, 'path'>): string {
  const [, part, bar] = /^\/part\/([^/]+)(?:\/bar\/(.+))?$/.exec(path) ?? [];
  return part === undefined ? '' : `Part ${echoed(part)}${bar === undefined ? '' : `, bar ${echoed(bar)}`}: `;
}

/** What came of a plan that somebody sent. @param student the student that came with it; null where none is new */
export function sentWords(title: string, isNew: boolean, student: string | null): string {
  if (!isNew) return `“${title}” is here already.`;
  return `“${title}” is here now${student === null ? '' : `, with ${student || 'its student'}`}.`;
}
