import type { PlanRecord } from '../../store/records';

/** What the stand knows of its own plan. */
export interface Standing {
  readonly record: Pick<PlanRecord, 'id' | 'changedAt'>;
  /** True where nothing on the stand waits to be kept. */
  readonly saved: boolean;
  /** When the plan was changed last, as far as the store has told. */
  readonly seen: number;
}

/**
 * True where what the store tells was kept by another page. The store may tell late of what this page kept itself before its last change:
 * that is no news. Neither is anything while a change here waits to be kept: then both are kept.
 */
export function isNews(
  kept: Pick<PlanRecord, 'id' | 'changedAt'>,
  { record, saved, seen }: Standing,
): boolean {
  return saved && kept.id === record.id && kept.changedAt > seen && kept.changedAt !== record.changedAt;
}
