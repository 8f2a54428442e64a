import { useEffect, useState } from 'react';
import type { StudentGoal, StudentRecord } from '../../core';
import type { Path, SkillStanding } from '../../core/path';
import { pathAskOf, usualGoal } from '../../app/path/asking';
import { standingIn } from '../../app/path/standing';
import type { Overview } from '../../app/practice/overview';
import { findPath, stopFinding } from '../../work/pathfinder';

/*
 * The path of a student as it is worked out in the background.
 */

export interface Found {
  readonly goal: StudentGoal;
  readonly standing: readonly SkillStanding[];
  /** Null where the plan that was the goal is gone. */
  readonly path: Path | null;
}

export type PathState =
  | { readonly kind: 'working'; readonly done: number; readonly all: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed' }
  | { readonly kind: 'found' };

/** @returns what was found last, and what is being done */
export function usePath(student: StudentRecord, overview: Overview) {
  const [state, setState] = useState<PathState>({ kind: 'working', done: 0, all: 0 });
  const [found, setFound] = useState<Found | null>(null);
  useEffect(() => {
    let here = true;
    const work = async () => {
      const standing = await standingIn(student, overview);
      const goal = student.path?.goal ?? usualGoal(student, standing);
      const ask = pathAskOf(student, goal, standing, overview.plans);
      const tell = (done: number, all: number) => here && setState({ kind: 'working', done, all });
      const path = ask && (await findPath(ask, student.path?.skipped ?? [], tell));
      if (!here) return;
      setFound({ goal, standing, path });
      setState({ kind: 'found' });
    };
    work().catch(() => here && setState({ kind: 'failed' }));
    return () => {
      here = false;
    };
  }, [student, overview]);
  const stop = () => {
    stopFinding();
    setState({ kind: 'stopped' });
  };
  return { state, found, stop };
}
