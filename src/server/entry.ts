import compression from 'compression';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { fileURLToPath } from 'node:url';
import sirv from 'sirv';
import { refusalAnswer } from '../wording/issues';
import { EVERY_ANSWER, isApi, methodsOf, pathOf, permissionsFor, turnedAway, type TurnedAway } from './door';
import { errorPage } from './errorPage';
import { preloadHeader } from './preloads';
import { listenTrouble, readSettings } from './settings';
import * as servingText from '../wording/rooms/serving';

/*
 * The server as it is started: it looks at each request, sends what every answer carries, writes the log, and hands on to the built app.
 */

const LASTING = 'public, max-age=31536000, immutable';
/** Seconds that what is being worked out may still take when the server is told to stop. */
const LAST_SECONDS = 10;

const settings = readSettings(process.env);
if (typeof settings === 'string') stop(settings);
const { host, port, names, log } = settings;

// The app does not start a server of its own: this is it.
process.env.ASTRO_NODE_AUTOSTART = 'disabled';
const app = (await import(/* @vite-ignore */ './app.mjs' as string)) as {
  handler: (request: IncomingMessage, response: ServerResponse) => void;
};

/** Files of the build, each beside its compressed copies; those with a hash in their name never change. */
const files = sirv(fileURLToPath(new URL('../client', import.meta.url)), {
  brotli: true,
  gzip: true,
  etag: true,
  setHeaders: (response, path) =>
    response.setHeader('cache-control', path.startsWith('/_astro/') ? LASTING : 'no-cache'),
});
const squeeze = compression();
/** Pages are small, and made for each visit. */
const squeezed = (request: IncomingMessage, response: ServerResponse, next: () => void) =>
  squeeze(...([request, response, next] as unknown as Parameters<typeof squeeze>));

const server = createServer((request, response) => {
  const start = performance.now();
  for (const [name, value] of Object.entries(EVERY_ANSWER)) response.setHeader(name, value);
  if (log) response.on('close', () => writeLine(request, response, performance.now() - start));
  const away = turnedAway(request, names);
  const path = pathOf(request) ?? '/';
  response.setHeader('permissions-policy', permissionsFor(path));
  if (away) turnAway(request, response, away, isApi(path));
  else if (request.method === 'OPTIONS') response.writeHead(204, { allow: methodsOf(path) }).end();
  else {
    const preload = preloadHeader(path);
    if (preload) response.setHeader('link', preload);
    // Answers of the API come as they are worked out: compressing would hold them back.
    if (isApi(path)) app.handler(request, response);
    else files(request, response, () => void squeezed(request, response, () => app.handler(request, response)));
  }
});

// A request that is no HTTP, or is cut off in its head, is answered in one line and leaves no trace in the log.
server.on('clientError', (_error, socket) => {
  if (socket.writable) socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\n\r\n');
});
server.on('error', (error) => stop(listenTrouble(error, settings)));
server.listen(port, host, () => {
  const at = server.address();
  if (log && at && typeof at === 'object')
    console.log(servingText.dovePathListensOn(host.includes(':') ? `[${host}]` : host, at.port));
});

// Told to stop it takes nothing new, and ends what it has begun.
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), LAST_SECONDS * 1000).unref();
  });

function turnAway(
  request: IncomingMessage,
  response: ServerResponse,
  { status, message, allow }: TurnedAway,
  api: boolean,
) {
  const type = api ? 'application/json' : 'text/html';
  response.writeHead(status, {
    'content-type': `${type}; charset=utf-8`,
    ...(allow ? { allow } : {}),
    // What is still being sent is not read.
    ...(request.method === 'POST' ? { connection: 'close' } : {}),
  });
  if (request.method === 'HEAD') response.end();
  else response.end(api ? JSON.stringify(refusalAnswer(message)) : errorPage(status, message));
}

/** Letters of an address that are logged. */
const MOST_LOGGED = 200;

function writeLine({ url = '' }: IncomingMessage, response: ServerResponse, ms: number) {
  const path = JSON.stringify(url.split('?')[0].slice(0, MOST_LOGGED)).slice(1, -1);
  const status = response.writableFinished ? response.statusCode : 499;
  console.log(`${new Date().toISOString()} ${path} ${status} ${ms.toFixed(0)} ms`);
}

function stop(message: string): never {
  console.error(message);
  process.exit(1);
}
