import type { Clef, InstrumentName, Step } from '../../vocabulary';
import { instrumentRecord } from '../../instrument/instruments';
import { readTime } from '../../material/bars';
import { LETTERS, type Pitch } from '../../pitch/pitch';
import type { WrittenBar, WrittenNote } from '../../written/score';
import { fractionOf, lcm } from '../fraction';

/*
 * MusicXML 4.0, partwise, uncompressed: notes with all that is known of how they are held.
 */

/** A stretch of a part: one plan. */
export interface XmlSection {
  readonly bars: readonly WrittenBar[];
  /** How the notes are held, by event. */
  readonly steps: readonly Step[];
  /** Names of the strings, low to high. */
  readonly strings: readonly string[];
  /** Beats a minute at the beginning, where they are known. */
  readonly bpm?: number;
  /** Words over an event, such as a position. */
  readonly words: ReadonlyMap<number, string>;
  /** Stands over its first bar, on a new page. */
  readonly title?: string;
}

export interface XmlPart {
  readonly name: string;
  readonly instrument: InstrumentName;
  readonly sections: readonly XmlSection[];
}

export interface XmlScore {
  readonly title: string;
  /** The program that writes it. */
  readonly software: string;
  readonly parts: readonly XmlPart[];
}

const TYPES: Readonly<Record<number, string>> = {
  1: 'whole',
  2: 'half',
  4: 'quarter',
  8: 'eighth',
  16: '16th',
  32: '32nd',
  64: '64th',
  128: '128th',
};
const SIGN_NAMES: Readonly<Record<string, string>> = {
  '#': 'sharp',
  '##': 'double-sharp',
  b: 'flat',
  bb: 'flat-flat',
  n: 'natural',
};
const BEAM_NAMES = {
  begin: 'begin',
  continue: 'continue',
  end: 'end',
  'hook-forward': 'forward hook',
  'hook-backward': 'backward hook',
} as const;
const CLEF_SIGNS: Readonly<Record<Clef, readonly [sign: string, line: number]>> = {
  treble: ['G', 2],
  alto: ['C', 3],
  tenor: ['C', 4],
  bass: ['F', 4],
};

/** Signs that mean something in XML; what XML cannot hold is left out. */
function escaped(text: string): string {
  return (
    text
      // oxlint-disable-next-line no-control-regex
      .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])/g, '')
      .replaceAll('&', '&amp;')
      .replaceAll('<', '&lt;')
      .replaceAll('>', '&gt;')
      .replaceAll('"', '&quot;')
  );
}

/** A score as the text of a file. */
export function writeMusicXml({ title, software, parts }: XmlScore): string {
  const out: string[] = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">',
    '<score-partwise version="4.0">',
    `<work><work-title>${escaped(title)}</work-title></work>`,
    `<identification><encoding><software>${escaped(software)}</software><supports element="accidental" type="yes"/><supports element="beam" type="yes"/></encoding></identification>`,
    '<part-list>',
  ];
  parts.forEach(({ name, instrument }, n) => {
    const id = `P${n + 1}`;
    out.push(
      `<score-part id="${id}"><part-name>${escaped(name)}</part-name>`,
      `<score-instrument id="${id}-I1"><instrument-name>${escaped(name)}</instrument-name></score-instrument>`,
      `<midi-instrument id="${id}-I1"><midi-channel>${(n % 9) + 1}</midi-channel><midi-program>${instrumentRecord(instrument).program + 1}</midi-program></midi-instrument></score-part>`,
    );
  });
  out.push('</part-list>');
  parts.forEach((part, n) => writePart(out, `P${n + 1}`, part));
  out.push('</score-partwise>', '');
  return out.join('\n');
}

/** The smallest unit of time that all lengths are whole numbers of, a quarter being so many. */
function divisionsOf(sections: readonly XmlSection[]): number {
  const lengths = new Set(
    sections.flatMap(({ bars }) => bars.flatMap(({ notes }) => notes.map(({ quarters }) => quarters))),
  );
  return [...lengths].reduce((all, quarters) => lcm(all, fractionOf(quarters).denominator), 1);
}

