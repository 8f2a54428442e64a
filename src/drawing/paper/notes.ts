import { letterSteps, MIDDLE_LINES, type Clef, type InstrumentName, type Pitch, type WrittenNote } from '../../core';
import { instrumentRecord } from '../../core';
import { line, type GlyphName, type Ink } from './ink';
import { glyphOf, glyphWidth } from './words';
import type { Skyline } from './skyline';

/*
 * Heads, stems, flags, beams, signs and rests of one staff. In staff spaces; y is 0 at the top line and 4 at the bottom one.
 */

const STEM_WIDTH = 0.12;
const LEDGER_WIDTH = 0.17;
const STEM = 3.5;
const BEAM = 0.5;
const BEAM_STEP = 0.75;
/** Shortest stem under one beam, and how steep a beam may be. */
const LEAST_STEM = 2.7;
const STEEPEST = 0.22;
const MOST_RISE = 1.3;
const HEAD_HALF = 0.168;

/** One staff while it is drawn. */
export interface Desk {
  readonly inks: Ink[];
  readonly sky: Skyline;
  readonly instrument: InstrumentName;
  /** Events that are only touched: their heads are crosses. */
  readonly touched?: ReadonlySet<number>;
}

/** A note where it stands, with what was drawn of it. */
export interface SetNote {
  readonly note: WrittenNote;
  /** Left edge of its heads. */
  readonly x: number;
  /** y of its heads, low to high in pitch. */
  readonly heads: readonly number[];
  readonly up: boolean;
  /** Where its stem ends. */
  tip: number;
  readonly width: number;
}

/** y of a pitch as its player reads it. */
export function headY(pitch: Pitch, clef: Clef, instrument: InstrumentName): number {
  const steps = letterSteps(pitch) + 7 * instrumentRecord(instrument).writtenOctavesUp;
  return 2 - (steps - MIDDLE_LINES[clef]) / 2;
}

const HEADS: Readonly<Record<number, GlyphName>> = { 1: 'noteheadWhole', 2: 'noteheadHalf' };
const SIGN_GLYPHS: Readonly<Record<string, GlyphName>> = {
  '#': 'accidentalSharp',
  '##': 'accidentalDoubleSharp',
  b: 'accidentalFlat',
  bb: 'accidentalDoubleFlat',
  n: 'accidentalNatural',
};

/** Works out where a note's heads are and which way its stem goes. */
export function setNote(note: WrittenNote, x: number, instrument: InstrumentName, up?: boolean): SetNote {
  const heads = note.pitches.map((pitch) => headY(pitch, note.clef, instrument));
  const farUp = 2 - Math.min(...heads);
  const farDown = Math.max(...heads) - 2;
  const goesUp = up ?? farDown >= farUp + (farDown === farUp ? 0.01 : 0);
  const glyph = HEADS[note.value.of] ?? 'noteheadBlack';
  return { note, x, heads, up: goesUp, tip: stemTip(heads, goesUp, note.value.of), width: glyphWidth(glyph) };
}

/** Which way the stems of notes under one beam go: away from the side where they are farthest. */
function beamGoesUp(notes: readonly SetNote[]): boolean {
  const all = notes.flatMap(({ heads }) => heads);
  return Math.max(...all) - 2 > 2 - Math.min(...all);
}

function stemTip(heads: readonly number[], up: boolean, of: number): number {
  const more = of > 16 ? (Math.log2(of) - 4) * 0.7 : 0;
  // A stem from ledger lines reaches the middle line.
  return up ? Math.min(Math.min(...heads) - STEM - more, 2) : Math.max(Math.max(...heads) + STEM + more, 2);
}

/** Signs before heads stand beside each other where they would touch. */
function drawSigns({ inks, sky }: Desk, { note, x, heads }: SetNote, left: number) {
  const columns: number[][] = [];
  for (let voice = heads.length - 1; voice >= 0; voice--) {
    const sign = note.signs[voice];
    if (!sign) continue;
    const y = heads[voice];
    const column = columns.findIndex((own) => own.every((other) => Math.abs(other - y) >= 2.9));
    const place = column < 0 ? columns.length : column;
    (columns[place] ??= []).push(y);
    const glyph = SIGN_GLYPHS[sign];
    const at = x + left - 0.22 - (place + 1) * 1.02 - (sign === 'bb' ? 0.6 : 0);
    inks.push({ kind: 'glyph', glyph, x: at, y, size: 1 });
    sky.put(at, at + glyphWidth(glyph), y + glyphOf(glyph).box[1], y + glyphOf(glyph).box[3]);
  }
}

