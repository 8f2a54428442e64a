import { instrumentRecord, instrumentRecords } from '../instrument/instruments';
import {
  type InstrumentName,
  MOST_BEATS,
  MOST_VOICES,
  type ChangeSpec,
  type NoteSpec,
  type Lock,
  type PlanRequest,
} from '../vocabulary';
import { MOST_EVENTS } from '../material/materialIssues';
import { midiOf, parsePitch, pitchName } from '../pitch/pitch';
import { signatureName } from '../pitch/key';
import { beatsText, compare, fraction, minus, numberOf, plus, times, ZERO, type Fraction } from './fraction';
import {
  Unreadable,
  type FileNotice,
  type Piece,
  type PieceBar,
  type PieceHead,
  type PieceNote,
  type PiecePart,
  type PieceVoice,
} from './piece';
import type { InstrumentRecord } from '../instrument/record';

/*
 * A stretch of a piece as a planning request, as it sounds.
 */

export interface PassageAsk {
  /** Number of the part, from 1, or its name; the first bowed string where left out, else the first part. */
  readonly part?: string;
  /** Other than the part's own. */
  readonly instrument?: InstrumentName;
  /** Printed numbers of the first and the last bar. */
  readonly bars?: readonly [from: string, to: string];
  /** As the file numbers it; the fullest where left out. */
  readonly voice?: string;
  /** Octaves up: a cello part is read for the double bass an octave lower. */
  readonly octave?: number;
}

export interface Passage {
  /** Instrument, tempo and notes; nothing is demanded. */
  readonly request: PlanRequest;
  /** Fingers and strings as they were written. */
  readonly written: readonly Lock[];
  readonly notices: readonly FileNotice[];
}

/** The part that is meant. @throws Unreadable where there is none like it */
function partOf({ parts }: Piece, asked: string | undefined): PiecePart {
  if (asked === undefined) return parts.find(({ instrument }) => instrument !== null) ?? parts[0];
  const number = Number(asked);
  const plain = asked.trim().toLowerCase();
  const found =
    parts.find(({ name }) => name.toLowerCase() === plain) ??
    (Number.isInteger(number) ? parts[number - 1] : undefined) ??
    parts.find(({ name }) => name.toLowerCase().includes(plain));
  if (!found) throw new Unreadable('no-part', { part: asked, parts: parts.map(({ name, id }) => name || id) });
  return found;
}

/** The bowed string that a part is planned for: its own, or the highest that has its lowest note. */
function instrumentFor(part: PiecePart): InstrumentName {
  if (part.instrument) return part.instrument;
  const midis = part.voices.flatMap(({ notes }) =>
    notes.flatMap(({ heads }) => heads.map(({ pitch }) => midiOf(pitch))),
  );
  const lowest = midis.reduce((low, midi) => Math.min(low, midi), Infinity);
  const records = instrumentRecords();
  return (records.find((record) => lowest >= lowestOf(record)) ?? records[records.length - 1]).name;
}

function lowestOf({ tuning }: InstrumentRecord): number {
  const pitch = parsePitch(tuning[0]);
  return pitch ? midiOf(pitch) : 0;
}

/** @throws Unreadable where the part, the bars or the voice are not there, or there is nothing to play */
export function passageOf(piece: Piece, ask: PassageAsk): Passage {
  const part = partOf(piece, ask.part);
  const instrument = ask.instrument ?? instrumentFor(part);
  const bars = barsAsked(part, ask.bars);
  const voice = voiceAsked(part, ask.voice);
  const from = bars[0].start;
  const to = plus(bars[bars.length - 1].start, bars[bars.length - 1].length);
  const isInside = (at: Fraction) => compare(at, from) >= 0 && compare(at, to) < 0;
  const notices: FileNotice[] = [...piece.notices, ...part.notices, ...leftInside(part, isInside)];
  const others = part.voices.filter((one) => one !== voice);
  if (others.length > 0)
    notices.push({ code: 'other-voices', data: { count: others.length, voices: others.map(({ name }) => name) } });
  const of = Number(timeAt(part, from).split('/')[1]);
  const line = joinedTies(filled(voice, from, to), notices, (MOST_BEATS * 4) / of);
  if (!line.some(({ heads }) => heads.length > 0)) throw new Unreadable('nothing-there', {}, `/part/${part.id}`);
  if (line.length > MOST_EVENTS) throw new Unreadable('too-long-passage', { count: line.length, most: MOST_EVENTS });
  const metre = metreOf(part, bars, line);
  const beat = (quarters: Fraction) => times(quarters, of, 4);
  const notes = line.map((note, at): NoteSpec => {
    const marks = metre.marks(note, at);
    const double = part.doubleBars.some(
      (place) =>
        compare(place, from) > 0 && compare(place, line[at - 1]?.start ?? from) > 0 && compare(place, note.start) <= 0,
    );
    const length = { beats: beatsText(beat(note.length)), ...marks, ...(double ? { doubleBar: true as const } : {}) };
    if (note.heads.length === 0) return { rest: true, ...length };
    const slurred = note.slur && (line[at + 1]?.heads.length ?? 0) > 0;
    return {
      pitches: note.heads.map(({ pitch }) => pitchName({ ...pitch, octave: pitch.octave + (ask.octave ?? 0) })),
      ...length,
      ...(slurred ? { slur: true as const } : {}),
      ...(note.bow ? { bow: note.bow } : {}),
      ...(note.accent ? { accent: note.accent } : {}),
      ...(note.short ? { short: note.short } : {}),
    };
  });
  const key = inForce(part.keys, from);
  const tempo = inForce(part.tempos, from);
  const bpm = tempo && withinTempo((tempo.bpm * of) / 4);
  const changes = changesOf(part, line, from, of);
  return {
    request: {
      instrument,
      ...(bpm ? { tempo: { bpm } } : {}),
      material: {
        type: 'notes',
        key: keyName(key?.fifths ?? 0, key?.mode ?? ''),
        notes,
        time: metre.time,
        ...(metre.pickup ? { pickup: metre.pickup } : {}),
        ...firstBarOf(bars, metre.pickup),
        ...(changes.length > 0 ? { changes } : {}),
      },
    },
    written: line.flatMap(({ heads }, at) => heads.flatMap((head) => lockOf(head, at, instrument))),
    notices,
  };
}

