import type { Trashed } from '../../core';
import { TRASH_DAYS } from '../../store/write';
import { bringBack } from '../../app/writes';
import * as studioViewsText from '../../wording/rooms/studioViews';

const DAY = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** What was deleted, to be brought back. */
export function Bin({ bin }: { readonly bin: readonly Trashed[] }) {
  if (bin.length === 0) return null;
  return (
    <details className="rounded-md border border-rule bg-sheet px-3 py-1">
      <summary className="min-h-9 cursor-pointer py-1.5">{studioViewsText.deleted(bin.length)}</summary>
      <p className="text-sm text-faded">{studioViewsText.keptForDays(TRASH_DAYS)}</p>
      <ul className="max-h-64 overflow-y-auto">
        {bin.map(({ id, words, deletedAt }) => (
          <li key={id} className="long-row flex items-center gap-2 border-t border-rule py-1">
            <span className="flex-1 leading-tight">
              {words || studioViewsText.something}
              <span className="block text-sm text-faded">{DAY.format(deletedAt)}</span>
            </span>
            <button
              type="button"
              className="button"
              aria-label={studioViewsText.bringBack(words || studioViewsText.it)}
              onClick={() => void bringBack(id)}
            >
              {studioViewsText.bringBackLabel}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
