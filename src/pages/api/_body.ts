import { scanJson, type Breach, type JsonScan } from '../../work/jsonScan';
import { refusalAnswer } from '../../wording/issues';
import * as servingText from '../../wording/rooms/serving';

/** Past this many times its limit a sender is cut off without an answer. */
const DRAINED = 10;

/** Most notes of a request; no other list is longer. */
export const MOST_NOTES = 20_000;
export const MOST_DEPTH = 16;
/** Values of one request: so many that every note can say all that a note can. */
const MOST_VALUES = 20 * MOST_NOTES;

/** How large a body may be, and how many requests it may hold. */
export interface BodyBounds {
  readonly bytes: number;
  readonly requests: number;
  /** True where it is a book of requests. */
  readonly book: boolean;
}

/** What came of reading a body. */
export type Body =
  | { readonly kind: 'read'; readonly bytes: Uint8Array; readonly scan: JsonScan }
  | { readonly kind: 'too-large' | Breach }
  /** The sender went before its end. */
  | { readonly kind: 'cut-off' };

/**
 * Reads a body within its bounds, which are looked at before anything is built of it. The rest of one that is past them is read and dropped, so that the
 * answer gets through.
 */
export async function readBody(request: Request, { bytes: most, requests, book }: BodyBounds): Promise<Body> {
  const scan = scanJson({ requests, depth: MOST_DEPTH, items: MOST_NOTES, values: MOST_VALUES }, book);
  const chunks: Uint8Array[] = [];
  let size = 0;
  let breach: Breach | null = null;
  try {
    for await (const chunk of request.body ?? []) {
      size += chunk.length;
      if (size > DRAINED * most) break;
      if (size > most || breach) continue;
      breach = scan.read(chunk);
      chunks.push(chunk);
    }
  } catch {
    return { kind: 'cut-off' };
  }
  if (size > most) return { kind: 'too-large' };
  return breach ? { kind: breach } : { kind: 'read', bytes: Buffer.concat(chunks), scan };
}

/** Why a body is not worked at, as an answer. */
export function bodyRefused(kind: Exclude<Body['kind'], 'read'>, { bytes, requests, book }: BodyBounds): Response {
  switch (kind) {
    case 'cut-off':
      return refusal(400, CUT_OFF);
    case 'too-large':
      return refusal(413, book ? servingText.theBookIsLarger(bytes) : servingText.theRequestIsLarger(bytes));
    case 'too-deep':
      return refusal(422, servingText.nestedTooDeep(MOST_DEPTH));
    case 'too-long':
      return refusal(422, servingText.tooManyItems(MOST_NOTES));
    case 'too-many':
      return refusal(422, servingText.aBookHoldsAt(requests));
  }
}

export function json(status: number, text: string, headers: Record<string, string> = {}): Response {
  return new Response(text, { status, headers: { 'content-type': 'application/json; charset=utf-8', ...headers } });
}

/** An error of the whole request, with one sentence. */
export function refusal(status: number, message: string, headers: Record<string, string> = {}): Response {
  return json(status, JSON.stringify(refusalAnswer(message)), headers);
}

export const CUT_OFF = servingText.theRequestWasCut;

/** Seconds after which one who was sent away may come again. */
const COME_AGAIN = 2;

export function busy(): Response {
  return refusal(503, servingText.tooManyPlansAre(COME_AGAIN), { 'retry-after': String(COME_AGAIN) });
}

/** How a way in is asked: what is left out is answered with the methods there are. */
export function onlyPost(message: string): Response {
  return refusal(405, message, { allow: 'POST, OPTIONS' });
}
