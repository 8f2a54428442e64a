import type { ChoiceIssue } from '../instrument/setup';
import { parsePitch } from '../pitch/pitch';
import { chordPattern, scalePattern } from '../pitch/scales';
import { parseKey } from './build';
import type { MaterialSpec } from './spec';

/** Most events one request may hold; a longer piece is planned movement by movement. */
export const MOST_EVENTS = 20_000;

const SCALE_HINT =
  'try major, natural-minor, harmonic-minor, melodic-minor, chromatic, dorian, whole-tone, major-pentatonic or minor-pentatonic';
const CHORD_HINT =
  'try major, minor, diminished, augmented, dominant-seventh, diminished-seventh, major-seventh, minor-seventh or half-diminished';

/** @returns what cannot be read in the material, with paths below "/material"; empty where all is well. */
export function materialIssues(spec: MaterialSpec): ChoiceIssue[] {
  if (spec.type === 'notes') return noteIssues(spec.notes, spec.key);
  const issues: ChoiceIssue[] = [];
  if (!parsePitch(spec.tonic)) {
    issues.push(pitchIssue('/material/tonic', spec.tonic));
  }
  if (spec.type === 'arpeggio') {
    if (!chordPattern(spec.chord))
      issues.push({ path: '/material/chord', message: `No chord is called "${spec.chord}"; ${CHORD_HINT}.` });
  } else if (!scalePattern(spec.scale)) {
    issues.push({ path: '/material/scale', message: `No scale is called "${spec.scale}"; ${SCALE_HINT}.` });
  }
  return issues;
}

function noteIssues(notes: Extract<MaterialSpec, { type: 'notes' }>['notes'], key?: string): ChoiceIssue[] {
  const issues: ChoiceIssue[] = [];
  if (key !== undefined && !parseKey(key)) {
    issues.push({
      path: '/material/key',
      message: `"${key}" is no key; write it like "A major" or "E minor".`,
    });
  }
  if (notes.length > MOST_EVENTS) {
    issues.push({
      path: '/material/notes',
      message: `${notes.length} notes are too many for one plan; send at most ${MOST_EVENTS} at a time.`,
    });
    return issues;
  }
  notes.forEach((note, at) => {
    if ('rest' in note) return;
    note.pitches.forEach((name, voice) => {
      if (!parsePitch(name)) issues.push(pitchIssue(`/material/notes/${at}/pitches/${voice}`, name));
    });
  });
  if (!notes.some((note) => 'pitches' in note)) {
    issues.push({ path: '/material/notes', message: 'There is no note to play; put at least one in.' });
  }
  return issues;
}

function pitchIssue(path: string, name: string): ChoiceIssue {
  return { path, message: `"${name}" is no pitch; write it like "A3", "C#4" or "Eb5".` };
}
