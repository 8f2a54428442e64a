import { centsPerMm } from '../instrument/geometry';
import type { Plan } from '../vocabulary';
import { causesIn, effectOf, type Cause, type Evidence, type FoundCause } from './causes';
import type { Expected, ExpectedEvent, ExpectedStop } from './expected';
import { median } from './middle';
import { pitchFrames, type Frames } from './pitchFrames';
import { hasDoubleStops, hearingOf } from './pitchSettings';
import { soundingOf, stopsHeard, type Sounding } from './stopsHeard';
import { takeNotes, type ExtraNote, type HeardNote, type TakeNotes } from './takeNotes';

/*
 * What was heard of a take: the player's A, the passes with every note, the shifts as they landed, the causes.
 */

type HeardVerdict = 'in' | 'low' | 'high' | 'wrong' | 'missed';

export interface ReportNote {
  readonly at: number;
  readonly heard: HeardVerdict;
  readonly start?: number;
  readonly end?: number;
  /** Against the target: cents, and mm at its place. */
  readonly cents?: number;
  readonly mm?: number;
  /** Cents a second. */
  readonly drift?: number;
  readonly vibrato?: { readonly hz: number; readonly cents: number };
  /** 0 to 1. */
  readonly sure?: number;
  /** Of a double stop each tone, low to high; nothing of one that cannot be told from the others. */
  readonly stops?: readonly { readonly cents?: number; readonly mm?: number }[];
}

interface ReportShift {
  readonly from: number;
  readonly to: number;
  /** Cents as it landed and once it had settled, mm of what it landed by. */
  readonly landing: number;
  readonly settled: number;
  readonly mm: number;
  readonly slid: boolean;
}

interface ReportPass {
  readonly from: number;
  readonly to: number;
  readonly notes: readonly ReportNote[];
  readonly shifts: readonly ReportShift[];
}

/** A cause of the report: also a shift that lands beside its place, and the A of the take itself. */
export type ReportCause =
  | Cause
  | { readonly cause: 'shift'; readonly from: number; readonly to: number; readonly cents: number; readonly mm: number }
  | { readonly cause: 'a4'; readonly cents: number };

export interface FoundReportCause {
  readonly cause: ReportCause;
  readonly from: number;
  readonly to: number;
  readonly tries: number;
  readonly or: readonly ReportCause[];
}

/** Why nothing can be told. */
export type Unheard = 'too-short' | 'silence' | 'not-this-piece' | 'octave-off';

export interface Report {
  readonly seconds: number;
  /** Hertz. */
  readonly a4: number;
  /** Cents by which an open string is mistuned, by its index. */
  readonly strings: ReadonlyMap<number, number>;
  readonly passes: readonly ReportPass[];
  readonly extra: readonly ExtraNote[];
  readonly causes: readonly FoundReportCause[];
  readonly unheard?: Unheard;
}

export interface Listening {
  /** Hertz of A where it is given. */
  readonly a4?: number;
}

/** A take shorter than this says nothing, in seconds. */
const LEAST_TAKE = 0.3;
/** Less of the sounding time explained by the plan is another piece; and so are many short passes. */
const LEAST_EXPLAINED = 0.5;
const NOTES_A_PASS = 3;
/** A larger share of notes an octave off is the player's. */
const MOST_FOLDED = 0.25;
const SHORT_PASSES = 6;
/** Open strings that agree within so many cents are tuned together. */
const AGREE = 4;
/** A string off by so much is mistuned; an A off by so much may be the hand. */
const MISTUNED = 6;
/** Stopped notes that it takes to speak of the hand. */
const LEAST_FOR_HAND = 5;
const WRONG = 70;
/** A landing beside its place by so much was not landed on, where the notes after it are true within so much. */
const LANDED = 13;
const TRUE = 9;

