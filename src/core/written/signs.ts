import type { InstrumentName } from '../vocabulary';
import { keyAlteration } from '../pitch/key';
import { letterSteps } from '../pitch/pitch';
import { written } from './clefs';
import { keysAt } from '../material/keys';
import { type Part, type WritableMusic } from './parts';
import { SIGNS, writtenFifths } from './signature';

/**
 * For each event and voice the sign to write: where the note differs from the signature or from its letter's last sign. A sign holds to the end of the
 * bar; that of a note held over a bar line no further than the note. Where the bar before had another sign on the same line, the note is given its own
 * as a courtesy: that is where readers go wrong.
 */
export function signsToShow(
  { events, key, changes }: Pick<WritableMusic, 'events' | 'key' | 'changes'>,
  instrument: InstrumentName,
  parts: readonly (readonly Part[])[],
): (string | null)[][] {
  const keyAt = keysAt({ key, changes });
  const inForce = new Map<number, number>();
  /** What the bar before left on each line, until it is contradicted. */
  let before = new Map<number, number>();
  const barLine = () => {
    before = new Map(inForce);
    inForce.clear();
  };
  return events.map((event, at) => {
    const [first, ...held] = parts[at];
    const own = keyAt(at);
    const signature = { ...own, fifths: writtenFifths(own.fifths) };
    if (first.bar) barLine();
    const signs =
      'rest' in event
        ? []
        : event.pitches.map((name) => {
            const pitch = written(name, instrument);
            const step = letterSteps(pitch);
            const expected = inForce.get(step) ?? keyAlteration(signature, pitch.letter);
            const courtesy = (before.get(step) ?? pitch.alteration) !== pitch.alteration;
            inForce.set(step, pitch.alteration);
            before.delete(step);
            return pitch.alteration === expected && !courtesy ? null : SIGNS[pitch.alteration];
          });
    if (held.length > 0) barLine();
    return signs;
  });
}
