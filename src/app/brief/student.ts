import {
  instrumentRecord,
  midiOf,
  parsePitch,
  pitchName,
  requestIssues,
  resolveSetup,
  spellMidi,
  type Issue,
  type OpenString,
  type PlanRequest,
  type PlanRecord,
  type Playing,
  type StudentRecord,
} from '../../core';
import { newRecord } from '../../store/records';
import { instrumentWords } from '../../wording/instruments';
import { playableTonics, tonicClass, withInstrument } from './briefMaterial';

/*
 * What a student brings to a brief: the instrument, the hand and the positions they know.
 */

/** The part of a request that its player decides. */
export function playingOf(whole: Playing): Playing {
  const { instrument, size, tuning, extensionTo, stringLengthMm, fingerboardSemitones, hand, school } = whole;
  return { instrument, size, tuning, extensionTo, stringLengthMm, fingerboardSemitones, hand, school };
}

/** What is wrong with what is known of a student, each with the way to mend it. */
export function playingIssues(plays: Playing): Issue[] {
  const material = { type: 'scale', tonic: 'C4', scale: 'major', octaves: 1, direction: 'up' } as const;
  return requestIssues({ ...plays, material });
}

/**
 * A brief turned to a student: played on their instrument, with their hand, in positions they know. On another instrument or other
 * strings the demands at single notes are left behind. The key stays; on another instrument it begins in the octave that lies most
 * like the old start above the lowest string, so that the hand meets it where it did. A taste noticed for another student is theirs.
 */
export function forStudent(request: PlanRequest, { plays, positions, preferences }: StudentRecord): PlanRequest {
  const otherStrings =
    plays.instrument !== request.instrument || !same(plays.tuning, request.tuning) || !!plays.extensionTo;
  const base = plays.instrument === request.instrument ? request : withInstrument(request, plays.instrument);
  const rules = {
    ...base.rules,
    positions: positions ?? request.rules?.positions,
    ...(otherStrings ? { strings: undefined, locks: undefined, never: undefined } : {}),
  };
  const turned: PlanRequest = { ...base, ...playingOf(plays), preferences, rules };
  const { material } = request;
  if (material.type === 'notes') return turned;
  const height = heightOf(request, material.tonic);
  const away = (tonic: string) => Math.abs(heightOf(turned, tonic) - height);
  const [tonic] = playableTonics({ ...turned, material }, tonicClass(material)).sort((a, b) => away(a) - away(b));
  return tonic ? { ...turned, material: { ...material, tonic } } : { ...turned, material };
}

/** A plan given to another student: a copy on their instrument, for their hand, that knows where it came from. */
export function givenTo({ id, name, tags, request }: PlanRecord, student: StudentRecord, now: number): PlanRecord {
  const turned = forStudent(request, student);
  const part = { name: nameOn(turned, name, request), tags, studentId: student.id, givenFrom: id };
  return newRecord(turned, now, part);
}

/** A name that says the old instrument is not true on another: the program names it then. */
function nameOn({ instrument }: PlanRequest, name: string, before: PlanRequest): string {
  const isOther = instrument !== before.instrument;
  return isOther && name.toLowerCase().includes(instrumentWords(before.instrument)) ? '' : name;
}

/** Semitones above the lowest string. */
function heightOf(request: PlanRequest, tonic: string): number {
  const pitch = parsePitch(tonic);
  return pitch ? midiOf(pitch) - resolveSetup(request).strings[0].midi : 0;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** True where a plan was made for what its student plays on now: instrument, strings and hand. */
export function madeForNow({ request }: PlanRecord, { plays }: StudentRecord): boolean {
  return same(playingOf(request), playingOf(plays));
}

/** The highest string of an instrument as it is strung. */
export function topString(plays: Playing): OpenString {
  const { strings } = resolveSetup(plays);
  return strings[strings.length - 1];
}

/** The last note of the fingerboard, on the highest string: "A♭7". */
export function endOfFingerboard(plays: Playing): string {
  return pitchName(spellMidi(topString(plays).midi + resolveSetup(plays).reachSemitones, 'flat'));
}

/** Where a fingerboard ends that goes on to a note, in semitones; undefined where that is the usual end or no note. */
export function fingerboardOf(words: string, plays: Playing): number | undefined {
  const pitch = parsePitch(words.trim());
  if (!pitch) return undefined;
  const semitones = midiOf(pitch) - topString(plays).midi;
  return semitones === instrumentRecord(plays.instrument).reachSemitones ? undefined : semitones;
}
