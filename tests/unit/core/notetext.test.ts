import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { readNoteText, writeNoteText, type NoteSpec } from '../../../src/core';
import { textIssueWords } from '../../../src/wording/issues';

const pitches = (text: string, octavesUp = 0) =>
  readNoteText(text, octavesUp).notes.map((note) => ('rest' in note ? '-' : note.pitches.join('+')));

/** The first thing wrong with a text: its characters and its sentence. */
function firstIssue(text: string): [string, string] {
  const [issue] = readNoteText(text).issues;
  return [text.slice(issue.at, issue.at + issue.length), textIssueWords(issue)];
}

test('letters, signs and octaves are read, small letters too', () => {
  assert.deepEqual(pitches('A3 c#4 Bb3 b3 bb3 F##4 E♭5'), ['A3', 'C#4', 'Bb3', 'B3', 'Bb3', 'F##4', 'Eb5']);
});

test('a missing octave is the nearest to the note before, a fourth at most', () => {
  assert.deepEqual(pitches('A4 B C D E F G A'), ['A4', 'B4', 'C5', 'D5', 'E5', 'F5', 'G5', 'A5']);
  assert.deepEqual(pitches('C4 G F B E'), ['C4', 'G3', 'F3', 'B3', 'E4']);
  assert.deepEqual(pitches('C4 - B'), ['C4', '-', 'B3']);
});

test('notes together are written low to high, and a missing octave is the next one above', () => {
  assert.deepEqual(pitches('A3+E D4+F# G3+D+B+G'), ['A3+E4', 'D4+F#4', 'G3+D4+B4+G5']);
  assert.match(firstIssue('A3+E3')[1], /not above/);
});

test('lengths stay until the next one', () => {
  const beats = readNoteText('A4 B:2 C - D:1/2 E:1.5').notes.map((note) => note.beats);
  assert.deepEqual(beats, [1, 2, 2, 2, 0.5, 1.5]);
});

test('bar lines stand before the note that follows them', () => {
  const { notes } = readNoteText('A4 B | C D | | E |');
  assert.deepEqual(
    notes.map((note) => note.bar ?? false),
    [false, false, true, false, true],
  );
});

test('double bass is typed as written and kept as sounding', () => {
  assert.deepEqual(pitches('E2 A2', 1), ['E1', 'A1']);
  assert.equal(writeNoteText(readNoteText('E2 A2', 1).notes, 1), 'E2 A2');
});

test('each mistake is told at its own character, and the rest is read all the same', () => {
  assert.deepEqual(firstIssue('A4 H4')[0], 'H');
  assert.match(firstIssue('A4 H4')[1], /not a note.*A to G/);
  assert.deepEqual(firstIssue('A B C')[0], 'A');
  assert.match(firstIssue('A B C')[1], /first note needs its octave: write A4/);
  assert.deepEqual(firstIssue('A4 C#b4')[0], '#b');
  assert.deepEqual(firstIssue('A4 C4x')[0], 'x');
  assert.deepEqual(firstIssue('A4 C4:0')[0], ':0');
  assert.deepEqual(firstIssue('A4 C4:two')[0], ':two');
  assert.deepEqual(firstIssue('A4 :2')[0], ':');
  assert.deepEqual(firstIssue('A4 B4+')[0].length <= 1, true);
  assert.match(firstIssue('C2+G2+C3+G3+C4')[1], /at most 4/);
  const { notes, issues, spans } = readNoteText('A4 ? B4 !! C5');
  assert.deepEqual([notes.length, issues.length], [3, 2]);
  assert.deepEqual(spans[1], { from: 5, to: 7 });
});

const someNote: fc.Arbitrary<NoteSpec> = fc
  .record({
    names: fc.uniqueArray(fc.constantFrom('C4', 'D#4', 'Gb3', 'A4', 'B5', 'E2'), { minLength: 1, maxLength: 3 }),
    beats: fc.constantFrom(1, 2, 0.5, 1 / 3, 0.75, 4),
    bar: fc.boolean(),
    rest: fc.boolean(),
  })
  .map(({ names, beats, bar, rest }) => {
    const line = bar ? { bar: true as const } : {};
    const high = (name: string) => Number(name.at(-1)) * 7 + 'CDEFGAB'.indexOf(name[0]);
    if (rest) return { rest: true, beats, ...line };
    return { pitches: names.sort((a, b) => high(a) - high(b)), beats, ...line };
  });

test('what is written is read back the same', () => {
  fc.assert(
    fc.property(fc.array(someNote, { minLength: 1, maxLength: 30 }), fc.constantFrom(0, 1), (notes, up) => {
      const opened = notes.map((note, at) => (at === 0 ? { ...note, bar: undefined } : note));
      const { notes: back, issues } = readNoteText(writeNoteText(opened, up), up);
      assert.deepEqual(issues, []);
      assert.deepEqual(JSON.parse(JSON.stringify(back)), JSON.parse(JSON.stringify(opened)));
    }),
  );
});
