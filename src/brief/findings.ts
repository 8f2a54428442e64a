import {
  beatsPerSecond,
  hertzOf,
  parsePitch,
  pitchName,
  type Aim,
  type Checkpoint,
  type CommaConflict,
  type Cue,
  type Finding,
  type HandCue,
  type HearFirst,
  type Played,
  type PlanResponse,
  type Setup,
  type ShiftDetail,
  type Level,
} from '../core';
import { printed } from './words';

/*
 * What is found in a plan, in plain sentences.
 */

/** A pitch in print, with its octave: "E♭4". */
export function noteWords(name: string): string {
  return printed(name) + (name.match(/-?\d+$/)?.[0] ?? '');
}

const nameOf = (note: Played) => noteWords(pitchName(note.pitch));
const finger = (name: string | number) =>
  name === 'T' ? 'the thumb' : name === 0 ? 'open' : `finger ${name}`;
const mm = (length: number) => `${length.toFixed(1)} mm`;
const stringOf = (setup: Setup, string: number) => printed(setup.strings[string].name);
const numbers = (events: readonly number[]) => [...new Set(events)].map((at) => at + 1).join(' and ');

/** The sentence for a finding. */
export function findingWords(finding: Finding, setup: Setup): string {
  const where =
    finding.events.length > 1 ? `Notes ${numbers(finding.events)}` : `Note ${numbers(finding.events)}`;
  switch (finding.kind) {
    case 'shift': {
      const { shift, seconds } = finding.detail;
      const span = `${finger(shift.fromFinger)} to ${finger(shift.toFinger)}, ${mm(shift.travelMm)}`;
      return `${where}: a shift from ${finding.detail.from.step.positionName} to ${finding.detail.to.step.positionName}, ${span} in ${seconds.toFixed(1)} s.`;
    }
    case 'stretch': {
      const { reach, limitMm } = finding;
      const [a, b] = reach.fingers;
      const verdict = reach.verdict === 'beyond' ? 'beyond this hand' : 'a stretch';
      return `${where}: ${mm(reach.spreadMm)} from ${a} to ${b}, ${verdict} (full spread ${mm(limitMm)}).`;
    }
    case 'crowding': {
      const { crowd } = finding;
      return `${where}: fingers ${crowd.fingers.join(' and ')} are ${mm(crowd.roomMm)} apart, less than a fingertip (${mm(crowd.tipMm)}): one makes way for the other.`;
    }
    case 'trap': {
      const { trap } = finding;
      const way = trap.move > 0 ? 'higher' : 'lower';
      return `${where}: ${finger(trap.finger)} lies on ${stringOf(setup, trap.from.string)} and is wanted ${semitoneWords(Math.abs(trap.move))} ${way} on ${stringOf(setup, trap.to.string)}.`;
    }
    case 'comma': {
      const { fifth, third, apart } = finding.conflict;
      return `${where}: ${nameOf(finding.note)} fits open ${stringOf(setup, fifth.string)} as a ${fifth.interval} or open ${stringOf(setup, third.string)} as a ${third.interval}, not both: ${apart.toFixed(1)} cents apart.`;
    }
    case 'no-check':
      return `${where}: no open string checks ${nameOf(finding.note)}; compare it with the same note elsewhere, or with a drone.`;
  }
}

/** What a drill for a finding is called. */
export function drillTitle({ kind, events }: Finding): string {
  return `Drill: ${KIND_NAMES[kind]}, ${events.length > 1 ? 'notes' : 'note'} ${numbers(events)}`;
}

export function semitoneWords(n: number): string {
  return n === 1 ? 'a semitone' : n === 2 ? 'a tone' : `${n} semitones`;
}

/** What a finding is called where findings are told apart by more than their hue. */
export const KIND_NAMES: Readonly<Record<Finding['kind'], string>> = {
  shift: 'shift',
  stretch: 'stretch',
  crowding: 'crowding',
  trap: 'trap',
  comma: 'comma',
  'no-check': 'no check',
};

