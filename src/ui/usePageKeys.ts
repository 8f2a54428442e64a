import { useHotkeys } from 'react-hotkeys-hook';
import { KEYMAP, keyOf, type KeyId } from '../app/keymap';
import { useSettings } from '../app/settings';

type PageKey = Extract<(typeof KEYMAP)[number], { place: 'anywhere' }>['id'];

/** Keys that work anywhere on the page but where something is typed; a view hands in what it does with each. */
export function usePageKeys(acts: Partial<Record<PageKey, () => void>>) {
  useKey('undo', acts.undo);
  useKey('redo', acts.redo);
  useKey('commands', acts.commands);
}

function useKey(id: KeyId, act: (() => void) | undefined) {
  const { keys, single } = keyOf(id);
  const singleKeys = useSettings((settings) => settings.singleKeys);
  const enabled = act !== undefined && (singleKeys || !single);
  useHotkeys(keys, () => act?.(), { enabled, useKey: true, preventDefault: true }, [act]);
}