export function ledgers(y: number): number[] {
  const lines: number[] = [];
  for (let at = -1; at >= y - 0.01; at--) lines.push(at);
  for (let at = 5; at <= y + 0.01; at++) lines.push(at);
  return lines;
}

/** Draws heads, ledger lines, signs, dots, and the stem unless a beam will. */
function drawNote(desk: Desk, set: SetNote, beamed: boolean) {
  const { inks, sky } = desk;
  const { note, x, heads, up, width } = set;
  const glyph = desk.touched?.has(note.at) ? 'noteheadXBlack' : (HEADS[note.value.of] ?? 'noteheadBlack');
  const offs = headOffsets(heads, up, width);
  const leftmost = Math.min(0, ...offs);
  drawSigns(desk, set, leftmost);
  const lines = new Map<number, readonly [number, number]>();
  heads.forEach((y, voice) => {
    const at = x + offs[voice];
    inks.push({ kind: 'glyph', glyph, x: at, y, size: 1 });
    sky.put(at, at + width, y - 0.5, y + 0.5);
    for (const own of ledgers(y)) {
      const [from, to] = lines.get(own) ?? [at, at];
      lines.set(own, [Math.min(from, at), Math.max(to, at)]);
    }
  });
  for (const [y, [from, to]] of lines) inks.push(line(from - 0.36, y, to + width + 0.36, y, LEDGER_WIDTH));
  drawDots(desk, set, Math.max(0, ...offs));
  if (note.value.of === 1 || beamed) return;
  drawStem(desk, set);
  if (note.value.of >= 8) drawFlag(desk, set);
}

/** Heads a step apart stand on both sides of the stem. */
function headOffsets(heads: readonly number[], up: boolean, width: number): number[] {
  const offs = heads.map(() => 0);
  const order = heads.map((_, voice) => (up ? voice : heads.length - 1 - voice));
  order.forEach((voice, n) => {
    const before = order[n - 1];
    if (before === undefined || offs[before] !== 0) return;
    if (Math.abs(heads[voice] - heads[before]) < 0.75) offs[voice] = up ? width - STEM_WIDTH : -(width - STEM_WIDTH);
  });
  return offs;
}

function drawDots({ inks }: Desk, { note, x, heads, width, up }: SetNote, off: number) {
  const taken = new Set<number>();
  for (const y of heads) {
    const onLine = Math.abs(y - Math.round(y)) < 0.01;
    let at = onLine ? y - 0.5 : y;
    while (taken.has(at)) at += 1;
    taken.add(at);
    for (let dot = 0; dot < note.value.dots; dot++) {
      const flag = up && note.value.of >= 8 && note.beams.length === 0 ? 0.55 : 0;
      inks.push({ kind: 'glyph', glyph: 'dot', x: x + off + width + 0.35 + flag + dot * 0.6, y: at, size: 1 });
    }
  }
}

const stemX = ({ x, up, width }: SetNote) => (up ? x + width - STEM_WIDTH / 2 : x + STEM_WIDTH / 2);

function drawStem({ inks, sky }: Desk, set: SetNote) {
  const { heads, up, tip } = set;
  const from = up ? Math.max(...heads) - HEAD_HALF : Math.min(...heads) + HEAD_HALF;
  const x = stemX(set);
  inks.push(line(x, from, x, tip, STEM_WIDTH));
  sky.put(x, x, Math.min(tip, from), Math.max(tip, from));
}

function drawFlag({ inks, sky }: Desk, set: SetNote) {
  const glyph = `flag${set.note.value.of}${set.up ? 'Up' : 'Down'}` as GlyphName;
  const x = stemX(set) - STEM_WIDTH / 2;
  inks.push({ kind: 'glyph', glyph, x, y: set.tip, size: 1 });
  const { box } = glyphOf(glyph);
  sky.put(x, x + box[2], set.tip + Math.min(0, box[1]), set.tip + Math.max(0, box[3]));
}

