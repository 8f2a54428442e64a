import {
  handTime,
  MATCHING,
  offOf,
  REHEARSAL_STEPS,
  type AidName,
  type HeardAs,
  type Kind,
  type Ladder,
  type LadderStep,
  type MatchingName,
  type Pause,
  type RhythmName,
  type Trend,
  type VoicesName,
  type WeekItem,
} from '../core';
import { counted, number, seconds, sentence } from './grammar';
import { REHEARSAL_WORDS } from './shifts';
import { perBowWords } from './wishes';

/*
 * Practice in words: steps of a ladder, kinds of place, trends, what a day is made of.
 */

export const HEARD_WORDS: Readonly<Record<HeardAs, string>> = { low: 'low', in: 'in', high: 'high', missed: 'missed' };

/** Ladders that are offered, in the order in which they are mostly used. */
export const LADDER_CHOICES: readonly (readonly [Ladder['kind'], string, string])[] = [
  ['repeat', 'repetitions', 'A number of times; the program counts.'],
  ['tempo', 'metronome', 'From a start to a goal, step by step.'],
  ['halves', 'beats per note', 'Four beats a note, then two, one, a half.'],
  ['bows', 'notes per bow', 'One note to a bow, then two, three, four … all in one.'],
  ['rhythms', 'rhythms', 'Long–short, short–long, in threes, in fours, a stop before each shift.'],
  ['growing', 'growing', 'A piece at a time, then the whole.'],
  ['aids', 'help that fades', 'Names and fingers at first, in the end none.'],
  ['placing', 'place and lift', 'Place, listen, lift, place again: one note, placed afresh each time.'],
  [
    'matching',
    'matching',
    'The landing heard low down and placed: alone, from the note before, in rhythm, then unheard.',
  ],
  ['voices', 'octave build-up', 'The lower note alone, the upper alone, both, the lower a little stronger.'],
];

export const GROWING_WORDS = [
  ['bar', 'bar by bar'],
  ['two-bars', 'two bars at a time'],
  ['group', 'in groups of four notes'],
  ['note-from-end', 'from the end backwards, one note more each time'],
] as const;

const RHYTHM_WORDS: Readonly<Record<RhythmName, string>> = {
  'long-short': 'long–short',
  'short-long': 'short–long',
  'first-of-three': 'the first of three long',
  'first-of-four': 'the first of four long',
  'stop-before-shifts': 'a stop before each shift',
};

const AID_WORDS: Readonly<Record<AidName, string>> = {
  'names-and-fingers': 'with names and fingers',
  'hard-fingers': 'fingers at the hard places only',
  names: 'names only; coming down, say them backwards',
  bare: 'the bare staff',
  tonic: 'only the tonic sounds',
  along: 'played along',
  'along-softer': 'played along, softer',
  'along-faint': 'played along, hardly heard',
  alone: 'alone',
};

const VOICES_WORDS: Readonly<Record<VoicesName, string>> = {
  lower: 'the lower note alone',
  upper: 'the upper note alone',
  both: 'both',
  'lower-stronger': 'both, the lower a little stronger',
};

const MATCHING_WORDS: Readonly<Record<MatchingName, string>> = {
  alone: 'hear it low down, then place it',
  'with-before': 'hear it, then from the note before',
  'in-rhythm': 'hear it, then in rhythm',
  unheard: 'without hearing it first',
};

/** The one thing that a step asks: "♩ = 72", "three notes to a bow". */
export function ladderStepWords(step: LadderStep, ladder: Ladder, bars: string): string {
  switch (ladder.kind) {
    case 'repeat':
      return step.beatsEach === 1 ? '' : `${beatsWords(step.beatsEach)} to each note`;
    case 'tempo':
      return `♩ = ${step.bpm}`;
    case 'halves':
      return `${beatsWords(step.beatsEach)} to each note`;
    case 'bows':
      return step.perBow === step.to - step.from + 1 ? 'all on one bow' : perBowWords(step.perBow ?? 1);
    case 'rhythms':
      return step.rhythm ? RHYTHM_WORDS[step.rhythm] : '';
    case 'growing':
      return bars;
    case 'aids':
      return step.aid ? AID_WORDS[step.aid] : '';
    case 'voices':
      return step.voices ? VOICES_WORDS[step.voices] : '';
    case 'parts':
      return REHEARSAL_STEPS.flatMap((name) => (name === step.part ? [REHEARSAL_WORDS[name]] : []))[0] ?? '';
    case 'matching':
      return MATCHING.flatMap(({ name }) => (name === step.part ? [MATCHING_WORDS[name]] : []))[0] ?? '';
    case 'placing':
      return 'place, listen, lift, place again';
  }
}

