import type { BarPlace, InstrumentName } from '../core';
import type { Expected, FoundReportCause, PerformedNote, Report, ReportCause, Unheard } from '../core/listening';
import { counted, mmFine, number } from './grammar';
import { printed } from './notes';
import { barWords, fingerWords, positionWords } from './places';

/*
 * What was heard, as a teacher says it.
 */

/** What the sentences about a take go by. */
export interface Listener {
  readonly instrument: InstrumentName;
  readonly expected: Expected;
  readonly place: (at: number) => BarPlace;
}

const wayOf = (mm: number) => (mm > 0 ? 'towards the bridge' : 'towards the nut');
const sharpOf = (cents: number) => (cents > 0 ? 'sharp' : 'flat');
const mmOff = (mm: number) => `${mmFine(Math.abs(mm))} ${wayOf(mm)}`;
const centsOf = (cents: number) => counted(Math.round(Math.abs(cents)), 'cent');

function causeWords(cause: ReportCause, { instrument, expected, place }: Listener): string {
  const string = (index: number) => printed(expected.setup.strings[index].name);
  switch (cause.cause) {
    case 'hand':
      return `your whole hand is ${mmOff(cause.mm)} in ${positionWords(cause.position, instrument)}`;
    case 'finger':
      return `${fingerWords(cause.finger)} stands ${mmOff(cause.mm)} wherever it plays`;
    case 'frame':
      return `the hand is ${mmFine(Math.abs(cause.mm))} too ${cause.mm > 0 ? 'wide' : 'narrow'} in ${positionWords(cause.position, instrument)}, from the first finger to the last`;
    case 'string':
      return `your ${string(cause.string)} string is ${centsOf(cause.cents)} ${sharpOf(cause.cents)}, not you`;
    case 'contact':
      return `on the ${string(cause.string)} string the pitch gives way by ${centsOf(cause.cents)} within the note: the bow presses`;
    case 'shift':
      return `the shift to ${barWords(place(cause.to))} lands ${cause.cents < 0 ? 'short' : 'far'} by ${mmFine(Math.abs(cause.mm))}, ${centsOf(cause.cents)}`;
    case 'a4':
      return `your A is ${centsOf(cause.cents)} ${sharpOf(cause.cents)}`;
  }
}

