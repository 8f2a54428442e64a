import * as wavefile from 'wavefile';

/*
 * Takes as WAV files, read and written: any usual depth, rate and number of channels in, one channel of 16 bits out.
 */

/** The package has a named export where it is bundled, and all in one where Node loads it. */
const { WaveFile } = 'default' in wavefile ? (wavefile.default as typeof wavefile) : wavefile;

export type WavTrouble = 'not-a-wav' | 'broken-wav' | 'empty-wav' | 'odd-rate';

export interface Sound {
  /** One channel, -1 to 1. */
  readonly samples: Float32Array;
  readonly rate: number;
}

const LEAST_RATE = 8000;
const MOST_RATE = 192_000;

/** Reads a WAV file; several channels are mixed to one. */
export function readWav(bytes: Uint8Array): Sound | WavTrouble {
  const name = (from: number) => String.fromCharCode(...bytes.subarray(from, from + 4));
  if (bytes.length < 44 || !['RIFF', 'RIFX', 'RF64'].includes(name(0)) || name(8) !== 'WAVE') return 'not-a-wav';
  try {
    const file = new WaveFile(bytes);
    const { sampleRate: rate, numChannels } = file.fmt as { sampleRate: number; numChannels: number };
    if (!(rate >= LEAST_RATE && rate <= MOST_RATE)) return 'odd-rate';
    if (file.bitDepth !== '32f') file.toBitDepth('32f');
    const found = file.getSamples(false, Float32Array) as unknown as Float32Array | Float32Array[];
    const channels = numChannels > 1 ? (found as Float32Array[]) : [found as Float32Array];
    const samples = mixed(channels);
    return samples.length === 0 ? 'empty-wav' : { samples, rate };
  } catch {
    return 'broken-wav';
  }
}

function mixed(channels: readonly Float32Array[]): Float32Array {
  const [first] = channels;
  const samples = new Float32Array(first?.length ?? 0);
  for (let n = 0; n < samples.length; n++) {
    const value = channels.reduce((sum, channel) => sum + channel[n], 0) / channels.length;
    samples[n] = Number.isFinite(value) ? Math.max(-1, Math.min(1, value)) : 0;
  }
  return samples;
}

/** A take as a WAV file. */
export function writeWav({ samples, rate }: Sound): Uint8Array {
  const file = new WaveFile();
  const whole = Int16Array.from(samples, (one) => Math.round(32_767 * Math.max(-1, Math.min(1, one))));
  file.fromScratch(1, rate, '16', whole);
  return file.toBuffer();
}
