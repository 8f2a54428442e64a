import {
  isOnPivots,
  pitchName,
  TURNS,
  type HandCue,
  type Hard,
  type HearFirst,
  type Played,
  type RehearsalStep,
  type Setup,
  type ShiftDetail,
} from '../core';
import { sentence } from './grammar';
import { noteWords, printed } from './notes';
import { fingerWords, frameWords, positionName, stringWords, thumbNote } from './places';
import type { Speech } from './plans';

/*
 * What happens in a shift, what to hear before it, what the hand does and how it is rehearsed.
 */

const nameOf = (note: Played) => noteWords(pitchName(note.pitch));
const stringOf = (setup: Setup, string: number) => printed(setup.strings[string].name);

const KIND_SENTENCES: Readonly<Record<ShiftDetail['shift']['kind'], string>> = {
  'same-finger': 'The same finger slides to its new note.',
  'old-finger': 'The old finger leads: it slides to its own place in the new position, then the new one falls.',
  'new-finger':
    'The new finger leads: it lies at its own place in the old position, and slides from there to its note.',
  'open-string': 'Over an open string: the hand moves while it rings.',
  'across-strings': 'Across strings: the hand moves as the bow changes string.',
  'to-thumb': 'Into thumb position: arm and first finger carry the hand, and the thumb is set down on its place.',
  'from-thumb': 'Out of thumb position: the thumb goes back under the neck, and the first finger leads.',
};

/** What kind of shift it is, in a sentence that agrees with what guides. */
export function kindSentence(shift: ShiftDetail['shift']): string {
  const { kind, guide, fromFinger, toFinger } = shift;
  if (isOnPivots(shift)) return 'From pivot to pivot: the thumb stays where it is and guides, the hand leans over.';
  const leads = kind === 'old-finger' ? fromFinger : kind === 'new-finger' ? toFinger : undefined;
  if (guide && leads !== undefined && guide.finger !== leads)
    return `${sentence(fingerWords(guide.finger))} guides: ${leads} has no place of its own in the other hand.`;
  return KIND_SENTENCES[kind];
}

/** The same for a table. */
export const KIND_SHORT: Readonly<Record<ShiftDetail['shift']['kind'], string>> = {
  'same-finger': 'same finger',
  'old-finger': 'old finger',
  'new-finger': 'new finger',
  'open-string': 'open string',
  'across-strings': 'across strings',
  'to-thumb': 'thumb comes up',
  'from-thumb': 'thumb goes back',
};

/** From where to where, and how: "from half to 1st position", "in thumb position, thumb from E♭ to G". */
export function wayWords({ shift, from, to }: ShiftDetail, setup: Setup, { instrument, key }: Speech): string {
  const thumb = ({ step, string }: Played) => thumbNote(step, setup.strings[string].name, key);
  const place = ({ step }: Played) => positionName(step.position, instrument);
  const [was, is] = [thumb(from), thumb(to)];
  if (was && is) {
    const on = (note: Played) => (from.string === to.string ? '' : ` on ${stringOf(setup, note.string)}`);
    return `in thumb position, thumb from ${was}${on(from)} to ${is}${on(to)}`;
  }
  if (is) return `from ${place(from)} position to the thumb on ${is}`;
  if (was) return `from the thumb on ${was} to ${place(to)} position`;
  const over = shift.kind === 'open-string' ? 'over the open string, ' : '';
  const { fromFrame, toFrame } = shift;
  if (fromFrame && toFrame)
    return `${over}in ${place(to)} position, from ${frameWords(fromFrame, from.step)} to ${frameWords(toFrame, to.step)}`;
  if (place(from) === place(to)) return `${over}in ${place(to)} position, both fingers along their strings`;
  return `${over}from ${place(from)} to ${place(to)} position`;
}

const HARD: Readonly<Record<Hard, string>> = {
  far: 'far',
  quick: 'little time',
  'little-finger': 'little finger',
  'weak-slide': 'a weak finger slides',
  'into-thumb': 'the thumb comes up',
};

/** What makes a shift hard, in a few words. */
export function hardWords(why: readonly Hard[]): string {
  return why.length === 0 ? 'short and unhurried' : why.map((one) => HARD[one]).join(', ');
}

