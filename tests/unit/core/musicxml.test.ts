import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, type Plan } from '../../../src/core';
import { withBows } from '../../../src/core/material/bows';
import { buildMusic } from '../../../src/core/material/build';
import { openFile, packMxl } from '../../../src/core/formats';
import { writeAs } from '../../../src/work/exports';
import { made, notesIn, pieceOf, readBack, xmlOpening, xmlScore } from '../../support/files';
import { quarter, VARIANTS } from '../../support/scores';
import { someRequest } from '../requests';
import { runs } from '../../support/runs';

const xmlOf = (one: NonNullable<ReturnType<typeof made>>) => new TextDecoder().decode(writeAs('musicxml', one));

/** Strings, fingers and stops note by note: a rest over a bar line is read as two. */
const held = ({ steps }: Plan) =>
  steps.map(({ stops }) => stops.map(({ string, finger, semitones }) => `${string}.${finger}.${semitones}`).join('+'));

test('a plan written and read again with its fingers is the same fingering', () => {
  let seen = 0;
  fc.assert(
    fc.property(someRequest, (request) => {
      const one = made(request);
      if (!one) return;
      const { request: read, written } = readBack(xmlOf(one), { instrument: request.instrument });
      const again = plan({
        ...request,
        material: read.material,
        rules: { locks: [...written] },
        alternatives: 1,
        explain: 'nothing',
      });
      assert.ok(again.plans[0], JSON.stringify(request));
      assert.deepEqual(held(again.plans[0]), held(one.plan), JSON.stringify(request));
      seen++;
    }),
    runs(120),
  );
  assert.ok(seen > 60, String(seen));
});

test('notes, lengths, slurs, bows and the key come back as they were', () => {
  const one = made({
    instrument: 'viola',
    tempo: { bpm: 88 },
    material: {
      type: 'scale',
      tonic: 'Eb3',
      scale: 'major',
      octaves: 2,
      direction: 'updown',
      notesPerBow: 3,
      time: '3/4',
    },
  });
  assert.ok(one);
  const { request } = readBack(xmlOf(one));
  const { material } = request;
  assert.ok(material.type === 'notes');
  assert.deepEqual(
    [request.instrument, request.tempo, material.key, material.time],
    ['viola', { bpm: 88 }, 'Eb major', '3/4'],
  );
  const bowed = withBows(
    buildMusic({ ...one.request.material, notesPerBow: undefined } as typeof one.request.material).events,
    3,
  );
  assert.deepEqual(
    material.notes.map((note) => 'slur' in note && note.slur === true),
    bowed.map((event) => event.kind === 'sounding' && event.slur === true),
  );
  assert.equal('bow' in material.notes[0] && material.notes[0].bow, 'down');
});

test('random notes with dots, tuplets and ties over bars come back exactly', () => {
  const lengths = fc.constantFrom('1/3', '2/3', 0.5, 1, 1.5, 2, 3.5, 0.25, '1/5', '1/7', 5);
  const notes = fc.array(fc.tuple(fc.constantFrom('A3', 'C#4', 'E4', 'Bb4'), lengths), { minLength: 1, maxLength: 24 });
  fc.assert(
    fc.property(
      notes,
      fc.constantFrom('4/4', '3/4', '6/8', '2/2'),
      fc.integer({ min: 0, max: 2 }),
      (list, time, pickup) => {
        const one = made({
          instrument: 'violin',
          material: { type: 'notes', time, pickup, notes: list.map(([name, beats]) => ({ pitches: [name], beats })) },
        });
        assert.ok(one);
        const back = notesIn(readBack(xmlOf(one)).request);
        // What lies behind the last note of a short first bar is no rest that was written.
        assert.deepEqual(back.slice(0, list.length), notesIn(one.request));
      },
    ),
    runs(80),
  );
});

test('a packed file has the same in it, and the same plan gives the same file', () => {
  const one = made({
    instrument: 'cello',
    material: { type: 'arpeggio', tonic: 'C2', chord: 'major', octaves: 3, direction: 'up' },
  });
  assert.ok(one);
  const packed = writeAs('mxl', one);
  assert.deepEqual(readBack(packed), readBack(xmlOf(one)));
  assert.deepEqual(packed, packMxl(xmlOf(one)));
});

