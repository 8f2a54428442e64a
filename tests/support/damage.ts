/*
 * Rows as no program should have written them: each field of a sound row in turn is missing, or something else.
 */

const LONG = 'x'.repeat(100_000);

/** What a field may have become. */
const DAMAGES: readonly (readonly [name: string, value: unknown])[] = [
  ['null', null],
  ['missing', undefined],
  ['a number', 7],
  ['a word', 'lute'],
  ['huge', 1e308],
  ['long', LONG],
  ['NaN', NaN],
  ['nested', { a: [{ b: [[]] }] }],
  ['a list', [null, 1, 'x']],
];

/** Every damage of every field of a row, each with an id of its own but where the id is damaged. */
export function damagedRows(row: Readonly<Record<string, unknown>>): Record<string, unknown>[] {
  return Object.keys(row).flatMap((field, at) =>
    DAMAGES.map(([name, value], n) => {
      const made: Record<string, unknown> = { ...row, id: `damaged-${at}-${n}` };
      if (name === 'missing') delete made[field];
      else if (field !== 'id') made[field] = value;
      // A row is found by its id: it has one, or is not in the table.
      if (field === 'id' || made.id === undefined) made.id = `id ${name} ${at}`;
      return made;
    }),
  );
}
