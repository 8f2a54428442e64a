import { Redo2, Undo2 } from 'lucide-react';
import type { History } from '../app/undo';
import { useDeleted } from '../app/writes';
import * as sharedText from '../wording/rooms/shared';

interface Props<T> {
  readonly history: History<T>;
  /** True where there is something else to be undone when the history is at its end. */
  readonly more?: boolean;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
}

/** One step back, one step forward again. */
export function UndoButtons<T>({ history, more = false, onUndo, onRedo }: Props<T>) {
  const deleted = useDeleted(({ bins }) => bins.length > 0);
  return (
    <span className="flex gap-2">
      <button
        type="button"
        className="button"
        disabled={history.past.length === 0 && !deleted && !more}
        onClick={onUndo}
        aria-label={sharedText.undoEdit}
      >
        <Undo2 size={18} aria-hidden />
      </button>
      <button
        type="button"
        className="button"
        disabled={history.future.length === 0}
        onClick={onRedo}
        aria-label={sharedText.redoEdit}
      >
        <Redo2 size={18} aria-hidden />
      </button>
    </span>
  );
}
