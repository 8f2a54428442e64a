import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import * as sharedText from '../wording/rooms/shared';

interface Props {
  /** What the part is called, as in "The neck". */
  readonly name: string;
  /** What makes it worth another try once it has failed: a new plan, say. */
  readonly on?: readonly unknown[];
  readonly children: ReactNode;
}

/** A part of a view that stands or fails on its own: what goes wrong in it leaves the rest of the page as it is. */
export function Section({ name, on, children }: Props) {
  return (
    <ErrorBoundary
      resetKeys={on ? [...on] : undefined}
      fallbackRender={(props) => <Failed name={name} {...props} />}
      onError={(error) => console.error(error)}
    >
      {children}
    </ErrorBoundary>
  );
}

function Failed({ name, resetErrorBoundary }: FallbackProps & { readonly name: string }) {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 border-l-4 border-madder bg-sheet px-3 py-2">
      <p className="min-w-48 flex-1">{sharedText.couldNotBeShown(name)}</p>
      <button type="button" className="button" onClick={resetErrorBoundary}>
        {sharedText.tryAgain}
      </button>
      <button type="button" className="button" onClick={() => location.reload()}>
        {sharedText.reloadThePage}
      </button>
    </div>
  );
}
