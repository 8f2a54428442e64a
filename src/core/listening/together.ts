import FFT from 'fft.js';
import { hertzOfCents } from './hertz';
import type { ExpectedEvent } from './expected';
import type { Sounding } from './stopsHeard';

/*
 * How well a moment fits a double stop: the share of its energy that lies at the partials of its tones. A pitch detector hears one pitch, and of two tones often neither.
 */

const SIZE = 1024;
const HIGHEST = 3500;
const LOWEST = 60;
/** Lines around a partial that are taken for its own. */
const BESIDE = 1.6;
/** A moment without any energy at the partials costs so much for each share that is missing. */
const STEEP = 7;

/** What gives the cost of every double stop at a moment. @param a cents of A from 440 Hz */
export function togetherCosts(events: readonly ExpectedEvent[], { samples, rate }: Sounding, a: number) {
  const fft = new FFT(SIZE);
  const input: number[] = new Array<number>(SIZE).fill(0);
  const spectrum = fft.createComplexArray();
  const line = SIZE / rate;
  const [low, high] = [Math.floor(LOWEST * line), Math.min(SIZE / 2 - 2, Math.ceil(HIGHEST * line))];
  const lines = events.map(({ stops }) => (stops.length > 1 ? partialLines(stops, a, line, high) : undefined));
  const energy = new Float64Array(SIZE / 2);
  /** @param seconds the middle of the moment @returns the cost by event; undefined of a single note */
  return (seconds: number): (number | undefined)[] => {
    const from = Math.round(seconds * rate - SIZE / 2);
    for (let n = 0; n < SIZE; n++)
      input[n] = (samples[from + n] ?? 0) * (0.5 - 0.5 * Math.cos((2 * Math.PI * n) / (SIZE - 1)));
    fft.realTransform(spectrum, input);
    let all = 1e-12;
    for (let n = low; n <= high; n++) {
      energy[n] = spectrum[2 * n] ** 2 + spectrum[2 * n + 1] ** 2;
      all += energy[n];
    }
    return lines.map((own) => own && STEEP * (1 - own.reduce((sum, n) => sum + energy[n], 0) / all));
  };
}

/** The lines of the spectrum at the partials of some tones. */
function partialLines(stops: ExpectedEvent['stops'], a: number, line: number, high: number): number[] {
  const own = new Set<number>();
  for (const { midi, cents } of stops) {
    const hertz = hertzOfCents(100 * midi + cents + a);
    for (let k = 1; k * hertz * line <= high; k++)
      for (let n = Math.ceil(k * hertz * line - BESIDE); n <= k * hertz * line + BESIDE; n++)
        if (n >= 0 && n <= high) own.add(n);
  }
  return [...own];
}
