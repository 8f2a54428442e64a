import assert from 'node:assert/strict';
import { test } from 'node:test';
import { rankOf, readCases, type FingeringCase } from '../../support/fingerings';

function comesEarly(one: FingeringCase) {
  const top = one.top ?? 5;
  test(`${one.name} comes among the first ${top}: ${one.why}`, () => {
    const rank = rankOf(one);
    assert.ok(rank > 0 && rank <= top, `wanted ${one.fingers.join(' ')}, rank ${rank}`);
  });
}

readCases('fingerings').forEach(comesEarly);
const further = readCases('further-fingerings');
further.filter(({ disagreed }) => !disagreed).forEach(comesEarly);

test('of the further fingerings at least four in five come first', () => {
  const first = further.filter((one) => rankOf(one) === 1).length;
  assert.ok(first >= 0.8 * further.length, `${first} of ${further.length}`);
});
