import {
  pitchName,
  TURNS,
  type HandCue,
  type HearFirst,
  type Played,
  type RehearsalStep,
  type Setup,
  type ShiftDetail,
} from '../core';
import { noteWords, printed } from './notes';
import { semitoneWords } from './places';

/*
 * What happens in a shift, what to hear before it, what the hand does and how it is rehearsed.
 */

const nameOf = (note: Played) => noteWords(pitchName(note.pitch));
const stringOf = (setup: Setup, string: number) => printed(setup.strings[string].name);

export const KIND_SENTENCES: Readonly<Record<ShiftDetail['shift']['kind'], string>> = {
  'same-finger': 'The same finger slides to its new note.',
  'old-finger': 'The old finger leads: it slides to the guide note, then the new one falls.',
  'new-finger': 'The new finger leads: it slides in from the guide note.',
  'open-string': 'Over an open string: the hand moves while it rings.',
  'across-strings':
    'Across strings: the old finger slides to the guide note, the new one falls on the next string.',
};

/** The same for a table. */
export const KIND_SHORT: Readonly<Record<ShiftDetail['shift']['kind'], string>> = {
  'same-finger': 'same finger',
  'old-finger': 'old finger',
  'new-finger': 'new finger',
  'open-string': 'open string',
  'across-strings': 'across strings',
};

export const HAND_CUES: Readonly<Record<HandCue, string>> = {
  lighten: 'Lighten the finger; it never leaves the string.',
  'thumb-with-hand': 'Thumb and first finger travel together.',
  'thumb-under': 'The thumb comes round under the neck.',
  'thumb-leads': 'The thumb leads a little on the way down.',
  'elbow-in': 'The elbow swings in.',
  'elbow-out': 'The elbow swings out.',
  'whole-arm': 'The whole arm moves, elbow high.',
  'thumb-up': 'The thumb comes up onto the strings first.',
};

/** What to hear before the shift is made. */
export function hearWords(hear: HearFirst, { to }: ShiftDetail, setup: Setup): string {
  const note = nameOf(to);
  if (hear.kind === 'open')
    return hear.octaves === 0
      ? `Hear ${note} first as the open ${stringOf(setup, hear.string)} string.`
      : `Hear ${note} first from the open ${stringOf(setup, hear.string)} string, ${octaveWords(hear.octaves)}.`;
  const where =
    hear.string === to.string ? 'low on its own string' : `on the ${stringOf(setup, hear.string)} string`;
  const lower = hear.octaves > 0 ? `, ${octaveWords(hear.octaves)}` : '';
  return `Hear ${note} first ${where}, ${semitoneWords(hear.semitones)} above the open one${lower}.`;
}

function octaveWords(octaves: number): string {
  const n = Math.abs(octaves);
  return `${n === 1 ? 'an octave' : `${n} octaves`} ${octaves > 0 ? 'lower' : 'higher'}`;
}

export const REHEARSAL_WORDS: Readonly<Record<RehearsalStep, string>> = {
  hear: 'Find the target the easy way, and listen.',
  guide: 'Slide slowly and audibly on the guide note.',
  light: 'The same, the finger as light as a feather.',
  rhythm: `In rhythm, ${TURNS} times.`,
  turned: 'Turned round, the other way.',
  joined: 'With the note before and the note after; then alone once more.',
};
