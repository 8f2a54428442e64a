import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import fc from 'fast-check';
import { plan, type PlanRequest, type PlanResponse } from '../../src/core';
import { someRequest } from '../unit/requests';
import { NIGHTLY, seedOf } from './runs';

/*
 * Some hundred random requests, planned once and read by every test of a law. The runner names a file by the core that planned them, so that they are planned
 * again only where the core has changed.
 */

export interface Planned {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
}

const SIZE = NIGHTLY ? 3000 : 400;
const SEED = 20261130;
const FILE = process.env.CORPUS;

let read: readonly Planned[] | undefined;

/** The requests with their answers. @param most so many of them at the most, from the first */
export function corpus(most = SIZE): readonly Planned[] {
  read ??= FILE && existsSync(FILE) ? (JSON.parse(readFileSync(FILE, 'utf8')) as Planned[]) : makeCorpus();
  return read.slice(0, most);
}

function makeCorpus(): readonly Planned[] {
  const requests = fc.sample(someRequest, { numRuns: SIZE, seed: seedOf(SEED) });
  return requests.map((request) => ({ request, response: plan({ ...request, alternatives: 6, explain: 'all' }) }));
}

/** Plans them into the file that the tests will read. */
export function writeCorpus(file: string): void {
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, JSON.stringify(makeCorpus()));
}
