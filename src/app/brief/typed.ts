import {
  instrumentData,
  midiOf,
  parsePitch,
  pitchName,
  resolveSetup,
  type PlanRequest,
  type Rules,
} from '../../core';
import type { StudentRecord } from '../../store/records';
import { listed } from '../../wording/grammar';
import { instrumentWords, sizeWords } from '../../wording/instruments';
import { chordWords, DIRECTION_WORDS, kindWords, requestWords, scaleWords } from '../../wording/material';
import { noteWords, printed } from '../../wording/notes';
import { positionRuleWords } from '../../wording/places';
import { wishesMade } from '../../wording/wishes';
import { optionalWords } from './words';
import { pieceWords } from '../../wording/typed/said';
import { piecesOf, valueOf } from '../../wording/typed/pieces';
import { isKnown, nearWords } from '../../wording/typed/plain';
import type { Piece } from '../../wording/typed/phrases';
import {
  asScale,
  hasRoom,
  octaveRank,
  playableTonics,
  withInstrument,
  withKind,
  withTonic,
  type RunSpec,
} from './material';
import { forStudent } from './student';

/*
 * A brief typed in one go: understood as a request, or asked back about.
 */

/** A brief that can be had, with the words it is offered by. */
export interface Offer {
  readonly words: string;
  /** What may be typed instead; null where the request itself is offered. */
  readonly typed: string | null;
  readonly brief: Brief | null;
}

export interface Brief {
  readonly request: PlanRequest;
  /** The student it is for now; undefined where that was not said. */
  readonly student?: StudentRecord;
}

export type TypedBrief =
  | { readonly kind: 'nothing' }
  | {
      readonly kind: 'understood';
      readonly brief: Brief;
      /** What was read as another word: "melodc read as melodic". */
      readonly notes: readonly string[];
    }
  | { readonly kind: 'asked'; readonly question: string; readonly offers: readonly Offer[] };

/** @param base what holds where nothing else is said */
export function readTyped(typed: string, base: PlanRequest, students: readonly StudentRecord[]): TypedBrief {
  if (typed.trim() === '') return { kind: 'nothing' };
  const { pieces, mended, unknown, clash } = piecesOf(
    typed,
    students.map(({ name }) => name),
  );
  if (unknown.length > 0) return askUnknown(typed, unknown[0]);
  if (clash) return askWhich(clash);
  if (pieces.length === 0)
    return asked('Name a key, as in “E flat major, two octaves” or “G minor arpeggio, cello”.', []);
  const student = students.find(({ name }) => name === valueOf(pieces, 'student'));
  const onto = playedOn(base, pieces, student);
  if ('kind' in onto) return onto;
  const minor = askKindOfScale(typed, pieces, base);
  if (minor) return minor;
  const music = musicOf(onto, pieces);
  if ('kind' in music) return withStudent(music, student);
  const ruled = onStrings(withRules(music, pieces), pieces);
  if ('kind' in ruled) return withStudent(ruled, student);
  const notes = mended.map(({ typed: word, read }) => `“${word}” is read as “${read}”.`);
  return { kind: 'understood', brief: { request: ruled, student }, notes };
}

type Asked = Extract<TypedBrief, { kind: 'asked' }>;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

const asked = (question: string, offers: readonly Offer[]): Asked => ({ kind: 'asked', question, offers });

const offerTyped = (words: string, typed: string): Offer => ({ words, typed, brief: null });
const offerBrief = (words: string, request: PlanRequest): Offer => ({
  words,
  typed: null,
  brief: { request },
});

function withStudent(one: Asked, student: StudentRecord | undefined): Asked {
  if (!student) return one;
  return {
    ...one,
    offers: one.offers.map((offer) => ({ ...offer, brief: offer.brief && { ...offer.brief, student } })),
  };
}

/** Words that say too little, with what can be meant. */
const TOO_LITTLE: Readonly<Record<string, readonly string[]>> = {
  octave: ['1 octave', 'in octaves'],
  octaves: ['2 octaves', 'in octaves'],
  pairs: ['slurred in pairs'],
  h: ['B', 'Bb'],
};

function askUnknown(typed: string, word: string): Asked {
  const near = /^\d/.test(word)
    ? [`${word} octaves`, `${word} shifts`, `position ${word}`]
    : (TOO_LITTLE[word] ?? (isKnown(word) ? [] : nearWords(word)));
  const place = typed.toLowerCase().indexOf(word);
  const swap = (read: string) =>
    place < 0 ? read : typed.slice(0, place) + read + typed.slice(place + word.length);
  return asked(
    /^\d/.test(word)
      ? `${word} of what?`
      : isKnown(word)
        ? `“${word}” alone says too little.`
        : `“${word}” means nothing here.`,
    near.map((read) => offerTyped(read, swap(read))),
  );
}

