import type { SheetChoices } from '../../drawing/sheet/sheet';
import { offerFile } from '../files';
import type { ClassChoice, ClassFound } from './classes';
import { atDesk } from './desk';
import type { Laid } from './paper.worker';
import { fileName } from './sheets';

/** The page of a class as it is shown. */
export interface ClassLaid extends Laid, Pick<ClassFound, 'troubles'> {
  readonly title: string;
}

export const layClass = (choice: ClassChoice, choices: SheetChoices): Promise<ClassLaid> =>
  atDesk<ClassLaid>(async (remote) => await remote.forClass(choice, choices, Date.now()));

/** Score and parts for other programs. */
export async function saveClassNotes(title: string) {
  const bytes = await atDesk(async (remote) => await remote.classNotes());
  offerFile(bytes, `${fileName(title)}-class.musicxml`, 'application/vnd.recordare.musicxml+xml');
}
