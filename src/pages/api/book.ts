import type { APIRoute } from 'astro';
import { bookTexts, MOST_PAGES, workBook } from '../../work/book';
import { busy, CUT_OFF, onlyPost, readBody, refusal } from './_body';
import { pool } from './_pool';
import * as servingText from '../../wording/rooms/serving';

export const prerender = false;

const MOST_BYTES = 16_000_000;
/** Books at once; each holds its requests in memory until its last page is read. */
const MOST_BOOKS = 8;
/** Seconds a reader may take over a page before the book is put away. */
const READER_SECONDS = 60;

let open = 0;

export const POST: APIRoute = async ({ request }) => {
  if (open >= MOST_BOOKS) return busy();
  const body = await readBody(request, MOST_BYTES);
  if (body.kind === 'cut-off') return refusal(400, CUT_OFF);
  if (body.kind === 'too-large') return refusal(413, servingText.theBookIsLarger(MOST_BYTES));
  const texts = bookTexts(body.text);
  if (texts === null) return refusal(422, servingText.thisIsNotA);
  if (texts.length === 0) return refusal(422, servingText.theBookIsEmpty);
  if (texts.length > MOST_PAGES) return refusal(422, servingText.aBookHoldsAt(MOST_PAGES, texts.length));
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
