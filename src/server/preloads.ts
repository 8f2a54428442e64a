import { readFileSync } from 'node:fs';

/** The build's list of the scripts each page begins with; none where it is missing. */
function readLists(): Readonly<Record<string, readonly string[]>> {
  try {
    return JSON.parse(readFileSync(new URL('./preloads.json', import.meta.url), 'utf8')) as Record<
      string,
      readonly string[]
    >;
  } catch {
    return {};
  }
}

const lists = readLists();

/** The Link header that names a page's scripts with the page itself; undefined for anything that is no page. */
export function preloadHeader(path: string): string | undefined {
  const page = path.length > 1 ? path.replace(/\/$/, '') : path;
  return lists[page]?.map((file) => `<${file}>; rel=modulepreload`).join(', ');
}
