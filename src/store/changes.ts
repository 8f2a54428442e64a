import type { TableName, Tables } from './tables';

/*
 * Changes to what is kept, as differences: a record added, fields of one changed from something to something, a record removed. Undo turns them
 * round, two tabs join them, autosave writes them, and the store takes nothing else.
 */

/** What some fields of a record were and what they became. */
export interface Fields<T> {
  readonly from: Partial<T>;
  readonly to: Partial<T>;
}

/** A change of a table's rows. An update whose `from` names no field is written whatever stands there: what it says follows from other rows. */
export type Change = {
  [Name in TableName]:
    | { readonly kind: 'added'; readonly table: Name; readonly record: Tables[Name] }
    | { readonly kind: 'removed'; readonly table: Name; readonly record: Tables[Name] }
    | ({ readonly kind: 'updated'; readonly table: Name; readonly id: string } & Fields<Tables[Name]>);
}[TableName];

/** The ids of what some changes, kept in the bin among others, have removed. */
export function removedIn(changes: readonly unknown[]): string[] {
  return (changes as readonly Change[]).flatMap((change) => (change.kind === 'removed' ? [change.record.id] : []));
}

/** Fields that say when, which and by whom, not what. */
const KEPT_BY_THE_STORE: ReadonlySet<string> = new Set(['id', 'createdAt', 'changedAt', 'writes']);

function same(a: unknown, b: unknown): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

/** The fields in which two states of a record differ; null where they do not. */
export function fieldsBetween<T extends object>(before: T, after: T): Fields<T> | null {
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof T & string)[];
  const changed = names.filter((name) => !KEPT_BY_THE_STORE.has(name) && !same(before[name], after[name]));
  if (changed.length === 0) return null;
  const pick = (record: T) => Object.fromEntries(changed.map((name) => [name, record[name]])) as Partial<T>;
  return { from: pick(before), to: pick(after) };
}

/** True where two records say the same, whenever they were written. */
export function sameContent<T extends object>(a: T, b: T): boolean {
  return fieldsBetween(a, b) === null;
}

/** The record with the fields as they became. */
export function withFields<T extends object>(record: T, { to }: { readonly to: Partial<NoInfer<T>> }): T {
  return { ...record, ...to };
}

export function turnedRound<T>({ from, to }: Fields<T>): Fields<T> {
  return { from: to, to: from };
}

/** Two changes of the same record, one after the other, as one. */
export function joined<T>(first: Fields<T>, second: Fields<T>): Fields<T> {
  return { from: { ...second.from, ...first.from }, to: { ...first.to, ...second.to } };
}

/** True where a record still is as a change found it, field by field. */
export function fits<T extends object>(record: T, { from }: Pick<Fields<T>, 'from'>): boolean {
  return (Object.keys(from) as (keyof T)[]).every((name) => same(record[name], from[name]));
}

/** True where two changes touch no field in common. */
export function apart<T extends object>(a: Fields<T>, b: Fields<T>): boolean {
  return Object.keys(a.to).every((name) => !(name in b.to));
}

/** What takes a change back. */
export function reversed(change: Change): Change {
  switch (change.kind) {
    case 'added':
      return { ...change, kind: 'removed' };
    case 'removed':
      return { ...change, kind: 'added' };
    case 'updated':
      return { ...change, from: change.to, to: change.from } as Change;
  }
}
