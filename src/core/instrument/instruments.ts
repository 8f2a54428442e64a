import type { InstrumentName, School } from '../vocabulary';
import { BASS } from './bass';
import { CELLO } from './cello';
import type { InstrumentRecord } from './record';
import { VIOLA } from './viola';
import { VIOLIN } from './violin';

/*
 * The instruments that are known, by their names. Whoever asks something of an instrument asks its record.
 */

const BUILT_IN: Readonly<Record<InstrumentName, InstrumentRecord>> = {
  violin: VIOLIN,
  viola: VIOLA,
  cello: CELLO,
  bass: BASS,
};

const known = new Map<string, InstrumentRecord>(Object.entries(BUILT_IN));

/**
 * The record of an instrument.
 * @throws RangeError for a name that no record has
 */
export function instrumentRecord(name: InstrumentName): InstrumentRecord {
  const record = known.get(name);
  if (!record) throw new RangeError(`no instrument: ${name}`);
  return record;
}

/** Makes a further instrument known, such as one that a test brings. */
export function addInstrument(record: InstrumentRecord): void {
  known.set(record.name, record);
}

/** Every record, the highest instrument first. */
export function instrumentRecords(): InstrumentRecord[] {
  return [...known.values()];
}

/** The schools of an instrument, the usual one first; none where it has but one way. */
export function schoolsOf({ fingering }: InstrumentRecord): readonly School[] {
  return fingering.by === 'frames' ? (Object.keys(fingering.schools) as School[]) : [];
}