/** Listens to a take. @param samples one channel @param rate samples a second */
export function listen(
  expected: Expected,
  plan: Plan,
  samples: Float32Array,
  rate: number,
  given: Listening = {},
): Report {
  const seconds = samples.length / rate;
  if (seconds < LEAST_TAKE || expected.events.length === 0) return nothing(seconds, 'too-short');
  const settings = hearingOf(expected, rate);
  const frames = pitchFrames(samples, rate, settings);
  const sounding = hasDoubleStops(expected.events) ? soundingOf(samples, rate) : undefined;
  const window = (settings.window * settings.decimate) / rate;
  return reportOf(expected, plan, frames, { seconds, window, ...given, ...(sounding ? { sounding } : {}) });
}

const nothing = (seconds: number, unheard: Unheard): Report => ({
  seconds,
  a4: 440,
  strings: new Map(),
  passes: [],
  extra: [],
  causes: [],
  unheard,
});

interface Heard {
  readonly seconds: number;
  readonly window: number;
  /** Where there are double stops. */
  readonly sounding?: Sounding;
}

/** What was heard, from its frames. */
function reportOf(
  expected: Expected,
  plan: Plan,
  frames: Frames,
  { seconds, window, a4, sounding }: Listening & Heard,
): Report {
  const givenCents = a4 === undefined ? 0 : 1200 * Math.log2(a4 / 440);
  const first = takeNotes(expected.events, frames, window, givenCents, sounding);
  const problem = notThis(first);
  if (problem) return nothing(seconds, problem);
  const strings = openStrings(first, expected);
  const tuned = a4 === undefined ? tuning(strings, first) : { cents: givenCents, both: false, forCauses: givenCents };
  // Where A is far off, where the notes are is found once more.
  const taken =
    Math.abs(tuned.cents - givenCents) > MISTUNED
      ? takeNotes(expected.events, frames, window, tuned.cents, sounding)
      : first;
  const off = (note: HeardNote) => note.cents - tuned.cents;
  const found = causesIn(evidenceOf(taken, expected, tuned.forCauses), expected);
  const passes = taken.passes.map((pass) => passOf(pass, expected, plan, found, { off, a: tuned.cents, sounding }));
  const mistuned = [...strings].flatMap(([string, cents]) => {
    const own = cents - tuned.cents;
    return Math.abs(own) >= MISTUNED ? [[string, own] as const] : [];
  });
  return {
    seconds,
    a4: 440 * 2 ** (tuned.cents / 1200),
    strings: new Map(mistuned),
    passes,
    extra: taken.extra,
    causes: [...(tuned.both ? withA(taken, expected, tuned.cents, found) : found.map(asReport)), ...landings(passes)],
  };
}

const asReport = ({ cause, from, to, tries, or }: FoundCause): FoundReportCause => ({ cause, from, to, tries, or });

/** Why the take is not told; undefined where it is. */
function notThis({ passes, explained }: TakeNotes): Unheard | undefined {
  const notes = passes.flat();
  if (notes.length === 0) return 'silence';
  const short = passes.filter((pass) => pass.length <= NOTES_A_PASS).length;
  const wrong = notes.filter((note) => note.wrong).length;
  // A detector is an octave off now and then; a player is for a whole stretch.
  if (notes.filter(({ folded, wrong: other }) => folded && !other).length > MOST_FOLDED * notes.length)
    return 'octave-off';
  if (explained < LEAST_EXPLAINED || short >= SHORT_PASSES || wrong > notes.length / 3) return 'not-this-piece';
  return undefined;
}

/** Cents of each open string that was heard, A at 440 Hz. */
function openStrings({ passes }: TakeNotes, { events }: Expected): Map<number, number> {
  const found = new Map<number, number[]>();
  for (const note of passes.flat()) {
    const { stops } = events[note.event];
    if (note.wrong || stops.length > 1 || !stops[0].open || Math.abs(note.cents) >= WRONG) continue;
    found.set(stops[0].string, [...(found.get(stops[0].string) ?? []), note.cents]);
  }
  return new Map([...found].map(([string, cents]) => [string, median(cents)]));
}

interface Tuned {
  /** Cents of A from 440 Hz. */
  readonly cents: number;
  /** True where it may as well be the hand. */
  readonly both: boolean;
  /** The A that causes are looked for by: a middle of all notes near 440 is as likely pulled there by what is off. */
  readonly forCauses: number;
}

