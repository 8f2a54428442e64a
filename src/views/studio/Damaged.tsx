import { useSyncExternalStore } from 'react';
import { offerFile } from '../../app/files';
import { save } from '../../app/writes';
import { dropAside, listAside, onAside, type Aside } from '../../store/drafts';
import type { Damaged } from '../../store/read';
import { TABLES } from '../../store/tables';
import { issueWords } from '../../wording/issues';
import { useDamagedElsewhere } from '../../app/rows';
import * as studioViewsText from '../../wording/rooms/studioViews';

/** Entries that cannot be read any more, apart from the others: each can be saved as it is, or deleted. */
export function DamagedList({ damaged: inStudio }: { readonly damaged: readonly Damaged[] }) {
  const damaged = [...inStudio, ...useDamagedElsewhere()];
  const asides = useSyncExternalStore(onAside, listAside);
  if (damaged.length + asides.length === 0) return null;
  return (
    <section aria-labelledby="damaged" className="rounded-lg border-l-4 border-madder bg-sheet px-4 py-3">
      <h2 id="damaged" className="font-serif text-xl font-semibold text-madder">
        {studioViewsText.damagedEntries}
      </h2>
      <p>{studioViewsText.theseCannotBeRead}</p>
      <ul className="mt-2 flex flex-col gap-2">
        {damaged.map((one) => (
          <DamagedRow key={`${one.table}/${String(one.key)}`} damaged={one} />
        ))}
        {asides.map((aside) => (
          <AsideRow key={aside.key} aside={aside} onDrop={() => dropAside(aside)} />
        ))}
      </ul>
    </section>
  );
}

/** An edit of a page that went, which no page could write. */
function AsideRow({ aside, onDrop }: { readonly aside: Aside; readonly onDrop: () => void }) {
  return (
    <li className="flex flex-wrap items-center gap-2">
      <span className="min-w-48 flex-1">{studioViewsText.anEditThatCouldNot}</span>
      <button type="button" className="button" onClick={() => offerFile(aside.text, 'dove-path-edit.json')}>
        {studioViewsText.saveAsFile}
      </button>
      <button type="button" className="button" onClick={onDrop}>
        {studioViewsText.deleteIt}
      </button>
    </li>
  );
}

function DamagedRow({ damaged }: { readonly damaged: Damaged }) {
  const { table, key, row } = damaged;
  const words = nameOf(damaged);
  return (
    <li className="flex flex-wrap items-center gap-2">
      <span className="min-w-48 flex-1">
        <strong>{words}</strong>: {faultOf(damaged)}
      </span>
      <button
        type="button"
        className="button"
        onClick={() => offerFile(JSON.stringify({ table, row }, null, 2), `dove-path-damaged-${String(key)}.json`)}
      >
        {studioViewsText.saveAsFile}
      </button>
      <button type="button" className="button" onClick={() => void deleteRow(damaged, words)}>
        {studioViewsText.deleteIt}
      </button>
    </li>
  );
}

/** It goes to the bin like all that is deleted, and comes back from there as it was. */
function deleteRow({ table, key, row }: Damaged, words: string) {
  return save(
    [{ kind: 'removed', table, record: { ...(row as object), id: key } } as Parameters<typeof save>[0][number]],
    undefined,
    words,
  );
}

function nameOf({ table, row }: Damaged): string {
  const { name } = (row ?? {}) as { name?: unknown };
  const { head } = TABLES[table].words;
  return typeof name === 'string' && name !== '' ? `${head}, “${name.slice(0, 60)}”` : head;
}

/** What is wrong, as something that is found, not asked for. */
function faultOf({ issue }: Damaged): string {
  const place = issue.path.slice(1).replaceAll('/', ', ');
  if (issue.code === 'missing') return studioViewsText.isMissing(place);
  return place ? studioViewsText.cannotBeUsed(place, issueWords(issue)) : issueWords(issue);
}
