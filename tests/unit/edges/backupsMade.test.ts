import assert from 'node:assert/strict';
import { test } from 'node:test';
import { daysSinceBackup, isBackupDue } from '../../../src/store/backupsMade';

const DAY = 86_400_000;
const NOW = Date.parse('2026-11-30T10:00:00Z');

test('days since the last backup are whole, none for a clock that was set back', () => {
  const days = (ago: number) => daysSinceBackup({ last: NOW - ago, remindAfter: null }, NOW);
  assert.deepEqual([days(0), days(DAY - 1), days(DAY), days(12.5 * DAY), days(-9 * DAY)], [0, 0, 1, 12, 0]);
  assert.equal(daysSinceBackup({ last: null, remindAfter: null }, NOW), null);
});

test('a backup is due where a reminder is wanted and its days have gone', () => {
  const due = (ago: number | null, remindAfter: 7 | 14 | null) =>
    isBackupDue({ last: ago === null ? null : NOW - ago * DAY, remindAfter }, NOW);
  assert.deepEqual([due(6, 7), due(7, 7), due(13, 14), due(99, null)], [false, true, false, false]);
  assert.deepEqual([due(null, null), due(null, 14)], [false, true]);
});