/** What is left out inside a stretch, by what it is. */
function leftInside({ left }: PiecePart, isInside: (at: Fraction) => boolean): FileNotice[] {
  return [...left].flatMap(([code, places]) => {
    const count = places.filter(isInside).length;
    return count > 0 ? [{ code, data: { count } }] : [];
  });
}

/** The printed number of the first whole bar, where it is another than 1. */
function firstBarOf(bars: readonly PieceBar[], pickup: number): { readonly firstBar?: number } {
  const number = Number((pickup > 0 ? bars[1] : bars[0]).number);
  return Number.isInteger(number) && number >= 0 && number <= 9999 && number !== 1 ? { firstBar: number } : {};
}

function barsAsked({ bars, id }: PiecePart, asked: PassageAsk['bars']): readonly PieceBar[] {
  const long = bars.filter(({ length }) => compare(length, ZERO) > 0);
  if (!asked) return long;
  const placeOf = (number: string) => long.findIndex((bar) => bar.number === number);
  const [from, to] = asked.map(placeOf);
  const known = { first: long[0]?.number ?? '', last: long[long.length - 1]?.number ?? '' };
  if (from < 0 || to < 0)
    throw new Unreadable('no-bar', { bar: from < 0 ? asked[0] : asked[1], ...known }, `/part/${id}`);
  if (to < from) throw new Unreadable('bars-turned', { from: asked[0], to: asked[1] }, `/part/${id}`);
  return long.slice(from, to + 1);
}

function voiceAsked({ voices, id }: PiecePart, asked: string | undefined): PieceVoice {
  if (asked === undefined) return voices[0];
  const found = voices.find(({ name }) => name === asked);
  if (!found) throw new Unreadable('no-voice', { voice: asked, voices: voices.map(({ name }) => name) }, `/part/${id}`);
  return found;
}

/** The notes between two places, with a rest wherever nothing is written. */
function filled({ notes }: PieceVoice, from: Fraction, to: Fraction): PieceNote[] {
  const line: PieceNote[] = [];
  let at = from;
  const rest = (until: Fraction) => {
    if (compare(until, at) > 0) line.push({ start: at, length: minus(until, at), heads: [], tied: false, slur: false });
  };
  for (const note of notes) {
    if (compare(note.start, from) < 0 || compare(note.start, to) >= 0) continue;
    rest(note.start);
    line.push(note);
    at = plus(note.start, note.length);
  }
  rest(to);
  return line;
}

/** Tied notes as one; chords that are tied in part are not. */
function joinedTies(line: readonly PieceNote[], notices: FileNotice[], mostQuarters: number): PieceNote[] {
  const joined: PieceNote[] = [];
  let partly = 0;
  let cut = 0;
  for (const note of line) {
    const heads = distinct(note.heads);
    if (heads.length > MOST_VOICES) cut++;
    const own = { ...note, heads: heads.slice(-MOST_VOICES) };
    const before = joined[joined.length - 1];
    if (before?.tied && samePitches(before, own)) {
      const length = plus(before.length, own.length);
      if (numberOf(length) <= mostQuarters) {
        joined[joined.length - 1] = { ...before, length, tied: own.tied, slur: own.slur };
        continue;
      }
    } else if (before?.tied && own.heads.length > 0) partly++;
    joined.push(own);
  }
  if (partly > 0) notices.push({ code: 'ties-in-part', data: { count: partly } });
  if (cut > 0) notices.push({ code: 'chords-cut', data: { count: cut, most: MOST_VOICES } });
  return joined;
}

