import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { KEYMAP } from '../app/keymap';
import { useSettings } from '../app/settings';

type PageBinding = Extract<(typeof KEYMAP)[number], { place: 'anywhere' }>;

const PAGE_KEYS = KEYMAP.filter((one): one is PageBinding => one.place === 'anywhere');

/** Keys that work anywhere on the page but where something is typed; a view hands in what it does with each. */
export function usePageKeys(acts: Partial<Record<PageBinding['id'], () => void>>) {
  const singleKeys = useSettings((settings) => settings.singleKeys);
  useEffect(() => {
    const bindings = PAGE_KEYS.filter((one) => acts[one.id] && (singleKeys || !('single' in one))).flatMap(
      ({ id, keys }) => keys.map((key) => [key, (event: KeyboardEvent) => press(event, acts[id])] as const),
    );
    return tinykeys(window, Object.fromEntries(bindings));
  }, [acts, singleKeys]);
}

function press(event: KeyboardEvent, act: (() => void) | undefined) {
  if (!act || isTyping(event.target)) return;
  event.preventDefault();
  act();
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null;
