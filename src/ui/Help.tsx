import { useId } from 'react';
import { HELP, type HelpWord } from '../wording/help';
import * as sharedText from '../wording/rooms/shared';

/** A question mark that explains a word of the craft: by touch, by click and by keyboard; Escape or a tap beside it closes it. */
export function Help({ word }: { readonly word: HelpWord }) {
  const id = useId();
  return (
    <>
      <button
        type="button"
        popoverTarget={id}
        aria-label={sharedText.whatIsMeantBy(word)}
        className="inline-flex size-6 cursor-pointer items-center justify-center rounded-full border border-rule bg-sheet text-sm font-bold text-dove"
      >
        ?
      </button>
      <div
        id={id}
        popover="auto"
        role="note"
        className="m-auto max-w-md rounded-md border-2 border-dove bg-sheet px-4 py-3 font-sans text-base font-normal text-ink shadow-lg"
      >
        {HELP[word]}
      </div>
    </>
  );
}
