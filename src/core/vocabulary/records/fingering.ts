import { Type, type Described } from '../schema';
import { Step, StopAnswer } from './response';

/*
 * A kept fingering, described.
 */

/** How one note is held. */
export const KeptStep = Type.Composite([
  Type.Pick(Step, ['at', 'position', 'thumbAt', 'hand']),
  Type.Object({
    stops: Type.Array(Type.Pick(StopAnswer, ['string', 'finger', 'semitones', 'harmonic']), { minItems: 1 }),
  }),
]);
export type KeptStep = Described<typeof KeptStep>;
export const KeptFingering = Type.Array(KeptStep, { minItems: 1 });
export type KeptFingering = Described<typeof KeptFingering>;
