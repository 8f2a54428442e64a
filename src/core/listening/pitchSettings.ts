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
}

/** Above it (about G6) every sample is needed: a period has too few of them. */
const FULL_RATE_FROM = 91;
/** The rate that the windows are made for; others keep as many samples a second. */
const RATE = 44_100;

/** Lowest strings, with windows that hold three of their periods: a violin's G, a viola's C, a cello's C, a bass's E. */
const WINDOWS: readonly (readonly [lowest: number, decimate: number, window: number])[] = [
  [55, 2, 512],
  [47, 2, 768],
  [36, 4, 512],
  [0, 4, 1024],
];

const HOP = 0.005;

/**
 * @param lowest @param highest notes that are expected, as MIDI numbers
 * @param rate samples a second
 */
export function pitchSettings(lowest: number, highest: number, rate: number): PitchSettings {
  const times = Math.max(1, Math.round(rate / RATE));
  if (highest >= FULL_RATE_FROM) return { decimate: times, window: 1024, hop: HOP };
  const [, decimate, window] = WINDOWS.find(([from]) => lowest >= from) ?? WINDOWS[WINDOWS.length - 1];
  return { decimate: decimate * times, window, hop: HOP };
}
