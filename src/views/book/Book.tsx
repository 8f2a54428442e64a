import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { usePlayer } from '../../app/practice/player';
import { listBooks } from '../../store/read';
import type { BookRecord } from '../../core';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { PlayerPick } from '../../ui/PlayerPick';
import { Section } from '../../ui/Section';
import { counted } from '../../wording/grammar';
import { removeBook } from '../../app/paper/books';
import { Made } from './Made';
import { NewBook } from './NewBook';
import * as paperViewsText from '../../wording/rooms/paperViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** Books: many plans in order, made, printed and kept. */
function Book() {
  const player = usePlayer();
  const { student } = player;
  const books = useLiveQuery(() => listBooks(student?.id ?? '').catch(() => []), [student?.id]);
  const [openId, setOpenId] = useState(() => new URLSearchParams(location.search).get('book'));
  const open = books?.find(({ id }) => id === openId);
  const show = (id: string | null) => {
    setOpenId(id);
    const query = new URLSearchParams({ ...(student ? { student: student.id } : {}), ...(id ? { book: id } : {}) });
    history.replaceState(null, '', `${location.pathname}?${query}`);
  };
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/book" student={student?.id} />
      <NoticeBar />
      <main id="main" tabIndex={-1} data-ready={player.ready && books !== undefined} className="flex flex-col gap-4">
        <PlayerPick heading={paperViewsText.book} player={player} />
        {books && player.ready && (
          <Section name={paperViewsText.theBook} on={[openId]}>
            <div
              className={`grid items-start gap-5 ${open ? 'lg:grid-cols-[13rem_minmax(0,1fr)]' : 'lg:grid-cols-[20rem_minmax(0,1fr)]'}`}
            >
              <Shelf books={books} open={openId} onOpen={show} />
              {open ? (
                <Made key={open.id} book={open} student={student} />
              ) : (
                <NewBook key={student?.id ?? ''} student={student} onMade={show} />
              )}
            </div>
          </Section>
        )}
      </main>
    </div>
  );
}

interface ShelfProps {
  readonly books: readonly BookRecord[];
  readonly open: string | null;
  readonly onOpen: (id: string | null) => void;
}

function Shelf({ books, open, onOpen }: ShelfProps) {
  return (
    <section aria-labelledby="shelf" className="flex flex-col gap-2">
      <h2 id="shelf" className="font-serif text-lg font-semibold">
        {books.length === 0 ? paperViewsText.noBookYet : counted(books.length, 'book')}
      </h2>
      <ul className="flex flex-col gap-2">
        {books.map((book) => (
          <li
            key={book.id}
            className={`flex items-center rounded-md border-2 bg-sheet pl-3 ${book.id === open ? 'border-dove' : 'border-rule'}`}
          >
            <button
              type="button"
              aria-pressed={book.id === open}
              className="min-h-11 flex-1 cursor-pointer text-left"
              onClick={() => onOpen(book.id)}
            >
              {book.name} <span className="text-sm text-faded">{counted(book.pages.length, 'page')}</span>
            </button>
            <button
              type="button"
              className="min-h-11 cursor-pointer px-3 text-sm text-dove underline"
              aria-label={paperViewsText.deleteIt(book.name)}
              onClick={() => void removeBook(book)}
            >
              {paperViewsText.deleteWord}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="button self-start" onClick={() => onOpen(null)}>
        {paperViewsText.aNewBook}
      </button>
    </section>
  );
}

export default view(sharedText.viewNames.Book, Book);
