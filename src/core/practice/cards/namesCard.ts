import { keyAlteration } from '../../pitch/key';
import { LETTERS, parsePitch, pitchClassName } from '../../pitch/pitch';
import type { Quiz } from '../../vocabulary';
import { readKey } from '../drills';

/* The names of a scale, forward and backwards: answered by all of them, one after the other. */

/** The names of an octave of the scale, forward and backwards. */
export function namesCards(name: string): Quiz[] {
  const key = readKey(name);
  const tonic = parsePitch(`${name.split(' ')[0]}4`);
  if (!tonic) return [];
  const letters = Array.from({ length: 8 }, (_, at) => (tonic.letter + at) % LETTERS.length);
  const names = letters.map((letter) => pitchClassName({ letter, alteration: keyAlteration(key, letter) }));
  return [
    { ask: { kind: 'names', key: name }, right: [names.join(' ')] },
    { ask: { kind: 'names-backwards', key: name }, right: [[...names].reverse().join(' ')] },
  ];
}
