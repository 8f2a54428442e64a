import { useLiveQuery } from 'dexie-react-hooks';
import { Download, Plus, Trash2, Upload } from 'lucide-react';
import { useRef } from 'react';
import { listPlans } from '../../store/db';
import { makeBackup, newPlan, openPlan, removePlan, restoreBackup } from './store';
import { requestWords } from './words';

function offerFile(text: string) {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `dove-path-${new Date().toISOString().slice(0, 10)}.json`;
  link.click();
  URL.revokeObjectURL(url);
}

/** All plans kept in this browser. */
export function PlanShelf({ openId }: { readonly openId: string }) {
  const plans = useLiveQuery(() => listPlans().catch(() => []), []) ?? [];
  const file = useRef<HTMLInputElement>(null);
  return (
    <section aria-labelledby="shelf">
      <div className="flex items-center justify-between">
        <h2 id="shelf" className="font-serif text-lg font-semibold">
          Kept plans
        </h2>
        <button type="button" className="button flex items-center gap-1" onClick={() => void newPlan()}>
          <Plus size={17} aria-hidden /> New plan
        </button>
      </div>
      <ul className="mt-1 flex max-h-56 flex-col overflow-y-auto rounded-md border border-rule bg-sheet">
        {plans.map((plan) => {
          const words = plan.name || requestWords(plan.request);
          const open = plan.id === openId;
          return (
            <li key={plan.id} className={`flex items-center border-b border-rule ${open ? 'bg-haze' : ''}`}>
              <button
                type="button"
                aria-current={open ? 'true' : undefined}
                onClick={() => void openPlan(plan.id)}
                className="min-h-9 flex-1 cursor-pointer px-3 py-1 text-left text-[0.95rem] leading-tight hover:text-dove"
              >
                {words}
              </button>
              <button
                type="button"
                aria-label={`Delete ${words}`}
                onClick={() => void removePlan(plan, words)}
                className="cursor-pointer p-2 text-faded hover:text-madder"
              >
                <Trash2 size={17} aria-hidden />
              </button>
            </li>
          );
        })}
        {plans.length === 0 && <li className="px-3 py-2 text-faded">Nothing is kept yet.</li>}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          className="button flex items-center gap-1"
          onClick={() => void makeBackup().then(offerFile)}
        >
          <Download size={17} aria-hidden /> Save a backup
        </button>
        <button
          type="button"
          className="button flex items-center gap-1"
          onClick={() => file.current?.click()}
        >
          <Upload size={17} aria-hidden /> Restore
        </button>
        <input
          ref={file}
          type="file"
          accept="application/json,.json"
          aria-label="Backup file to restore"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            void chosen?.text().then(restoreBackup);
            event.target.value = '';
          }}
        />
      </div>
    </section>
  );
}
