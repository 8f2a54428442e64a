import FFT from 'fft.js';
import type { PitchSettings } from './pitchSettings';

/*
 * Pitch, frame by frame: the normalised square difference (McLeod and Wyvill, "A smarter way to find pitch", 2005) by the fast Fourier transform, refined over
 * several periods. Levels are taken over a short window of their own, so that a change of bow shows.
 */

/** What is heard at one moment. */
export interface Frames {
  /** Seconds from one frame to the next; frame 0 is centred on its first stretch of samples. */
  readonly hop: number;
  /** When frame 0 is, in seconds. */
  readonly start: number;
  /** Hertz; 0 where there is no pitch. */
  readonly hertz: Float32Array;
  /** How periodic it is, 0 to 1. */
  readonly clarity: Float32Array;
  /** Decibels of the short window, full scale 0. */
  readonly level: Float32Array;
}

/** Taps of the filter before samples are left out, for each that is left out. */
const TAPS = 12;

/** Every so many samples one, without what would fold down: a windowed sinc at nine tenths of the new limit. */
export function decimated(samples: Float32Array, times: number): Float32Array {
  if (times === 1) return samples;
  const half = TAPS * times;
  const taps = new Float32Array(2 * half + 1);
  let sum = 0;
  for (let n = -half; n <= half; n++) {
    const x = (0.9 * n) / times;
    const sinc = n === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    taps[n + half] = sinc * (0.54 + 0.46 * Math.cos((Math.PI * n) / half));
    sum += taps[n + half];
  }
  for (let n = 0; n < taps.length; n++) taps[n] /= sum;
  const length = Math.floor(samples.length / times);
  const out = new Float32Array(length);
  for (let i = 0; i < length; i++) {
    const middle = i * times;
    const [from, to] = [Math.max(-half, -middle), Math.min(half, samples.length - 1 - middle)];
    let value = 0;
    for (let n = from; n <= to; n++) value += samples[middle + n] * taps[n + half];
    out[i] = value;
  }
  return out;
}

/** Peaks below this share of the highest are no period. */
const KEY_SHARE = 0.85;
/** Less periodic than this is no note. */
const CLEAR = 0.55;
/** Periods at which a peak is looked for again, while it stands above half the first. */
const MULTIPLES = [2, 3, 4, 6, 9, 13];

/** Finds the pitch of windows of one size. */
function pitchFinder(size: number, rate: number, most: number) {
  const padded = 2 ** Math.ceil(Math.log2(2 * size));
  const fft = new FFT(padded);
  const input: number[] = new Array<number>(padded).fill(0);
  const spectrum = fft.createComplexArray();
  const power: number[] = new Array<number>(padded).fill(0);
  const back = fft.createComplexArray();
  const nsdf = new Float32Array(size);
  const shortest = Math.max(2, Math.floor(rate / most));
  const longest = Math.floor(size / 2);
  return (samples: Float32Array, from: number): { readonly hertz: number; readonly clarity: number } => {
    let energy = 0;
    for (let n = 0; n < size; n++) {
      const value = samples[from + n];
      input[n] = value;
      energy += 2 * value * value;
    }
    if (energy < 1e-9) return SILENT;
    fft.realTransform(spectrum, input);
    // The power spectrum is real and the same on both sides: its way back is one more real transform.
    for (let n = 0; n <= padded / 2; n++) {
      const re = spectrum[2 * n];
      const im = spectrum[2 * n + 1];
      const value = (re * re + im * im) / padded;
      power[n] = value;
      if (n > 0) power[padded - n] = value;
    }
    fft.realTransform(back, power);
    let norm = energy;
    for (let lag = 0; lag < size; lag++) {
      nsdf[lag] = norm > 1e-12 ? (2 * back[2 * lag]) / norm : 0;
      const head = samples[from + lag];
      const tail = samples[from + size - 1 - lag];
      norm -= head * head + tail * tail;
    }
    return periodIn(nsdf, { shortest, longest, rate });
  };
}

const SILENT = { hertz: 0, clarity: 0 } as const;

interface Lags {
  readonly shortest: number;
  readonly longest: number;
  readonly rate: number;
}

/** The first period that stands nearly as high as the highest. */
function periodIn(nsdf: Float32Array, { shortest, longest, rate }: Lags): { hertz: number; clarity: number } {
  // Past the lobe of the lag 0.
  let lag = 1;
  while (lag < longest && nsdf[lag] > 0) lag++;
  const peaks: number[] = [];
  let best = 0;
  while (lag < longest) {
    while (lag < longest && nsdf[lag] <= 0) lag++;
    let top = lag;
    for (; lag < longest && nsdf[lag] > 0; lag++) if (nsdf[lag] > nsdf[top]) top = lag;
    if (top < longest && top >= shortest && nsdf[top] > 0) {
      peaks.push(top);
      best = Math.max(best, nsdf[top]);
    }
  }
  const first = peaks.find((peak) => nsdf[peak] >= KEY_SHARE * best);
  if (first === undefined) return SILENT;
  let [period, clarity] = parabola(nsdf, first);
  for (const times of MULTIPLES) {
    const near = Math.round(period * times);
    if (near + 2 >= nsdf.length * 0.8) break;
    let top = near;
    for (let at = Math.max(1, near - 2); at <= near + 2; at++) if (nsdf[at] > nsdf[top]) top = at;
    if (nsdf[top] < clarity / 2) break;
    period = parabola(nsdf, top)[0] / times;
  }
  clarity = Math.min(1, clarity);
  return { hertz: rate / period, clarity };
}

/** The top of the parabola through a peak and its neighbours. */
function parabola(values: Float32Array, at: number): [place: number, height: number] {
  const [a, b, c] = [values[at - 1], values[at], values[at + 1] ?? values[at]];
  const bend = a - 2 * b + c;
  if (bend >= 0) return [at, b];
  const shift = (a - c) / (2 * bend);
  return [at + shift, b - ((a - c) * shift) / 4];
}

/** Seconds of the window that levels are taken over. */
const LEVEL_WINDOW = 0.01;
const SILENCE = -100;

/**
 * The frames of some samples.
 * @param samples one channel, -1 to 1 @param rate samples a second
 */
export function pitchFrames(samples: Float32Array, rate: number, settings: PitchSettings): Frames {
  const { decimate, window, hop, most, lowest } = settings;
  const few = decimated(samples, decimate);
  const own = rate / decimate;
  const find = pitchFinder(window, own, most);
  const count = Math.max(0, Math.floor((few.length - window) / own / hop) + 1);
  const hertz = new Float32Array(count);
  const clarity = new Float32Array(count);
  const level = new Float32Array(count);
  const start = window / 2 / own;
  const span = Math.max(LEVEL_WINDOW, 1.1 / lowest);
  for (let n = 0; n < count; n++) {
    const at = Math.round(n * hop * own);
    const found = find(few, at);
    hertz[n] = found.clarity >= CLEAR ? found.hertz : 0;
    clarity[n] = found.clarity;
    level[n] = decibels(few, Math.round((start + n * hop - span / 2) * own), Math.round(span * own));
  }
  return { hop, start, hertz, clarity, level };
}

function decibels(samples: Float32Array, from: number, count: number): number {
  let sum = 0;
  for (let n = Math.max(0, from); n < Math.min(samples.length, from + count); n++) sum += samples[n] * samples[n];
  const mean = sum / count;
  return mean > 1e-10 ? Math.max(SILENCE, 10 * Math.log10(mean)) : SILENCE;
}
