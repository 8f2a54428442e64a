import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import fc from 'fast-check';
import type { TypedBrief } from '../../../src/app/brief/offers';
import { briefWords, readTyped } from '../../../src/app/brief/typed';
import { octaveRank, TONICS, withTonic } from '../../../src/app/brief/briefMaterial';
import { readRequest } from '../../../src/contract/read';
import { SCALES, type PlanRequest, type RunSpec } from '../../../src/core';
import type { StudentRecord } from '../../../src/core';
import { runs } from '../../support/runs';

/** Typed briefs with what each is read as, gone through one by one: understood, or asked back about. */
const BRIEFS = JSON.parse(readFileSync(new URL('../../data/briefs.json', import.meta.url), 'utf8')) as readonly {
  readonly typed: string;
  readonly read: string;
}[];

const base: PlanRequest = {
  instrument: 'violin',
  style: 'secure',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};

const student = (name: string, instrument: PlanRequest['instrument'], size: string) =>
  ({ id: name, name, plays: { instrument, size } }) as StudentRecord;
const STUDENTS = [student('Wren', 'violin', '4/4'), student('Otis', 'bass', '3/4'), student('Ann Lee', 'cello', '1/2')];

const read = (typed: string) => readTyped(typed, base, STUDENTS);

function said(reading: TypedBrief): string {
  switch (reading.kind) {
    case 'nothing':
      return 'nothing';
    case 'own-notes':
      return `notes: ${reading.notes ?? 'a box'}`;
    case 'asked':
      return `? ${reading.question} [${reading.offers.map((offer) => offer.typed ?? offer.words).join(' | ')}]`;
    case 'understood': {
      const { material } = reading.brief.request;
      const start = material.type === 'notes' ? '' : ` from ${material.tonic}`;
      const notes = reading.notes.length > 0 ? ` — ${reading.notes.join(' ')}` : '';
      return briefWords(reading.brief) + start + notes;
    }
  }
}

test('more than 200 typed briefs are understood or asked back about', () => {
  assert.ok(BRIEFS.length >= 200);
  for (const { typed, read: expected } of BRIEFS) assert.equal(said(read(typed)), expected, typed);
});

test('what is understood is a request, and what is offered leads on', () => {
  for (const { typed } of BRIEFS) {
    const reading = read(typed);
    if (reading.kind === 'understood') assert.ok(readRequest(reading.brief.request), typed);
    if (reading.kind !== 'asked') continue;
    for (const { typed: instead, brief } of reading.offers) {
      if (brief) assert.ok(readRequest(brief.request), typed);
      if (instead) assert.notEqual(instead, typed);
    }
  }
});

test('a brief says nothing of what it leaves as it is', () => {
  const wished: PlanRequest = { ...base, rules: { openStrings: 'never' }, style: 'singing' };
  const reading = readTyped('D major', wished, []);
  assert.ok(reading.kind === 'understood');
  assert.deepEqual(reading.brief.request.rules?.openStrings, 'never');
  assert.equal(reading.brief.request.style, 'singing');
  assert.equal(read('').kind, 'nothing');
  assert.equal(read('   ').kind, 'nothing');
});

test('positions asked for on one instrument are not carried to another', () => {
  const low: PlanRequest = { ...base, rules: { positions: { from: 1, to: 3 }, openStrings: 'never' } };
  const rulesOf = (typed: string) => {
    const reading = readTyped(typed, low, []);
    assert.ok(reading.kind === 'understood', typed);
    return reading.brief.request.rules;
  };
  assert.deepEqual(rulesOf('E flat major, 3 octaves, cello')?.positions, undefined);
  assert.equal(rulesOf('E flat major, 3 octaves, cello')?.openStrings, 'never');
  assert.deepEqual(rulesOf('D major violin')?.positions, { from: 1, to: 3 });
  assert.deepEqual(rulesOf('D major cello 4th position')?.positions, { only: [4] });
});

test('a key keeps the octave that was chosen, counted from the lowest of the instrument', () => {
  const tonic = (request: PlanRequest, ...keys: string[]) => {
    let now = request;
    for (const key of keys) now = withTonic(now, now.material as RunSpec, key);
    return (now.material as RunSpec).tonic;
  };
  assert.equal(tonic(base, 'Gb', 'G'), 'G3');
  const cello: PlanRequest = {
    instrument: 'cello',
    material: { type: 'scale', tonic: 'B2', scale: 'major', octaves: 1, direction: 'up' },
  };
  assert.equal(tonic(cello, 'C'), 'C2');
  const high = { ...base, material: { ...base.material, tonic: 'A4', octaves: 1 } as RunSpec };
  assert.equal(octaveRank(high, high.material), 1);
  assert.equal(tonic(high, 'Bb', 'G', 'A'), 'A4');
});

test('typing a letter finds the natural key before its signs', () => {
  for (const letter of ['C', 'D', 'E', 'F', 'G', 'A', 'B'])
    assert.equal(
      TONICS.find((name) => name.startsWith(letter)),
      letter,
    );
});

const SAID = [
  'G', 'eb', 'f#', 'A3', 'major', 'minor', 'harmonic minor', 'dorian', 'chromatic', 'arpeggio', 'in thirds', 'scale',
  'violin', 'viola', 'cello', 'bass', '1/2', 'full size', '15.5 inch', 'two octaves', '4 octaves', 'up', 'up and down',
  'first position', 'up to fifth position', 'thumb', 'no thumb', 'no shifts', 'two shifts', 'going to third position',
  'on the G string', 'no open strings', 'no little finger', 'no extensions', 'singing', 'no harmonics',
  'harmonic on the last note', 'without the second finger', 'at 90', '4 to a bow', 'low',
  'high', 'Wren', 'Otis', 'small hand', 'four fingers', 'banana', 'scael', '7', 'please', '?!', 'a', 'in', 'octaves',
]; // prettier-ignore