function writePart(out: string[], id: string, { instrument, sections }: XmlPart) {
  const divisions = divisionsOf(sections);
  const pen: Pen = { out, divisions, octavesUp: instrumentRecord(instrument).writtenOctavesUp };
  out.push(`<part id="${id}">`);
  let clef: Clef | null = null;
  let number = 0;
  sections.forEach((section, s) => {
    const steps = new Map(section.steps.map((step) => [step.at, step]));
    section.bars.forEach((bar, b) => {
      const { pickup } = bar;
      number += sections.length > 1 || !pickup ? 1 : 0;
      out.push(`<measure number="${sections.length > 1 ? number : bar.number}"${pickup ? ' implicit="yes"' : ''}>`);
      if (s > 0 && b === 0) out.push('<print new-page="yes"/>');
      clef = writeAttributes(pen, bar, { first: s === 0 && b === 0, opening: b === 0, clef });
      if (b === 0 && section.title) writeWords(pen, section.title);
      const bpm = b === 0 ? section.bpm : bar.bpm;
      if (bpm !== undefined) writeTempo(pen, bpm, bar.time);
      for (const note of bar.notes) {
        if (note.clef !== clef) {
          out.push(`<attributes>${clefElement(note.clef)}</attributes>`);
          clef = note.clef;
        }
        const words = note.first ? section.words.get(note.at) : undefined;
        if (words) writeWords(pen, words);
        writeNote(pen, note, steps.get(note.at), section, bar);
      }
      if (section.bars[b + 1]?.doubleBar)
        out.push('<barline location="right"><bar-style>light-light</bar-style></barline>');
      if (b === section.bars.length - 1)
        out.push('<barline location="right"><bar-style>light-heavy</bar-style></barline>');
      out.push('</measure>');
    });
  });
  out.push('</part>');
}

interface Pen {
  readonly out: string[];
  readonly divisions: number;
  readonly octavesUp: number;
}

interface Opening {
  /** The first bar of the part, and of its section. */
  readonly first: boolean;
  readonly opening: boolean;
  readonly clef: Clef | null;
}

/** @returns the clef in force */
function writeAttributes(
  { out, divisions, octavesUp }: Pen,
  bar: WrittenBar,
  { first, opening, clef }: Opening,
): Clef | null {
  const own = bar.notes[0]?.clef ?? clef;
  const key = first || opening || bar.newKey;
  const time = first || opening || bar.newTime;
  const newClef = own !== null && own !== clef;
  if (!first && !key && !time && !newClef) return clef;
  const { beats, of } = readTime(bar.time);
  out.push(
    '<attributes>',
    ...(first ? [`<divisions>${divisions}</divisions>`] : []),
    ...(key ? [`<key><fifths>${bar.fifths}</fifths></key>`] : []),
    ...(time ? [`<time><beats>${beats}</beats><beat-type>${of}</beat-type></time>`] : []),
    ...(newClef ? [clefElement(own)] : []),
    ...(first && octavesUp > 0
      ? [
          `<transpose><diatonic>0</diatonic><chromatic>0</chromatic><octave-change>${-octavesUp}</octave-change></transpose>`,
        ]
      : []),
    '</attributes>',
  );
  return own;
}

function clefElement(clef: Clef): string {
  const [sign, line] = CLEF_SIGNS[clef];
  return `<clef><sign>${sign}</sign><line>${line}</line></clef>`;
}

function writeWords({ out }: Pen, words: string) {
  out.push(
    `<direction placement="above"><direction-type><words>${escaped(words)}</words></direction-type></direction>`,
  );
}

/** @param bpm beats a minute, a beat being the lower number of the signature */
function writeTempo({ out }: Pen, bpm: number, time: string) {
  const { of } = readTime(time);
  out.push(
    '<direction placement="above"><direction-type>',
    `<metronome><beat-unit>${TYPES[of] ?? 'quarter'}</beat-unit><per-minute>${bpm}</per-minute></metronome>`,
    `</direction-type><sound tempo="${Math.round((bpm * 4 * 1000) / of) / 1000}"/></direction>`,
  );
}

