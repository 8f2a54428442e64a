/*
 * npm run robust: moves every weight at random by up to a fifth and counts how many of the wanted fingerings still come among the
 * first five. Weights that hold under this were chosen for a reason, not fitted.
 */
import { requestWeights, type Weights } from '../src/core';
import { rankOf, readCases } from '../tests/support/fingerings';
import * as measuringText from '../src/wording/rooms/measuring';

const DRAWS = 50;
const SPREAD = 0.2;

let seed = 20261123;
const draw = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
const moved = (value: number) => value * (1 + SPREAD * (2 * draw() - 1));

function movedWeights(weights: Weights): Weights {
  const entries = Object.entries(weights).map(([name, value]) => [
    name,
    Array.isArray(value) ? value.map(moved) : moved(value as number),
  ]);
  return Object.fromEntries(entries) as Weights;
}

const cases = [...readCases('fingerings'), ...readCases('further-fingerings')];
const hits = cases.filter((one) => rankOf(one) > 0);
console.log(
  measuringText.ofFingeringsAmongThe(hits.length, cases.length, cases.filter((one) => rankOf(one) === 1).length),
);
const lost = new Map<string, number>();
let held = 0;
for (let at = 0; at < DRAWS; at++) {
  for (const one of hits) {
    if (rankOf(one, movedWeights(requestWeights(one.request))) > 0) held++;
    else lost.set(one.name, (lost.get(one.name) ?? 0) + 1);
  }
}
console.log(measuringText.ofTheHitsHold(((100 * held) / (DRAWS * hits.length)).toFixed(1), DRAWS, 100 * SPREAD));
for (const [name, times] of [...lost].sort((a, b) => b[1] - a[1])) console.log(measuringText.lostIn(times, name));
