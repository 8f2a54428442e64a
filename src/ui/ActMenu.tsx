import { ChevronDown } from 'lucide-react';
import { useRef, useState } from 'react';
import { later } from './later';
import type { Act } from './OpenMenu';
import * as sharedText from '../wording/rooms/shared';

interface Props {
  readonly label: string;
  readonly words: string;
  readonly acts: readonly Act[];
  readonly onAct: (id: string) => void;
}

const OpenMenu = later(sharedText.theMenu, async () => (await import('./OpenMenu')).OpenMenu);

/** A menu of things to do: arrow keys go through it, nothing is done before Enter or a click. */
export function ActMenu({ label, words, acts, onAct }: Props) {
  const button = useRef<HTMLButtonElement>(null);
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={label}
        aria-haspopup="menu"
        aria-expanded={open}
        className="inline-flex min-h-9 cursor-pointer items-center gap-1 rounded-md border border-dove bg-sheet px-2 whitespace-nowrap text-dove"
        onClick={() => setOpen(true)}
        onKeyDown={(event) => {
          if (event.key !== 'ArrowDown') return;
          event.preventDefault();
          setOpen(true);
        }}
      >
        {words} <ChevronDown size={16} aria-hidden />
      </button>
      {open && (
        <OpenMenu
          trigger={button}
          label={label}
          acts={acts}
          onAct={onAct}
          onClose={() => {
            setOpen(false);
            button.current?.focus();
          }}
        />
      )}
    </>
  );
}
