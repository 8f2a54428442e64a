import type { School } from '../vocabulary';
import type { Setup } from '../instrument/setup';
import type { Key } from '../pitch/key';
import type { DemandedPitch, HandModel } from './hold';
import { letterHand } from './letters';
import { schoolOf } from './positions';
import { shapeHand } from './shapes';

/** The hand that plays an instrument: by letters, or by shapes of semitones. */
export function handModel(setup: Setup, key: Key, demanded: readonly DemandedPitch[], school?: School): HandModel {
  const { fingering } = setup.instrument;
  return fingering.by === 'letters'
    ? letterHand(setup, fingering, key, demanded)
    : shapeHand(setup, schoolOf(fingering, school), demanded);
}
