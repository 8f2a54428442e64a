import type { InstrumentName } from '../vocabulary';
import { instrumentRecords } from '../instrument/instruments';

/*
 * What parts are called, in the languages that scores are printed in.
 */

/** The bowed string that a part's name means; null where it means none. */
export function instrumentNamed(name: string): InstrumentName | null {
  const plain = name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '');
  // Instruments that only sound like one.
  if (/guitar|clarinet|drum|voice|vocal|flute|tuba|trombone|sax|gamba|d'amore/.test(plain)) return null;
  // The lowest first: "violoncello" has "viol" in it, and "contrabbasso" has "basso".
  const records = instrumentRecords().reverse();
  return records.find(({ partNames }) => partNames.test(plain))?.name ?? null;
}

/** The bowed string of a General MIDI sound, counted from 0. */
export function instrumentSounding(program: number | undefined): InstrumentName | null {
  return instrumentRecords().find((record) => record.program === program)?.name ?? null;
}