function writeNote(pen: Pen, note: WrittenNote, step: Step | undefined, section: XmlSection, bar: WrittenBar) {
  const { out, divisions } = pen;
  const duration = `<duration>${Math.round(note.quarters * divisions)}</duration>`;
  if (note.pitches.length === 0) {
    const rest = bar.restBar ? '<rest measure="yes"/>' : '<rest/>';
    out.push(
      `<note>${rest}${duration}<voice>1</voice>${bar.restBar ? '' : valueElements(note)}${notations(note, [], true)}</note>`,
    );
    return;
  }
  note.pitches.forEach((pitch, voice) => {
    const ties = [...(note.first ? [] : ['stop']), ...(note.last ? [] : ['start'])];
    const sign = note.signs[voice];
    out.push(
      `<note>${voice > 0 ? '<chord/>' : ''}${pitchElement(pitch, pen.octavesUp)}${duration}`,
      ties.map((type) => `<tie type="${type}"/>`).join(''),
      `<voice>1</voice>${valueElements(note, sign ? `<accidental>${SIGN_NAMES[sign]}</accidental>` : '')}`,
      voice > 0
        ? ''
        : note.beams.map((part, level) => `<beam number="${level + 1}">${BEAM_NAMES[part]}</beam>`).join(''),
      notations(
        note,
        [...ties.map((type) => `<tied type="${type}"/>`)],
        voice === 0,
        technical(note, step, section.strings, voice),
      ),
      '</note>',
    );
  });
}

/** Type, dots and the like, in the order the format asks for. */
function valueElements({ value: { of, dots, tuplet } }: WrittenNote, accidental = ''): string {
  const modification = tuplet
    ? `<time-modification><actual-notes>${tuplet.actual}</actual-notes><normal-notes>${tuplet.normal}</normal-notes></time-modification>`
    : '';
  return `<type>${TYPES[of]}</type>${'<dot/>'.repeat(dots)}${accidental}${modification}`;
}

function pitchElement({ letter, alteration, octave }: Pitch, octavesUp: number): string {
  const alter = alteration === 0 ? '' : `<alter>${alteration}</alter>`;
  return `<pitch><step>${LETTERS[letter]}</step>${alter}<octave>${octave + octavesUp}</octave></pitch>`;
}

/** @param own true of the first note of a chord: what holds for the chord as a whole stands there */
function notations(note: WrittenNote, ties: readonly string[], own: boolean, held = ''): string {
  const inside = [
    ...ties,
    ...(own && note.slur ? [`<slur type="${note.slur}" number="1"/>`] : []),
    ...(own && note.tuplet
      ? (note.tuplet === 'whole' ? ['start', 'stop'] : [note.tuplet]).map((type) => `<tuplet type="${type}"/>`)
      : []),
    held,
    own && (note.accent || note.short)
      ? `<articulations>${note.accent ? '<accent/>' : ''}${note.short ? '<staccato/>' : ''}</articulations>`
      : '',
  ].join('');
  return inside ? `<notations>${inside}</notations>` : '';
}

/** How one note is held: what a reader elsewhere can show. */
function technical(note: WrittenNote, step: Step | undefined, strings: readonly string[], voice: number): string {
  if (!note.first) return '';
  const stop = step?.stops[voice];
  const bow = voice === 0 && note.bow ? `<${note.bow}-bow/>` : '';
  if (!stop) return bow ? `<technical>${bow}</technical>` : '';
  const { finger, string, harmonic } = stop;
  const number = strings.length - strings.indexOf(string);
  return [
    '<technical>',
    bow,
    harmonic ? '<harmonic><natural/></harmonic>' : '',
    finger === 0 ? '<open-string/>' : '',
    finger === 'T' ? '<thumb-position/>' : `<fingering>${finger}</fingering>`,
    `<string>${number}</string>`,
    '</technical>',
  ].join('');
}
