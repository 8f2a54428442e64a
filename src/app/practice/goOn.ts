import { useEffect, useState } from 'react';
import { goneOn, samePlaceOf, stepUp, type PracticeTask } from '../../core';
import { judgedIn, sessionsOf } from '../../store/read';
import type { Meaning } from '../meaning';
import { askedTask } from './asked';
import { dayOf, daysFrom } from './calendar';
import { passageOf } from './playedPassage';

/*
 * What a session begins with: where the last one on this place of this plan stood, or what is usual.
 */

/** How the task came about. */
export interface Beginning {
  readonly task: PracticeTask;
  /** True where it goes on with an earlier session. */
  readonly goesOn: boolean;
}

/** Days that are looked back on. */
const REMEMBERED = 182;

async function beginningOf(meaning: Meaning, asked: URLSearchParams): Promise<Beginning> {
  const fresh = askedTask(meaning, asked);
  const { record, student } = meaning;
  const sessions = await sessionsOf(student?.id ?? '', daysFrom(dayOf(Date.now()), -REMEMBERED));
  const last = sessions.find(({ planId, task }) => planId === record.id && task && samePlaceOf(task, fresh));
  if (!last?.task) return { task: fresh, goesOn: false };
  const passage = passageOf(meaning);
  const next = asked.has('up') ? stepUp : goneOn;
  return { task: next(last.task, await judgedIn(last.id), passage), goesOn: true };
}

/** Null while it is looked up. */
export function useBeginning(meaning: Meaning): Beginning | null {
  const [beginning, setBeginning] = useState<Beginning | null>(null);
  useEffect(() => {
    let here = true;
    const asked = new URLSearchParams(location.search);
    beginningOf(meaning, asked).then(
      (found) => here && setBeginning(found),
      () => here && setBeginning({ task: askedTask(meaning, asked), goesOn: false }),
    );
    return () => {
      here = false;
    };
  }, [meaning]);
  return beginning;
}
