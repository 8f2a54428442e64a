import {
  instrumentRecord,
  midiOf,
  parsePitch,
  pitchClassName,
  pitchName,
  resolveSetup,
  type DoubleStopInterval,
  type InstrumentName,
  type PlanRequest,
  type Rules,
  type Pitch,
  schoolsOf,
  type RunSpec,
} from '../../core';

/** Tonics in the order of the scale; the natural before its signs, so that typing its letter finds it. */
export const TONICS = [
  'C', 'C#', 'D', 'Db', 'E', 'Eb', 'F', 'F#', 'G', 'Gb', 'A', 'Ab', 'B', 'Bb',
] as const; // prettier-ignore

/** A scale in the key of a list of notes, beginning as near to its first note as can be. */
export function asScale(request: PlanRequest): RunSpec {
  const { material } = request;
  const [tonic, mode = 'major'] = (material.type === 'notes' ? (material.key ?? '') : '').split(' ');
  const first = material.type === 'notes' ? material.notes.find((note) => 'pitches' in note) : undefined;
  const start = first && 'pitches' in first ? first.pitches[0] : 'A3';
  const run: RunSpec = { type: 'scale', tonic: start, scale: MODES.get(mode) ?? 'major', octaves: 1, direction: 'up' };
  const moved = withTonic({ ...request, material: run }, run, tonic || 'C').material;
  return moved as RunSpec;
}

const MODES: ReadonlyMap<string, string> = new Map([['minor', 'natural-minor']]);

/** The same key, octaves and direction as another kind of material. */
export function withKind(material: RunSpec, kind: string): RunSpec {
  const { tonic, octaves, direction, notesPerBow } = material;
  const run = { tonic, octaves, direction, ...(notesPerBow ? { notesPerBow } : {}) };
  const scale = 'scale' in material ? material.scale : 'major';
  const chord = 'chord' in material ? material.chord : 'major';
  switch (kind) {
    case 'arpeggio':
      return { type: 'arpeggio', chord, ...run };
    case 'in-threes':
      return { type: 'arpeggio', figure: 'in-threes', chord, ...run };
    case 'scale':
    case 'broken-thirds':
    case 'broken-fourths':
    case 'broken-sixths':
      return { type: kind, scale, ...run };
  }
  return { type: 'double-stops', interval: kind as DoubleStopInterval, scale, ...run };
}

function named(tonicClass: string, octave: number): Pitch {
  const pitch = parsePitch(`${tonicClass}${octave}`);
  if (!pitch) throw new RangeError(`no tonic: ${tonicClass}`);
  return pitch;
}

/** Semitones by which the upper voice of double stops can lie above the lower one. */
const UPPER_VOICE: Readonly<Record<DoubleStopInterval, number>> = {
  third: 4,
  sixth: 9,
  octave: 12,
  'fingered-octave': 12,
  tenth: 16,
};

/** The tonics of one name from which the instrument has room for so many octaves, low to high. */
function tonicsWithRoom(request: PlanRequest, tonicClass: string, octaves: number): string[] {
  const { strings, furthestSemitones, extensionSemitones } = resolveSetup(request);
  const { material } = request;
  const above = material.type === 'double-stops' ? UPPER_VOICE[material.interval] : 0;
  const low = strings[0].midi - extensionSemitones;
  const top = strings[strings.length - 1].midi + furthestSemitones - 12 * octaves - above;
  return Array.from({ length: 8 }, (_, octave) => named(tonicClass, octave))
    .filter((pitch) => midiOf(pitch) >= low && midiOf(pitch) <= top)
    .map(pitchName);
}

export function hasRoom(request: PlanRequest, material: RunSpec, octaves: number): boolean {
  return tonicsWithRoom(request, tonicClass(material), octaves).length > 0;
}

/**
 * The tonics of one name that the instrument can start on, low to high: those with room for all the octaves, or where there are none,
 * for one.
 */
export function playableTonics(request: PlanRequest, tonicClass: string): string[] {
  const octaves = request.material.type === 'notes' ? 1 : request.material.octaves;
  const whole = tonicsWithRoom(request, tonicClass, octaves);
  return whole.length > 0 ? whole : tonicsWithRoom(request, tonicClass, 1);
}

export function tonicClass(material: RunSpec): string {
  const pitch = parsePitch(material.tonic);
  return pitch ? pitchClassName(pitch) : 'A';
}

/** Which of its own octaves a tonic is in, counted from the lowest that the instrument has: what a teacher means by "the low one". */
export function octaveRank(request: PlanRequest, material: RunSpec): number {
  const tonics = tonicsWithRoom(request, tonicClass(material), 1);
  return Math.max(0, tonics.indexOf(material.tonic));
}

/**
 * The request with its tonic on another name, in the same of its octaves, or the highest below that has room.
 * @param rank which octave, where another was chosen than the material is in
 */
export function withTonic(
  request: PlanRequest,
  material: RunSpec,
  name: string,
  rank = octaveRank(request, material),
): PlanRequest {
  const tonics = playableTonics(request, name);
  const tonic = tonics[Math.min(rank, tonics.length - 1)];
  return tonic ? { ...request, material: { ...material, tonic } } : request;
}

function asksThumb(rules: Rules | undefined): boolean {
  const { positions } = rules ?? {};
  return positions !== undefined && JSON.stringify(positions).includes('thumb');
}

/** The request moved to another instrument at its usual size; what only the old one had is left behind. */
export function withInstrument(request: PlanRequest, instrument: InstrumentName): PlanRequest {
  const { hand, style, tempo, material, rules, alternatives } = request;
  const data = instrumentRecord(instrument);
  const school = schoolsOf(data).some((name) => name === request.school) ? request.school : undefined;
  const named = typeof hand === 'string' ? hand : undefined;
  const positions = !data.thumb && asksThumb(rules) ? undefined : rules?.positions;
  const onStrings = rules && { ...rules, positions, strings: undefined, locks: undefined, never: undefined };
  const moved: PlanRequest = {
    instrument,
    hand: named,
    school,
    style,
    tempo,
    material,
    rules: onStrings,
    alternatives,
  };
  if (material.type === 'notes') return moved;
  const [lowest] = playableTonics(moved, tonicClass(material));
  return lowest ? { ...moved, material: { ...material, tonic: lowest } } : moved;
}