test('the bass is written an octave up and read as it sounds', () => {
  const one = made({
    instrument: 'bass',
    material: { type: 'scale', tonic: 'F1', scale: 'major', octaves: 1, direction: 'up' },
  });
  assert.ok(one);
  const xml = xmlOf(one);
  assert.match(xml, /<octave-change>-1<\/octave-change>/);
  assert.match(xml, /<step>F<\/step><octave>2<\/octave>/);
  assert.deepEqual(notesIn(readBack(xml).request)[0], ['F1', 1]);
});

for (const [name, file, notes, left] of VARIANTS)
  test(`a file as others write it: ${name}`, () => {
    const { request, notices } = readBack(file);
    assert.deepEqual(
      notesIn(request),
      notes.map(([pitches, quarters]) => [pitches, Math.round(quarters * 5040) / 5040]),
    );
    assert.deepEqual([...new Set(notices.map(({ code }) => code))].sort(), [...left].sort());
  });

test('the same score by measures is read like that by parts', () => {
  const byParts = xmlScore([
    { name: 'Violin', measures: [`${xmlOpening(1)}${quarter('A')}`, quarter('B')] },
    { name: 'Cello', measures: [`${xmlOpening(1)}${quarter('C', 3)}`, quarter('D', 3)] },
  ]);
  const byMeasures = `<score-timewise><part-list><score-part id="P1"><part-name>Violin</part-name></score-part><score-part id="P2"><part-name>Cello</part-name></score-part></part-list>
    <measure number="1"><part id="P1">${xmlOpening(1)}${quarter('A')}</part><part id="P2">${xmlOpening(1)}${quarter('C', 3)}</part></measure>
    <measure number="2"><part id="P1">${quarter('B')}</part><part id="P2">${quarter('D', 3)}</part></measure></score-timewise>`;
  for (const part of ['1', '2']) assert.deepEqual(readBack(byMeasures, { part }), readBack(byParts, { part }));
});

test('parts are found by number, by name and by what they are; bars by their printed numbers', () => {
  const score = xmlScore([
    { name: 'Flute', measures: [`${xmlOpening(1)}${quarter('A', 5)}`] },
    { name: 'Viola', measures: [`${xmlOpening(1)}${quarter('C')}${quarter('D')}`, quarter('E'), quarter('F')] },
  ]);
  assert.deepEqual(
    pieceOf(score).parts.map(({ instrument }) => instrument),
    [null, 'viola'],
  );
  assert.equal(readBack(score).request.instrument, 'viola', 'the first bowed string');
  assert.deepEqual(notesIn(readBack(score, { part: '1' }).request), [['A5', 1]]);
  assert.deepEqual(notesIn(readBack(score, { part: 'viol', bars: ['2', '3'] }).request), [
    ['E4', 1],
    ['F4', 1],
  ]);
});

test('a pick-up, irregular bars and changes of time are kept', () => {
  const pick = xmlScore([
    { name: 'Violin', measures: [`${xmlOpening(1, 3, 4)}${quarter('A')}`, quarter('B') + quarter('C') + quarter('D')] },
  ]);
  const { material } = readBack(pick).request;
  assert.deepEqual([material.type === 'notes' && material.pickup, material.time], [1, '3/4']);
  const changed = xmlScore([
    {
      name: 'Violin',
      measures: [
        `${xmlOpening(1, 2, 4)}${quarter('A')}${quarter('B')}`,
        `<attributes><time><beats>3</beats><beat-type>4</beat-type></time><key><fifths>2</fifths></key></attributes>${quarter('C')}${quarter('D')}${quarter('E')}`,
      ],
    },
  ]);
  const other = readBack(changed).request.material;
  assert.deepEqual(other.type === 'notes' && other.changes, [{ at: 2, key: 'D major', time: '3/4' }]);
  const odd = xmlScore([
    { name: 'Violin', measures: [`${xmlOpening(1)}${quarter('A')}${quarter('B')}`, quarter('C'), quarter('D')] },
  ]);
  const irregular = readBack(odd).request.material;
  assert.deepEqual(irregular.type === 'notes' && irregular.notes.map(({ bar }) => bar === true), [
    false,
    false,
    true,
    true,
  ]);
});

test('typed notes and the app’s own files are told apart from scores', () => {
  const kinds = ['D4 E F# G', '{"instrument":"violin"}'].map((text) => openFile(new TextEncoder().encode(text)).kind);
  assert.deepEqual(kinds, ['notes', 'json']);
});
