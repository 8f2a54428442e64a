import { Copy } from 'lucide-react';
import { useState } from 'react';
import { copyText } from '../../app/copying';
import type { Plan, PlanResponse } from '../../core';
import { tableOf, TABLE_HEADS } from '../../wording/table';
import type { Speech } from '../../wording/plans';
import * as benchPictureText from '../../wording/rooms/benchPicture';
import * as planTableText from '../../wording/rooms/planTable';

interface Props {
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly speech: Speech;
}

/** The plan note by note, to be read or read out, and copied into whatever takes a table. */
export function PlanTable({ response, plan, speech }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="rounded-lg border border-rule bg-sheet px-3 py-1"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-8 cursor-pointer py-1 font-semibold">{benchPictureText.thePlanAsA}</summary>
      {open && <Rows rows={tableOf(response, plan, speech)} />}
    </details>
  );
}

function Rows({ rows }: { readonly rows: readonly (readonly string[])[] }) {
  const copy = () => {
    const text = [TABLE_HEADS, ...rows].map((cells) => cells.join('\t')).join('\n');
    copyText(text, planTableText.theTableWasCopied, planTableText.markTheTableAnd);
  };
  return (
    <>
      <button type="button" className="button my-1 flex items-center gap-1" onClick={copy}>
        <Copy size={16} aria-hidden /> {planTableText.copyTheTable}
      </button>
      <div className="max-h-96 overflow-auto" tabIndex={0} role="region" aria-label={planTableText.thePlanNoteBy}>
        <table className="w-full border-collapse text-left text-[0.95rem]" data-testid="plan-table">
          <thead className="sticky top-0 bg-sheet">
            <tr className="border-b-2 border-rule">
              {TABLE_HEADS.map((words) => (
                <th key={words} scope="col" className="px-2 py-1">
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([number, ...cells]) => (
              <tr key={number} className="border-b border-rule">
                <th scope="row" className="px-2 font-normal">
                  {number}
                </th>
                {cells.map((words, at) => (
                  <td key={at} className="px-2 py-0.5">
                    {words}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
