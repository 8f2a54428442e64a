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

/**
 * @param lowest @param highest notes that are expected, as MIDI numbers
 * @param rate samples a second of the take; a slower take keeps them all
 */
export function pitchSettings(lowest: number, highest: number, rate: number): PitchSettings {
  const [, enough, seconds] = WINDOWS.find(([from]) => lowest >= from) ?? WINDOWS[WINDOWS.length - 1];
  const own =
    highest >= HIGH
      ? { rate: HIGH_WINDOW.rate, seconds: Math.max(HIGH_WINDOW.seconds, seconds) }
      : { rate: enough, seconds };
  const decimate = Math.max(1, Math.round(rate / own.rate));
  return { decimate, window: Math.round((own.seconds * rate) / decimate), hop: HOP };
}
