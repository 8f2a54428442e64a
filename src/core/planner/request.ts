import type { BassSchool } from '../hand/models';
import type { HandChoice } from '../hand/profile';
import type { InstrumentKind } from '../instrument/instruments';
import type { MaterialSpec } from '../material/spec';

/** The planning contract, version 1: what is asked. */
export type School = BassSchool;
export type Style = 'secure' | 'singing' | 'early';
export type PositionNumber = number | 'thumb';

export type PositionRule =
  { readonly from: number; readonly to: PositionNumber } | { readonly only: readonly PositionNumber[] };

export interface Lock {
  /** The event, counted from 0. */
  readonly at: number;
  readonly finger?: number | 'T';
  /** The string by its open pitch. */
  readonly string?: string;
  readonly position?: PositionNumber;
}

/** What must not be at one event: a way of holding it that agrees with all that is named, or a shift that arrives there. */
export type Forbidding =
  | {
      readonly at: number;
      readonly finger?: number | 'T';
      readonly string?: string;
      readonly position?: PositionNumber;
    }
  | { readonly at: number; readonly shift: true };

export interface Rules {
  readonly positions?: PositionRule;
  /** Only these, by open pitch. */
  readonly strings?: readonly string[];
  readonly openStrings?: 'free' | 'prefer' | 'avoid' | 'never';
  readonly fourthFinger?: 'free' | 'no-shift' | 'avoid' | 'never';
  readonly extensions?: 'free' | 'avoid' | 'never';
  readonly chromatic?: 'slide' | 'finger-per-semitone';
  readonly locks?: readonly Lock[];
  readonly never?: readonly Forbidding[];
}

export interface Tempo {
  readonly bpm: number;
  readonly beatsPerNote?: number;
}

export interface PlanRequest {
  readonly instrument: InstrumentKind;
  readonly size?: string;
  readonly tuning?: readonly string[];
  readonly stringLengthMm?: number;
  /** Lowest note of an extension of the lowest string, such as "C1" on a double bass. */
  readonly extensionTo?: string;
  readonly hand?: HandChoice;
  readonly school?: School;
  readonly style?: Style;
  readonly tempo?: Tempo;
  readonly material: MaterialSpec;
  readonly rules?: Rules;
  readonly alternatives?: number;
  /** Two plans of the answer, counted from 0, to be laid side by side. */
  readonly compare?: readonly [number, number];
  /** How much is said about why: of the shifts (usual), of all, or nothing (for whole books). */
  readonly explain?: 'shifts' | 'all' | 'nothing';
}
