import { word } from '../store/browserState';
import { recoverDrafts } from '../store/drafts';
import { clearOldTrash } from '../store/write';
import { say } from './notices';
import { dayOf } from './practice/calendar';
import * as appText from '../wording/rooms/app';

/*
 * What a view does with the store before it reads from it.
 */

/** Takes up what a page that went could not save any more, and empties the bin of what has lain there for its time. */
export async function recover() {
  const recovered = await recoverDrafts();
  const copies = recovered.filter((how) => how === 'copy');
  if (copies.length > 0) say({ kind: 'done', message: appText.yourLastEditWas });
  void clearOldTrash(dayOf(Date.now())).catch(() => undefined);
  if (mended.read() === null) setTimeout(() => void mend().catch((error: unknown) => console.error(error)), IN_PEACE);
}

/** The view is put up first, in ms. */
const IN_PEACE = 3000;
const mended = word('session', 'dove-path-mended');

/** Works out anew what is damaged of the sums; once for each tab. */
async function mend() {
  const { mendDerived } = await import('../store/mend');
  await mendDerived(Date.now());
  mended.write('yes');
}
