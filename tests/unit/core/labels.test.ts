import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { labelStore } from '../../../src/core/planner/search/labels';

const someLabels = fc.array(fc.record({ t: fc.nat(20), least: fc.nat(50) }), {
  minLength: 1,
  maxLength: 900,
});

test('labels come out by their least total, of equals the one further along', () => {
  fc.assert(
    fc.property(someLabels, (wanted) => {
      const labels = labelStore();
      wanted.forEach(({ t, least }, at) => labels.push(t, at, at % 5, least / 2, least, -1));
      const out: { t: number; least: number }[] = [];
      while (labels.waiting()) {
        const label = labels.pop();
        const [node, t, least] = [labels.node(label), labels.t(label), labels.least(label)];
        assert.deepEqual([t, least], [wanted[node].t, wanted[node].least]);
        assert.deepEqual([labels.state(label), labels.spent(label)], [node % 5, least / 2]);
        out.push({ t, least });
      }
      assert.equal(out.length, wanted.length);
      out.slice(1).forEach((label, at) => {
        const before = out[at];
        assert.ok(label.least > before.least || (label.least === before.least && label.t <= before.t));
      });
    }),
  );
});

test('sums that differ in their last bits are equal', () => {
  const labels = labelStore();
  labels.push(1, 0, 0, 0, 0.3, -1);
  labels.push(5, 1, 0, 0, 0.1 + 0.2, -1);
  assert.equal(labels.node(labels.pop()), 1);
});

test('a label tells the nodes from the first event to its own', () => {
  const labels = labelStore();
  labels.push(0, 7, 0, 0, 1, -1);
  const first = labels.pop();
  labels.push(1, 3, 0, 1, 2, first);
  labels.push(1, 4, 0, 1, 3, first);
  const second = labels.pop();
  labels.push(2, 9, 0, 2, 2, second);
  assert.deepEqual([...labels.path(labels.pop(), 3)], [7, 3, 9]);
  assert.equal(labels.count(), 4);
});
