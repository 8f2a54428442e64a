import type { Clef, InstrumentName } from '../vocabulary';
import { bowsOf, hasBows } from '../material/bows';
import { parsePitch, type Pitch } from '../pitch/pitch';
import { beamGroups } from './beams';
import { keysAt } from '../material/keys';
import { partsOf, signatureChangesIn, type Part, type SignatureChange, type WritableMusic } from './parts';
import { signsToShow } from './signs';
import { writtenFifths } from './signature';
import { hasFlag, lengthOf, valuesOf, type NoteValue } from './values';

/*
 * Music as it stands on paper: bars with notes of written lengths. Drawings and files are both made of it.
 */

/** One written note, chord or rest; an event that is held over a bar line has several, tied. */
export interface WrittenNote {
  /** The event, counted from 0. */
  readonly at: number;
  /** In quarters from its bar's beginning. */
  readonly start: number;
  readonly quarters: number;
  readonly value: NoteValue;
  /** Sounding pitches, low to high; none for a rest. */
  readonly pitches: readonly Pitch[];
  /** For each pitch the sign before it: "#", "n", "bb" … */
  readonly signs: readonly (string | null)[];
  readonly clef: Clef;
  /** True of the first written note of its event, and of the last. */
  readonly first: boolean;
  readonly last: boolean;
  /** Its beams, the outermost first; none where it has a flag of its own, or neither. */
  readonly beams: readonly BeamPart[];
  /** Where a tuplet begins or ends with it. */
  readonly tuplet?: 'start' | 'stop' | 'whole';
  /** A slur that begins or ends with it. */
  readonly slur?: 'start' | 'stop';
  readonly bow?: 'down' | 'up';
  /** An accent, and a dot that cuts it short, on the first written note of its event. */
  readonly accent?: true;
  readonly short?: true;
}

export type BeamPart = 'begin' | 'continue' | 'end' | 'hook-forward' | 'hook-backward';

export interface WrittenBar {
  /** True of the beats before the first whole bar. */
  readonly pickup: boolean;
  /** True where a double bar stands before it. */
  readonly doubleBar: boolean;
  readonly number: number;
  /** In quarters. */
  readonly start: number;
  readonly length: number;
  readonly time: string;
  /** The signature that is written, -7 to 7. */
  readonly fifths: number;
  readonly newTime: boolean;
  readonly newKey: boolean;
  /** Beats a minute from here on, where they change. */
  readonly bpm?: number;
  /** True where it begins with a rest that fills it. */
  readonly restBar: boolean;
  readonly notes: readonly WrittenNote[];
}

type Draft = { -readonly [Name in keyof WrittenNote]: WrittenNote[Name] } & { bar: number; unbeamed: boolean };

/** A written note with the number of its bar; -1 for a few notes that are no bars. */
export type NoteInBar = WrittenNote & { readonly bar: number };

/**
 * The notes as they are written, one after the other.
 * @param clefs the clef of each event
 * @param barred false for a few notes that are no bars
 */
export function writtenNotes(
  music: WritableMusic,
  instrument: InstrumentName,
  clefs: readonly Clef[],
  barred = true,
): {
  readonly notes: readonly NoteInBar[];
  readonly bars: readonly Part[];
  readonly changed: ReadonlyMap<number, SignatureChange>;
} {
  const parts = partsOf({ music, barred });
  const signs = signsToShow(music, instrument, parts);
  const bars: Part[] = [];
  const drafts: Draft[] = [];
  // A long piece has few different notes and lengths.
  const pitchOf = remembered((name: string) => parsePitch(name) as Pitch);
  const valuesFor = remembered(valuesOf);
  parts.forEach((own, at) => {
    const event = music.events[at];
    const pitches = 'rest' in event ? [] : event.pitches.map((name) => pitchOf(name));
    const from = drafts.length;
    for (const part of own) {
      if (part.bar) bars.push(part);
      let { start } = part;
      const values = valuesFor(part.quarters);
      for (const [n, value] of values.entries()) {
        // The last has all that is left, also where no note value is exactly so long.
        const left = part.start + part.quarters - start;
        const quarters = n + 1 < values.length ? lengthOf(value) : left;
        const shown = drafts.length === from ? signs[at] : pitches.map(() => null);
        drafts.push({
          at,
          start,
          quarters,
          value,
          pitches,
          signs: shown,
          clef: clefs[at],
          first: false,
          last: false,
          beams: [],
          bar: bars.length - 1,
          unbeamed: own.length > 1,
          ...(drafts.length === from && 'accent' in event && event.accent ? { accent: event.accent } : {}),
          ...(drafts.length === from && 'short' in event && event.short ? { short: event.short } : {}),
        });
        start += quarters;
      }
    }
    drafts[from].first = true;
    drafts[drafts.length - 1].last = true;
  });
  putTuplets(drafts);
  putBeams(drafts, bars, music.time);
  putBows(drafts, music);
  return { notes: drafts, bars, changed: signatureChangesIn(music, parts) };
}

