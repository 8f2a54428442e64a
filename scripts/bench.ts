/*
 * npm run bench: how long planning takes, in Node on one core and in the page. Medians; nothing here passes or fails.
 */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { plan, type PlanRequest } from '../src/core';
import { benchPage } from './bench-page';

interface Row {
  readonly what: string;
  readonly 'median ms': number;
  readonly 'limit ms': number;
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

const peakOf = process.argv.find((arg) => arg.startsWith('--peak='));
if (peakOf) {
  plan(wandering(Number(peakOf.slice(7))));
  console.log(process.resourceUsage().maxRSS / 1024);
  process.exit(0);
}

const scale = (name: string): PlanRequest => ({
  instrument: 'violin',
  alternatives: 3,
  material: { type: 'scale', tonic: 'A3', scale: name, octaves: 3, direction: 'updown' },
});

const rows: Row[] = [];
for (const name of ['major', 'melodic-minor', 'chromatic'])
  rows.push({
    what: `violin, A ${name}, three octaves up and down, 3 plans`,
    'median ms': medianMs(
      () => plan(scale(name)),
      name === 'chromatic' ? 40 : 300,
      name === 'chromatic' ? 60 : 300,
    ),
    'limit ms': name === 'major' ? 5 : NaN,
  });

const thousand = wandering(1000);
rows.push({
  what: '1,000 notes, 3 plans',
  'median ms': medianMs(() => plan(thousand), 3, 7),
  'limit ms': 200,
});

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

console.log(`Node ${process.versions.node}, one core`);
console.table(rows);
console.log(`Peak memory for 1,000 notes: ${peakMb(1000).toFixed(0)} MB (limit 150)`);

if (existsSync('dist/server/entry.mjs')) await benchPage();
else console.log('For the page, build first: npm run build');
