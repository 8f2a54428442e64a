/*
 * npm run bench: how long planning takes, in Node on one core and in the page. Medians; nothing here passes or fails.
 * npm run bench -- trends: what the trends tell of made-up students; SEED sets the seed.
 * npm run bench -- listening: what is heard of made-up takes, and how fast; SEED sets the seed.
 * npm run bench -- --against FOLDER: the same planner of another checkout beside it, in turn in one process.
 */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { benchBook } from './bench-book';
import { benchFiles } from './bench-files';
import { benchListening } from './bench-listening';
import { benchPage } from './bench-page';
import { benchPath } from './bench-path';
import { benchPractice } from './bench-practice';
import { benchTrends } from './bench-trends';
import { AIM, scale, thirds, wandering } from './bench-music';
import { againstOption, besideEachOther } from './bench-pairs';
import { shippedCore } from './core-of';
import type { PlanRequest } from '../src/core';
import * as measuringText from '../src/wording/rooms/measuring';

const core = await shippedCore('.');
const { findingsOf, plan } = core;

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

/** A loop of plain arithmetic: a machine that is shared runs at many speeds, and the figures are to be read beside its own. */
function referenceMs(): string {
  const start = performance.now();
  let sum = 0;
  for (let at = 0; at < 1e8; at++) sum += Math.sqrt(at);
  return measuringText.msForAHundred((performance.now() - start).toFixed(0), sum.toExponential(2));
}

const peakOf = process.argv.find((arg) => arg.startsWith('--peak='));
if (peakOf) {
  plan(wandering(Number(peakOf.slice(7))));
  console.log(process.resourceUsage().maxRSS / 1024);
  process.exit(0);
}

if (process.argv.includes('practice')) {
  await benchPractice();
  process.exit(0);
}
if (process.argv.includes('path')) {
  benchPath();
  process.exit(0);
}
if (process.argv.includes('trends')) {
  benchTrends(Number(process.env.SEED ?? 1));
  process.exit(0);
}

if (process.argv.includes('listening')) {
  benchListening(Number(process.env.SEED ?? 1));
  process.exit(0);
}

const other = againstOption();
if (other) {
  console.table(await besideEachOther(core, other));
  process.exit(0);
}

const THREE_OCTAVES = [
  ['violin', 'major'],
  ['viola', 'major'],
  ['cello', 'major'],
  ['bass', 'major'],
  ['violin', 'chromatic'],
] as const;

/** The scale itself or the same a semitone higher, in turn. */
function inOtherKey(request: PlanRequest, at: number): PlanRequest {
  const { material } = request;
  if (at % 2 === 0 || !('tonic' in material)) return request;
  return { ...request, material: { ...material, tonic: material.tonic.replace(/^[A-G]/, '$&b') } };
}

const before = referenceMs();
const rows: Row[] = [];
for (const [instrument, name] of THREE_OCTAVES) {
  const request = scale(instrument, name);
  const what = measuringText.benchThreeOctavesUpAnd(instrument, name);
  const alone = { ...request, alternatives: 1 };
  let at = 0;
  // Another lock each time: what the next request shares is kept, what the lock touches is not.
  const locked = (): PlanRequest => {
    const { steps } = plan(alone).plans[0];
    const { string, finger } = steps[at++ % steps.length].stops[0];
    return { ...alone, rules: { locks: [{ at: steps[at % steps.length].at, string, finger }] } };
  };
  const locks = Array.from({ length: 40 }, locked);
  const add = (how: string, work: () => unknown, limit: number | '' = '') =>
    rows.push({ what: `${what}, ${how}`, 'median ms': medianMs(work, 40, 60), 'limit ms': limit });
  add(measuringText.theBestAloneWarm, () => plan(locks[at++ % locks.length]));
  add(measuringText.theBestAloneEvery, () => plan(inOtherKey(alone, at++)));
  // A string a hundredth of a mm longer each time: nothing of the request before can be used.
  add(measuringText.theBestAloneCold, () => plan({ ...alone, stringLengthMm: 600 + at++ / 100 }), 5);
  add(measuringText.withItsWaysWarm, () => plan({ ...request, alternatives: 5 }));
}
for (const [instrument, tonic] of [
  ['violin', 'D4'],
  ['cello', 'C3'],
] as const) {
  const request = thirds(instrument, tonic);
  rows.push({
    what: measuringText.thirdsTwoOctavesUp(instrument),
    'median ms': medianMs(() => plan(request), 60, 60),
    'limit ms': 10,
  });
}

for (const [length, limit] of [
  [60, 20],
  [2000, 500],
] as const) {
  const request = wandering(length);
  const response = plan(request);
  rows.push({
    what: measuringText.allFindingsOfA(length),
    'median ms': medianMs(() => findingsOf(request, response, response.plans[0], AIM), 20, 40),
    'limit ms': limit,
  });
}

const SIZES = [500, 1000, 2000, 4000, 8000];
const LIMITS: Readonly<Record<number, number>> = { 1000: 200, 2000: 400 };
const spans = SIZES.map((length) => {
  const request = wandering(length);
  const ms = medianMs(() => plan(request), 2, 5);
  rows.push({ what: measuringText.notes3Plans(length), 'median ms': ms, 'limit ms': LIMITS[length] ?? '' });
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

console.log(measuringText.nodeOneCoreThe(process.versions.node, before));
console.table(rows);
console.log(measuringText.andAfter(referenceMs()));
console.log(measuringText.growth(exponent.toFixed(2)));
console.log(measuringText.peakMemoryFor1(peakMb(1000).toFixed(0)));

if (existsSync('dist/server/entry.mjs')) {
  benchFiles();
  await benchBook();
  console.log(measuringText.theMachinesSpeedNow(referenceMs()));
  await benchPage();
  await benchPractice();
  console.log(measuringText.theMachinesSpeedNow(referenceMs()));
} else console.log(measuringText.forThePageBuild);
