/*
 * npm run same-plans -- OTHER_CHECKOUT: are the plans of this checkout the same as another's? Compares the wanted fingerings and 500 random
 * requests (one seed), every way of each: string, finger, stop and position of every note, and the cost within 1e-9. Exit 1 where any differs.
 */
import fc from 'fast-check';
import type { plan as Plan, PlanRequest } from '../src/core';
import { shippedCore } from './core-of';
import { readCases } from '../tests/support/fingerings';
import { someRequest } from '../tests/unit/requests';
import * as measuringText from '../src/wording/rooms/measuring';

const REQUESTS = 500;
const SEED = 20261125;

type Found = ReturnType<typeof Plan>['plans'][number];

const fingeringOf = ({ steps }: Found) =>
  JSON.stringify(
    steps.map(({ at, position, stops }) => [
      at,
      position,
      stops.map(({ string, finger, semitones }) => [string, finger, semitones]),
    ]),
  );

function differenceOf(ours: readonly Found[], theirs: readonly Found[]): string | null {
  if (ours.length !== theirs.length) return measuringText.waysHereThere(ours.length, theirs.length);
  for (const [way, one] of ours.entries()) {
    const other = theirs[way];
    if (fingeringOf(one) !== fingeringOf(other)) return measuringText.wayAnotherFingering(way);
    if (Math.abs(one.cost - other.cost) > 1e-9) return measuringText.wayCostsHereThere(way, one.cost, other.cost);
  }
  return null;
}

const [other] = process.argv.slice(2);
if (!other) {
  console.error(measuringText.nameTheOtherCheckout);
  process.exit(2);
}
const [here, there] = await Promise.all(['.', other].map(async (folder) => (await shippedCore(folder)).plan));
const requests: PlanRequest[] = [
  ...[...readCases('fingerings'), ...readCases('further-fingerings')].map(({ request }) => ({
    ...request,
    alternatives: 5,
  })),
  ...fc.sample(someRequest, { numRuns: REQUESTS, seed: SEED }),
];
let ways = 0;
const different = requests.flatMap((request) => {
  const [ours, theirs] = [here(request).plans, there(request).plans];
  ways += ours.length;
  const found = differenceOf(ours, theirs);
  return found ? [`${found}: ${JSON.stringify(request)}`] : [];
});
for (const line of different.slice(0, 10)) console.log(line);
console.log(measuringText.requestsWaysRequestsCome(requests.length, ways, different.length));
process.exit(different.length > 0 ? 1 : 0);
