import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, type PlanRequest } from '../../../src/core';
import { skillsOf } from '../../../src/core/path';
import { skillWords } from '../../../src/wording/path';

/*
 * The skills of plans that were worked out by hand, on four instruments.
 */

const skillsIn = (request: PlanRequest) => {
  const response = plan({ ...request, alternatives: 1 });
  return skillsOf(request, response, response.plans[0]);
};
const idsIn = (request: PlanRequest) =>
  skillsIn(request)
    .map(({ id }) => id)
    .sort();

const scale = (tonic: string, octaves: number) =>
  ({ type: 'scale', tonic, scale: 'major', octaves, direction: 'up' }) as const;

test('G major on the violin: on the lower strings 2 and 3 touch, on the upper 1 and 2, so 2 is placed again', () => {
  const request: PlanRequest = { instrument: 'violin', material: scale('G3', 2), rules: { positions: { only: [1] } } };
  assert.deepEqual(idsIn(request), [
    'pattern:1-2-2',
    'pattern:2-1-2',
    'position:1',
    'replaced',
    'signature:1',
    'string:A4',
    'string:D4',
    'string:E5',
    'string:G3',
  ]);
  const at = (id: string) => skillsIn(request).find((skill) => skill.id === id)?.at;
  // Finger 2: F sharp on the D string, then C on the A string.
  assert.deepEqual(at('replaced'), [6, 10]);
  assert.deepEqual(at('string:G3'), [0, 1, 2, 3]);
});

test('C major on the viola in slurs of four: the same hand a fifth lower, and four notes to a bow', () => {
  const request: PlanRequest = {
    instrument: 'viola',
    material: { ...scale('C3', 2), notesPerBow: 4 },
    rules: { positions: { only: [1] } },
  };
  assert.deepEqual(idsIn(request), [
    'bow:4',
    'pattern:1-2-2',
    'pattern:2-1-2',
    'position:1',
    'replaced',
    'signature:0',
    'string:A4',
    'string:C3',
    'string:D4',
    'string:G3',
  ]);
});

test('C major on the cello is one closed hand on four strings', () => {
  const request: PlanRequest = { instrument: 'cello', material: scale('C2', 2), rules: { positions: { only: [1] } } };
  assert.deepEqual(idsIn(request), [
    'pattern:1-1-1',
    'position:1',
    'signature:0',
    'string:A3',
    'string:C2',
    'string:D3',
    'string:G2',
  ]);
});

test('F major on the bass in half position, told by the fingers 1, 2 and 4', () => {
  const request: PlanRequest = { instrument: 'bass', material: scale('F1', 1), rules: { positions: { only: [0.5] } } };
  assert.deepEqual(idsIn(request), [
    'pattern:1-1',
    'position:0.5',
    'signature:-1',
    'string:A1',
    'string:D2',
    'string:E1',
  ]);
});

/** Notes on the violin's A string with their fingers. */
const onA = (notes: readonly (readonly [pitch: string, finger: 1 | 2 | 3 | 4, position: number])[]): PlanRequest => ({
  instrument: 'violin',
  material: { type: 'notes', key: 'A major', notes: notes.map(([pitch]) => ({ pitches: [pitch] })) },
  rules: { locks: notes.map(([, finger, position], at) => ({ at, finger, position, string: 'A4' })) },
});

test('shifts are named by their way, their size, what leads and the finger that lands', () => {
  const shifts = (...notes: Parameters<typeof onA>[0]) => idsIn(onA(notes)).filter((id) => id.startsWith('shift'));
  assert.deepEqual(shifts(['B4', 1, 1], ['D5', 1, 3]), ['shift:up:2:same:1']);
  assert.deepEqual(shifts(['C#5', 2, 1], ['D5', 1, 3]), ['shift:up:2:new:1']);
  assert.deepEqual(shifts(['B4', 1, 1], ['E5', 2, 3]), ['shift:up:2:old:2']);
  assert.deepEqual(shifts(['D5', 1, 3], ['C#5', 2, 1]), ['shift:down:2:old:2']);
  assert.deepEqual(shifts(['B4', 1, 1], ['A5', 1, 7]), ['shift:up:5:same:1']);
});

test('thumb position is entered and left; there a shift is sized by its semitones', () => {
  const ids = idsIn({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'C2', scale: 'major', octaves: 4, direction: 'updown' },
  });
  for (const id of ['thumb', 'thumb:enter', 'thumb:leave']) assert.ok(ids.includes(id), id);
  assert.ok(ids.some((id) => id.startsWith('pattern:T')));
  assert.ok(!ids.some((id) => id.includes('to-thumb') || id.includes('from-thumb')));
});

test('opened hands, the little finger for an open string, slides, skips, double stops, harmonics', () => {
  const notes = (instrument: 'violin' | 'cello', key: string, pitches: string[][], locks: object[]): PlanRequest => ({
    instrument,
    material: { type: 'notes', key, notes: pitches.map((one) => ({ pitches: one })) },
    rules: { locks: locks as never },
  });
  const has = (request: PlanRequest, id: string) =>
    assert.ok(idsIn(request).includes(id), `${id}: ${idsIn(request).join()}`);
  has(
    notes('cello', 'D major', [['D2'], ['E2'], ['F#2']], [{ at: 2, finger: 4, string: 'C2', position: 1 }]),
    'extension:forward',
  );
  has(notes('violin', 'C major', [['C5'], ['E5']], [{ at: 1, finger: 4, string: 'A4' }]), 'fourth-for-open');
  const slide = notes(
    'violin',
    'C major',
    [['B4'], ['Bb4']],
    [
      { at: 0, finger: 1, string: 'A4', position: 1 },
      { at: 1, finger: 1, string: 'A4', position: 1 },
    ],
  );
  has(slide, 'slide');
  has(
    notes(
      'violin',
      'C major',
      [['D4'], ['E5']],
      [
        { at: 0, finger: 0 },
        { at: 1, finger: 0 },
      ],
    ),
    'skip',
  );
  has(notes('violin', 'C major', [['G4', 'B4']], [{ at: 0, finger: 3, string: 'D4' }]), 'double:third:3-1');
  has(notes('violin', 'D major', [['D5'], ['A5']], [{ at: 1, harmonic: true, string: 'A4' }]), 'harmonic');
});

test('every skill is said in words that no other one has', () => {
  const ids = [
    ...['violin', 'cello'].flatMap((instrument) =>
      idsIn({ instrument: instrument as 'violin', material: scale(instrument === 'violin' ? 'A3' : 'D2', 3) }),
    ),
    ...['signature:0', 'signature:-1', 'signature:6', 'bow:2', 'bow:16', 'double:octave:0-3', 'thumb', 'position:2.5'],
    ...['pattern:1-1-1', 'pattern:2-2-2', 'pattern:T2-2-2-1', 'shift:up:0:same:1', 'shift:down:5:across-strings:2'],
  ];
  // One string of each name.
  const once = ids.filter((id) => !/^string:(?!G3|D4|A4|E5)/.test(id));
  const words = [...new Set(once)].map((id) => skillWords(id, 'violin'));
  assert.equal(new Set(words).size, words.length);
  assert.equal(skillWords('shift:up:3:new:1', 'violin'), 'a shift up of three places, landing on 1');
  assert.equal(skillWords('pattern:2-1-1', 'cello'), 'the finger pattern 2-1-1: 2, 3, and 4 touch');
  assert.equal(skillWords('something else', 'cello'), 'something else');
});
