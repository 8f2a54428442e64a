import { frameSchool } from '../hand/positions';
import { resolveSetup, type Setup } from '../instrument/setup';
import { spellInKey } from '../pitch/inkey';
import { keyAlteration, majorFifths, type Key } from '../pitch/key';
import { midiOf, parsePitch, pitchName, type Pitch } from '../pitch/pitch';
import { drillRequest } from '../practice/drillNotes';
import { noteOf, readKey } from '../practice/drills';
import type { Finger, MaterialSpec, PathStudent, PlanRequest, PositionNumber, Rules } from '../vocabulary';
import type { Range } from './range';

/*
 * What may come next: scales, arpeggios, broken thirds, double stops, patterns on one string, over keys, octaves, positions and bows, within the range.
 */

/** Tonics by how many signs their major key has; of two names of one key the one with fewer signs. */
const MAJOR_TONICS = ['C', 'G', 'F', 'D', 'Bb', 'A', 'Eb', 'E', 'Ab', 'B', 'Db', 'F#'];
const MINOR_TONICS = ['A', 'E', 'D', 'B', 'G', 'F#', 'C', 'C#', 'F', 'G#', 'Bb', 'Eb'];
const MINOR_SCALES = ['natural-minor', 'harmonic-minor', 'melodic-minor'];
/** Notes to a bow that a scale is tried with. */
const BOWS = [1, 2, 4, 8];
/** A scale of one octave begins at most so many semitones above the highest open string. */
const FARTHEST_TONIC = 5;

/** Every request that may be a step of this student, each once; planning says which can be played. */
export function candidatesFor(student: PathStudent, range: Range): PlanRequest[] {
  const setup = resolveSetup(student);
  const rules = inRange(student, range);
  const materials = [...lines(setup, range), ...(range.doubleStops ? doubleStops(setup) : [])];
  const plain = materials.flatMap((material) => bowed(material).map((one) => ({ ...student, material: one, rules })));
  const requests = [
    ...plain,
    ...withHarmonics(plain),
    ...range.positions.flatMap((position) => inPosition(student, setup, position)),
    ...range.positions.flatMap((position) => visiting(student, setup, range, position)),
    ...patternsOnOneString(student, setup, range),
  ];
  return [...new Map(requests.map((request) => [JSON.stringify(request), request])).values()];
}

/** The student's own rules, with positions up to the end of the range. */
function inRange({ rules }: PathStudent, { positions }: Range): Rules {
  const last = positions.at(-1) ?? 1;
  return { ...rules, positions: rules?.positions ?? { from: 0.5, to: last } };
}

/** Separate bows and slurs; broken thirds and double stops only separate. */
function bowed(material: MaterialSpec): MaterialSpec[] {
  if (material.type !== 'scale' && material.type !== 'arpeggio') return [material];
  return BOWS.map((notesPerBow) => (notesPerBow === 1 ? material : { ...material, notesPerBow }));
}

/** Where a line may begin: on each octave of its tonic that the neck has low enough. */
function tonicsOn(setup: Setup, name: string, octaves: number): string[] {
  const [low, high] = [setup.strings[0].midi, setup.strings[setup.strings.length - 1].midi];
  const starts = Array.from({ length: 8 }, (_, octave) => `${name}${octave}`).filter((one) => {
    const pitch = parsePitch(one);
    return pitch !== null && midiOf(pitch) >= low && midiOf(pitch) <= high + FARTHEST_TONIC;
  });
  // Several octaves begin as low as they can.
  return octaves === 1 ? starts : starts.slice(0, 1);
}

const DIRECTION = { direction: 'updown' } as const;

function lines(setup: Setup, { octaves, minor }: Range): MaterialSpec[] {
  const sizes = Array.from({ length: octaves }, (_, at) => at + 1);
  const each = (names: readonly string[], make: (tonic: string, size: number) => MaterialSpec[]) =>
    sizes.flatMap((size) => names.flatMap((name) => tonicsOn(setup, name, size).flatMap((tonic) => make(tonic, size))));
  const major = each(MAJOR_TONICS, (tonic, size) => [
    { type: 'scale', tonic, scale: 'major', octaves: size, ...DIRECTION },
    { type: 'arpeggio', tonic, chord: 'major', octaves: size, ...DIRECTION },
    ...(size === 1 ? [{ type: 'broken-thirds', tonic, scale: 'major', octaves: 1, ...DIRECTION } as const] : []),
  ]);
  if (!minor) return major;
  return [
    ...major,
    ...each(MINOR_TONICS, (tonic, size) => [
      ...MINOR_SCALES.map((scale): MaterialSpec => ({ type: 'scale', tonic, scale, octaves: size, ...DIRECTION })),
      { type: 'arpeggio', tonic, chord: 'minor', octaves: size, ...DIRECTION },
    ]),
  ];
}

