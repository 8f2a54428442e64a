import { resolveSetup, type Instead, type PlanRequest, type Problem, type Rules } from '../core';
import { counted, countWords, listed, ordinal, sentence } from './grammar';
import { instrumentWords } from './instruments';
import { noteWords } from './notes';
import { barWords, positionName, stretchWords, stringWords } from './places';
import type { Speech } from './plans';
import { pitchesAt } from './reasons';

/*
 * Why there is no plan, and what would help.
 */

type Change = NonNullable<Problem['changes']>[number];

/** The sentence for a problem. */
export function problemWords(problem: Problem, request: PlanRequest, speech: Speech): string {
  const names = pitchesAt(speech.events, problem.at, speech);
  const on = instrumentWords(request.instrument);
  switch (problem.code) {
    case 'too-low': {
      const lowest = noteWords(resolveSetup(request).strings[0].name, speech.names);
      return `${names} lies below the lowest string (${lowest}) of this ${on}. Start higher, take fewer octaves down, or tune the string lower.`;
    }
    case 'too-high':
      return `${names} lies above the end of the fingerboard of this ${on}. Start lower or take fewer octaves.`;
    case 'not-together':
      return `${names} can’t be stopped together in one position on neighbouring strings of this ${on}. Leave a note out or change the voicing.`;
    case 'beyond-reach':
      return `${names} (${barWords(speech.place(problem.at))}) is beyond this hand here. ${problem.changes ? helpWords(problem, speech) : 'Lock a fingering here to see it all the same.'}`;
    case 'begins-later':
      return problem.missing === 1
        ? `The scale begins on ${names}: the double stop below would need two notes on one string of this ${on}.`
        : `The scale begins on ${names}: the ${countWords(problem.missing ?? 0)} double stops below would each need two notes on one string of this ${on}.`;
    case 'divisi': {
      const [event, on] = [speech.events[problem.at], barWords(speech.place(problem.at))];
      const left = 'left' in event && event.left ? noteWords(event.left, speech.names) : '';
      return `${names} and ${left} (${on}) are written for two players: no hand stops both on this ${instrumentWords(request.instrument)}. ${names} is fingered here.`;
    }
    case 'lock-over-same': {
      const [first, second] = (problem.locks ?? [problem.at, problem.at]).map((at) => barWords(speech.place(at)));
      return `The fingers put at ${first} and at ${second} differ, so these two notes are not fingered alike. Take one of them away and they are.`;
    }
    case 'out-of-rules':
      return `${brokenWords(problem, speech, request.rules)} ${helpWords(problem, speech)}`;
  }
}

function brokenWords({ at, fight, places = [] }: Problem, speech: Speech, rules: Rules | undefined): string {
  const note = (event: number) => `${pitchesAt(speech.events, event, speech)} (${barWords(speech.place(event))})`;
  const own = places
    .flatMap((n) => rules?.places?.[n] ?? [])
    .map((one) => stretchWords(speech.place, one.from, one.to));
  const have = own.length === 1 ? 'has rules of its own' : 'have rules of their own';
  const under = own.length > 0 ? ` ${sentence(listed(own))} ${have}.` : '';
  return fight
    ? `${note(fight[0])} and ${note(fight[1])} don’t go together: with what you put there, no hand gets from one to the other.${under}`
    : `${note(at)} can’t be played under these rules.${under}`;
}

function helpWords({ changes }: Problem, speech: Speech): string {
  return changes
    ? `What would help: ${changesWords(changes, speech)}.`
    : 'Nothing small helps: there is no fingering for this hand even without the rules.';
}

/** What another request would be: "one octave", "an octave lower", "on the D string". */
export function insteadWords({ material, rules }: Instead, { material: now }: PlanRequest, { names }: Speech): string {
  const octaves = material?.octaves === undefined ? [] : [`in ${counted(material.octaves, 'octave')}`];
  const tonic =
    material?.tonic === undefined || now.type === 'notes' ? [] : [tonicWords(material.tonic, now.tonic, names)];
  const strings = (rules?.strings ?? []).map((name) => `on the ${stringWords(name)}`);
  const open = rules?.openStrings === undefined ? [] : ['with open strings'];
  return [...octaves, ...tonic, ...strings, ...open].join(', ');
}

function tonicWords(tonic: string, now: string, names: Speech['names']): string {
  const pitchClass = (name: string) => name.replace(/-?\d+$/, '');
  const [to, from] = [tonic, now].map((name) => Number(/-?\d+$/.exec(name)?.[0]));
  if (pitchClass(tonic) === pitchClass(now)) return to < from ? 'an octave lower' : 'an octave higher';
  return `from ${noteWords(tonic, names)}`;
}

/** What would help, as far as one thing does: "allow the A string too". */
export function problemHelp({ changes = [] }: Problem, speech: Speech): string {
  return changesWords(changes, speech);
}

/** What would be changed: "unlock bar 2, beat 1", "allow the A string too, and …". */
export function changesWords(changes: readonly Change[], speech: Speech): string {
  return listed(changes.map((change) => changeWords(change, speech)));
}

function changeWords(change: Change, { instrument, place }: Speech): string {
  switch (change.kind) {
    case 'allow-open-strings':
      return `allow an open string at ${barWords(place(change.at))}`;
    case 'allow-little-finger':
      return `allow the little finger at ${barWords(place(change.at))}`;
    case 'allow-little-shifts':
      return 'allow the little finger to shift';
    case 'allow-extension':
      return `allow an extension at ${barWords(place(change.at))}`;
    case 'allow-harmonic':
      return `allow a harmonic at ${barWords(place(change.at))}`;
    case 'allow-fingers':
      return `allow the ${listed(change.fingers.map((finger) => `${ordinal(finger)} finger`))} at ${barWords(place(change.at))}`;
    case 'allow-positions': {
      const names = [...new Set(change.places.map(({ position }) => positionName(position, instrument)))];
      return `allow ${listed(names)} position from ${barWords(place(change.at))}`;
    }
    case 'allow-up-to':
      return `allow up to ${positionName(change.position, instrument)} position from ${barWords(place(change.at))}`;
    case 'unlock':
      return `unlock ${barWords(place(change.at))}`;
    case 'allow-again':
      return `allow again what was forbidden at ${barWords(place(change.at))}`;
    case 'allow-strings':
      return `allow the ${listed(change.strings.map(stringWords))} from ${barWords(place(change.at))}`;
    case 'allow-shifts':
      return `allow ${counted(change.most, 'shift')}`;
    case 'forgo-place':
      return `take away the rules for ${stretchWords(place, change.from, change.to)}`;
    case 'forgo-same':
      return `let ${stretchWords(place, change.from, change.to)} have fingers of its own`;
    case 'forgo-prepare':
      return `let the hand shift between ${barWords(place(change.from))} and ${barWords(place(change.to))}`;
    case 'forgo-visit':
      return 'leave out the position to be visited';
    case 'forgo-semitone-shifts':
      return 'let shifts arrive by other steps than a semitone';
    case 'forgo-patterns':
      return 'let the fingers lie in other patterns';
    case 'harmonic-at':
      return `touch the harmonic at ${barWords(place(change.at))} instead, the nearest note that has one`;
    case 'forgo-same-back':
      return 'come back down by other fingers';
  }
}
