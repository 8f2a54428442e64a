import { useState } from 'react';
import {
  BOOK_KEYS,
  BOOK_MATERIALS,
  countPages,
  MOST_BOOK_PAGES,
  type BookAsk,
  type KeysAsk,
} from '../../app/paper/bookPages';
import { makeBook } from '../../app/paper/books';
import { positionsOf, type PositionNumber, instrumentRecord, type StudentRecord } from '../../core';
import { Pick, TextField } from '../../ui/fields';
import { counted, sentence } from '../../wording/grammar';
import { printedKey } from '../../wording/notes';
import { positionWords } from '../../wording/places';
import { BOOK_MATERIAL_WORDS, bookName } from '../../wording/books';
import * as paperViewsText from '../../wording/rooms/paperViews';

interface Props {
  readonly student: StudentRecord | undefined;
  readonly onMade: (id: string) => void;
}

const FIRST: KeysAsk = {
  kind: 'keys',
  keys: ['C major', 'G major', 'D major', 'A major', 'F major', 'Bb major'],
  materials: ['scale', 'arpeggio'],
  octaves: [2],
  order: 'fifths',
};

/** What is to be in a book: keys, materials and octaves, or a position learned. */
export function NewBook({ student, onMade }: Props) {
  const instrument = student?.plays.instrument ?? 'violin';
  const [ask, setAsk] = useState<BookAsk>(FIRST);
  const [name, setName] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const shown = name ?? bookName(ask, instrument);
  const count = countPages(ask);
  const make = async () => {
    setMaking(true);
    const id = await makeBook(ask, shown, student);
    setMaking(false);
    if (id) onMade(id);
  };
  return (
    <section
      aria-labelledby="new-book"
      className="flex flex-col gap-3 rounded-lg border border-rule bg-sheet px-4 py-3"
    >
      <h2 id="new-book" className="font-serif text-xl font-semibold">
        {paperViewsText.newBookANewBook(
          student ? paperViewsText.forIt(student.name || paperViewsText.thisStudent) : '',
        )}
      </h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <Pick
          label={paperViewsText.madeOf}
          value={ask.kind}
          choices={[
            ['keys', paperViewsText.keysAndMaterials],
            ['position', paperViewsText.aPositionLearned],
          ]}
          onPick={(kind) => setAsk(kind === 'keys' ? FIRST : { kind: 'position', key: 'D major', position: 3 })}
        />
        <TextField label={paperViewsText.name} value={shown} onPut={setName} />
      </div>
      {ask.kind === 'keys' ? (
        <Keys ask={ask} onPut={setAsk} />
      ) : (
        <Position ask={ask} instrument={instrument} onPut={setAsk} />
      )}
      <p className="flex flex-wrap items-center gap-3">
        <span data-testid="page-count" className="flex-1">
          {ask.kind === 'keys'
            ? paperViewsText.andTheContents(
                counted(ask.keys.length, 'key'),
                counted(ask.materials.length, 'material'),
                ask.octaves.length === 1
                  ? paperViewsText.oneNumberOfOctaves
                  : paperViewsText.numbersOfOctaves(ask.octaves.length),
                counted(count, 'page'),
              )
            : paperViewsText.upToFourPages}
          {count > MOST_BOOK_PAGES && paperViewsText.aBookHasAt(MOST_BOOK_PAGES)}
        </span>
        <button
          type="button"
          className="button min-h-11 px-4"
          disabled={making || count === 0 || count > MOST_BOOK_PAGES}
          onClick={() => void make()}
        >
          {making ? paperViewsText.itIsBeingBegun : paperViewsText.makeThisBook}
        </button>
      </p>
    </section>
  );
}

function toggled<T>(all: readonly T[], one: T, order: readonly T[]): T[] {
  const has = all.includes(one);
  return order.filter((other) => (other === one ? !has : all.includes(other)));
}

function Keys({ ask, onPut }: { readonly ask: KeysAsk; readonly onPut: (ask: KeysAsk) => void }) {
  const all = ask.keys.length === BOOK_KEYS.length;
  return (
    <>
      <fieldset>
        <legend className="text-sm text-faded">{paperViewsText.keys}</legend>
        <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-4 xl:grid-cols-6">
          {BOOK_KEYS.map((key) => (
            <Tick
              key={key}
              words={printedKey(key)}
              on={ask.keys.includes(key)}
              onFlip={() => onPut({ ...ask, keys: toggled(ask.keys, key, BOOK_KEYS) })}
            />
          ))}
        </div>
        <button
          type="button"
          className="mt-1 cursor-pointer text-sm text-dove underline"
          onClick={() => onPut({ ...ask, keys: all ? [] : [...BOOK_KEYS] })}
        >
          {all ? paperViewsText.none : paperViewsText.all24}
        </button>
      </fieldset>
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="text-sm text-faded">{paperViewsText.materials}</legend>
        {BOOK_MATERIALS.map((material) => (
          <Tick
            key={material}
            words={BOOK_MATERIAL_WORDS[material]}
            on={ask.materials.includes(material)}
            onFlip={() => onPut({ ...ask, materials: toggled(ask.materials, material, BOOK_MATERIALS) })}
          />
        ))}
      </fieldset>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <fieldset className="flex flex-wrap gap-x-5">
          <legend className="text-sm text-faded">{paperViewsText.octaves}</legend>
          {[1, 2, 3, 4].map((count) => (
            <Tick
              key={count}
              words={String(count)}
              on={ask.octaves.includes(count)}
              onFlip={() => onPut({ ...ask, octaves: toggled(ask.octaves, count, [1, 2, 3, 4]) })}
            />
          ))}
        </fieldset>
        <div className="w-48">
          <Pick
            label={paperViewsText.inOrderOf}
            value={ask.order}
            choices={[
              ['fifths', 'fifths'],
              ['difficulty', 'difficulty'],
            ]}
            onPick={(order) => onPut({ ...ask, order: order as KeysAsk['order'] })}
          />
        </div>
      </div>
    </>
  );
}

interface PositionProps {
  readonly ask: Extract<BookAsk, { kind: 'position' }>;
  readonly instrument: Parameters<typeof positionWords>[1];
  readonly onPut: (ask: BookAsk) => void;
}

function Position({ ask, instrument, onPut }: PositionProps) {
  const positions = positionsOf({ instrument: instrumentRecord(instrument) }).filter(
    (position) => position !== 'thumb',
  );
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <Pick
        label={paperViewsText.position}
        value={String(ask.position)}
        choices={positions.map((position) => [String(position), sentence(positionWords(position, instrument))])}
        onPick={(position) => onPut({ ...ask, position: Number(position) as PositionNumber })}
      />
      <Pick
        label={paperViewsText.key}
        value={ask.key}
        choices={BOOK_KEYS.map((key) => [key, printedKey(key)])}
        onPick={(key) => onPut({ ...ask, key })}
      />
    </div>
  );
}

function Tick({ words, on, onFlip }: { readonly words: string; readonly on: boolean; readonly onFlip: () => void }) {
  return (
    <label className="flex min-h-9 items-center gap-2">
      <input type="checkbox" className="size-5" checked={on} onChange={onFlip} />
      {words}
    </label>
  );
}