function askWhich([a, b]: readonly [Piece, Piece]): Asked {
  return asked(`${pieceWords(a)}, or ${pieceWords(b)}? Take one of the two out.`, []);
}

/** "minor" alone is three scales, "pentatonic" two; a chord has but one. */
function askKindOfScale(typed: string, pieces: readonly Piece[], { material }: PlanRequest): Asked | null {
  const scale = valueOf(pieces, 'scale');
  const kind = valueOf(pieces, 'kind');
  if (isArpeggio(kind) || (!kind && material.type === 'arpeggio')) return null;
  const kinds =
    scale === 'minor'
      ? ['melodic minor', 'harmonic minor', 'natural minor']
      : scale === 'pentatonic'
        ? ['major pentatonic', 'minor pentatonic']
        : [];
  if (kinds.length === 0) return null;
  const swap = (read: string) =>
    scale === 'minor'
      ? /\bmin(or)?\b/i.test(typed)
        ? typed.replace(/\bmin(or)?\b/i, read)
        : typed.replace(/m\b/, ` ${read}`)
      : typed.replace(/\bpentatonic\b/i, read);
  return asked(
    `Which ${scale}?`,
    kinds.map((read) => offerTyped(read, swap(read))),
  );
}

/** The request on the instrument, in the size and for the student that were named. */
function playedOn(
  base: PlanRequest,
  pieces: readonly Piece[],
  student: StudentRecord | undefined,
): PlanRequest | Asked {
  const kind = valueOf(pieces, 'instrument');
  const size = valueOf(pieces, 'size');
  if (student && kind && student.plays.instrument !== kind)
    return asked(
      `${student.name} plays the ${instrumentWords(student.plays.instrument)}. Take the student or the instrument out.`,
      [],
    );
  let request = student ? forStudent(base, student) : base;
  if (kind && kind !== request.instrument) request = withInstrument(request, kind);
  if (size) {
    const { sizes } = instrumentData(request.instrument);
    if (!(size in sizes)) {
      const name = instrumentWords(request.instrument);
      const offers = Object.keys(sizes).map((known) =>
        offerBrief(sizeWords(request.instrument, known), {
          ...request,
          size: known,
          stringLengthMm: undefined,
        }),
      );
      return asked(`No ${name} of that size is known.`, offers);
    }
    request = { ...request, size, stringLengthMm: undefined };
  }
  const hand = valueOf(pieces, 'hand');
  const school = valueOf(pieces, 'school');
  if (school && !instrumentData(request.instrument).schools.some((name) => name === school))
    return asked('Schools of fingering are told apart on the double bass only.', []);
  return { ...request, ...(hand ? { hand } : {}), ...(school ? { school } : {}) };
}

/** The request with the music that was named. */
function musicOf(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const kind = valueOf(pieces, 'kind');
  const scale = valueOf(pieces, 'scale');
  const chord = valueOf(pieces, 'chord');
  const key = valueOf(pieces, 'key');
  const octaves = valueOf(pieces, 'octaves');
  const direction = valueOf(pieces, 'direction');
  const register = valueOf(pieces, 'register');
  const bow = valueOf(pieces, 'bow');
  const parts = [kind, scale, chord, key, octaves, direction, register, bow];
  if (parts.every((part) => part === undefined)) return request;
  const old = request.material.type === 'notes' ? asScale(request) : request.material;
  const made = kindOfMusic(old, { kind, scale, chord });
  if ('kind' in made) return made;
  let material = made;
  if (octaves !== undefined) material = { ...material, octaves };
  if (direction) material = { ...material, direction };
  if (bow) material = { ...material, notesPerBow: bow };
  return started({ ...request, material }, material, { key, register, octaves });
}

interface Named {
  readonly kind?: string;
  readonly scale?: string;
  readonly chord?: string;
}

/** Scales that have a chord of their own name. */
const CHORDAL = /^(major|minor|(natural|harmonic|melodic)-minor)$/;
const isArpeggio = (kind: string | undefined) => kind === 'arpeggio' || kind === 'in-threes';