/** The player's A: by the largest group of open strings that agree; with fewer than two by all notes, which may as well be the hand. */
function tuning(strings: ReadonlyMap<number, number>, { passes }: TakeNotes): Tuned {
  const open = [...strings.values()].sort((a, b) => a - b);
  if (open.length >= 2) {
    const groups = open.map((one) => open.filter((other) => other >= one && other - one <= AGREE));
    const most = Math.max(...groups.map(({ length }) => length));
    const middles = groups.filter(({ length }) => length === most).map(median);
    const cents = middles.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
    return { cents, both: false, forCauses: cents };
  }
  const all = passes
    .flat()
    .flatMap((note) => (note.wrong || note.several || Math.abs(note.cents) >= WRONG ? [] : [note.cents]));
  const cents = median(all);
  const both = Math.abs(cents) >= MISTUNED;
  return { cents, both, forCauses: both ? cents : 0 };
}

/** What the causes are looked for in: single notes in their place, A taken out. */
function evidenceOf({ passes }: TakeNotes, { events }: Expected, a: number): Evidence[] {
  return passes.flat().flatMap((note): Evidence[] => {
    const event = events[note.event];
    const [stop] = event.stops;
    const cents = note.cents - a;
    if (note.wrong || event.stops.length > 1 || Math.abs(cents) >= WRONG) return [];
    return [{ event, stop, cents, sag: note.middle.slope * (note.end - note.start) }];
  });
}

/**
 * Where A is only heard from stopped notes and stands far off, it may be the hand as well: of both readings the one with fewer causes is told, and the
 * other named beside it.
 */
function withA(taken: TakeNotes, expected: Expected, a: number, found: readonly FoundCause[]): FoundReportCause[] {
  const evidence = evidenceOf(taken, expected, 0);
  const byHand = causesIn(evidence, expected);
  const [first, ...others] = byHand.map(asReport);
  if (first && byHand.length <= found.length + 1)
    return [{ ...first, or: [...first.or, { cause: 'a4', cents: a }] }, ...others];
  const hand = wholeHand(evidence, expected, a);
  return [...(hand ? [hand] : []), ...found.map(asReport)];
}

/** The hand that would be off where A is true. */
function wholeHand(evidence: readonly Evidence[], { setup }: Expected, a: number): FoundReportCause | undefined {
  const counts = new Map<string, Evidence[]>();
  for (const one of evidence.filter(({ stop }) => !stop.open))
    counts.set(String(one.event.position), [...(counts.get(String(one.event.position)) ?? []), one]);
  const own = [...counts.values()].reduce((most, one) => (one.length > most.length ? one : most), []);
  if (own.length < LEAST_FOR_HAND) return undefined;
  const [{ event }] = own;
  const mm = a / median(own.map(({ stop }) => centsPerMm(setup.lengthMm, stop.mm)));
  const at = own.map((one) => one.event.at);
  return {
    cause: { cause: 'hand', position: event.position, first: event.first, mm },
    or: [{ cause: 'a4', cents: a }],
    from: Math.min(...at),
    to: Math.max(...at),
    tries: own.length,
  };
}

/** How notes are measured. */
interface Measured {
  readonly off: (note: HeardNote) => number;
  /** Cents of A from 440 Hz. */
  readonly a: number;
  readonly sounding: Sounding | undefined;
}

