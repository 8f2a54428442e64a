import { answered, db, openForWriting } from './db';
import type { BookRecord, PlanRecord } from './records';
import { getPlan, soundOf } from './rows';

/*
 * Books: what they were made of, and their pages. A page that was opened lies with the plans, under the page's own id.
 */

/** A student's books, or all, the one changed last first. */
export async function listBooks(studentId?: string): Promise<BookRecord[]> {
  const rows =
    studentId === undefined ? db.books.toArray() : db.books.where('studentId').equals(studentId).toArray();
  const sound = await soundOf('books', await answered(Promise.resolve(rows)));
  return sound.sort((a, b) => b.changedAt - a.changedAt);
}

export async function getBook(id: string): Promise<BookRecord | undefined> {
  const [book] = await soundOf(
    'books',
    [await answered(Promise.resolve(db.books.get(id)))].filter((row) => row !== undefined),
  );
  return book;
}

/** The pages of a book that were opened and are plans of their own now. */
export async function openedPages({ pages }: BookRecord): Promise<ReadonlyMap<string, PlanRecord>> {
  const plans = await Promise.all(pages.map(({ id }) => getPlan(id)));
  return new Map(plans.flatMap((plan) => (plan ? [[plan.id, plan] as const] : [])));
}

/** Books out of a backup that are not here yet. @returns how many */
export async function restoreBooks(books: readonly BookRecord[]): Promise<number> {
  if (books.length === 0) return 0;
  await openForWriting();
  return db.transaction('rw', db.books, async () => {
    const here = await db.books.bulkGet(books.map(({ id }) => id));
    const fresh = books.filter((_, at) => here[at] === undefined);
    await db.books.bulkPut([...fresh]);
    return fresh.length;
  });
}
