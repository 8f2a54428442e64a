import type { InstrumentName, PlanRequest } from '../core';
import type { Path, PathStep, Skill, Unreachable } from '../core/path';
import { counted, countWords, listed, sentence } from './grammar';
import { materialWords, requestWords } from './material';
import { printedKey } from './notes';
import { instrumentWords } from './instruments';
import { barWords, positionName, stringWords } from './places';
import { speechOf } from './plans';
import { insteadWords, problemWords } from './problems';

/*
 * What a plan asks of a player, and what comes next, in words.
 */

const FINGERS = ['1', '2', '3', '4'];

/** "3 and 4 touch", "no two fingers touch"; with the thumb on the string from the thumb. */
function patternWords(gaps: string): string {
  const fingers = gaps.startsWith('T') ? ['the thumb', ...FINGERS] : FINGERS;
  const apart = gaps.replace('T', '').split('-').map(Number);
  const wide = apart.flatMap((semitones, at) =>
    semitones > 2 ? [`${fingers[at]} and ${fingers[at + 1]} are wide apart`] : [],
  );
  const said = [...touching(fingers, apart).map((run) => `${listed(run)} touch`), ...wide];
  return `the finger pattern ${gaps}: ${said.length > 0 ? listed(said) : 'no two fingers touch'}`;
}

/** Runs of fingers each of which lies a semitone from the next. */
function touching(fingers: readonly string[], apart: readonly number[]): string[][] {
  const runs: string[][] = [];
  apart.forEach((semitones, at) => {
    if (semitones !== 1) return;
    const last = runs.at(-1);
    if (last?.at(-1) === fingers[at]) last.push(fingers[at + 1]);
    else runs.push([fingers[at], fingers[at + 1]]);
  });
  return runs;
}

const KINDS: Readonly<Record<string, (finger: string) => string>> = {
  same: (finger) => `on the same finger, ${finger}`,
  old: (finger) => `led by the old finger, landing on ${finger}`,
  new: (finger) => `landing on ${finger}`,
  'open-string': (finger) => `over an open string, landing on ${finger}`,
  'across-strings': (finger) => `across strings, landing on ${finger}`,
};

const landing = (finger: string) => (finger === 'T' ? 'the thumb' : finger);

function shiftWords([way, size, kind, finger]: readonly string[]): string {
  const n = Number(size);
  const places =
    n === 0 ? 'within its position' : `of ${countWords(n)} ${n === 1 ? 'place' : 'places'}${n >= 5 ? ' or more' : ''}`;
  const how = KINDS[kind] as ((finger: string) => string) | undefined;
  return `a shift ${way} ${places}, ${how ? how(landing(finger)) : `landing on ${landing(finger)}`}`;
}

function signatureWords(fifths: number): string {
  if (fifths === 0) return 'a key without sharps or flats';
  const signs = Math.abs(fifths);
  const count = signs <= 5 ? countWords(signs) : ['six', 'seven'][signs - 6];
  return `${count ?? signs} ${fifths > 0 ? 'sharp' : 'flat'}${signs === 1 ? '' : 's'}`;
}

const NUMBERS: ReadonlyMap<string, string> = new Map([
  ['2', 'two'],
  ['3', 'three'],
  ['4', 'four'],
  ['6', 'six'],
  ['8', 'eight'],
  ['12', 'twelve'],
  ['16', 'sixteen or more'],
]);

const WHOLE: Readonly<Record<string, string>> = {
  thumb: 'thumb position',
  'thumb:enter': 'going into thumb position',
  'thumb:leave': 'coming out of thumb position',
  extension: 'an extension',
  'extension:forward': 'the hand opened forward',
  'extension:back': 'the hand opened back',
  contraction: 'the hand drawn together',
  'fourth-for-open': '4 in place of an open string',
  slide: 'one finger that slides a semitone',
  replaced: 'a finger placed again, low and high',
  skip: 'a crossing that skips a string',
  harmonic: 'a natural harmonic',
  plan: 'the goal',
};

