import { BadRequest, parseJson, shapeIssues } from '../contract/read';
import { requestIssues } from '../core';
import { validBackup } from '../contract/validators.generated.js';
import type { PlanRecord } from './records';

/** Version of the backup file this app writes; it reads this one and all before. */
export const BACKUP_VERSION = 1;

export interface Backup {
  readonly format: 'dove-path-backup';
  readonly version: number;
  readonly savedAt: string;
  readonly plans: readonly PlanRecord[];
}

export function backupText(plans: readonly PlanRecord[], now: Date): string {
  const backup: Backup = {
    format: 'dove-path-backup',
    version: BACKUP_VERSION,
    savedAt: now.toISOString(),
    plans,
  };
  return JSON.stringify(backup, null, 2);
}

/** What a backup file holds, or why it cannot be read. */
export type BackupReading =
  | { readonly kind: 'plans'; readonly plans: readonly PlanRecord[] }
  | { readonly kind: 'trouble'; readonly message: string };

/** Reads a backup file's text; nothing is changed by reading. */
export function readBackup(text: string): BackupReading {
  let value: unknown;
  try {
    value = parseJson(text);
  } catch (error) {
    if (!(error instanceof BadRequest)) throw error;
    return trouble(
      'This file is not a backup: it is not JSON, or it was cut off. Choose another copy of it.',
    );
  }
  const head = value as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || head.format !== 'dove-path-backup')
    return trouble(
      'This file was not written by Dove Path. Choose a file that was saved with “Save a backup file”.',
    );
  if (typeof head.version === 'number' && head.version > BACKUP_VERSION)
    return trouble(
      `This backup comes from a later version of Dove Path (${head.version}; this one reads up to ${BACKUP_VERSION}). Update the app, then restore it.`,
    );
  if (!validBackup(value)) {
    const [issue] = shapeIssues(validBackup.errors ?? []);
    return trouble(
      `This backup is damaged at ${issue.path}: ${issue.message} Nothing was changed; choose another copy.`,
    );
  }
  const { plans } = value as Backup;
  for (const [at, plan] of plans.entries()) {
    const [issue] = requestIssues(plan.request);
    if (issue)
      return trouble(
        `This backup is damaged at /plans/${at}/request${issue.path}: ${issue.message} Nothing was changed.`,
      );
  }
  return { kind: 'plans', plans };
}

function trouble(message: string): BackupReading {
  return { kind: 'trouble', message };
}

/** Plans that came from a file and how they join those already here. */
export interface Joining {
  readonly added: readonly PlanRecord[];
  /** Plans that are here already, letter for letter. */
  readonly known: number;
}

/**
 * How restored plans join the ones here: equal ones are left out; one that differs from its namesake here is
 * added as a copy, so that neither is lost.
 */
export function joinPlans(here: readonly PlanRecord[], restored: readonly PlanRecord[]): Joining {
  const byId = new Map(here.map((plan) => [plan.id, plan]));
  const added: PlanRecord[] = [];
  for (const plan of restored) {
    const own = byId.get(plan.id);
    if (own && sameContent(own, plan)) continue;
    const copy = own
      ? { ...plan, id: crypto.randomUUID(), name: `${plan.name || 'Plan'} (from backup)` }
      : plan;
    byId.set(copy.id, copy);
    added.push(copy);
  }
  return { added, known: restored.length - added.length };
}

function sameContent(a: PlanRecord, b: PlanRecord): boolean {
  return (
    a.name === b.name &&
    a.typed === b.typed &&
    a.chosen === b.chosen &&
    JSON.stringify(a.request) === JSON.stringify(b.request)
  );
}
