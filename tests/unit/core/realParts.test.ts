import assert from 'node:assert/strict';
import test from 'node:test';
import { plan, placesIn, type NoteSpec, type PlanRequest } from '../../../src/core';
import { writeAs } from '../../../src/work/exports';
import { made, readBack, xmlNote, xmlOpening, xmlScore } from '../../support/files';
import { quarter } from '../../support/scores';

/* Parts as they are printed: their bar numbers, accents, dots and double bars. */

const articulated = (what: string) => `<notations><articulations><${what}/></articulations></notations>`;
const mark = (what: string) => `<direction><direction-type><${what}/></direction-type></direction>`;
const measure = (...notes: string[]) => notes.join('');

const SCORE = xmlScore([
  {
    name: 'Violoncello',
    measures: [
      xmlOpening(1) +
        mark('wedge type="crescendo"') +
        measure(quarter('D', 3), quarter('E', 3), quarter('F', 3), quarter('G', 3)),
      measure(
        quarter('A', 3, articulated('accent')),
        quarter('G', 3, articulated('staccato')),
        quarter('F', 3),
        quarter('E', 3, articulated('tenuto')),
        '<barline location="right"><bar-style>light-light</bar-style></barline>',
      ),
      measure(quarter('D', 3), quarter('F', 3), quarter('A', 3), xmlNote({ step: 'D', octave: 4, duration: 1 })),
      measure(mark('wedge type="stop"'), quarter('A', 3), quarter('F', 3), quarter('D', 3), quarter('D', 3)),
    ],
  },
]);

const notes = ({ material }: PlanRequest): readonly NoteSpec[] => (material.type === 'notes' ? material.notes : []);

test('accents, dots and double bars are read, and bars keep their printed numbers', () => {
  const { request, notices } = readBack(SCORE, { bars: ['2', '3'] });
  assert.deepEqual(
    notes(request).map((note) => ['accent' in note, 'short' in note, 'doubleBar' in note]),
    [
      [true, false, false],
      [false, true, false],
      ...Array(2).fill([false, false, false]),
      [false, false, true],
      ...Array(3).fill([false, false, false]),
    ],
  );
  const response = plan({ ...request, alternatives: 1 });
  const place = placesIn(response);
  assert.deepEqual(
    [place(0), place(5)],
    [
      { bar: 2, beat: 1 },
      { bar: 3, beat: 2 },
    ],
  );
  assert.deepEqual(
    response.events.flatMap((event) => ('phrase' in event ? [[event.at, event.phrase]] : [])),
    [[4, 'double-bar']],
  );
  assert.deepEqual(
    notices.map(({ code, data }) => [code, data]),
    [['articulations', { count: 1 }]],
    'the hairpins lie in other bars',
  );
});

test('a cello part is read for the double bass an octave lower', () => {
  const { request } = readBack(SCORE, { instrument: 'bass', octave: -1 });
  const [first] = notes(request);
  assert.deepEqual('pitches' in first && first.pitches, ['D2']);
  assert.equal(request.instrument, 'bass');
});

test('accents, dots, double bars and printed numbers come back out of our own file', () => {
  const { request } = readBack(SCORE, { bars: ['2', '4'] });
  const planned = made(request) ?? assert.fail('no plan');
  const again = readBack(writeAs('musicxml', planned)).request;
  const marks = (one: PlanRequest) =>
    notes(one).map((note) => ['accent' in note, 'short' in note, 'doubleBar' in note]);
  assert.deepEqual(marks(again), marks(request));
  assert.equal(again.material.firstBar, 2);
});
