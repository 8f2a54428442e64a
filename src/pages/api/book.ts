import type { APIRoute } from 'astro';
import { MOST_PAGES, workBook } from '../../work/book';
import { requestsOf } from '../../work/jsonScan';
import { bodyRefused, busy, onlyPost, readBody, refusal, type BodyBounds } from './_body';
import { pool } from './_pool';
import * as servingText from '../../wording/rooms/serving';

export const prerender = false;

const BOUNDS: BodyBounds = { bytes: 16_000_000, requests: MOST_PAGES, book: true };
/** Books at once; each holds its requests in memory until its last page is read. */
const MOST_BOOKS = 8;
/** Seconds a reader may take over a page before the book is put away. */
const READER_SECONDS = 60;

let open = 0;

export const POST: APIRoute = async ({ request }) => {
  if (open >= MOST_BOOKS) return busy();
  const body = await readBody(request, BOUNDS);
  if (body.kind !== 'read') return bodyRefused(body.kind, BOUNDS);
  const texts = requestsOf(body.bytes, body.scan);
  if (texts === null) return refusal(422, servingText.thisIsNotA);
  if (texts.length === 0) return refusal(422, servingText.theBookIsEmpty);
  if (open >= MOST_BOOKS) return busy();
  return new Response(bookStream(texts, request.signal), {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8' },
  });
};

/** The pages as they are read; where the reader goes or falls asleep the work is stopped. */
function bookStream(texts: readonly string[], gone: AbortSignal): ReadableStream<Uint8Array> {
  const pages = workBook(texts, pool());
  const encoder = new TextEncoder();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ended = false;
  open++;
  const end = () => {
    clearTimeout(timer);
    if (ended) return;
    ended = true;
    open--;
    void pages.return(undefined);
  };
  gone.addEventListener('abort', end, { once: true });
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      clearTimeout(timer);
      try {
        const { value, done } = await pages.next();
        if (done || ended) {
          controller.close();
          end();
          return;
        }
        controller.enqueue(encoder.encode(value + '\n'));
        timer = setTimeout(() => {
          end();
          controller.error(new Error(servingText.theReaderOfA));
        }, READER_SECONDS * 1000);
      } catch {
        end();
        controller.close();
      }
    },
    cancel: end,
  });
}

export const ALL: APIRoute = () => onlyPost(servingText.booksAreAskedFor);
