import {
  Accidental,
  Beam,
  ClefNote,
  Dot,
  Renderer,
  Stave,
  StaveNote,
  TickContext,
  VexFlow,
  type RenderContext,
} from 'vexflow/core';
import { type Clef, type InstrumentKind, type Plan, type PlanResponse } from '../../core';
import { MIDDLE_LINES, written } from '../../brief/clefs';
import { signatureOf } from '../../ui/notation';
import { beamGroups } from './beams';
import { signsToShow } from './signs';
import { extensionMarks, restezMarks, type Stay } from './marks';
import { noteValue } from './noteValue';
import { COLUMN, columnX, GUTTER, STAFF_HEIGHT } from './columns';

/*
 * Draws the staff with the notation package: notes at the columns the other rows use, so that it lines up with them.
 */

/** The engraving is enlarged, to be read from a music stand. */
const SCALE = 1.3;
const STAVE_Y = 40;
/** The page's own ink, so that the staff follows light and dark. */
const INK = 'currentColor';

/** Waits for the music font that the app ships. */
export async function readyFont(): Promise<void> {
  VexFlow.setFonts('Bravura');
  await document.fonts.load('30px Bravura');
}

function freshContext(box: HTMLDivElement, width: number): RenderContext {
  box.replaceChildren();
  const renderer = new Renderer(box, Renderer.Backends.SVG);
  renderer.resize(width, STAFF_HEIGHT);
  const context = renderer.getContext();
  context.scale(SCALE, SCALE);
  context.setFillStyle(INK);
  context.setStrokeStyle(INK);
  return context;
}

/** Draws clef and signature. */
export function drawHead(box: HTMLDivElement, response: PlanResponse, clef: Clef) {
  const context = freshContext(box, GUTTER);
  const stave = new Stave(4, STAVE_Y, GUTTER / SCALE, { leftBar: false, rightBar: false });
  stave.addClef(clef);
  stave.addKeySignature(signatureOf(response.key.fifths));
  stave.setContext(context).draw();
}

export interface Line {
  readonly response: PlanResponse;
  readonly plan: Plan;
  /** Names of the strings, low to high. */
  readonly strings: readonly string[];
  readonly first: number;
  readonly last: number;
  readonly instrument: InstrumentKind;
  /** The clef of each event. */
  readonly clefs: readonly Clef[];
}

/** Height of a line of fingers, in the notation package's units. */
const LINE = 13.5;
const NUMERALS = ['I', 'II', 'III', 'IV', 'V', 'VI'];

/** Draws the notes from first to last (exclusive) with their fingers above them. */
export function drawNotes(box: HTMLDivElement, line: Line) {
  const { response, plan, first, last, instrument, clefs } = line;
  const width = response.events.length * COLUMN;
  const context = freshContext(box, width);
  const stave = new Stave(0, STAVE_Y, width / SCALE, { leftBar: false, rightBar: false });
  stave.setContext(context).draw();
  const signs = signsToShow(response, instrument);
  const steps = new Map(plan.steps.map((step) => [step.at, step]));
  const numerals = stringChanges(plan, line.strings);
  const extensions = extensionMarks(plan);
  const shown = response.events.slice(first, last);
  const notes = new Map<number, StaveNote>();
  for (const event of shown) {
    const clef = clefs[event.at];
    if (event.at > 0 && clef !== clefs[event.at - 1]) placeClef(clef, stave, context, event.at);
    if (event.bar) placeBar(stave, context, event.at);
    const rests = 'rest' in event;
    const note = rests ? restNote(event.beats, clef) : soundingNote(event, clef, instrument);
    if (!rests)
      signs[event.at].forEach((sign, voice) => sign && note.addModifier(new Accidental(sign), voice));
    place(note, stave, context, event.at);
    notes.set(event.at, note);
  }
  const beams = beamGroups(shown).map((group) => beamed(group.flatMap((at) => notes.get(at) ?? [])));
  for (const note of notes.values()) note.draw();
  for (const beam of beams) beam.setContext(context).draw();
  for (const event of shown) {
    const note = notes.get(event.at);
    if (!note || 'rest' in event) continue;
    const fingers = (steps.get(event.at)?.stops ?? []).map((stop) => String(stop.finger));
    const top = Math.min(stave.getYForLine(0), ...note.getYs(), stemTop(note)) - 9;
    fingers.forEach((finger, at) => write(box, finger, event.at, top - at * LINE, 15, 700));
    const numeral = numerals.get(event.at);
    if (numeral) write(box, numeral, event.at, top - fingers.length * LINE - 2, 11, 400);
    if (extensions.has(event.at))
      write(box, 'ext.', event.at, top - fingers.length * LINE - (numeral ? 13 : 2), 10, 400);
  }
  for (const stay of restezMarks(plan).filter(({ from, to }) => to >= first && from < last))
    drawStay(box, stay, stave.getYForLine(4) + 44);
}

