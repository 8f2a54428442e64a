import {
  clefsFor,
  resolveSetup,
  writtenBars,
  type Clef,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  metronomeOf,
} from '../core';
import { packMxl, writeCsv, writeMidiFile, writeMusicXml, type XmlPart, type XmlSection } from '../core/formats';
import { sentence } from '../wording/grammar';
import { instrumentWords } from '../wording/instruments';
import { requestWords } from '../wording/material';
import { positionWords } from '../wording/places';
import { PRODUCT } from '../wording/rooms/pages';

/*
 * A plan as a file that other programs read.
 */

export const NOTE_FORMATS = ['musicxml', 'mxl', 'midi', 'csv'] as const;
export type NoteFormat = (typeof NOTE_FORMATS)[number];

/** Ends of file names, and what the files are. */
export const FORMATS: Readonly<Record<NoteFormat, { readonly end: string; readonly type: string }>> = {
  musicxml: { end: 'musicxml', type: 'application/vnd.recordare.musicxml+xml' },
  mxl: { end: 'mxl', type: 'application/vnd.recordare.musicxml' },
  midi: { end: 'mid', type: 'audio/midi' },
  csv: { end: 'csv', type: 'text/csv' },
};

/** A plan that is to be written down. */
export interface Writable {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
  /** As the file is called inside; what is played where left out. */
  readonly title?: string;
  /** The clef of each event; as its players read where left out. */
  readonly clefs?: readonly Clef[];
  /** The events whose fingers are written; all where left out or null. */
  readonly fingersAt?: ReadonlySet<number> | null;
}

const SOFTWARE = PRODUCT;

/** @returns the file's bytes */
export function writeAs(format: NoteFormat, one: Writable): Uint8Array {
  const { request, response, plan } = one;
  const title = one.title || sentence(requestWords(request));
  switch (format) {
    case 'musicxml':
      return bytesOf(musicXmlOf(title, [partFor([one])]));
    case 'mxl':
      return packMxl(musicXmlOf(title, [partFor([one])]));
    case 'midi': {
      const name = sentence(instrumentWords(request.instrument));
      return writeMidiFile(title, [{ name, instrument: request.instrument, music: response }], metronomeOf(request));
    }
    case 'csv':
      return bytesOf(writeCsv(response, plan));
  }
}

const bytesOf = (text: string) => new TextEncoder().encode(text);

export function musicXmlOf(title: string, parts: readonly XmlPart[]): string {
  return writeMusicXml({ title, software: SOFTWARE, parts });
}

/** Plans for one instrument as one part, each on a page of its own; a title stands over each where there are several. */
export function partFor(plans: readonly Writable[], name?: string): XmlPart {
  const [{ request }] = plans;
  return {
    name: name ?? sentence(instrumentWords(request.instrument)),
    instrument: request.instrument,
    sections: plans.map((one) => sectionOf(one, plans.length > 1)),
  };
}

function sectionOf({ request, response, plan, title, clefs, fingersAt }: Writable, titled: boolean): XmlSection {
  const { instrument } = request;
  const bpm = metronomeOf(request);
  return {
    bars: writtenBars(response, instrument, clefs ?? clefsFor(response.events, instrument)),
    steps: fingersAt ? plan.steps.filter(({ at }) => fingersAt.has(at)) : plan.steps,
    strings: resolveSetup(request).strings.map(({ name }) => name),
    ...(bpm === undefined ? {} : { bpm }),
    words: positionsOver(plan, request),
    ...(titled ? { title: title || sentence(requestWords(request)) } : {}),
  };
}

/** The position where the plan begins, and after each shift. */
function positionsOver({ steps, shifts }: Plan, { instrument }: PlanRequest): Map<number, string> {
  const words = new Map<number, string>();
  const [first] = steps;
  if (first) words.set(first.at, positionWords(first.position, instrument));
  for (const { to, toPosition } of shifts) words.set(to, positionWords(toPosition, instrument));
  return words;
}
