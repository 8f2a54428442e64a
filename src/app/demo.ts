import { word } from '../store/browserState';
import { counted } from '../wording/grammar';
import { remove } from './writes';

const PENDING = 'dove-path-demo-practice';
const pending = word('local', PENDING);

/**
 * Puts the made-up studio in, beside one's own; its practice of six weeks follows while the page is open.
 * @param afterMs how long the page is left in peace first
 */
export async function openDemo(afterMs = 0): Promise<void> {
  const { fillWithDemo } = await import('../store/demoStudio');
  if (await fillWithDemo()) pending.write('yes');
  goOnWithDemo(afterMs);
}

/** Takes the made-up studio away in one go; it can be brought back. */
export async function removeDemo() {
  const { demoRemoval } = await import('../store/demoStudio');
  const { changes, students, plans } = await demoRemoval();
  const words = `The example studio: ${counted(students, 'student')} and ${counted(plans, 'plan')}`;
  await remove(changes, 'The example studio was taken away.', words);
}

/** Puts in what is still missing of the made-up practice: a page that filled the studio may have gone before it was done. */
export function goOnWithDemo(afterMs = 0) {
  setTimeout(() => void fillPractice().catch((error: unknown) => console.error(error)), afterMs);
}

async function fillPractice(): Promise<void> {
  if (pending.read() === null) return;
  await navigator.locks.request(PENDING, { ifAvailable: true }, async (lock) => {
    if (!lock) return;
    const { fillWithDemoPractice } = await import('./practice/demoLog');
    await fillWithDemoPractice();
    pending.clear();
  });
}