test('whatever is said in whatever order is understood as a request or asked back about', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...SAID), { minLength: 1, maxLength: 8 }), (words) => {
      const reading = read(words.join(' '));
      assert.notEqual(reading.kind, 'nothing');
      if (reading.kind === 'asked') assert.ok(reading.question.length > 0);
      if (reading.kind === 'understood') assert.ok(readRequest(reading.brief.request));
    }),
    runs(200),
  );
});

test('what was not said stays as it was', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SAID), (phrase) => {
      const wished: PlanRequest = {
        ...base,
        hand: 'large',
        tempo: { bpm: 72 },
        rules: { positions: { from: 1, to: 5 }, extensions: 'avoid' },
      };
      const reading = readTyped(phrase, wished, []);
      if (reading.kind !== 'understood') return;
      const { request } = reading.brief;
      if (!/\d\d/.test(phrase)) assert.deepEqual(request.tempo, wished.tempo);
      if (!/hand/.test(phrase)) assert.equal(request.hand, 'large');
      if (!/extension/.test(phrase)) assert.equal(request.rules?.extensions, 'avoid');
      const same = request.instrument === wished.instrument;
      if (same && !/position|thumb/.test(phrase)) assert.deepEqual(request.rules?.positions, { from: 1, to: 5 });
    }),
  );
});

test('any text at all is answered', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 120 }), (text) => {
      const reading = read(text);
      assert.ok(['nothing', 'asked', 'understood'].includes(reading.kind));
    }),
    runs(150),
  );
});

test('harmonics and fingers to do without are understood', () => {
  const rulesOf = (words: string) => {
    const reading = read(words);
    assert.equal(reading.kind, 'understood', words);
    return reading.kind === 'understood' ? reading.brief.request.rules : undefined;
  };
  assert.equal(rulesOf('A major, natural harmonic on the last note')?.harmonics, 'last');
  assert.equal(rulesOf('harmonic on top')?.harmonics, 'last');
  assert.equal(rulesOf('no harmonics')?.harmonics, 'never');
  assert.deepEqual(rulesOf('without the second finger')?.fingers, { never: [2] });
  assert.deepEqual(rulesOf('without 2nd finger, no third finger')?.fingers, { never: [2, 3] });
  assert.equal(rulesOf('A harmonic minor')?.harmonics, undefined);
});

const understood = (words: string) => {
  const reading = read(words);
  assert.equal(reading.kind, 'understood', `${words}: ${said(reading)}`);
  return (reading as Extract<TypedBrief, { kind: 'understood' }>).brief.request;
};

test('where to shift, what touches, how the hand opens: in the words teachers have for it', () => {
  const rulesOf = (words: string) => understood(words).rules;
  // The second A of the scale is its eighth note.
  assert.deepEqual(rulesOf('shift on A')?.locks, [{ at: 7, shift: true }]);
  assert.deepEqual(rulesOf('A major, three octaves, shift on B in bar 3')?.locks, [{ at: 8, shift: true }]);
  assert.match(said(read('shift on A in bar 3')), /no A in bar 3/);
  assert.equal(rulesOf('shifts on the semitone')?.shiftOn, 'semitone');
  assert.equal(rulesOf('same fingers back down')?.sameBack, true);
  assert.deepEqual(rulesOf('2 touches 1 on A')?.patterns, [{ string: 'A4', touch: [2, 1] }]);
  assert.deepEqual(rulesOf('first finger touching second on the D string')?.patterns, [
    { string: 'D4', touch: [1, 2] },
  ]);
  assert.match(said(read('2 touches 1 on C')), /no C string/);
  assert.equal(rulesOf('cello D major, closed')?.extensions, 'never');
  assert.equal(rulesOf('cello D major, opened forward')?.extensions, 'forward');
  assert.equal(rulesOf('cello D major, opened back')?.extensions, 'back');
  assert.equal(understood('bass F major, one finger per semitone').school, 'four-finger');
  assert.equal(understood('bass F major, pivoting').school, 'pivot');
});

test('keys are read in German and French, and every scale by its name', () => {
  const musicOf = (words: string) => {
    const { material } = understood(words);
    return 'scale' in material ? `${material.tonic.replace(/\d/, '')} ${material.scale}` : material.type;
  };
  assert.equal(musicOf('Es-Dur'), 'Eb major');
  assert.equal(musicOf('h-Moll melodic'), 'B melodic-minor');
  assert.equal(musicOf('B-Dur'), 'Bb major');
  assert.equal(musicOf('a-moll natural'), 'A natural-minor');
  assert.equal(musicOf('si bémol majeur'), 'Bb major');
  assert.equal(musicOf('do dièse mineur harmonic'), 'C# harmonic-minor');
  assert.match(said(read('fis-Moll')), /fis-Moll melodic/);
  for (const scale of SCALES) {
    if (/^(minor|pentatonic)$/.test(scale)) continue;
    const alias = { ionian: 'major', aeolian: 'natural-minor' }[scale] ?? scale;
    assert.equal(musicOf(`D ${scale.replaceAll('-', ' ')} scale`), `D ${alias}`, scale);
  }
});

test('beginners, the intermediate and children are told', () => {
  assert.equal(understood('D major for a beginner').meaning?.level, 'first-year');
  assert.equal(understood('G major, intermediate').meaning?.level, 'middle');
  const asked = read('D major for a child');
  assert.equal(asked.kind, 'asked');
  const [offer] = asked.kind === 'asked' ? asked.offers : [];
  const taken = understood(offer.typed ?? '');
  assert.deepEqual([taken.size, taken.meaning?.level], ['3/4', 'first-year']);
});
