import { useEffect } from 'react';

/*
 * Two pedals that send Page Down (the right one) and Page Up (the left one): a short and a long press each, so that all of a session can be worked without a hand.
 */

export type Pedal = 'right' | 'left';
export type Press = 'short' | 'long';

const PEDALS: Readonly<Record<string, Pedal>> = { PageDown: 'right', PageUp: 'left' };

/** A press held so long is a long one, in ms. */
const LONG_PRESS = 600;

/** Hears the pedals while a view stands. A pedal that is held is one press. */
export function usePedals(act: (pedal: Pedal, press: Press) => void) {
  useEffect(() => {
    const held = new Map<Pedal, ReturnType<typeof setTimeout> | null>();
    const down = (event: KeyboardEvent) => {
      const pedal = pedalOf(event);
      if (!pedal) return;
      event.preventDefault();
      if (event.repeat || held.has(pedal)) return;
      const timer = setTimeout(() => {
        held.set(pedal, null);
        act(pedal, 'long');
      }, LONG_PRESS);
      held.set(pedal, timer);
    };
    const up = (event: KeyboardEvent) => {
      const pedal = pedalOf(event);
      const timer = pedal && held.get(pedal);
      if (pedal) held.delete(pedal);
      if (!pedal || !timer) return;
      clearTimeout(timer);
      act(pedal, 'short');
    };
    addEventListener('keydown', down);
    addEventListener('keyup', up);
    return () => {
      removeEventListener('keydown', down);
      removeEventListener('keyup', up);
      for (const timer of held.values()) if (timer) clearTimeout(timer);
    };
  }, [act]);
}

function pedalOf({ key, target }: KeyboardEvent): Pedal | undefined {
  const typing = target instanceof HTMLElement && target.closest('input:not([type="checkbox"]), textarea, select');
  return typing ? undefined : PEDALS[key];
}
