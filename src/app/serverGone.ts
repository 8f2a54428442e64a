import * as sharedText from '../wording/rooms/shared';
import { say } from './notices';

/*
 * The server may go away while a page stands: what then cannot be had is said, whatever asked for it.
 */

const sayUnreachable = () => void say({ kind: 'trouble', message: sharedText.thisPartOfThe });

/** True of a part of the program that could not be fetched, in the words of each browser. */
const isUnfetched = (reason: unknown) =>
  reason instanceof TypeError && /import\w* .*module|module script/i.test(reason.message);

/** A part of the program; null where it cannot be fetched, which is then said. */
export async function fetchedPart<T>(load: () => Promise<T>): Promise<T | null> {
  try {
    return await load();
  } catch {
    sayUnreachable();
    return null;
  }
}

/** Milliseconds after which a server that has not answered is taken to be there. */
const PATIENCE = 250;

/** @returns whether the server is known to be gone */
async function isGone(address: string): Promise<boolean> {
  const asked = fetch(address, { method: 'HEAD' }).then(
    () => false,
    () => true,
  );
  const late = new Promise<boolean>((done) => setTimeout(() => done(false), PATIENCE));
  return Promise.race([asked, late]);
}

/** The address of another page of the program that a click leads to; null of any other click. */
function pageAsked(event: MouseEvent): string | null {
  const link = event.target instanceof Element ? event.target.closest('a') : null;
  const plain = event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey;
  if (!link?.href || !plain || event.defaultPrevented || link.target || link.hasAttribute('download')) return null;
  const { origin, pathname, search } = new URL(link.href);
  const isHere = pathname === location.pathname && search === location.search;
  return origin === location.origin && !isHere ? link.href : null;
}

let watching = false;

/** Watches, once a page, for what cannot be had any more. */
export function watchServer() {
  if (watching) return;
  watching = true;
  addEventListener('unhandledrejection', ({ reason }) => {
    if (isUnfetched(reason)) sayUnreachable();
  });
  document.addEventListener('click', (event) => {
    const address = pageAsked(event);
    if (!address) return;
    event.preventDefault();
    void isGone(address).then((gone) => {
      if (gone) sayUnreachable();
      else location.assign(address);
    });
  });
}
