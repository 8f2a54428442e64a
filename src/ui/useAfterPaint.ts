import { startTransition, useEffect, useState } from 'react';

/** A value as it was when the page was last painted. What hangs on it is put up in breaths of its own. */
export function useAfterPaint<T>(value: T): T {
  const [painted, setPainted] = useState(value);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setPainted(() => value)));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, [value]);
  return painted;
}
