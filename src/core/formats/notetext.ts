import { beatsOf } from '../material/noteEvents';
import { MOST_BEATS, MOST_VOICES, type NoteSpec } from '../vocabulary';
import { LETTERS, letterSteps, parsePitch, pitchName, type Pitch } from '../pitch/pitch';

/*
 * Notes typed as text. Words are parted by blanks:
 *
 *   A4  f#5  Bb3   a note: letter, signs (# ## b bb), octave; without an octave the nearest to the note before
 *   A3+E4          sounded together, low to high; without an octave the next one above
 *   -              a rest
 *   A4:2  B:1/2    a length in beats, kept until the next one; a beat at first
 *   |              a bar line
 *
 * A letter means what it says: F is F natural in every key.
 */

/** Something that cannot be read, at a character of the text. */
export interface TextIssue {
  readonly at: number;
  readonly length: number;
  readonly code: TextIssueCode;
  /** What was found there, and what it is compared with. */
  readonly found?: string;
  readonly other?: string;
}

export type TextIssueCode =
  | 'length-without-note'
  | 'no-length'
  | 'not-above'
  | 'too-many-together'
  | 'no-note'
  | 'note-missing'
  | 'no-sign'
  | 'cannot-follow'
  | 'no-octave';

export interface NoteText {
  readonly notes: readonly NoteSpec[];
  /** Where each note's word stands in the text. */
  readonly spans: readonly { readonly from: number; readonly to: number }[];
  readonly issues: readonly TextIssue[];
}

interface Line {
  beats: number;
  /** The lowest pitch of the last note, from which the next finds its octave. */
  last: Pitch | null;
  bar: boolean;
}

/**
 * Reads typed notes. All that can be read is, and every word that cannot has its issue.
 * @param octavesUp how far the written notes lie above the sounding ones (1 on double bass)
 */
export function readNoteText(text: string, octavesUp = 0): NoteText {
  const notes: NoteSpec[] = [];
  const spans: { from: number; to: number }[] = [];
  const issues: TextIssue[] = [];
  const line: Line = { beats: 1, last: null, bar: false };
  for (const word of text.matchAll(/\S+/g)) {
    const from = word.index;
    if (word[0] === '|') {
      line.bar = notes.length > 0;
      continue;
    }
    try {
      const note = readWord(word[0], from, line);
      notes.push(sounding(note, octavesUp));
      spans.push({ from, to: from + word[0].length });
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error;
      issues.push(error.issue);
    }
  }
  return { notes, spans, issues };
}

class Unreadable extends Error {
  constructor(readonly issue: TextIssue) {
    super(issue.code);
  }
}

/** The sign that joins a note to the next under one bow. */
const SLUR = '~';

function readWord(written: string, at: number, line: Line): NoteSpec {
  const slurred = written.length > 1 && written.endsWith(SLUR);
  const word = slurred ? written.slice(0, -1) : written;
  const colon = word.indexOf(':');
  const head = colon < 0 ? word : word.slice(0, colon);
  if (head === '') throw new Unreadable({ at, length: 1, code: 'length-without-note' });
  if (colon >= 0) line.beats = readBeats(word.slice(colon + 1), at + colon);
  const bar = line.bar ? { bar: true as const } : {};
  if (head === '-') {
    line.bar = false;
    return { rest: true, beats: line.beats, ...bar };
  }
  const voices = readVoices(head, at, line.last);
  line.last = voices[0];
  line.bar = false;
  const slur = slurred ? { slur: true as const } : {};
  return { pitches: voices.map(pitchName), beats: line.beats, ...bar, ...slur };
}

/** @param at where the colon stands */
function readBeats(text: string, at: number): number {
  const parts = /^(\d+(?:\.\d+)?)(?:\/(\d+))?$/.exec(text);
  const beats = parts ? Number(parts[1]) / Number(parts[2] ?? 1) : NaN;
  if (!(beats > 0 && beats <= MOST_BEATS)) throw new Unreadable({ at, length: text.length + 1, code: 'no-length' });
  return beats;
}

