import { useEffect, useRef, useState } from 'react';
import type { Clef, InstrumentKind, PlanResponse } from '../../core';
import { STAFF_HEIGHT } from './columns';
import type { RowProps } from './rows';

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

interface HeadProps {
  readonly response: PlanResponse;
  readonly clef: Clef;
}

/** Clef and key signature, which stay in sight while the notes scroll. */
export function StaffHead({ response, clef }: HeadProps) {
  const engraver = useEngraver();
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (engraver && box.current) engraver.drawHead(box.current, response, clef);
  }, [engraver, response, clef]);
  return (
    <div
      ref={box}
      className="staff"
      style={{ height: STAFF_HEIGHT }}
      role="img"
      aria-label={`${clef} clef, key of ${response.key.name}`}
    />
  );
}

interface StaffProps extends RowProps {
  readonly response: PlanResponse;
  readonly instrument: InstrumentKind;
  readonly clefs: readonly Clef[];
}

/** The notes in view with their fingers, and the string's numeral where it changes. */
export function Staff(props: StaffProps) {
  const { response, instrument, clefs, plan, setup, visible, width } = props;
  const engraver = useEngraver();
  const box = useRef<HTMLDivElement>(null);
  const { first, last } = visible;
  useEffect(() => {
    if (!engraver || !box.current) return;
    const { current } = box;
    const strings = setup.strings.map(({ name }) => name);
    // In a task of its own, so that the page answers between laying itself out and engraving.
    const drawing = setTimeout(() =>
      engraver.drawNotes(current, { response, plan, strings, first, last, instrument, clefs }),
    );
    return () => clearTimeout(drawing);
  }, [engraver, response, plan, setup, first, last, instrument, clefs]);
  return (
    <div
      ref={box}
      className="staff relative"
      style={{ height: STAFF_HEIGHT, width }}
      role="img"
      aria-label={`Staff: ${props.events.length} notes with fingerings`}
      data-testid="staff"
    />
  );
}
