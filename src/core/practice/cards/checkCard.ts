import type { Heard } from '../../findings/heard';
import type { Setup } from '../../instrument/setup';
import { pitchName } from '../../pitch/pitch';
import type { Quiz } from '../../vocabulary';

/* Which open strings can it be checked against: answered by a choice. */

export const NO_STRING = 'none';

/** Which open strings a note can be checked against: those that make an interval the ear can judge, and fit its target. */
export function checkCard(setup: Setup, { note, checks }: Heard): Quiz | null {
  if (note.finger === 0) return null;
  const fitting = checks
    .filter(({ touch, fits }) => touch === 0 && fits)
    .map(({ string }) => setup.strings[string].name);
  const string = setup.strings[note.string].name;
  const ask = { kind: 'check' as const, pitch: pitchName(note.pitch), string, finger: note.finger };
  const right = fitting.length > 0 ? [...new Set(fitting)] : [NO_STRING];
  return { ask, right, options: [...setup.strings.map(({ name }) => name), NO_STRING] };
}
