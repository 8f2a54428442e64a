import { useEffect, type ReactNode } from 'react';
import { fetchAhead } from '../app/ahead';
import { watchServer } from '../app/serverGone';
import { StorageWait } from './StorageWait';
import * as sharedText from '../wording/rooms/shared';

/** Looks at one plan, and what belongs to a student. */
const PLAN_VIEWS = [
  ['/', 'Bench'],
  ['/hand', 'Hand'],
  ['/shifts', 'Shifts'],
  ['/ear', 'Ear'],
  ['/listen', 'Takes'],
  ['/sheet', 'Sheet'],
] as const;
const STUDENT_VIEWS = [
  ['/practice', 'Practice'],
  ['/cards', 'Cards'],
  ['/progress', 'Progress'],
  ['/book', 'Book'],
] as const;

export type ViewAddress =
  | '/studio'
  | '/lesson'
  | '/path'
  | '/class'
  | '/week'
  | '/students'
  | (typeof PLAN_VIEWS)[number][0]
  | (typeof STUDENT_VIEWS)[number][0];

interface Props {
  /** Address of the view that stands. */
  readonly here: ViewAddress;
  /** The plan that the other views should open too. */
  readonly plan?: string;
  /** Its brief as a part of an address, so that the views open it on another machine too. */
  readonly brief?: string | null;
  /** The student whose practice the other views should show too. */
  readonly student?: string;
  readonly children?: ReactNode;
}

/** The head of every view: the way to the others, and what the view puts beside it. */
export function Head({ here, plan, brief, student, children }: Props) {
  useEffect(fetchAhead, []);
  useEffect(watchServer, []);
  const ofPlan = plan ? `?plan=${plan}` : '';
  const ofStudent = student ? `?student=${student}` : '';
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-rule py-1.5">
      <a href="/" className="flex items-center gap-2 font-serif text-xl font-bold no-underline">
        <img src="/dove.svg" alt="" width="28" height="28" />
        {sharedText.dovePath}
      </a>
      <nav aria-label={sharedText.views} className="views flex gap-2.5">
        <Way address="/studio" words={sharedText.studio} here={here} query={ofStudent} />
        <span className="flex gap-2.5 border-l border-rule pl-2.5">
          {PLAN_VIEWS.map(([address, words]) => (
            <Way key={address} address={address} words={words} here={here} query={ofPlan + (brief ?? '')} />
          ))}
        </span>
        <span className="flex gap-2.5 border-l border-rule pl-2.5">
          {STUDENT_VIEWS.map(([address, words]) => (
            <Way key={address} address={address} words={words} here={here} query={ofStudent || ofPlan} />
          ))}
        </span>
      </nav>
      {children}
      <StorageWait />
    </header>
  );
}

interface WayProps {
  readonly address: ViewAddress;
  readonly words: string;
  readonly here: ViewAddress;
  readonly query: string;
}

function Way({ address, words, here, query }: WayProps) {
  return (
    <a
      href={address + query}
      aria-current={address === here ? 'page' : undefined}
      className={address === here ? 'border-b-2 border-dove font-semibold' : 'text-dove hover:underline'}
    >
      {words}
    </a>
  );
}
