import type { Issue } from '../issue';
import { parsePitch } from '../pitch/pitch';
import { parseKey } from './build';
import { beatsOf } from './noteEvents';
import { MOST_BEATS, type MaterialSpec, type NotesSpec } from '../vocabulary';

/** Most events one request may hold; a longer piece is planned movement by movement. */
export const MOST_EVENTS = 20_000;

/** @returns what cannot be read in material of the right shape, with paths below "/material"; empty where all is well. */
export function materialIssues(spec: MaterialSpec): Issue[] {
  if (spec.type === 'notes') return noteIssues(spec);
  return parsePitch(spec.tonic) ? [] : [pitchIssue('/material/tonic', spec.tonic)];
}

function noteIssues({ notes, key, changes = [] }: NotesSpec): Issue[] {
  const issues: Issue[] = [];
  if (key !== undefined && !parseKey(key)) issues.push({ path: '/material/key', code: 'no-key', data: { name: key } });
  if (notes.length > MOST_EVENTS) {
    const data = { count: notes.length, most: MOST_EVENTS };
    return [...issues, { path: '/material/notes', code: 'too-many-notes', data }];
  }
  changes.forEach(({ at, key: name }, n) => {
    if (name !== undefined && !parseKey(name))
      issues.push({ path: `/material/changes/${n}/key`, code: 'no-key', data: { name } });
    if (at <= (changes[n - 1]?.at ?? 0))
      issues.push({ path: `/material/changes/${n}/at`, code: 'changes-turned', data: { at } });
  });
  notes.forEach((note, at) => {
    if (!(beatsOf(note) <= MOST_BEATS))
      issues.push({ path: `/material/notes/${at}/beats`, code: 'too-long', data: { most: MOST_BEATS } });
    if ('rest' in note) {
      if (note.phrase === true) issues.push({ path: `/material/notes/${at}/phrase`, code: 'phrase-in-rest' });
      return;
    }
    note.pitches.forEach((name, voice) => {
      if (!parsePitch(name)) issues.push(pitchIssue(`/material/notes/${at}/pitches/${voice}`, name));
    });
  });
  if (!notes.some((note) => 'pitches' in note)) issues.push({ path: '/material/notes', code: 'no-note' });
  return issues;
}

function pitchIssue(path: string, name: string): Issue {
  return { path, code: 'no-pitch', data: { name } };
}
