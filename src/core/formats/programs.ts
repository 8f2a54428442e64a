import type { InstrumentKind } from '../instrument/instruments';

/** Sounds of the bowed strings in the General MIDI list, counted from 0. */
export const PROGRAMS: Readonly<Record<InstrumentKind, number>> = {
  violin: 40,
  viola: 41,
  cello: 42,
  bass: 43,
};
