import { useEffect, useState } from 'react';
import { Download } from 'lucide-react';
import { chooseForSheet, useSheetChoices } from '../../app/paper/choices';
import { bookFrame, inOrder, openPage, saveBookNotes, stopWork, useBook, workOn } from '../../app/paper/books';
import { atDesk } from '../../app/paper/desk';
import { savePdf } from '../../app/paper/sheets';
import type { SheetChoices } from '../../drawing/sheet/sheet';
import type { BookRecord, StudentRecord } from '../../core';
import { Choices } from '../../ui/SheetChoices';
import { counted } from '../../wording/grammar';
import * as paperViewsText from '../../wording/rooms/paperViews';

interface Props {
  readonly book: BookRecord;
  readonly student: StudentRecord | undefined;
}

const OTHER_PAPER = ['hard', 'ladder', 'log', 'blank'] as const;

/** A book that was made: how far it is worked out, its pages, and one of them in true size. */
export function Made({ book, student }: Props) {
  const state = useBook();
  const choices = useSheetChoices();
  const own = state.bookId === book.id;
  const done = own ? state.done : [];
  const whole = done.length === book.pages.length;
  const order = inOrder(book, done);
  useEffect(() => {
    void workOn(book, student);
    return stopWork;
  }, [book, student]);
  const laid = useBookLaid(book, student, choices, whole ? order.map(({ id }) => id) : null, state.version);
  const [shown, setShown] = useState(1);
  const pageOf = (at: number) => laid?.marks[at + 1]?.page;
  return (
    <section
      aria-labelledby="made"
      className="flex flex-col gap-3"
      data-testid="made"
      data-whole={whole && laid !== null}
    >
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="made" className="flex-1 font-serif text-xl font-semibold">
          {book.name}
        </h2>
        <button
          type="button"
          className="button flex items-center gap-1"
          disabled={!laid}
          onClick={() => void savePdf(book.name)}
        >
          <Download size={17} aria-hidden /> {paperViewsText.saveAsPdf}
        </button>
        <button
          type="button"
          className="button flex items-center gap-1"
          disabled={!whole}
          onClick={() =>
            void saveBookNotes(
              book,
              order.map(({ id }) => id),
            )
          }
        >
          <Download size={17} aria-hidden /> {paperViewsText.musicxml}
        </button>
      </div>
      {!whole && (
        <div className="flex flex-wrap items-center gap-3" role="status">
          <progress
            className="min-w-40 flex-1"
            max={book.pages.length}
            value={done.length}
            aria-label={paperViewsText.pagesWorkedOut}
          />
          <span>
            {paperViewsText.of(
              done.length,
              counted(book.pages.length, 'page'),
              own && state.left !== null && state.working
                ? paperViewsText.aboutLeft(counted(state.left, 'second'))
                : '',
            )}
          </span>
          {own && state.working ? (
            <button type="button" className="button" onClick={stopWork}>
              {paperViewsText.cancel}
            </button>
          ) : (
            <button type="button" className="button" onClick={() => void workOn(book, student)}>
              {paperViewsText.goOn}
            </button>
          )}
        </div>
      )}
      <Choices choices={choices} onChoose={chooseForSheet} without={OTHER_PAPER} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(16rem,1fr)_minmax(0,1.15fr)]">
        <ol className="flex flex-col" aria-label={paperViewsText.pagesOfTheBook}>
          {order.map((page, at) => (
            <li
              key={page.id}
              className="flex min-h-11 flex-wrap items-center gap-x-3 border-t border-rule first:border-t-0"
            >
              <button
                type="button"
                className="min-h-10 min-w-52 flex-1 cursor-pointer text-left hover:text-dove"
                onClick={() => setShown(pageOf(at) ?? 1)}
              >
                {page.name}
                {page.warning && <span className="block text-sm text-madder">{page.warning}</span>}
              </button>
              <span className="text-sm text-faded">
                {page.shifts === 0 ? paperViewsText.noShift : counted(page.shifts, 'shift')}
                {pageOf(at) ? paperViewsText.page(pageOf(at) ?? '') : ''}
              </span>
              <button
                type="button"
                className="cursor-pointer text-dove underline"
                aria-label={paperViewsText.openOnTheBench(page.name)}
                onClick={() => void openPage(book, page.id)}
              >
                {paperViewsText.open}
              </button>
            </li>
          ))}
        </ol>
        {laid && <OnePage key={`${laid.version} ${shown}`} number={shown} of={laid.pages} onTurn={setShown} />}
      </div>
    </section>
  );
}

interface BookLaid {
  readonly version: number;
  readonly pages: number;
  readonly marks: readonly { readonly title: string; readonly page: number }[];
}

/** The book laid out, once every page is worked out; anew when a page or a choice changes. */
function useBookLaid(
  book: BookRecord,
  student: Props['student'],
  choices: SheetChoices,
  order: readonly string[] | null,
  version: number,
): BookLaid | null {
  const [laid, setLaid] = useState<(BookLaid & { readonly what: string }) | null>(null);
  const what = JSON.stringify([book.id, choices, order, version]);
  useEffect(() => {
    if (!order) return;
    let here = true;
    const frame = bookFrame(book, student, choices);
    atDesk(async (remote) => await remote.book(frame, order)).then(
      ({ pages, marks }) => here && setLaid((now) => ({ what, pages, marks, version: (now?.version ?? 0) + 1 })),
      () => undefined,
    );
    return () => {
      here = false;
    };
    // Everything that is laid out is in the text.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [what]);
  return laid?.what === what ? laid : null;
}

function OnePage({
  number,
  of,
  onTurn,
}: {
  readonly number: number;
  readonly of: number;
  readonly onTurn: (page: number) => void;
}) {
  const [svg, setSvg] = useState('');
  useEffect(() => {
    let here = true;
    atDesk(async (remote) => await remote.pageSvg(number, paperViewsText.pageOf(number, of))).then(
      (drawn) => here && setSvg(drawn),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [number, of]);
  return (
    <div className="sticky top-2 flex flex-col gap-2">
      <p className="flex items-center justify-center gap-3">
        <button type="button" className="button" disabled={number <= 1} onClick={() => onTurn(number - 1)}>
          {paperViewsText.pageBefore}
        </button>
        {paperViewsText.countOf(number, of)}
        <button type="button" className="button" disabled={number >= of} onClick={() => onTurn(number + 1)}>
          {paperViewsText.nextPage}
        </button>
      </p>
      <div className="paper-page" data-testid="paper-page" dangerouslySetInnerHTML={{ __html: svg }} />
    </div>
  );
}
