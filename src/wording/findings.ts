import {
  lieOf,
  pitchName,
  type Crowd,
  type CrowdedPair,
  type Cue,
  type CueAt,
  type Finding,
  type Finger,
  type Heard,
  type InstrumentName,
  type Played,
  type Rough,
  type Setup,
  type Trap,
  instrumentRecord,
} from '../core';
import { neighbourWords, noCheckWords, shortCheck } from './checks';
import { LESSON_NAMES, lessonWords } from './firstLessons';
import { counted, listed, mm, mmFine, number, seconds, sentence } from './grammar';
import { noteWords, printed } from './notes';
import { barWords, fingerWords, intervalWords, stretchWords } from './places';
import type { Speech } from './plans';
import { wayWords } from './shifts';
import { pitchesAt } from './reasons';

/*
 * What is found in a plan, in plain sentences.
 */

const nameOf = (note: Played) => noteWords(pitchName(note.pitch));
const stringOf = (setup: Setup, string: number) => printed(setup.strings[string].name);

/** Where a finding is: "Bar 2, beat 3", "Bar 2, beats 3–4". */
function whereWords(events: readonly number[], { place }: Speech): string {
  return sentence(stretchWords(place, Math.min(...events), Math.max(...events)));
}

/** No finding is longer: what is less needed is left out. */
const MOST_LETTERS = 140;

/** The sentence for a finding. */
export function findingWords(finding: Finding, setup: Setup, speech: Speech): string {
  const [what, ...more] = foundWords(finding, setup, speech);
  const whole = `${whereWords(finding.events, speech)}: ${what}`;
  // Where even that is long, its first note says where it is.
  const said = whole.length <= MOST_LETTERS ? whole : `${whereWords(finding.events.slice(0, 1), speech)}: ${what}`;
  const all = [...more, alsoWords(finding.also ?? [], speech)];
  return all.reduce((words, one) => {
    const longer = one ? `${words} ${one}` : words;
    return longer.length <= MOST_LETTERS ? longer : words;
  }, said);
}

/** Where else the same is found: one place by name, more by their number. */
function alsoWords(also: readonly (readonly number[])[], { place }: Speech): string {
  if (also.length === 0) return '';
  if (also.length === 1) return `Also at ${barWords(place(Math.min(...also[0])))}.`;
  return `Also in ${counted(also.length, 'other place')}.`;
}

/** What is found, and then what may be added while there is room. */
function foundWords(finding: Finding, setup: Setup, speech: Speech): string[] {
  switch (finding.kind) {
    case 'shift': {
      const { shift, seconds: time, bow, beginAt } = finding.detail;
      const short = (finger: Finger) =>
        typeof finger === 'number' && finger > 0 ? String(finger) : fingerWords(finger);
      const fingers = `${short(shift.fromFinger)} to ${short(shift.toFinger)}`;
      const way = wayWords(finding.detail, setup, speech);
      return [
        `a shift ${way}, ${fingers}, ${mm(shift.travelMm)} in ${seconds(time)}.`,
        beginAt === undefined ? '' : `Too quick: begin at ${beginAt}, stop before it.`,
        bow === 'changes' ? 'The bow changes here.' : '',
      ];
    }
    case 'stretch': {
      const { reach, limitMm, note, harmonic } = finding;
      const [a, b] = reach.fingers;
      const verdict = reach.verdict === 'beyond' ? 'beyond this hand' : 'a stretch';
      return [
        `${fingerWords(note.finger)} on ${nameOf(note)}, ${mm(reach.spreadMm)} from ${a} to ${b}: ${verdict} (full spread ${mm(limitMm)}).`,
        harmonic ? 'Or touch it as a harmonic.' : '',
      ];
    }
    case 'crowding':
      return [
        `${finding.events.map((at) => pitchesAt(speech.events, at, speech)).join(' and ')}: ${crowdWords(finding.crowd)}`,
      ];
    case 'trap': {
      const { trap } = finding;
      const [was, is] = trap.move > 0 ? ['low', 'high'] : ['high', 'low'];
      return [
        `${trap.finger} is ${was} on ${stringOf(setup, trap.from.string)}, ${is} on ${stringOf(setup, trap.to.string)}: place it again.`,
      ];
    }
    case 'comma': {
      const { fifth, third, apart } = finding.conflict;
      const [own, other] = fifth.fits ? [fifth, third] : [third, fifth];
      return [
        `place ${nameOf(finding.note)} by ${shortCheck(own, setup)}; ${shortCheck(other, setup)}, is pure ${number(apart)} cents away.`,
      ];
    }
    case 'no-check':
      return uncheckedWords(finding.run, setup);
    case 'octaves': {
      const { widestMm, narrowestMm } = finding.passage;
      return [`the frame of the octaves narrows from ${mm(widestMm)} to ${mm(narrowestMm)}; the hand moves for each.`];
    }
    case 'lesson':
      return [lessonWords(finding.lesson, setup, speech)];
    default:
      return [roughWords(finding.rough, setup)];
  }
}

