import type { Setup } from '../instrument/setup';
import type { NoteSpec, PositionNumber, Lock, PlanRequest } from '../vocabulary';
import { midiOf, parsePitch, pitchName } from '../pitch/pitch';
import { bestAlone } from '../planner/plan';
import { sameFingerSeries, type Series } from './drills';
import { bareRequest } from './drillNotes';

/*
 * Series that go over the whole instrument: one finger on every string, and scales that stay in one position.
 */

/** Several drills as one, a bar line between them. */
export function oneAfterAnother(drills: readonly PlanRequest[]): PlanRequest {
  const [first] = drills;
  const notes: NoteSpec[] = [];
  const locks: Lock[] = [];
  for (const { material, rules } of drills) {
    if (material.type !== 'notes') continue;
    const from = notes.length;
    notes.push(...material.notes.map((note, at) => (at === 0 && from > 0 ? { ...note, bar: true as const } : note)));
    locks.push(...(rules?.locks ?? []).map((lock) => ({ ...lock, at: lock.at + from })));
  }
  const key = first.material.type === 'notes' ? first.material.key : undefined;
  return { ...first, material: { type: 'notes', key, notes }, rules: { locks } };
}

/** One finger shifting up the scale on every string, from the lowest on. */
export function sameFingerOnAll(request: PlanRequest, setup: Setup, series: Omit<Series, 'string'>): PlanRequest {
  return oneAfterAnother(
    setup.strings.map(({ name }) => sameFingerSeries(request, setup, { ...series, string: name })),
  );
}

const OPEN_STRINGS = ['never', 'free'] as const;

/** A scale, or its broken thirds, in one position. */
export interface PositionDrill {
  /** Such as "D major". */
  readonly key: string;
  readonly position: PositionNumber;
  readonly figure: 'scale' | 'broken-thirds';
}

/**
 * A scale up and down in one position: as many octaves as the position has, from its lowest tonic; with open strings only where it has fewer
 * without.
 * @returns null where the position has not one octave of it
 */
export function onePositionDrill(
  request: PlanRequest,
  setup: Setup,
  { key, position, figure }: PositionDrill,
): PlanRequest | null {
  const [tonic, mode] = key.split(' ');
  const low = setup.strings[0].midi;
  const tonics = Array.from({ length: 8 }, (_, octave) => parsePitch(`${tonic}${octave}`)).filter(
    (pitch) => pitch !== null && midiOf(pitch) >= low,
  );
  const ways = [3, 2, 1].flatMap((octaves) => OPEN_STRINGS.map((openStrings) => ({ octaves, openStrings })));
  for (const { octaves, openStrings } of ways)
    for (const pitch of tonics) {
      if (!pitch) continue;
      const material = { type: figure, tonic: pitchName(pitch), scale: mode, octaves, direction: 'updown' } as const;
      const rules = { positions: { only: [position] }, openStrings } as const;
      const drill: PlanRequest = { ...bareRequest(request), material, rules };
      if (bestAlone(drill)) return drill;
    }
  return null;
}
