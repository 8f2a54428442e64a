import { useLiveQuery } from 'dexie-react-hooks';
import { fingerNamesOf } from '../../wording/plans';
import { useEffect, useState } from 'react';
import { getPlan, lessonsOf, listPlans } from '../../store/read';
import { commit } from '../../store/write';
import type { PlanRecord } from '../../core';
import { planTitle } from '../../wording/material';
import { CAUTION, dayInWords, onWhat, titleInWords } from '../../wording/sheets';
import { sentence } from '../../wording/grammar';
import { ladderLabels } from '../../drawing/sheet/sheetParts';
import { offerFile } from '../files';
import { meaningOf, type Meaning } from '../meaning';
import { say } from '../notices';
import { dayOf, isFuture } from '../practice/calendar';
import { edit } from '../editing';
import { save } from '../writes';
import type { SheetChoices } from '../../drawing/sheet/sheet';
import { atDesk, CalledOff } from './desk';
import type { Laid, PlanForSheet } from './paper.worker';
import * as paperDeskText from '../../wording/rooms/paperDesk';
import { PRODUCT } from '../../wording/rooms/pages';

/*
 * The sheet of one plan or several: what it says is put together here, and laid out at the desk.
 */

/** What a sheet says besides its notes: the teacher's own line, or the goal of the last lesson. */
export interface SheetLines {
  readonly goal: string;
  readonly reminders: string;
}

/** The student's other plans, which may be put on the same sheet. */
export function useOtherPlans(record: PlanRecord): readonly PlanRecord[] {
  const { studentId, id } = record;
  const plans = useLiveQuery(listPlans, []) ?? [];
  return plans.filter((plan) => plan.id !== id && plan.studentId === studentId && !plan.tags.includes('drill'));
}

/** The last lesson there was; one dated in the future is none. */
async function lastLesson(studentId: string) {
  const today = dayOf(Date.now());
  return (await lessonsOf(studentId)).find(({ day }) => !isFuture(day, today));
}

/** The lines of a sheet as they stand: those that were written, else the goal of the last lesson. */
export function useSheetLines(record: PlanRecord): SheetLines & { readonly goalBpm?: number } {
  const { studentId } = record;
  const lesson = useLiveQuery(() => (studentId ? lastLesson(studentId) : undefined), [studentId]);
  const kept = useLiveQuery(async () => (await listPlans()).find(({ id }) => id === record.id)?.sheet, [record.id]);
  const sheet = kept ?? record.sheet;
  const goalBpm = lesson?.assigned.find(({ planId }) => planId === record.id)?.goalBpm;
  return {
    goal: sheet?.goal ?? lesson?.goal ?? '',
    reminders: sheet?.reminders ?? '',
    ...(goalBpm ? { goalBpm } : {}),
  };
}

/** Lines follow one another. */
let writing: Promise<unknown> = Promise.resolve();

/** Writes a line of the sheet; it is kept with the plan, and a plan that was only looked at is kept with it. */
export function writeLines(record: PlanRecord, lines: SheetLines) {
  writing = writing.then(async () => {
    const kept = (await listPlans()).find(({ id }) => id === record.id);
    if (!kept && !(await save([{ kind: 'added', table: 'plans', record }]))) return;
    await edit('plans', kept ?? record, { sheet: lines });
  });
  return writing;
}

/** Remembers that a plan went out on paper: from then on it is not to become one of other music. */
export async function markPrinted(record: PlanRecord) {
  const kept = await getPlan(record.id);
  if (!kept || kept.printed) return;
  await commit([{ kind: 'updated', table: 'plans', id: kept.id, from: { printed: undefined }, to: { printed: true } }]);
}

/** What stands on the paper; while something newer is laid out, what stood before. */
export interface LaidState<T extends Laid = Laid> {
  readonly kind: 'laying' | 'laid' | 'failed';
  readonly laid: T | null;
}

/** Lays something out whenever it changes. @param what tells all of it */
export function useLaid<T extends Laid = Laid>(what: string, layOut: () => Promise<T>): LaidState<T> {
  const [last, setLast] = useState<LaidLast<T>>({ what: '', laid: null, failed: false });
  useEffect(() => {
    let here = true;
    layOut().then(
      (laid) => here && setLast({ what, laid, failed: false }),
      (error: unknown) =>
        here && !(error instanceof CalledOff) && setLast((now) => ({ what, laid: now.laid, failed: true })),
    );
    return () => {
      here = false;
    };
    // Everything that is laid out is in the text.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [what]);
  const kind = last.what !== what ? 'laying' : last.failed ? 'failed' : 'laid';
  return { kind, laid: last.laid };
}

interface LaidLast<T> {
  readonly what: string;
  readonly laid: T | null;
  readonly failed: boolean;
}

type Lines = SheetLines & { readonly goalBpm?: number };

export function useSheet(
  meaning: Meaning,
  also: readonly PlanRecord[],
  lines: Lines,
  choices: SheetChoices,
): LaidState {
  const { id, changedAt } = meaning.record;
  const what = JSON.stringify([id, changedAt, also.map((plan) => [plan.id, plan.changedAt]), lines, choices]);
  return useLaid(what, () => layOut(meaning, also, lines, choices));
}

async function layOut(
  meaning: Meaning,
  also: readonly PlanRecord[],
  lines: Lines,
  choices: SheetChoices,
): Promise<Laid> {
  const { record, student, request } = meaning;
  const others = await Promise.all(also.map((plan) => meaningOf(plan)));
  const plans = [meaning, ...others.flatMap((one) => (one.kind === 'there' ? [one.meaning] : []))].map(forSheet);
  const several = plans.length > 1;
  const ask = {
    title: several ? paperDeskText.plans(student?.name || 'Plans', plans.length) : titleOf(meaning),
    who: onWhat(request, student?.name),
    date: dayInWords(new Date()),
    goal: lines.goal,
    reminders: lines.reminders,
    caution: CAUTION,
    ladder: ladderLabels(record.request, lines.goalBpm),
    names: student?.noteNames ?? 'letters',
    choices,
  } as const;
  return atDesk(async (remote) => await remote.sheet(ask, plans));
}

const titleOf = ({ record }: Meaning) => titleInWords(sentence(planTitle(record)));

export function forSheet(meaning: Meaning): PlanForSheet {
  const { record, student, request, response, plan, aim } = meaning;
  return {
    key: JSON.stringify([record.id, record.changedAt, plan.cost]),
    planned: { request, response, plan },
    reader: {
      level: aim.level,
      names: student?.noteNames ?? 'letters',
      fingers: fingerNamesOf(student, aim.level),
      ...(student?.plays.instrument === request.instrument ? { clefs: student.clefs } : {}),
    },
    title: titleOf(meaning),
  };
}

/** Saves what was laid out last as a PDF. */
export async function savePdf(title: string) {
  try {
    const bytes = await atDesk(async (remote) => await remote.pdf(title, PRODUCT, Date.now()));
    offerFile(bytes, `${fileName(title)}.pdf`, 'application/pdf');
  } catch (error) {
    if (!(error instanceof CalledOff)) say({ kind: 'trouble', message: paperDeskText.thePdfCouldNot });
  }
}

/** A title as a file can be called everywhere. */
export function fileName(title: string): string {
  const plain = title
    .replaceAll('♭', '-flat')
    .replaceAll('♯', '-sharp')
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase();
  return plain.slice(0, 80) || 'dove-path';
}
