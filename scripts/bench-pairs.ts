import { resolve } from 'node:path';
import type { PlanRequest } from '../src/core';
import { AIM, scale, thirds, wandering } from './bench-music';
import { shippedCore } from './core-of';
import * as measuringText from '../src/wording/rooms/measuring';

type Core = Awaited<ReturnType<typeof shippedCore>>;

/** The folder that comes after --against, or nothing. */
export function againstOption(): string | undefined {
  const at = process.argv.indexOf('--against');
  return at > 0 ? process.argv[at + 1] : undefined;
}

const CASES: readonly (readonly [what: string, request: PlanRequest])[] = [
  ...(['violin', 'viola', 'cello', 'bass'] as const).map(
    (instrument) => [measuringText.threeOctaves(instrument), scale(instrument, 'major')] as const,
  ),
  [measuringText.violinChromatic, scale('violin', 'chromatic')],
  [measuringText.celloThirds, thirds('cello', 'C3')],
  ['400 notes', wandering(400)],
];

interface Pair {
  readonly what: string;
  readonly 'here ms': number;
  readonly 'there ms': number;
  readonly 'here to there': number;
}

/**
 * The planner of this checkout and of another in turn, in one process: a machine that slows down slows both. The last column is the median
 * of the pairs' ratios; under 1 this checkout is quicker.
 */
export async function besideEachOther(here: Core, folder: string): Promise<Pair[]> {
  const there = await shippedCore(resolve(folder));
  const plans = CASES.map(([what, request]) =>
    pair(
      what,
      () => here.plan(request),
      () => there.plan(request),
    ),
  );
  const request = wandering(400);
  const [ours, theirs] = [here.plan(request), there.plan(request)];
  const findings = pair(
    measuringText.findingsOf400Notes,
    () => here.findingsOf(request, ours, ours.plans[0], AIM),
    () => there.findingsOf(request, theirs, theirs.plans[0], AIM),
  );
  return [...plans, findings];
}

function pair(what: string, here: () => unknown, there: () => unknown): Pair {
  for (let at = 0; at < 40; at++) {
    here();
    there();
  }
  const pairs = Array.from({ length: 120 }, (_, at) => {
    // Each goes first as often as the other.
    if (at % 2 === 0) return { ours: span(here), theirs: span(there) };
    const theirs = span(there);
    return { ours: span(here), theirs };
  });
  return {
    what,
    'here ms': median(pairs.map(({ ours }) => ours)),
    'there ms': median(pairs.map(({ theirs }) => theirs)),
    'here to there': median(pairs.map(({ ours, theirs }) => ours / theirs)),
  };
}

function span(work: () => unknown): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.round(sorted[sorted.length >> 1] * 1000) / 1000;
}
