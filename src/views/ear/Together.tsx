import { intervalName } from '../../wording/checks';
import { noteWords } from '../../wording/notes';
import { isOpen, pitchName, pureBetween, widerWhenPure, type Played } from '../../core';
import type { Meaning } from '../../app/meaning';
import * as earViewsText from '../../wording/rooms/earViews';

/** Double stops with their own pure targets: how far the upper finger moves for a pure interval. */
export function Together({ meaning }: { readonly meaning: Meaning }) {
  const byEvent = new Map<number, Played[]>();
  for (const { note } of meaning.findings.heard) byEvent.set(note.at, [...(byEvent.get(note.at) ?? []), note]);
  const seen = new Set<string>();
  const rows = [...byEvent.values()].flatMap((notes) => {
    const [low, high] = notes;
    if (notes.length !== 2) return [];
    const name = `${noteWords(pitchName(low.pitch))} + ${noteWords(pitchName(high.pitch))}`;
    const pure = pureBetween(low.pitch, high.pitch);
    return pure && !seen.has(name) && seen.add(name) ? [{ name, pure, moves: isOpen(high) ? 'lower' : 'upper' }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="together">
      <h2 id="together" className="font-serif text-xl font-semibold">
        {earViewsText.soundingTogether}
      </h2>
      <p className="text-sm text-faded">{earViewsText.howFarFromIts}</p>
      <ul className="list-disc pl-5">
        {rows.map(({ name, pure, moves }) => (
          <li key={name}>
            {earViewsText.theFingerMoves(
              name,
              intervalName(pure.name),
              pure.ratio.join(':'),
              wideWords(widerWhenPure(pure)),
              moves,
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function wideWords(cents: number): string {
  const whole = Math.round(Math.abs(cents));
  if (whole === 0) return earViewsText.asTheTunerHas;
  return `${whole} ${whole === 1 ? 'cent' : 'cents'} ${cents < 0 ? 'narrower' : 'wider'}`;
}
