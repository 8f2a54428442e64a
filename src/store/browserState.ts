/*
 * What this browser remembers outside its database: small things by a key, for good or for one tab. Where the browser blocks its storage everything reads as
 * its default, and what is written lasts as long as the page.
 */

type Area = 'local' | 'session';

/** One thing that is remembered. */
export interface Place<T> {
  read(): T;
  /** @returns false where the browser would not take it */
  write(value: T): boolean;
  clear(): void;
}

/** Null where the browser blocks its storage or has none. */
function storageOf(area: Area): Storage | null {
  try {
    return (area === 'local' ? globalThis.localStorage : globalThis.sessionStorage) ?? null;
  } catch {
    return null;
  }
}

function place<T>(area: Area, key: string, parse: (text: string | null) => T, print: (value: T) => string): Place<T> {
  return {
    read() {
      try {
        return parse(storageOf(area)?.getItem(key) ?? null);
      } catch {
        return parse(null);
      }
    },
    write(value) {
      try {
        const storage = storageOf(area);
        storage?.setItem(key, print(value));
        return storage !== null;
      } catch {
        return false;
      }
    },
    clear() {
      try {
        storageOf(area)?.removeItem(key);
      } catch {
        // There is nothing where the storage is blocked.
      }
    },
  };
}

/** A word; null where nothing is remembered. */
export const word = (area: Area, key: string): Place<string | null> => place(area, key, (text) => text, String);

/** Data of some shape. @param read turns what was found, which may be anything, into that shape; called with undefined where there is nothing */
export const data = <T>(area: Area, key: string, read: (found: unknown) => T): Place<T> =>
  place(area, key, (text) => read(text === null ? undefined : JSON.parse(text)), JSON.stringify);

/** The keys that are remembered and begin alike. */
export function keysWith(area: Area, beginning: string): string[] {
  try {
    return Object.keys(storageOf(area) ?? {}).filter((key) => key.startsWith(beginning));
  } catch {
    return [];
  }
}
