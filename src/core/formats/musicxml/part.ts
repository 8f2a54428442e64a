import { FINGERS, type Finger } from '../../vocabulary';
import { letterSteps, LETTERS, midiOf, spellAt, type Pitch } from '../../pitch/pitch';
import { compare, fraction, later, minus, plus, ZERO, type Fraction } from '../fraction';
import { instrumentNamed, instrumentSounding } from '../names';
import {
  Unreadable,
  type FileNotice,
  type PieceBar,
  type PieceHead,
  type PieceNote,
  type PiecePart,
  type PieceVoice,
} from '../piece';
import { metronomeTempo } from './metronome';
import { child, childNumber, childrenOf, childText, type Element } from './elements';

/*
 * One part of a score while it is read, measure by measure.
 */

interface Draft {
  start: Fraction;
  length: Fraction;
  heads: PieceHead[];
  tied: boolean;
  bow?: 'down' | 'up';
  accent?: true;
  short?: true;
  slurStarts: number;
  slurStops: number;
  slur: boolean;
}

interface Voice {
  readonly name: string;
  readonly staff: string;
  readonly notes: Draft[];
}

/** What is left out of a part, by what it is. */
type Left = Map<string, Fraction[]>;

export interface PartHead {
  readonly id: string;
  readonly name: string;
  readonly program: number | undefined;
  readonly sound: string;
}

/** Elements of a measure that say nothing of what is played. */
const SILENT: ReadonlySet<string> = new Set(['print', 'link', 'bookmark', 'sound', 'listening']);
/** Elements of a measure that are left out, by the name of what they are. */
const LEFT: Readonly<Record<string, string>> = {
  harmony: 'chord-names',
  'figured-bass': 'figured-bass',
  grouping: 'groupings',
};

