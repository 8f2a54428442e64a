import type { Setup } from '../../instrument/setup';
import { midiOf, pitchName, type Pitch } from '../../pitch/pitch';
import type { Quiz } from '../../vocabulary';

/* Where else can it be played: answered on the neck. */

/** A place on the neck, as it is clicked: the string and semitones above it. */
export function spotAnswer(string: string, semitones: number): string {
  return `${string}+${semitones}`;
}

/** Where else a note of a plan can be played: on the other strings. */
export function elsewhereCard(setup: Setup, pitch: Pitch, string: number): Quiz | null {
  const midi = midiOf(pitch);
  const right = setup.strings.flatMap((open, at) => {
    const semitones = midi - open.midi;
    return at !== string && semitones >= 0 && semitones <= setup.reachSemitones
      ? [spotAnswer(open.name, semitones)]
      : [];
  });
  const ask = { kind: 'elsewhere', pitch: pitchName(pitch), string: setup.strings[string].name } as const;
  return right.length > 0 ? { ask, right } : null;
}
