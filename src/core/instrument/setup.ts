import { letterSteps, midiOf, parsePitch, pitchName, type Pitch } from '../pitch/pitch';
import type { Issue } from '../issue';
import { instrumentRecord } from './instruments';
import type { InstrumentName } from '../vocabulary';
import type { InstrumentRecord } from './record';

export interface OpenString {
  /** Sounding name, such as "G3". */
  readonly name: string;
  readonly pitch: Pitch;
  readonly midi: number;
  /** Letter steps above C0. */
  readonly steps: number;
}

/** One instrument as it lies in the hand: its strings low to high and their length. */
export interface Setup {
  readonly instrument: InstrumentRecord;
  readonly strings: readonly OpenString[];
  readonly lengthMm: number;
  /** Highest stop worth planning, in semitones above the open string, and the highest there is where the music asks for it. */
  readonly reachSemitones: number;
  readonly furthestSemitones: number;
  /** Semitones that keys or gates beyond the nut carry the lowest string down; 0 without them. */
  readonly extensionSemitones: number;
}

export interface SetupChoice {
  readonly instrument: InstrumentName;
  readonly size?: string;
  readonly tuning?: readonly string[];
  readonly stringLengthMm?: number;
  /** Lowest note of an extension of the lowest string, sounding ("C1" on a double bass). */
  readonly extensionTo?: string;
  /** Where this fingerboard ends, in semitones above the open string. */
  readonly fingerboardSemitones?: number;
}

/**
 * Fills a choice up with what is usual for the instrument.
 * Names must have been checked by setupIssues; an unreadable one throws.
 */
export function resolveSetup(choice: SetupChoice): Setup {
  const data = instrumentRecord(choice.instrument);
  const strings = (choice.tuning ?? data.tuning).map((name) => {
    const pitch = parsePitch(name);
    if (!pitch) throw new RangeError(`no pitch: ${name}`);
    return { name: pitchName(pitch), pitch, midi: midiOf(pitch), steps: letterSteps(pitch) };
  });
  return {
    instrument: data,
    strings,
    lengthMm: choice.stringLengthMm ?? data.sizes[choice.size ?? data.defaultSize],
    reachSemitones: choice.fingerboardSemitones ?? data.reachSemitones,
    furthestSemitones: choice.fingerboardSemitones ?? data.furthestSemitones,
    extensionSemitones: extensionBelow(choice.extensionTo, strings[0]),
  };
}

/** The instrument as some music asks for it: up to its furthest stop where the highest note lies beyond the usual end. */
export function setupReaching(setup: Setup, highestMidi: number): Setup {
  const { strings, reachSemitones, furthestSemitones } = setup;
  const beyond = highestMidi > strings[strings.length - 1].midi + reachSemitones;
  return beyond ? { ...setup, reachSemitones: furthestSemitones } : setup;
}

function extensionBelow(lowest: string | undefined, string: OpenString): number {
  const pitch = lowest === undefined ? null : parsePitch(lowest);
  return pitch ? string.midi - midiOf(pitch) : 0;
}

/** Longest extension built: from E down to B. */
const MOST_EXTENSION = 5;
/** Lowest and highest pitch of any string, C0 and E7, as MIDI numbers. */
const LOWEST_STRING = 12;
const HIGHEST_STRING = 100;

/** @returns what is wrong with a choice, each with the way to mend it; empty where nothing is. */
export function setupIssues(choice: SetupChoice): Issue[] {
  const data = instrumentRecord(choice.instrument);
  const issues: Issue[] = [];
  if (choice.size !== undefined && !Object.hasOwn(data.sizes, choice.size)) {
    const sizes = Object.keys(data.sizes);
    issues.push({ path: '/size', code: 'no-size', data: { instrument: choice.instrument, sizes } });
  }
  const tuning = choice.tuning ?? [];
  const midis = tuning.map((name) => parsePitch(name)).map((pitch) => (pitch ? midiOf(pitch) : NaN));
  midis.forEach((midi, at) => {
    const path = `/tuning/${at}`;
    const name = tuning[at];
    if (Number.isNaN(midi)) issues.push({ path, code: 'no-pitch', data: { name } });
    else if (midi < LOWEST_STRING || midi > HIGHEST_STRING)
      issues.push({ path, code: 'no-string-pitch', data: { name } });
    else if (at > 0 && midi <= midis[at - 1])
      issues.push({ path, code: 'strings-not-rising', data: { name, below: tuning[at - 1] } });
  });
  if (issues.length > 0 || choice.extensionTo === undefined) return issues;
  const { strings, extensionSemitones } = resolveSetup(choice);
  if (!parsePitch(choice.extensionTo) || extensionSemitones < 1 || extensionSemitones > MOST_EXTENSION)
    issues.push({
      path: '/extensionTo',
      code: 'no-extension',
      data: { string: strings[0].name, most: MOST_EXTENSION },
    });
  return issues;
}