/** Collects one part. Its measures are to be opened and closed in order. */
export function partCollector({ id, name, program, sound }: PartHead) {
  const bars: PieceBar[] = [];
  const voices = new Map<string, Voice>();
  const keys: { start: Fraction; fifths: number; mode: string }[] = [];
  const timeList: { start: Fraction; time: string }[] = [];
  const tempos: { start: Fraction; bpm: number }[] = [];
  const left: Left = new Map();
  const doubleBars: Fraction[] = [];
  /** A double bar stands at the end of the measure. */
  let endsDouble = false;
  let divisions = 1;
  let transposed: Transposition = { chromatic: 0, diatonic: 0 };
  let percussion = false;
  let tablature = false;
  let number = '';
  let start = ZERO;
  let cursor = ZERO;
  let end = ZERO;
  let notes = 0;
  /** The last note of a voice, which chord notes belong to. */
  let last: Draft | null = null;

  const path = () => `/part/${id}/bar/${number}`;
  const leave = (what: string, at = cursor) => {
    const places = left.get(what) ?? [];
    places.push(at);
    left.set(what, places);
  };

  function duration(element: Element): Fraction {
    const value = childNumber(element, 'duration') ?? 0;
    if (value < 0) throw new Unreadable('negative-time', {}, path());
    return fraction(Math.round(value * 1024), Math.round(divisions * 1024));
  }

  function attributes(element: Element) {
    const own = childNumber(element, 'divisions');
    if (own !== undefined) {
      if (!(own > 0)) throw new Unreadable('no-divisions', {}, path());
      divisions = own;
    }
    // What is read is what sounds: a transposing part has its key moved too.
    const transpose = child(element, 'transpose');
    if (transpose) transposed = transpositionOf(transpose);
    for (const key of childrenOf(element, 'key')) {
      const fifths = childNumber(key, 'fifths');
      if (fifths === undefined) leave('odd-keys');
      else {
        const mode = childText(key, 'mode') ?? '';
        keys.push({ start: cursor, fifths: soundingFifths(Math.round(fifths), transposed), mode });
      }
      break;
    }
    const time = child(element, 'time');
    if (time) readTimeSignature(time);
    for (const clef of childrenOf(element, 'clef')) {
      const sign = childText(clef, 'sign');
      if (sign === 'percussion') percussion = true;
      if (sign === 'TAB') tablature = true;
    }
  }

  function readTimeSignature(time: Element) {
    if (child(time, 'senza-misura')) {
      leave('free-time');
      return;
    }
    const beats = childrenOf(time, 'beats').flatMap(({ text }) => text.split('+').map(Number));
    const of = childNumber(time, 'beat-type') ?? 4;
    const sum = beats.reduce((all, one) => all + one, 0);
    if (!(sum >= 1 && sum <= 32) || ![1, 2, 4, 8, 16, 32].includes(of)) leave('odd-times');
    else timeList.push({ start: cursor, time: `${sum}/${of}` });
  }

  function note(element: Element) {
    notes++;
    if (child(element, 'grace')) return leave('grace-notes');
    if (child(element, 'cue')) {
      moveOn(duration(element));
      return leave('cue-notes');
    }
    const length = duration(element);
    const chord = child(element, 'chord') !== undefined;
    if (child(element, 'lyric')) leave('lyrics');
    if (child(element, 'unpitched')) {
      if (!chord) moveOn(length);
      return leave('percussion');
    }
    const voice = voiceOf(childText(element, 'staff') ?? '1', childText(element, 'voice') ?? '1');
    const notation = childrenOf(element, 'notations');
    if (chord && last) {
      if (last.heads.length === 0) return leave('chord-notes');
      last.heads.push(headOf(element, notation));
      marks(element, notation, last);
      return;
    }
    if (chord) leave('chord-notes');
    const draft: Draft = { start: cursor, length, heads: [], tied: false, slurStarts: 0, slurStops: 0, slur: false };
    if (!child(element, 'rest')) {
      if (compare(length, ZERO) === 0) return leave('notes-of-no-length');
      draft.heads.push(headOf(element, notation));
      marks(element, notation, draft);
    }
    if (compare(length, ZERO) > 0 && element.attributes['print-object'] !== 'no') voice.notes.push(draft);
    last = draft;
    moveOn(length);
  }

  function voiceOf(staff: string, voice: string): Voice {
    const key = `${staff}/${voice}`;
    const known = voices.get(key) ?? { name: voice, staff, notes: [] };
    voices.set(key, known);
    return known;
  }

  function moveOn(length: Fraction) {
    cursor = plus(cursor, length);
    end = later(end, cursor);
  }

  function headOf(element: Element, notation: readonly Element[]): PieceHead {
    const pitch = child(element, 'pitch');
    const technical = notation.flatMap((one) => childrenOf(one, 'technical'));
    const step = LETTERS.indexOf((childText(pitch ?? element, 'step') ?? '') as 'C');
    const octave = childNumber(pitch ?? element, 'octave');
    if (step < 0 || octave === undefined) throw new Unreadable('no-pitch-here', {}, path());
    const alter = childNumber(pitch as Element, 'alter') ?? 0;
    if (!Number.isInteger(alter)) leave('quarter-tones');
    const written = { letter: step, alteration: Math.round(alter), octave };
    return { pitch: plainest(sounding(written, transposed)), ...heldAs(technical) };
  }

  function heldAs(technical: readonly Element[]): Omit<PieceHead, 'pitch'> {
    const all = technical.flatMap((one) => one.children);
    const fingers = all.filter((one) => one.name === 'fingering' && one.attributes.alternate !== 'yes');
    for (let other = 1; other < fingers.length; other++) leave('other-fingers');
    const open = all.some((one) => one.name === 'open-string');
    const thumb = all.some((one) => one.name === 'thumb-position');
    const named = fingerOf(fingers[0]?.text.trim());
    if (fingers.length > 0 && named === undefined) leave('odd-fingers');
    const finger = thumb ? 'T' : (named ?? (open ? 0 : undefined));
    const string = Number(all.find((one) => one.name === 'string')?.text.trim());
    return {
      ...(finger === undefined ? {} : { finger }),
      ...(Number.isInteger(string) && string > 0 ? { string } : {}),
    };
  }

  function marks(element: Element, notation: readonly Element[], draft: Draft) {
    const ties = [...childrenOf(element, 'tie'), ...notation.flatMap((one) => childrenOf(one, 'tied'))];
    if (ties.some(({ attributes: { type } }) => type === 'start')) draft.tied = true;
    for (const one of notation) {
      for (const slur of childrenOf(one, 'slur')) {
        if (slur.attributes.type === 'start') draft.slurStarts++;
        if (slur.attributes.type === 'stop') draft.slurStops++;
      }
      for (const technical of childrenOf(one, 'technical'))
        for (const { name: what } of technical.children)
          if (what === 'down-bow' || what === 'up-bow') draft.bow = what === 'down-bow' ? 'down' : 'up';
      for (const { name: what } of childrenOf(one, 'articulations').flatMap(({ children }) => children))
        if (ACCENTS.has(what)) draft.accent = true;
        else if (DOTS.has(what)) draft.short = true;
        else leave('articulations');
      for (const what of ['ornaments', 'fermata', 'arpeggiate', 'glissando', 'slide'])
        if (child(one, what)) leave(what);
    }
  }

  function direction(element: Element) {
    const sound = child(element, 'sound');
    const tempo = Number(sound?.attributes.tempo);
    const metronome = childrenOf(element, 'direction-type').flatMap((one) => childrenOf(one, 'metronome'))[0];
    const bpm = tempo > 0 ? tempo : metronome ? metronomeTempo(metronome) : undefined;
    if (bpm !== undefined) tempos.push({ start: cursor, bpm });
    for (const type of childrenOf(element, 'direction-type'))
      for (const { name: what } of type.children) if (what !== 'metronome') leave(DIRECTIONS.get(what) ?? 'directions');
  }

  return {
    open({ attributes: own }: Element) {
      number = own.number ?? String(bars.length + 1);
      cursor = start;
      end = start;
      last = null;
    },
    close() {
      bars.push({ number, start, length: minus(end, start) });
      start = end;
      if (endsDouble) doubleBars.push(start);
      endsDouble = false;
    },
    element(one: Element) {
      switch (one.name) {
        case 'note':
          return note(one);
        case 'attributes':
          return attributes(one);
        case 'backup':
          cursor = minus(cursor, duration(one));
          if (compare(cursor, start) < 0) cursor = start;
          last = null;
          return;
        case 'forward':
          moveOn(duration(one));
          last = null;
          return;
        case 'direction':
          return direction(one);
        case 'sound':
          if (Number(one.attributes.tempo) > 0) tempos.push({ start: cursor, bpm: Number(one.attributes.tempo) });
          return;
        case 'barline':
          if (child(one, 'repeat')) leave('repeats', start);
          if (child(one, 'repeat') || DOUBLE.has(childText(one, 'bar-style') ?? '')) {
            if (one.attributes.location === 'left') doubleBars.push(start);
            else endsDouble = true;
          }
          if (child(one, 'ending')) leave('endings', start);
          return;
        default:
          if (!SILENT.has(one.name)) leave(LEFT[one.name] ?? 'other-signs');
      }
    },
    notes: () => notes,
    done(): PiecePart {
      const played = [...voices.values()]
        .map(finished(leave))
        .filter((voice) => voice.notes.some(({ heads }) => heads.length > 0))
        .sort((a, b) => soundingCount(b) - soundingCount(a));
      const notices: FileNotice[] = tablature ? [{ code: 'tablature' }] : [];
      return {
        id,
        name,
        bars,
        keys,
        tempos,
        notices,
        left,
        doubleBars,
        times: timeList,
        voices: played,
        instrument: percussion ? null : (instrumentNamed(`${name} ${sound}`) ?? instrumentSounding(program)),
      };
    },
  };
}

