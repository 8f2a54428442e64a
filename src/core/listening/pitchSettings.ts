import { hertzOf } from '../findings/pure';
import type { Expected } from './expected';

/*
 * How a line is listened to, by its lowest and its highest note: what is left of the rate, how long a window, how far apart frames are. Figures measured with
 * made-up takes on all four instruments.
 */

export interface PitchSettings {
  /** Of so many samples one is kept. */
  readonly decimate: number;
  /** Samples of a window after that. */
  readonly window: number;
  /** Seconds from one frame to the next. */
  readonly hop: number;
  /** Hertz of the highest pitch that is looked for, and of the lowest. */
  readonly most: number;
  readonly lowest: number;
}

/** From it on (A5) nearly every sample is needed: with fewer than 25 to a period the peak hides between two lags, and an octave lower stands higher. */
const HIGH = 81;
const HIGH_WINDOW = { rate: 44_100, seconds: 0.0232 };

/** Lowest strings, with the rate that is enough and a window that holds three of their periods: a violin's G, a viola's C, a cello's C, a bass's E. */
const WINDOWS: readonly (readonly [lowest: number, rate: number, seconds: number])[] = [
  [55, 22_050, 0.0232],
  [47, 22_050, 0.0348],
  [36, 11_025, 0.0464],
  [0, 11_025, 0.0929],
];

const HOP = 0.005;

/** Notes that are expected, as MIDI numbers, and the lowest string or tone that a window must hold three periods of. */
interface Range {
  readonly low: number;
  readonly high: number;
  readonly resolved: number;
}

/** @param rate samples a second of the take; a slower take keeps them all */
export function pitchSettings({ low, high, resolved }: Range, rate: number): PitchSettings {
  const [, enough, seconds] = WINDOWS.find(([from]) => resolved >= from) ?? WINDOWS[WINDOWS.length - 1];
  const own =
    high >= HIGH
      ? { rate: HIGH_WINDOW.rate, seconds: Math.max(HIGH_WINDOW.seconds, seconds) }
      : { rate: enough, seconds };
  const decimate = Math.max(1, Math.round(rate / own.rate));
  return {
    decimate,
    window: Math.round((own.seconds * rate) / decimate),
    hop: HOP,
    // A fifth above the highest note and no more: what lies higher is a partial.
    most: hertzOf(high + 7),
    lowest: hertzOf(low),
  };
}

/** How the player of a plan is listened to. */
export function hearingOf({ events, setup }: Expected, rate: number): PitchSettings {
  const midis = events.flatMap(({ stops }) => stops.map(({ midi }) => midi));
  const [low, high] = [Math.min(...midis), Math.max(...midis)];
  // What two tones have in common lies an octave and more below them.
  const below = hasDoubleStops(events) ? 12 : 0;
  return pitchSettings({ low, high, resolved: Math.min(setup.strings[0].midi, low) - below }, rate);
}

/** True of a plan that has several tones at once. */
export const hasDoubleStops = (events: Expected['events']) => events.some(({ stops }) => stops.length > 1);
