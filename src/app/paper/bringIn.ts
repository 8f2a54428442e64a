import { create } from 'zustand';
import {
  fingeringOf,
  instrumentRecord,
  readNoteText,
  requestIssues,
  type InstrumentName,
  type Lock,
  type PlanRequest,
  type StudentRecord,
} from '../../core';
import type { PassageAsk } from '../../core/formats';
import { BadRequest, parseRequest } from '../../contract/read';
import { storageFault } from '../../store/db';
import { fileHead } from '../../store/fileHead';
import { newRecord } from '../../store/records';
import { noticeWords, unreadablePlace, unreadableWords } from '../../wording/files';
import { issueWords, textIssueWords } from '../../wording/issues';
import { storageWords } from '../../wording/storage';
import { playingOf } from '../brief/student';
import { say } from '../notices';
import { save } from '../writes';
import { atDesk, CalledOff, endDesk, openAtDesk } from './desk';
import type { OpenedFile } from './paper.worker';
import { joinSent } from './sent';
import * as paperDeskText from '../../wording/rooms/paperDesk';

/*
 * A piece that is brought in: a file is opened, its part and bars are chosen, and it becomes a plan.
 */

export type Piece = Extract<OpenedFile, { kind: 'piece' }>;

export type BringingIn =
  | { readonly kind: 'closed' }
  | { readonly kind: 'asking' }
  | { readonly kind: 'reading'; readonly name: string; readonly share: number }
  | { readonly kind: 'there'; readonly name: string; readonly piece: Piece }
  | { readonly kind: 'trouble'; readonly name: string; readonly message: string };

export const useBringIn = create<{ readonly state: BringingIn }>(() => ({ state: { kind: 'closed' } }));
const put = (state: BringingIn) => useBringIn.setState({ state });

/** Opens the way to bring something in. */
export const askForPiece = () => put({ kind: 'asking' });
export const closeBringIn = () => {
  if (useBringIn.getState().state.kind === 'reading') endDesk();
  put({ kind: 'closed' });
};

/** Reads a file, wherever it came from. */
export async function bringFile(file: File) {
  const { name } = file;
  put({ kind: 'reading', name, share: 0 });
  try {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const opened = await openAtDesk(bytes, (share) => {
      if (useBringIn.getState().state.kind === 'reading') put({ kind: 'reading', name, share });
    });
    await take(opened, name);
  } catch (error) {
    if (error instanceof CalledOff) return;
    put({ kind: 'trouble', name, message: paperDeskText.bringInTheFileCouldNot });
  }
}

async function take(opened: OpenedFile, name: string) {
  switch (opened.kind) {
    case 'trouble':
      put({ kind: 'trouble', name, message: unreadablePlace(opened) + unreadableWords(opened) });
      return;
    case 'piece':
      put({ kind: 'there', name, piece: opened });
      return;
    case 'notes':
      return takeNotes(opened.text, name);
    case 'json':
      return takeOwn(opened.text, name);
  }
}

/** Notes typed as text become a plan on a violin; its brief may say otherwise. */
async function takeNotes(text: string, name: string) {
  const { notes, issues } = readNoteText(text, instrumentRecord('violin').writtenOctavesUp);
  const [issue] = issues;
  if (issue || notes.length === 0) {
    const found = issue ? paperDeskText.atLetter(issue.at + 1, textIssueWords(issue)) : '';
    put({ kind: 'trouble', name, message: paperDeskText.thisIsNoScore(found) });
    return;
  }
  await keep({ instrument: 'violin', material: { type: 'notes', notes: [...notes] } }, name);
}

