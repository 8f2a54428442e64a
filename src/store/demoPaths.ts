import type { StudentPath } from '../core';

/*
 * Where the made-up students stand: what their teacher has said they have, and where it is to lead.
 */

const has = (...skills: readonly string[]): StudentPath['words'] => skills.map((skill) => ({ skill, has: true }));
const strings = (...names: readonly string[]) => names.map((name) => `string:${name}`);
const signatures = (...fifths: readonly number[]) => fifths.map((one) => `signature:${one}`);

/** First position as it is known after some years. */
const FIRST = [
  'position:1',
  'pattern:2-1-2',
  'pattern:1-2-2',
  'pattern:2-2-1',
  'replaced',
  'fourth-for-open',
  'bow:2',
  'bow:4',
];

export const DEMO_PATHS: Readonly<Record<string, StudentPath>> = {
  Wren: {
    goal: { kind: 'scales', octaves: 2 },
    order: [1, 3, 2, 4, 5, 6, 7],
    words: has(
      ...FIRST,
      ...strings('G3', 'D4', 'A4', 'E5'),
      ...signatures(0, 1, 2, 3, -1, -2, -3),
      ...['position:3', 'pattern:2-2-2', 'shift:up:2:new:1', 'shift:up:2:same:1', 'shift:down:2:old:2'],
    ),
    skipped: [],
  },
  Pip: {
    goal: { kind: 'scales', octaves: 1 },
    words: has('position:1', 'pattern:2-1-2', ...strings('D4', 'A4'), ...signatures(2)),
    skipped: [],
  },
  Marlow: {
    goal: { kind: 'position', position: 3 },
    words: has(...FIRST, ...strings('C3', 'G3', 'D4', 'A4'), ...signatures(0, 1, 2, -1, -2, -3)),
    skipped: [],
  },
  Juno: {
    goal: { kind: 'scales', octaves: 2 },
    order: [1, 'opened', 4, 2, 3, 5, 6, 7, 'thumb'],
    words: has(
      ...['position:1', 'pattern:1-1-1', 'pattern:2-1-1', 'extension:forward', 'position:4', 'bow:2', 'bow:4'],
      ...strings('C2', 'G2', 'D3', 'A3'),
      ...signatures(0, 1, 2, -1),
    ),
    skipped: [],
  },
  Otis: {
    goal: { kind: 'scales', octaves: 1 },
    words: has(
      'position:0.5',
      'position:1',
      'pattern:1-1',
      ...strings('E1', 'A1', 'D2', 'G2'),
      ...signatures(-1, 0, 1),
    ),
    skipped: [],
  },
};
