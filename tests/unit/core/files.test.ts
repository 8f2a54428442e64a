import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { zipSync } from 'fflate';
import { writeMidi } from 'midi-file';
import Papa from 'papaparse';
import { Unreadable } from '../../../src/core/formats';
import { NOTE_FORMATS, writeAs } from '../../../src/work/exports';
import { noticeWords, unreadablePlace, unreadableWords } from '../../../src/wording/files';
import { bytesOf, made, notesIn, pieceOf, readBack, refusal, xmlNote, xmlOpening, xmlScore } from '../../support/files';
import { quarter } from '../../support/scores';
import { runs } from '../../support/runs';

test('notes and lengths come back from MIDI as they were', () => {
  const lengths = fc.constantFrom('1/3', '2/3', 0.5, 1, 1.5, 2, 0.25, 0.75, 3, 4);
  const note = fc.record({ name: fc.constantFrom('A3', 'C#4', 'E4', 'B4', '-'), beats: lengths });
  fc.assert(
    fc.property(fc.array(note, { minLength: 1, maxLength: 30 }), fc.constantFrom('4/4', '3/4', '6/8'), (list, time) => {
      const notes = list.map(({ name, beats }) =>
        name === '-' ? { rest: true as const, beats } : { pitches: [name], beats },
      );
      const one = made({
        instrument: 'violin',
        tempo: { bpm: 96 },
        material: { type: 'notes', key: 'A major', time, notes: [...notes, { pitches: ['A4'] }] },
      });
      assert.ok(one);
      const { request } = readBack(writeAs('midi', one));
      // Rests beside each other are one in MIDI.
      const joined = (all: [string, number][]) =>
        all.reduce<[string, number][]>((line, [pitch, length]) => {
          const last = line.at(-1);
          if (pitch === '-' && last?.[0] === '-') last[1] = Math.round((last[1] + length) * 5040) / 5040;
          else line.push([pitch, length]);
          return line;
        }, []);
      const back = joined(notesIn(request));
      assert.deepEqual(back.slice(0, joined(notesIn(one.request)).length), joined(notesIn(one.request)));
      assert.deepEqual([request.tempo, request.material.time], [{ bpm: 96 }, time]);
    }),
    runs(80),
  );
});

test('what was played by hand is taken for what was meant', () => {
  const on = (deltaTime: number, noteNumber: number) =>
    ({ deltaTime, channel: 0, type: 'noteOn', noteNumber, velocity: 70 }) as const;
  const off = (deltaTime: number, noteNumber: number) =>
    ({ deltaTime, channel: 0, type: 'noteOff', noteNumber, velocity: 0 }) as const;
  const track = [
    on(3, 62),
    off(440, 62),
    on(35, 64),
    off(235, 64),
    on(6, 66),
    off(230, 66),
    { deltaTime: 0, meta: true, type: 'endOfTrack' } as const,
  ];
  const file = Uint8Array.from(writeMidi({ header: { format: 0, numTracks: 1, ticksPerBeat: 480 }, tracks: [track] }));
  assert.deepEqual(notesIn(readBack(file).request), [
    ['D4', 1],
    ['E4', 0.5],
    ['F#4', 0.5],
    ['-', 2],
  ]);
});

test('sixteen channels are sixteen parts less the drums, and chords stay chords', () => {
  const tracks = Array.from({ length: 16 }, (_, channel) => [
    { deltaTime: 0, channel, type: 'programChange', programNumber: channel === 2 ? 42 : 0 } as const,
    { deltaTime: 0, channel, type: 'noteOn', noteNumber: 50, velocity: 70 } as const,
    { deltaTime: 0, channel, type: 'noteOn', noteNumber: 57, velocity: 70 } as const,
    { deltaTime: 480, channel, type: 'noteOff', noteNumber: 50, velocity: 0 } as const,
    { deltaTime: 0, channel, type: 'noteOff', noteNumber: 57, velocity: 0 } as const,
    { deltaTime: 0, meta: true, type: 'endOfTrack' } as const,
  ]);
  const piece = pieceOf(
    Uint8Array.from(writeMidi({ header: { format: 1, numTracks: 16, ticksPerBeat: 480 }, tracks })),
  );
  assert.equal(piece.parts.length, 15);
  assert.deepEqual(piece.notices.map(noticeWords), ['Left out: 2 percussion notes.']);
  const cello = piece.parts.find(({ instrument }) => instrument === 'cello');
  assert.deepEqual(cello?.voices[0].notes[0].heads.length, 2);
});

