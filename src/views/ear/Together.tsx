import { intervalName } from '../../wording/findings';
import { number } from '../../wording/grammar';
import { noteWords } from '../../wording/notes';
import { pitchName, pureBetween, type Played } from '../../core';
import type { Meaning } from '../../app/meaning';

/** Double stops with their own pure targets: how far the upper finger moves for a pure interval. */
export function Together({ meaning }: { readonly meaning: Meaning }) {
  const byEvent = new Map<number, Played[]>();
  for (const { note } of meaning.findings.heard)
    byEvent.set(note.at, [...(byEvent.get(note.at) ?? []), note]);
  const seen = new Set<string>();
  const rows = [...byEvent.values()].flatMap((notes) => {
    const [low, high] = notes;
    if (notes.length !== 2) return [];
    const name = `${noteWords(pitchName(low.pitch))} + ${noteWords(pitchName(high.pitch))}`;
    const pure = pureBetween(low, high);
    return pure && !seen.has(name) && seen.add(name) ? [{ name, pure }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="together">
      <h2 id="together" className="font-serif text-xl font-semibold">
        Sounding together
      </h2>
      <p className="text-sm text-faded">The upper note against its equal place, the lower one where it is.</p>
      <ul className="list-disc pl-5">
        {rows.map(({ name, pure }) => (
          <li key={name}>
            {name}: {intervalName(pure.interval)} {pure.ratio.join(':')}, {number(Math.abs(pure.cents), 1)}{' '}
            cents {pure.cents < 0 ? 'narrower' : 'wider'}.
          </li>
        ))}
      </ul>
    </section>
  );
}