function beatsWords(beats: number): string {
  return beats === 0.5 ? 'half a beat' : counted(beats, 'beat');
}

/** How the hand is to come down at the speed of the shortest notes. */
export function handTimeWords(secondsANote: number): string {
  const time = seconds(secondsANote);
  return handTime(secondsANote) === 'build'
    ? `${time} a note: build the hand finger by finger`
    : `${time} a note: shape the hand above the string, let fingers fall together`;
}

export const PAUSE_WORDS: Readonly<Record<Pause, string>> = {
  long: 'A quarter of an hour: a good place to stop, shake out the arms and come back later.',
  over: 'The minutes for this are over: on to the next.',
  tired: 'Three in a row were not clean. Rest a little, or go back a step.',
};

export const REMINDERS = [
  'Bow hold loose',
  'Left wrist straight',
  'Thumb opposite the first finger, and loose',
  'Elbow free to swing',
  'Bow square to the string',
  'Contact point',
  'Shoulder low',
] as const;

/** To be ticked before a session in a position: what changes there for arm, hand and bow. */
export function checklistFor(position: number | 'thumb'): readonly string[] {
  if (position === 'thumb')
    return [
      'Thumb flat across two strings, its side on the string',
      'Elbow high, arm free of the body',
      'Bow nearer the bridge, slower and heavier',
      'Fingers round, each on its pad',
    ];
  if (position < 3)
    return ['Thumb opposite the first finger, and loose', 'Fingers round over the string', 'Wrist straight'];
  return [
    'Bow a little nearer the bridge, and fuller',
    'Pad of the finger full on the string, nails short',
    'Fingers closer together than below',
    'Wrist where your teacher wants it: off the body, or touching it',
  ];
}

const FINGERS = ['', 'first', 'second', 'third', 'fourth'];
const PLACES = [
  '',
  'first position',
  'second position',
  'third position',
  'fourth position',
  'fifth position and above',
];
const STRINGS = ['', 'the highest string', 'the second string', 'the third string', 'the lowest string'];
const DISTANCES = ['', 'one position', 'two positions', 'three positions and more'];

/** A kind of place: "third finger in third position", "shifts up by three positions and more". */
export function kindWords(kind: Kind): string {
  const [what, a, b] = kind.split('-');
  switch (what) {
    case 'finger':
      return `${FINGERS[Number(a)]} finger in ${PLACES[Number(b)]}`;
    case 'string':
      return `notes on ${STRINGS[Number(a)]}`;
    case 'up':
    case 'down':
      return `shifts ${what} by ${DISTANCES[Number(a)]}`;
    case 'shift':
      return a === 'same'
        ? 'shifts on one finger'
        : a === 'other'
          ? 'shifts from finger to finger'
          : 'shifts over an open string or across strings';
    case 'tempo':
      return `from ${a} beats a minute on`;
    case 'trap':
      return 're-placed fingers (low on one string, high on the next)';
    case 'extension':
      return 'notes with an opened hand';
    default:
      return 'thumb position';
  }
}

const share = (k: number, n: number) => `${number(k)} of ${number(n)}`;

/** A trend in one fraction and one word: "low in 20 of 22". */
export function trendWords({ kind, counts, side, often }: Trend): string {
  const [, low, high] = counts;
  const said = side
    ? `${side} in ${share(side === 'low' ? low : high, low + high)}`
    : `off in ${share(offOf(often?.counts ?? counts), (often?.counts ?? counts)[0])}`;
  return sentence(`${kindWords(kind)}: ${said}.`);
}

