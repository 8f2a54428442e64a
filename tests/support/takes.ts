import { aimFor, plan, type Fault, type InstrumentName, type Plan, type PlanRequest } from '../../src/core';
import {
  chances,
  expectedOf,
  listen,
  performed,
  bowedTake,
  type Chance,
  type Expected,
  type PerformedNote,
  type Report,
} from '../../src/core/listening';

/*
 * Made-up takes of random plans, with the truth beside them.
 */

export interface Take {
  readonly request: PlanRequest;
  readonly plan: Plan;
  readonly expected: Expected;
  readonly faults: readonly Fault[];
  readonly notes: readonly PerformedNote[];
}

const TONICS: Readonly<Record<InstrumentName, readonly string[]>> = {
  violin: ['G3', 'Ab3', 'A3', 'Bb3', 'C4', 'D4', 'Eb4', 'E4'],
  viola: ['C3', 'D3', 'Eb3', 'F3', 'G3', 'Ab3', 'A3'],
  cello: ['C2', 'D2', 'Eb2', 'F2', 'G2', 'Ab2', 'Bb2'],
  bass: ['E1', 'F1', 'G1', 'Ab1', 'A1', 'Bb1'],
};
export const INSTRUMENTS = ['violin', 'viola', 'cello', 'bass'] as const;
const pick = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance() * list.length)];

/** A random scale or arpeggio on an instrument. @param seconds how long each note is */
function somePlan(chance: Chance, seconds: number, instrument: InstrumentName = pick(chance, INSTRUMENTS)) {
  const tonic = pick(chance, TONICS[instrument]);
  const octaves = instrument === 'bass' ? 1 + Math.floor(chance() * 2) : 2;
  const material =
    chance() < 0.7
      ? ({
          type: 'scale',
          tonic,
          scale: pick(chance, ['major', 'harmonic-minor']),
          octaves,
          direction: 'updown',
        } as const)
      : ({ type: 'arpeggio', tonic, chord: pick(chance, ['major', 'minor']), octaves, direction: 'updown' } as const);
  const request: PlanRequest = {
    instrument,
    material,
    tempo: { bpm: Math.round(60 / seconds) },
    ...(chance() < 0.3 ? { rules: { openStrings: 'never' as const } } : {}),
    alternatives: 1,
    explain: 'nothing',
  };
  const response = plan(request);
  const [first] = response.plans;
  return first ? { request, plan: first, expected: expectedOf(request, response, first, aimFor('middle')) } : null;
}

/** A take of a random plan with what is wrong with it. */
export function someTake(
  seed: number,
  seconds: number,
  faultsFor: (expected: Expected, chance: Chance) => readonly Fault[],
  instrument?: InstrumentName,
): Take {
  for (let turn = 0; ; turn++) {
    const chance = chances(seed * 7919 + turn);
    const found = somePlan(chance, seconds, instrument);
    if (!found) continue;
    const faults = faultsFor(found.expected, chance);
    return { ...found, faults, notes: performed(found.expected, faults, chance) };
  }
}

export const RATE = 44_100;

/** What is heard of a take as it sounds. */
export function heardOf({ notes, faults, expected, plan: own }: Take, seed: number, voice = bowedTake): Report {
  const samples = voice(notes, { rate: RATE, faults, chance: chances(seed) });
  return listen(expected, own, samples, RATE);
}

/** What every made-up player has: a little scatter, vibrato, noise, a room. */
export const usual = (chance: Chance): Fault[] => [
  { fault: 'scatter', cents: 4 },
  ...(chance() < 0.6 ? [{ fault: 'vibrato' as const, hz: 4.8 + 1.6 * chance(), cents: 10 + 25 * chance() }] : []),
  { fault: 'noise', db: 20 },
  ...(chance() < 0.7 ? [{ fault: 'room' as const }] : []),
];