/** A cause in a sentence, with how many notes it rests on. */
export function foundCauseWords({ cause, tries, or }: FoundReportCause, listener: Listener): string {
  const [other] = or;
  const either = other ? `, or ${causeWords(other, listener)}` : '';
  const words = `${causeWords(cause, listener)}${either}`;
  const rests = cause.cause === 'shift' ? counted(tries, 'landing') : counted(tries, 'note');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)} (${rests}).`;
}

export const UNHEARD_WORDS: Readonly<Record<Unheard, string>> = {
  'too-short': 'The take is too short: play a few notes at least.',
  silence: 'Nothing was heard that could be a note. Check the microphone and its level, and play a little nearer.',
  'not-this-piece':
    'This is not the music of this plan, or too little of it was heard to follow. Begin at its first note.',
  'octave-off': 'This was played an octave off. Open the plan for your instrument, or play it where it is written.',
};

/** What is wrong with a file that was to be a take. */
export const WAV_TROUBLE_WORDS = {
  'not-a-wav': 'This is no WAV file. Save the take as WAV and open it again.',
  'broken-wav': 'This WAV file is damaged or packed in a way that cannot be read. Save it again as plain WAV.',
  'empty-wav': 'There is no sound in this WAV file. Record the take again.',
  'odd-rate': 'This WAV file has fewer than 8,000 or more than 192,000 samples a second. Save it at 44,100.',
} as const;

export const TAKE_FILE_WORDS = 'This file holds no sound that can be read. Save the take as WAV and open it again.';

/** Why nobody can be listened to, and what to do. */
export const MICROPHONE_WORDS = {
  'not-secure':
    'The browser lets a page listen only on this machine itself or over HTTPS. Open the address with https, or on the machine that runs Dove Path; the simulated player plays here too.',
  'no-microphone': 'There is no microphone. Plug one in and press the button again, or open a take from a file.',
  refused:
    'The browser was told not to let this page listen. Allow the microphone beside the address and press the button again.',
  'in-use': 'Another program holds the microphone. Close it there and press the button again.',
  lost: 'The microphone was taken away. What was heard up to then is kept.',
} as const;

const round = (value: number, digits: 0 | 1 | 2 = 1) => Number(number(value, digits));

const stopAnswer = ({ cents, mm }: { readonly cents?: number; readonly mm?: number }) => ({
  ...(cents === undefined ? {} : { cents: round(cents) }),
  ...(mm === undefined ? {} : { mm: round(mm) }),
});

/** What was heard as every door answers it. */
export function listenAnswer(report: Report, listener: Listener) {
  const name = (index: number) => listener.expected.setup.strings[index].name;
  const cause = (one: ReportCause): object => {
    switch (one.cause) {
      case 'hand':
      case 'frame':
        return { cause: one.cause, position: one.position, mm: round(one.mm) };
      case 'finger':
        return { cause: one.cause, finger: one.finger, mm: round(one.mm) };
      case 'string':
      case 'contact':
        return { cause: one.cause, string: name(one.string), cents: round(one.cents) };
      case 'shift':
        return { cause: one.cause, from: one.from, to: one.to, cents: round(one.cents), mm: round(one.mm) };
      case 'a4':
        return { cause: one.cause, cents: round(one.cents) };
    }
  };
  return {
    contract: 1,
    take: {
      seconds: round(report.seconds, 2),
      a4: round(report.a4, 1),
      strings: Object.fromEntries([...report.strings].map(([index, cents]) => [name(index), round(cents)])),
    },
    ...(report.unheard ? { unheard: { code: report.unheard, message: UNHEARD_WORDS[report.unheard] } } : {}),
    passes: report.passes.map(({ from, to, notes, shifts }) => ({
      from,
      to,
      notes: notes.map(({ at, heard, start, end, cents, mm, drift, vibrato, sure, stops }) => ({
        at,
        heard,
        ...(start === undefined || end === undefined ? {} : { start: round(start, 2), end: round(end, 2) }),
        ...(cents === undefined ? {} : { cents: round(cents) }),
        ...(mm === undefined ? {} : { mm: round(mm) }),
        ...(drift === undefined ? {} : { drift: round(drift) }),
        ...(vibrato ? { vibrato: { hz: round(vibrato.hz), cents: round(vibrato.cents, 0) } } : {}),
        ...(sure === undefined ? {} : { sure: round(sure, 2) }),
        ...(stops ? { stops: stops.map(stopAnswer) } : {}),
      })),
      shifts: shifts.map((one) => ({
        from: one.from,
        to: one.to,
        landing: round(one.landing, 0),
        settled: round(one.settled, 0),
        mm: round(one.mm),
        slid: one.slid,
      })),
    })),
    extra: report.extra.map(({ start, end, midi, after }) => ({
      start: round(start, 2),
      end: round(end, 2),
      midi: round(midi),
      after,
    })),
    causes: report.causes.map((one) => ({
      ...cause(one.cause),
      from: one.from,
      to: one.to,
      tries: one.tries,
      ...(one.or.length > 0 ? { or: one.or.map(cause) } : {}),
      message: foundCauseWords(one, listener),
    })),
  };
}

/** What was really played of a made-up take: each note and stop with the middle of its vibrato, in cents against its target. */
export function truthOf(notes: readonly PerformedNote[], { events }: Expected) {
  const targets = new Map(events.map(({ at, stops }) => [at, stops]));
  return {
    contract: 1,
    notes: notes.map(({ at, stop, start, end, cents }) => ({
      at,
      stop,
      start: round(start, 2),
      end: round(end, 2),
      cents: round(cents - (targets.get(at)?.[stop]?.cents ?? 0)),
    })),
  };
}
