import {
  midiOf,
  parsePitch,
  stopMm,
  type InstrumentName,
  type NoteNames,
  type Quiz,
  type QuizAsk,
  type Setup,
} from '../core';
import { listed, mm } from './grammar';
import { noteWords, printed, printedKey } from './notes';
import { fingerWords, positionWords, intervalWords } from './places';

/*
 * What cards ask, and what is right and why.
 */

interface Way {
  readonly instrument: InstrumentName;
  readonly names: NoteNames;
}

const fingerOn = (finger: string) => (finger === 'T' ? 'the thumb' : finger === '0' ? 'open' : `finger ${finger}`);

export function askWords(ask: QuizAsk, { instrument, names }: Way): string {
  const on = (string: string) => `the ${printed(string, names)} string`;
  switch (ask.kind) {
    case 'place':
      return `${printedKey(ask.key)}, ${positionWords(ask.position, instrument)}: which string and finger for ${noteWords(ask.pitch, names)}?`;
    case 'name':
      return `${printedKey(ask.key)}, ${positionWords(ask.position, instrument)}: which note is ${fingerWords(ask.finger)} on ${on(ask.string)}?`;
    case 'elsewhere':
      return `${noteWords(ask.pitch, names)} lies on ${on(ask.string)}. Where else can it be played?`;
    case 'across':
      return `${printedKey(ask.key)}, ${positionWords(ask.position, instrument)}: which finger on ${on(ask.other)} lies right beside ${fingerWords(ask.finger)} on ${on(ask.string)}?`;
    case 'check':
      return `Which open string is ${noteWords(ask.pitch, names)} (${fingerWords(ask.finger)} on ${on(ask.string)}) checked against?`;
    case 'shift-far':
      return `From ${noteWords(ask.from, names)} (${ask.fromFinger}) to ${noteWords(ask.to, names)} (${ask.toFinger}) on ${on(ask.string)}: how far does the hand go?`;
    case 'shift-guide':
      return `From ${noteWords(ask.from, names)} (${ask.fromFinger}) to ${noteWords(ask.to, names)} (${ask.toFinger}) on ${on(ask.string)}: what is the guide note?`;
    case 'names':
      return `Say the names of ${printedKey(ask.key)}, going up.`;
    case 'names-backwards':
      return `Say the names of ${printedKey(ask.key)} backwards, from the top down.`;
    case 'ear-which':
      return `Two sounds. Which of them is ${noteWords(ask.pitch, names)}?`;
    case 'ear-side':
      return `The first sound is ${noteWords(ask.pitch, names)}. Is the second low or high?`;
  }
}

/** An answer as it is read: "finger 3 on the D string". */
export function answerWords({ ask }: Quiz, answer: string, { names }: Way): string {
  const [a, b] = answer.split(/[ +]/);
  switch (ask.kind) {
    case 'place':
      return b === '0' ? `open ${printed(a, names)}` : `${fingerOn(b)} on the ${printed(a, names)} string`;
    case 'elsewhere':
      return b === '0' ? `open ${printed(a, names)}` : `${intervalWords(Number(b))} up the ${printed(a, names)} string`;
    case 'across':
      return answer === 'none' ? 'no finger' : fingerOn(answer);
    case 'check':
      return answer === 'none' ? 'no open string' : `open ${printed(answer, names)}`;
    case 'shift-far':
      return intervalWords(Number(answer));
    case 'names':
    case 'names-backwards':
      return answer
        .split(' ')
        .map((name) => printed(name, names))
        .join(' ');
    case 'name':
    case 'shift-guide':
      return printed(answer, names);
    default:
      return answer;
  }
}

/** What was right, and why. */
export function rightWords(quiz: Quiz, setup: Setup, way: Way): string {
  const { ask, right } = quiz;
  const all = listed(right.map((one) => answerWords(quiz, one, way)));
  switch (ask.kind) {
    case 'place':
    case 'elsewhere':
      return `${noteWords(ask.pitch, way.names)}: ${all}${spotsWords(quiz, setup)}.`;
    case 'across':
      return right[0] === 'none' ? 'No finger lies right beside it in this key.' : `Right beside it: ${all}.`;
    case 'check':
      return right[0] === 'none'
        ? 'No open string fits it: compare it with the same note elsewhere, or its octave.'
        : `It fits ${all}.`;
    case 'ear-which':
      return `The ${right[0]} was the target; the other was ${Math.abs(ask.cents)} cents ${ask.cents > 0 ? 'high' : 'low'}.`;
    case 'ear-side':
      return `It was ${Math.abs(ask.cents)} cents ${right[0]}.`;
    default:
      return `${all}.`;
  }
}

function spotsWords({ ask, right }: Quiz, { lengthMm }: Setup): string {
  if (ask.kind !== 'elsewhere') return '';
  const far = right.map((one) => mm(stopMm(lengthMm, Number(one.split('+')[1]))));
  return ` (${listed(far)} from the nut)`;
}

/** Where an answer lies on the neck, by string and semitones; null where it is no place. */
export function spotOf(
  quiz: Quiz,
  answer: string,
  setup: Setup,
): { readonly string: string; readonly semitones: number } | null {
  const { ask } = quiz;
  if (ask.kind === 'elsewhere') {
    const [string, semitones] = answer.split('+');
    return { string, semitones: Number(semitones) };
  }
  if (ask.kind !== 'place') return null;
  const [name] = answer.split(' ');
  const open = setup.strings.find((string) => string.name === name);
  const pitch = parsePitch(ask.pitch);
  if (!open || !pitch) return null;
  return { string: name, semitones: midiOf(pitch) - open.midi };
}

/** A typed note as a card has it: "f#" is "F#", "eb" is "Eb"; also in the student's own names. */
export function typedName(text: string, names: NoteNames): string | null {
  const plain = text.trim().replace(/♯/g, '#').replace(/♭/g, 'b');
  for (const letter of ['C', 'D', 'E', 'F', 'G', 'A', 'B'])
    for (const sign of ['', '#', 'b', '##', 'bb']) {
      const name = letter + sign;
      const called = [name, printed(name, names).replace(/♯/g, '#').replace(/♭/g, 'b')];
      if (
        called.some((one) => one.toLowerCase() === plain.toLowerCase()) &&
        !(names === 'german' && plain.toLowerCase() === 'b' && name === 'B')
      )
        return name;
    }
  return null;
}
