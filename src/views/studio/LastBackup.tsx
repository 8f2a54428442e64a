import { useState } from 'react';
import { useMadeBackups } from '../../app/backupsMade';
import { daysSinceBackup, isBackupDue, REMIND_AFTER } from '../../store/backupsMade';
import * as backupsText from '../../wording/rooms/backups';

/** When the last backup was saved here, and after how long one is reminded of the next. */
export function LastBackup() {
  const [made, setReminder] = useMadeBackups();
  const [now] = useState(() => Date.now());
  const days = daysSinceBackup(made, now);
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm text-faded">
      <p className={isBackupDue(made, now) ? 'border-l-4 border-ochre pl-2 text-ink' : ''}>
        {backupsText.lastBackup(days)}
      </p>
      <label className="flex items-center gap-1">
        {backupsText.remindMe}
        <select
          className="min-h-9 rounded-md border border-rule bg-paper px-2 text-sm text-ink"
          value={made.remindAfter ?? ''}
          onChange={({ target }) => setReminder(REMIND_AFTER.find((after) => String(after) === target.value) ?? null)}
        >
          <option value="">{backupsText.remindNever}</option>
          {REMIND_AFTER.map((after) => (
            <option key={after} value={after}>
              {backupsText.remindAfter(after)}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
