import type { Counted, Felt, HandPlace, InstrumentName, Moment, PlanResponse, Reason } from '../core';
import { counted, listed } from './grammar';
import { noteWords } from './notes';
import { barWords, positionWords, stringWords } from './places';
import type { Speech } from './plans';

/*
 * Why an element of a plan is there.
 */

type Data = Reason['data'];
type Element = Extract<Data, { kind: 'only-way' }>['element'];

const ELEMENT_WORDS: Readonly<Record<Element, string>> = {
  extension: 'this extension',
  contraction: 'drawing the hand together here',
  'little-finger': 'the little finger here',
  'open-string': 'this open string',
  thumb: 'the thumb here',
  stay: 'staying up here',
  string: 'keeping to the string here',
};

const COUNTED_WORDS: Readonly<Record<Counted, readonly [one: string, many: string]>> = {
  shifts: ['more shift', 'more shifts'],
  extension: ['more note with the hand opened', 'more notes with the hand opened'],
  stretch: ['more stretch for this hand', 'more stretches for this hand'],
  crossings: ['more string crossing', 'more string crossings'],
  fourth: ['more note on the little finger', 'more notes on the little finger'],
  slides: ['more finger sliding a semitone', 'more fingers sliding a semitone'],
};

const FELT_WORDS: Readonly<Record<Felt, string>> = {
  height: 'the hand higher on the neck',
  colour: 'more changes of colour',
  frame: 'a less steady finger pattern',
  reach: 'wider spreads',
};

const MOMENT_WORDS: Readonly<Record<Moment, string>> = {
  'during-open': 'while an open string rings or in a rest',
  semitone: 'by a semitone only, where there is least to miss',
  'first-finger': 'onto the first finger',
  'turning-point': 'where the line turns',
  'change-of-bow': 'as the bow changes',
  'on-the-beat': 'on the beat',
  nearer: 'the shorter way',
};

/** The sentence for a reason. */
export function reasonWords({ code, data }: Reason, speech: Speech): string {
  switch (data.kind) {
    case 'asked':
      return 'The brief asks for it.';
    case 'goes-on': {
      const note = `${pitchesAt(speech.events, data.at, speech)} (${barWords(speech.place(data.at))})`;
      const opened = data.frame && data.frame !== 'closed' ? `, opened ${data.frame},` : '';
      const here = `${hereWords(data, speech.instrument)}${opened}`;
      if (code === 'demand') return `The line goes on to ${note}, which the rules keep out of ${here}.`;
      if (code === 'range') return `The line goes on to ${note}, which ${here} does not have.`;
      return code === 'stretch'
        ? `The line goes on to ${note}, which is beyond this hand in ${here}.`
        : `The line goes on to ${note}, which ${here} has only high up a lower string.`;
    }
    case 'both-slide':
      return 'Both fingers go along their strings together, so the hand goes with them.';
    case 'staying':
      return `Staying in ${hereWords(data, speech.instrument)} would take ${worseWords(data)}.`;
    case 'moment': {
      const good = listed(data.good.map((moment) => MOMENT_WORDS[moment]));
      const other = barWords(speech.place(data.other.at));
      const [mm, otherMm] = (data.mm ?? []).map(Math.round);
      const farther = mm === undefined ? '' : `go ${otherMm} mm instead of ${mm}`;
      const lands = data.good.includes('first-finger')
        ? `land on ${data.other.finger === 0 ? 'an open string' : data.other.finger === 'T' ? 'the thumb' : data.other.finger}`
        : '';
      const instead = [lands, farther].filter((words) => words !== '').join(' and ');
      return `Here the hand moves ${good}${instead ? `; at ${other} it would ${instead}` : ''}.`;
    }
    case 'after-rest':
      return 'The rest leaves time to set the hand anew.';
    case 'sung':
      return `The line stays on the ${stringWords(data.string)} for the phrase, up to ${barWords(speech.place(data.to))}.`;
    case 'again':
      return `The music comes again and keeps the fingers it had at ${barWords(speech.place(data.at))}.`;
    case 'sequence':
      return `The figure keeps the fingers it had at ${barWords(speech.place(data.at))}.`;
    case 'elsewhere':
      return `At ${barWords(speech.place(data.at))} it would take ${worseWords(data)}.`;
    case 'passage': {
      const end = barWords(speech.place(data.to));
      return data.frame === 'octaves'
        ? `Octaves keep one frame: the hand moves for each new one, up to ${end}.`
        : `Under the thumb the frame is kept: the hand moves for each double stop, up to ${end}.`;
    }
    case 'only-way': {
      const note = pitchesAt(speech.events, data.at, speech);
      const than = ELEMENT_WORDS[data.element];
      return code === 'demand'
        ? `The rules leave ${note} no other way than ${than}.`
        : `There is no other way to play ${note} than ${than}.`;
    }
    case 'without':
      return `Without ${ELEMENT_WORDS[data.element]}: ${worseWords(data)}.`;
  }
}

/** Where the hand leaves from; with the thumb up it is one place of many. */
function hereWords({ position }: HandPlace, instrument: InstrumentName): string {
  return position === 'thumb' ? 'this place of the thumb' : positionWords(position, instrument);
}

function worseWords({ worse, felt }: Pick<Extract<Data, { kind: 'without' }>, 'worse' | 'felt'>): string {
  if (worse.length === 0 && felt) return FELT_WORDS[felt];
  return listed(worse.map(({ what, more }) => counted(more, ...COUNTED_WORDS[what])));
}

/** The sentences for several reasons, one after the other. */
export function reasonsWords(reasons: readonly Reason[], speech: Speech): string {
  return reasons.map((reason) => reasonWords(reason, speech)).join(' ');
}

/** What sounds at an event: "C♯6", "D4 and F♯4". */
export function pitchesAt(events: PlanResponse['events'], at: number, { names }: Pick<Speech, 'names'>): string {
  const event = events[at];
  return event && 'pitches' in event ? listed(event.pitches.map((name) => noteWords(name, names))) : '';
}
