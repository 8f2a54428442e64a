import type { Setup } from '../../instrument/setup';
import type { PositionNumber, Quiz } from '../../vocabulary';
import type { Lying } from './lying';

/* Which finger on the next string lies right beside this one: answered by a choice. */

export const NO_FINGER = 'none';

/**
 * Of each finger of the key: which one on the next string lies right beside it, as far up the string. Where the hand goes in frames that is always the same
 * finger, and nothing is asked.
 */
export function acrossCards(setup: Setup, key: string, position: PositionNumber, lying: readonly Lying[]): Quiz[] {
  if (setup.instrument.fingering.by === 'frames') return [];
  return lying.flatMap(({ string, finger, semitones }): Quiz[] => {
    const next = lying.filter((one) => one.string === string + 1);
    if (next.length === 0) return [];
    const beside = next.filter((one) => one.semitones === semitones).map((one) => String(one.finger));
    const [own, other] = [setup.strings[string].name, setup.strings[string + 1].name];
    return [
      {
        ask: { kind: 'across', key, position, string: own, finger, other },
        right: beside.length > 0 ? beside : [NO_FINGER],
        options: [...next.map((one) => String(one.finger)), NO_FINGER],
      },
    ];
  });
}