/** What the bow does meanwhile, where bowing is written. */
export function bowWords({ bow }: ShiftDetail): string | null {
  if (!bow) return null;
  return bow === 'changes'
    ? 'The bow changes here: easier to hide.'
    : 'Under one bow: the slide can be heard, so let the bow lighten with the hand.';
}

/** Who carries the hand, and over which note: "Guide: finger 1 on F♯5, E string, unheard." Empty where no note guides. */
export function guideWords({ guide, kind, toFinger }: ShiftDetail['shift']): string {
  if (!guide) return '';
  const finger = fingerWords(guide.finger);
  if (guide.finger === toFinger && kind !== 'new-finger') return `Guide: ${finger}, to its own note.`;
  return `Guide: ${finger} on ${noteWords(guide.pitch)}, ${stringWords(guide.string)}, unheard.`;
}

/** Where the shift has too little time: how to begin. */
export function hurryWords({ beginAt }: ShiftDetail): string | null {
  return beginAt === undefined
    ? null
    : `At this tempo it has too little time: begin at ${beginAt} a minute, and stop before the shift.`;
}

export const HAND_CUES: Readonly<Record<HandCue, string>> = {
  lighten: 'Lighten the finger; it never leaves the string.',
  'lighten-hand': 'Lighten the hand as it goes; it stays close over the strings.',
  unhurried: 'The open string gives the time: move while it rings, unhurried.',
  'bow-lighter': 'The bow goes lighter through the shift.',
  'thumb-stays': 'The thumb stays on its place.',
  'slide-in': 'For colour, the new finger may slide in from a step below; find the note by the guide first.',
  'thumb-with-hand': 'Thumb and first finger travel together.',
  'thumb-under': 'The thumb comes round under the neck.',
  'thumb-leads': 'The thumb leads a little on the way down.',
  'thumb-round': 'The thumb comes round at the body of the instrument.',
  'thumb-first': 'The thumb goes first from the body joint, back under the neck.',
  'thumb-up': 'The thumb comes up onto the strings first.',
  'thumb-back': 'The thumb leaves the strings and goes back under the neck.',
  'thumb-along': 'The thumb stays on the strings and travels with the hand.',
  'elbow-in': 'The elbow swings in.',
  'elbow-out': 'The elbow swings out.',
  'whole-arm': 'The whole arm moves, elbow high.',
};

/** What to hear before the shift is made: "Hear A5 first as 3 in first position, same string." */
export function hearWords(hear: HearFirst, { to }: Pick<ShiftDetail, 'to'>, setup: Setup): string {
  const note = nameOf(to);
  if (hear.kind === 'in-place')
    return hear.lowest
      ? `${note} lies nowhere lower: sing it first, or play it slowly in its place.`
      : `Sing ${note} first, or play it slowly in its place.`;
  const lower = hear.octaves > 0 ? `, ${octaveWords(hear.octaves)} below` : '';
  if (hear.kind === 'open') return `Hear ${note} first as open ${stringOf(setup, hear.string)}${lower}.`;
  const same = hear.string === to.string;
  const string = same
    ? hear.octaves === 0
      ? 'the very same place'
      : 'same string'
    : `on the ${stringOf(setup, hear.string)} string`;
  const position = hear.position === 1 ? 'first position' : 'half position';
  return `Hear ${note} first as ${hear.finger} in ${position}, ${string}${lower}.`;
}

/** How a landing on a node of the string is checked: "Touch the string where 1 has landed: the harmonic E4 rings if the place is true." */
export function landingWords({ harmonic, shift }: ShiftDetail): string | null {
  if (!harmonic) return null;
  const finger = shift.toFinger === 'T' ? 'the thumb' : shift.toFinger;
  return `To check the landing, lift ${finger} until it only touches the string: the harmonic ${noteWords(pitchName(harmonic))} rings if the place is true.`;
}

function octaveWords(octaves: number): string {
  return octaves === 1 ? 'an octave' : octaves === 2 ? 'two octaves' : `${octaves} octaves`;
}

export const REHEARSAL_WORDS: Readonly<Record<RehearsalStep, string>> = {
  hear: 'Find the target the easy way, and listen.',
  guide: 'Slide slowly and audibly on the guide note.',
  light: 'The same, the finger as light as a feather.',
  rhythm: `In rhythm, ${TURNS} times.`,
  turned: 'Turned round, the other way.',
  joined: 'With the note before and the note after; then alone once more.',
};
