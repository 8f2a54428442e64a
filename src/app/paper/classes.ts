import {
  clefsFor,
  INSTRUMENT_NAMES,
  instrumentRecord,
  midiOf,
  parsePitch,
  pitchName,
  plan,
  readNoteText,
  type InstrumentName,
  type NoteSpec,
  type PlanRequest,
  type PositionRule,
} from '../../core';
import { sentence } from '../../wording/grammar';
import { requestWords } from '../../wording/material';
import { CAUTION, dayInWords, titleInWords, togetherWords } from '../../wording/sheets';
import { pageRequest, type BookMaterial } from './bookPages';
import type { ClassAsk, ClassPart } from '../../drawing/sheet/class';
import { musicXmlOf, partFor } from '../../work/exports';
import * as paperDeskText from '../../wording/rooms/paperDesk';
import { classNames } from '../../wording/instruments';

/*
 * One scale, or a passage, for a whole string class: each instrument in its own octave with a fingering for a usual hand.
 */

export interface ClassChoice {
  readonly key: string;
  readonly material: BookMaterial | 'notes';
  readonly octaves: number;
  readonly notesPerBow: number;
  /** Typed notes, where they are what is played. */
  readonly typed: string;
  readonly instruments: readonly InstrumentName[];
  readonly positions: Readonly<Partial<Record<InstrumentName, PositionRule | null>>>;
  readonly shows: ClassAsk['shows'];
}

export const FIRST_CLASS: ClassChoice = {
  key: 'D major',
  material: 'scale',
  octaves: 1,
  notesPerBow: 1,
  typed: 'D4 E F# G A B C# D5',
  instruments: INSTRUMENT_NAMES,
  positions: {},
  shows: 'score',
};

export interface ClassFound {
  readonly ask: Omit<ClassAsk, 'choices'>;
  /** What cannot be played, a sentence each. */
  readonly troubles: readonly string[];
}

/** The page of a class worked out. */
export function classFor(choice: ClassChoice, now: Date): ClassFound {
  const troubles: string[] = [];
  const parts = choice.instruments.flatMap((instrument): ClassPart[] => {
    const request = requestFor(choice, instrument);
    if (typeof request === 'string') {
      troubles.push(request);
      return [];
    }
    const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
    const [one] = response.plans;
    if (!one) {
      troubles.push(paperDeskText.cannotPlayThisIn(classNames(instrument).many));
      return [];
    }
    const clefs = clefsFor(response.events, instrument, instrumentRecord(instrument).clefs);
    return [
      {
        request,
        response,
        plan: one,
        clefs,
        name: classNames(instrument).many,
        shortName: classNames(instrument).short,
      },
    ];
  });
  const together = shiftsTogether(parts);
  const [first] = parts;
  const title = first
    ? titleInWords(sentence(requestWords(first.request).split(', ').slice(0, 2).join(', ')))
    : paperDeskText.forTheClass;
  const places = together.map((at) => ({
    at,
    who: parts.filter((part) => part.plan.shifts.some(({ to }) => to === at)).map(({ name }) => name),
  }));
  return {
    troubles,
    ask: {
      title,
      date: dayInWords(now),
      caution: CAUTION,
      names: 'letters',
      parts,
      shows: choice.shows,
      together,
      togetherWords: togetherWords(places, first?.response),
    },
  };
}

/** Events to which at least two parts shift at the same moment. */
function shiftsTogether(parts: readonly ClassPart[]): number[] {
  const count = new Map<number, number>();
  for (const { plan: one } of parts) for (const { to } of one.shifts) count.set(to, (count.get(to) ?? 0) + 1);
  return [...count]
    .filter(([, n]) => n > 1)
    .map(([at]) => at)
    .sort((a, b) => a - b);
}

/** What one instrument plays; a sentence where it cannot. */
function requestFor(choice: ClassChoice, instrument: InstrumentName): PlanRequest | string {
  const positions = choice.positions[instrument] ?? undefined;
  const base: PlanRequest = {
    instrument,
    hand: 'medium',
    style: 'secure',
    material: { type: 'scale', tonic: 'C4', scale: 'major', octaves: 1, direction: 'updown' },
    ...(positions ? { rules: { positions } } : {}),
  };
  if (choice.material !== 'notes') {
    const request = pageRequest(base, choice.key, choice.material, choice.octaves);
    const { material } = request;
    return choice.notesPerBow > 1 && material.type !== 'notes'
      ? { ...request, material: { ...material, notesPerBow: choice.notesPerBow } }
      : request;
  }
  const { notes, issues } = readNoteText(choice.typed);
  if (issues.length > 0 || !notes.some((note) => 'pitches' in note)) return paperDeskText.theTypedNotesCannot;
  const moved = inReach(notes, instrument);
  return moved
    ? { ...base, material: { type: 'notes', key: choice.key, notes: moved } }
    : paperDeskText.haveNoOctaveFor(classNames(instrument).many);
}

/** Notes moved by octaves to the lowest place that an instrument has for all of them. */
function inReach(notes: readonly NoteSpec[], instrument: InstrumentName): NoteSpec[] | null {
  const { classFrom, tuning, reachSemitones } = instrumentRecord(instrument);
  const midi = (name: string) => midiOf(parsePitch(name) ?? { letter: 0, alteration: 0, octave: 4 });
  const all = notes.flatMap((note) => ('pitches' in note ? note.pitches.map(midi) : []));
  const lowest = midi(classFrom);
  const highest = midi(tuning[tuning.length - 1]) + reachSemitones;
  const octaves = Math.ceil((lowest - Math.min(...all)) / 12);
  if (Math.max(...all) + 12 * octaves > highest) return null;
  return notes.map((note) =>
    'pitches' in note ? { ...note, pitches: note.pitches.map((name) => raised(name, octaves)) } : note,
  );
}

function raised(name: string, octaves: number): string {
  const pitch = parsePitch(name);
  return pitch ? pitchName({ ...pitch, octave: pitch.octave + octaves }) : name;
}

/** Score and parts for other programs. */
export function classXml({ ask }: ClassFound): string {
  return musicXmlOf(
    ask.title,
    ask.parts.map((part) => partFor([part], part.name)),
  );
}
