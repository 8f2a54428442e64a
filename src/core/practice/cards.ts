import type { Heard } from '../findings/heard';
import type { ShiftDetail } from '../findings/shifts';
import { fingerAt } from '../hand/finger';
import type { Finger, PositionNumber, School } from '../vocabulary';
import { handModel } from '../hand/models';
import { positionsOf } from '../hand/positions';
import type { Setup } from '../instrument/setup';
import { spellInKey } from '../pitch/inkey';
import { keyAlteration, type Key } from '../pitch/key';
import { LETTERS, midiOf, parsePitch, pitchClassName, pitchName, type Pitch } from '../pitch/pitch';
import { readKey } from './drills';
import type { Quiz } from '../vocabulary';

/*
 * Cards: questions made from a student's own instrument, positions and keys, or from a plan. Each has every answer that is right, so that where two
 * are, both count.
 */

/** A note under a finger, where the hand lies closed in a position. */
export interface Lying {
  readonly string: number;
  readonly finger: Finger;
  readonly semitones: number;
  readonly pitch: Pitch;
}

const FINGER_SLOTS_PRESSED = [1, 2, 3, 4];

/** Where fingers lie in a position, string by string from the lowest, in a key; open strings besides. */
export function lyingIn(setup: Setup, key: Key, position: PositionNumber, school?: School): Lying[] {
  const model = handModel(setup, key, [], school);
  const number = Array.from({ length: model.positionCount }, (_, at) => at).find(
    (at) => model.label(at) === position && !model.thumbUp(at),
  );
  if (number === undefined) return [];
  return setup.strings.flatMap((open, string): Lying[] =>
    FINGER_SLOTS_PRESSED.flatMap((slot): Lying[] => {
      const semitones = model.resting(number, string, slot);
      if (!Number.isFinite(semitones) || semitones > setup.reachSemitones) return [];
      const pitch = spellInKey(key, open.midi + semitones);
      return [{ string, finger: fingerAt(slot), semitones, pitch }];
    }),
  );
}

/** True where a note is the key's own: what is asked is what is played. */
const inKey = (key: Key, { letter, alteration }: Pitch) => keyAlteration(key, letter) === alteration;

/** How a place is answered: the string by its open pitch, and the finger on it. */
export function placeAnswer(string: string, finger: Finger): string {
  return `${string} ${finger}`;
}

/** A place on the neck, as it is clicked: the string and semitones above it. */
export function spotAnswer(string: string, semitones: number): string {
  return `${string}+${semitones}`;
}

/** What cards are made for. */
export interface Pupil {
  readonly setup: Setup;
  readonly school?: School;
  readonly positions: readonly PositionNumber[];
  /** Keys by name, such as "D major". */
  readonly keys: readonly string[];
}

/** Every card that a position and a key give: where notes lie, what fingers play, what lies side by side, and the scale's names. */
export function positionCards({ setup, school, positions, keys }: Pupil): Quiz[] {
  return keys.flatMap((name) => {
    const key = readKey(name);
    return [
      ...positions.flatMap((position) => {
        const lying = lyingIn(setup, key, position, school);
        const own = lying.filter(({ pitch }) => inKey(key, pitch));
        return [
          ...placeCards(setup, name, position, own),
          ...own.map((one) => nameCard(setup, name, position, one)),
          ...acrossCards(setup, name, position, own),
        ];
      }),
      ...namesCards(name),
    ];
  });
}

/** One card for each pitch: all places of it that the hand has here, the open string among them. */
function placeCards(setup: Setup, key: string, position: PositionNumber, own: readonly Lying[]): Quiz[] {
  const byPitch = new Map<string, Lying[]>();
  for (const one of own) {
    const name = pitchName(one.pitch);
    byPitch.set(name, [...(byPitch.get(name) ?? []), one]);
  }
  return [...byPitch].map(([pitch, places]): Quiz => {
    const midi = midiOf(places[0].pitch);
    const open = setup.strings.filter((string) => string.midi === midi);
    const right = [
      ...places.map(({ string, finger }) => placeAnswer(setup.strings[string].name, finger)),
      ...open.map(({ name }) => placeAnswer(name, 0)),
    ];
    return { ask: { kind: 'place', pitch, position, key }, right };
  });
}

function nameCard(setup: Setup, key: string, position: PositionNumber, { string, finger, pitch }: Lying): Quiz {
  const ask = { kind: 'name', string: setup.strings[string].name, finger, position, key } as const;
  return { ask, right: [pitchClassName(pitch)] };
}

export const NO_FINGER = 'none';

/**
 * Of each finger of the key: which one on the next string lies right beside it, as far up the string. Where the hand goes in frames that is always the same
 * finger, and nothing is asked.
 */
