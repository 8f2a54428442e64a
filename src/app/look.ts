import { create } from 'zustand';
import { NOTE_NAMES, type NoteNames } from '../core';
import { NOTE_NAME_WORDS } from '../wording/notes';

/*
 * How the picture is shown: its size, in one line or many, and the names of the notes. Belongs to this browser, not to the plan.
 */

export const ZOOMS = [0.5, 0.67, 0.8, 1, 1.25, 1.5, 2] as const;

/** What names are written under the staff; "theirs" are those the student calls the notes by. */
export type Names = 'none' | 'theirs' | NoteNames;

export const NAMES_WORDS: readonly (readonly [Names, string])[] = [
  ['none', 'no names'],
  ['theirs', 'their names'],
  ...NOTE_NAME_WORDS,
];

interface Look {
  readonly zoom: number;
  /** True where the music is broken into lines instead of scrolling sideways. */
  readonly lines: boolean;
  readonly names: Names;
}

const PLACE = 'dove-path-look';
const USUAL: Look = { zoom: 1, lines: false, names: 'none' };

export const useLook = create<Look>(() => keptLook());

function keptLook(): Look {
  try {
    const kept = JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Partial<Look>;
    return {
      zoom: ZOOMS.find((zoom) => zoom === kept.zoom) ?? USUAL.zoom,
      lines: kept.lines === true,
      names: NAMES_WORDS.find(([names]) => names === kept.names)?.[0] ?? USUAL.names,
    };
  } catch {
    return USUAL;
  }
}

function keep(part: Partial<Look>) {
  useLook.setState(part);
  try {
    localStorage.setItem(PLACE, JSON.stringify(useLook.getState()));
  } catch {
    // Where storage is blocked the look lasts as long as the page.
  }
}

export function zoomBy(steps: number) {
  const at = ZOOMS.findIndex((zoom) => zoom === useLook.getState().zoom) + steps;
  keep({ zoom: ZOOMS[Math.max(0, Math.min(ZOOMS.length - 1, at))] });
}

export function setLines(lines: boolean) {
  keep({ lines });
}

export function setNames(names: string) {
  keep({ names: NAMES_WORDS.find(([known]) => known === names)?.[0] ?? 'none' });
}

/** The names to write; null for none. */
export function namesToWrite(names: Names, theirs: NoteNames | undefined): NoteNames | null {
  if (names === 'none') return null;
  return NOTE_NAMES.find((known) => known === names) ?? theirs ?? 'letters';
}
