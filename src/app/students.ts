import { useLiveQuery } from 'dexie-react-hooks';
import { listStudents } from '../store/rows';
import type { StudentRecord } from '../store/records';

const NOBODY: readonly StudentRecord[] = [];

/** All students, by name; none while they are being read or where storage is blocked. */
export function useStudents(): readonly StudentRecord[] {
  return useLiveQuery(() => listStudents().catch(() => NOBODY), []) ?? NOBODY;
}

export function useStudent(id: string | null): StudentRecord | undefined {
  return useStudents().find((student) => student.id === id);
}
