import {
  inPosition,
  INSTRUMENTS,
  parsePitch,
  pitchClassName,
  type Plan,
  type PlanRequest,
  type Step,
  type TermName,
} from '../core';
import { CHORDS, KIND_WORDS, kindOf, SCALES, sizeWords, tonicClass } from './material';

/** What each term of a plan's cost is about, in a teacher's words. */
export const TERM_WORDS: Readonly<Record<TermName, string>> = {
  shift: 'shifting',
  landing: 'weak landings',
  crossing: 'string crossings',
  skip: 'skipped strings',
  extension: 'extensions',
  reach: 'stretching',
  fourth: 'the little finger',
  open: 'open strings',
  displace: 'sliding a finger by a semitone',
  height: 'lying off first position',
  colour: 'changes of colour',
  frame: 'unusual finger patterns',
  return: 'another way back',
};

/** "F#4" as it is spoken: "F sharp 4". */
export function spoken(name: string): string {
  const pitch = parsePitch(name);
  return pitch ? `${classWords(name)} ${pitch.octave}` : name;
}

/** "Eb4" or "Eb" as "E flat". */
export function classWords(name: string): string {
  const pitch = parsePitch(/\d/.test(name) ? name : `${name}4`);
  if (!pitch) return name;
  const signs: Record<string, string> = {
    '-2': ' double flat',
    '-1': ' flat',
    '1': ' sharp',
    '2': ' double sharp',
  };
  return pitchClassName({ ...pitch, alteration: 0 }) + (signs[String(pitch.alteration)] ?? '');
}

/** "Eb4" in print: "E♭". */
export function printed(name: string): string {
  const pitch = parsePitch(/\d/.test(name) ? name : `${name}4`);
  if (!pitch) return name;
  return pitchClassName(pitch).replaceAll('b', '♭').replaceAll('#', '♯');
}

/** A sentence with its pitches in print: "C#6 (note 17)" as "C♯6 (note 17)". */
export function printedPitches(sentence: string): string {
  return sentence.replace(
    /\b([A-G])(##?|bb?)(?=-?\d)/g,
    (_, letter: string, signs: string) => letter + signs.replaceAll('#', '♯').replaceAll('b', '♭'),
  );
}

export function stringWords(open: string): string {
  return `${printed(open)} string`;
}

/** The way a plan goes, by its positions: "1st position throughout", "2 shifts: 1st – 3rd – 1st". */
export function planWords(plan: Plan): string {
  const names = plan.steps.map((step) => (step.position === 'thumb' ? 'thumb' : step.positionName));
  const run = names.filter((name, at) => name !== names[at - 1]);
  if (plan.shifts.length === 0) return `${run[0]} position throughout`;
  const shifts = plan.shifts.length;
  const shown = run.length > 7 ? [...run.slice(0, 6), '…'] : run;
  return `${shifts} ${shifts === 1 ? 'shift' : 'shifts'}: ${shown.join(' – ')}`;
}

/** The terms that make most of a plan's cost, dearest first. */
export function dearestTerms(plan: Plan, count: number): { readonly words: string; readonly cost: number }[] {
  return (Object.entries(plan.terms) as [TermName, number][])
    .sort((a, b) => b[1] - a[1])
    .slice(0, count)
    .filter(([, cost]) => cost >= 0.05)
    .map(([name, cost]) => ({ words: TERM_WORDS[name], cost }));
}

/** One note of a plan, said aloud. */
export function stepWords(step: Step, pitches: readonly string[], at: number, of: number): string {
  const fingers = step.stops
    .map((stop) =>
      stop.finger === 0
        ? `open ${stop.string[0]}`
        : `${stop.finger === 'T' ? 'thumb' : `finger ${stop.finger}`} on the ${stringWords(stop.string)}`,
    )
    .join(' and ');
  const place = inPosition(step.positionName).replace(/^in /, '');
  const stretch = step.extended ? ', extended' : step.leaned ? ', leaning on the thumb' : '';
  return `Note ${at + 1} of ${of}: ${pitches.map(spoken).join(' and ')}, ${fingers}, ${place}${stretch}`;
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five'];

export function countWords(n: number): string {
  return COUNTS[n] ?? String(n);
}

/** "Eb major" in print: "E♭ major". */
export function printedKey(key = 'C major'): string {
  const [tonic, ...mode] = key.split(' ');
  return [printed(tonic), ...mode].join(' ');
}

/** A plan's name where its maker gave none: "A major scale, two octaves, violin". */
export function requestWords(request: PlanRequest): string {
  const { material, instrument } = request;
  const label = INSTRUMENTS[instrument].label;
  const size = request.size ? `${sizeWords(instrument, request.size)} ` : '';
  if (material.type === 'notes')
    return `${material.notes.length} notes in ${printedKey(material.key)}, ${size}${label}`;
  const [list, value] = material.type === 'arpeggio' ? [CHORDS, material.chord] : [SCALES, material.scale];
  const kind = list.find(([name]) => name === value)?.[1] ?? value.replaceAll('-', ' ');
  const what = KIND_WORDS.find(([name]) => name === kindOf(material))?.[1] ?? 'scale';
  const octaves = `${countWords(material.octaves)} ${material.octaves === 1 ? 'octave' : 'octaves'}`;
  return `${printed(tonicClass(material))} ${kind} ${what}, ${octaves}, ${size}${label}`;
}

/** A plan's title in a list: whose it is and what it is called. */
export function planTitle(
  plan: { readonly name: string; readonly request: PlanRequest },
  student?: { readonly name: string },
): string {
  const words = plan.name || requestWords(plan.request);
  return student ? `${student.name}: ${words}` : words;
}
