import { useBench } from '../../app/bench';
import type { PictureKind } from '../../app/paper/saving';
import { ActMenu } from '../../ui/ActMenu';
import type { NoteFormat } from '../../work/exports';
import type { PictureName } from '../../drawing/sheet/pictures';
import { saveAsText } from '../../wording/rooms/benchPlan';

/** What is loaded only when something is saved. */
const saving = () => import('../../app/paper/saving');

const NOTES: readonly (readonly [NoteFormat, string])[] = [
  ['musicxml', saveAsText.notesWithFingersMusicxml],
  ['mxl', saveAsText.theSamePackedMxl],
  ['midi', saveAsText.soundOfTheNotes],
  ['csv', saveAsText.tableOfNotesAnd],
];

const PICTURES: readonly (readonly [PictureName, string])[] = [
  ['staff', saveAsText.pictureOfTheStaff],
  ['trail', saveAsText.pictureOfStaffAnd],
  ['neck', saveAsText.pictureOfTheNeck],
];
const KINDS: readonly (readonly [PictureKind, string])[] = [
  ['svg', 'SVG'],
  ['png', 'PNG'],
  ['copy', saveAsText.toTheClipboard],
];

/** Every kind of file that can be made of the plan on the stand. */
export function SaveAs() {
  const id = useBench(({ record }) => record.id);
  const hasStudent = useBench(({ record }) => record.studentId !== null);
  return (
    <ActMenu
      label={saveAsText.saveThisPlanAs}
      words={saveAsText.saveAs}
      acts={[
        { id: 'sheet', words: saveAsText.sheetToPrintOr },
        ...NOTES.map(([format, words]) => ({ id: saveAsText.notes(format), words })),
        ...PICTURES.flatMap(([name, words]) =>
          KINDS.map(([kind, how]) => ({ id: saveAsText.picture(name, kind), words: `${words}, ${how}` })),
        ),
        { id: 'send', words: saveAsText.fileToSendWithout },
        ...(hasStudent ? [{ id: saveAsText.sendStudent, words: saveAsText.fileToSendWith }] : []),
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
