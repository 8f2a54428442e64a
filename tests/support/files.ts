import { clefsFor, plan, requestIssues, type Plan, type PlanRequest, type PlanResponse } from '../../src/core';
import { openFile, passageOf, Unreadable, type PassageAsk, type Piece } from '../../src/core/formats';

/*
 * Files for tests: plans made, written, and read again.
 */

export interface Made {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly clefs: ReturnType<typeof clefsFor>;
}

/** The best plan of a request; null where it has none. */
export function made(request: PlanRequest): Made | null {
  if (requestIssues(request).length > 0) return null;
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const [one] = response.plans;
  return one ? { request, response, plan: one, clefs: clefsFor(response.events, request.instrument) } : null;
}

export const bytesOf = (text: string) => new TextEncoder().encode(text);

/** A score that was read; fails where the file is none. */
export function pieceOf(file: Uint8Array | string): Piece {
  const opened = openFile(typeof file === 'string' ? bytesOf(file) : file);
  if (opened.kind !== 'piece') throw new Error(`a file of ${opened.kind}`);
  return opened.piece;
}

export const readBack = (file: Uint8Array | string, ask: PassageAsk = {}) => passageOf(pieceOf(file), ask);

/** Pitches and lengths of a request's notes, in quarters. */
export function notesIn({ material }: PlanRequest): [string, number][] {
  if (material.type !== 'notes') return [];
  const of = Number((material.time ?? '4/4').split('/')[1]);
  return material.notes.map((note) => {
    const beats = typeof note.beats === 'string' ? fraction(note.beats) : (note.beats ?? 1);
    return ['pitches' in note ? note.pitches.join('+') : '-', Math.round((beats * 4 * 5040) / of) / 5040];
  });
}

function fraction(text: string): number {
  const [above, below] = text.split('/').map(Number);
  return above / below;
}

/** The code with which a file is refused; null where it is read. */
export function refusal(file: Uint8Array | string): { readonly code: string; readonly path: string } | null {
  try {
    const opened = openFile(typeof file === 'string' ? bytesOf(file) : file);
    if (opened.kind === 'piece') passageOf(opened.piece, {});
    return null;
  } catch (error) {
    if (error instanceof Unreadable) return { code: error.code, path: error.path };
    throw error;
  }
}

interface XmlNote {
  readonly step?: string;
  readonly alter?: number;
  readonly octave?: number;
  readonly duration: number;
  readonly voice?: string;
  readonly more?: string;
  readonly before?: string;
}

/** One note of MusicXML; a rest without a step. */
export function xmlNote({ step, alter, octave = 4, duration, voice = '1', more = '', before = '' }: XmlNote): string {
  const what = step
    ? `<pitch><step>${step}</step>${alter ? `<alter>${alter}</alter>` : ''}<octave>${octave}</octave></pitch>`
    : '<rest/>';
  return `<note>${before}${what}<duration>${duration}</duration><voice>${voice}</voice>${more}</note>`;
}

/** A score of parts, each by its name and what its measures hold. */
export function xmlScore(parts: readonly { readonly name: string; readonly measures: readonly string[] }[]): string {
  const list = parts.map(({ name }, n) => `<score-part id="P${n + 1}"><part-name>${name}</part-name></score-part>`);
  const bodies = parts.map(
    ({ measures }, n) =>
      `<part id="P${n + 1}">${measures.map((inside, m) => `<measure number="${m + 1}">${inside}</measure>`).join('')}</part>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?><score-partwise version="4.0"><part-list>${list.join('')}</part-list>${bodies.join('')}</score-partwise>`;
}

/** Attributes of a first measure. */
export const xmlOpening = (divisions: number, beats = 4, of = 4, more = '') =>
  `<attributes><divisions>${divisions}</divisions><key><fifths>0</fifths></key><time><beats>${beats}</beats><beat-type>${of}</beat-type></time>${more}</attributes>`;
