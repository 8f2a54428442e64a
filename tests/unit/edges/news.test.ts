import assert from 'node:assert/strict';
import { test } from 'node:test';
import { isNews } from '../../../src/views/bench/news';

const at = (changedAt: number, id = 'plan') => ({ id, changedAt });

test('what another page kept after all that this page knows is news', () => {
  assert.ok(isNews(at(30), { record: at(20), saved: true, seen: 20 }));
});

test('what this page kept itself is no news, however late the store tells of it', () => {
  // A change at 20 and its undo at 30 were kept here; the store tells of the first when both are done.
  assert.ok(!isNews(at(20), { record: at(30), saved: true, seen: 30 }));
  assert.ok(!isNews(at(30), { record: at(30), saved: true, seen: 30 }));
  // Kept, but the stand has not heard yet that it was.
  assert.ok(!isNews(at(30), { record: at(30), saved: true, seen: 20 }));
});

test('while a change waits to be kept nothing is taken over, and never another plan', () => {
  assert.ok(!isNews(at(30), { record: at(25), saved: false, seen: 20 }));
  assert.ok(!isNews(at(30, 'other'), { record: at(20), saved: true, seen: 20 }));
});
