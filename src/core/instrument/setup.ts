import { letterSteps, midiOf, parsePitch, pitchName, type Pitch } from '../pitch/pitch';
import { INSTRUMENTS, type InstrumentKind } from './instruments';

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
  readonly kind: InstrumentKind;
  readonly strings: readonly OpenString[];
  readonly lengthMm: number;
  readonly reachSemitones: number;
  /** Semitones that keys or gates beyond the nut carry the lowest string down; 0 without them. */
  readonly extensionSemitones: number;
}

export interface SetupChoice {
  readonly instrument: InstrumentKind;
  readonly size?: string;
  readonly tuning?: readonly string[];
  readonly stringLengthMm?: number;
  /** Lowest note of an extension of the lowest string, sounding ("C1" on a double bass). */
  readonly extensionTo?: string;
}

/**
 * Fills a choice up with what is usual for the instrument.
 * Names must have been checked by setupIssues; an unreadable one throws.
 */
export function resolveSetup(choice: SetupChoice): Setup {
  const data = INSTRUMENTS[choice.instrument];
  const strings = (choice.tuning ?? data.tuning).map((name) => {
    const pitch = parsePitch(name);
    if (!pitch) throw new RangeError(`no pitch: ${name}`);
    return { name: pitchName(pitch), pitch, midi: midiOf(pitch), steps: letterSteps(pitch) };
  });
  return {
    kind: choice.instrument,
    strings,
    lengthMm: choice.stringLengthMm ?? data.sizes[choice.size ?? data.defaultSize],
    reachSemitones: data.reachSemitones,
    extensionSemitones: extensionBelow(choice.extensionTo, strings[0]),
  };
}

function extensionBelow(lowest: string | undefined, string: OpenString): number {
  const pitch = lowest === undefined ? null : parsePitch(lowest);
  return pitch ? string.midi - midiOf(pitch) : 0;
}

/** Longest extension built: from E down to B. */
const MOST_EXTENSION = 5;

export interface ChoiceIssue {
  readonly path: string;
  readonly message: string;
}

/** @returns what is wrong with a choice, each with the way to mend it; empty where nothing is. */
export function setupIssues(choice: SetupChoice): ChoiceIssue[] {
  const data = INSTRUMENTS[choice.instrument];
  const issues: ChoiceIssue[] = [];
  if (choice.size !== undefined && !Object.hasOwn(data.sizes, choice.size)) {
    issues.push({
      path: '/size',
      message: `A ${data.label} comes in the sizes ${Object.keys(data.sizes).join(', ')}; choose one of them or give stringLengthMm.`,
    });
  }
  const tuning = choice.tuning ?? [];
  const midis = tuning.map((name) => parsePitch(name)).map((pitch) => (pitch ? midiOf(pitch) : NaN));
  midis.forEach((midi, at) => {
    if (Number.isNaN(midi)) {
      issues.push({
        path: `/tuning/${at}`,
        message: `"${tuning[at]}" is no pitch; write it like "G3", "C#4" or "Eb5".`,
      });
    } else if (midi < 12 || midi > 100) {
      issues.push({
        path: `/tuning/${at}`,
        message: `"${tuning[at]}" is no pitch for a string; use C0 to E7.`,
      });
    } else if (at > 0 && midi <= midis[at - 1]) {
      issues.push({
        path: `/tuning/${at}`,
        message: `Strings go from low to high: "${tuning[at]}" is not above "${tuning[at - 1]}".`,
      });
    }
  });
  if (issues.length > 0 || choice.extensionTo === undefined) return issues;
  const { strings, extensionSemitones } = resolveSetup(choice);
  if (!parsePitch(choice.extensionTo) || extensionSemitones < 1 || extensionSemitones > MOST_EXTENSION)
    issues.push({
      path: '/extensionTo',
      message: `An extension carries the lowest string (${strings[0].name}) one to ${MOST_EXTENSION} semitones down; write its lowest note, such as "C1" under an E string.`,
    });
  return issues;
}
