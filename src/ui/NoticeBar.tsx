import { dismissNotice, useNotice } from '../app/notices';

/** What just happened, with the way back where there is one. */
export function NoticeBar() {
  const notice = useNotice((state) => state.notice);
  const tone = notice?.kind === 'trouble' ? 'border-madder text-madder' : 'border-dove text-ink';
  return (
    <div role="status" aria-live="polite">
      {notice && (
        <div className={`flex flex-wrap items-center gap-3 rounded border-l-4 bg-sheet px-3 py-1.5 ${tone}`}>
          <p className="flex-1">{notice.message}</p>
          {notice.offer && (
            <button type="button" className="button" onClick={notice.offer.act}>
              {notice.offer.words}
            </button>
          )}
          <button type="button" className="button" onClick={dismissNotice}>
            Close
          </button>
        </div>
      )}
    </div>
  );
}
