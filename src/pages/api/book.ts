import type { APIRoute } from 'astro';
import { bookTexts, MOST_PAGES, workBook } from '../../work/book';
import { bodyText, refusal } from './_body';
import { startWorker } from './_thread';

export const prerender = false;

const MOST_BYTES = 16_000_000;

export const POST: APIRoute = async ({ request }) => {
  const body = await bodyText(request, MOST_BYTES);
  if (body === null) return refusal(413, `The book is larger than ${MOST_BYTES} bytes; send it in parts.`);
  const texts = bookTexts(body);
  if (texts === null)
    return refusal(422, 'This is not a JSON array of requests; send one, or one request a line.');
  if (texts.length === 0) return refusal(422, 'The book is empty; send at least one request.');
  if (texts.length > MOST_PAGES)
    return refusal(
      422,
      `A book holds at most ${MOST_PAGES} requests; this one has ${texts.length}. Send it in parts.`,
    );
  const pages = workBook(texts, startWorker);
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { value, done } = await pages.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value + '\n'));
    },
    // The reader has gone: the threads are stopped.
    cancel: () => void pages.return(undefined),
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson; charset=utf-8' } });
};

export const ALL: APIRoute = () =>
  refusal(405, 'Books are asked for with POST: a JSON array or one request a line.');
