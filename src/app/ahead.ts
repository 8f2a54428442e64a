/*
 * Parts of the program that are fetched when they are first needed. Once the page stands they are fetched all the same, one after the other, so that
 * nothing is missing should the server go away.
 */

const parts: (() => Promise<unknown>)[] = [];
let begun = false;

/** A part that is fetched ahead. */
export function ahead<T>(load: () => Promise<T>): () => Promise<T> {
  parts.push(load);
  return load;
}

/** Milliseconds the page is left alone first. */
const CALM_MS = 2500;

/** Fetches every part, once, when the page has stood for a moment. A part that cannot be had is asked for again when it is needed. */
export function fetchAhead() {
  if (begun) return;
  begun = true;
  setTimeout(() => {
    void parts.reduce(
      (before, load) =>
        before.then(() =>
          load().then(
            () => undefined,
            () => undefined,
          ),
        ),
      Promise.resolve(),
    );
  }, CALM_MS);
}
