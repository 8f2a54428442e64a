import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { counted, listed, number, ordinal } from '../../../src/wording/grammar';

/* The language's own rules, as the run-time knows them, are the measure for what is written out by hand. */

test('numbers are rounded and written as the language has them', () => {
  const decimal = fc
    .tuple(fc.integer({ min: -5_000_000, max: 5_000_000 }), fc.constantFrom(1, 10, 100, 1000, 8, 3, 7))
    .map(([n, by]) => n / by);
  for (const digits of [0, 1, 2] as const) {
    const format = new Intl.NumberFormat('en', {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      useGrouping: false,
    });
    fc.assert(
      fc.property(decimal, (n) => {
        // Nothing has no sign.
        assert.equal(number(n, digits), format.format(n).replace(/^-(?=[0.]+$)/, ''));
      }),
    );
  }
  assert.deepEqual(
    [number(0.25, 1), number(1.005, 2), number(2.5), number(-2.5), number(-0.3), number(1e-9, 2)],
    ['0.3', '1.01', '3', '-3', '0', '0.00'],
  );
});

test('ordinals, plurals and lists are those of the language', () => {
  const rules = new Intl.PluralRules('en', { type: 'ordinal' });
  const ends = { one: 'st', two: 'nd', few: 'rd', other: 'th' } as Record<string, string>;
  for (let n = 0; n < 250; n++) assert.equal(ordinal(n), n + ends[rules.select(n)]);
  const lists = new Intl.ListFormat('en', { type: 'conjunction' });
  for (const words of [[], ['a'], ['a', 'b'], ['a', 'b', 'c'], ['a', 'b', 'c', 'd']])
    assert.equal(listed(words), lists.format(words));
  assert.deepEqual(
    [0, 1, 2].map((n) => counted(n, 'shift')),
    ['0 shifts', '1 shift', '2 shifts'],
  );
});
