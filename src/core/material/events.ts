import type { Key } from '../pitch/key';
import type { Pitch } from '../pitch/pitch';
import type { BowDirection, Divisi } from '../vocabulary';
import type { MusicChange } from '../vocabulary';

/** One thing that happens in the music. `at` counts all events from 0, rests too. */
export type MusicEvent = SoundingEvent | RestEvent;

export interface SoundingEvent extends PhraseMark {
  /** True where it is joined to the next note under one bow. */
  readonly slur?: true;
  /** The way of the bow, where it is written. */
  readonly bow?: BowDirection;
  /** True where a bar line stands before it. */
  readonly bar?: true;
  /** Bar lines inside it, where it is held over them; in beats from its start. */
  readonly bars?: readonly number[];
  readonly kind: 'sounding';
  readonly at: number;
  /** Sounding pitches, low to high. */
  readonly pitches: readonly Pitch[];
  /** Length in notes' own beats. */
  readonly beats: number;
  /** How an octave is to be taken; as it comes where nothing is said. */
  readonly octave?: OctaveFingering;
  readonly accent?: true;
  /** Left before its time is out. */
  readonly short?: true;
  /** Of two notes for two players the one that is planned. */
  readonly divisi?: Divisi;
  /** The other one, where the two cannot be stopped together. */
  readonly left?: Pitch;
}

/** What is written about phrases: one begins here, or none does although one would be inferred; a double bar stands before it. */
interface PhraseMark {
  readonly phrase?: boolean;
  readonly doubleBar?: true;
}

/** In one frame that slides (1–4, the thumb and 3), or by neighbouring fingers that follow each other (1–3 and 2–4). */
export type OctaveFingering = 'framed' | 'fingered';

interface RestEvent extends PhraseMark {
  readonly bar?: true;
  readonly bars?: readonly number[];
  readonly kind: 'rest';
  readonly at: number;
  readonly beats: number;
}

/** Material worked out into events, with the signature it is written in. */
export interface Music {
  readonly key: Key;
  readonly events: readonly MusicEvent[];
  /** True where the line turns round in the middle and comes back through the same notes. */
  readonly returns: boolean;
  /** Time signature, and beats before the first bar. */
  readonly time: string;
  readonly pickup: number;
  /** Number of the first whole bar in print, where it is another than 1. */
  readonly firstBar?: number;
  /** Changes on the way, in order. */
  readonly changes: readonly MusicChange[];
}