function readVoices(head: string, at: number, last: Pitch | null): Pitch[] {
  const voices: Pitch[] = [];
  let from = at;
  for (const name of head.split('+')) {
    const below = voices[voices.length - 1];
    const pitch = readPitch(name, from, below ?? last, below !== undefined);
    if (below && letterSteps(pitch) <= letterSteps(below))
      throw new Unreadable({ at: from, length: name.length, code: 'not-above', found: name, other: pitchName(below) });
    voices.push(pitch);
    from += name.length + 1;
  }
  if (voices.length > MOST_VOICES)
    throw new Unreadable({ at, length: head.length, code: 'too-many-together', found: String(voices.length) });
  return voices;
}

const ALTERATIONS: ReadonlyMap<string, number> = new Map([
  ['', 0],
  ['#', 1],
  ['##', 2],
  ['b', -1],
  ['bb', -2],
]);

/** @param above true where a missing octave means the next one above, else the nearest */
function readPitch(name: string, at: number, near: Pitch | null, above: boolean): Pitch {
  const plain = name.replaceAll('♯', '#').replaceAll('♭', 'b');
  const letter = LETTERS.indexOf(plain.charAt(0).toUpperCase() as 'C');
  if (letter < 0) {
    if (name === '') throw new Unreadable({ at, length: 1, code: 'note-missing' });
    throw new Unreadable({ at, length: 1, code: 'no-note', found: name.charAt(0) });
  }
  const [, signs, octave, rest] = /^([#b]*)(\d?)(.*)$/.exec(plain.slice(1)) as RegExpExecArray;
  const alteration = ALTERATIONS.get(signs);
  if (alteration === undefined)
    throw new Unreadable({ at: at + 1, length: signs.length, code: 'no-sign', found: signs });
  if (rest !== '')
    throw new Unreadable({
      at: at + name.length - rest.length,
      length: rest.length,
      code: 'cannot-follow',
      found: rest,
      other: name.slice(0, name.length - rest.length),
    });
  if (octave !== '') return { letter, alteration, octave: Number(octave) };
  if (!near) throw new Unreadable({ at, length: name.length, code: 'no-octave', found: name });
  return { letter, alteration, octave: octaveNear(letter, near, above) };
}

function octaveNear(letter: number, near: Pitch, above: boolean): number {
  const from = letterSteps(near);
  const up = (((letter - near.letter) % 7) + 7) % 7;
  if (above) return Math.floor((from + (up === 0 ? 7 : up)) / 7);
  return Math.floor((from + (up > 3 ? up - 7 : up)) / 7);
}

function sounding(note: NoteSpec, octavesUp: number): NoteSpec {
  return octavesUp === 0 || 'rest' in note ? note : { ...note, pitches: moved(note.pitches, -octavesUp) };
}

function moved(names: readonly string[], octaves: number): string[] {
  return names.map((name) => {
    const pitch = parsePitch(name);
    return pitch ? pitchName({ ...pitch, octave: pitch.octave + octaves }) : name;
  });
}

/**
 * Writes notes as text that readNoteText reads back, eight to a row where there are no bars.
 * @param octavesUp how far the written notes lie above the sounding ones
 */
export function writeNoteText(notes: readonly NoteSpec[], octavesUp = 0): string {
  let beats = 1;
  let words = 0;
  return notes
    .map((note, at) => {
      const now = beatsOf(note);
      const head = 'rest' in note ? '-' : moved(note.pitches, octavesUp).join('+');
      const slur = 'slur' in note && note.slur ? SLUR : '';
      const word = (now === beats ? head : `${head}:${beatsText(now)}`) + slur;
      beats = now;
      if (note.bar) words = 0;
      const part = at === 0 ? '' : note.bar ? ' |\n' : words % 8 === 0 ? '\n' : ' ';
      words++;
      return part + word;
    })
    .join('');
}

/** Thirds and the like as fractions, so that they come back exactly. */
function beatsText(beats: number): string {
  for (const of of [1, 2, 3, 4, 6, 8, 12, 16]) {
    const share = Math.round(beats * of);
    if (share / of === beats) return of === 1 ? String(share) : `${share}/${of}`;
  }
  return String(beats);
}