export type PartCollector = ReturnType<typeof partCollector>;

const soundingCount = ({ notes }: PieceVoice) => notes.filter(({ heads }) => heads.length > 0).length;

/** Articulations that accent a note, and those that cut it short. */
const ACCENTS: ReadonlySet<string> = new Set(['accent', 'strong-accent']);
const DOTS: ReadonlySet<string> = new Set(['staccato', 'staccatissimo', 'spiccato']);
/** Bar lines that part the music. */
const DOUBLE: ReadonlySet<string> = new Set(['light-light', 'heavy-light', 'heavy-heavy']);

/** Directions by the name of what is left out. */
const DIRECTIONS: ReadonlyMap<string, string> = new Map([
  ['dynamics', 'dynamics'],
  ['wedge', 'dynamics'],
  ['words', 'words'],
  ['rehearsal', 'words'],
  ['segno', 'repeats'],
  ['coda', 'repeats'],
]);

interface Transposition {
  readonly chromatic: number;
  readonly diatonic: number;
}

function transpositionOf(element: Element): Transposition {
  const octaves = childNumber(element, 'octave-change') ?? 0;
  const chromatic = childNumber(element, 'chromatic') ?? 0;
  const diatonic = childNumber(element, 'diatonic') ?? Math.round((chromatic * 7) / 12);
  return { chromatic: chromatic + 12 * octaves, diatonic: diatonic + 7 * octaves };
}

