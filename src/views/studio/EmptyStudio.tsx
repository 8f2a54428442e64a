import { useRef } from 'react';
import { removeDemo } from '../../app/demo';
import { emptyStudio } from '../../app/studio';
import { isExample } from '../../store/records';
import { TRASH_DAYS } from '../../store/write';
import { BackupButtons } from '../../ui/BackupButtons';
import { listed } from '../../wording/grammar';
import { amountsOf, type AllRows } from '../../store/read';
import * as studioViewsText from '../../wording/rooms/studioViews';

/** Takes the example studio away, where it is there. */
export function RemoveExample({ rows }: { readonly rows: AllRows }) {
  const { students, plans } = rows;
  if (![...students, ...plans].some(({ id }) => isExample(id))) return null;
  return (
    <button
      type="button"
      className="cursor-pointer self-start text-sm text-dove underline"
      onClick={() => void removeDemo()}
    >
      {studioViewsText.removeTheExampleStudio}
    </button>
  );
}

/** Takes everything out of the studio, after a question that says what goes. */
export function EmptyStudio({ rows }: { readonly rows: AllRows }) {
  const question = useRef<HTMLDialogElement>(null);
  const { students, plans, briefs } = rows;
  const amount = amountsOf({ students, plans, briefs });
  if (amount.length === 0) return null;
  return (
    <>
      <button
        type="button"
        className="cursor-pointer self-start text-sm text-madder underline"
        onClick={() => question.current?.showModal()}
      >
        {studioViewsText.emptyTheStudio}
      </button>
      <dialog
        ref={question}
        aria-labelledby="empty-studio"
        className="m-auto max-w-lg rounded-lg border-2 border-madder bg-sheet p-5 text-ink shadow-lg backdrop:bg-ink/30"
      >
        <h2 id="empty-studio" className="font-serif text-xl font-semibold">
          {studioViewsText.emptyTheStudioAsked}
        </h2>
        <p className="mt-2">{studioViewsText.thisDeletesTheyStay(listed(amount), TRASH_DAYS)}</p>
        <div className="mt-3">
          <BackupButtons saveOnly />
        </div>
        <form method="dialog" className="mt-4 flex flex-wrap justify-end gap-2">
          <button type="submit" className="button">
            {studioViewsText.leaveItAsIt}
          </button>
          <button type="submit" className="button" onClick={() => void emptyStudio()}>
            {studioViewsText.emptyTheStudioLabel}
          </button>
        </form>
      </dialog>
    </>
  );
}
