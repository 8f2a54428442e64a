import { useEffect, type DependencyList } from 'react';

/**
 * Acts on how the page lies, once it is next laid out: asked for at once, it would have to be laid out once more.
 * @param on act again where one of these is another
 */
export function useBeforePaint(act: () => void, on: DependencyList) {
  useEffect(() => {
    const frame = requestAnimationFrame(act);
    return () => cancelAnimationFrame(frame);
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- what hangs on what is the caller's to say
  }, on);
}
