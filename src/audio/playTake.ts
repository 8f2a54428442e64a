/*
 * Plays a take, or a part of it.
 */

let context: AudioContext | undefined;

interface Part {
  /** Seconds. */
  readonly from?: number;
  readonly seconds?: number;
  readonly onEnd?: () => void;
}

/** @returns what stops it */
export function playTake(samples: Float32Array, rate: number, { from = 0, seconds, onEnd }: Part = {}): () => void {
  context ??= new AudioContext();
  void context.resume();
  const buffer = context.createBuffer(1, samples.length, rate);
  buffer.getChannelData(0).set(samples);
  const source = context.createBufferSource();
  source.buffer = buffer;
  source.connect(context.destination);
  if (onEnd) source.addEventListener('ended', onEnd);
  source.start(0, from, seconds);
  return () => {
    if (onEnd) source.removeEventListener('ended', onEnd);
    source.stop();
  };
}

/** What the browser makes of a sound file that is no WAV; one channel. @throws where it cannot read it */
export async function decodedSound(bytes: ArrayBuffer): Promise<{ samples: Float32Array; rate: number }> {
  context ??= new AudioContext();
  const buffer = await context.decodeAudioData(bytes);
  const samples = new Float32Array(buffer.length);
  for (let channel = 0; channel < buffer.numberOfChannels; channel++)
    buffer.getChannelData(channel).forEach((one, n) => (samples[n] += one / buffer.numberOfChannels));
  return { samples, rate: buffer.sampleRate };
}
