import { create } from 'zustand';
import type { Progress } from '../work/restore.worker';

/** How far a backup is that is being restored, and what takes it back. */
export interface RestoringNow extends Progress {
  readonly cancel: () => void;
}

/** The backup that is being restored; null where none is. */
export const useRestoring = create<{ readonly restoring: RestoringNow | null }>(() => ({ restoring: null }));