/** Which of two honest checks to use when. */
export function commaAdvice({ conflict }: { readonly conflict: CommaConflict }, setup: Setup): string {
  const { fifth, third } = conflict;
  return `In a melody, take the ${fifth.interval} with ${stringOf(setup, fifth.string)}: it agrees with the other open strings. Sounding together with ${stringOf(setup, third.string)}, take the ${third.interval}. With a drone, whichever is pure against the drone.`;
}

/** A check as a teacher says it: "with open G: an octave, no beats". */
export function checkWords(check: Checkpoint, note: Played, setup: Setup, offCents: number): string {
  const how = check.together ? 'together' : 'one after the other';
  const higherHz = check.above ? hertzOf(note.midi, check.cents) : hertzOf(setup.strings[check.string].midi);
  const beats = beatsPerSecond(check.ratio, higherHz, offCents);
  const heard = check.together
    ? `no beats; ${offCents} cents off, ${beats.toFixed(1)} a second`
    : 'the same colour';
  return `${shortCheck(check, setup)}, ${how}: ${heard}`;
}

/** The same in a few words: "open G, an octave". */
export function shortCheck(check: Checkpoint, setup: Setup): string {
  return `open ${stringOf(setup, check.string)}, ${article(check.interval)}`;
}

function article(words: string): string {
  return /^(two|unison)/.test(words)
    ? words === 'unison'
      ? 'a unison'
      : words
    : `${/^[aeio]/.test(words) ? 'an' : 'a'} ${words}`;
}

export const CUE_WORDS: Readonly<Record<Cue, string>> = {
  hold: 'Hold the finger before down until this one sounds.',
  block: 'Put this finger and the next down together.',
  float: 'Shape the hand above the string before it falls.',
  'hop-back': 'The same finger hops back to a new place.',
  slide: 'The same finger slides to the next semitone.',
  bar: 'Lay one finger over both strings.',
};

export const KIND_SENTENCES: Readonly<Record<ShiftDetail['shift']['kind'], string>> = {
  'same-finger': 'the same finger slides to its new note',
  'old-finger': 'the old finger leads: it slides to the guide note, then the new one falls',
  'new-finger': 'the new finger leads: it slides in from the guide note',
  'open-string': 'over an open string: the hand moves while it rings',
  'across-strings':
    'across strings: the old finger slides to the guide note, the new one falls on the next string',
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
export function hearWords(hear: HearFirst, detail: ShiftDetail, setup: Setup): string {
  const note = nameOf(detail.to);
  if (hear.kind === 'open')
    return hear.octaves === 0
      ? `Hear ${note} first as the open ${stringOf(setup, hear.string)} string.`
      : `Hear ${note} first from the open ${stringOf(setup, hear.string)} string, ${octaveWords(hear.octaves)}.`;
  const where =
    hear.string === detail.to.string
      ? 'low on its own string'
      : `on the ${stringOf(setup, hear.string)} string`;
  const lower = hear.octaves > 0 ? `, ${octaveWords(hear.octaves)}` : '';
  return `Hear ${note} first ${where}, ${semitoneWords(hear.semitones)} above the open one${lower}.`;
}

function octaveWords(octaves: number): string {
  const n = Math.abs(octaves);
  return `${n === 1 ? 'an octave' : `${n} octaves`} ${octaves > 0 ? 'lower' : 'higher'}`;
}

/** The aim of the ear for a plan: its tonic, and the student's level. */
export function aimFor(response: PlanResponse, level: Level, part: Partial<Aim> = {}): Aim {
  const [tonicName] = response.key.name.split(' ');
  const tonic = parsePitch(`${tonicName}4`) ?? { letter: 0, alteration: 0, octave: 4 };
  return { system: 'pythagorean', tuning: 'pure', tonic, level, ...part };
}
