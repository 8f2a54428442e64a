import { useBench } from '../../app/bench';
import type { PictureKind } from '../../app/paper/saving';
import { ActMenu } from '../../ui/ActMenu';
import type { NoteFormat } from '../../work/exports';
import type { PictureName } from '../../drawing/sheet/pictures';
import * as benchPlanText from '../../wording/rooms/benchPlan';

/** What is loaded only when something is saved. */
const saving = () => import('../../app/paper/saving');

const NOTES: readonly (readonly [NoteFormat, string])[] = [
  ['musicxml', benchPlanText.notesWithFingersMusicxml],
  ['mxl', benchPlanText.theSamePackedMxl],
  ['midi', benchPlanText.soundOfTheNotes],
  ['csv', benchPlanText.tableOfNotesAnd],
];

const PICTURES: readonly (readonly [PictureName, string])[] = [
  ['staff', benchPlanText.pictureOfTheStaff],
  ['trail', benchPlanText.pictureOfStaffAnd],
  ['neck', benchPlanText.pictureOfTheNeck],
];
const KINDS: readonly (readonly [PictureKind, string])[] = [
  ['svg', 'SVG'],
  ['png', 'PNG'],
  ['copy', benchPlanText.toTheClipboard],
];

/** Every kind of file that can be made of the plan on the stand. */
export function SaveAs() {
  const id = useBench(({ record }) => record.id);
  const hasStudent = useBench(({ record }) => record.studentId !== null);
  return (
    <ActMenu
      label={benchPlanText.saveThisPlanAs}
      words={benchPlanText.saveAs}
      acts={[
        { id: 'sheet', words: benchPlanText.sheetToPrintOr },
        ...NOTES.map(([format, words]) => ({ id: benchPlanText.notes(format), words })),
        ...PICTURES.flatMap(([name, words]) =>
          KINDS.map(([kind, how]) => ({ id: benchPlanText.picture(name, kind), words: `${words}, ${how}` })),
        ),
        { id: 'send', words: benchPlanText.fileToSendWithout },
        ...(hasStudent ? [{ id: benchPlanText.sendStudent, words: benchPlanText.fileToSendWith }] : []),
      ]}
      onAct={(act) => void save(act, id)}
    />
  );
}

async function save(act: string, plan: string) {
  const [what, name, kind] = act.split(' ');
  if (what === 'sheet') {
    location.assign(`/sheet?plan=${plan}`);
    return;
  }
  const { saveNotes, savePicture, sendPlan } = await saving();
  if (what === 'notes') await saveNotes(name as NoteFormat);
  else if (what === 'picture') await savePicture(name as PictureName, kind as PictureKind);
  else await sendPlan(name === 'student');
}
