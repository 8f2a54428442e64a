import type { Expected } from './expected';
import { median } from './middle';
import { pitchFrames } from './pitchFrames';
import { pitchSettings } from './pitchSettings';

/*
 * A tuner for the open strings: which one sounds, and how far it is off.
 */

/** What the tuner hears. */
export interface Tuning {
  /** From the lowest. */
  readonly string: number;
  /** Cents above where it should be. */
  readonly cents: number;
}

/** Seconds that a reading rests on. */
const READING = 0.35;
/** Frames with a pitch that it takes, as a share. */
const SURE = 0.6;
/** A string further off than this is another, or not yet near. */
const NEAR = 300;

/**
 * @param a4 hertz @param rate samples a second
 * @returns what takes the next block of one channel, and answers while a string sounds
 */
export function startTuning({ setup, openCents }: Pick<Expected, 'setup' | 'openCents'>, a4: number, rate: number) {
  const a = 1200 * Math.log2(a4 / 440);
  const targets = setup.strings.map(({ midi }, string) => 100 * midi + openCents[string] + a);
  const midis = setup.strings.map(({ midi }) => midi);
  const [low, high] = [Math.min(...midis), Math.max(...midis)];
  const settings = pitchSettings(low - 3, high + 3, rate);
  const hertz = (midi: number) => 440 * 2 ** ((midi - 69) / 12);
  const keep = Math.round(READING * rate);
  let samples = new Float32Array(0);
  return (block: Float32Array): Tuning | undefined => {
    const both = new Float32Array(samples.length + block.length);
    both.set(samples);
    both.set(block, samples.length);
    samples = both.slice(-keep);
    if (samples.length < keep) return undefined;
    const frames = pitchFrames(samples, rate, settings, { most: hertz(high + 7), lowest: hertz(low) });
    const heard = Array.from(frames.hertz).flatMap((one) => (one > 0 ? [100 * (69 + 12 * Math.log2(one / 440))] : []));
    if (heard.length < SURE * frames.hertz.length) return undefined;
    const pitch = median(heard);
    const string = targets.reduce(
      (best, one, n) => (Math.abs(pitch - one) < Math.abs(pitch - targets[best]) ? n : best),
      0,
    );
    const cents = pitch - targets[string];
    return Math.abs(cents) <= NEAR ? { string, cents } : undefined;
  };
}
