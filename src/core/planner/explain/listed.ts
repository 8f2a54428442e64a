import type { Rules } from '../../vocabulary';

/*
 * Demands that are lists: of single notes and of stretches, each let go by itself.
 */

/** Demands that are said one by one: of single notes, and of stretches. */
const SINGLE = ['locks', 'never'] as const;
export const STRETCHES = ['places', 'same', 'prepare'] as const;
export const LISTED = [...SINGLE, ...STRETCHES];
export type Listed = (typeof LISTED)[number];
export const isListed = (name: keyof Rules): name is Listed => LISTED.some((listed) => listed === name);

/** What is left of a list of demands. */
export function leftOf(
  rules: Rules,
  name: Listed,
  parts: readonly { readonly name: keyof Rules; readonly number?: number }[],
) {
  const gone = new Set(parts.filter((part) => part.name === name).map(({ number }) => number));
  const list: readonly unknown[] = rules[name] ?? [];
  return list.filter((_, at) => !gone.has(at));
}
