import { useLiveQuery } from 'dexie-react-hooks';
import { listStudents } from '../store/read';
import type { StudentRecord } from '../core';

const NOBODY: readonly StudentRecord[] = [];

/** A storage that was too busy to answer is asked once more: nothing else would ask it again. */
const listed = () => listStudents().catch(() => listStudents().catch(() => NOBODY));

/** All students, by name; undefined while they are being read, none where storage is blocked. */
export function useStudentsRead(): readonly StudentRecord[] | undefined {
  return useLiveQuery(listed, []);
}

/** The same, nobody while they are being read. */
export function useStudents(): readonly StudentRecord[] {
  return useStudentsRead() ?? NOBODY;
}

export function useStudent(id: string | null): StudentRecord | undefined {
  return useStudents().find((student) => student.id === id);
}
