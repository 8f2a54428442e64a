import { pitchName, type Finger, type Lesson, type Played, type Setup, type StringPattern } from '../core';
import { listed } from './grammar';
import { noteWords, printed } from './notes';
import { intervalWords } from './places';
import type { Speech } from './plans';

/*
 * What a teacher says in a first lesson, of music in which nothing is hard yet.
 */

export const LESSON_NAMES: Readonly<Record<Lesson['kind'], string>> = {
  pattern: 'finger pattern',
  'same-again': 'the same again',
  'low-high': 'low and high',
  'four-open': 'sounds like the open string',
  'stay-down': 'fingers stay down',
  rings: 'ringing notes',
  tonic: 'the tonic',
  begins: 'how it begins',
};

/** The sentence for a lesson. */
export function lessonWords(lesson: Lesson, setup: Setup, speech: Speech): string {
  const string = (n: number) => printed(setup.strings[n].name);
  const name = (note: Played) => noteWords(pitchName(note.pitch), speech.names);
  const placed = (note: Played) =>
    note.finger === 0 ? `open ${string(note.string)}` : `${note.finger} on ${string(note.string)}`;
  switch (lesson.kind) {
    case 'pattern':
      return `${lesson.patterns.map((pattern) => patternWords(pattern, setup)).join('; ')}.`;
    case 'same-again':
      return `every finger lies on ${string(lesson.to)} where it lies on ${string(lesson.from)}.`;
    case 'low-high': {
      const { from, to } = lesson;
      const [was, is] = to.semitones > from.semitones ? ['low', 'high'] : ['high', 'low'];
      return `${from.finger} on ${string(from.string)} is ${was} for ${name(from)}, then ${is} for ${name(to)}.`;
    }
    case 'four-open':
      return `${placed(lesson.note)} sounds like open ${string(lesson.open)}: compare the two.`;
    case 'stay-down':
      return `going up, ${listed(lesson.notes.map(({ finger }) => String(finger)))} stay down on ${string(lesson.notes[0].string)}.`;
    case 'rings':
      return `${listed(lesson.notes.map(({ note, ringing }) => `${name(note)} wakes open ${string(ringing.clear[0])}`))}: a true note rings.`;
    case 'tonic':
      return `${name(lesson.notes[0])} is the tonic: ${listed(lesson.notes.map(placed))}. Know its places by heart.`;
    case 'begins':
      return `it begins on ${name(lesson.note)}, ${placed(lesson.note)}.`;
  }
}

/** "2 and 3 touch on D and A"; in a hand of frames "1 3 4 on D (3–4 a semitone)". */
function patternWords({ strings, fingers, touching }: StringPattern, setup: Setup): string {
  const on = `on ${listed(strings.map((n) => printed(setup.strings[n].name)))}`;
  if (setup.instrument.fingering.by === 'letters')
    return touching.length === 0
      ? `no two fingers touch ${on}`
      : `${listed(touching.map(([a, b]) => `${a} and ${b}`))} touch ${on}`;
  const close = touching.map(([a, b]: readonly [Finger, Finger]) => `${a}–${b}`);
  const ends = `${fingers[0]}–${fingers[fingers.length - 1]}`;
  const apart = close.length === 0 ? `${ends} ${intervalWords(2)}` : `${listed(close)} ${intervalWords(1)}`;
  return `${fingers.join(' ')} ${on} (${apart})`;
}