function passOf(
  pass: readonly HeardNote[],
  { events, setup }: Expected,
  plan: Plan,
  causes: readonly FoundCause[],
  { off, a, sounding }: Measured,
): ReportPass {
  const [first, last] = [pass[0].event, pass[pass.length - 1].event];
  const byEvent = new Map(pass.map((note) => [note.event, note]));
  const notes = events.slice(first, last + 1).map((event, n): ReportNote => {
    const note = byEvent.get(first + n);
    const [stop] = event.stops;
    if (!note) return { at: event.at, heard: 'missed' };
    if (event.stops.length > 1 && sounding && !note.wrong)
      return doubleStop(event, note, setup.lengthMm, { sounding, a });
    const cents = off(note);
    const { swing, hz, slope, spread } = note.middle;
    return {
      at: event.at,
      heard: note.wrong || Math.abs(cents) >= WRONG ? 'wrong' : verdict(cents, stop),
      start: note.start,
      end: note.end,
      cents,
      mm: stop.open ? 0 : cents / centsPerMm(setup.lengthMm, stop.mm),
      drift: slope,
      ...(swing > 0 ? { vibrato: { hz, cents: swing } } : {}),
      sure: Math.max(0, Math.min(1, 1.1 - spread / 25)),
    };
  });
  const shifts = plan.shifts.flatMap(({ from, to }): ReportShift[] => {
    const index = events.findIndex(({ at }) => at === to);
    const note = byEvent.get(index);
    if (!note || note.wrong || note.landing === undefined) return [];
    const event = events[index];
    const [stop] = event.stops;
    if (stop.open) return [];
    // What is a cause of its own is no fault of the shift.
    const known = effectOf(causes, { event, stop }, setup.lengthMm);
    const landing = note.landing + off(note) - note.cents - known;
    const later = laterIn(index, events, byEvent).map((one) => {
      const other = events[one.event];
      return off(one) - effectOf(causes, { event: other, stop: other.stops[0] }, setup.lengthMm);
    });
    if (later.length > 0 && Math.abs(median(later)) > TRUE) return [];
    if (later.length === 0 && !note.slid) return [];
    return [
      {
        from,
        to,
        landing,
        settled: off(note) - known,
        mm: landing / centsPerMm(setup.lengthMm, stop.mm),
        slid: note.slid,
      },
    ];
  });
  return { from: events[first].at, to: events[last].at, notes, shifts };
}

/** Several tones together: in tune where each is. */
function doubleStop(
  { at, stops }: ExpectedEvent,
  { start, end }: HeardNote,
  lengthMm: number,
  { sounding, a }: { readonly sounding: Sounding; readonly a: number },
): ReportNote {
  const pitches = stops.map(({ midi, cents }) => 100 * midi + cents + a);
  const found = stopsHeard(sounding, pitches, start, end);
  const told = found.flatMap((cents, n) => (cents === undefined ? [] : [{ cents, stop: stops[n] }]));
  const verdicts = told.map(({ cents, stop }) => verdict(cents, stop));
  return {
    at,
    heard: verdicts.find((one) => one !== 'in') ?? 'in',
    start,
    end,
    stops: found.map((cents, n) =>
      cents === undefined ? {} : { cents, mm: stops[n].open ? 0 : cents / centsPerMm(lengthMm, stops[n].mm) },
    ),
  };
}

const verdict = (cents: number, { toleranceCents }: ExpectedStop): HeardVerdict =>
  Math.abs(cents) <= toleranceCents ? 'in' : cents < 0 ? 'low' : 'high';

/** The notes after one that are played before the hand moves again. */
function laterIn(index: number, events: Expected['events'], heard: ReadonlyMap<number, HeardNote>): HeardNote[] {
  const later: HeardNote[] = [];
  for (let n = index + 1; n < events.length && !events[n].landing; n++) {
    const note = heard.get(n);
    if (note && !note.wrong && !events[n].stops[0].open && events[n].stops.length === 1) later.push(note);
  }
  return later;
}

/** Shifts that landed beside their place, over all passes. */
function landings(passes: readonly ReportPass[]): FoundReportCause[] {
  const all = new Map<number, ReportShift[]>();
  for (const { shifts } of passes) for (const shift of shifts) all.set(shift.to, [...(all.get(shift.to) ?? []), shift]);
  return [...all.values()].flatMap((shifts): FoundReportCause[] => {
    const [{ from, to }] = shifts;
    const cents = median(shifts.map(({ landing }) => landing));
    const mm = median(shifts.map((shift) => shift.mm));
    if (Math.abs(cents) < LANDED) return [];
    return [{ cause: { cause: 'shift', from, to, cents, mm }, from, to, tries: shifts.length, or: [] }];
  });
}