/** @param clefs the clef of each event */
export function writtenBars(music: WritableMusic, instrument: InstrumentName, clefs: readonly Clef[]): WrittenBar[] {
  const all = writtenNotes(music, instrument, clefs);
  const keyAt = keysAt(music);
  const byBar: NoteInBar[][] = all.bars.map(() => []);
  for (const note of all.notes) byBar[note.bar].push(note);
  let before: WrittenBar | undefined;
  return all.bars.map(({ bar, time }, n) => {
    const notes = byBar[n];
    const { number, start, length } = bar as NonNullable<Part['bar']>;
    const quarter = quarterOf(music);
    const own = writtenFifths(notes.length > 0 ? keyAt(notes[0].at).fifths : (before?.fifths ?? music.key.fifths));
    const bpm = music.changes?.find(
      (change) => change.bpm !== undefined && notes.some((note) => note.first && note.at === change.at),
    )?.bpm;
    const written: WrittenBar = {
      number,
      pickup: n === 0 && music.pickup > 0,
      doubleBar: notes.some((note) => note.first && music.events[note.at].doubleBar),
      start: start * quarter,
      length: length * quarter,
      time,
      fifths: own,
      newTime: before === undefined || before.time !== time,
      newKey: before === undefined || before.fifths !== own,
      ...(bpm === undefined ? {} : { bpm }),
      restBar:
        notes.length > 0 &&
        notes.every(({ pitches }) => pitches.length === 0) &&
        notes[0].at === notes[notes.length - 1].at,
      notes,
    };
    before = written;
    return written;
  });
}

/** A function that is asked the same again and again. */
function remembered<Asked, Found>(work: (asked: Asked) => Found): (asked: Asked) => Found {
  const known = new Map<Asked, Found>();
  return (asked) => {
    let found = known.get(asked);
    if (found === undefined) known.set(asked, (found = work(asked)));
    return found;
  };
}

/** Quarters in a beat. */
function quarterOf({ time }: WritableMusic): number {
  return 4 / Number(time.split('/')[1]);
}

const WHOLE = 1e-6;

/** A tuplet ends where its notes come out even again. */
function putTuplets(drafts: readonly Draft[]) {
  let from = -1;
  let sum = 0;
  drafts.forEach((draft, n) => {
    const { tuplet } = draft.value;
    const same = from >= 0 && tuplet?.actual === drafts[from].value.tuplet?.actual && draft.bar === drafts[from].bar;
    if (!same) from = -1;
    if (!tuplet) return;
    if (from < 0) {
      from = n;
      sum = 0;
      draft.tuplet = 'start';
    }
    sum += draft.quarters;
    const units = sum * 32;
    const even = Math.abs(units - Math.round(units)) < WHOLE;
    const next = drafts[n + 1];
    const goesOn = next?.bar === draft.bar && next.value.tuplet?.actual === tuplet.actual;
    if (!even && goesOn) return;
    draft.tuplet = from === n ? 'whole' : 'stop';
    from = -1;
  });
}

function putBeams(drafts: readonly Draft[], bars: readonly Part[], time: string) {
  const groups = beamGroups(
    drafts.map(({ start, value, pitches, bar, unbeamed }, n) => ({
      start,
      time: bars[bar]?.time ?? time,
      bar: drafts[n - 1]?.bar !== bar,
      joins: pitches.length > 0 && hasFlag(value) && !unbeamed,
    })),
  );
  for (const group of groups) {
    const levels = group.map((n) => Math.log2(drafts[n].value.of) - 2);
    group.forEach((n, place) => {
      drafts[n].beams = Array.from({ length: levels[place] }, (_, level) => beamPart(levels, place, level));
    });
  }
}

/** What a note has of the beam of one level. */
function beamPart(levels: readonly number[], place: number, level: number): BeamPart {
  const before = place > 0 && levels[place - 1] > level;
  const after = place + 1 < levels.length && levels[place + 1] > level;
  if (before) return after ? 'continue' : 'end';
  if (after) return 'begin';
  return place === 0 ? 'hook-forward' : 'hook-backward';
}

function putBows(drafts: readonly Draft[], { events }: WritableMusic) {
  if (!hasBows(events)) return;
  const firstOf = new Map<number, Draft>();
  const lastOf = new Map<number, Draft>();
  for (const draft of drafts) {
    if (draft.first) firstOf.set(draft.at, draft);
    if (draft.last) lastOf.set(draft.at, draft);
  }
  for (const { from, to } of bowsOf(events)) {
    const event = events[from];
    const first = firstOf.get(from);
    const last = lastOf.get(to);
    if (first && 'bow' in event && event.bow) first.bow = event.bow;
    if (from === to || !first || !last) continue;
    first.slur = 'start';
    last.slur = 'stop';
  }
}
