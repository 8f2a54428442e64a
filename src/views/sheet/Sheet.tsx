import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import { useMeaning, type Meaning } from '../../app/meaning';
import { chooseForSheet, useSheetChoices } from '../../app/paper/choices';
import { markPrinted, savePdf, useOtherPlans, useSheet, useSheetLines, writeLines } from '../../app/paper/sheets';
import { TextField } from '../../ui/fields';
import { MeaningPage } from '../../ui/MeaningPage';
import { PaperPages } from '../../ui/PaperPages';
import { PracticeUndo } from '../../ui/PracticeUndo';
import { planTitle } from '../../wording/material';
import { Choices } from '../../ui/SheetChoices';
import * as paperViewsText from '../../wording/rooms/paperViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** The sheet of a plan: what is printed, handed out and kept in a folder. */
function Sheet() {
  return (
    <MeaningPage here="/sheet" heading={paperViewsText.sheet} state={useMeaning()}>
      {(meaning) => <OnPaper key={meaning.record.id} meaning={meaning} />}
    </MeaningPage>
  );
}

function OnPaper({ meaning }: { readonly meaning: Meaning }) {
  const { record, student } = meaning;
  const choices = useSheetChoices();
  const lines = useSheetLines(record);
  const others = useOtherPlans(record);
  const [also, setAlso] = useState<readonly string[]>([]);
  const state = useSheet(
    meaning,
    others.filter(({ id }) => also.includes(id)),
    lines,
    choices,
  );
  const { laid } = state;
  const title = planTitle(record, student);
  const remember = () => void markPrinted(record).catch(() => undefined);
  const printNow = () => {
    print();
    remember();
  };
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <Choices choices={choices} onChoose={chooseForSheet} />
        <span className="flex-1" />
        <PracticeUndo />
        <button type="button" className="button flex items-center gap-1" disabled={!laid} onClick={printNow}>
          <Printer size={17} aria-hidden /> {paperViewsText.print}
        </button>
        <button
          type="button"
          className="button flex items-center gap-1"
          disabled={state.kind !== 'laid'}
          onClick={() => void savePdf(title).then(remember)}
        >
          <Download size={17} aria-hidden /> {paperViewsText.saveAsPdf}
        </button>
      </div>
      <div className="grid items-start gap-5 xl:grid-cols-[20rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <TextField
            label={paperViewsText.goalInOneLine}
            value={lines.goal}
            onPut={(goal) => void writeLines(record, { ...lines, goal })}
          />
          <TextField
            label={paperViewsText.oneOrTwoReminders}
            value={lines.reminders}
            onPut={(reminders) => void writeLines(record, { ...lines, reminders })}
          />
          {others.length > 0 && (
            <fieldset>
              <legend className="text-sm text-faded">{paperViewsText.alsoOnThisSheet}</legend>
              {others.slice(0, 12).map((plan) => (
                <label key={plan.id} className="flex min-h-9 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={also.includes(plan.id)}
                    onChange={(event) =>
                      setAlso(event.target.checked ? [...also, plan.id] : also.filter((id) => id !== plan.id))
                    }
                  />
                  {planTitle(plan)}
                </label>
              ))}
            </fieldset>
          )}
          <p className="text-sm text-faded" role="status" data-testid="laid" data-state={state.kind}>
            {laid
              ? paperViewsText.inTrueSizeWhere(
                  laid.svgs.length === 1 ? paperViewsText.onePage : paperViewsText.pages(laid.svgs.length),
                )
              : paperViewsText.theSheetIsBeing}
          </p>
        </div>
        {state.kind === 'failed' ? (
          <p role="alert" className="border-l-4 border-madder bg-sheet px-3 py-2">
            {paperViewsText.theSheetCouldNot}
          </p>
        ) : (
          laid && <PaperPages laid={laid} old={state.kind === 'laying'} />
        )}
      </div>
    </>
  );
}

export default view(sharedText.viewNames.Sheet, Sheet);
