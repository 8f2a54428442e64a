import { instrumentRecord } from '../instrument/instruments';
import type { Clef, InstrumentName, ResponseEvent } from '../vocabulary';
import { letterSteps, parsePitch, type Pitch } from '../pitch/pitch';
/** Middle line of each clef in letter steps above C0. */
export const MIDDLE_LINES: Readonly<Record<Clef, number>> = { treble: 34, alto: 28, tenor: 26, bass: 22 };

/** Letter steps from the middle line to where ledger lines begin. */
const STAFF_HALF = 5;
/** What a change of clef is worth in ledger steps: it is made for a run of notes, not for one. */
const CHANGE = 9;
/** To begin in another than the home clef: a little less, so that none is changed after a note or two. */
const BEGIN_ELSEWHERE = 7;
/** A note that needs no ledger line in the home clef is read there more readily. */
const AWAY_FROM_HOME = 0.5;

/** The pitch as the player reads it. */
export function written(name: string, instrument: InstrumentName): Pitch {
  const pitch = parsePitch(name) as Pitch;
  return { ...pitch, octave: pitch.octave + instrumentRecord(instrument).writtenOctavesUp };
}

/**
 * The clef for each event: as few ledger lines as can be had with as few changes as are worth it.
 * @param choices the clefs that may be used, the home clef first
 */
export function clefsFor(
  events: readonly ResponseEvent[],
  instrument: InstrumentName,
  choices: readonly Clef[] = instrumentRecord(instrument).clefs,
): Clef[] {
  let costs: number[] = choices.map((_, at) => (at === 0 ? 0 : BEGIN_ELSEWHERE));
  const cameFrom: number[][] = [];
  for (const event of events) {
    const ledgers = choices.map((clef) => ledgerSteps(event, clef, instrument));
    const away = ledgers[0] === 0 ? AWAY_FROM_HOME : 0;
    const best = choices.map((_, to) =>
      costs.reduce((low, cost, from) => (cost + change(from, to) < costs[low] + change(low, to) ? from : low), to),
    );
    cameFrom.push(best);
    costs = best.map((from, to) => costs[from] + change(from, to) + ledgers[to] + (to === 0 ? 0 : away));
  }
  const clefs: Clef[] = new Array(events.length);
  let at = costs.indexOf(Math.min(...costs));
  for (let n = events.length - 1; n >= 0; n--) {
    clefs[n] = choices[at];
    at = cameFrom[n][at];
  }
  return clefs;
}

/** A student on an instrument, with the clefs that they read there. */
interface Reader {
  readonly plays: { readonly instrument: InstrumentName };
  readonly clefs: readonly Clef[];
}

/** The clef for each event as the student reads it, if it is their instrument. */
export function clefsRead(
  events: readonly ResponseEvent[],
  instrument: InstrumentName,
  student: Reader | undefined,
): Clef[] {
  return clefsFor(events, instrument, student?.plays.instrument === instrument ? student.clefs : undefined);
}

function change(from: number, to: number): number {
  return from === to ? 0 : CHANGE;
}

function ledgerSteps(event: ResponseEvent, clef: Clef, instrument: InstrumentName): number {
  if (!('pitches' in event)) return 0;
  const away = event.pitches.map((name) => Math.abs(letterSteps(written(name, instrument)) - MIDDLE_LINES[clef]));
  return Math.max(0, Math.max(...away) - STAFF_HALF);
}
