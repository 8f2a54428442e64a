import type { ReactNode } from 'react';

const VIEWS = [
  ['/studio', 'Studio'],
  ['/', 'Bench'],
] as const;

interface Props {
  /** Address of the view that stands. */
  readonly here: (typeof VIEWS)[number][0];
  readonly children?: ReactNode;
}

/** The head of every view: the way to the others, and what the view puts beside it. */
export function Head({ here, children }: Props) {
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b-2 border-rule py-2">
      <a href="/" className="flex items-center gap-2 font-serif text-xl font-bold no-underline">
        <img src="/dove.svg" alt="" width="28" height="28" />
        Dove Path
      </a>
      <nav aria-label="Views" className="flex gap-4">
        {VIEWS.map(([address, words]) => (
          <a
            key={address}
            href={address}
            aria-current={address === here ? 'page' : undefined}
            className={
              address === here ? 'border-b-2 border-dove font-semibold' : 'text-dove hover:underline'
            }
          >
            {words}
          </a>
        ))}
      </nav>
      {children}
    </header>
  );
}
