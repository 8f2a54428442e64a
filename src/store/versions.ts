/*
 * What became of records when the studio learned something new. Used by the database and by backup files alike; each step takes a record of
 * the version before as it was.
 */

/** Version 2 knows students and tags: a plan of version 1 belongs to nobody in particular and has no tags. */
export function planOfVersion2<T extends object>(plan: T): T & { studentId: null; tags: string[] } {
  return { ...plan, studentId: null, tags: [] };
}
