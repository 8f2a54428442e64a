import type { Counted, Felt, PlanResponse, Reason } from '../core';
import { counted, listed } from './grammar';
import { noteWords } from './notes';
import { barWords, inPlace } from './places';
import { priceWords, type Speech } from './plans';

/*
 * Why an element of a plan is there.
 */

type Element = Extract<Reason['data'], { kind: 'only-way' }>['element'];

const ELEMENT_WORDS: Readonly<Record<Element, string>> = {
  shift: 'this shift',
  extension: 'this extension',
  'little-finger': 'the little finger here',
  'open-string': 'this open string',
};

const COUNTED_WORDS: Readonly<Record<Counted, readonly [one: string, many: string]>> = {
  shifts: ['more shift', 'more shifts'],
  extension: ['more extended note', 'more extended notes'],
  crossings: ['more string crossing', 'more string crossings'],
  landing: ['more landing off the first finger', 'more landings off the first finger'],
  fourth: ['more note on the little finger', 'more notes on the little finger'],
  open: ['more open string', 'more open strings'],
  return: ['more way back to learn', 'more ways back to learn'],
  reach: ['more stretch', 'more stretches'],
};

const FELT_WORDS: Readonly<Record<Felt, string>> = {
  travel: 'a longer or worse placed shift',
  landings: 'weaker landings',
  height: 'the hand further from home',
  colour: 'more changes of colour',
  slides: 'fingers sliding by semitones',
  frame: 'a less steady finger pattern',
  reach: 'wider spreads',
};

/** The sentence for a reason. */
export function reasonWords({ code, loss, data }: Reason, speech: Speech): string {
  switch (data.kind) {
    case 'no-place': {
      const note = `${pitchesAt(speech.events, data.at, speech)} (${barWords(speech.place(data.at))})`;
      const where = inPlace(data, speech.instrument);
      if (code === 'demand') return `The rules leave ${note} no place ${where}.`;
      if (code === 'range') return `There is no ${note} ${where}.`;
      return code === 'reach'
        ? `${note} is beyond this hand ${where}.`
        : `${note} lies only high up a lower string ${where}.`;
    }
    case 'only-way': {
      const note = pitchesAt(speech.events, data.at, speech);
      const than = ELEMENT_WORDS[data.element];
      return code === 'demand'
        ? `The rules leave ${note} no other way than ${than}.`
        : `There is no other way to play ${note} than ${than}.`;
    }
    case 'without': {
      const worse = data.worse.map(({ what, more }) => counted(more, ...COUNTED_WORDS[what]));
      const felt = data.felt ? FELT_WORDS[data.felt] : 'as good';
      const words = worse.length > 0 ? listed(worse) : felt;
      return `Without ${ELEMENT_WORDS[data.element]}: ${words} (${priceWords(loss ?? 0)}).`;
    }
  }
}

/** The sentences for several reasons, one after the other. */
export function reasonsWords(reasons: readonly Reason[], speech: Speech): string {
  return reasons.map((reason) => reasonWords(reason, speech)).join(' ');
}

/** What sounds at an event: "C♯6", "D4 and F♯4". */
export function pitchesAt(
  events: PlanResponse['events'],
  at: number,
  { names }: Pick<Speech, 'names'>,
): string {
  const event = events[at];
  return event && 'pitches' in event ? listed(event.pitches.map((name) => noteWords(name, names))) : '';
}
