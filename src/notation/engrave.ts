import {
  Accidental,
  Beam,
  ClefNote,
  Dot,
  Renderer,
  Stave,
  StaveNote,
  StaveTie,
  TickContext,
  VexFlow,
  type RenderContext,
} from 'vexflow/core';
import {
  beamedEvents,
  MIDDLE_LINES,
  noteValue,
  partsOf,
  signsToShow,
  written,
  type Clef,
  type InstrumentKind,
  type Part,
} from '../core';
import { durationOf, signatureOf } from './names';
import { INK, type Drawn, type Layout, type Marks, type Score } from './score';
import { writeMarks } from './writing';

/*
 * Draws notes with the notation package: each in the column that the layout gives it, so that it lines up with whatever else is drawn of the same
 * events, at any width and scale.
 */

/** From the place a stave is set at to its middle line, in the notation package's units. */
const TO_MIDDLE = 60;
/** Waits for the music font that the app ships. */
export async function readyFont(): Promise<void> {
  VexFlow.setFonts('Bravura');
  await document.fonts.load('30px Bravura');
}

function freshContext(
  box: HTMLElement,
  { width, height, scale }: Pick<Layout, 'width' | 'height' | 'scale'>,
) {
  box.replaceChildren();
  const renderer = new Renderer(box as HTMLDivElement, Renderer.Backends.SVG);
  renderer.resize(width, height);
  const context = renderer.getContext();
  context.scale(scale, scale);
  context.setFillStyle(INK);
  context.setStrokeStyle(INK);
  return context;
}

/** Clef, signature and, where a piece begins, the time. */
export interface Head {
  readonly clef: Clef;
  readonly fifths: number;
  readonly time?: string;
}

/** Draws what stands at the beginning of a line. */
export function drawHead(
  box: HTMLElement,
  { clef, fifths, time }: Head,
  size: Pick<Layout, 'width' | 'height' | 'scale' | 'middleLine'>,
) {
  const context = freshContext(box, size);
  const stave = new Stave(4, size.middleLine - TO_MIDDLE, size.width / size.scale, {
    leftBar: false,
    rightBar: false,
  });
  stave.addClef(clef);
  stave.addKeySignature(signatureOf(fifths));
  if (time) stave.addTimeSignature(time);
  stave.setContext(context).draw();
}

/**
 * Draws the notes from first to last (exclusive) with their fingers above them.
 * @param layout of all events; what is not drawn leaves its room empty
 */
export function drawNotes(
  box: HTMLElement,
  score: Score,
  layout: Layout,
  marks: Marks,
  first: number,
  last: number,
) {
  const { music, instrument, clefs } = score;
  const context = freshContext(box, layout);
  const stave = new Stave(0, layout.middleLine - TO_MIDDLE, layout.width / layout.scale, {
    leftBar: false,
    rightBar: false,
  });
  stave.setContext(context).draw();
  const desk: Desk = { stave, context, layout };
  const parts = partsOf(score);
  const signs = signsToShow(music, instrument, parts);
  const drawn = new Map<number, readonly StaveNote[]>();
  for (let at = first; at < last; at++) {
    if (at > 0 && clefs[at] !== clefs[at - 1])
      placeClef(clefs[at], desk, at, score.barred && parts[at][0].bar !== null);
    drawn.set(at, placeEvent(score, desk, at, parts[at], signs[at]));
  }
  const barEnds = last === music.events.length || parts[last][0].bar !== null;
  if (score.barred && barEnds) drawBar(desk, layout.left(last) - 2);
  const beams = beamedEvents(music.events, parts)
    .filter((group) => group[0] >= first && group[group.length - 1] < last)
    .map((group) => beamOver(group.flatMap((at) => drawn.get(at) ?? [])));
  for (const notes of drawn.values()) for (const note of notes) note.draw();
  for (const beam of beams) beam.setContext(context).draw();
  for (const notes of drawn.values()) drawTies(notes, context);
  const tops = [...drawn].map(([at, notes]): Drawn => ({ at, ...edgesOf(notes, stave) }));
  writeMarks(box, score, layout, marks, {
    parts,
    drawn: tops,
    staveBottom: stave.getYForLine(4),
    first,
    last,
  });
}

interface Desk {
  readonly stave: Stave;
  readonly context: RenderContext;
  readonly layout: Layout;
}

