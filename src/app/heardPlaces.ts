import { group } from 'd3-array';
import { centsPerMm, stopMm, type Finger, type HeardTry, type Setup } from '../core';

/*
 * How far off each place on the neck was, over one take or many.
 */

export interface HeardPlace {
  /** From the lowest. */
  readonly string: number;
  readonly finger: Finger;
  /** Where the finger should stand, in mm from the nut. */
  readonly mm: number;
  /** How far off it stood, in mm towards the bridge, low to high. */
  readonly offs: readonly number[];
  /** Of these the middle, and between which the middle half lies. */
  readonly middle: number;
  readonly low: number;
  readonly high: number;
  readonly inTune: boolean;
}

const at = (sorted: readonly number[], share: number) => sorted[Math.round(share * (sorted.length - 1))];

/**
 * Every place that was heard, by string, stop and finger.
 * @param toleranceCents beyond which a place is off
 */
export function heardPlaces(setup: Setup, tries: readonly HeardTry[], toleranceCents: number): HeardPlace[] {
  const places = group(tries, ({ string, semitones, finger }) => `${string}/${semitones}/${finger}`);
  return [...places.values()].flatMap((own): HeardPlace[] => {
    const [{ string: name, semitones, finger }] = own;
    const string = setup.strings.findIndex((one) => one.name === name);
    // Of strings that are tuned otherwise by now nothing can be drawn.
    if (string < 0) return [];
    const mm = stopMm(setup.lengthMm, semitones);
    const offs = own.map((one) => one.mm).sort((a, b) => a - b);
    const middle = at(offs, 0.5);
    const inTune = Math.abs(middle) <= toleranceCents / centsPerMm(setup.lengthMm, mm);
    return [{ string, finger, mm, offs, middle, low: at(offs, 0.25), high: at(offs, 0.75), inTune }];
  });
}
