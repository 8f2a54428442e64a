import type { PhraseStart, Tempo } from '../vocabulary';
import type { Music, SoundingEvent } from './events';
import { atOneTempo, secondsPerBeat } from './tempo';

/*
 * Phrases: where one begins. A rest of a second or more parts the music for the hand too, whatever is said of phrases: it has time to be anywhere.
 */

/** A rest so long begins a phrase: a breath, and time to set the hand anew wherever it is wanted. */
const REST_SECONDS = 1;

/** Sums of thirds differ in the last bits. */
const EXACT = 1e-6;

/** What lies between two neighbouring sounding events. */
interface Between {
  /** Rests, in beats. */
  readonly rest: number;
  readonly doubleBar: boolean;
}

/** Of each sounding event what lies before it; nothing before the first. */
function before({ events }: Pick<Music, 'events'>): Between[] {
  const found: Between[] = [];
  let [rest, doubleBar] = [0, false];
  for (const event of events) {
    doubleBar ||= event.doubleBar === true;
    if (event.kind === 'rest') {
      rest += event.beats;
      continue;
    }
    found.push({ rest, doubleBar });
    [rest, doubleBar] = [0, false];
  }
  return found;
}

/**
 * The sounding events that begin a phrase, by their numbers among the sounding ones, with why. The first of all is not told.
 * @param music lengths in beats of the opening tempo
 */
export function phraseStarts(
  music: Pick<Music, 'events'>,
  sounding: readonly SoundingEvent[],
  secondsPerBeat: number,
): ReadonlyMap<number, PhraseStart> {
  const starts = new Map<number, PhraseStart>();
  before(music).forEach(({ rest, doubleBar }, t) => {
    const { phrase } = sounding[t];
    if (t === 0 || phrase === false) return;
    if (phrase) starts.set(t, 'given');
    else if (doubleBar) starts.set(t, 'double-bar');
    else if (isLong(rest, secondsPerBeat)) starts.set(t, 'rest');
  });
  return starts;
}

/** The events of a piece that begin a phrase, by their numbers. */
export function phraseMarks(
  { events, changes }: Pick<Music, 'events' | 'changes'>,
  tempo: Tempo | undefined,
): Set<number> {
  const timed = atOneTempo(events, changes, tempo?.bpm);
  const sounding = timed.filter((event): event is SoundingEvent => event.kind === 'sounding');
  return new Set(
    [...phraseStarts({ events: timed }, sounding, secondsPerBeat(tempo)).keys()].map((t) => sounding[t].at),
  );
}

/** The sounding events that a rest of a second or more goes before, by their numbers among the sounding ones. */
export function partStarts(music: Pick<Music, 'events'>, secondsPerBeat: number): ReadonlySet<number> {
  const starts = new Set<number>();
  before(music).forEach(({ rest }, t) => {
    if (t > 0 && isLong(rest, secondsPerBeat)) starts.add(t);
  });
  return starts;
}

const isLong = (beats: number, secondsPerBeat: number) => beats * secondsPerBeat >= REST_SECONDS - EXACT;
