import { useEffect, useMemo, useState } from 'react';
import { noteWords, printedKey } from '../wording/notes';
import type { Head } from './engrave';
import { ALL_MARKS, USUAL_MIDDLE, type Layout, type Marks, type Score } from './score';
import * as drawingsText from '../wording/rooms/drawings';

type Engraver = typeof import('./engrave');

/** Notation is large: it is fetched beside the page, once. */
let there: Engraver | null = null;
let loading: Promise<Engraver> | undefined;

export async function fetchEngraver(): Promise<Engraver> {
  loading ??= import('./engrave').then((found) => (there = found));
  return loading;
}

function useEngraver(): Engraver | null {
  const [loaded, setLoaded] = useState(there);
  useEffect(() => {
    if (loaded) return;
    let here = true;
    void fetchEngraver().then((found) => here && setLoaded(found));
    return () => {
      here = false;
    };
  }, [loaded]);
  return loaded;
}

interface HeadProps extends Head {
  readonly keyName: string;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly middleLine?: number;
}

/** Clef, key signature and time, which stay in sight while the notes scroll. */
export function StaffHead({ clef, fifths, time, keyName, width, height, scale, middleLine = USUAL_MIDDLE }: HeadProps) {
  const engraver = useEngraver();
  const drawn = useMemo(
    () => engraver?.headMarkup({ clef, fifths, time }, { width, height, scale, middleLine }),
    [engraver, clef, fifths, time, width, height, scale, middleLine],
  );
  return (
    <div
      className="staff"
      style={{ width, height }}
      role="img"
      aria-label={drawingsText.clefKeyOf(clef, printedKey(keyName), time ? drawingsText.time(time) : '')}
      dangerouslySetInnerHTML={{ __html: drawn ?? '' }}
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
  const drawn = useMemo(
    () => engraver?.notesMarkup(score, layout, marks, first, last),
    [engraver, score, layout, marks, first, last],
  );
  return (
    <div
      className="staff relative"
      style={{ width: layout.width, height: layout.height }}
      role="img"
      aria-label={label}
      data-testid="staff"
      dangerouslySetInnerHTML={{ __html: drawn ?? '' }}
    />
  );
}

/** What a picture of a few notes is called for those who do not see it. */
export function notesLabel(names: readonly string[]): string {
  return `Staff: ${names.map((name) => noteWords(name)).join(', ')}`;
}
