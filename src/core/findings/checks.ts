import { soundsTouched } from '../instrument/nodes';
import type { Setup } from '../instrument/setup';
import { centsOf, COMMA, openCents } from '../pitch/intonation';
import type { StringTuning } from '../vocabulary';
import { midiOf, spellAt, type Pitch } from '../pitch/pitch';
import type { Played } from './played';
import { beatsPerSecond, hertzOf, INTERVALS, pureBetween, widerWhenPure, type Interval } from './pure';
import { harmonicCents, isOpen, type Aimed, type Target } from './targets';

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
  /** True where both can sound at once: an open string beside the one that is stopped. */
  readonly neighbours: boolean;
  /** True where both are heard as one sound at the target, still or slowly beating. */
  readonly together: boolean;
  /** Where the note must be for the interval to be pure, in cents against equal. */
  readonly cents: number;
  /** By how much the interval is too wide with the note on its target, in cents. */
  readonly offCents: number;
  /** Beats a second with the note on its target. */
  readonly beats: number;
  /** True where it is pure at the target as far as an ear tells; the tolerance of the level judges the player, never the check. */
  readonly fits: boolean;
}

/** Slower beats than this are heard as none, in beats a second. */
const BEATLESS = 1;
/** Sounding together an interval is heard as true up to here, in cents; and up to so many beats a second, which are a roughness where they are faster. */
const TOGETHER_WITHIN = 6;
const SLOW_BEATS = 4;
/** One after the other an interval is heard as true up to here, in cents: about what a trained ear tells apart in a melody. */
const IN_TURN_WITHIN = 10;

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
 * What a note can be checked against of what sounds on the strings, the best first: what fits the target, then what can sound together with it, then by
 * interval. Thirds, sixths and tenths only on neighbouring strings; of harmonics only what is the same note or an octave of it. What does not fit is left
 * out but for the one that a comma parts from what does.
 */
export function checkpointsFor(note: Aimed, others: readonly Sounding[], target: Target): Checkpoint[] {
  const found = intervalsWith(note, others, target);
  const comma = commaConflict(found);
  const told = found.filter((check) => check.fits || check === comma?.fifth || check === comma?.third);
  const rank = ({ interval }: Checkpoint) => INTERVALS.indexOf(interval);
  return told.sort(
    (a, b) =>
      Number(b.fits) - Number(a.fits) ||
      Number(b.neighbours) - Number(a.neighbours) ||
      rank(a) - rank(b) ||
      a.touch - b.touch,
  );
}

/** Every interval the ear can judge between a note and what sounds on the strings, whether it is pure at the target or not. */
function intervalsWith(note: Aimed, others: readonly Sounding[], target: Target): Checkpoint[] {
  return others.flatMap((other): Checkpoint[] => {
    const sameString = other.string === note.string;
    // The string cannot be open while a finger stops it; a harmonic on it is played after the note.
    if (sameString && (other.touch === 0 || note.finger === 0 || note.harmonic)) return [];
    const pure = pureBetween(note.pitch, other.pitch);
    if (!pure) return [];
    const neighbours = other.touch === 0 && Math.abs(note.string - other.string) === 1;
    if (other.touch > 0 && pure.name !== 'unison' && pure.name !== 'octave') return [];
    if (pure.byThirds && !neighbours) return [];
    const above = note.midi >= midiOf(other.pitch);
    const wider = widerWhenPure(pure);
    const cents = other.cents + (above ? wider : -wider);
    const offCents = (target.cents - cents) * (above ? 1 : -1);
    const lowerHz = above ? hertzOf(midiOf(other.pitch), other.cents) : hertzOf(note.midi, target.cents);
    const beats = beatsPerSecond(pure.ratio, lowerHz, offCents);
    const off = Math.abs(offCents);
    const together = neighbours && off <= TOGETHER_WITHIN && beats < SLOW_BEATS;
    return [
      {
        string: other.string,
        touch: other.touch,
        pitch: other.pitch,
        interval: pure.name,
        ratio: pure.ratio,
        byThirds: pure.byThirds,
        above,
        neighbours,
        together,
        cents,
        offCents,
        beats,
        fits: together || off <= IN_TURN_WITHIN,
      },
    ];
  });
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

/** The first conflict of a note's checks with open strings: one that is pure at the target, and one that a comma parts from it; or null. */
export function commaConflict(checks: readonly Checkpoint[]): CommaConflict | null {
  const open = checks.filter(({ touch }) => touch === 0);
  for (const fifth of open.filter(({ byThirds }) => !byThirds))
    for (const third of open.filter(({ byThirds }) => byThirds)) {
      const apart = Math.abs(fifth.cents - third.cents);
      if (fifth.fits !== third.fits && Math.abs(apart - COMMA) < COMMA / 2) return { fifth, third, apart };
    }
  return null;
}

/** Open strings, by index, that a note wakes: clearly, or faintly by a partial that both have in common higher up. */
export interface Ringing {
  readonly clear: readonly number[];
  readonly faint: readonly number[];
}

/** An open string rings along where a partial of it lies no further than this from one of the note, in cents. */
const RINGS_WITHIN = 6;

/** What an open string answers to, as the note's frequency over its own: its first four partials, and itself as the second or third partial of the note. */
const RINGS: readonly number[] = [1, 2, 3, 4, 1 / 2, 1 / 3].map(centsOf);
/** What it answers faintly: a fifth, a fourth or a third to either side. */
const FAINT: readonly number[] = [3 / 2, 4 / 3, 5 / 4, 2 / 3, 3 / 4, 4 / 5].map(centsOf);

/** Which open strings ring along with a stopped note on its target; never a string that is stopped. */
export function ringing(note: Played, setup: Setup, tuning: StringTuning, target: Target): Ringing {
  if (isOpen(note)) return { clear: [], faint: [] };
  const stopped = new Set(note.step.stops.filter(({ finger }) => finger !== 0).map(({ string }) => string));
  const answers = (intervals: readonly number[]) =>
    setup.strings.flatMap((open, string): number[] => {
      if (string === note.string || stopped.has(open.name)) return [];
      const cents = 100 * (note.midi - open.midi) + target.cents - openCents(open.pitch, tuning);
      return intervals.some((interval) => Math.abs(cents - interval) <= RINGS_WITHIN) ? [string] : [];
    });
  return { clear: answers(RINGS), faint: answers(FAINT) };
}
