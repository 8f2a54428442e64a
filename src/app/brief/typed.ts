import {
  instrumentRecord,
  readNoteText,
  resolveSetup,
  type PlanRequest,
  type Rules,
  schoolsOf,
  type StudentRecord,
} from '../../core';
import { instrumentWords, sizeWords } from '../../wording/instruments';
import { DIRECTION_WORDS, requestWords } from '../../wording/material';
import { printed } from '../../wording/notes';
import { positionRuleWords } from '../../wording/places';
import { piecesOf, valueOf } from '../../wording/typed/pieces';
import type { Piece, Slot } from '../../wording/typed/phrases';
import { isKnown, nearWords } from '../../wording/typed/plain';
import { pieceWords } from '../../wording/typed/said';
import { wishesMade } from '../../wording/wishes';
import { withInstrument } from './briefMaterial';
import { asked, offerBrief, offerTyped, type Asked, type Brief, type TypedBrief } from './offers';
import { forStudent } from './student';
import { isArpeggio, musicOf, onStrings } from './typedMusic';
import { namesBars, noSuchString, OF_A_STRETCH, stringsNamed, withPlaces, withStretches } from './typedPlaces';
import { optionalWords } from './words';
import * as typedBriefText from '../../wording/rooms/typedBrief';

/*
 * A brief typed in one go: understood as a request, or asked back about.
 */

/**
 * @param before the brief that stands: what holds where a wish alone is typed
 * @param clean what holds where music is named
 */
export function readTyped(
  typed: string,
  before: PlanRequest,
  students: readonly StudentRecord[],
  clean: PlanRequest = before,
): TypedBrief {
  if (typed.trim() === '') return { kind: 'nothing' };
  if (OWN_NOTES.test(typed.trim())) return { kind: 'own-notes', notes: null };
  if (areNotes(typed, before)) return { kind: 'own-notes', notes: typed.trim() };
  const { pieces, mended, unknown, clash } = piecesOf(
    typed,
    students.map(({ name }) => name),
  );
  if (unknown.length > 0) return askUnknown(typed, unknown[0]);
  if (clash) return askWhich(clash);
  if (pieces.length === 0) return asked(typedBriefText.nameAKeyAs, []);
  const student = students.find(({ name }) => name === valueOf(pieces, 'student'));
  const whole = pieces.some(({ slot }) => NAMES_MUSIC.has(slot));
  const base = whole ? clean : before;
  const small = student ? null : askSize(typed, pieces, base);
  if (small) return small;
  const onto = playedOn(base, pieces, student);
  if ('kind' in onto) return onto;
  const minor = askKindOfScale(typed, pieces, base);
  if (minor) return minor;
  const music = musicOf(onto, pieces);
  if ('kind' in music) return withStudent(music, student);
  const stretched = withStretches(music, pieces);
  if ('kind' in stretched) return withStudent(stretched, student);
  // What is asked of some bars is not asked of the whole.
  const own = namesBars(pieces) ? pieces.filter(({ slot }) => !OF_A_STRETCH.has(slot)) : pieces;
  const onOwnStrings = onStrings(withRules(stretched, own), own);
  const ruled = 'kind' in onOwnStrings ? onOwnStrings : withPlaces(onOwnStrings, own);
  if ('kind' in ruled) return withStudent(ruled, student);
  const notes = mended.map(({ typed: word, read }) => typedBriefText.isReadAs(word, read));
  return { kind: 'understood', brief: { request: ruled, student, whole }, notes };
}

/** Phrases that name a piece of music by its key or where it begins. */
const NAMES_MUSIC: ReadonlySet<Slot> = new Set<Slot>(['key']);

const OWN_NOTES = /^((type|write) )?((my|some) )?(own )?notes( of my own)?$/i;

/** "A4 B4 C#5": notes by name and octave, two at least; one alone is where a scale begins. */
function areNotes(typed: string, { instrument }: PlanRequest): boolean {
  const { notes, issues } = readNoteText(typed, instrumentRecord(instrument).writtenOctavesUp);
  return issues.length === 0 && notes.length > 1;
}

function withStudent(one: Asked, student: StudentRecord | undefined): Asked {
  if (!student) return one;
  return {
    ...one,
    offers: one.offers.map((offer) => ({ ...offer, brief: offer.brief && { ...offer.brief, student } })),
  };
}

/** Words that say too little, with what can be meant. */
const TOO_LITTLE: Readonly<Record<string, readonly string[]>> = {
  octave: ['1 octave', typedBriefText.inOctaves],
  octaves: ['2 octaves', typedBriefText.inOctaves],
  pairs: [typedBriefText.slurredInPairs],
  h: ['B', 'Bb'],
};

function askUnknown(typed: string, word: string): Asked {
  const near = /^\d/.test(word)
    ? [typedBriefText.octaves(word), typedBriefText.shifts(word), typedBriefText.position(word)]
    : (TOO_LITTLE[word] ?? (isKnown(word) ? [] : nearWords(word)));
  const place = typed.toLowerCase().indexOf(word);
  const swap = (read: string) => (place < 0 ? read : typed.slice(0, place) + read + typed.slice(place + word.length));
  return asked(
    /^\d/.test(word)
      ? typedBriefText.ofWhat(word)
      : isKnown(word)
        ? typedBriefText.aloneSaysTooLittle(word)
        : typedBriefText.meansNothingHere(word),
    near.map((read) => offerTyped(read, swap(read))),
  );
}

function askWhich([a, b]: readonly [Piece, Piece]): Asked {
  return asked(typedBriefText.orTakeOneOf(pieceWords(a), pieceWords(b)), []);
}

