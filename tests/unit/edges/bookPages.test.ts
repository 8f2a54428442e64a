import assert from 'node:assert/strict';
import { test } from 'node:test';
import { plan, requestIssues, type PositionNumber } from '../../../src/core';
import { BOOK_KEYS, BOOK_MATERIALS, countPages, nearestRequests, pagesFor } from '../../../src/app/paper/bookPages';
import { classFor, classXml, FIRST_CLASS } from '../../../src/app/paper/classes';
import { barsAgainst, withoutWritten, withTheirs } from '../../../src/app/paper/written';
import { asWritten, type Lock, type PlanRequest } from '../../../src/core';
import { speechOf } from '../../../src/wording/plans';
import { nearestWords } from '../../../src/wording/sheets';
import { pieceOf } from '../../support/files';

test('a book has a page for each key, material and number of octaves, each a request that can be read', () => {
  const ask = {
    kind: 'keys',
    keys: [...BOOK_KEYS],
    materials: [...BOOK_MATERIALS],
    octaves: [1, 2],
    order: 'fifths',
  } as const;
  for (const instrument of ['violin', 'viola', 'cello', 'bass'] as const) {
    const pages = pagesFor(
      { ...ask, keys: [...ask.keys], materials: [...ask.materials], octaves: [...ask.octaves] },
      { plays: { instrument } },
    );
    assert.equal(
      pages.length,
      countPages({ ...ask, keys: [...ask.keys], materials: [...ask.materials], octaves: [...ask.octaves] }),
    );
    for (const { request, name } of pages) {
      assert.deepEqual(requestIssues(request), [], name);
      assert.notEqual(name, '');
    }
  }
});

test('a position learned begins with every finger pattern on every string, all in that position', () => {
  for (const [instrument, position] of [
    ['violin', 3],
    ['cello', 4],
    ['bass', 2],
    ['viola', 1],
  ] as const) {
    const pages = pagesFor({ kind: 'position', key: 'D major', position }, { plays: { instrument } });
    assert.ok(pages.length >= 2, `${instrument} ${pages.length}`);
    const [patterns] = pages;
    assert.equal(patterns.name, 'Every finger pattern on every string');
    const strings = new Set(patterns.request.rules?.locks?.map(({ string }) => string));
    assert.equal(strings.size, 4, instrument);
    const [learned] = plan({ ...patterns.request, alternatives: 1, explain: 'nothing' }).plans;
    assert.equal(learned.steps[0].extended, false, `${instrument}: the first finger lies in its place`);
    for (const { request } of pages) {
      const [one] = plan({ ...request, alternatives: 1, explain: 'nothing' }).plans;
      assert.ok(one, `${instrument} ${JSON.stringify(request.material).slice(0, 80)}`);
      if (request.rules?.visit) {
        assert.ok(
          one.steps.some(({ position: own }) => own === position),
          instrument,
        );
        continue;
      }
      const others = one.steps.filter(
        ({ stops, position: own }) => stops[0].finger !== 0 && own !== (position as PositionNumber),
      );
      assert.deepEqual(others, [], instrument);
    }
  }
});

test('where a key cannot be played the nearest that can is found and named', () => {
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'Ab3', scale: 'major', octaves: 3, direction: 'updown' },
    rules: { positions: { from: 1, to: 1 } },
  };
  const nearest = nearestRequests(request);
  const found = nearest.find((one) => plan({ ...one, alternatives: 1, explain: 'nothing' }).plans.length > 0);
  assert.ok(found);
  assert.match(
    nearestWords(request, found),
    /^A♭ major scale cannot be played as asked.*The nearest that can: A♭ major scale, two octaves\.$/,
  );
  assert.match(nearestWords(request, undefined), /nor anything near it/);
});

test('a class plays the same bars, each in its own clef, and shifts together are found', () => {
  const found = classFor({ ...FIRST_CLASS, octaves: 2, notesPerBow: 2 }, new Date(0));
  assert.deepEqual(found.troubles, []);
  assert.equal(found.ask.parts.length, 4);
  const counts = new Set(found.ask.parts.map(({ response }) => response.events.length));
  assert.equal(counts.size, 1);
  for (const at of found.ask.together)
    assert.ok(found.ask.parts.filter(({ plan: one }) => one.shifts.some(({ to }) => to === at)).length > 1);
  const piece = pieceOf(classXml(found));
  assert.deepEqual(
    piece.parts.map(({ instrument }) => instrument),
    ['violin', 'viola', 'cello', 'bass'],
  );
  const pitches = piece.parts.map(({ voices }) => voices[0].notes.length);
  assert.equal(new Set(pitches).size, 1);
});

test('typed notes go to each instrument in an octave that it has', () => {
  const found = classFor({ ...FIRST_CLASS, material: 'notes', typed: 'D4 E F# G A' }, new Date(0));
  assert.deepEqual(found.troubles, []);
  const firsts = found.ask.parts.map(({ response }) =>
    'pitches' in response.events[0] ? response.events[0].pitches[0] : '',
  );
  assert.deepEqual(firsts, ['D4', 'D3', 'D2', 'D2']);
  const broken = classFor({ ...FIRST_CLASS, material: 'notes', typed: 'xyz' }, new Date(0));
  assert.equal(broken.ask.parts.length, 0);
  assert.ok(broken.troubles.length > 0);
});

test('ours is taken and theirs kept bar by bar', () => {
  const names = ['D4', 'E4', 'F#4', 'G4', 'A4', 'B4', 'C#5', 'D5', 'E5', 'D5', 'C#5', 'B4'];
  const request: PlanRequest = {
    instrument: 'violin',
    material: { type: 'notes', key: 'D major', notes: names.map((name) => ({ pitches: [name] })) },
  };
  const written: Lock[] = [
    { at: 0, finger: 4 },
    { at: 4, finger: 4 },
    { at: 8, finger: 4 },
  ];
  const { response, plan: own, unplayable, beyond } = asWritten(request, written);
  const judged = { plan: own, best: response.plans[0], unplayable, beyond };
  const speech = speechOf('violin', response);
  const bars = barsAgainst(judged, own ?? undefined, speech);
  assert.deepEqual(
    bars.map(({ bar, kept }) => [bar, kept]),
    [
      [1, true],
      [2, true],
    ],
  );
  const asked = withTheirs(
    request,
    written,
    judged,
    bars.map(({ events }, n) => ({ events, ours: n === 0 })),
  );
  assert.deepEqual(
    asked.rules?.locks?.map(({ at, finger }) => [at, finger]),
    [
      [0, 0],
      [1, 1],
      [2, 2],
      [3, 3],
      [4, 4],
      [8, 4],
    ],
  );
  const [stand] = plan({ ...asked, alternatives: 1 }).plans;
  assert.deepEqual(
    barsAgainst(judged, stand, speech).map(({ kept }) => kept),
    [false, true],
  );
  assert.deepEqual(withoutWritten(asked, written).rules?.locks?.length, 4);
});