function distinct(heads: readonly PieceHead[]): PieceHead[] {
  return heads.filter((head, n) => n === 0 || midiOf(head.pitch) !== midiOf(heads[n - 1].pitch));
}

function samePitches(a: PieceNote, b: PieceNote): boolean {
  const names = ({ heads }: PieceNote) => heads.map(({ pitch }) => pitchName(pitch)).join();
  return a.heads.length > 0 && names(a) === names(b);
}

const timeAt = (part: PiecePart, place: Fraction) => inForce(part.times, place)?.time ?? '4/4';

/** Signature and pickup, and the bar lines where the signature does not give them. */
function metreOf(part: PiecePart, bars: readonly PieceBar[], line: readonly PieceNote[]) {
  const [first, ...rest] = bars;
  const nominal = (place: Fraction) => {
    const [beats, of] = timeAt(part, place).split('/').map(Number);
    return fraction(beats * 4, of);
  };
  const time = timeAt(part, first.start);
  const of = Number(time.split('/')[1]);
  const short = compare(first.length, nominal(first.start)) < 0;
  const pickup = short && rest.length > 0 ? numberOf(times(first.length, of, 4)) : 0;
  const starts = new Set(line.map(({ start }) => numberOf(start)));
  const changed = part.times.filter((one) => compare(one.start, first.start) > 0);
  const regular =
    (short ? rest : bars).every(
      (bar, n, all) => n === all.length - 1 || compare(bar.length, nominal(bar.start)) === 0,
    ) &&
    changed.every((one) => starts.has(numberOf(one.start)) || !rest.some((bar) => compare(bar.start, one.start) === 0));
  let next = 0;
  const marks = (note: PieceNote, at: number): Pick<NoteSpec, 'bar' | 'bars'> => {
    if (regular) return {};
    const end = plus(note.start, note.length);
    let bar = false;
    const inside: number[] = [];
    while (next < rest.length && compare(rest[next].start, end) < 0) {
      const off = minus(rest[next].start, note.start);
      if (compare(off, ZERO) === 0) bar = at > 0;
      else if (compare(off, ZERO) > 0) inside.push(numberOf(times(off, of, 4)));
      next++;
    }
    return { ...(bar ? { bar: true as const } : {}), ...(inside.length > 0 ? { bars: inside } : {}) };
  };
  return { time, of, pickup, marks };
}

/** What was last said before or at a place. */
function inForce<T extends { readonly start: Fraction }>(all: readonly T[], place: Fraction): T | undefined {
  return all.findLast(({ start }) => compare(start, place) <= 0);
}

/** Changes inside the passage, each at the first event at or after it. */
function changesOf(part: PiecePart, line: readonly PieceNote[], from: Fraction, of: number): ChangeSpec[] {
  const byEvent = new Map<number, { -readonly [Name in keyof ChangeSpec]: ChangeSpec[Name] }>();
  const put = (start: Fraction, change: Omit<ChangeSpec, 'at'>) => {
    if (compare(start, from) <= 0) return;
    const at = line.findIndex((note) => compare(note.start, start) >= 0);
    if (at > 0) byEvent.set(at, { ...byEvent.get(at), ...change, at });
  };
  for (const { start, fifths, mode } of unlike(part.keys, ({ fifths }) => fifths))
    put(start, { key: keyName(fifths, mode) });
  for (const { start, time } of unlike(part.times, (one) => one.time)) put(start, { time });
  for (const { start, bpm } of unlike(part.tempos, (one) => one.bpm)) {
    const beats = withinTempo((bpm * of) / 4);
    if (beats) put(start, { bpm: beats });
  }
  return [...byEvent.values()].sort((a, b) => a.at - b.at);
}

/** Those that say something else than the one before. */
function unlike<T>(all: readonly T[], value: (one: T) => unknown): T[] {
  return all.filter((one, n) => n === 0 || value(one) !== value(all[n - 1]));
}

/** Beats a minute that a request may have. */
function withinTempo(bpm: number): number | undefined {
  const rounded = Math.round(bpm * 100) / 100;
  return rounded >= 10 && rounded <= 400 ? rounded : undefined;
}

function keyName(fifths: number, mode: string): string {
  if (mode !== 'minor') return signatureName(fifths);
  return `${signatureName(fifths + 3 > 7 ? fifths + 3 - 12 : fifths + 3).split(' ')[0]} minor`;
}

function lockOf({ finger, string }: PieceHead, at: number, instrument: InstrumentName): Lock[] {
  const { tuning } = instrumentRecord(instrument);
  const name = string === undefined ? undefined : tuning[tuning.length - string];
  if (finger === undefined && name === undefined) return [];
  return [{ at, ...(finger === undefined ? {} : { finger }), ...(name === undefined ? {} : { string: name }) }];
}
