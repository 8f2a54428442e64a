import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { plan, type PlanRequest } from '../../../src/core';

interface Case {
  readonly name: string;
  readonly why: string;
  readonly request: PlanRequest;
  readonly fingers: readonly (number | 'T')[];
  readonly top: number;
}

const cases = JSON.parse(
  readFileSync(new URL('../../data/fingerings.json', import.meta.url), 'utf8'),
) as Case[];

for (const { name, why, request, fingers, top } of cases) {
  test(`${name} comes among the first ${top}: ${why}`, () => {
    const { plans } = plan({ ...request, alternatives: Math.max(top, 3) });
    const found = plans.map((one) => one.steps.map((step) => step.stops[0].finger).join(' '));
    const rank = found.indexOf(fingers.join(' ')) + 1;
    assert.ok(rank > 0 && rank <= top, `wanted ${fingers.join(' ')}, found\n${found.join('\n')}`);
  });
}
