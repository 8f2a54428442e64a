import type { APIRoute } from 'astro';
import { errorAnswer } from '../../contract/read';
import { answerText, isError } from '../../work/answer';

export const prerender = false;

/** Largest request body taken, in bytes: room for the longest note list allowed. */
const MOST_BYTES = 4_000_000;

function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8' },
  });
}

function tooLarge(): Response {
  return json(
    413,
    errorAnswer([{ path: '', message: `The request is larger than ${MOST_BYTES} bytes; send it in parts.` }]),
  );
}

/** Reads a body up to the limit; null where it is longer. The rest is read and dropped, so that the answer gets through. */
async function bodyText(request: Request): Promise<string | null> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.length;
    if (size > MOST_DRAINED) break;
    if (size <= MOST_BYTES) chunks.push(chunk);
  }
  return size > MOST_BYTES ? null : new TextDecoder().decode(Buffer.concat(chunks));
}

/** Past this a sender is cut off without an answer. */
const MOST_DRAINED = 10 * MOST_BYTES;

export const POST: APIRoute = async ({ request }) => {
  const text = await bodyText(request);
  if (text === null) return tooLarge();
  const answer = answerText(text);
  return json(isError(answer) ? 422 : 200, answer);
};

export const ALL: APIRoute = () =>
  json(405, errorAnswer([{ path: '', message: 'Plans are asked for with POST and one JSON request.' }]));
