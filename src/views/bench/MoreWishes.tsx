import { X } from 'lucide-react';
import { setRequest } from '../../app/edits';
import type { PlanRequest } from '../../core';
import { ActMenu } from '../../ui/ActMenu';
import { wishesMade, wishesToAdd } from '../../wording/wishes';

/** What a plan must do, beyond what it may: wishes added from one list and taken out again. */
export function MoreWishes({ request }: { readonly request: PlanRequest }) {
  const offered = wishesToAdd(request);
  return (
    <span className="inline-flex flex-wrap items-center gap-2 align-middle font-sans text-base leading-normal">
      {wishesMade(request).map(({ id, words, request: without }) => (
        <span key={id} className="inline-flex items-center gap-1 rounded-md bg-haze pl-2">
          {words}
          <button
            type="button"
            aria-label={`Take out: ${words}`}
            className="inline-flex min-h-9 cursor-pointer items-center px-2"
            onClick={() => setRequest(without)}
          >
            <X size={16} aria-hidden />
          </button>
        </span>
      ))}
      <ActMenu
        label="Add a wish"
        words="add a wish"
        acts={offered}
        onAct={(id) => {
          const wish = offered.find((one) => one.id === id);
          if (wish) setRequest(wish.request);
        }}
      />
    </span>
  );
}
