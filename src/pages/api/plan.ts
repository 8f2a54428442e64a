import type { APIRoute } from 'astro';
import { Busy, Gone } from '../../work/pool';
import { bodyRefused, busy, CUT_OFF, json, onlyPost, readBody, refusal, type BodyBounds } from './_body';
import { pool } from './_pool';
import * as servingText from '../../wording/rooms/serving';

export const prerender = false;

/** Room for the longest note list allowed. */
const BOUNDS: BodyBounds = { bytes: 2_000_000, requests: 1, book: false };

export const POST: APIRoute = async ({ request }) => {
  const body = await readBody(request, BOUNDS);
  if (body.kind !== 'read') return bodyRefused(body.kind, BOUNDS);
  try {
    const { status, text } = await pool().work(
      { text: new TextDecoder().decode(body.bytes) },
      { signal: request.signal },
    );
    return json(status, text);
  } catch (error) {
    if (error instanceof Busy) return busy();
    // Nobody reads it.
    if (error instanceof Gone) return refusal(499, CUT_OFF);
    throw error;
  }
};

export const ALL: APIRoute = () => onlyPost(servingText.plansAreAskedFor);