/** The signature of what sounds; beyond seven signs the other one of the same sound. */
function soundingFifths(fifths: number, { chromatic, diatonic }: Transposition): number {
  const moved = fifths + 7 * chromatic - 12 * diatonic;
  return moved > 7 ? moved - 12 : moved < -7 ? moved + 12 : moved;
}

/** What a written pitch sounds as. */
function sounding(pitch: Pitch, { chromatic, diatonic }: Transposition): Pitch {
  if (chromatic === 0 && diatonic === 0) return pitch;
  return spellAt(letterSteps(pitch) + diatonic, midiOf(pitch) + chromatic);
}

/** Three signs and more are not read here: the same sound with fewer. */
function plainest(pitch: Pitch): Pitch {
  if (Math.abs(pitch.alteration) <= 2) return pitch;
  const steps = letterSteps(pitch) + Math.sign(pitch.alteration);
  return plainest(spellAt(steps, midiOf(pitch)));
}

/** Names that fingers go by; a thumb is written "T", "th" or with its sign. */
function fingerOf(text: string | undefined): Finger | undefined {
  if (text === undefined) return undefined;
  if (/^(t|th|thumb|♀|o\u0329)$/i.test(text)) return 'T';
  return FINGERS.find((finger) => String(finger) === text);
}

/** A voice in order, with slurs from note to note; what overlaps is cut. */
function finished(leave: (what: string, at: Fraction) => void) {
  return ({ name, staff, notes }: Voice): PieceVoice => {
    const inOrder = notes
      .map((note, n) => ({ note, n }))
      .sort((a, b) => compare(a.note.start, b.note.start) || a.n - b.n);
    let open = 0;
    const line: PieceNote[] = [];
    for (const { note } of inOrder) {
      const before = line[line.length - 1];
      if (before && compare(plus(before.start, before.length), note.start) > 0) {
        leave('overlaps', note.start);
        const length = minus(note.start, before.start);
        if (compare(length, ZERO) <= 0) continue;
        line[line.length - 1] = { ...before, length };
      }
      open = Math.max(0, open - note.slurStops) + note.slurStarts;
      const heads = [...note.heads].sort((a, b) => midiOf(a.pitch) - midiOf(b.pitch));
      const { start, length, tied, bow, accent, short } = note;
      line.push({
        start,
        length,
        heads,
        tied,
        slur: open > 0 && heads.length > 0,
        ...(bow ? { bow } : {}),
        ...(accent ? { accent } : {}),
        ...(short ? { short } : {}),
      });
    }
    return { name, staff, notes: line };
  };
}
