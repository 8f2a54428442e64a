import { internalAnswer } from '../wording/issues';
import { logged } from './logged';
import { pageLine } from './page';
import { Gone, type Pool } from './pool';

/** Most requests in one book. */
export const MOST_PAGES = 2000;

/** Pages worked at ahead of the one that is read. */
const AT_HAND = 4;

/**
 * Works a book out, a few pages ahead of its reader: one that does not read makes it wait.
 * @param texts one JSON request each
 * @returns the pages as JSON texts, in order, as they become ready; stopping the iteration stops the work
 */
export async function* workBook(texts: readonly string[], pool: Pool): AsyncGenerator<string> {
  const of = texts.length;
  const stop = new AbortController();
  const ahead: Promise<string>[] = [];
  let begun = 0;
  const begin = () => {
    const page = begun++;
    const line = lineOf(pool, texts[page], page, of, stop.signal);
    // One that is never read fails for nobody.
    line.catch(() => undefined);
    ahead.push(line);
  };
  try {
    for (let page = 0; page < of; page++) {
      while (begun < Math.min(of, page + AT_HAND)) begin();
      yield (await ahead.shift()) as string;
    }
  } finally {
    stop.abort();
  }
}

async function lineOf(pool: Pool, text: string, page: number, of: number, signal: AbortSignal): Promise<string> {
  try {
    return (await pool.work({ text, page, of }, { signal, patient: true })).text;
  } catch (error) {
    if (error instanceof Gone) throw error;
    return pageLine(internalAnswer(logged(error)), page, of);
  }
}
