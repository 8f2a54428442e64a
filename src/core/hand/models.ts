import type { InstrumentKind, School } from '../instrument/instruments';
import { INSTRUMENTS } from '../instrument/instruments';
import type { Setup } from '../instrument/setup';
import type { Key } from '../pitch/key';
import type { DemandedPitch, HandModel, PositionNumber } from './hold';
import { letterHand } from './letters';
import { FRAMES_OF } from './schools';
import { shapeHand } from './shapes';

/** Positions are the same in every key. */
const C_MAJOR: Key = { fifths: 0, name: 'C major' };

/** Every position of an instrument, along the neck; all of thumb position is one. */
export function positionsOf(setup: Setup, school?: School): PositionNumber[] {
  const model = handModel(setup, C_MAJOR, [], school);
  const labels = Array.from({ length: model.positionCount }, (_, position) => model.label(position));
  return [...new Set(labels)];
}

/** The hand that plays an instrument: by letters, or by shapes of semitones. */
export function handModel(
  setup: Setup,
  key: Key,
  demanded: readonly DemandedPitch[],
  school?: School,
): HandModel {
  const frames = framesOf(setup.kind, school);
  return frames ? shapeHand(setup, frames, demanded) : letterHand(setup, key, demanded);
}

function framesOf(kind: InstrumentKind, school: School | undefined) {
  return INSTRUMENTS[kind].handBy === 'frames' ? FRAMES_OF[kind]?.(school) : undefined;
}
