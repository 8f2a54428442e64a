import { useEffect, useRef } from 'react';
import { dismissNotice, takeUp, useNotice, withdraw, type Notice } from '../app/notices';
import { focusPage } from './focus';
import * as sharedText from '../wording/rooms/shared';

/** Milliseconds in which a sentence is read. */
const READ_MS = 12_000;

/** What just happened, with the way back where there is one. It lies over the page and moves nothing in it. */
export function NoticeBar() {
  const notice = useNotice((state) => state.notice);
  return (
    <div
      role="status"
      aria-live="polite"
      className="pointer-events-none fixed inset-x-0 bottom-3 z-40 flex justify-center px-3"
    >
      {notice && <Standing notice={notice} />}
    </div>
  );
}

function Standing({ notice }: { readonly notice: Notice }) {
  const box = useRef<HTMLDivElement>(null);
  const tone = notice.kind === 'trouble' ? 'border-madder text-madder' : 'border-dove text-ink';
  useEffect(() => {
    // What asks for nothing goes by itself; what offers something, or is trouble, waits to be read.
    if (notice.kind === 'trouble' || notice.offer) return;
    const timer = setTimeout(() => withdraw(notice), READ_MS);
    return () => clearTimeout(timer);
  }, [notice]);
  useEffect(() => {
    const { current } = box;
    // The focus goes back to where it was before it went into the notice.
    let before: Element | null = document.activeElement;
    const comes = ({ relatedTarget }: FocusEvent) => (before = (relatedTarget as Element | null) ?? before);
    current?.addEventListener('focusin', comes);
    return () => {
      current?.removeEventListener('focusin', comes);
      const lost = document.activeElement === document.body || current?.contains(document.activeElement);
      if (!lost) return;
      if (before instanceof HTMLElement && before.isConnected && before !== document.body) before.focus();
      else focusPage();
    };
  }, []);
  return (
    <div
      ref={box}
      className={`pointer-events-auto flex max-w-3xl flex-wrap items-center gap-3 rounded-md border-2 border-l-8 bg-sheet px-4 py-2 shadow-lg ${tone}`}
    >
      <p className="min-w-40 flex-1">{notice.message}</p>
      {notice.offer && (
        <button type="button" className="button" onClick={() => void takeUp(notice)}>
          {notice.offer.words}
        </button>
      )}
      <button type="button" className="button" onClick={dismissNotice}>
        {sharedText.close}
      </button>
    </div>
  );
}
