import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { joinSent } from '../../../src/app/paper/sent';
import { fileName } from '../../../src/app/paper/sheets';
import { useNotice } from '../../../src/app/notices';
import { fingeringOf, plan, type BookRecord } from '../../../src/core';
import { joinLists } from '../../../src/store/join';
import { getBook, listBooks, openedPages, additions, listAll, listPlans, listStudents } from '../../../src/store/read';
import { db } from '../../../src/store/db';
import { demoStudio } from '../../../src/store/demoStudio';
import { newRecord } from '../../../src/store/records';
import { commit, takeFromTrash } from '../../../src/store/write';
import { noticeWords, unreadablePlace, unreadableWords } from '../../../src/wording/files';
import { dayInWords, onWhat, titleInWords, togetherWords } from '../../../src/wording/sheets';
import { bookName } from '../../../src/wording/books';

/* Books and plans that are sent, with a database in memory; and the words around them. */

const studio = demoStudio(1_700_000_000_000);
const [wren] = studio.students;
const [first] = studio.plans;
const request = first.request;

const book = (id: string, part: Partial<BookRecord> = {}): BookRecord => ({
  ...{ id, studentId: wren.id, name: `Book ${id}`, createdAt: 1, changedAt: Number(id.slice(1)) },
  ask: { kind: 'position', key: 'D major', position: 3 },
  pages: [
    { id: `${id}-p1`, name: 'One', request },
    { id: `${id}-p2`, name: 'Two', request },
  ],
  ...part,
});

beforeEach(async () => {
  await db.delete();
  await db.open();
  await commit(additions(studio));
});

test('books are listed by student, the last changed first, and a damaged one hides nothing', async () => {
  await commit([
    { kind: 'added', table: 'books', record: book('b1') },
    { kind: 'added', table: 'books', record: book('b2') },
    { kind: 'added', table: 'books', record: book('b3', { studentId: '' }) },
  ]);
  await db.books.put({ id: 'b9', studentId: wren.id, name: 'torn' } as never);
  assert.deepEqual(
    (await listBooks(wren.id)).map(({ id }) => id),
    ['b2', 'b1'],
  );
  assert.deepEqual(
    (await listBooks('')).map(({ id }) => id),
    ['b3'],
  );
  assert.equal((await listBooks()).length, 3);
  assert.equal((await getBook('b1'))?.name, 'Book b1');
  assert.equal(await getBook('b9'), undefined);
  assert.equal(await getBook('none'), undefined);
});

test('a deleted book lies in the bin and comes back', async () => {
  await commit([{ kind: 'added', table: 'books', record: book('b1') }]);
  const outcome = await commit([{ kind: 'removed', table: 'books', record: book('b1') }], 'Book b1');
  assert.ok(outcome.kind === 'written' && outcome.bin);
  assert.deepEqual(await listBooks(wren.id), []);
  await takeFromTrash(outcome.bin);
  assert.deepEqual(
    (await listBooks(wren.id)).map(({ name }) => name),
    ['Book b1'],
  );
});

test('a page that was opened is the plan of its own id, with the fingering that was chosen there', async () => {
  const own = book('b1');
  assert.equal((await openedPages(own)).size, 0);
  const [best] = plan({ ...request, alternatives: 1 }).plans;
  const record = newRecord(request, 5, { id: 'b1-p2', choice: { kind: 'best', fingering: fingeringOf(best) } });
  await commit([{ kind: 'added', table: 'plans', record }]);
  const opened = await openedPages(own);
  assert.deepEqual([...opened.keys()], ['b1-p2']);
  assert.deepEqual(opened.get('b1-p2'), record);
});

test('books of a backup are put to those that are here, and overwrite none', async () => {
  await commit([{ kind: 'added', table: 'books', record: book('b1', { name: 'As it is here' }) }]);
  const joined = async (books: readonly BookRecord[]) => (await joinLists({ books })).added.books;
  assert.equal(await joined([book('b1'), book('b2')]), 1);
  assert.equal(await joined([book('b1'), book('b2')]), 0);
  assert.equal(await joined([]), 0);
  assert.deepEqual((await listBooks()).map(({ name }) => name).sort(), ['As it is here', 'Book b2']);
});

const sent = (part: object = {}) =>
  JSON.stringify({
    format: 'dove-path-plan',
    version: 1,
    savedAt: '',
    plan: { ...first, id: 'sent-1', name: 'Sent', studentId: null },
    ...part,
  });

