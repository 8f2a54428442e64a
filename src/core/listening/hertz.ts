import { hertzOf } from '../findings/pure';

/*
 * Pitches of listening are cents above MIDI 0: 100 times the MIDI number, more or less.
 */

export const hertzOfCents = (cents: number) => hertzOf(0, cents);
export const centsOfHertz = (hertz: number) => 100 * (69 + 12 * Math.log2(hertz / 440));
