import { hertzOfCents } from './hertz';
import type { PerformedNote } from './performance';
import { addNoise, pitchAt, type Rendering, type Voice } from './voices';

/*
 * Voices made by other means than the bowed one, so that nothing listens for one made-up player alone: a plucked string, a sawtooth through the formants of a body, and
 * partials of chance strengths. All play the same notes.
 */

/** Seconds after the last note. */
const TAIL = 0.6;
const ATTACK = 0.02;
const RELEASE = 0.04;

/** Samples of one note. @param phase cycles since its beginning @param t seconds since its beginning @param step cycles from sample to sample */
type Wave = (phase: number, t: number, step: number) => number;

/** Sounds each note by a wave of its own. */
function sounded(notes: readonly PerformedNote[], rendering: Rendering, waveOf: (note: PerformedNote) => Wave) {
  const { rate } = rendering;
  const seconds = Math.max(0, ...notes.map(({ end }) => end)) + TAIL;
  const out = new Float32Array(Math.ceil(seconds * rate));
  for (const note of notes) {
    const wave = waveOf(note);
    const first = Math.round(note.start * rate);
    const length = note.end - note.start;
    const count = Math.min(out.length - first, Math.round((length + RELEASE) * rate));
    let phase = 0;
    for (let n = 0; n < count; n++) {
      const t = n / rate;
      const step = hertzOfCents(pitchAt(note, Math.min(t, length))) / rate;
      phase += step;
      const loud = Math.min(1, t / ATTACK) * Math.max(0, Math.min(1, 1 - (t - length) / RELEASE));
      out[first + n] += loud * wave(phase, t, step);
    }
  }
  return out;
}

/** Partials whose strengths are drawn anew for each note, within 12 dB of falling by 6 dB an octave. */
export const drawnPartials: Voice = (notes, rendering) =>
  addNoise(
    sounded(notes, rendering, (note) => {
      const most = Math.min(12, Math.floor((0.45 * rendering.rate) / hertzOfCents(note.pitch)));
      const partials = Array.from({ length: most }, (_, k) => ({
        strength: 10 ** ((12 * (rendering.chance() - 0.5)) / 10) / (k + 1),
        offset: rendering.chance(),
      }));
      return (phase) =>
        partials.reduce(
          (sum, { strength, offset }, k) => sum + strength * Math.sin(2 * Math.PI * ((k + 1) * phase + offset)),
          0,
        );
    }),
    rendering,
  );

/** A plucked string: its upper partials die away sooner. Struck at a fifth of its length. */
export const plucked: Voice = (notes, rendering) =>
  addNoise(
    sounded(notes, rendering, (note) => {
      const most = Math.min(20, Math.floor((0.45 * rendering.rate) / hertzOfCents(note.pitch)));
      return (phase, t) => {
        let value = 0;
        for (let k = 1; k <= most; k++) {
          const struck = Math.sin((Math.PI * k) / 5) / k;
          value += struck * Math.exp(-t * (1.2 + 0.5 * k)) * Math.sin(2 * Math.PI * k * phase);
        }
        return value;
      };
    }),
    rendering,
  );

/** A sawtooth whose corner is rounded over two samples, so that next to nothing of it folds down. */
function sawAt(share: number, step: number): number {
  const plain = 2 * share - 1;
  if (share < step) return plain - (2 * (share / step) - (share / step) ** 2 - 1);
  const after = (share - 1) / step;
  return share > 1 - step ? plain - (after * after + 2 * after + 1) : plain;
}

/** A sawtooth through two formants, each a resonator of second order. */
export const sawtooth: Voice = (notes, rendering) => {
  const raw = sounded(notes, rendering, () => (phase, _, step) => sawAt(phase - Math.floor(phase), step));
  const { rate, chance } = rendering;
  const out = raw.map((one) => 0.3 * one);
  for (const hertz of [420 + 160 * chance(), 1500 + 700 * chance()]) {
    const radius = Math.exp((-Math.PI * 220) / rate);
    const [turn, damp] = [2 * radius * Math.cos((2 * Math.PI * hertz) / rate), radius * radius];
    let [before, last] = [0, 0];
    for (let n = 0; n < raw.length; n++) {
      const value = (1 - radius) * raw[n] + turn * last - damp * before;
      [before, last] = [last, value];
      out[n] += 2 * value;
    }
  }
  return addNoise(out, rendering);
};
