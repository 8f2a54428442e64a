import { joinedBlocks } from './samples';
import { centsOfHertz } from './hertz';
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
/** Semitones by which a string may be slack. */
const SLACK = 3;

/**
 * @param a4 hertz @param rate samples a second
 * @returns what takes the next block of one channel, and answers while a string sounds
 */
export function startTuning({ setup, openCents }: Pick<Expected, 'setup' | 'openCents'>, a4: number, rate: number) {
  const a = 1200 * Math.log2(a4 / 440);
  const targets = setup.strings.map(({ midi }, string) => 100 * midi + openCents[string] + a);
  const midis = setup.strings.map(({ midi }) => midi);
  const [low, high] = [Math.min(...midis), Math.max(...midis)];
  const settings = pitchSettings({ low, high, resolved: low - SLACK }, rate);
  const keep = Math.round(READING * rate);
  let samples = new Float32Array(0);
  return (block: Float32Array): Tuning | undefined => {
    samples = joinedBlocks([samples, block]).slice(-keep);
    if (samples.length < keep) return undefined;
    const frames = pitchFrames(samples, rate, settings);
    const heard = Array.from(frames.hertz).flatMap((one) => (one > 0 ? [centsOfHertz(one)] : []));
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
