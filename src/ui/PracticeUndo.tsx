import { redo, undo, usePracticeHistory } from '../app/practice/edits';
import { UndoButtons } from './UndoButtons';
import { usePageKeys } from './usePageKeys';

const KEYS = { undo: () => void undo(), redo: () => void redo() };

/** One step back and forward in what was written into the log and the lesson; by their keys too. */
export function PracticeUndo() {
  const history = usePracticeHistory((state) => state.history);
  usePageKeys(KEYS);
  return <UndoButtons history={history} onUndo={KEYS.undo} onRedo={KEYS.redo} />;
}
