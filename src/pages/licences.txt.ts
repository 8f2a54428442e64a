import type { APIRoute } from 'astro';
import { licencesText } from '../views/licences/licensed';

/** A file of the build. */
export const prerender = true;

export const GET: APIRoute = () =>
  new Response(licencesText(), { headers: { 'content-type': 'text/plain; charset=utf-8' } });
