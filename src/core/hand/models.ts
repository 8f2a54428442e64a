import type { School } from '../instrument/instruments';
import type { Setup } from '../instrument/setup';
import type { Key } from '../pitch/key';
import type { DemandedPitch, HandModel } from './hold';
import { letterHand } from './letters';
import { frameSchool } from './positions';
import { shapeHand } from './shapes';

/** The hand that plays an instrument: by letters, or by shapes of semitones. */
export function handModel(
  setup: Setup,
  key: Key,
  demanded: readonly DemandedPitch[],
  school?: School,
): HandModel {
  const frames = frameSchool(setup.kind, school);
  return frames ? shapeHand(setup, frames, demanded) : letterHand(setup, key, demanded);
}