const DOUBLE_STOPS = ['third', 'sixth', 'octave'] as const;

function doubleStops(setup: Setup): MaterialSpec[] {
  return DOUBLE_STOPS.flatMap((interval) =>
    MAJOR_TONICS.flatMap((name) => tonicsOn(setup, name, 2)).map((tonic): MaterialSpec => ({
      type: 'double-stops',
      interval,
      tonic,
      scale: 'major',
      octaves: 1,
      direction: 'up',
    })),
  );
}

/** Scales and arpeggios in separate bows whose top note is touched. */
function withHarmonics(requests: readonly PlanRequest[]): PlanRequest[] {
  return requests.flatMap((request) => {
    const { material, rules } = request;
    const plain = (material.type === 'scale' || material.type === 'arpeggio') && material.notesPerBow === undefined;
    const major =
      material.type === 'scale'
        ? material.scale === 'major'
        : material.type === 'arpeggio' && material.chord === 'major';
    return plain && major && !rules?.harmonics ? [{ ...request, rules: { ...rules, harmonics: 'last' } }] : [];
  });
}

/** The fingers that a scale in one position may begin with: where the hand goes in frames 3 seldom has a place of its own. */
const FIRST_FINGERS = { letters: [1, 2], frames: [1, 2, 4] } as const;

/** A scale of one octave that lies wholly in one position without open strings, from one string and finger. */
export interface OnePosition {
  readonly string: string;
  readonly finger: Finger;
  /** Requests for its tonics, the key with the fewest signs first. */
  readonly requests: readonly PlanRequest[];
}

/** Semitones above the open string within which a finger of a position is looked for. */
const HIGHEST_STOP = 24;

/** Major scales in one position, one group for each lowest string and first finger. */
export function scalesIn(student: PathStudent, setup: Setup, position: PositionNumber): OnePosition[] {
  const { by } = setup.instrument.fingering;
  return setup.strings.flatMap((string) =>
    FIRST_FINGERS[by === 'letters' ? 'letters' : 'frames'].map((finger): OnePosition => {
      const tonics = majorTonicsFrom(string.midi + 1, string.midi + HIGHEST_STOP);
      const requests = tonics.map((tonic): PlanRequest => ({
        ...student,
        material: { type: 'scale', tonic, scale: 'major', octaves: 1, ...DIRECTION },
        rules: {
          ...student.rules,
          positions: { only: [position] },
          openStrings: 'never',
          locks: [{ at: 0, finger, string: string.name, position }],
        },
      }));
      return { string: string.name, finger, requests };
    }),
  );
}

/** Tonics of major keys between two pitches, the fewest signs first, then the lower. */
function majorTonicsFrom(low: number, high: number): string[] {
  return MAJOR_TONICS.flatMap((letter) =>
    Array.from({ length: 8 }, (_, octave) => `${letter}${octave}`).filter((one) => {
      const pitch = parsePitch(one);
      return pitch !== null && midiOf(pitch) >= low && midiOf(pitch) <= high;
    }),
  );
}

/** Where the first finger lies in a position by letters: so many letters above the open string; the half position has the letter of the first. */
function letterPlaces(setup: Setup, position: PositionNumber): number[] {
  return typeof position === 'number'
    ? setup.strings.map(({ steps }) => steps + Math.max(1, Math.floor(position)))
    : [];
}

/** One-octave scales wholly in one position, by letters with the fingers where they lie. */
function inPosition(student: PathStudent, setup: Setup, position: PositionNumber): PlanRequest[] {
  if (setup.instrument.fingering.by !== 'letters' || typeof position !== 'number')
    return MAJOR_TONICS.flatMap((name) => tonicsOn(setup, name, 1)).map((tonic) =>
      alone(student, position, tonic, 'never'),
    );
  const firsts = letterPlaces(setup, position);
  return firsts.flatMap((first) =>
    FIRST_FINGERS.letters.flatMap((finger) =>
      spellings(first + finger - 1).flatMap((tonic) =>
        (['never', 'free'] as const).map((openStrings) => alone(student, position, pitchName(tonic), openStrings)),
      ),
    ),
  );
}

/** A letter as the tonic of major keys that have a signature of at most five signs. */
function spellings(steps: number): Pitch[] {
  const octave = Math.floor(steps / 7);
  const letter = steps - 7 * octave;
  return [0, -1, 1]
    .map((alteration): Pitch => ({ letter, octave, alteration }))
    .filter((pitch) => Math.abs(majorFifths(pitch)) <= MOST_SIGNS);
}
const MOST_SIGNS = 5;