test('a table has a header and a line an event, and is read back by any reader of tables', () => {
  const one = made({
    instrument: 'violin',
    material: { type: 'double-stops', interval: 'third', tonic: 'B3', scale: 'major', octaves: 1, direction: 'up' },
  });
  assert.ok(one);
  const { data, errors } = Papa.parse<Record<string, string>>(new TextDecoder().decode(writeAs('csv', one)), {
    header: true,
    skipEmptyLines: true,
  });
  assert.deepEqual(errors, []);
  assert.equal(data.length, one.response.events.length);
  assert.equal(data[0].pitches, 'B3+D#4');
  assert.deepEqual(
    data.map(({ fingers }) => fingers),
    one.plan.steps.map(({ stops }) => stops.map(({ finger }) => finger).join('+')),
  );
  assert.equal(
    Object.keys(data[0]).join(),
    'at,bar,beat,beats,pitches,strings,fingers,semitones,stop_mm,position,shift,travel_mm,guide,extended,reach',
  );
});

const laughs = `<?xml version="1.0"?><!DOCTYPE lolz [<!ENTITY lol "lol"><!ENTITY lol2 "&lol;&lol;&lol;">]><score-partwise><part-list/>&lol2;</score-partwise>`;
const outside = `<?xml version="1.0"?><!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><score-partwise><work><work-title>&e;</work-title></work></score-partwise>`;
const bomb = () =>
  zipSync(
    {
      'META-INF/container.xml': bytesOf('<container><rootfiles><rootfile full-path="a.xml"/></rootfiles></container>'),
      'a.xml': new Uint8Array(70_000_000),
    },
    { level: 9 },
  );
const one = (measure: string, name = 'Violin') => xmlScore([{ name, measures: [measure] }]);

/** Files that ask for trouble, with the code they are refused with. */
const HOSTILE: readonly (readonly [name: string, file: () => Uint8Array | string, code: string])[] = [
  ['nothing at all', () => '', 'empty-file'],
  ['broken XML', () => one(quarter('A')).slice(0, -20), 'broken-xml'],
  ['entities that multiply', () => laughs, 'xml-entity'],
  ['an entity from outside', () => outside, 'xml-entity'],
  ['an entity nobody defined', () => one(`${xmlOpening(1)}&nbsp;${quarter('A')}`), 'xml-entity'],
  ['XML that is no score', () => '<html><body>hello</body></html>', 'no-score'],
  ['a packed bomb', bomb, 'too-large'],
  ['a text named as packed', () => 'hello, this is no score', 'notes'],
  ['a packed file without a score', () => zipSync({ 'readme.txt': bytesOf('x') }), 'no-score-inside'],
  ['a packed file that is cut off', () => zipSync({ 'a.xml': bytesOf(one(quarter('A'))) }).slice(0, 60), 'broken-zip'],
  ['a picture', () => Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0, 0, 0, 1, 2, 3]), 'unknown-file'],
  ['MIDI that is cut off', () => bytesOf('MThd\u0000\u0000'), 'broken-midi'],
  ['an empty part', () => one(''), 'no-notes'],
  [
    'percussion alone',
    () =>
      one(
        '<attributes><divisions>1</divisions><clef><sign>percussion</sign></clef></attributes><note><unpitched/><duration>1</duration></note>',
        'Drums',
      ),
    'only-percussion',
  ],
  ['a negative length', () => one(`${xmlOpening(1)}${xmlNote({ step: 'A', duration: -1 })}`), 'negative-time'],
  ['no unit of time', () => one(xmlOpening(0) + quarter('A')), 'no-divisions'],
  ['a note without a pitch', () => one(`${xmlOpening(1)}<note><duration>1</duration></note>`), 'no-pitch-here'],
  [
    'too much nesting',
    () => `<score-partwise><part-list>${'<a>'.repeat(80)}${'</a>'.repeat(80)}</part-list></score-partwise>`,
    'xml-deep',
  ],
  [
    'more parts than any score',
    () => xmlScore(Array.from({ length: 201 }, (_, n) => ({ name: `P${n}`, measures: [quarter('A')] }))),
    'too-many-parts',
  ],
];