/** "minor" alone is three scales, "pentatonic" two; a chord has but one. */
function askKindOfScale(typed: string, pieces: readonly Piece[], { material }: PlanRequest): Asked | null {
  const scale = valueOf(pieces, 'scale');
  const kind = valueOf(pieces, 'kind');
  if (isArpeggio(kind) || (!kind && material.type === 'arpeggio')) return null;
  const kinds =
    scale === 'minor'
      ? [typedBriefText.melodicMinor, typedBriefText.harmonicMinor, typedBriefText.naturalMinor]
      : scale === 'pentatonic'
        ? [typedBriefText.majorPentatonic, typedBriefText.minorPentatonic]
        : [];
  if (kinds.length === 0) return null;
  const swap = (read: string) =>
    scale === 'minor'
      ? /\b(moll|mineur)\b/i.test(typed)
        ? `${typed} ${read.replace(/ minor$/, '')}`
        : /\bmin(or)?\b/i.test(typed)
          ? typed.replace(/\bmin(or)?\b/i, read)
          : typed.replace(/m\b/, ` ${read}`)
      : typed.replace(/\bpentatonic\b/i, read);
  return asked(
    typedBriefText.which(scale ?? ''),
    kinds.map((read) => offerTyped(read, swap(read))),
  );
}

/** A child plays a smaller instrument: which? */
function askSize(typed: string, pieces: readonly Piece[], base: PlanRequest): Asked | null {
  if (!valueOf(pieces, 'child') || valueOf(pieces, 'size')) return null;
  const name = valueOf(pieces, 'instrument') ?? base.instrument;
  const { sizes, adultFromMm, sizesIn } = instrumentRecord(name);
  const small = Object.keys(sizes).filter((size) => sizes[size] < adultFromMm);
  return asked(
    typedBriefText.whichSize,
    small.map((size) => offerTyped(sizeWords(name, size), `${typed} ${size}${sizesIn === 'inches' ? ' inch' : ''}`)),
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
    return asked(typedBriefText.playsTheTakeThe(student.name, instrumentWords(student.plays.instrument)), []);
  let request = student ? forStudent(base, student) : base;
  if (kind && kind !== request.instrument) request = withoutPositions(withInstrument(request, kind));
  if (size) {
    const { sizes } = instrumentRecord(request.instrument);
    if (!(size in sizes)) {
      const name = instrumentWords(request.instrument);
      const offers = Object.keys(sizes).map((known) =>
        offerBrief(sizeWords(request.instrument, known), { ...request, size: known, stringLengthMm: undefined }),
      );
      return asked(typedBriefText.noOfThatSize(name), offers);
    }
    request = { ...request, size, stringLengthMm: undefined };
  }
  const child = valueOf(pieces, 'child') === true && !student;
  const level = valueOf(pieces, 'level') ?? (child ? ('first-year' as const) : undefined);
  const hand = valueOf(pieces, 'hand');
  const school = valueOf(pieces, 'school');
  if (school && !schoolsOf(instrumentRecord(request.instrument)).some((name) => name === school))
    return asked(typedBriefText.schoolsOfFingeringAre, []);
  return {
    ...request,
    ...(level ? { meaning: { ...request.meaning, level } } : {}),
    ...(hand ? { hand } : {}),
    ...(school ? { school } : {}),
  };
}

/** Positions that were asked for on one instrument are others on the next. */
function withoutPositions({ rules, ...request }: PlanRequest): PlanRequest {
  return rules ? { ...request, rules: { ...rules, positions: undefined } } : request;
}

/** The request with the rules, style and tempo that were named. */
function withRules(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const rules: Rules = { ...request.rules };
  const visits = pieces.flatMap((piece) => (piece.slot === 'visit' ? [piece.value] : []));
  const { thumb } = instrumentRecord(request.instrument);
  const positions = valueOf(pieces, 'positions');
  const asksThumb = visits.includes('thumb') || JSON.stringify(positions ?? null).includes('thumb');
  if (asksThumb && !thumb) return asked(typedBriefText.thumbPositionBelongsTo(instrumentWords(request.instrument)), []);
  const strings = valueOf(pieces, 'strings');
  const names = strings && stringsNamed(request, strings);
  if (strings && !names)
    return noSuchString(
      request,
      strings,
      resolveSetup(request).strings.map(({ name }) =>
        offerBrief(typedBriefText.theString(printed(name)), { ...request, rules: { ...rules, strings: [name] } }),
      ),
    );
  const tempo = valueOf(pieces, 'tempo');
  const spared = pieces.flatMap((piece) => (piece.slot === 'spared' ? [piece.value] : []));
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
      harmonics: valueOf(pieces, 'harmonics') ?? rules.harmonics,
      fingers: spared.length > 0 ? { never: spared } : rules.fingers,
      shiftOn: valueOf(pieces, 'shiftOn') ?? rules.shiftOn,
      sameBack: valueOf(pieces, 'sameBack') ?? rules.sameBack,
    },
  };
}

/** A whole brief in words: what will be planned. */
export function briefWords({ request, student }: Brief): string {
  const { rules = {} } = request;
  const said = optionalWords(request)
    .filter(({ value, usual }) => value !== usual)
    .map(({ value, choices, other }) => choices.find(([name]) => name === value)?.[1] ?? other ?? value);
  return [
    `${requestWords(request)}${student ? typedBriefText.forIt(student.name) : ''}`,
    ...('direction' in request.material ? [DIRECTION_WORDS[request.material.direction]] : []),
    ...(rules.positions ? [positionRuleWords(rules.positions, request.instrument)] : []),
    ...wishesMade(request).map(({ words }) => words),
    ...said,
  ].join(', ');
}
