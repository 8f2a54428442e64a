import type { ComponentType } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { BackupButtons } from './BackupButtons';
import { NoticeBar } from './NoticeBar';
import * as sharedText from '../wording/rooms/shared';

/** A whole view that stands or fails by itself: where it cannot be shown, what was made can still be saved and what is damaged be found. */
export function view(name: string, Inside: ComponentType): ComponentType {
  return function View() {
    return (
      <ErrorBoundary
        fallbackRender={(props) => <Failed name={name} {...props} />}
        onError={(error) => console.error(error)}
      >
        <Inside />
      </ErrorBoundary>
    );
  };
}

function Failed({ name, error }: FallbackProps & { readonly name: string }) {
  return (
    <main id="main" tabIndex={-1} className="mx-auto flex max-w-3xl flex-col gap-3 px-5 py-8" data-failed>
      <NoticeBar />
      <h1 className="font-serif text-2xl font-bold">{sharedText.viewFailed(name)}</h1>
      <p>{sharedText.whatToDoNow}</p>
      <div className="flex flex-wrap items-start gap-2">
        <button type="button" className="button" onClick={() => location.reload()}>
          {sharedText.reloadThePage}
        </button>
        <BackupButtons saveOnly />
        <a className="button no-underline" href="/studio#damaged">
          {sharedText.toTheDamagedEntries}
        </a>
        <a className="button no-underline" href="/">
          {sharedText.toTheBenchAnew}
        </a>
      </div>
      <p className="text-sm text-faded">{error instanceof Error ? error.message : String(error)}</p>
    </main>
  );
}