test('a plan that is sent comes in once, and its student with it where they were sent too', async () => {
  const before = (await listPlans()).length;
  assert.equal(await joinSent(sent()), null);
  assert.match(useNotice.getState().notice?.message ?? '', /“Sent” is here now\.$/);
  assert.equal(await joinSent(sent()), null);
  assert.match(useNotice.getState().notice?.message ?? '', /is here already/);
  assert.equal((await listPlans()).length, before + 1);

  const stranger = { ...wren, id: 'stranger', name: 'Linnet' };
  const whole = sent({ plan: { ...first, id: 'sent-2', name: 'Hers', studentId: 'stranger' }, student: stranger });
  assert.equal(await joinSent(whole), null);
  assert.match(useNotice.getState().notice?.message ?? '', /with Linnet/);
  assert.ok((await listStudents()).some(({ name }) => name === 'Linnet'));
  assert.equal((await listPlans()).find(({ id }) => id === 'sent-2')?.studentId, 'stranger');
});

test('a plan of the same id with other notes comes in as a copy, and what is here stays', async () => {
  const other = { ...first, name: 'Other words', studentId: null };
  assert.equal(await joinSent(sent({ plan: other })), null);
  const all = await listPlans();
  assert.deepEqual(
    all.find(({ id }) => id === first.id),
    first,
  );
  assert.ok(all.some(({ name }) => name.startsWith('Other words')));
});

test('a sent file that cannot be used says why, and changes nothing', async () => {
  const before = JSON.stringify(await listAll());
  for (const [file, words] of [
    [sent({ version: 2 }), /later version of Dove Path \(2;/],
    [sent({ version: undefined }), /later version/],
    [sent({ plan: undefined }), /is damaged/],
    [sent({ plan: { ...first, request: { instrument: 'lute' } } }), /is damaged: \/request/],
    [sent({ student: { id: 'x' } }), /student in this file is damaged/],
  ] as const)
    assert.match((await joinSent(file)) ?? '', words);
  assert.equal(JSON.stringify(await listAll()), before);
});

test('what was left out of a file is counted in a sentence', () => {
  const words = (code: string, data = {}) => noticeWords({ code, data });
  assert.equal(words('lyrics', { count: 2 }), 'Left out: 2 syllables of text.');
  assert.equal(words('fermata', { count: 1 }), 'Left out: 1 fermata.');
  assert.equal(words('overlaps', { count: 1 }), '1 note that overlapped the next in its voice, cut there.');
  assert.equal(words('quarter-tones', { count: 3 }), '3 quarter tones, taken to the nearest semitone.');
  assert.equal(words('other-voices', { count: 1, voices: ['2'] }), 'Left out: 1 other voice of this part ("2").');
  assert.equal(words('chords-cut', { count: 1, most: 4 }), '1 chord with more than 4 notes: the highest were kept.');
  assert.match(words('repeats', { count: 4 }), /not played out/);
  assert.match(words('a-new-one', { count: 1 }), /^Left out: 1 sign\.$/);
  assert.equal(unreadablePlace({ path: '' }), '');
  assert.equal(unreadablePlace({ path: '/part/P2' }), 'Part P2: ');
  assert.equal(unreadableWords({ code: 'a-new-one', data: {} }), 'This file cannot be read.');
});

test('paper is named in words that are found again', () => {
  assert.equal(titleInWords('E♭ major and F♯ minor'), 'E flat major and F sharp minor');
  assert.equal(dayInWords(new Date(2026, 10, 26)), '26 November 2026');
  assert.equal(onWhat({ instrument: 'violin', size: '1/2', material: request.material }, 'Pip'), 'Pip, ½ violin');
  assert.equal(onWhat({ instrument: 'bass', material: request.material }), 'Double bass');
  assert.equal(fileName('Wren: E♭ major, two octaves'), 'wren-e-flat-major-two-octaves');
  assert.equal(fileName('///'), 'dove-path');
  assert.equal(bookName({ kind: 'position', position: 3 }, 'violin'), '3rd position on the violin');
  assert.equal(bookName({ kind: 'keys', keys: ['C major'], materials: ['scale'] }, 'viola'), 'Scales in 1 key, viola');
  const response = plan({ ...request, alternatives: 1 });
  assert.equal(togetherWords([], response), '');
  assert.match(
    togetherWords([{ at: 5, who: ['Violins', 'Cellos'] }], response),
    /^Shifts at the same moment.* 1: bar 2, beat 2, violins and cellos\.$/,
  );
});