/** "restez" and a broken line as long as the hand stays up. */
function drawStay(box: HTMLDivElement, { from, to }: Stay, y: number) {
  write(box, 'restez', from, y, 10.5, 400);
  const line = document.createElementNS(SVG, 'path');
  const [start, end] = [columnX(from) / SCALE + 20, ((to + 1) * COLUMN) / SCALE - 6];
  if (end <= start) return;
  line.setAttribute('d', `M${start} ${y - 3}H${end}V${y - 8}`);
  line.setAttribute('fill', 'none');
  line.setAttribute('stroke', INK);
  line.setAttribute('stroke-dasharray', '4 3');
  box.querySelector('svg')?.append(line);
}

/** A bar line between two columns. */
function placeBar(stave: Stave, context: RenderContext, at: number) {
  const top = stave.getYForLine(0);
  context.fillRect((at * COLUMN) / SCALE, top, 1.2, stave.getYForLine(4) - top);
}

function stemTop(note: StaveNote): number {
  return note.hasStem() ? note.getStemExtents().topY : Infinity;
}

type Sounding = Extract<PlanResponse['events'][number], { pitches: readonly string[] }>;

function soundingNote(event: Sounding, clef: Clef, instrument: InstrumentKind): StaveNote {
  const keys = event.pitches.map((name) => {
    const pitch = written(name, instrument);
    return `${'cdefgab'[pitch.letter]}/${pitch.octave}`;
  });
  return dotted(event.beats, (duration) => new StaveNote({ keys, duration, clef, autoStem: true }));
}

function restNote(beats: number, clef: Clef): StaveNote {
  const middle = MIDDLE_LINES[clef];
  const key = `${'cdefgab'[middle % 7]}/${Math.floor(middle / 7)}`;
  return dotted(beats, (duration) => new StaveNote({ keys: [key], duration: `${duration}r`, clef }));
}

/** A note of so many beats with its dots. */
function dotted(beats: number, make: (duration: string) => StaveNote): StaveNote {
  const { duration, dots } = noteValue(beats);
  const note = make(duration);
  for (let dot = 0; dot < dots; dot++) Dot.buildAndAttach([note], { all: true });
  return note;
}

/** From the place a note is set at to the middle of its head, in the notation package's units. */
const NOTE_MIDDLE = 16;

function place(note: StaveNote, stave: Stave, context: RenderContext, at: number) {
  const tick = new TickContext();
  tick.addTickable(note);
  tick.preFormat();
  tick.setX(columnX(at) / SCALE - NOTE_MIDDLE - stave.getNoteStartX() + stave.getX());
  note.setStave(stave).setContext(context);
}

/** A beam over notes in their places; their stems end at it. */
function beamed(notes: StaveNote[]): Beam {
  const beam = new Beam(notes, true);
  beam.postFormat();
  return beam;
}

/** A change of clef stands small, just before its note. */
function placeClef(clef: Clef, stave: Stave, context: RenderContext, at: number) {
  const sign = new ClefNote(clef, 'small');
  const tick = new TickContext();
  tick.addTickable(sign);
  tick.preFormat();
  tick.setX((columnX(at) - COLUMN / 2) / SCALE - NOTE_MIDDLE - stave.getNoteStartX() + stave.getX());
  sign.setStave(stave).setContext(context).draw();
}

/** Numeral of the string at each event where it changes; I is the highest. */
function stringChanges(plan: Plan, strings: readonly string[]): Map<number, string> {
  const changes = new Map<number, string>();
  let last = '';
  for (const step of plan.steps) {
    const { string } = step.stops[0];
    if (string !== last) changes.set(step.at, NUMERALS[strings.length - 1 - strings.indexOf(string)] ?? '');
    last = string;
  }
  return changes;
}

/** The thumb sign of the music font. */
const THUMB_SIGN = '\uE624';
const SVG = 'http://www.w3.org/2000/svg';

function write(box: HTMLDivElement, text: string, at: number, y: number, size: number, weight: number) {
  const label = document.createElementNS(SVG, 'text');
  label.textContent = text;
  const attributes = {
    x: columnX(at) / SCALE,
    y,
    'font-size': size,
    'font-weight': weight,
    'text-anchor': 'middle',
  };
  for (const [name, value] of Object.entries(attributes)) label.setAttribute(name, String(value));
  const thumb = text === 'T';
  if (thumb) {
    label.textContent = THUMB_SIGN;
    // The music font measures its signs by the staff, not by letters.
    label.setAttribute('font-size', String(size * 2.9));
    label.setAttribute('font-weight', '400');
  }
  label.setAttribute('font-family', thumb ? 'Bravura' : 'Atkinson Hyperlegible Next Variable, sans-serif');
  label.setAttribute('fill', INK);
  box.querySelector('svg')?.append(label);
}
