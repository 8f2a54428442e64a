import type { APIRoute } from 'astro';
import { Busy, Gone } from '../../work/pool';
import { busy, CUT_OFF, json, onlyPost, readBody, refusal } from './_body';
import { pool } from './_pool';
import * as servingText from '../../wording/rooms/serving';

export const prerender = false;

/** Largest request body taken, in bytes: room for the longest note list allowed. */
const MOST_BYTES = 4_000_000;

export const POST: APIRoute = async ({ request }) => {
  const body = await readBody(request, MOST_BYTES);
  if (body.kind === 'cut-off') return refusal(400, CUT_OFF);
  if (body.kind === 'too-large') return refusal(413, servingText.theRequestIsLarger(MOST_BYTES));
  try {
    const { status, text } = await pool().work({ text: body.text }, { signal: request.signal });
    return json(status, text);
  } catch (error) {
    if (error instanceof Busy) return busy();
    // Nobody reads it.
    if (error instanceof Gone) return refusal(499, CUT_OFF);
    throw error;
  }
};

export const ALL: APIRoute = () => onlyPost(servingText.plansAreAskedFor);
