import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import fc from 'fast-check';
import { markOpened, openedAt } from '../../../src/app/lastOpened';
import { optionalWords, withTempo } from '../../../src/app/brief/words';
import { readRequest } from '../../../src/contract/read';
import { clefsFor, INSTRUMENT_NAMES, plan, type InstrumentName, type PlanRequest } from '../../../src/core';
import { extentOf, HALF_STAFF, needsOf } from '../../../src/drawing/room';
import { besideOf } from '../../../src/app/session/state';
import { sameScore } from '../../../src/views/bench/sameScore';
import { wishesMade, wishesToAdd } from '../../../src/wording/wishes';
import { piecesOf, valueOf } from '../../../src/wording/typed/pieces';
import { isKnown, nearWords, plainText } from '../../../src/wording/typed/plain';
import { pieceWords } from '../../../src/wording/typed/said';

const TONICS: Readonly<Record<InstrumentName, string>> = { violin: 'A3', viola: 'D3', cello: 'D2', bass: 'F1' };

const scale = (instrument: InstrumentName, part: Partial<PlanRequest> = {}): PlanRequest => ({
  instrument,
  material: { type: 'scale', tonic: TONICS[instrument], scale: 'major', octaves: 1, direction: 'updown' },
  ...part,
});

const unusual = (request: PlanRequest) => optionalWords(request).filter(({ value, usual }) => value !== usual);

test('a brief in which nothing is wished says nothing beyond its music, player and positions', () => {
  for (const kind of INSTRUMENT_NAMES) {
    assert.deepEqual(unusual(scale(kind)), []);
    assert.deepEqual(wishesMade(scale(kind)), []);
  }
});

test('every choice of every word can be added, is then said, and is unsaid when it is as usual again', () => {
  for (const kind of INSTRUMENT_NAMES)
    for (const { label, choices, usual, value, put } of optionalWords(scale(kind)))
      for (const [choice] of choices) {
        const request = put(choice);
        assert.ok(readRequest(JSON.parse(JSON.stringify(request))), `${kind}: ${label}`);
        const said = unusual(request);
        if (choice === usual) assert.deepEqual(said, [], `${kind}: ${label}`);
        else {
          assert.deepEqual(
            said.map((word) => word.label),
            [label],
            `${kind}: ${choice}`,
          );
          assert.equal(said[0].value, choice);
          assert.deepEqual(unusual(said[0].put(usual)), [], `${kind}: ${choice} taken back`);
        }
        assert.ok(choices.some(([name]) => name === value));
      }
});

test('every wish that is offered is made by it, and taken back by its own cross', () => {
  for (const kind of INSTRUMENT_NAMES)
    for (const { id, request } of wishesToAdd(scale(kind))) {
      assert.ok(readRequest(JSON.parse(JSON.stringify(request))), id);
      const made = wishesMade(request);
      assert.equal(made.length, 1, id);
      assert.deepEqual(wishesMade(made[0].request), []);
    }
});

test('choices in the list stand in groups with a name', () => {
  const groups = new Set([
    ...wishesToAdd(scale('bass')).map(({ group }) => group),
    ...optionalWords(scale('bass')).map(({ group }) => group),
  ]);
  assert.deepEqual([...groups].sort(), [
    'Bow',
    'Fingers',
    'Patterns',
    'Positions',
    'Shifts',
    'Strings',
    'Style and tempo',
    'The player',
  ]);
});

test('one tempo: what is set for hearing is what is planned for', () => {
  assert.deepEqual(withTempo(scale('violin'), 90).tempo, { bpm: 90 });
  assert.equal(withTempo(withTempo(scale('violin'), 90), undefined).tempo, undefined);
});

test('typed words are made plain: signs, numbers, fractions, hyphens and slips', () => {
  const plain = (typed: string) => plainText(typed, new Set()).text;
  assert.equal(plain('E♭ major, TWO-octave; ¾ violin!'), 'eb major 2 octave 3/4 violin');
  assert.equal(plain('third position'), '3rd position');
  assert.equal(plain('15½ inch'), '15 1/2 inch');
  assert.equal(plain('1-2-4'), '1 2 4');
  assert.equal(plain('Bflat'), 'b flat');
  assert.equal(plain('a major'), 'a major');
  assert.equal(plain('a scale'), 'scale');
  assert.equal(plain('scale in A'), 'scale in a');
  assert.equal(plain('harmonc minr'), 'harmonic minor');
});

test('a slip is put right only where one word is near, and never in a student’s name', () => {
  assert.deepEqual(plainText('celo', new Set()).mended, [{ typed: 'celo', read: 'cello' }]);
  assert.deepEqual(plainText('celo', new Set(['celo'])).mended, []);
  assert.deepEqual(plainText('violn', new Set()).mended, []);
  assert.deepEqual(plainText('xylophone', new Set()).mended, []);
  assert.ok(isKnown('octaves') && !isKnown('octopus'));
  assert.ok(nearWords('arpegiato').includes('arpeggio'));
  // One letter left out of a long word is put right, unless what is left is a word of its own.
  fc.assert(
    fc.property(fc.constantFrom('harmonic', 'arpeggio', 'chromatic', 'pentatonic'), fc.nat(), (word, n) => {
      const at = n % word.length;
      assert.equal(plainText(word.slice(0, at) + word.slice(at + 1), new Set()).text, word);
    }),
  );
});