/** Notes that nothing checks: one with its neighbour, several by their ends with the first that has one. */
function uncheckedWords(run: readonly Heard[], setup: Setup): string[] {
  const [first, last] = [run[0], run[run.length - 1]];
  if (run.length === 1) return [noCheckWords(first, setup)];
  const helped = run.find(({ neighbour }) => neighbour && neighbour.kind !== 'drone') ?? first;
  const help = neighbourWords(helped.note, helped.neighbour ?? { kind: 'drone' }, setup);
  const begin = helped.neighbour?.kind === 'drone' ? help : `${nameOf(helped.note)}: ${help}`;
  const [from, to] = first.note.midi === last.note.midi ? lowAndHigh(run) : [first, last];
  const notes = `${counted(run.length, 'note')} from ${nameOf(from.note)} to ${nameOf(to.note)}`;
  return [`no string checks the ${notes}.`, `${sentence(begin)}.`];
}

/** The ends of a run that comes back to where it began. */
function lowAndHigh(run: readonly Heard[]): readonly [low: Heard, high: Heard] {
  const rising = [...run].sort((a, b) => a.note.midi - b.note.midi);
  return [rising[0], rising[rising.length - 1]];
}

/** What is rough about a place, and what helps. */
function roughWords({ kind, notes, seconds: time }: Rough, setup: Setup): string {
  const [from, to] = [notes[notes.length - 2], notes[notes.length - 1]];
  const strings = `${stringOf(setup, from.string)} to ${stringOf(setup, to.string)}`;
  switch (kind) {
    case 'skip':
      return `the bow skips a string, ${strings}, in ${seconds(time)}: let the arm go ahead of the note.`;
    case 'opened': {
      const how = to.step.extended ? 'opens' : 'closes up';
      return notes.length === 2
        ? `the hand ${how} as it lands on ${nameOf(to)}: land on the guide first, then place ${to.finger}.`
        : `the hand ${how} for ${nameOf(to)} right after the shift: let it land and settle, then place ${to.finger}.`;
    }
    case 'low-first':
      return `1 lies low on ${nameOf(to)} ${notes.length === 2 ? 'as the hand lands' : 'right after the shift'}: draw it back by itself, the hand stays.`;
    case 'apart': {
      const lower = from.finger < to.finger ? [from, to] : [to, from];
      const [a, b] = lower[1].semitones - lower[0].semitones > 2 ? ['low', 'high'] : ['high', 'low'];
      return `${lower[0].finger} is ${a} on ${stringOf(setup, lower[0].string)}, ${lower[1].finger} ${b} on ${stringOf(setup, lower[1].string)}, ${seconds(time)} apart: set both before the first sounds.`;
    }
  }
}

/** Two fingers with too little room: said alike wherever it is told. */
export function crowdWords({ fingers, roomMm, tipMm }: Crowd | CrowdedPair): string {
  return `fingers ${listed(fingers.map(String))} are ${mmFine(roomMm)} apart, less than a fingertip (${mmFine(tipMm)}): one makes way.`;
}

