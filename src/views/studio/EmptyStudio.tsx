import { useRef, useState } from 'react';
import { removeDemo } from '../../app/demo';
import { emptyStudio, everything } from '../../app/studio';
import { isExample } from '../../store/records';
import { TRASH_DAYS } from '../../store/write';
import { BackupButtons } from '../../ui/BackupButtons';
import { listed } from '../../wording/grammar';
import type { AllRows, Everything } from '../../store/read';
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
  const [all, setAll] = useState<Everything | null>(null);
  const { students, plans, briefs } = rows;
  if (students.length + plans.length + briefs.length === 0) return null;
  const ask = async () => {
    const found = await everything();
    setAll(found);
    if (found) question.current?.showModal();
  };
  return (
    <>
      <button
        type="button"
        className="cursor-pointer self-start text-sm text-madder underline"
        onClick={() => void ask()}
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
        <p className="mt-2">{studioViewsText.thisDeletesTheyStay(listed(all?.amounts ?? []), TRASH_DAYS)}</p>
        <div className="mt-3">
          <BackupButtons saveOnly />
        </div>
        <form method="dialog" className="mt-4 flex flex-wrap justify-end gap-2">
          <button type="submit" className="button">
            {studioViewsText.leaveItAsIt}
          </button>
          <button type="submit" className="button" onClick={() => all && void emptyStudio(all)}>
            {studioViewsText.emptyTheStudioLabel}
          </button>
        </form>
      </dialog>
    </>
  );
}
