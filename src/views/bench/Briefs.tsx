import { useLiveQuery } from 'dexie-react-hooks';
import { Trash2 } from 'lucide-react';
import { ifOnce } from '../../ui/focus';
import { memo, useState } from 'react';
import { requestWords } from '../../wording/material';
import type { PlanRequest } from '../../core';
import { listBriefs } from '../../store/read';
import type { BriefRecord } from '../../core';
import { newPlan } from '../../app/opening';
import { remove, save } from '../../app/writes';
import * as benchBriefText from '../../wording/rooms/benchBrief';

/** Briefs saved under a name; a new plan begins from one at a click. */
export const Briefs = memo(function Briefs({ request }: { readonly request: PlanRequest }) {
  const briefs = useLiveQuery(() => listBriefs().catch(() => []), []) ?? [];
  const [name, setName] = useState('');
  return (
    <section aria-labelledby="briefs">
      <h2 id="briefs" className="font-serif text-lg font-semibold">
        {benchBriefText.savedBriefs}
      </h2>
      <ul className="mt-1 flex max-h-40 flex-col overflow-y-auto rounded-md border border-rule bg-sheet">
        {briefs.map((brief) => (
          <li key={brief.id} className="flex items-center border-b border-rule last:border-b-0">
            <button
              type="button"
              onClick={() => void newPlan(brief.request)}
              className="min-h-9 flex-1 cursor-pointer px-3 py-1 text-left text-[0.95rem] leading-tight hover:text-dove"
            >
              <span className="sr-only">{benchBriefText.newPlanFromThe} </span>
              {brief.name}
            </button>
            <button
              type="button"
              aria-label={benchBriefText.deleteTheBrief(brief.name)}
              onClick={(event) => ifOnce(event, () => void removeBrief(brief))}
              className="cursor-pointer p-2 text-faded hover:text-madder"
            >
              <Trash2 size={17} aria-hidden />
            </button>
          </li>
        ))}
        {briefs.length === 0 && <li className="px-3 py-2 text-faded">{benchBriefText.noBriefIsSaved}</li>}
      </ul>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void saveBrief(name.trim() || requestWords(request), request, () => setName(''));
        }}
      >
        <input
          aria-label={benchBriefText.nameForThisBrief}
          className="min-w-0 flex-1 rounded-md border border-rule bg-sheet px-2"
          value={name}
          maxLength={120}
          placeholder={requestWords(request)}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="button">
          {benchBriefText.saveThisBrief}
        </button>
      </form>
    </section>
  );
});

/** A brief is the sentence; demands at single notes belong to the plan. */
async function saveBrief(name: string, request: PlanRequest, done: () => void) {
  const rules = request.rules && { ...request.rules, locks: undefined, never: undefined };
  const record = { id: crypto.randomUUID(), name, request: { ...request, rules }, createdAt: Date.now() };
  await save([{ kind: 'added', table: 'briefs', record }], done);
}

async function removeBrief(brief: BriefRecord) {
  const words = benchBriefText.briefsTheBrief(brief.name);
  await remove([{ kind: 'removed', table: 'briefs', record: brief }], benchBriefText.wasDeleted(words), words);
}