function edgesOf(notes: readonly StaveNote[], stave: Stave): Omit<Drawn, 'at'> {
  const heads = notes.flatMap((note) => note.getYs());
  const stems = notes.flatMap((note) => (note.hasStem() ? [note.getStemExtents()] : []));
  return {
    top: Math.min(stave.getYForLine(0), ...heads, ...stems.map(({ topY }) => topY)),
    // Where a stem goes down its tip is the lower end.
    bottom: Math.max(...heads, ...stems.map(({ topY, baseY }) => Math.max(topY, baseY))),
  };
}

/** Sets an event's notes into its column, with the bar lines before and inside it. */
function placeEvent(
  { music, clefs, instrument, guides }: Score,
  desk: Desk,
  at: number,
  parts: readonly Part[],
  signs: readonly (string | null)[],
): StaveNote[] {
  const event = music.events[at];
  const { layout } = desk;
  const room = layout.left(at + 1) - layout.left(at);
  return parts.map(({ quarters, bar }, n) => {
    const left = layout.left(at) + (n * room) / parts.length;
    if (bar && left > 0) drawBar(desk, left);
    const note =
      'rest' in event
        ? restNote(quarters, clefs[at])
        : soundingNote(event.pitches, quarters, clefs[at], instrument, guides?.has(at) ?? false);
    if (n === 0) signs.forEach((sign, voice) => sign && note.addModifier(new Accidental(sign), voice));
    place(note, desk, left + room / parts.length / 2);
    return note;
  });
}

/** Ties the parts of one held note; a rest has no tie. */
function drawTies(notes: readonly StaveNote[], context: RenderContext) {
  notes.slice(1).forEach((note, at) => {
    if (note.isRest()) return;
    const indexes = note.getKeys().map((_, voice) => voice);
    const ends = { firstNote: notes[at], lastNote: note };
    new StaveTie({ ...ends, firstIndexes: indexes, lastIndexes: indexes }).setContext(context).draw();
  });
}

/** A bar line at so many px. */
function drawBar({ stave, context, layout }: Desk, x: number) {
  const top = stave.getYForLine(0);
  context.fillRect(x / layout.scale, top, 1.2, stave.getYForLine(4) - top);
}

function soundingNote(
  pitches: readonly string[],
  quarters: number,
  clef: Clef,
  instrument: InstrumentKind,
  guide: boolean,
): StaveNote {
  const keys = pitches.map((name) => {
    const pitch = written(name, instrument);
    return `${'cdefgab'[pitch.letter]}/${pitch.octave}${guide ? '/x2' : ''}`;
  });
  return dotted(quarters, (duration) => new StaveNote({ keys, duration, clef, autoStem: true }));
}

function restNote(quarters: number, clef: Clef): StaveNote {
  const middle = MIDDLE_LINES[clef];
  const key = `${'cdefgab'[middle % 7]}/${Math.floor(middle / 7)}`;
  return dotted(quarters, (duration) => new StaveNote({ keys: [key], duration: `${duration}r`, clef }));
}

/** A note of so many quarters with its dots. */
function dotted(quarters: number, make: (duration: string) => StaveNote): StaveNote {
  const { of, dots } = noteValue(quarters);
  const note = make(durationOf(of));
  for (let dot = 0; dot < dots; dot++) Dot.buildAndAttach([note], { all: true });
  return note;
}

/** From the place a note is set at to the middle of its head, in the notation package's units. */
const NOTE_MIDDLE = 16;

/** @param x the middle of the head, in px */
function place(note: StaveNote | ClefNote, { stave, context, layout }: Desk, x: number) {
  const tick = new TickContext();
  tick.addTickable(note);
  tick.preFormat();
  tick.setX(x / layout.scale - NOTE_MIDDLE - stave.getNoteStartX() + stave.getX());
  note.setStave(stave).setContext(context);
}

/** A beam over notes in their places; their stems end at it. */
function beamOver(notes: StaveNote[]): Beam {
  const beam = new Beam(notes, true);
  beam.postFormat();
  return beam;
}

/** From the middle of a small clef to the bar line after it, in the notation package's units. */
const CLEF_BEFORE_BAR = 16;

/** A change of clef stands small, just before its note, or before the bar line where a bar begins there. */
function placeClef(clef: Clef, desk: Desk, at: number, atBar: boolean) {
  const sign = new ClefNote(clef, 'small');
  const { layout } = desk;
  place(sign, desk, layout.left(at) - (atBar ? CLEF_BEFORE_BAR * layout.scale : 0));
  sign.draw();
}
