import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { plan, clefsFor, type PlanRequest } from '../../../src/core';
import { eventAt } from '../../../src/drawing/score';
import { extentOf, needsOf } from '../../../src/drawing/room';
import { LEAST_COLUMN, NECK_WIDTH, shapeOf, type Wanted } from '../../../src/views/bench/shape';

const ROOM = { width: 960, height: 450 };

function wanted(request: PlanRequest, part: Partial<Wanted> = {}): Wanted {
  const response = plan(request);
  const clefs = clefsFor(response.events, request.instrument);
  const score = {
    music: response,
    steps: response.plans[0]?.steps ?? [],
    strings: [],
    instrument: request.instrument,
    clefs,
    barred: true,
  };
  return {
    ...needsOf(score),
    extent: extentOf(response.events, clefs, request.instrument),
    fifths: response.key.fifths,
    room: ROOM,
    zoom: 0,
    lines: 'fits',
    names: false,
    beside: false,
    phrases: false,
    under: false,
    ...part,
  };
}

const scale = (tonic: string, octaves: number, name = 'major'): PlanRequest => ({
  instrument: 'violin',
  material: { type: 'scale', tonic, scale: name, octaves, direction: 'updown' },
});

test('two octaves up and down stand in one line, in every major key, each note with its least column', () => {
  for (const tonic of ['G3', 'A3', 'Ab3', 'B3', 'C4', 'C#4', 'D4', 'Eb4', 'E4', 'F#4', 'Gb4']) {
    const shape = shapeOf(wanted(scale(tonic, 2)));
    assert.equal(shape.lines.length, 1, tonic);
    const [{ layout, last }] = shape.lines;
    assert.ok(shape.gutter + layout.width + NECK_WIDTH <= ROOM.width + 0.01, tonic);
    assert.ok(shape.height <= ROOM.height, `${tonic}: ${shape.height}`);
    for (let at = 0; at < last; at++) assert.ok(layout.left(at + 1) - layout.left(at) >= LEAST_COLUMN - 0.01);
  }
});

test('what has no room for its columns is broken at bars, each line to the edge', () => {
  const asked = wanted(scale('G3', 3));
  const shape = shapeOf(asked);
  assert.ok(shape.many);
  const across = ROOM.width - shape.gutter - NECK_WIDTH;
  shape.lines.slice(0, -1).forEach(({ layout }) => assert.ok(Math.abs(layout.width - across) < 0.5));
  for (const { first } of shape.lines) assert.ok(first === 0 || asked.bars.has(first));
});

test('one line scrolls where it is asked for; sixty events and more are in lines by themselves', () => {
  const one = shapeOf(wanted(scale('G3', 3), { lines: 'one' }));
  assert.equal(one.lines.length, 1);
  assert.ok(one.lines[0].layout.width > ROOM.width - NECK_WIDTH - one.gutter);
  const wide = { ...ROOM, width: 4000 };
  assert.equal(shapeOf(wanted(scale('G3', 4, 'chromatic'), { room: wide })).many, true);
  assert.equal(shapeOf(wanted(scale('G3', 3), { room: wide })).many, false);
});

test('the picture comes closer step by step, until a bar fills the room', () => {
  const widths = [0, 1, 2, 3, 4].map((zoom) => shapeOf(wanted(scale('A3', 2), { zoom })).lines[0].layout);
  widths.slice(1).forEach(({ width, scale: size }, at) => {
    assert.ok(width > widths[at].width);
    assert.ok(size >= widths[at].scale - 0.01);
  });
  const closest = widths[4];
  assert.ok(closest.left(4) > (ROOM.width - NECK_WIDTH) * 0.7);
});

test('a sign has more room than none, and a held note more than a short one', () => {
  const { widths } = wanted({
    instrument: 'violin',
    material: {
      type: 'notes',
      key: 'C major',
      notes: [
        { pitches: ['D4'], beats: 1 },
        { pitches: ['F#4'], beats: 1 },
        { pitches: ['G4'], beats: 2 },
      ],
    },
  });
  assert.ok(widths[1] > widths[0]);
  assert.ok(widths[2] > widths[0]);
});

test('the event under a pointer is the one whose column it is in', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 24, max: 90 }), { minLength: 1, maxLength: 60 }), (columns) => {
      const lefts = columns.reduce((all, width) => [...all, all[all.length - 1] + width], [0]);
      const layout = {
        width: lefts[columns.length],
        height: 1,
        scale: 1,
        middleLine: 0,
        left: (at: number) => lefts[at],
      };
      columns.forEach((width, at) => {
        assert.equal(eventAt(layout, lefts[at] + width / 2, 0, columns.length), at);
      });
    }),
  );
});
