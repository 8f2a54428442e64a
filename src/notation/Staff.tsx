import { useEffect, useRef, useState } from 'react';
import { noteWords, printedKey } from '../wording/notes';
import type { Head } from './engrave';
import { ALL_MARKS, USUAL_MIDDLE, type Layout, type Marks, type Score } from './score';

type Engraver = typeof import('./engrave');

/** Notation is large: it is fetched after the page stands, once. */
let loading: Promise<Engraver> | undefined;
function loadEngraver(): Promise<Engraver> {
  loading ??= import('./engrave').then(async (engraver) => {
    await engraver.readyFont();
    return engraver;
  });
  return loading;
}

function useEngraver(): Engraver | null {
  const [engraver, setEngraver] = useState<Engraver | null>(null);
  useEffect(() => {
    let here = true;
    void loadEngraver().then((loaded) => here && setEngraver(loaded));
    return () => {
      here = false;
    };
  }, []);
  return engraver;
}

interface HeadProps extends Head {
  readonly keyName: string;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly middleLine?: number;
}

/** Clef, key signature and time, which stay in sight while the notes scroll. */
export function StaffHead({
  clef,
  fifths,
  time,
  keyName,
  width,
  height,
  scale,
  middleLine = USUAL_MIDDLE,
}: HeadProps) {
  const engraver = useEngraver();
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (engraver && box.current)
      engraver.drawHead(box.current, { clef, fifths, time }, { width, height, scale, middleLine });
  }, [engraver, clef, fifths, time, width, height, scale, middleLine]);
  return (
    <div
      ref={box}
      className="staff"
      style={{ width, height }}
      role="img"
      aria-label={`${clef} clef, key of ${printedKey(keyName)}${time ? `, ${time} time` : ''}`}
    />
  );
}

interface StaffProps {
  readonly score: Score;
  readonly layout: Layout;
  readonly marks?: Marks;
  /** Events first to last (exclusive) that are drawn; all where left out. */
  readonly first?: number;
  readonly last?: number;
  readonly label: string;
}

/** Notes with what is written over them. */
export function Staff({
  score,
  layout,
  marks = ALL_MARKS,
  first = 0,
  last = score.music.events.length,
  label,
}: StaffProps) {
  const engraver = useEngraver();
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!engraver || !box.current) return;
    const { current } = box;
    // In a task of its own, so that the page answers between laying itself out and engraving.
    const drawing = setTimeout(() => engraver.drawNotes(current, score, layout, marks, first, last));
    return () => clearTimeout(drawing);
  }, [engraver, score, layout, marks, first, last]);
  return (
    <div
      ref={box}
      className="staff relative"
      style={{ width: layout.width, height: layout.height }}
      role="img"
      aria-label={label}
      data-testid="staff"
    />
  );
}

/** What a picture of a few notes is called for those who do not see it. */
export function notesLabel(names: readonly string[]): string {
  return `Staff: ${names.map((name) => noteWords(name)).join(', ')}`;
}
