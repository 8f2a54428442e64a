import { FINGERS, type Finger } from '../vocabulary';

/** Tables have a slot for each finger, in the order of FINGERS. */
export const THUMB = 5;
export const FINGER_SLOTS = FINGERS.length;

/** The finger of a slot. */
export function fingerAt(slot: number): Finger {
  return FINGERS[slot];
}

/** The slot of a finger. */
export function slotOf(finger: Finger): number {
  return finger === 'T' ? THUMB : finger;
}

/** Place of a pressing slot in the order along the string: the thumb (0) lies below the first finger. */
export function alongString(slot: number): number {
  return slot === THUMB ? 0 : slot;
}

/** Where fingers lie, in semitones above the open string, by their names; a finger without a place is left out. */
export type FingerPlaces = Readonly<Partial<Record<`${Exclude<Finger, 0>}`, number>>>;

/** The fingers that have a place, in the order along the string. */
export function laidFingers(places: FingerPlaces): (readonly [finger: Finger, semitones: number])[] {
  const laid = FINGERS.slice(1).flatMap((finger) => {
    const semitones = places[String(finger) as keyof FingerPlaces];
    return semitones === undefined ? [] : [[finger, semitones] as const];
  });
  return laid.sort((a, b) => a[1] - b[1]);
}
