import type { Setup } from '../../instrument/setup';
import { pitchClassName } from '../../pitch/pitch';
import type { PositionNumber, Quiz } from '../../vocabulary';
import type { Lying } from './lying';

/* Which note is this finger on that string in that position: answered by a letter. */

export function nameCard(setup: Setup, key: string, position: PositionNumber, { string, finger, pitch }: Lying): Quiz {
  const ask = { kind: 'name', string: setup.strings[string].name, finger, position, key } as const;
  return { ask, right: [pitchClassName(pitch)] };
}
