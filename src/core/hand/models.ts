import type { InstrumentKind } from '../instrument/instruments';
import type { Setup } from '../instrument/setup';
import type { Key } from '../pitch/key';
import type { DemandedPitch, HandModel, PositionLabel } from './hold';
import { letterHand } from './letters';
import { BASS_SCHOOLS, CELLO } from './schools';
import { shapeHand } from './shapes';

export type BassSchool = keyof typeof BASS_SCHOOLS;

/** Positions are the same in every key. */
const C_MAJOR: Key = { fifths: 0, name: 'C major' };

/** The school the program follows where none is asked for. */
export const DEFAULT_BASS_SCHOOL: BassSchool = 'one-two-four';

/**
 * Every position of an instrument as its players name them, along the neck; all of thumb position is one.
 * @param school of the double bass
 */
export function positionsOf(setup: Setup, school?: BassSchool): PositionLabel[] {
  const model = handModel(setup, C_MAJOR, [], school);
  const labels = Array.from({ length: model.positionCount }, (_, position) => model.label(position));
  const numbered = labels.filter(({ label }) => label !== 'thumb');
  return numbered.length < labels.length ? [...numbered, { label: 'thumb', name: 'thumb' }] : numbered;
}

/** The hand that plays an instrument: by letters on violin and viola, by shapes of semitones on cello and bass. */
export function handModel(
  setup: Setup,
  key: Key,
  demanded: readonly DemandedPitch[],
  school: BassSchool = DEFAULT_BASS_SCHOOL,
): HandModel {
  const models: Record<InstrumentKind, () => HandModel> = {
    violin: () => letterHand(setup, key, demanded),
    viola: () => letterHand(setup, key, demanded),
    cello: () => shapeHand(setup, CELLO, demanded),
    bass: () => shapeHand(setup, BASS_SCHOOLS[school], demanded),
  };
  return models[setup.kind]();
}
