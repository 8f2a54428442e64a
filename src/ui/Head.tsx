import { useEffect, type ReactNode } from 'react';
import { fetchAhead } from '../app/ahead';

const VIEWS = [
  ['/studio', 'Studio'],
  ['/', 'Bench'],
  ['/hand', 'Hand'],
  ['/shifts', 'Shifts'],
  ['/ear', 'Ear'],
] as const;

export type ViewAddress = (typeof VIEWS)[number][0];

interface Props {
  /** Address of the view that stands. */
  readonly here: ViewAddress;
  /** The plan that the other views should open too. */
  readonly plan?: string;
  readonly children?: ReactNode;
}

/** The head of every view: the way to the others, and what the view puts beside it. */
export function Head({ here, plan, children }: Props) {
  useEffect(fetchAhead, []);
  const query = plan ? `?plan=${plan}` : '';
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
            href={address + query}
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
