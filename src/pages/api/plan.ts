import type { APIRoute } from 'astro';
import { answerText, isError } from '../../work/answer';
import { workPlan } from '../../work/book';
import { bodyText, json, refusal } from './_body';
import { startWorker } from './_thread';

export const prerender = false;

/** Largest request body taken, in bytes: room for the longest note list allowed. */
const MOST_BYTES = 4_000_000;
/** Requests longer than this, in letters, may take seconds: they are worked out beside the server. About 500 notes. */
const LONG = 20_000;

export const POST: APIRoute = async ({ request }) => {
  const text = await bodyText(request, MOST_BYTES);
  if (text === null) return refusal(413, `The request is larger than ${MOST_BYTES} bytes; send it in parts.`);
  const answer = text.length > LONG ? await workPlan(text, startWorker) : answerText(text);
  return json(isError(answer) ? 422 : 200, answer);
};

export const ALL: APIRoute = () => refusal(405, 'Plans are asked for with POST and one JSON request.');
