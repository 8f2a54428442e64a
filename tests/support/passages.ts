import { readFileSync } from 'node:fs';
import type { NoteSpec, PlanRequest, Style } from '../../src/core';

/*
 * Passages in the manner of the classical and romantic repertoire, sixteen bars each, made up for these tests and pencilled at their decisive places
 * before the planner was asked. Notes are written as "D5:1/2=3A": pitch, length kept until the next, finger and string; after "~" what is as good,
 * after "/" what is pencilled for singing; brackets are slurs.
 */

interface Written {
  readonly name: string;
  readonly instrument: PlanRequest['instrument'];
  readonly key: string;
  readonly time: string;
  readonly bpm: number;
  readonly notes: string;
  /** Where the planner does otherwise, and why the pencil still stands. */
  readonly otherwise?: readonly { readonly style: Style; readonly at: readonly number[]; readonly why: string }[];
}

export interface Passage extends Pick<Written, 'name' | 'otherwise'> {
  readonly request: PlanRequest;
  /** By event what is as good as pencilled: finger and string. */
  readonly pencilled: ReadonlyMap<number, Readonly<Record<'secure' | 'singing', readonly string[]>>>;
}

export function readPassages(): Passage[] {
  const file = new URL('../data/passages.json', import.meta.url);
  return (JSON.parse(readFileSync(file, 'utf8')) as readonly Written[]).map(read);
}

function read({ name, instrument, key, time, bpm, notes: text, otherwise }: Written): Passage {
  const notes: NoteSpec[] = [];
  const pencilled = new Map<number, Record<'secure' | 'singing', readonly string[]>>();
  let [beats, slurred]: [NoteSpec['beats'], boolean] = [1, false];
  for (const word of text.split(' ')) {
    const [, pitch, length, marks] = /^([A-G][#b]?\d|r)(?::([\d/]+))?(?:=(.+))?$/.exec(word) ?? [];
    if (length) beats = length.includes('/') ? length : Number(length);
    if (word === '(') slurred = true;
    else if (word === ')') {
      slurred = false;
      const last = notes[notes.length - 1] as { slur?: true };
      delete last.slur;
    } else if (pitch === 'r') notes.push({ rest: true, beats });
    else if (pitch) {
      const [secure, singing = secure] = (marks ?? '')
        .split('/')
        .map((one) => one.split('~').filter((each) => each !== ''));
      if (marks) pencilled.set(notes.length, { secure, singing });
      notes.push({ pitches: [pitch], beats, ...(slurred ? { slur: true as const } : {}) });
    }
  }
  const material = { type: 'notes' as const, key, time, notes };
  return {
    name,
    otherwise,
    pencilled,
    request: { instrument, tempo: { bpm }, material, alternatives: 1, explain: 'nothing' },
  };
}
