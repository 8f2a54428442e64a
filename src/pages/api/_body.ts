import { refusalAnswer } from '../../wording/issues';
import * as servingText from '../../wording/rooms/serving';

/** Past this many times its limit a sender is cut off without an answer. */
const DRAINED = 10;

/** What came of reading a body. */
export type Body =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'too-large' }
  /** The sender went before its end. */
  | { readonly kind: 'cut-off' };

/** Reads a body up to a limit in bytes. The rest of a longer one is read and dropped, so that the answer gets through. */
export async function readBody(request: Request, most: number): Promise<Body> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of request.body ?? []) {
      size += chunk.length;
      if (size > DRAINED * most) break;
      if (size <= most) chunks.push(chunk);
    }
  } catch {
    return { kind: 'cut-off' };
  }
  if (size > most) return { kind: 'too-large' };
  return { kind: 'text', text: new TextDecoder().decode(Buffer.concat(chunks)) };
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
