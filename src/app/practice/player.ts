import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { word } from '../../store/browserState';
import { getStudent, listPlans } from '../../store/read';
import type { StudentRecord } from '../../core';
import { recover } from '../recovery';
import { goOnWithDemo } from '../demo';
import { useStudentsRead } from '../students';

/*
 * Whose practice a view shows: the student in the address, the one of the plan in it, or the one looked at last.
 */

const lastPlayer = word('local', 'dove-path-player');

export interface Player {
  readonly students: readonly StudentRecord[];
  readonly student: StudentRecord | undefined;
  readonly ready: boolean;
  readonly choose: (id: string) => void;
}

/** The student whose practice is shown, and a way to another. */
export function usePlayer(): Player {
  const read = useStudentsRead();
  const students = read ?? [];
  useEffect(() => {
    goOnWithDemo();
    // What could not be written as the page went comes up by itself once it is.
    void recover().catch(() => undefined);
  }, []);
  const [chosen, setChosen] = useState(() => new URLSearchParams(location.search).get('student'));
  const asked = useLiveQuery(async () => chosen ?? (await playerOfPlan()) ?? lastPlayer.read() ?? '', [chosen]);
  const student = students.find(({ id }) => id === asked) ?? (asked === undefined ? undefined : students.at(0));
  return {
    students,
    student,
    // Nobody is there only once it is known who is.
    ready: asked !== undefined && read !== undefined,
    choose: (id) => {
      setChosen(id);
      lastPlayer.write(id);
      history.replaceState(null, '', `${location.pathname}?student=${id}`);
    },
  };
}

async function playerOfPlan(): Promise<string | null> {
  const id = new URLSearchParams(location.search).get('plan');
  if (!id) return null;
  const plan = (await listPlans()).find((one) => one.id === id);
  return plan?.studentId && (await getStudent(plan.studentId)) ? plan.studentId : null;
}