test('pieces are told apart: what is said twice is one, what cannot both be is a clash, the rest is unknown', () => {
  const pieces = (typed: string) => piecesOf(typed, ['Wren', 'Ann Lee']);
  assert.equal(pieces('G major G major').clash, null);
  const { clash } = pieces('violin viola');
  assert.deepEqual(clash?.map(pieceWords), ['violin', 'viola']);
  assert.deepEqual(pieces('G major banana split').unknown, ['banana', 'split']);
  assert.equal(valueOf(pieces('for Ann').pieces, 'student'), 'Ann Lee');
  assert.equal(valueOf(pieces('Ann Lee, G major').pieces, 'key'), 'G');
  assert.deepEqual(
    pieces('going to third position and going to fifth position').pieces.map(({ value }) => value),
    [3, 5],
  );
  assert.equal(valueOf(pieces('broken thirds scale').pieces, 'kind'), 'broken-thirds');
  assert.equal(valueOf(pieces('broken thirds scale').pieces, 'octaves'), undefined);
});

test('every piece has words to be asked about by', () => {
  const typed =
    'Wren violin 3/4 small hand singing at 90 4 to a bow 2 octaves up G4 major scale low first position on the G string no open strings no little finger no extensions 2 shifts going to 3rd position';
  for (const piece of piecesOf(typed, ['Wren']).pieces) {
    const words = pieceWords(piece);
    assert.ok(words.length > 1 && !words.includes('[object'), `${piece.slot}: ${words}`);
  }
  assert.equal(pieceWords({ slot: 'chord', value: 'dominant-seventh' }), 'dominant seventh');
  assert.equal(pieceWords({ slot: 'shifts', value: 0 }), 'no shift');
});

function scoreOf(request: PlanRequest) {
  const response = plan(request);
  return {
    music: response,
    steps: response.plans[0].steps,
    strings: ['G3', 'D4', 'A4', 'E5'],
    instrument: request.instrument,
    clefs: clefsFor(response.events, request.instrument),
    barred: true,
  };
}

test('a score that is written the same is not engraved again, one that is not is', () => {
  const first = scoreOf(scale('violin'));
  assert.equal(sameScore(first), first);
  const again = scoreOf({ ...scale('violin'), alternatives: 1 });
  assert.notEqual(again, first);
  assert.equal(sameScore(again), first);
  const other = scoreOf(scale('violin', { rules: { openStrings: 'never' } }));
  assert.equal(sameScore(other), other);
  const key = scoreOf(
    scale('violin', { material: { type: 'scale', tonic: 'Bb3', scale: 'major', octaves: 1, direction: 'updown' } }),
  );
  assert.equal(sameScore(key), key);
});

test('notes need room by their signs, lengths and clefs, and reach as far from the middle line as they lie', () => {
  const notes = (...list: { pitches: string[]; beats: number }[]): PlanRequest => ({
    instrument: 'violin',
    material: { type: 'notes', key: 'C major', notes: list },
  });
  const of = (request: PlanRequest) => needsOf(scoreOf(request)).widths;
  const [plain, sharp, double] = of(
    notes({ pitches: ['D4'], beats: 1 }, { pitches: ['F#4'], beats: 1 }, { pitches: ['G##4'], beats: 1 }),
  );
  assert.ok(plain < sharp && sharp < double);
  const [quarter, dotted, half] = of(
    notes({ pitches: ['D4'], beats: 1 }, { pitches: ['D4'], beats: 1.5 }, { pitches: ['D4'], beats: 2 }),
  );
  assert.ok(quarter < dotted && quarter < half);
  const cello = scoreOf(
    scale('cello', { material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 4, direction: 'up' } }),
  );
  const changes = cello.clefs.flatMap((clef, at) => (at > 0 && clef !== cello.clefs[at - 1] ? [at] : []));
  const { widths, bars } = needsOf(cello);
  assert.ok(changes.length > 0);
  const usual = Math.min(...widths);
  for (const at of changes) assert.ok(widths[bars.has(at) ? at - 1 : at] > usual + 10);
  const low = scoreOf(
    scale('violin', { material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 1, direction: 'up' } }),
  );
  const { above, below } = extentOf(low.music.events, low.clefs, 'violin');
  assert.equal(above, HALF_STAFF);
  assert.equal(below, 45);
});

test('what is laid beside is a way by its number, or a plan with its own words', () => {
  const response = plan({ ...scale('violin'), alternatives: 3 });
  assert.equal(besideOf({ beside: null }, response), null);
  assert.equal(besideOf({ beside: 99 }, response), null);
  assert.deepEqual(besideOf({ beside: 1 }, response), { plan: response.plans[1], words: 'the other way' });
  const own = { plan: response.plans[0], words: 'the plan for Juno' };
  assert.equal(besideOf({ beside: own }, response), own);
});

const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (name: string) => kept.get(name) ?? null,
      setItem: (name: string, value: string) => void kept.set(name, value),
    },
  });
});

test('when a plan was opened last is remembered, the last first, within bounds, whatever lies there', () => {
  assert.equal(openedAt().size, 0);
  markOpened('a', 1);
  markOpened('b', 2);
  markOpened('a', 3);
  assert.deepEqual([...openedAt()], [['a', 3], ['b', 2]]); // prettier-ignore
  for (let at = 0; at < 500; at++) markOpened(`plan ${at}`, 10 + at);
  assert.equal(openedAt().size, 400);
  for (const odd of ['{', '{"a":1}', '[1,["a"],["b","c"],["d",4]]']) {
    kept.set('dove-path-opened', odd);
    assert.ok(openedAt().size <= 1, odd);
  }
});
