import type { PositionNumber, PlanRequest } from '../vocabulary';
import type { OpenString, Setup } from '../instrument/setup';
import { spellInKey } from '../pitch/inkey';
import { keyAlteration, type Key } from '../pitch/key';
import { letterSteps, pitchName, spellAt } from '../pitch/pitch';
import { bestAlone } from '../planner/plan';
import { readKey } from './drills';
import { drillRequest, type DrillNote } from './drillNotes';
import { oneAfterAnother } from './series';

/*
 * Every finger pattern of a position, string by string: the first thing that is learned of it.
 */

/** Semitones above the open string in which the first finger of a position is looked for. */
const FARTHEST = 16;

/**
 * Each pattern up and down on each string, in a position.
 * @returns null where the position has none
 */
export function patternsInPosition(
  request: PlanRequest,
  setup: Setup,
  key: string,
  position: PositionNumber,
): PlanRequest | null {
  const read = readKey(key);
  // Where the hand goes by letters each finger has its own.
  const byLetters = setup.instrument.fingering.by === 'letters';
  const planned = (drill: PlanRequest) => bestAlone(drill)?.plans[0];
  const fits = (notes: readonly DrillNote[]): PlanRequest[] => {
    const drill = drillRequest(request, key, notes);
    return planned(drill) ? [drill] : [];
  };
  /** True where the first finger lies there in its own place, not reached for. */
  const liesThere = (note: DrillNote) => planned(drillRequest(request, key, [note]))?.steps[0].extended === false;
  const drillsFrom = (string: OpenString, first: number): PlanRequest[] => {
    const lowest = letterSteps(spellInKey(read, string.midi + first));
    const spelled = (midi: number, n: number) => (byLetters ? spellAt(lowest + n, midi) : spellInKey(read, midi));
    return setup.instrument.firstPatterns.flatMap(({ fingers, places }) => {
      const up = places.map((place, n): DrillNote => ({
        pitches: [pitchName(spelled(string.midi + first + place, n))],
        finger: fingers[n],
        string: string.name,
        position,
        ...(n === 0 ? { bar: true } : {}),
      }));
      const down = up.slice(0, -1).reverse();
      return fits([...up, ...down.map((note, n) => ({ ...note, bar: false, beats: n === down.length - 1 ? 2 : 1 }))]);
    });
  };
  const drills = setup.strings.flatMap((string) => {
    for (const first of firstFingers(read, string)) {
      const one: DrillNote = {
        pitches: [pitchName(spellInKey(read, string.midi + first))],
        finger: 1,
        string: string.name,
        position,
      };
      const found = liesThere(one) ? drillsFrom(string, first) : [];
      if (found.length > 0) return found;
    }
    return [];
  });
  return drills.length > 0 ? oneAfterAnother(drills) : null;
}

/** Where a first finger may lie, in semitones above the open string: notes of the key from the lowest up, then the others. */
function firstFingers(read: Key, string: OpenString): number[] {
  const inKey = (semitones: number) => {
    const pitch = spellInKey(read, string.midi + semitones);
    return keyAlteration(read, pitch.letter) === pitch.alteration;
  };
  const all = Array.from({ length: FARTHEST }, (_, n) => n + 1);
  return [...all.filter(inKey), ...all.filter((semitones) => !inKey(semitones))];
}