function kindOfMusic(old: RunSpec, { kind, scale, chord }: Named): RunSpec | Asked {
  if (chord && kind && !isArpeggio(kind))
    return asked(`${capital(chordWords(chord))} is a chord: an arpeggio, not a ${kindWords(kind)}.`, []);
  if (isArpeggio(kind) && scale && !CHORDAL.test(scale))
    return asked(`${capital(scaleWords(scale))} is a scale, not an arpeggio.`, []);
  const scaleOnly = scale !== undefined && !CHORDAL.test(scale) && old.type === 'arpeggio';
  const wanted = kind ?? (chord ? 'arpeggio' : scaleOnly ? 'scale' : undefined);
  const made = wanted ? withKind(old, wanted) : old;
  if (made.type === 'arpeggio') return { ...made, chord: chord ?? (scale ? chordOf(scale) : made.chord) };
  return scale ? { ...made, scale } : made;
}

/** The chord of a scale: an arpeggio of harmonic minor is one of minor. */
const chordOf = (scale: string) => (scale.includes('minor') ? 'minor' : 'major');

interface Start {
  readonly key: string | undefined;
  readonly register: 'low' | 'high' | undefined;
  readonly octaves: number | undefined;
}

/** Above the lowest string so far at most is still called low, in semitones: the first fingers of the lowest string. */
const LOW = 4;

function started(
  request: PlanRequest,
  material: RunSpec,
  { key, register, octaves }: Start,
): PlanRequest | Asked {
  const name = instrumentWords(request.instrument);
  const pitch = parsePitch(key && /\d/.test(key) ? key : `${key ?? material.tonic.replace(/-?\d+$/, '')}4`);
  if (!pitch) return asked('That key is not known.', []);
  const letter = pitchName(pitch).replace(/-?\d+$/, '');
  const tonicsFor = (one: RunSpec) => playableTonics({ ...request, material: one }, letter);
  const at = (one: RunSpec, tonic: string): PlanRequest => ({ ...request, material: { ...one, tonic } });
  const named = { ...material, tonic: pitchName(pitch) } as RunSpec;
  if (!hasRoom({ ...request, material: named }, named, material.octaves)) {
    const most = [4, 3, 2, 1].find((count) =>
      hasRoom(request, { ...named, octaves: count } as RunSpec, count),
    );
    if (!most) return asked(`The ${name} has no ${printed(letter)} to begin on.`, []);
    if (octaves === undefined)
      return started(request, { ...material, octaves: most } as RunSpec, { key, register, octaves });
    const offers = [most, most - 1]
      .filter((count) => count > 0)
      .map((count) => {
        const one = { ...named, octaves: count } as RunSpec;
        const [tonic] = tonicsFor(one);
        return offerBrief(
          `${count} ${count === 1 ? 'octave' : 'octaves'} from ${noteWords(tonic)}`,
          at(one, tonic),
        );
      });
    return asked(`The ${name} has no room for ${material.octaves} octaves from ${printed(letter)}.`, offers);
  }
  const tonics = tonicsFor(named);
  if (key && /\d/.test(key)) {
    const exact = tonics.find((tonic) => tonic === pitchName(pitch));
    if (exact) return at(named, exact);
    const nearest = [...tonics].sort((a, b) => awayFrom(a, key) - awayFrom(b, key)).slice(0, 2);
    return asked(
      `The ${name} cannot begin ${material.octaves} octave${material.octaves === 1 ? '' : 's'} on ${noteWords(key)}.`,
      nearest.map((tonic) => offerBrief(`from ${noteWords(tonic)}`, at(named, tonic))),
    );
  }
  if (register === 'high') {
    const [, ...higher] = tonics;
    if (higher.length === 1) return at(named, higher[0]);
    return asked(
      higher.length > 1
        ? `Which high ${printed(letter)}?`
        : `There is but one ${printed(letter)} to begin on.`,
      (higher.length > 1 ? higher : tonics).map((tonic) =>
        offerBrief(`from ${noteWords(tonic)}`, at(named, tonic)),
      ),
    );
  }
  if (register === 'low') {
    const above = midi(tonics[0]) - resolveSetup(request).strings[0].midi;
    if (above <= LOW) return at(named, tonics[0]);
    return asked(`The ${name} has no low ${printed(letter)}: its lowest is ${noteWords(tonics[0])}.`, [
      offerBrief(`from ${noteWords(tonics[0])}`, at(named, tonics[0])),
    ]);
  }
  // The octave that was chosen before is kept, counted from the lowest.
  const rank = octaveRank(request, material);
  return key
    ? withTonic(request, named, letter, rank)
    : at(named, tonics.includes(material.tonic) ? material.tonic : tonics[0]);
}

const midi = (name: string) => {
  const pitch = parsePitch(name);
  return pitch ? midiOf(pitch) : 60;
};

const awayFrom = (a: string, b: string) => Math.abs(midi(a) - midi(b));

