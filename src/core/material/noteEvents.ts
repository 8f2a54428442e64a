import type { NoteSpec, NotesSpec } from '../vocabulary';

/*
 * Typed notes as they are meant: lengths as numbers, tied notes as the one note they are.
 */

/** A length in beats, where it may be written as a fraction; one where none is. */
export function beatsOf({ beats = 1 }: Pick<NoteSpec, 'beats'>): number {
  if (typeof beats === 'number') return beats;
  const [above, below] = beats.split('/').map(Number);
  return above / below;
}

type PlainNote = NoteSpec & { readonly beats: number };

/** The notes of a list with their lengths as numbers, those that are tied joined into one. A tie to another pitch, or to a rest, is a slur. */
export function notesOf({ notes }: Pick<NotesSpec, 'notes'>): PlainNote[] {
  const all: PlainNote[] = [];
  let tied = false;
  for (const written of notes) {
    const note = plain(written);
    const last = all[all.length - 1];
    if (tied && samePitches(last, note)) all[all.length - 1] = joined(last, note);
    else {
      if (tied && 'pitches' in note && 'pitches' in last) all[all.length - 1] = { ...last, slur: true };
      all.push(note);
    }
    tied = 'tie' in written && written.tie === true;
  }
  return all;
}

function plain(note: NoteSpec): PlainNote {
  const beats = beatsOf(note);
  const alone = { ...note, beats };
  if ('tie' in alone) delete alone.tie;
  return alone;
}

function samePitches(a: NoteSpec, b: NoteSpec): boolean {
  return 'pitches' in a && 'pitches' in b && a.pitches.join() === b.pitches.join();
}

/** One note held through two; what is written at the end of the second, a slur, holds for both. */
function joined(first: PlainNote, second: PlainNote): PlainNote {
  const inside = [
    ...(first.bars ?? []),
    ...(second.bar ? [first.beats] : []),
    ...(second.bars ?? []).map((at) => first.beats + at),
  ];
  return {
    ...first,
    ...('slur' in second && second.slur ? { slur: true as const } : {}),
    beats: first.beats + second.beats,
    ...(inside.length > 0 ? { bars: inside } : {}),
  };
}
