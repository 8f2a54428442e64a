import { parseMidi, type MidiData } from 'midi-file';
import { spellInKey } from '../../pitch/inkey';
import type { Pitch } from '../../pitch/pitch';
import { fraction, type Fraction, later, minus, numberOf, plus, ZERO } from '../fraction';
import { instrumentNamed, instrumentSounding } from '../names';
import {
  MOST_FILE_NOTES,
  Unreadable,
  type FileNotice,
  type Piece,
  type PieceBar,
  type PieceNote,
  type PiecePart,
} from '../piece';

/*
 * Standard MIDI files: a part for each track and channel. Times are taken for the simplest fraction of a quarter that they can mean.
 */

/** Denominators of a quarter, the likeliest first: what music is written in. */
const GRID = [1, 2, 4, 3, 8, 6, 16, 12, 5, 7, 24, 32, 9, 10, 20, 15, 14, 21, 11, 13, 18, 48, 64] as const;
/** What was played by hand is this near to what was meant, in quarters. */
const BY_HAND = 1 / 40;
/** A note that ends a little early is held to the next, in quarters: a shorter rest is not written. */
const BREATH = 1 / 8;

interface Sounded {
  readonly midi: number;
  readonly from: number;
  to: number;
}

interface Track {
  readonly name: string;
  readonly channel: number;
  program: number | undefined;
  readonly notes: Sounded[];
}

interface Signed<T> {
  readonly tick: number;
  readonly value: T;
}

/** @throws Unreadable */
export function readMidi(bytes: Uint8Array): Piece {
  const { header, tracks } = parsed(bytes);
  if (!header.ticksPerBeat) throw new Unreadable(header.framesPerSecond ? 'midi-frames' : 'broken-midi');
  const unit = header.ticksPerBeat;
  const times: Signed<string>[] = [];
  const keys: Signed<number>[] = [];
  const tempos: Signed<number>[] = [];
  const found: Track[] = [];
  const notices: FileNotice[] = [];
  let drums = 0;
  let notesRead = 0;
  tracks.forEach((events) => {
    let tick = 0;
    let name = '';
    const own = new Map<number, Track>();
    const open = new Map<number, Sounded>();
    const trackOf = (channel: number) => {
      const track = own.get(channel) ?? { name, channel, program: undefined, notes: [] };
      own.set(channel, track);
      return track;
    };
    for (const event of events) {
      if (!(event.deltaTime >= 0)) throw new Unreadable('midi-time');
      tick += event.deltaTime;
      switch (event.type) {
        case 'trackName':
          name ||= event.text;
          break;
        case 'setTempo':
          tempos.push({ tick, value: 60_000_000 / event.microsecondsPerBeat });
          break;
        case 'timeSignature':
          times.push({ tick, value: `${event.numerator}/${event.denominator}` });
          break;
        case 'keySignature':
          keys.push({ tick, value: event.key > 127 ? event.key - 256 : event.key });
          break;
        case 'programChange':
          trackOf(event.channel).program ??= event.programNumber;
          break;
        case 'noteOn':
        case 'noteOff': {
          const id = event.channel * 128 + event.noteNumber;
          const sounding = open.get(id);
          if (sounding) {
            sounding.to = tick;
            open.delete(id);
          }
          if (event.type === 'noteOff' || event.velocity === 0) break;
          if (event.channel === DRUMS) {
            drums++;
            break;
          }
          if (++notesRead > MOST_FILE_NOTES) throw new Unreadable('too-large-notes', { most: MOST_FILE_NOTES });
          const note = { midi: event.noteNumber, from: tick, to: tick };
          open.set(id, note);
          trackOf(event.channel).notes.push(note);
          break;
        }
        default:
        // Controllers, lyrics and the like say nothing of which notes are played.
      }
    }
    for (const note of open.values()) note.to = Math.max(tick, note.from + 1);
    for (const track of own.values()) if (track.notes.length > 0) found.push({ ...track, name: name || track.name });
  });
  if (drums > 0) notices.push({ code: 'percussion', data: { count: drums } });
  if (found.length === 0) throw new Unreadable(drums > 0 ? 'only-percussion' : 'no-notes');
  const place = (tick: number) => snapped(tick, unit);
  const context: Context = {
    place,
    keys: keys.map(({ tick, value }) => ({ start: place(tick), fifths: Math.max(-7, Math.min(7, value)), mode: '' })),
    times: regular(times).map(({ tick, value }) => ({ start: place(tick), time: value })),
    tempos: tempos.map(({ tick, value }) => ({ start: place(tick), bpm: Math.round(value * 100) / 100 })),
  };
  const named = tracks.flatMap((events) => events.flatMap((event) => (event.type === 'trackName' ? [event.text] : [])));
  return { title: named[0] ?? '', parts: found.map((track, n) => partOf(track, n, context)), notices };
}