/** A file of the app's own: a plan that was sent, or a request. */
async function takeOwn(text: string, name: string) {
  const head = fileHead(text);
  const format = typeof head === 'object' ? head.format : undefined;
  if (format === 'dove-path-plan') {
    const message = await joinSent(text);
    put(message === null ? { kind: 'closed' } : { kind: 'trouble', name, message });
    return;
  }
  const elsewhere = ELSEWHERE.get(String(format));
  if (elsewhere) {
    put({ kind: 'trouble', name, message: elsewhere });
    return;
  }
  try {
    await keep(parseRequest(text), name);
  } catch (error) {
    if (!(error instanceof BadRequest)) throw error;
    const [issue] = error.issues;
    put({ kind: 'trouble', name, message: paperDeskText.thisFileCannotBe(issue.path, issueWords(issue)) });
  }
}

const ELSEWHERE: ReadonlyMap<string, string> = new Map([
  ['dove-path-backup', paperDeskText.thisIsABackup],
  ['dove-path-practice', paperDeskText.thisIsAPractice],
]);

/** What a part is looked at with. */
export interface Chosen extends PassageAsk {
  readonly student?: StudentRecord;
}

/** A student's own instrument is what it is planned for. */
const askOf = ({ student, ...ask }: Chosen): PassageAsk =>
  student ? { ...ask, instrument: student.plays.instrument } : ask;

export interface Preview {
  readonly svg: string;
  readonly notes: number;
  /** Notes with a finger or a string written. */
  readonly written: number;
  readonly notices: readonly string[];
  readonly instrument: InstrumentName;
}

/** @returns what the chosen bars are, or a sentence for what is wrong with the choice */
export async function previewOf(chosen: Chosen, width: number): Promise<Preview | string> {
  const found = await atDesk(async (remote) => await remote.preview(askOf(chosen), width));
  if (found.kind === 'trouble') return unreadablePlace(found) + unreadableWords(found);
  const { request, written, notices, svg } = found;
  const { material } = request;
  const notes = material.type === 'notes' ? material.notes.filter((note) => 'pitches' in note).length : 0;
  return { svg, notes, written: written.length, notices: notices.map(noticeWords), instrument: request.instrument };
}

/** Makes the chosen bars a plan and opens it. What was found written is kept as far as it can be played. */
export async function bringIn(chosen: Chosen, name: string) {
  try {
    const found = await atDesk(async (remote) => await remote.passage(askOf(chosen)));
    if (found.kind === 'trouble') {
      put({ kind: 'trouble', name, message: unreadableWords(found) });
      return;
    }
    const { student } = chosen;
    const request: PlanRequest = {
      ...found.request,
      ...(student ? { ...playingOf(student.plays), preferences: student.preferences } : {}),
      rules: { positions: student?.positions },
    };
    await keep(request, name, { studentId: student?.id ?? null, written: fitting(found.written, request) });
  } catch (error) {
    if (!(error instanceof CalledOff)) say({ kind: 'trouble', message: storageWords(storageFault(error)) });
  }
}

/** Written strings that this instrument has. */
function fitting(written: readonly Lock[], request: PlanRequest): Lock[] {
  return written.filter((lock) => requestIssues({ ...request, rules: { locks: [lock] } }).length === 0);
}

async function keep(
  request: PlanRequest,
  name: string,
  part: { readonly studentId?: string | null; readonly written?: Lock[] } = {},
) {
  const { written = [], studentId = null } = part;
  const [issue] = requestIssues(request);
  if (issue) {
    put({ kind: 'trouble', name, message: issueWords(issue) });
    return;
  }
  const judged = written.length > 0 ? await atDesk(async (remote) => await remote.judge(request, written)) : null;
  const record = newRecord(request, Date.now(), {
    name: name.slice(0, 120),
    studentId,
    tags: ['piece'],
    ...(written.length > 0 ? { written } : {}),
    // What is written stands first, as one of the ways.
    ...(judged?.plan ? { choice: { kind: 'way', fingering: fingeringOf(judged.plan) } } : {}),
  });
  await save([{ kind: 'added', table: 'plans', record }], () => {
    put({ kind: 'closed' });
    location.assign(`/?plan=${record.id}`);
  });
}
