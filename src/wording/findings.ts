import {
  lieOf,
  pitchName,
  type Crowd,
  type CrowdedPair,
  type Cue,
  type CueAt,
  type Finding,
  type Heard,
  type InstrumentName,
  type Played,
  type Rough,
  type Setup,
  type Trap,
  instrumentRecord,
} from '../core';
import { noCheckWords, shortCheck } from './checks';
import { counted, listed, mm, mmFine, number, seconds, sentence } from './grammar';
import { noteWords, printed } from './notes';
import { barWords, fingerWords, placesWords, semitoneWords, stretchWords } from './places';
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

/** Other places that are named. */
const MOST_ALSO = 3;

/** The sentence for a finding. */
export function findingWords(finding: Finding, setup: Setup, speech: Speech): string {
  const also = (finding.also ?? []).map((events) => barWords(speech.place(Math.min(...events))));
  const rest = also.length > MOST_ALSO ? ` and ${also.length - MOST_ALSO} more places` : '';
  const more = also.length > 0 ? ` Also at ${placesWords(also.slice(0, MOST_ALSO))}${rest}.` : '';
  return `${whereWords(finding.events, speech)}: ${foundWords(finding, setup, speech)}${more}`;
}

function foundWords(finding: Finding, setup: Setup, speech: Speech): string {
  switch (finding.kind) {
    case 'shift': {
      const { shift, seconds: time } = finding.detail;
      const fingers = `${fingerWords(shift.fromFinger)} to ${fingerWords(shift.toFinger)}`;
      const hidden = finding.detail.bow === 'changes' ? ' It falls on a change of bow: easier to hide.' : '';
      return `a shift ${wayWords(finding.detail, setup, speech)}, ${fingers}, ${mm(shift.travelMm)} in ${seconds(time)}.${hidden}`;
    }
    case 'stretch': {
      const { reach, limitMm } = finding;
      const [a, b] = reach.fingers;
      const verdict = reach.verdict === 'beyond' ? 'beyond this hand' : 'a stretch';
      return `${mm(reach.spreadMm)} from ${a} to ${b}, ${verdict} (full spread ${mm(limitMm)}).`;
    }
    case 'crowding':
      return `${finding.events.map((at) => pitchesAt(speech.events, at, speech)).join(' and ')}: ${crowdWords(finding.crowd)}`;
    case 'trap': {
      const { trap } = finding;
      const [was, is] = trap.move > 0 ? ['low', 'high'] : ['high', 'low'];
      return `${trap.finger} is ${was} on ${stringOf(setup, trap.from.string)}, ${is} on ${stringOf(setup, trap.to.string)}: place it again.`;
    }
    case 'comma': {
      const { fifth, third, apart } = finding.conflict;
      return `${nameOf(finding.note)} fits ${shortCheck(fifth, setup)}, or ${shortCheck(third, setup)}, not both: ${number(apart)} cents apart.`;
    }
    case 'no-check':
      return uncheckedWords(finding.run, setup);
    default:
      return roughWords(finding.rough, setup);
  }
}

/** Notes that nothing checks: one with where to compare it, a long run by its ends. */
function uncheckedWords(run: readonly Heard[], setup: Setup): string {
  const [first, last] = [run[0], run[run.length - 1]];
  if (run.length === 1) return noCheckWords(first.note, first.elsewhere, setup);
  return `${counted(run.length, 'note')} running that no string checks, ${nameOf(first.note)} to ${nameOf(last.note)}: play them slowly over a drone, or compare one by one.`;
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
  return `fingers ${listed(fingers.map(String))} are ${mmFine(roomMm)} apart, less than a fingertip (${mmFine(tipMm)}): one makes way for the other.`;
}

/** A trap with both its notes. */
export function trapWords({ finger, from, to, move }: Trap, setup: Setup, { place, fingers }: Speech): string {
  const at = (note: Played) => `${nameOf(note)} on ${stringOf(setup, note.string)} (${barWords(place(note.at))})`;
  const way = `${semitoneWords(Math.abs(move))} ${move > 0 ? 'higher' : 'lower'}`;
  const [was, is] = [from, to].map((note) => lieOf(setup.instrument, note.step.position, note));
  if (fingers === 'low-high' && was && is)
    return `${sentence(was)} ${finger}, then ${is} ${finger}: ${at(from)}, then ${at(to)}.`;
  return `${sentence(fingerWords(finger))}: ${at(from)}, then ${way} for ${at(to)}.`;
}

/** What a finding is called where findings are told apart by more than their hue. */
export const FINDING_NAMES: Readonly<Record<Finding['kind'], string>> = {
  shift: 'shift',
  stretch: 'stretch',
  crowding: 'crowding',
  trap: 'trap',
  comma: 'comma',
  'no-check': 'no check',
  opened: 'hand opens',
  'low-first': 'low first finger',
  skip: 'skipped string',
  apart: 'high and low',
};

/** What a drill for a finding is called. */
export function drillTitle({ kind, events }: Finding, speech: Speech): string {
  return `Drill: ${FINDING_NAMES[kind]}, ${stretchWords(speech.place, Math.min(...events), Math.max(...events))}`;
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
};

/** What the hand does, in a sentence; with how far a finger slides, where that is known. */
export function cueWords({ cue, mm: far }: CueAt, instrument: InstrumentName): string {
  const words = CUE_WORDS[cue];
  if (cue === 'slide') return far === undefined ? `${words}.` : `${words}: ${mm(far)}.`;
  if (cue === 'octaves')
    return `${words}; ${instrumentRecord(instrument).upTheNeck === 'whole-arm' ? 'the thumb lies straight, and the hand does not lean forward' : 'the hand does not lean forward'}.`;
  return cue === 'high' ? `${words}; a thick string takes more weight.` : words;
}