function alone(
  student: PathStudent,
  position: PositionNumber,
  tonic: string,
  openStrings: 'never' | 'free',
): PlanRequest {
  const rules: Rules = { ...student.rules, positions: { only: [position] }, openStrings };
  return { ...student, material: { type: 'scale', tonic, scale: 'major', octaves: 1, ...DIRECTION }, rules };
}

/** Scales and arpeggios of several octaves, and of one, that have a stay in a position: they bring the shifts to it. */
function visiting(
  student: PathStudent,
  setup: Setup,
  { positions, octaves }: Range,
  position: PositionNumber,
): PlanRequest[] {
  if (position === positions[0]) return [];
  const own = student.rules?.positions;
  const rules: Rules = { ...student.rules, positions: own ?? { from: 0.5, to: position }, visit: [position] };
  const sizes = octaves > 1 ? [1, 2] : [1];
  return sizes.flatMap((size) =>
    MAJOR_TONICS.flatMap((name) => tonicsOn(setup, name, 2)).flatMap((tonic): PlanRequest[] => [
      { ...student, material: { type: 'scale', tonic, scale: 'major', octaves: size, ...DIRECTION }, rules },
      { ...student, material: { type: 'arpeggio', tonic, chord: 'major', octaves: size, ...DIRECTION }, rules },
    ]),
  );
}

/** The keys a pattern on one string is tried in: few signs come first. */
const PATTERN_KEYS = MAJOR_TONICS.slice(0, 9).map((name) => `${name} major`);

/** The fingers one after the other on one string, as they lie in a key: each pattern, on each string, in each numbered position. */
function patternsOnOneString(student: PathStudent, setup: Setup, { positions }: Range): PlanRequest[] {
  const byLetters = setup.instrument.fingering.by === 'letters';
  if (!byLetters) return framesOnOneString(student, setup, positions);
  return positions.flatMap((position) =>
    setup.strings.flatMap((string, at) => {
      const first = letterPlaces(setup, position).at(at);
      if (first === undefined) return [];
      return PATTERN_KEYS.map((key) => {
        const notes = [1, 2, 3, 4].map((finger) => noteIn(readKey(key), first + finger - 1));
        return upAndDown(student, key, string.name, position, notes, [1, 2, 3, 4]);
      });
    }),
  );
}

const noteIn = (key: Key, steps: number) => pitchName(noteOf(key, steps));

/** Where the hand goes in frames: of the fingers of each frame those that have a note of the key. */
function framesOnOneString(student: PathStudent, setup: Setup, positions: readonly PositionNumber[]): PlanRequest[] {
  const school = frameSchool(setup.instrument, student.school);
  if (!school) return [];
  return Object.entries(school.positions).flatMap(([stop, position]) => {
    if (position === 'thumb' || !positions.includes(position)) return [];
    return setup.strings.flatMap((string) =>
      setup.instrument.firstPatterns.flatMap((pattern) =>
        PATTERN_KEYS.flatMap((name) => {
          const key = readKey(name);
          const laid = pattern.places.flatMap((place, n) => {
            const pitch = inKey(key, string.midi + Number(stop) + place);
            return pitch === null ? [] : [{ pitch, finger: pattern.fingers[n] }];
          });
          if (laid.length < LEAST_FINGERS) return [];
          const [notes, fingers] = [laid.map(({ pitch }) => pitch), laid.map(({ finger }) => finger)];
          return [upAndDown(student, name, string.name, position, notes, fingers)];
        }),
      ),
    );
  });
}

/** Fingers that make a pattern. */
const LEAST_FINGERS = 2;

/** The name of a pitch in a key; null where the key has it not. */
function inKey(key: Key, midi: number): string | null {
  const pitch = spellInKey(key, midi);
  return keyAlteration(key, pitch.letter) === pitch.alteration ? pitchName(pitch) : null;
}

function upAndDown(
  student: PathStudent,
  key: string,
  string: string,
  position: PositionNumber,
  notes: readonly string[],
  fingers: readonly Finger[],
): PlanRequest {
  const up = notes.map((pitch, n) => ({ pitches: [pitch], finger: fingers[n], string, position }));
  const drill = drillRequest({ ...student, material: { type: 'notes', notes: [] } }, key, [
    ...up,
    ...up.slice(0, -1).reverse(),
  ]);
  return { ...student, material: drill.material, rules: { ...student.rules, ...drill.rules } };
}
