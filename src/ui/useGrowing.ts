import { useEffect, useRef, useState } from 'react';

/** Rows that are drawn at first, and more of them each time the end comes near. */
const STEP = 24;

/**
 * Draws a long list as far as it is looked at.
 * @param count rows there are
 * @returns how many to draw, what brings more, and the element after them that asks for it when it comes into view
 */
export function useGrowing(count: number) {
  const [most, setMost] = useState(STEP);
  const end = useRef<HTMLButtonElement>(null);
  const more = () => setMost((now) => now + STEP);
  const isWhole = count <= most;
  useEffect(() => {
    const { current } = end;
    if (isWhole || !current) return undefined;
    const watch = new IntersectionObserver(([{ isIntersecting }]) => isIntersecting && more(), { rootMargin: '600px' });
    watch.observe(current);
    return () => watch.disconnect();
    // Looked at anew after each step: an end that is still in view asks again.
  }, [isWhole, most]);
  return { shown: Math.min(count, most), isWhole, more, end };
}
