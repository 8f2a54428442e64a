import { Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { openedAt } from '../../app/lastOpened';
import { archivePlan, givePlan, nameAndTag, removePlan } from '../../app/studio';
import { ARCHIVED } from '../../app/tags';
import type { PlanRecord, StudentRecord } from '../../core';
import { ActMenu } from '../../ui/ActMenu';
import { ifOnce } from '../../ui/focus';
import { dayWords } from '../../wording/days';
import { planTitle } from '../../wording/material';
import { GiveSeveral } from './GiveSeveral';
import * as studioViewsText from '../../wording/rooms/studioViews';

interface Props {
  readonly plan: PlanRecord;
  /** True for a drill that stands under its plan. */
  readonly under: boolean;
  readonly students: readonly StudentRecord[];
  /** True where the student's name is said too. */
  readonly named: boolean;
}

const RENAME = 'rename';
const ARCHIVE = 'archive';
const SEVERAL = 'several';

/** A plan in the list: opened, renamed and tagged, put away, given to others, deleted. */
export function PlanRow({ plan, under, students, named }: Props) {
  const [editing, setEditing] = useState(false);
  const giving = useRef<HTMLDialogElement>(null);
  const owner = students.find(({ id }) => id === plan.studentId);
  const words = planTitle(plan, named ? owner : undefined);
  const others = students.filter(({ id }) => id !== plan.studentId);
  const archived = plan.tags.includes(ARCHIVED);
  return (
    <li
      className={`long-row flex flex-wrap items-center gap-2 rounded-md border border-rule bg-sheet pl-3 ${under ? 'ml-6' : ''}`}
    >
      {editing ? (
        <NameAndTags plan={plan} onDone={() => setEditing(false)} />
      ) : (
        <a
          href={`/?plan=${plan.id}`}
          className="flex min-h-11 min-w-40 flex-1 flex-col justify-center leading-tight hover:text-dove"
        >
          {words}
          <span className="text-sm text-faded">{[...plan.tags, ...datesOf(plan)].join(', ')}</span>
        </a>
      )}
      <div className="ml-auto flex items-center gap-2">
        <ActMenu
          label={studioViewsText.moreFor(words)}
          words={studioViewsText.more}
          acts={[
            { id: RENAME, words: studioViewsText.renameAndTag },
            { id: ARCHIVE, words: archived ? studioViewsText.bringBackFromThe : studioViewsText.putIntoTheArchive },
          ]}
          onAct={(act) => {
            if (act === RENAME) setEditing(true);
            else void archivePlan(plan, !archived);
          }}
        />
        {others.length > 0 && (
          <ActMenu
            label={studioViewsText.giveTo(words)}
            words={studioViewsText.giveToLabel}
            acts={[
              ...others.map(({ id, name }) => ({ id, words: name || studioViewsText.noNameYet })),
              ...(others.length > 1 ? [{ id: SEVERAL, words: studioViewsText.severalStudents }] : []),
            ]}
            onAct={(id) => {
              const student = others.find((one) => one.id === id);
              if (id === SEVERAL) giving.current?.showModal();
              else if (student) void givePlan(plan, student);
            }}
          />
        )}
        <button
          type="button"
          aria-label={studioViewsText.planRowDeleteIt(words)}
          onClick={(event) => ifOnce(event, () => void removePlan(plan, words))}
          className="min-h-11 cursor-pointer p-2 text-faded hover:text-madder"
        >
          <Trash2 size={18} aria-hidden />
        </button>
      </div>
      <dialog
        ref={giving}
        aria-label={studioViewsText.giveToSeveralStudents(words)}
        className="m-auto rounded-lg border-2 border-dove bg-sheet p-5 text-ink shadow-lg backdrop:bg-ink/30"
      >
        <GiveSeveral plan={plan} others={others} onDone={() => giving.current?.close()} />
      </dialog>
    </li>
  );
}

function datesOf({ id, changedAt }: PlanRecord): string[] {
  const opened = openedAt().get(id);
  return [
    studioViewsText.changed(dayWords(changedAt, Date.now())),
    ...(opened ? [studioViewsText.opened(dayWords(opened, Date.now()))] : []),
  ];
}

interface EditProps {
  readonly plan: PlanRecord;
  readonly onDone: () => void;
}

function NameAndTags({ plan, onDone }: EditProps) {
  return (
    <form
      className="flex flex-1 flex-wrap items-center gap-2 py-1"
      onSubmit={(event) => {
        event.preventDefault();
        const typed = new FormData(event.currentTarget);
        void nameAndTag(plan, String(typed.get('name')), String(typed.get('tags')));
        onDone();
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <input
        name="name"
        aria-label={studioViewsText.name}
        autoFocus
        maxLength={120}
        defaultValue={plan.name}
        placeholder={planTitle(plan)}
        className="min-h-9 min-w-40 flex-1 rounded-md border border-rule bg-paper px-2"
      />
      <input
        name="tags"
        aria-label={studioViewsText.tags}
        maxLength={400}
        defaultValue={plan.tags.join(', ')}
        placeholder={studioViewsText.tagsWithCommasBetween}
        className="min-h-9 w-48 rounded-md border border-rule bg-paper px-2"
      />
      <button type="submit" className="button">
        {studioViewsText.keep}
      </button>
    </form>
  );
}