/** A trap with both its notes. */
export function trapWords({ finger, from, to, move }: Trap, setup: Setup, { place, fingers }: Speech): string {
  const at = (note: Played) => `${nameOf(note)} on ${stringOf(setup, note.string)} (${barWords(place(note.at))})`;
  const way = `${intervalWords(Math.abs(move))} ${move > 0 ? 'higher' : 'lower'}`;
  const [was, is] = [from, to].map((note) => lieOf(setup.instrument, note.step.position, note));
  if (fingers === 'low-high' && was && is)
    return `${sentence(was)} ${finger}, then ${is} ${finger}: ${at(from)}, then ${at(to)}.`;
  return `${sentence(fingerWords(finger))}: ${at(from)}, then ${way} for ${at(to)}.`;
}

type OtherKind = Exclude<Finding['kind'], 'lesson'>;

const FINDING_NAMES: Readonly<Record<OtherKind, string>> = {
  shift: 'shift',
  stretch: 'stretch',
  crowding: 'crowding',
  trap: 're-placed finger',
  comma: 'comma',
  'no-check': 'no check',
  opened: 'hand opens',
  'low-first': 'low first finger',
  skip: 'skipped string',
  apart: 'high and low',
  octaves: 'octaves',
};

/** What a finding is called where findings are told apart by more than their hue. */
export function findingName(finding: Finding): string {
  return finding.kind === 'lesson' ? LESSON_NAMES[finding.lesson.kind] : FINDING_NAMES[finding.kind];
}

/** What a drill for a finding is called. */
export function drillTitle(finding: Finding, speech: Speech): string {
  const { events } = finding;
  return `Drill: ${findingName(finding)}, ${stretchWords(speech.place, Math.min(...events), Math.max(...events))}`;
}

const CUE_WORDS: Readonly<Record<Cue, string>> = {
  hold: 'Hold the finger before down until this one sounds.',
  block: 'Put this finger and the next down together.',
  float: 'Shape the hand above the string before it falls.',
  'hop-back': 'The same finger hops back to a new place.',
  slide: 'The same finger slides to the next semitone, from its base knuckle and far enough',
  'make-way': 'The finger before makes way: two fingertips have no room here.',
  bar: 'Lay one finger over both strings.',
  'bar-or-hop': 'Lay one finger over both strings, or hop.',
  'let-go': 'The finger before leaves its string as this one lands on the next.',
  unlock: 'The note stays well held while wrist and hand loosen for the shift.',
  'sung-slide': 'The slide is heard: with less weight than a note, with more than a ghost.',
  high: 'Up here the bow goes nearer the bridge',
  octaves: 'Octaves: the lower string a little louder, elbow up and quiet, fingers neither curled nor flat',
  'low-string': 'The elbow swings further in for the lowest string, and the instrument turns a little.',
  connect: 'No gap: the lower finger lies ready, finger and bow change together.',
  overlap: 'Across the strings let the two notes overlap for a moment.',
  'double-stops':
    'Both fingers come down as one; the ear goes by the lower note, and the bow gives it a little more weight.',
  'elbow-back': 'The low string is left: the elbow comes out again.',
  'thumb-free': 'The thumb does not squeeze.',
  'base-free': 'The base of the first finger is free of the neck.',
  'fourth-curved': 'The fourth finger stays curved over its string.',
};

/** What the hand does, in a sentence; with how far a finger slides, where that is known. */
export function cueWords({ cue, mm: far, thinnest }: CueAt, instrument: InstrumentName): string {
  const words = CUE_WORDS[cue];
  if (cue === 'slide') return far === undefined ? `${words}.` : `${words}: ${mm(far)}.`;
  if (cue === 'octaves')
    return `${words}; ${instrumentRecord(instrument).upTheNeck === 'whole-arm' ? 'the thumb lies straight, and the hand does not lean forward' : 'the hand does not lean forward'}.`;
  if (cue !== 'high') return words;
  return `${words}; ${thinnest ? 'on the thinnest string with less weight, and faster' : 'a thick string takes more weight'}.`;
}
