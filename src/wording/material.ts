import { DIRECTIONS, type Direction, type MaterialSpec, type OddBar, type PlanRequest } from '../core';
import type { WordChoice } from './choice';
import { counted, countWords } from './grammar';
import { instrumentWords, sizeWords } from './instruments';
import { printed, printedKey } from './notes';

/*
 * What is played, in words.
 */

/** Scales that are offered, by name; others are known too and called by their own name. */
export const SCALE_CHOICES: readonly WordChoice[] = [
  ['major', 'major'],
  ['natural-minor', 'natural minor'],
  ['harmonic-minor', 'harmonic minor'],
  ['melodic-minor', 'melodic minor'],
  ['chromatic', 'chromatic'],
  ['dorian', 'dorian'],
  ['phrygian', 'phrygian'],
  ['lydian', 'lydian'],
  ['mixolydian', 'mixolydian'],
  ['whole-tone', 'whole-tone'],
  ['major-pentatonic', 'major pentatonic'],
  ['minor-pentatonic', 'minor pentatonic'],
];

export const CHORD_CHOICES: readonly WordChoice[] = [
  ['major', 'major'],
  ['minor', 'minor'],
  ['diminished', 'diminished'],
  ['augmented', 'augmented'],
  ['dominant-seventh', 'dominant seventh'],
  ['diminished-seventh', 'diminished seventh'],
  ['major-seventh', 'major seventh'],
  ['minor-seventh', 'minor seventh'],
  ['half-diminished', 'half-diminished'],
];

/** What can be made of a key: plain, broken, or in two voices. */
export const KIND_CHOICES: readonly WordChoice[] = [
  ['scale', 'scale'],
  ['arpeggio', 'arpeggio'],
  ['in-threes', 'arpeggio in threes'],
  ['broken-thirds', 'scale in broken thirds'],
  ['broken-fourths', 'scale in broken fourths'],
  ['broken-sixths', 'scale in broken sixths'],
  ['third', 'scale in thirds'],
  ['sixth', 'scale in sixths'],
  ['octave', 'scale in octaves'],
  ['fingered-octave', 'scale in fingered octaves'],
  ['tenth', 'scale in tenths'],
];

export const DIRECTION_WORDS: Readonly<Record<Direction, string>> = {
  up: 'going up',
  down: 'coming down',
  updown: 'up and down',
};
export const DIRECTION_CHOICES: readonly WordChoice[] = DIRECTIONS.map((way) => [way, DIRECTION_WORDS[way]]);

/** The kind that stands for notes typed by the user. */
export const TYPED = 'typed';

/** What is made of the key, by the names of KIND_CHOICES. */
export function kindOf(material: MaterialSpec): string {
  switch (material.type) {
    case 'double-stops':
      return material.interval;
    case 'arpeggio':
      return material.figure === 'in-threes' ? 'in-threes' : 'arpeggio';
    case 'notes':
      return TYPED;
    default:
      return material.type;
  }
}

const wordsOf = (choices: readonly WordChoice[], value: string) =>
  choices.find(([name]) => name === value)?.[1] ?? value.replaceAll('-', ' ');

export const scaleWords = (name: string) => wordsOf(SCALE_CHOICES, name);
export const chordWords = (name: string) => wordsOf(CHORD_CHOICES, name);
export const kindWords = (name: string) => wordsOf(KIND_CHOICES, name);

/** A plan's name where its maker gave none: "A major scale, two octaves, violin". */
export function requestWords({ material, instrument, size }: PlanRequest): string {
  const on = `${size ? `${sizeWords(instrument, size)} ` : ''}${instrumentWords(instrument)}`;
  return `${materialWords(material)}, ${on}`;
}

/** What is played: "A major scale, two octaves". */
export function materialWords(material: MaterialSpec): string {
  if (material.type === 'notes') {
    const notes = material.notes.filter((note) => 'pitches' in note).length;
    return `${counted(notes, 'note')} in ${printedKey(material.key)}`;
  }
  const mode =
    material.type === 'arpeggio' ? wordsOf(CHORD_CHOICES, material.chord) : wordsOf(SCALE_CHOICES, material.scale);
  const octaves = `${countWords(material.octaves)} ${material.octaves === 1 ? 'octave' : 'octaves'}`;
  return `${printed(material.tonic)} ${mode} ${wordsOf(KIND_CHOICES, kindOf(material))}, ${octaves}`;
}

/** A plan's title in a list: whose it is and what it is called. */
export function planTitle(
  plan: { readonly name: string; readonly request: PlanRequest },
  student?: { readonly name: string },
): string {
  const words = plan.name || requestWords(plan.request);
  return student ? `${student.name}: ${words}` : words;
}

const MOST_ODD = 3;

/** "Bar 2 has 5 beats, bar 4 has 3: there are 4 to a bar." */
export function oddBarsWords(odd: readonly OddBar[], perBar: number): string {
  const said = odd.slice(0, MOST_ODD).map(({ bar, beats }) => {
    const count = Number.isInteger(beats) ? String(beats) : beats.toFixed(2);
    return `bar ${bar} has ${count} ${beats === 1 ? 'beat' : 'beats'}`;
  });
  const more = odd.length > MOST_ODD ? `, and ${odd.length - MOST_ODD} more are odd` : '';
  const words = said.join(', ') + more;
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}: the time has ${perBar} to a bar. It is planned as typed; put the bar lines (|) right, or the lengths.`;
}
