import FFT from 'fft.js';
import { hertzOfCents } from './hertz';
import { median } from './middle';
import { decimated } from './pitchFrames';

/*
 * Each tone of a double stop by the partials that no other tone covers: peaks of the spectrum over windows of a quarter of a second, as far as the note is long.
 */

const ENOUGH = 11_025;
const WINDOW = 0.25;
const STEP = 0.06;
const PADDED = 8192;
const MOST_PARTIALS = 12;
/** A partial with another within so many cents, or so many widths of a window's line, is not one tone's own. */
const OWN_CENTS = 70;
const OWN_WIDTHS = 2.2;
/** A tone is looked for so far around its target. */
const AROUND = 60;
/** The strongest partials that are listened to. */
const STRONGEST = 4;
/** At both ends of a note so many seconds are left out. */
const TRIM = 0.06;

/** Where a take sounds, made ready for many notes. */
export interface Sounding {
  readonly samples: Float32Array;
  readonly rate: number;
}

/** A take at the rate that is enough for double stops. */
export function soundingOf(samples: Float32Array, rate: number): Sounding {
  const times = Math.max(1, Math.round(rate / ENOUGH));
  return { samples: decimated(samples, times), rate: rate / times };
}

/**
 * Cents of each tone against its target.
 * @param pitches targets in cents above MIDI 0 @param start @param end seconds
 * @returns for each tone its cents; undefined where it has no partial of its own, as the upper tone of an octave
 */
export function stopsHeard(
  { samples, rate }: Sounding,
  pitches: readonly number[],
  start: number,
  end: number,
): (number | undefined)[] {
  const targets = pitches.map(hertzOfCents);
  const size = Math.round(WINDOW * rate);
  const last = Math.floor((end - TRIM) * rate) - size;
  const firsts: number[] = [];
  for (let from = Math.round((start + TRIM) * rate); from <= last; from += Math.round(STEP * rate)) firsts.push(from);
  // A short note has one window, around its middle.
  if (firsts.length === 0) firsts.push(Math.max(0, Math.round(((start + end) / 2) * rate - size / 2)));
  const spectra = firsts.map((from) => magnitudes(samples, from, size));
  return targets.map((hertz, voice) => {
    const found = ownPartials(targets, voice, rate).map((partial) => {
      const peaks = spectra.map((spectrum) => peakNear(spectrum, partial * hertz, rate));
      return { loud: median(peaks.map(({ loud }) => loud)), cents: peaks.map((peak) => peak.cents) };
    });
    const strongest = found.sort((a, b) => b.loud - a.loud).slice(0, STRONGEST);
    return strongest.length === 0 ? undefined : median(strongest.flatMap(({ cents }) => cents));
  });
}

/** Partials of a tone that no partial of another comes near. */
function ownPartials(targets: readonly number[], voice: number, rate: number): number[] {
  const width = OWN_WIDTHS / WINDOW;
  const partials: number[] = [];
  for (let k = 1; k <= MOST_PARTIALS && k * targets[voice] < 0.45 * rate; k++) {
    const own = k * targets[voice];
    const covered = targets.some((other, n) => {
      if (n === voice) return false;
      const near = other * Math.max(1, Math.round(own / other));
      return Math.abs(near - own) < width || Math.abs(1200 * Math.log2(near / own)) < OWN_CENTS;
    });
    if (!covered) partials.push(k);
  }
  return partials;
}

const fft = new FFT(PADDED);
const input: number[] = new Array<number>(PADDED).fill(0);
const spectrum = fft.createComplexArray();

/** Magnitudes of a window under a Hann curve. */
function magnitudes(samples: Float32Array, from: number, size: number): Float64Array {
  input.fill(0);
  for (let n = 0; n < size; n++)
    input[n] = (samples[from + n] ?? 0) * (0.5 - 0.5 * Math.cos((2 * Math.PI * n) / (size - 1)));
  fft.realTransform(spectrum, input);
  return Float64Array.from({ length: PADDED / 2 }, (_, n) => Math.hypot(spectrum[2 * n], spectrum[2 * n + 1]));
}

/** The highest line around a frequency, and its cents against it. */
function peakNear(spectrumOf: Float64Array, hertz: number, rate: number): { cents: number; loud: number } {
  const line = PADDED / rate;
  const low = Math.max(1, Math.floor(hertz * 2 ** (-AROUND / 1200) * line));
  const high = Math.min(spectrumOf.length - 2, Math.ceil(hertz * 2 ** (AROUND / 1200) * line));
  let top = low;
  for (let n = low; n <= high; n++) if (spectrumOf[n] > spectrumOf[top]) top = n;
  const [a, b, c] = [spectrumOf[top - 1], spectrumOf[top], spectrumOf[top + 1]].map((one) => Math.log(one + 1e-12));
  const bend = a - 2 * b + c;
  const place = top + (bend < 0 ? Math.max(-1, Math.min(1, (a - c) / (2 * bend))) : 0);
  return { cents: 1200 * Math.log2(place / line / hertz), loud: spectrumOf[top] };
}
