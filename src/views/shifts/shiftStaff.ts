import {
  Accidental,
  Annotation,
  Formatter,
  Renderer,
  Stave,
  StaveNote,
  Stem,
  VexFlow,
  Voice,
} from 'vexflow/core';
import { written } from '../../brief/clefs';
import { SIGNS, signatureOf, writtenFifths } from '../../ui/notation';
import {
  keyAlteration,
  parsePitch,
  pitchName,
  type Clef,
  type InstrumentKind,
  type ShiftDetail,
} from '../../core';

/** Fingers are set as everywhere else in the app. */
const FINGER_FONT = 'Atkinson Hyperlegible Next Variable, sans-serif';
const WIDTH = 380;
const HEIGHT = 190;
const SCALE = 1.25;

/** Draws a shift: its notes with their fingers, and between them the guide as a cross, for it is not heard. */
export function drawShift(
  box: HTMLDivElement,
  instrument: InstrumentKind,
  clef: Clef,
  fifths: number,
  { from, to, shift }: ShiftDetail,
) {
  VexFlow.setFonts('Bravura');
  box.replaceChildren();
  const renderer = new Renderer(box, Renderer.Backends.SVG);
  renderer.resize(WIDTH, HEIGHT);
  const context = renderer.getContext();
  context.scale(SCALE, SCALE);
  context.setFillStyle('currentColor');
  context.setStrokeStyle('currentColor');
  const stave = new Stave(0, 46, WIDTH / SCALE - 4);
  stave.addClef(clef).addKeySignature(signatureOf(fifths));
  stave.setContext(context).draw();
  const leads = shift.guide.pitch === pitchName(to.pitch) || shift.guide.pitch === pitchName(from.pitch);
  const heard = [
    { name: pitchName(from.pitch), finger: shift.fromFinger, guide: false },
    ...(leads ? [] : [{ name: shift.guide.pitch, finger: shift.guide.finger, guide: true }]),
    { name: pitchName(to.pitch), finger: shift.toFinger, guide: false },
  ];
  const notes = heard.map(({ name, finger, guide }) =>
    staveNote(name, String(finger), guide, clef, instrument, writtenFifths(fifths)),
  );
  const voice = new Voice({ numBeats: notes.length, beatValue: 4 }).addTickables(notes);
  new Formatter().joinVoices([voice]).format([voice], 170);
  voice.draw(context, stave);
}

function staveNote(
  name: string,
  finger: string,
  guide: boolean,
  clef: Clef,
  instrument: InstrumentKind,
  fifths: number,
): StaveNote {
  const pitch = written(name, instrument);
  const key = `${'cdefgab'[pitch.letter]}/${pitch.octave}${guide ? '/x2' : ''}`;
  const note = new StaveNote({ keys: [key], duration: 'q', clef, stemDirection: Stem.UP });
  const expected = keyAlteration({ fifths, name: '' }, parsePitch(name)?.letter ?? 0);
  if (pitch.alteration !== expected) note.addModifier(new Accidental(SIGNS[pitch.alteration]));
  note.addModifier(
    new Annotation(guide ? `(${finger})` : finger)
      .setFont(FINGER_FONT, 12, 'bold')
      .setVerticalJustification(Annotation.VerticalJustify.TOP),
  );
  return note;
}
