import { lastPlanned, planOf } from '../session/state';
import { session } from '../bench';
import { offerFile } from '../files';
import { fingersShown, useLook } from '../look';
import { say } from '../notices';
import { getStudent } from '../../store/read';
import { clefsFor, type PlanRecord, type StudentRecord } from '../../core';
import { planTitle } from '../../wording/material';
import { FORMATS, type NoteFormat } from '../../work/exports';
import type { Planned } from '../../drawing/sheet/sheetParts';
import type { PictureName } from '../../drawing/sheet/pictures';
import { atDesk } from './desk';
import { fileName } from './sheets';
import * as paperDeskText from '../../wording/rooms/paperDesk';

/*
 * The plan on the stand as a file: notes for other programs, pictures, or to be sent to somebody.
 */

interface OnStand {
  readonly record: PlanRecord;
  readonly student: StudentRecord | undefined;
  readonly title: string;
  readonly planned: Planned;
}

/** What stands on the Bench, with the clefs that its student reads. */
async function onStand(): Promise<OnStand | null> {
  const state = session.store.getState();
  const last = lastPlanned(state);
  const plan = planOf(state);
  const { record } = state;
  if (!last || !plan) {
    say({ kind: 'trouble', message: paperDeskText.thisCantBePlayed });
    return null;
  }
  const student = record.studentId ? await getStudent(record.studentId) : undefined;
  const { request } = last.ask;
  const read = student?.plays.instrument === request.instrument ? student.clefs : undefined;
  const clefs = clefsFor(last.response.events, request.instrument, read);
  return { record, student, title: planTitle(record), planned: { request, response: last.response, plan, clefs } };
}

/** Does something with the plan on the stand; what fails is said. */
async function withStand(work: (one: OnStand) => Promise<void>) {
  try {
    const one = await onStand();
    if (one) await work(one);
  } catch (error) {
    console.error(error);
    say({ kind: 'trouble', message: paperDeskText.savingTheFileCouldNot });
  }
}

export const saveNotes = (format: NoteFormat) =>
  withStand(async ({ planned, title }) => {
    const fingersAt = fingersShown(useLook.getState().fingers, planned);
    const bytes = await atDesk(async (remote) => await remote.write(format, { ...planned, title, fingersAt }));
    const { end, type } = FORMATS[format];
    offerFile(bytes, `${fileName(title)}.${end}`, type);
  });

export type PictureKind = 'svg' | 'png' | 'copy';

export const savePicture = (name: PictureName, kind: PictureKind) =>
  withStand(async ({ planned, title }) => {
    const svg = await atDesk(async (remote) => await remote.picture(name, planned, title));
    if (kind === 'svg') offerFile(svg, `${fileName(title)}-${name}.svg`, 'image/svg+xml');
    else if (kind === 'png')
      offerFile(new Uint8Array(await (await pngOf(svg)).arrayBuffer()), `${fileName(title)}-${name}.png`, 'image/png');
    else await copy(svg);
  });

/** Dots for each point of a picture: 300 in an inch. */
const SHARP = 300 / 72;

async function pngOf(svg: string): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const [, width = '600', height = '200'] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg) ?? [];
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(Number(width) * SHARP);
  canvas.height = Math.round(Number(height) * SHARP);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(paperDeskText.noPicture))), 'image/png');
  });
}

async function copy(svg: string) {
  try {
    await navigator.clipboard.write([new ClipboardItem({ 'image/png': pngOf(svg) })]);
    say({ kind: 'done', message: paperDeskText.thePictureIsOn });
  } catch {
    say({ kind: 'trouble', message: paperDeskText.thisBrowserDoesNot });
  }
}

/** Version of the file a plan is sent in. */
export const SENT_VERSION = 1;

/** The plan on the stand as a small file for somebody else. @param withStudent their name, instrument and hand go with it */
export const sendPlan = (withStudent: boolean) =>
  withStand(({ record, student, title }) => {
    const kept = withStudent && student ? { student } : {};
    const plan = {
      ...record,
      studentId: withStudent && student ? student.id : null,
      givenFrom: undefined,
      drillFor: undefined,
    };
    const file = { format: 'dove-path-plan', version: SENT_VERSION, savedAt: new Date().toISOString(), plan, ...kept };
    offerFile(JSON.stringify(file), `${fileName(title)}.dovepath.json`);
    say({
      kind: 'done',
      message:
        withStudent && student
          ? paperDeskText.theFileHasThis(student.name || paperDeskText.itsStudent)
          : paperDeskText.theFileHasThisPlan,
    });
    return Promise.resolve();
  });
