import { create } from 'zustand';

/** What the user last heard back; an offer is one thing they may do about it. */
export interface Notice {
  readonly kind: 'done' | 'trouble';
  readonly message: string;
  readonly offer?: { readonly words: string; readonly act: () => void };
}

export const useNotice = create<{ readonly notice: Notice | null }>(() => ({ notice: null }));

export function say(notice: Notice) {
  useNotice.setState({ notice });
}

export function dismissNotice() {
  useNotice.setState({ notice: null });
}
