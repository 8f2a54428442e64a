import { leave, redo, undo, useEditing } from '../app/editing';
import { UndoButtons } from './UndoButtons';
import { useLeaving } from './useLeaving';
import { usePageKeys } from './usePageKeys';

const KEYS = { undo: () => void undo(), redo: () => void redo() };

/** One step back and forward in what was written into the log and the lesson; by their keys too. */
export function PracticeUndo() {
  const history = useEditing((state) => state.history);
  usePageKeys(KEYS);
  useLeaving(leave, () => undefined);
  return <UndoButtons history={history} onUndo={KEYS.undo} onRedo={KEYS.redo} />;
}
