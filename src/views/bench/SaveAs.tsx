import { useBench } from '../../app/bench';
import type { PictureKind } from '../../app/paper/saving';
import { ActMenu } from '../../ui/ActMenu';
import type { NoteFormat } from '../../work/exports';
import type { PictureName } from '../../notation/sheet/pictures';

/** What is loaded only when something is saved. */
const saving = () => import('../../app/paper/saving');

const NOTES: readonly (readonly [NoteFormat, string])[] = [
  ['musicxml', 'Notes with fingers (MusicXML)'],
  ['mxl', 'The same, packed (.mxl)'],
  ['midi', 'Sound of the notes (MIDI)'],
  ['csv', 'Table of notes and fingers (CSV)'],
];

const PICTURES: readonly (readonly [PictureName, string])[] = [
  ['staff', 'Picture of the staff'],
  ['trail', 'Picture of staff and hand trail'],
  ['neck', 'Picture of the neck'],
];
const KINDS: readonly (readonly [PictureKind, string])[] = [
  ['svg', 'SVG'],
  ['png', 'PNG'],
  ['copy', 'to the clipboard'],
];

/** Every kind of file that can be made of the plan on the stand. */
export function SaveAs() {
  const id = useBench(({ record }) => record.id);
  const hasStudent = useBench(({ record }) => record.studentId !== null);
  return (
    <ActMenu
      label="Save this plan as"
      words="Save as …"
      acts={[
        { id: 'sheet', words: 'Sheet, to print or as PDF …' },
        ...NOTES.map(([format, words]) => ({ id: `notes ${format}`, words })),
        ...PICTURES.flatMap(([name, words]) =>
          KINDS.map(([kind, how]) => ({ id: `picture ${name} ${kind}`, words: `${words}, ${how}` })),
        ),
        { id: 'send', words: 'File to send, without the student' },
        ...(hasStudent ? [{ id: 'send student', words: 'File to send, with the student' }] : []),
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
