/*
 * npm run bench: how long planning takes, in Node on one core and in the page. Medians; nothing here passes or fails.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import type * as Core from '../src/core';
import type { PlanRequest } from '../src/core';
import { benchBook } from './bench-book';
import { benchPage } from './bench-page';

/** The core as it ships to the page and to the server's threads: in one file. */
async function shippedCore(): Promise<typeof Core> {
  const folder = mkdtempSync(join(tmpdir(), 'dove-path-'));
  const outfile = join(folder, 'core.mjs');
  await build({
    entryPoints: ['src/core/index.ts'],
    outfile,
    bundle: true,
    minify: true,
    platform: 'node',
    format: 'esm',
  });
  const core = (await import(pathToFileURL(outfile).href)) as typeof Core;
  rmSync(folder, { recursive: true });
  return core;
}

const { findingsOf, plan } = await shippedCore();

interface Row {
  readonly what: string;
  readonly 'median ms': number;
  readonly 'limit ms': number | '';
}

function medianMs(work: () => unknown, warm: number, times: number): number {
  for (let at = 0; at < warm; at++) work();
  const spans = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  spans.sort((a, b) => a - b);
  return Math.round(spans[spans.length >> 1] * 100) / 100;
}

const NAMES = 'G3 A3 B3 C4 C#4 D4 E4 F#4 G4 A4 B4 C#5 D5 E5 F#5 G5 A5 B5 C6 D6 E6'.split(' ');

/** A wandering line in D major, the same at every run. */
function wandering(length: number): PlanRequest {
  let seed = 1;
  const draw = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  let at = 8;
  const notes = Array.from({ length }, () => {
    at = Math.max(0, Math.min(NAMES.length - 1, at + Math.floor(draw() * 7) - 3));
    return { pitches: [NAMES[at]], beats: draw() < 0.3 ? 0.5 : 1 };
  });
  return { instrument: 'violin', alternatives: 3, material: { type: 'notes', key: 'D major', notes } };
}

/** A loop of plain arithmetic: a machine that is shared runs at many speeds, and the figures are to be read beside its own. */
function referenceMs(): string {
  const start = performance.now();
  let sum = 0;
  for (let at = 0; at < 1e8; at++) sum += Math.sqrt(at);
  return `${(performance.now() - start).toFixed(0)} ms for a hundred million square roots (sum ${sum.toExponential(2)})`;
}

const peakOf = process.argv.find((arg) => arg.startsWith('--peak='));
if (peakOf) {
  plan(wandering(Number(peakOf.slice(7))));
  console.log(process.resourceUsage().maxRSS / 1024);
  process.exit(0);
}

const LOWEST = { violin: 'A3', viola: 'D3', cello: 'C2', bass: 'E1' } as const;

const scale = (instrument: keyof typeof LOWEST, name: string): PlanRequest => ({
  instrument,
  alternatives: 3,
  material: { type: 'scale', tonic: LOWEST[instrument], scale: name, octaves: 3, direction: 'updown' },
});

const before = referenceMs();
const rows: Row[] = [];
for (const instrument of ['violin', 'viola', 'cello', 'bass'] as const)
  rows.push({
    what: `${instrument}, major, three octaves up and down, 3 plans`,
    'median ms': medianMs(() => plan(scale(instrument, 'major')), 200, 200),
    'limit ms': 5,
  });
for (const name of ['melodic-minor', 'chromatic'])
  rows.push({
    what: `violin, ${name}, three octaves up and down, 3 plans`,
    'median ms': medianMs(() => plan(scale('violin', name)), 30, 60),
    'limit ms': '',
  });
for (const [instrument, tonic] of [
  ['violin', 'D4'],
  ['cello', 'C3'],
] as const) {
  const thirds: PlanRequest = {
    instrument,
    alternatives: 3,
    material: {
      type: 'double-stops',
      interval: 'third',
      tonic,
      scale: 'major',
      octaves: 2,
      direction: 'updown',
    },
  };
  rows.push({
    what: `${instrument}, thirds, two octaves up and down, 3 plans`,
    'median ms': medianMs(() => plan(thirds), 60, 60),
    'limit ms': 10,
  });
}

for (const [length, limit] of [
  [60, 20],
  [2000, 500],
] as const) {
  const request = wandering(length);
  const response = plan(request);
  const tonic = { letter: 1, alteration: 0 };
  const aim = { system: 'just', tuning: 'pure', tonic, level: 'middle' } as const;
  rows.push({
    what: `all findings of a plan of ${length} notes`,
    'median ms': medianMs(() => findingsOf(request, response, response.plans[0], aim), 20, 40),
    'limit ms': limit,
  });
}

const SIZES = [500, 1000, 2000, 4000, 8000];
const LIMITS: Readonly<Record<number, number>> = { 1000: 200, 2000: 400 };
const spans = SIZES.map((length) => {
  const request = wandering(length);
  const ms = medianMs(() => plan(request), 2, 5);
  rows.push({ what: `${length} notes, 3 plans`, 'median ms': ms, 'limit ms': LIMITS[length] ?? '' });
  return ms;
});
const exponent = Math.log(spans[spans.length - 1] / spans[0]) / Math.log(SIZES[SIZES.length - 1] / SIZES[0]);

/** Peak memory of a fresh process that plans once, over that of one that plans next to nothing, in MB. */
function peakMb(length: number): number {
  const peak = (notes: number) => {
    const child = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/bench.ts', `--peak=${notes}`], {
      encoding: 'utf8',
    });
    return Number(child.stdout);
  };
  return peak(length) - peak(1);
}

console.log(`Node ${process.versions.node}, one core; the machine's speed before: ${before}`);
console.table(rows);
console.log(`and after: ${referenceMs()}`);
console.log(`From 500 to 8,000 notes the time grows with the power ${exponent.toFixed(2)} of the length`);
console.log(`Peak memory for 1,000 notes: ${peakMb(1000).toFixed(0)} MB (limit 150)`);

if (existsSync('dist/server/entry.mjs')) {
  await benchBook();
  console.log(`The machine's speed now: ${referenceMs()}`);
  await benchPage();
  console.log(`The machine's speed now: ${referenceMs()}`);
} else console.log('For the page, build first: npm run build');
