import assert from 'node:assert/strict';
import { test } from 'node:test';
import { dearerBy, rankOf, readCases, type FingeringCase } from '../../support/fingerings';

/** A shift's bare price. */
const NEAR = 1;

function comesEarly(one: FingeringCase) {
  const top = one.top ?? 5;
  test(`${one.name} comes among the first ${top} or near the best: ${one.why}`, () => {
    const rank = rankOf(one);
    if (rank > 0 && rank <= top) return;
    // Where several are right it may also be another taste, little dearer than the best.
    const more = top > 1 ? dearerBy(one) : Infinity;
    assert.ok(more <= NEAR, `wanted ${one.fingers.join(' ')}, rank ${rank}, ${more.toFixed(2)} dearer`);
  });
}

readCases('fingerings').forEach(comesEarly);
const further = readCases('further-fingerings');
further.filter(({ disagreed }) => !disagreed).forEach(comesEarly);

test('of the further fingerings at least four in five come first', () => {
  const first = further.filter((one) => rankOf(one) === 1).length;
  assert.ok(first >= 0.8 * further.length, `${first} of ${further.length}`);
});