/** The request with the rules, style and tempo that were named. */
function withRules(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const rules: Rules = { ...request.rules };
  const visits = pieces.flatMap((piece) => (piece.slot === 'visit' ? [piece.value] : []));
  const { thumb } = instrumentData(request.instrument);
  const positions = valueOf(pieces, 'positions');
  const asksThumb = visits.includes('thumb') || JSON.stringify(positions ?? null).includes('thumb');
  if (asksThumb && !thumb)
    return asked(
      `Thumb position belongs to cello and double bass, not to the ${instrumentWords(request.instrument)}.`,
      [],
    );
  const strings = valueOf(pieces, 'strings');
  const names = strings && stringsNamed(request, strings);
  if (strings && !names)
    return asked(
      `The ${instrumentWords(request.instrument)} has no ${strings.map((name) => printed(name)).join(' and ')} string.`,
      resolveSetup(request).strings.map(({ name }) =>
        offerBrief(`the ${printed(name)} string`, { ...request, rules: { ...rules, strings: [name] } }),
      ),
    );
  const tempo = valueOf(pieces, 'tempo');
  return {
    ...request,
    style: valueOf(pieces, 'style') ?? request.style,
    tempo: tempo ? { bpm: tempo } : request.tempo,
    rules: {
      ...rules,
      ...(positions === undefined ? {} : { positions: positions ?? undefined }),
      ...(visits.length > 0 ? { visit: visits } : {}),
      mostShifts: valueOf(pieces, 'shifts') ?? rules.mostShifts,
      ...(names ? { strings: names } : {}),
      openStrings: valueOf(pieces, 'openStrings') ?? rules.openStrings,
      fourthFinger: valueOf(pieces, 'fourthFinger') ?? rules.fourthFinger,
      extensions: valueOf(pieces, 'extensions') ?? rules.extensions,
    },
  };
}

/** Where only some strings are asked for, the music must have room on them: fewer octaves where none were named. */
function onStrings(request: PlanRequest | Asked, pieces: readonly Piece[]): PlanRequest | Asked {
  if ('kind' in request || valueOf(pieces, 'strings') === undefined) return request;
  const { material } = request;
  if (material.type === 'notes') return request;
  const { strings, reachSemitones } = resolveSetup(request);
  const open = strings.filter(({ name }) => request.rules?.strings?.includes(name)).map((one) => one.midi);
  const [low, high] = [Math.min(...open), Math.max(...open) + reachSemitones];
  const letter = material.tonic.replace(/-?\d+$/, '');
  const fitting = (octaves: number) =>
    playableTonics({ ...request, material: { ...material, octaves: 1 } }, letter).find(
      (tonic) => midi(tonic) >= low && midi(tonic) + 12 * octaves <= high,
    );
  const asks = valueOf(pieces, 'octaves');
  const counts = [material.octaves, 3, 2, 1].filter((count) => count <= material.octaves);
  const most = counts.find((count) => fitting(count) !== undefined);
  const names = listed((request.rules?.strings ?? []).map((name) => printed(name)));
  if (most === undefined)
    return asked(`There is no ${printed(letter)} with an octave above it on ${names}.`, []);
  const one = { ...material, octaves: most, tonic: fitting(most) } as RunSpec;
  if (most === material.octaves || asks === undefined) return { ...request, material: one };
  return asked(`The ${names} string has no room for ${material.octaves} octaves from ${printed(letter)}.`, [
    offerBrief(`${most} octave${most === 1 ? '' : 's'} from ${noteWords(one.tonic)}`, {
      ...request,
      material: one,
    }),
  ]);
}

/** The strings of some letters; null where one is none of the instrument's. */
function stringsNamed(request: PlanRequest, letters: readonly string[]): string[] | null {
  const { strings } = resolveSetup(request);
  const found = letters.map(
    (letter) => strings.find(({ name }) => name.replace(/-?\d+$/, '') === letter)?.name,
  );
  return found.every((name): name is string => name !== undefined) ? found : null;
}

/** A whole brief in words: what will be planned. */
export function briefWords({ request, student }: Brief): string {
  const { rules = {} } = request;
  const said = optionalWords(request)
    .filter(({ value, usual }) => value !== usual)
    .map(({ value, choices, other }) => choices.find(([name]) => name === value)?.[1] ?? other ?? value);
  return [
    `${requestWords(request)}${student ? `, for ${student.name}` : ''}`,
    ...('direction' in request.material ? [DIRECTION_WORDS[request.material.direction]] : []),
    ...(rules.positions ? [positionRuleWords(rules.positions, request.instrument)] : []),
    ...wishesMade(request).map(({ words }) => words),
    ...said,
  ].join(', ');
}