/** Draws the beams over neighbouring notes and their stems up to them. */
function drawBeam(desk: Desk, group: readonly SetNote[]) {
  const { inks, sky } = desk;
  const [first] = group;
  const last = group[group.length - 1];
  const { up } = first;
  const side = up ? -1 : 1;
  const [from, to] = [stemX(first), stemX(last)];
  const levels = Math.max(...group.map(({ note }) => note.beams.length));
  const least = LEAST_STEM + (levels - 1) * BEAM_STEP * 0.8;
  const near = ({ heads }: SetNote) => (up ? Math.min(...heads) : Math.max(...heads));
  const rise = Math.max(-MOST_RISE, Math.min(MOST_RISE, (near(last) - near(first)) * 0.5));
  const slope = to > from ? Math.max(-STEEPEST, Math.min(STEEPEST, rise / (to - from))) : 0;
  // Far enough from every head, and not short of the middle line.
  const wanted = group.map((set) => {
    const tip = near(set) + side * Math.max(least, STEM - 0.3 + (levels - 1) * 0.4);
    const held = up ? Math.min(tip, 2.2) : Math.max(tip, 1.8);
    return held - slope * (stemX(set) - from);
  });
  const base = up ? Math.min(...wanted) : Math.max(...wanted);
  const beamY = (x: number) => base + slope * (x - from);
  for (const set of group) {
    set.tip = beamY(stemX(set));
    drawStem(desk, { ...set, tip: set.tip - side * 0.1 });
  }
  for (let level = 0; level < levels; level++) {
    const off = -side * level * BEAM_STEP;
    const bar = (a: number, b: number) => {
      const [ya, yb] = [beamY(a) + off, beamY(b) + off];
      const thick = -side * BEAM;
      const [l, r] = [a - STEM_WIDTH / 2, b + STEM_WIDTH / 2];
      inks.push({
        kind: 'shape',
        fill: 'ink',
        path: [['M', l, ya], ['L', r, yb], ['L', r, yb + thick], ['L', l, ya + thick], ['Z']],
      });
      sky.put(l, r, Math.min(ya, yb, ya + thick, yb + thick), Math.max(ya, yb, ya + thick, yb + thick));
    };
    let start: number | null = null;
    for (const set of group) {
      const x = stemX(set);
      const part = set.note.beams[level];
      if (part === 'begin') start = x;
      else if (part === 'end' && start !== null) bar(start, x);
      else if (part === 'hook-forward') bar(x, x + 1);
      else if (part === 'hook-backward') bar(x - 1, x);
    }
  }
}

/** Draws all notes; those under one beam have their stems one way. */
export function drawNotes(desk: Desk, sets: SetNote[]) {
  for (let n = 0; n < sets.length; n++) {
    if (sets[n].note.beams[0] !== 'begin') {
      drawNote(desk, sets[n], false);
      continue;
    }
    let last = n;
    while (last + 1 < sets.length && sets[last].note.beams[0] !== 'end') last++;
    const up = beamGoesUp(sets.slice(n, last + 1));
    const group = sets.slice(n, last + 1).map(({ note, x }) => setNote(note, x, desk.instrument, up));
    sets.splice(n, group.length, ...group);
    for (const set of group) drawNote(desk, set, true);
    drawBeam(desk, group);
    n = last;
  }
}

/** @param middle the middle of the bar where the rest fills it */
export function drawRest({ inks, sky }: Desk, { value }: WrittenNote, x: number, middle: number | null) {
  const glyph = (middle === null ? `rest${value.of}` : 'rest1') as GlyphName;
  const y = glyph === 'rest1' ? 1 : 2;
  const { box } = glyphOf(glyph);
  const at = middle === null ? x : middle - (box[2] - box[0]) / 2;
  inks.push({ kind: 'glyph', glyph, x: at, y, size: 1 });
  sky.put(at, at + box[2], y + box[1], y + box[3]);
  if (middle !== null) return;
  for (let dot = 0; dot < value.dots; dot++)
    inks.push({ kind: 'glyph', glyph: 'dot', x: at + box[2] + 0.35 + dot * 0.6, y: 1.5, size: 1 });
}

/** A note that is only touched on the way: a small head before the note that it leads to. */
export function drawGuide({ inks, sky, instrument }: Desk, pitch: Pitch, clef: Clef, x: number, sign: string | null) {
  const y = headY(pitch, clef, instrument);
  const size = 0.62;
  const at = x - GUIDE_ROOM + (sign ? 0.75 : 0.2);
  if (sign) inks.push({ kind: 'glyph', glyph: SIGN_GLYPHS[sign], x: at - 0.72, y, size });
  inks.push({ kind: 'glyph', glyph: 'noteheadBlack', x: at, y, size, tone: 'grey' });
  for (const own of ledgers(y)) inks.push(line(at - 0.2, own, at + 0.95, own, LEDGER_WIDTH * 0.8));
  sky.put(at - 0.2, at + 0.95, y - 0.4, y + 0.4);
}

/** Room that a guide note takes before the note it leads to. */
export const GUIDE_ROOM = 1.7;
