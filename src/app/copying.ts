import { say } from './notices';
import * as appText from '../wording/rooms/app';

/** Puts some text on the clipboard and says so, or what to do where the browser does not let it. */
export function copyText(text: string, done: string, instead: string) {
  navigator.clipboard.writeText(text).then(
    () => say({ kind: 'done', message: done }),
    () => say({ kind: 'trouble', message: appText.theBrowserDidNot(instead) }),
  );
}
