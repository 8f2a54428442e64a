import { create } from 'zustand';
import { decisiveAt, NOTE_NAMES, oursAt, type NoteNames } from '../core';
import { data } from '../store/browserState';
import { NOTE_NAME_WORDS } from '../wording/notes';
import * as appText from '../wording/rooms/app';

/*
 * How the picture is shown: how close, in one line or many, the names of the notes, the neck enlarged. Belongs to this browser, not to the plan.
 */

/** How close the picture is, from all of the music to one bar of it. */
export const ZOOM_WORDS = [
  appText.allOfIt,
  appText.aLittleCloser,
  'closer',
  appText.closerStill,
  appText.oneBar,
] as const;

export const LINE_WORDS = [
  ['fits', appText.asItFits],
  ['one', appText.oneLine],
  ['many', appText.manyLines],
] as const;

/** How the music is broken into lines: as the room has it, not at all, or always. */
export type Lines = (typeof LINE_WORDS)[number][0];

/** What names are written under the staff; "theirs" are those the student calls the notes by. */
export type Names = 'none' | 'theirs' | NoteNames;

export const NAMES_WORDS: readonly (readonly [Names, string])[] = [
  ['none', appText.noNames],
  ['theirs', appText.theirNames],
  ...NOTE_NAME_WORDS,
];

/** Which fingers are written over the staff. */
export const FINGERS_WORDS = [
  ['every', appText.everyFinger],
  ['decisive', appText.decisiveFingers],
  ['ours', appText.fingersOfOurs],
  ['none', appText.noFingers],
] as const;
type FingersShown = (typeof FINGERS_WORDS)[number][0];

/** The events whose fingers are written; null for all. */
export function fingersShown(
  fingers: FingersShown,
  answered: Parameters<typeof decisiveAt>[0],
): ReadonlySet<number> | null {
  switch (fingers) {
    case 'every':
      return null;
    case 'decisive':
      return decisiveAt(answered);
    case 'ours':
      return oursAt(answered);
    case 'none':
      return new Set();
  }
}

interface Look {
  readonly fingers: FingersShown;
  /** Which of ZOOM_WORDS. */
  readonly zoom: number;
  readonly lines: Lines;
  readonly names: Names;
  /** True where the neck is shown enlarged, with fingertips to scale. */
  readonly neck: boolean;
}

const USUAL: Look = { fingers: 'every', zoom: 0, lines: 'fits', names: 'none', neck: false };

const place = data<Look>('local', 'dove-path-picture', (found) => {
  const kept = (found ?? {}) as Partial<Look>;
  return {
    zoom: ZOOM_WORDS.findIndex((_, at) => at === kept.zoom) < 0 ? USUAL.zoom : (kept.zoom as number),
    lines: LINE_WORDS.find(([lines]) => lines === kept.lines)?.[0] ?? USUAL.lines,
    neck: kept.neck === true,
    fingers: FINGERS_WORDS.find(([fingers]) => fingers === kept.fingers)?.[0] ?? USUAL.fingers,
    names: NAMES_WORDS.find(([names]) => names === kept.names)?.[0] ?? USUAL.names,
  };
});

export const useLook = create<Look>(place.read);

function keep(part: Partial<Look>) {
  useLook.setState(part);
  place.write(useLook.getState());
}

export function zoomBy(steps: number) {
  keep({ zoom: Math.max(0, Math.min(ZOOM_WORDS.length - 1, useLook.getState().zoom + steps)) });
}

export function setLines(lines: string) {
  keep({ lines: LINE_WORDS.find(([known]) => known === lines)?.[0] ?? 'fits' });
}

export function toggleNeck() {
  keep({ neck: !useLook.getState().neck });
}

export function setFingers(fingers: string) {
  keep({ fingers: FINGERS_WORDS.find(([known]) => known === fingers)?.[0] ?? USUAL.fingers });
}

export function setNames(names: string) {
  keep({ names: NAMES_WORDS.find(([known]) => known === names)?.[0] ?? 'none' });
}

/** The names to write; null for none. */
export function namesToWrite(names: Names, theirs: NoteNames | undefined): NoteNames | null {
  if (names === 'none') return null;
  return NOTE_NAMES.find((known) => known === names) ?? theirs ?? 'letters';
}
