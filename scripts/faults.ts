/*
 * npm run faults: the standing test of faults. Requests by chance with fixed seeds, hostile HTTP, memory, and a storm of edits in the browser; exit 1
 * where anything does not hold.
 *   npm run faults -- --requests 10000 --http 3000 --memory 20000 --minutes 10
 * Build first: npm run build.
 */
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { chromium } from '@playwright/test';
import fc from 'fast-check';
import { answerFault, demandingRequest, hostileRequest, refusalFault } from '../tests/support/fuzz';
import { storm } from '../tests/support/storm';
import { BROWSER, startServer } from './server.mjs';
import * as measuringText from '../src/wording/rooms/measuring';

const SEED = 20261125;
const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '10000' },
    http: { type: 'string', default: '3000' },
    memory: { type: 'string', default: '20000' },
    minutes: { type: 'string', default: '10' },
  },
});
const [requests, http, memory, minutes] = [values.requests, values.http, values.memory, values.minutes].map(Number);
const faults: string[] = [];
/** Ms that pages may take longer while heavy bad bodies come in than in calm, 95 of 100 of them; and that a small plan may take in all. */
const MORE_MS = 100;
const SMALL_PLAN_MS = 1000;
/** Pages asked for in each run. */
const PAGES = 60;
/** How often memory is looked at before it is told. */
const LOOKS = 8;

function report(what: string, found: readonly string[]) {
  console.log(`${what}: ${found.length === 0 ? measuringText.noFault : measuringText.faults(found.length)}`);
  for (const fault of found.slice(0, 10)) console.log(`  ${fault.slice(0, 600)}`);
  faults.push(...found);
}

const good = fc.sample(demandingRequest, { numRuns: requests, seed: SEED });
report(
  measuringText.requests(requests),
  good.flatMap((request) => {
    const fault = answerFault(request);
    return fault ? [`${fault}: ${JSON.stringify(request)}`] : [];
  }),
);
const hostile = fc.sample(hostileRequest, { numRuns: http, seed: SEED }).map((value) => JSON.stringify(value));
report(
  measuringText.hostileRequests(http),
  hostile.flatMap((text) => {
    const fault = refusalFault(text);
    return fault ? [`${fault}: ${text.slice(0, 300)}`] : [];
  }),
);

const server = await startServer();
try {
  report(measuringText.hostileRequestsOverHttp(http), await overHttp(server.address, hostile));
  report(measuringText.heavyBodies, await heavyFaults(server.address));
  if (memory > 0) report(measuringText.memoryAfterRequests(memory), await memoryFault(server));
  if (minutes > 0) {
    const browser = await chromium.launch(BROWSER);
    const { edits, lost } = await storm(browser, server.address, minutes * 60_000, SEED);
    await browser.close();
    report(measuringText.minutesOfStormEdits(minutes, edits), lost);
  }
} finally {
  server.stop();
}
process.exit(faults.length > 0 ? 1 : 0);

/** Sends each text as one of many ways in, odd methods and heads among them. */
async function overHttp(address: string, texts: readonly string[]): Promise<string[]> {
  const found: string[] = [];
  for (const [at, text] of texts.entries()) {
    const path = ['/api/plan', '/api/book', '/api/plan?x=%E0', `/${encodeURIComponent(text.slice(0, 40))}`][at % 4];
    const method = path.startsWith('/api') ? ['POST', 'POST', 'PUT', 'GET'][(at >> 2) % 4] : 'GET';
    const body = method === 'POST' || method === 'PUT' ? text : undefined;
    const headers = at % 7 === 0 ? { origin: 'http://elsewhere.example' } : undefined;
    const answer = await fetch(address + path, { method, body, headers });
    const said = await answer.text();
    if (answer.status >= 500) found.push(`${method} ${path} ${answer.status}: ${text.slice(0, 200)}`);
    if (/\bat .*:\d+:\d+\)/.test(said)) found.push(measuringText.aStackTrace(said.slice(0, 200)));
    if (answer.status === 422 && said.length > 64_000 && !path.includes('book'))
      found.push(measuringText.letters(said.length));
    if (!answer.headers.get('x-content-type-options')) found.push(measuringText.noPolicy(method, path, answer.status));
  }
  return found;
}

/** Bodies as heavy as they are taken, four at a time: each is refused, and whoever asks for a page meanwhile hardly waits. */
async function heavyFaults(address: string): Promise<string[]> {
  const post = (path: string, body: string) => fetch(address + path, { method: 'POST', body });
  const timed = async (work: () => Promise<Response>) => {
    const start = performance.now();
    await (await work()).arrayBuffer();
    return performance.now() - start;
  };
  const pages = async () => {
    const times: number[] = [];
    for (let page = 0; page < PAGES; page++) times.push(await timed(() => fetch(`${address}/studio`)));
    return times.sort((a, b) => a - b)[Math.floor(PAGES * 0.95)];
  };
  const wrong = JSON.stringify({
    instrument: 'violin',
    material: { type: 'notes', notes: new Array(900_000).fill(1) },
  });
  const bodies = [
    { path: '/api/book', text: '['.repeat(7_000_000) },
    { path: '/api/plan', text: wrong },
    { path: '/api/book', text: `[${new Array(7_000_000).fill(1).join()}]` },
    { path: '/api/book', text: `[${wrong}]` },
  ];
  const calm = await pages();
  const found: string[] = [];
  const attack = new Worker(new URL('./lib/attack.mjs', import.meta.url), { workerData: { address, bodies } });
  attack.on('message', ({ path, status }: { path: string; status: number }) =>
    found.push(measuringText.heavyTaken(path, status)),
  );
  const meanwhile = await pages();
  const small = await timed(() => post('/api/plan', JSON.stringify(good[0])));
  attack.postMessage('stop');
  await new Promise((ended) => attack.once('exit', ended));
  console.log(measuringText.pagesTook(calm, meanwhile, small));
  if (meanwhile > calm + MORE_MS) found.push(measuringText.pagesWait(meanwhile - calm));
  if (small > SMALL_PLAN_MS) found.push(measuringText.smallPlanWaits(small));
  return [...new Set(found)];
}

/** Memory after so many mixed requests is to be within a tenth of that after a tenth of them. */
async function memoryFault({ address, memoryMb }: typeof server): Promise<string[]> {
  const mixed = [...good.slice(0, 400).map((request) => JSON.stringify(request)), ...hostile.slice(0, 400)];
  let sent = 0;
  const send = async (until: number) => {
    for (; sent < until; sent++) {
      const answer = await fetch(`${address}/api/plan`, { method: 'POST', body: mixed[sent % mixed.length] });
      await answer.arrayBuffer();
    }
  };
  /** The lowest of several looks: what is only waiting to be swept is not held. */
  const held = async () => {
    const seen: number[] = [];
    for (let looks = 0; looks < LOOKS; looks++) {
      await send(sent + mixed.length / 4);
      seen.push(memoryMb());
    }
    return Math.min(...seen);
  };
  await send(memory / 10);
  const early = await held();
  await send(memory);
  const late = await held();
  console.log(measuringText.mbAfterMbAfter(early.toFixed(0), Math.floor(memory / 10), late.toFixed(0), memory));
  return late > 1.1 * early ? [measuringText.fromToMb(early.toFixed(0), late.toFixed(0))] : [];
}