for (const [name, file, code] of HOSTILE)
  test(`refused in plain words: ${name}`, () => {
    const found = refusal(file());
    if (code === 'notes') return assert.equal(found, null, 'it is read as typed notes, and answered there');
    assert.equal(found?.code, code);
    const words = unreadableWords(
      new Unreadable(code, { line: '3', what: 'x', root: 'html', megabytes: 70, most: 64 }),
    );
    assert.match(words, /\.$/);
    assert.notEqual(words, 'This file cannot be read.');
  });

test('where it is broken is said by part and bar', () => {
  const score = xmlScore([
    { name: 'Violin', measures: [`${xmlOpening(1)}${quarter('A')}`, xmlNote({ step: 'A', duration: -2 })] },
  ]);
  const found = refusal(score);
  assert.equal(found?.path, '/part/P1/bar/2');
  assert.equal(unreadablePlace({ path: found?.path ?? '' }), 'Part P1, bar 2: ');
});

test('what is not there is said with what is', () => {
  const score = xmlScore([{ name: 'Viola', measures: [`${xmlOpening(1)}${quarter('A')}`] }]);
  const trouble = (ask: Parameters<typeof readBack>[1]) => {
    try {
      readBack(score, ask);
    } catch (error) {
      if (error instanceof Unreadable) return unreadableWords(error);
    }
    return '';
  };
  assert.equal(trouble({ part: 'Horn' }), 'There is no part "Horn"; there are "Viola".');
  assert.equal(trouble({ bars: ['1', '9'] }), 'There is no bar 9; the bars are 1 to 1.');
  assert.equal(trouble({ voice: '7' }), 'There is no voice 7; there are "1".');
});

test('a score of 40 parts and one of 100,000 notes are read', () => {
  const parts = Array.from({ length: 40 }, (_, n) => ({
    name: `Part ${n + 1}`,
    measures: [`${xmlOpening(1)}${quarter('A')}`],
  }));
  assert.equal(pieceOf(xmlScore(parts)).parts.length, 40);
  const measure = quarter('A').repeat(4);
  const long = pieceOf(
    xmlScore([
      { name: 'Violin', measures: [xmlOpening(1) + measure, ...Array.from({ length: 24_999 }, () => measure)] },
    ]),
  );
  assert.equal(long.parts[0].voices[0].notes.length, 100_000);
  const found = readBack(xmlScore([{ name: 'Violin', measures: [xmlOpening(1) + measure, measure] }]), {
    bars: ['2', '2'],
  });
  assert.equal(notesIn(found.request).length, 4);
});

test('no file of random bytes ends in anything but an answer', () => {
  fc.assert(
    fc.property(
      fc.uint8Array({ maxLength: 200 }),
      fc.constantFrom('', 'MThd', 'PK\u0003\u0004', '<score-partwise>'),
      (bytes, head) => {
        refusal(Uint8Array.from([...bytesOf(head), ...bytes]));
      },
    ),
    runs(150),
  );
});

test('every format has its end and its type', () => {
  const plan = made({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'C2', scale: 'major', octaves: 1, direction: 'up' },
  });
  assert.ok(plan);
  for (const format of NOTE_FORMATS) assert.ok(writeAs(format, plan).length > 100, format);
});