function acrossCards(setup: Setup, key: string, position: PositionNumber, lying: readonly Lying[]): Quiz[] {
  if (setup.instrument.fingering.by === 'frames') return [];
  return lying.flatMap(({ string, finger, semitones }): Quiz[] => {
    const next = lying.filter((one) => one.string === string + 1);
    if (next.length === 0) return [];
    const beside = next.filter((one) => one.semitones === semitones).map((one) => String(one.finger));
    const [own, other] = [setup.strings[string].name, setup.strings[string + 1].name];
    return [
      {
        ask: { kind: 'across', key, position, string: own, finger, other },
        right: beside.length > 0 ? beside : [NO_FINGER],
        options: [...next.map((one) => String(one.finger)), NO_FINGER],
      },
    ];
  });
}

/** The names of an octave of the scale, forward and backwards. */
export function namesCards(name: string): Quiz[] {
  const key = readKey(name);
  const tonic = parsePitch(`${name.split(' ')[0]}4`);
  if (!tonic) return [];
  const letters = Array.from({ length: 8 }, (_, at) => (tonic.letter + at) % LETTERS.length);
  const names = letters.map((letter) => pitchClassName({ letter, alteration: keyAlteration(key, letter) }));
  return [
    { ask: { kind: 'names', key: name }, right: [names.join(' ')] },
    { ask: { kind: 'names-backwards', key: name }, right: [[...names].reverse().join(' ')] },
  ];
}

/** Where else a note of a plan can be played: on the other strings. */
export function elsewhereCard(setup: Setup, pitch: Pitch, string: number): Quiz | null {
  const midi = midiOf(pitch);
  const right = setup.strings.flatMap((open, at) => {
    const semitones = midi - open.midi;
    return at !== string && semitones >= 0 && semitones <= setup.reachSemitones
      ? [spotAnswer(open.name, semitones)]
      : [];
  });
  const ask = { kind: 'elsewhere', pitch: pitchName(pitch), string: setup.strings[string].name } as const;
  return right.length > 0 ? { ask, right } : null;
}

export const NO_STRING = 'none';

/** Which open strings a note can be checked against: those that make an interval the ear can judge, and fit its target. */
export function checkCard(setup: Setup, { note, checks }: Heard): Quiz | null {
  if (note.finger === 0) return null;
  const fitting = checks
    .filter(({ touch, fits }) => touch === 0 && fits)
    .map(({ string }) => setup.strings[string].name);
  const string = setup.strings[note.string].name;
  const ask = { kind: 'check' as const, pitch: pitchName(note.pitch), string, finger: note.finger };
  const right = fitting.length > 0 ? [...new Set(fitting)] : [NO_STRING];
  return { ask, right, options: [...setup.strings.map(({ name }) => name), NO_STRING] };
}

const MOST_SEMITONES = 7;

/** Of a shift along one string: how far the hand goes, and over which note it is guided. */
export function shiftCards({ shift, from, to }: ShiftDetail, setup: Setup): Quiz[] {
  if (from.string !== to.string || shift.kind === 'open-string') return [];
  const ask = {
    from: pitchName(from.pitch),
    to: pitchName(to.pitch),
    string: setup.strings[to.string].name,
    fromFinger: shift.fromFinger,
    toFinger: shift.toFinger,
    fromPosition: shift.fromPosition,
    toPosition: shift.toPosition,
  };
  const most = Math.max(MOST_SEMITONES, shift.semitones + 2);
  const options = Array.from({ length: most }, (_, at) => String(at + 1));
  const guide = shift.guide && parsePitch(shift.guide.pitch);
  return [
    { ask: { kind: 'shift-far', ...ask }, right: [String(shift.semitones)], options },
    ...(guide ? [{ ask: { kind: 'shift-guide' as const, ...ask }, right: [pitchClassName(guide)] }] : []),
  ];
}

/** By how many cents a note is off that is to be heard as low or high: more for those who begin. */
const OFF_CENTS = [40, 30, 20];

/** By ear: which of two is the target; is it high or low. The offs are fixed by the note, so that a card is always the same. */
export function earCards(pitch: Pitch): Quiz[] {
  const midi = midiOf(pitch);
  const size = OFF_CENTS[midi % OFF_CENTS.length];
  const cents = midi % 2 === 0 ? size : -size;
  const name = pitchName(pitch);
  const first = (midi + pitch.letter) % 2 === 0;
  return [
    {
      ask: { kind: 'ear-which', pitch: name, midi, cents },
      right: [first ? 'first' : 'second'],
      options: ['first', 'second'],
    },
    {
      ask: { kind: 'ear-side', pitch: name, midi, cents },
      right: [cents > 0 ? 'high' : 'low'],
      options: ['low', 'high'],
    },
  ];
}

/** Positions that a pupil has on their instrument, by the numbered ones they know. */
export function positionsKnown(
  setup: Setup,
  school: School | undefined,
  knows: (position: PositionNumber) => boolean,
): PositionNumber[] {
  return positionsOf(setup, school).filter((position) => position !== 'thumb' && knows(position));
}

/** True where an answer counts; of names the whole list, in its order. */
export function isRight({ right }: Quiz, answer: string): boolean {
  return right.includes(answer);
}