const article = (word: string) => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`;

/** What a skill is, in a teacher's words; an id that is not known as it stands. */
export function skillWords(id: string, instrument: InstrumentName): string {
  const [kind, ...rest] = id.split(':');
  if (Object.hasOwn(WHOLE, id)) return WHOLE[id];
  switch (kind) {
    case 'pattern':
      return patternWords(rest[0]);
    case 'position':
      return `${positionName(Number(rest[0]), instrument)} position`;
    case 'string':
      return `the ${stringWords(rest[0])}`;
    case 'shift':
      return shiftWords(rest);
    case 'double': {
      const [low, high] = rest[1].split('-');
      return `${article(rest[0])} with ${landing(low)} and ${landing(high)}`;
    }
    case 'signature':
      return signatureWords(Number(rest[0]));
    case 'bow':
      return `${NUMBERS.get(rest[0]) ?? rest[0]} notes to a bow`;
    default:
      return id;
  }
}

export const skillsWords = (ids: readonly string[], instrument: InstrumentName) =>
  listed(ids.map((id) => skillWords(id, instrument)));

/** Of what a step leads to so many things are said. */
const MOST_LEADS = 3;

/** What a step is called: a scale by its name, fingers on one string, or notes out of the goal. */
export function stepName(request: PlanRequest): string {
  const { material, rules } = request;
  if (material.type !== 'notes') return materialWords(material);
  const locks = rules?.locks ?? [];
  const [first] = locks;
  const one = locks.every(({ string, position }) => string === first?.string && position === first.position);
  const fingers = [...new Set(locks.map(({ finger }) => finger))];
  const key = printedKey(material.key);
  if (first?.string && one && fingers.length > 1 && !fingers.includes(0))
    return `Fingers ${fingers[0]} ${fingers.length > 2 ? 'to' : 'and'} ${fingers[fingers.length - 1]} on the ${stringWords(first.string)}, ${key}`;
  return `${counted(material.notes.length, 'note')} out of the goal, ${key}`;
}

/** What a step is and what is new in it: "D major scale, one octave, violin. New: two sharps." */
function stepMessage({ request, new: fresh, review, leads }: PathStep): string {
  const { instrument } = request;
  const said = (label: string, ids: readonly string[]) =>
    ids.length > 0 ? `${label}: ${skillsWords(ids, instrument)}.` : '';
  return [
    `${stepName(request)}.`,
    fresh.length > 0 ? said('New', fresh) : 'Nothing new: it is the goal.',
    said('Comes round again', review),
    said('Leads to', leads.slice(0, MOST_LEADS)),
  ]
    .filter(Boolean)
    .join(' ');
}

/** Why a thing cannot be reached, and what comes nearest. */
export function unreachableWords({ id, request, problem, response, at }: Unreachable): string {
  const { instrument } = request;
  if (at !== undefined && response) {
    const place = barWords(speechOf(instrument, response).place(at));
    return `${sentence(skillWords(id, instrument))} is beyond this hand (${place} of the goal). Plan the goal without it, or for a smaller instrument.`;
  }
  if (!problem || !response)
    return `No major scale of one octave lies wholly in ${skillWords(id, instrument)} on this ${instrumentWords(instrument)}. Choose scales or a plan as the goal.`;
  const speech = speechOf(instrument, response);
  const nearest = (problem.instead ?? []).map((one) => insteadWords(one, request, speech)).filter(Boolean);
  const near = nearest.length > 0 ? ` What comes nearest: ${nearest[0]}.` : '';
  return `${requestWords(request)}: ${problemWords(problem, request, speech)}${near}`;
}

/** The skills of a plan, as the command line answers them. */
export function skillsAnswer({ instrument }: PlanRequest, skills: readonly Skill[]) {
  return { contract: 1, skills: skills.map(({ id, at }) => ({ id, words: skillWords(id, instrument), at })) };
}

/** A path, as the command line answers it. */
export function pathAnswer({ missing, steps, next, rest, provedBest, worseByAtMost, inOrder, unreachable }: Path) {
  const worded = (step: PathStep) => {
    const { request, new: fresh, review, leads } = step;
    return { request, new: fresh, review, leads, message: stepMessage(step) };
  };
  return {
    contract: 1,
    missing,
    steps: steps.map(worded),
    next: next.map(worded),
    rest,
    provedBest,
    worseByAtMost,
    inOrder,
    unreachable: unreachable.map((one) => ({ id: one.id, message: unreachableWords(one) })),
  };
}