const DRUMS = 9;

function parsed(bytes: Uint8Array): MidiData {
  try {
    return parseMidi(bytes);
  } catch {
    throw new Unreadable('broken-midi');
  }
}

/** One signature a place, the last that stands there. */
function regular(times: readonly Signed<string>[]): Signed<string>[] {
  const known = times.filter(({ value }) => /^\d+\/(1|2|4|8|16|32)$/.test(value) && !value.startsWith('0'));
  return known.filter(({ tick }, n) => known[n + 1]?.tick !== tick);
}

interface Context extends Pick<PiecePart, 'keys' | 'times' | 'tempos'> {
  readonly place: (tick: number) => Fraction;
}

function partOf({ name, program, notes }: Track, n: number, context: Context): PiecePart {
  const { place, keys, times, tempos } = context;
  const notices: FileNotice[] = [];
  const fifths = (start: Fraction) => keys.findLast((key) => numberOf(key.start) <= numberOf(start))?.fifths ?? 0;
  const line = lineOf(notes, place, notices).map(({ start, end, midi }): PieceNote => ({
    start,
    length: minus(end, start),
    tied: false,
    slur: false,
    heads: midi.map((one) => ({ pitch: spelled(one, fifths(start)) })),
  }));
  const last = line[line.length - 1];
  return {
    id: `T${n + 1}`,
    name: name || `T${n + 1}`,
    instrument: instrumentNamed(name) ?? instrumentSounding(program),
    bars: barsTo(plus(last.start, last.length), times),
    voices: [{ name: '1', staff: '1', notes: line }],
    keys,
    times,
    tempos,
    doubleBars: [],
    left: new Map(),
    notices,
  };
}

function spelled(midi: number, fifths: number): Pitch {
  return spellInKey({ fifths, name: '' }, midi);
}

interface Chord {
  readonly start: Fraction;
  end: Fraction;
  readonly midi: readonly number[];
}

/** Notes that begin together are one; one that still sounds when the next begins is cut there. */
function lineOf(notes: readonly Sounded[], place: Context['place'], notices: FileNotice[]): Chord[] {
  const byStart = new Map<string, { start: Fraction; end: Fraction; midi: number[] }>();
  for (const { midi, from, to } of notes) {
    const start = place(from);
    const end = later(place(to), plus(start, fraction(1, 32)));
    const id = `${start.numerator}/${start.denominator}`;
    const chord = byStart.get(id);
    if (!chord) byStart.set(id, { start, end, midi: [midi] });
    else {
      if (!chord.midi.includes(midi)) chord.midi.push(midi);
      chord.end = later(chord.end, end);
    }
  }
  const chords = [...byStart.values()].sort((a, b) => numberOf(a.start) - numberOf(b.start));
  let cut = 0;
  chords.forEach((chord, n) => {
    chord.midi.sort((a, b) => a - b);
    const next = chords[n + 1];
    if (!next) return;
    const gap = numberOf(minus(next.start, chord.end));
    if (gap < 0) cut++;
    if (gap < BREATH) chord.end = next.start;
  });
  if (cut > 0) notices.push({ code: 'cut-short', data: { count: cut } });
  return chords;
}

/** The simplest fraction of a quarter that a tick can mean. */
function snapped(tick: number, unit: number): Fraction {
  const whole = tick / unit;
  const within = (off: number) => GRID.find((below) => Math.abs(whole - Math.round(whole * below) / below) <= off);
  const below = within(0.5 / unit) ?? within(BY_HAND) ?? unit;
  return fraction(Math.round(whole * below), below);
}

/** Bars as the signatures say, to the end. */
function barsTo(end: Fraction, times: PiecePart['times']): PieceBar[] {
  const bars: PieceBar[] = [];
  let start = ZERO;
  while (numberOf(start) < numberOf(end) && bars.length < MOST_FILE_NOTES) {
    const time = times.findLast((one) => numberOf(one.start) <= numberOf(start))?.time ?? '4/4';
    const [beats, of] = time.split('/').map(Number);
    const next = times.find((one) => numberOf(one.start) > numberOf(start));
    const length = fraction(beats * 4, of);
    const cut = next && numberOf(next.start) < numberOf(plus(start, length)) ? minus(next.start, start) : length;
    bars.push({ number: String(bars.length + 1), start, length: cut });
    start = plus(start, cut);
  }
  return bars;
}
