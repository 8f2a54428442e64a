import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { writtenNotes, type ResponseEvent } from '../../../src/core';

/** Events under one beam, as the outermost beam of the written notes tells. */
function beamGroups(events: ResponseEvent[], time = '4/4'): number[][] {
  const music = { events, time, pickup: 0, key: { fifths: 0, name: 'C major' } };
  const clefs = events.map(() => 'treble' as const);
  const groups: number[][] = [];
  for (const { at, beams } of writtenNotes(music, 'violin', clefs).notes) {
    if (beams[0] === 'begin') groups.push([at]);
    else if (beams[0]) groups[groups.length - 1].push(at);
  }
  return groups;
}

/** Lengths in beats; a negative one is a rest, a bar line stands before the events listed. */
function music(beats: readonly number[], bars: readonly number[] = []): ResponseEvent[] {
  return beats.map((length, at) => ({
    at,
    ...(length < 0 ? { rest: true as const } : { pitches: ['A4'], midi: [69] }),
    beats: Math.abs(length),
    ...(bars.includes(at) ? { bar: true as const } : {}),
  }));
}

test('short notes of one beat are joined, longer ones stand alone', () => {
  assert.deepEqual(beamGroups(music([0.5, 0.5, 0.5, 0.5, 1, 0.25, 0.25, 0.25, 0.25])), [
    [0, 1],
    [2, 3],
    [5, 6, 7, 8],
  ]);
  assert.deepEqual(beamGroups(music([0.75, 0.25, 1, 0.5])), [[0, 1]]);
  const third = 1 / 3;
  assert.deepEqual(beamGroups(music([third, third, third, third, third, third])), [
    [0, 1, 2],
    [3, 4, 5],
  ]);
});

test('a rest parts them, and a bar line begins the beats anew', () => {
  assert.deepEqual(beamGroups(music([0.5, -0.5, 0.25, -0.25, 0.5])), []);
  assert.deepEqual(beamGroups(music([0.5, 0.5, 0.5], [1])), [[1, 2]]);
  assert.deepEqual(beamGroups(music([0.5, 0.25, 0.25], [2])), [[0, 1]]);
  assert.deepEqual(beamGroups(music([3.5, 1, 0.5])), [], 'a note held over the bar line stands alone');
});

test('eighths by threes are joined by threes, in six-eight and the like', () => {
  const six = music([1, 1, 1, 1, 1, 1, 1, 2, 1]);
  assert.deepEqual(beamGroups(six, '6/8'), [
    [0, 1, 2],
    [3, 4, 5],
  ]);
  assert.deepEqual(beamGroups(music([0.5, 0.5, 0.5, 0.5]), '2/2'), [], 'half a half note is a quarter');
});

test('every group is neighbours within a beat and no note is in two', () => {
  const length = fc.constantFrom(0.25, 0.5, 0.75, 1, 1.5, -0.5, -1);
  fc.assert(
    fc.property(fc.array(length, { maxLength: 40 }), (beats) => {
      const events = music(beats);
      const onsets = beats.map((_, at) => beats.slice(0, at).reduce((sum, one) => sum + Math.abs(one), 0));
      const groups = beamGroups(events);
      for (const group of groups) {
        assert.deepEqual(
          group,
          group.map((_, at) => group[0] + at),
        );
        assert.equal(new Set(group.map((at) => Math.floor(onsets[at]))).size, 1);
        assert.ok(group.every((at) => beats[at] > 0 && beats[at] < 1));
      }
      assert.equal(new Set(groups.flat()).size, groups.flat().length);
    }),
  );
});
