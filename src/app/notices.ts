import { create } from 'zustand';

/** What the user last heard back; an offer is one thing they may do about it. */
export interface Notice {
  readonly kind: 'done' | 'trouble';
  readonly message: string;
  readonly offer?: Offer;
}

interface Offer {
  readonly words: string;
  /** Does it. False where it failed: the offer then stays. */
  readonly act: () => void | Promise<boolean | void>;
}

export const useNotice = create<{ readonly notice: Notice | null }>(() => ({ notice: null }));

/** @returns takes the notice away again, where it is still the one that stands */
export function say(notice: Notice): () => void {
  useNotice.setState({ notice });
  return () => withdraw(notice);
}

export function withdraw(notice: Notice) {
  if (useNotice.getState().notice === notice) dismissNotice();
}

export function dismissNotice() {
  useNotice.setState({ notice: null });
}

/** Takes up what a notice offers: once it is done the notice goes, where it failed it stays. */
export async function takeUp(notice: Notice) {
  const done = await notice.offer?.act();
  if (done !== false) withdraw(notice);
}
