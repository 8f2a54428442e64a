import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import { BOOK_KEYS, BOOK_MATERIALS } from '../../app/paper/bookPages';
import { chooseForSheet, useSheetChoices } from '../../app/paper/choices';
import { FIRST_CLASS, type ClassChoice } from '../../app/paper/classes';
import { layClass, saveClassNotes, type ClassLaid } from '../../app/paper/classPage';
import { savePdf, useLaid } from '../../app/paper/sheets';
import { INSTRUMENT_NAMES, type InstrumentName, type PositionRule } from '../../core';
import { Caution } from '../../ui/Caution';
import { Pick, TextField } from '../../ui/fields';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { PaperPages } from '../../ui/PaperPages';
import { Section } from '../../ui/Section';
import { Choices } from '../../ui/SheetChoices';
import { BOOK_MATERIAL_WORDS } from '../../wording/books';
import { positionChoices } from '../../wording/brief';
import { sentence } from '../../wording/grammar';
import { instrumentWords } from '../../wording/instruments';
import { printedKey } from '../../wording/notes';
import * as paperViewsText from '../../wording/rooms/paperViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

const OTHER_PAPER = ['patterns', 'hard', 'ladder', 'log', 'blank'] as const;

/** A page for a class: one scale for all instruments together, score and parts. */
function ClassPage() {
  const [choice, setChoice] = useState<ClassChoice>(FIRST_CLASS);
  const choices = useSheetChoices();
  const put = (part: Partial<ClassChoice>) => setChoice((now) => ({ ...now, ...part }));
  const { kind, laid } = useLaid<ClassLaid>(JSON.stringify([choice, choices]), () => layClass(choice, choices));
  const empty = !laid || laid.svgs.length === 0;
  const title = laid?.title ?? '';
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/class" />
      <NoticeBar />
      <main id="main" tabIndex={-1} data-ready={kind !== 'laying'} className="flex flex-col gap-4">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="flex-1 font-serif text-2xl font-bold">{paperViewsText.aPageForA}</h1>
          <button type="button" className="button flex items-center gap-1" disabled={empty} onClick={() => print()}>
            <Printer size={17} aria-hidden /> {paperViewsText.print}
          </button>
          <button
            type="button"
            className="button flex items-center gap-1"
            disabled={empty || kind !== 'laid'}
            onClick={() => void savePdf(title)}
          >
            <Download size={17} aria-hidden /> {paperViewsText.saveAsPdf}
          </button>
          <button
            type="button"
            className="button flex items-center gap-1"
            disabled={empty}
            onClick={() => void saveClassNotes(title)}
          >
            <Download size={17} aria-hidden /> {paperViewsText.musicxml}
          </button>
        </div>
        <Section name={paperViewsText.thePageForA} on={[choice]}>
          <div className="grid items-start gap-5 xl:grid-cols-[22rem_minmax(0,1fr)]">
            <div className="flex flex-col gap-3">
              <What choice={choice} onPut={put} />
              <Who choice={choice} onPut={put} />
              {(laid?.troubles ?? []).map((words) => (
                <p key={words} role="alert" className="border-l-4 border-madder bg-sheet px-3 py-2">
                  {words}
                </p>
              ))}
              <Caution />
            </div>
            <div className="flex min-w-0 flex-col gap-3">
              <Choices choices={choices} onChoose={chooseForSheet} without={OTHER_PAPER} />
              {laid && !empty && <PaperPages laid={laid} old={kind === 'laying'} />}
            </div>
          </div>
        </Section>
      </main>
    </div>
  );
}

interface PartProps {
  readonly choice: ClassChoice;
  readonly onPut: (part: Partial<ClassChoice>) => void;
}

function What({ choice, onPut }: PartProps) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <Pick
        label={paperViewsText.playedTogether}
        value={choice.material}
        choices={[
          ...BOOK_MATERIALS.map((name) => [name, BOOK_MATERIAL_WORDS[name]] as const),
          ['notes', paperViewsText.typedNotes],
        ]}
        onPick={(material) => onPut({ material: material as ClassChoice['material'] })}
      />
      <Pick
        label={paperViewsText.key}
        value={choice.key}
        choices={BOOK_KEYS.map((key) => [key, printedKey(key)])}
        onPick={(key) => onPut({ key })}
      />
      {choice.material === 'notes' ? (
        <div className="col-span-2">
          <TextField label={paperViewsText.notesAsTheyAre} value={choice.typed} onPut={(typed) => onPut({ typed })} />
        </div>
      ) : (
        <>
          <Pick
            label={paperViewsText.octaves}
            value={String(choice.octaves)}
            choices={[1, 2, 3].map((n) => [String(n), String(n)])}
            onPick={(n) => onPut({ octaves: Number(n) })}
          />
          <Pick
            label={paperViewsText.notesToABow}
            value={String(choice.notesPerBow)}
            choices={[1, 2, 3, 4, 8].map((n) => [String(n), String(n)])}
            onPick={(n) => onPut({ notesPerBow: Number(n) })}
          />
        </>
      )}
      <Pick
        label={paperViewsText.onThePaper}
        value={choice.shows}
        choices={[
          ['score', paperViewsText.theScore],
          ['parts', paperViewsText.theParts],
          ['both', paperViewsText.scoreAndParts],
        ]}
        onPick={(shows) => onPut({ shows: shows as ClassChoice['shows'] })}
      />
    </div>
  );
}

function Who({ choice, onPut }: PartProps) {
  const has = (instrument: InstrumentName) => choice.instruments.includes(instrument);
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="text-sm text-faded">{paperViewsText.whoPlaysAndWhere}</legend>
      {INSTRUMENT_NAMES.map((instrument) => (
        <div key={instrument} className="flex flex-wrap items-end gap-3">
          <label className="flex min-h-10 w-28 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={has(instrument)}
              onChange={() =>
                onPut({ instruments: INSTRUMENT_NAMES.filter((one) => (one === instrument ? !has(one) : has(one))) })
              }
            />
            {sentence(instrumentWords(instrument))}
          </label>
          {has(instrument) && (
            <div className="min-w-40 flex-1">
              <Pick
                label={paperViewsText.positions(instrument)}
                value={JSON.stringify(choice.positions[instrument] ?? null)}
                choices={positionChoices(instrument)}
                onPick={(rule) =>
                  onPut({ positions: { ...choice.positions, [instrument]: JSON.parse(rule) as PositionRule | null } })
                }
              />
            </div>
          )}
        </div>
      ))}
    </fieldset>
  );
}

export default view(sharedText.viewNames.ClassPage, ClassPage);
