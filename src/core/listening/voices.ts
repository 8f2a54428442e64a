import type { Fault } from '../vocabulary';
import { hertzOfCents } from './hertz';
import type { Chance, PerformedNote } from './performance';

/*
 * The made-up player's voice: a bowed string with its difficulties. No sharp onset, vibrato that begins late, slides under one bow, a dip at a change of bow, open
 * strings that ring on, weak fundamentals low down, bow noise, a room.
 */

export interface Rendering {
  readonly rate: number;
  readonly faults: readonly Fault[];
  readonly chance: Chance;
}

/** Seconds after the last note. */
const TAIL = 0.8;
const PARTIALS = 14;
const ATTACK = 0.045;
const RELEASE = 0.05;
const LIFT = 0.02;
/** A slide under one bow, and how long a wrong landing stands before it is slid right. */
const GLIDE = 0.04;
const CORRECTED_AFTER = 0.14;
const CORRECTED_IN = 0.06;
/** How loud an open string rings on, and for how long. */
const RING = 0.05;
const RING_SECONDS = 0.5;

/** Sounds what was performed. @returns one channel */
export type Voice = (notes: readonly PerformedNote[], rendering: Rendering) => Float32Array;

/** A bowed string. */
export const bowedTake: Voice = (notes, rendering) => {
  const { rate, chance } = rendering;
  const seconds = Math.max(0, ...notes.map(({ end }) => end)) + TAIL;
  const out = new Float32Array(Math.ceil(seconds * rate));
  const body = resonances(chance);
  notes.forEach((note, n) => {
    const before = note.slurred
      ? notes.findLast((one, m) => m < n && one.string === note.string && one.end >= note.start - 0.01)
      : undefined;
    const slursOn = notes[n + 1]?.slurred === true;
    sound(out, note, { rate, body, chance, from: before?.pitch, lift: slursOn ? 0 : LIFT });
  });
  return addNoise(out, rendering);
};

/** The room and the noise of a take, at the loudness of a recording; changes the samples in place. */
export function addNoise(out: Float32Array, { rate, faults, chance }: Rendering): Float32Array {
  const loud = Math.sqrt(out.reduce((sum, one) => sum + one * one, 0) / Math.max(1, out.length));
  if (faults.some(({ fault }) => fault === 'room')) addRoom(out, rate);
  const noise = faults.find((one) => one.fault === 'noise');
  const db = noise?.fault === 'noise' ? noise.db : 40;
  const amount = loud / 10 ** (db / 20);
  for (let n = 0; n < out.length; n++) out[n] += amount * 1.7 * (chance() + chance() - 1);
  const peak = out.reduce((most, one) => Math.max(most, Math.abs(one)), 1e-6);
  for (let n = 0; n < out.length; n++) out[n] *= 0.6 / peak;
  return out;
}

interface Sounded {
  readonly rate: number;
  readonly body: readonly Resonance[];
  readonly chance: Chance;
  /** The pitch that it slides from. */
  readonly from: number | undefined;
  /** Seconds before its end in which the bow slows down to turn. */
  readonly lift: number;
}

/** The pitch of a note at some seconds after its beginning, in cents above MIDI 0. */
export function pitchAt({ pitch, vibrato, sag, landing, start, end }: PerformedNote, t: number, from?: number): number {
  const growing = Math.min(1, Math.max(0, (t - vibrato.after) / 0.15));
  const swing = vibrato.cents * growing * Math.sin(2 * Math.PI * vibrato.hz * t + vibrato.phase);
  const slid = landing * (1 - Math.min(1, Math.max(0, (t - CORRECTED_AFTER) / CORRECTED_IN)));
  const share = Math.min(1, t / (end - start));
  const glide = from !== undefined && t < GLIDE ? (from - pitch) * (1 - t / GLIDE) : 0;
  return pitch + swing + slid + sag * share + glide;
}

function sound(out: Float32Array, note: PerformedNote, { rate, body, chance, from, lift }: Sounded) {
  const length = note.end - note.start;
  const ring = note.open ? RING_SECONDS * 3 : 0;
  const first = Math.round(note.start * rate);
  const count = Math.min(out.length - first, Math.round((length + RELEASE + ring) * rate));
  const base = hertzOfCents(note.pitch);
  const most = Math.min(PARTIALS, Math.floor((0.45 * rate) / base));
  const strengths = Array.from({ length: most }, (_, k) => strengthOf(base * (k + 1), k + 1, body));
  const offsets = strengths.map(() => 2 * Math.PI * chance());
  const attack = from === undefined ? ATTACK : 0.015;
  let phase = 0;
  let bow = 0;
  for (let n = 0; n < count; n++) {
    const t = n / rate;
    phase += (2 * Math.PI * hertzOfCents(pitchAt(note, Math.min(t, length), from))) / rate;
    const rise = Math.min(1, t / attack);
    const fall = Math.max(0, Math.min(1, 1 - (t - length + lift) / RELEASE));
    const rung = note.open && t >= length ? RING * Math.exp(-(t - length) / RING_SECONDS) : 0;
    const loud = Math.max(rise * fall * (0.9 + 0.1 * Math.sin(9 * t)), rung);
    if (loud === 0) continue;
    let value = 0;
    for (let k = 0; k < most; k++) value += strengths[k] * Math.sin((k + 1) * phase + offsets[k]);
    bow = 0.6 * bow + 0.4 * (chance() - 0.5);
    out[first + n] += loud * (value + 0.05 * bow);
  }
}

interface Resonance {
  readonly hertz: number;
  readonly width: number;
  readonly gain: number;
}

/** A body of its own: some resonances from the air's to the bridge's. */
function resonances(chance: Chance): Resonance[] {
  return [280, 460, 700, 1100, 2200, 3100].map((hertz) => ({
    hertz: hertz * (0.85 + 0.3 * chance()),
    width: 0.25 + 0.2 * chance(),
    gain: 1 + 2 * chance(),
  }));
}

function strengthOf(hertz: number, partial: number, body: readonly Resonance[]): number {
  // A body hardly sounds what lies below its air.
  const low = 1 / (1 + (180 / hertz) ** 2);
  const lifted = body.reduce(
    (sum, { hertz: own, width, gain }) => sum + gain * Math.exp(-((Math.log(hertz / own) / width) ** 2)),
    0.6,
  );
  return (low * lifted) / partial;
}

/** A live room of about 0.7 s: four combs and an allpass. */
function addRoom(out: Float32Array, rate: number) {
  const dry = out.slice();
  const wet = new Float32Array(out.length);
  for (const [ms, gain] of [
    [29.7, 0.75],
    [37.1, 0.72],
    [41.1, 0.7],
    [43.7, 0.68],
  ]) {
    const delay = Math.round((ms * rate) / 1000);
    const line = new Float32Array(delay);
    for (let n = 0; n < out.length; n++) {
      const at = n % delay;
      const value = dry[n] + gain * line[at];
      wet[n] += line[at];
      line[at] = value;
    }
  }
  for (let n = 0; n < out.length; n++) out[n] = dry[n] + 0.09 * wet[n];
}
