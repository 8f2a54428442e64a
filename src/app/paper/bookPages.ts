import {
  onePositionDrill,
  patternsInPosition,
  resolveSetup,
  type PlanRequest,
  type PositionNumber,
  type Rules,
  type BookRecord,
  type Playing,
  type RunSpec,
} from '../../core';
import { sentence } from '../../wording/grammar';
import { requestWords } from '../../wording/material';
import { playableTonics } from '../brief/briefMaterial';
import * as paperDeskText from '../../wording/rooms/paperDesk';

/*
 * What a book is made of: its pages as requests, in order.
 */

export type BookAsk = BookRecord['ask'];
export type KeysAsk = Extract<BookAsk, { kind: 'keys' }>;
export type BookPageRecord = BookRecord['pages'][number];

/** Keys round the circle of fifths, each with its relative minor. */
export const BOOK_KEYS: readonly string[] = [
  ...['C major', 'A minor', 'G major', 'E minor', 'D major', 'B minor', 'A major', 'F# minor'],
  ...['E major', 'C# minor', 'B major', 'G# minor', 'F# major', 'D# minor', 'Db major', 'Bb minor'],
  ...['Ab major', 'F minor', 'Eb major', 'C minor', 'Bb major', 'G minor', 'F major', 'D minor'],
];

/** What is made of a key. */
export const BOOK_MATERIALS = ['scale', 'arpeggio', 'broken-thirds', 'third', 'sixth', 'octave'] as const;
export type BookMaterial = (typeof BOOK_MATERIALS)[number];

/** Most pages of one book. */
export const MOST_BOOK_PAGES = 400;

export function countPages(ask: BookAsk): number {
  return ask.kind === 'keys' ? ask.keys.length * ask.materials.length * ask.octaves.length : 4;
}

/** The player of a book. */
export interface BookPlayer {
  readonly plays: Playing;
  readonly positions?: Rules['positions'];
}

/** The pages of a book by what is played on each. */
export function pagesFor(ask: BookAsk, player: BookPlayer): Omit<BookPageRecord, 'id'>[] {
  const base = baseOf(player);
  const requests =
    ask.kind === 'keys' ? keyPages(ask, base) : positionPages(ask.key, ask.position as PositionNumber, base);
  return requests.map((request) => ({ request, name: nameOf(request, ask) }));
}

function baseOf({ plays, positions }: BookPlayer): PlanRequest {
  const material = { type: 'scale', tonic: 'C4', scale: 'major', octaves: 1, direction: 'updown' } as const;
  return { ...plays, style: 'secure', material, ...(positions ? { rules: { positions } } : {}) };
}

function keyPages({ keys, materials, octaves }: KeysAsk, base: PlanRequest): PlanRequest[] {
  return keys.flatMap((key) =>
    materials.flatMap((material) => octaves.map((count) => pageRequest(base, key, material as BookMaterial, count))),
  );
}

/** One page: its key as low as the instrument has it. */
export function pageRequest(base: PlanRequest, key: string, material: BookMaterial, octaves: number): PlanRequest {
  const [tonic, mode] = key.split(' ');
  const run = { tonic: `${tonic}4`, octaves, direction: 'updown' } as const;
  const minor = mode === 'minor';
  const spec = specFor(material, minor, run);
  const [lowest] = playableTonics({ ...base, material: spec }, tonic);
  return { ...base, material: { ...spec, tonic: lowest ?? run.tonic } as RunSpec };
}

function specFor(
  material: BookMaterial,
  minor: boolean,
  run: { readonly tonic: string; readonly octaves: number; readonly direction: 'updown' },
): RunSpec {
  switch (material) {
    case 'scale':
      return { type: 'scale', scale: minor ? 'melodic-minor' : 'major', ...run };
    case 'arpeggio':
      return { type: 'arpeggio', chord: minor ? 'minor' : 'major', ...run };
    case 'broken-thirds':
      return { type: 'broken-thirds', scale: minor ? 'harmonic-minor' : 'major', ...run };
    default:
      return { type: 'double-stops', interval: material, scale: minor ? 'harmonic-minor' : 'major', ...run };
  }
}

/** A position learned: every finger pattern on every string, then scale, broken thirds and arpeggio in it. */
function positionPages(key: string, position: PositionNumber, base: PlanRequest): PlanRequest[] {
  const setup = resolveSetup(base);
  const free = { ...base, rules: undefined };
  const drill = (figure: 'scale' | 'broken-thirds') =>
    onePositionDrill(free, setup, { key, position, figure }) ?? visiting(free, key, position, figure);
  const scale = drill('scale');
  const thirds = drill('broken-thirds');
  const minor = key.endsWith('minor');
  const arpeggio: PlanRequest[] =
    scale && 'octaves' in scale.material
      ? [
          {
            ...scale,
            material: {
              type: 'arpeggio',
              chord: minor ? 'minor' : 'major',
              tonic: scale.material.tonic,
              octaves: scale.material.octaves,
              direction: 'updown',
            },
          },
        ]
      : [];
  const patterns = patternsInPosition(free, setup, key, position);
  return [patterns, scale, thirds, ...arpeggio].filter((request) => request !== null);
}

/** Where a position has no whole octave of a key: the scale from the lowest tonic up, with a stay in it. */
function visiting(base: PlanRequest, key: string, position: PositionNumber, figure: BookMaterial): PlanRequest {
  return { ...pageRequest(base, key, figure, 2), rules: { visit: [position] } };
}

function nameOf(request: PlanRequest, ask: BookAsk): string {
  if (request.material.type === 'notes' && ask.kind === 'position') return paperDeskText.everyFingerPatternOn;
  return sentence(requestWords(request).split(', ').slice(0, 2).join(', '));
}

/** What is tried where a page cannot be played: fewer octaves, then the nearest keys. */
export function nearestRequests(request: PlanRequest): PlanRequest[] {
  const { material } = request;
  if (material.type === 'notes') return [];
  const fewer = Array.from({ length: material.octaves - 1 }, (_, n): PlanRequest => ({
    ...request,
    material: { ...material, octaves: material.octaves - 1 - n },
  }));
  const near = NEAR_TONICS.get(material.tonic.replace(/-?\d+$/, '')) ?? [];
  const moved = near.flatMap((tonic): PlanRequest[] => {
    const [lowest] = playableTonics(request, tonic);
    return lowest ? [{ ...request, material: { ...material, tonic: lowest } }] : [];
  });
  return [...fewer, ...moved];
}

/** Keys a semitone and a tone away, by their usual names. */
const CIRCLE = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
const SAME: Readonly<Record<string, string>> = { 'C#': 'Db', 'D#': 'Eb', Gb: 'F#', 'G#': 'Ab', 'A#': 'Bb' };
const NEAR_TONICS: ReadonlyMap<string, readonly string[]> = new Map(
  [...CIRCLE, ...Object.keys(SAME)].map((tonic) => {
    const at = CIRCLE.indexOf(SAME[tonic] ?? tonic);
    return [tonic, [1, 11, 2, 10].map((step) => CIRCLE[(at + step) % 12])];
  }),
);
