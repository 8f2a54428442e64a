import { refusalAnswer } from '../../wording/issues';

/** Past this many times its limit a sender is cut off without an answer. */
const DRAINED = 10;

/** Reads a body up to a limit in bytes; null where it is longer. The rest is read and dropped, so that the answer gets through. */
export async function bodyText(request: Request, most: number): Promise<string | null> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.length;
    if (size > DRAINED * most) break;
    if (size <= most) chunks.push(chunk);
  }
  return size > most ? null : new TextDecoder().decode(Buffer.concat(chunks));
}

export function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8' },
  });
}

/** An error of the whole request, with one sentence. */
export function refusal(status: number, message: string): Response {
  return json(status, refusalAnswer(message));
}
