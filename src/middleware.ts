import { defineMiddleware } from 'astro:middleware';

/** Headers that the Content-Security-Policy of the page cannot carry. */
export const onRequest = defineMiddleware(async (_context, next) => {
  const response = await next();
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('x-frame-options', 'DENY');
  return response;
});