/** The rest that is known of it: how other places came out, and what has changed of late; empty where nothing is. */
export function trendMore({ often, mended }: Trend): string {
  const beside = often
    ? `Off in ${share(offOf(often.counts), often.counts[0])} tries; other places judged in the same way in ${share(offOf(often.others), often.others[0])}.`
    : '';
  const late = mended
    ? `Mended: off in ${share(offOf(mended.late), mended.late[0])} in the last two weeks, before in ${share(offOf(mended.before), mended.before[0])}.`
    : '';
  return [beside, late].filter((words) => words !== '').join(' ');
}

/** What is only counted yet: "too early to say: 7 of 9 low". */
export function earlyWords({ kind, counts: [, low, high] }: Pick<Trend, 'kind' | 'counts'>): string {
  const side = low >= high ? 'low' : 'high';
  return sentence(`${kindWords(kind)}: too early to say, ${share(Math.max(low, high), low + high)} ${side}.`);
}

/** How a shift lands that is always off on one side; null for what is no shift with a direction. */
function landsAt(kind: Kind, side: Trend['side']): 'short' | 'far' | null {
  if (!side || !/^(up|down)-/.test(kind)) return null;
  return kind.startsWith('up') === (side === 'low') ? 'short' : 'far';
}

/** What a trend asks for: a place that is always off the same way is moved, one that goes both ways is heard better. */
export function trendWork({ kind, side }: Trend): string {
  if (kind.startsWith('tempo'))
    return 'Stay below that tempo until three in a row are clean, then go up by small steps.';
  const lands = landsAt(kind, side);
  if (lands)
    return lands === 'short'
      ? 'It lands short: let arm and guide finger go a little farther, and listen before the bow does.'
      : 'It goes too far: let the guide finger stop a little earlier, and listen before the bow does.';
  if (side)
    return `A place to move: mostly ${side}. Set it a little ${side === 'low' ? 'higher' : 'lower'}, and check it against a string.`;
  return 'An ear to train: now low, now high. Hear the note first, then place it.';
}

/** A goal for a session, proposed from a trend. */
export function trendGoal({ kind, side }: Trend): string {
  const words = sentence(kindWords(kind));
  if (kind.startsWith('tempo')) return `${words}: only as fast as it is clean`;
  const lands = landsAt(kind, side);
  if (lands) return `${words}: a little ${lands === 'short' ? 'farther' : 'less far'}, heard first`;
  if (side) return `${words}: a little ${side === 'low' ? 'higher' : 'lower'}, heard first`;
  return `${words}: heard before it is played`;
}

/** Part of a day's work. */
export function weekItemWords({ kind, about, words }: WeekItem, plan: string | undefined): string {
  if (words) return words;
  switch (kind) {
    case 'tune':
      return 'Tune, and check octaves';
    case 'old':
      return `${plan ?? 'An old plan'}, once, clean`;
    case 'plan':
      return plan ?? 'The scale';
    case 'place':
      return about ? `One hard place: ${kindWords(about as Kind)}` : `The hardest place of ${plan ?? 'the scale'}`;
    case 'again':
      return `${plan ?? 'The scale'} again, a step up the ladder`;
    case 'cards':
      return 'Cards';
  }
}

export function everyWords(every: number): string {
  return every === 1
    ? 'each day'
    : every === 2
      ? 'every second day'
      : every === 3
        ? 'every third day'
        : `every ${every} days`;
}

/** Why a part of the day is there, in one line. */
export function weekItemWhy({ kind, about, every }: WeekItem): string {
  const turn = every > 1 ? ` ${sentence(everyWords(every))}.` : '';
  switch (kind) {
    case 'tune':
      return 'The ear first.';
    case 'plan':
      return `Assigned.${turn}`;
    case 'place':
      return about ? `Weakest in the log; places take turns.${turn}` : `The log says nothing yet.${turn}`;
    case 'again':
      return `The same ladder, one step on.${turn}`;
    case 'old':
      return 'Learned some weeks ago: it comes back so that it stays.';
    case 'cards':
      return 'Last, while the hands rest.';
  }
}
