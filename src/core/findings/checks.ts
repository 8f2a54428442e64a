import { soundsTouched } from '../instrument/nodes';
import type { Setup } from '../instrument/setup';
import { COMMA, FIFTH_EXCESS, openCents } from '../pitch/intonation';
import type { StringTuning } from '../vocabulary';
import { letterSteps, midiOf, spellAt, type Pitch } from '../pitch/pitch';
import type { Played } from './played';
import { beatsPerSecond, hertzOf, INTERVALS, pureBetween, widerWhenPure, type Interval } from './pure';
import { harmonicCents, isOpen, type Target } from './targets';

/*
 * What a note can be checked against: every open string with which it makes an interval the ear can judge, and natural harmonics. Each check is held
 * against the target in force, for a check that is pure somewhere else leads the finger astray.
 */

export interface Checkpoint {
  /** The string it is checked against, by index. */
  readonly string: number;
  /** Where the other note is: 0 for the open string, else where the string is touched. */
  readonly touch: number;
  /** What the other note sounds. */
  readonly pitch: Pitch;
  readonly interval: Interval;
  readonly ratio: readonly [number, number];
  readonly byThirds: boolean;
  /** True where the note lies above the other. */
  readonly above: boolean;
  /** True where both can sound at once: open strings that are neighbours. */
  readonly together: boolean;
  /** Where the note must be for the interval to be pure, in cents against equal. */
  readonly cents: number;
  /** By how much the interval is too wide with the note on its target, in cents. */
  readonly offCents: number;
  /** Beats a second with the note on its target. */
  readonly beats: number;
  /** True where that lies within the tolerance. */
  readonly fits: boolean;
}

/** Slower beats than this are heard as none, in beats a second. */
const BEATLESS = 1;

/** True where a check has no beats to be heard with the note on its target. */
export function isBeatless({ beats }: Pick<Checkpoint, 'beats'>): boolean {
  return beats < BEATLESS;
}

/** A note that another can be checked against. */
export interface Sounding {
  readonly string: number;
  readonly touch: number;
  readonly pitch: Pitch;
  readonly cents: number;
}

/**
 * What a note can be checked against of what sounds on the strings, the best first: what fits the target, then what sounds together with it, then by
 * interval. Thirds, sixths and tenths only where both sound together; of harmonics only what is the same note or an octave of it.
 */
export function checkpointsFor(note: Played, others: readonly Sounding[], target: Target): Checkpoint[] {
  const found = others.flatMap((other): Checkpoint[] => {
    const sameString = other.string === note.string;
    // The string cannot be open while a finger stops it; a harmonic on it is played after the note.
    if (sameString && (other.touch === 0 || note.finger === 0 || note.harmonic)) return [];
    const pure = pureBetween(note.pitch, other.pitch);
    if (!pure) return [];
    const together = other.touch === 0 && Math.abs(note.string - other.string) === 1;
    if (other.touch > 0 && pure.name !== 'unison' && pure.name !== 'octave') return [];
    if (pure.byThirds && !together) return [];
    const above = note.midi >= midiOf(other.pitch);
    const wider = widerWhenPure(pure);
    const cents = other.cents + (above ? wider : -wider);
    const offCents = (target.cents - cents) * (above ? 1 : -1);
    const lowerHz = above ? hertzOf(midiOf(other.pitch), other.cents) : hertzOf(note.midi, target.cents);
    return [
      {
        string: other.string,
        touch: other.touch,
        pitch: other.pitch,
        interval: pure.name,
        ratio: pure.ratio,
        byThirds: pure.byThirds,
        above,
        together,
        cents,
        offCents,
        beats: beatsPerSecond(pure.ratio, lowerHz, offCents),
        fits: Math.abs(offCents) <= target.toleranceCents,
      },
    ];
  });
  const rank = ({ interval }: Checkpoint) => INTERVALS.indexOf(interval);
  return found.sort(
    (a, b) =>
      Number(b.fits) - Number(a.fits) ||
      Number(b.together) - Number(a.together) ||
      Math.sign(a.touch) - Math.sign(b.touch) ||
      rank(a) - rank(b),
  );
}

/** Natural harmonics that are easily found, by where the string is touched. */
const EASY_NODES = [12, 7, 5];

/** Everything a note may be checked against: open strings, and the harmonics on each. */
export function soundingOn(setup: Setup, tuning: StringTuning): Sounding[] {
  return setup.strings.flatMap((open, string): Sounding[] => {
    const cents = openCents(open.pitch, tuning);
    const harmonics = EASY_NODES.flatMap((touch): Sounding[] => {
      const sounds = soundsTouched(touch);
      if (!sounds) return [];
      const pitch = spellAt(open.steps + sounds.steps, open.midi + sounds.semitones);
      return [{ string, touch, pitch, cents: cents + harmonicCents(touch) }];
    });
    return [{ string, touch: 0, pitch: open.pitch, cents }, ...harmonics];
  });
}

/** Two honest checks of one note that a comma parts: one by fifths and fourths, one by thirds and sixths. */
export interface CommaConflict {
  readonly fifth: Checkpoint;
  readonly third: Checkpoint;
  /** How far apart they put the note, in cents. */
  readonly apart: number;
}

/** The first conflict of a note's checks with open strings, or null. */
export function commaConflict(checks: readonly Checkpoint[]): CommaConflict | null {
  const open = checks.filter(({ touch }) => touch === 0);
  for (const fifth of open.filter(({ byThirds }) => !byThirds))
    for (const third of open.filter(({ byThirds }) => byThirds)) {
      const apart = Math.abs(fifth.cents - third.cents);
      if (Math.abs(apart - COMMA) < COMMA / 2) return { fifth, third, apart };
    }
  return null;
}

export interface Ringing {
  readonly string: number;
  readonly why: 'same' | 'fifth';
}

/** An open string rings along where a partial of it lies no further than this from one of the note, in cents. */
const RINGS_WITHIN = 6;

/** Which open strings ring along with a note on its target: of the same letter, or of which it is the fifth. */
export function ringing(note: Played, setup: Setup, tuning: StringTuning, target: Target): Ringing[] {
  if (isOpen(note)) return [];
  return setup.strings.flatMap((open, string): Ringing[] => {
    if (string === note.string) return [];
    const semitones = (((note.midi - open.midi) % 12) + 12) % 12;
    const steps = (((letterSteps(note.pitch) - open.steps) % 7) + 7) % 7;
    const away = target.cents - openCents(open.pitch, tuning);
    if (semitones === 0 && steps === 0 && Math.abs(away) <= RINGS_WITHIN) return [{ string, why: 'same' }];
    const fifth = semitones === 7 && steps === 4 && Math.abs(away - FIFTH_EXCESS) <= RINGS_WITHIN;
    return fifth ? [{ string, why: 'fifth' }] : [];
  });
}
