import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  checkCard,
  drawnQuiz,
  earCards,
  elsewhereCard,
  findingsOf,
  isRight,
  namesCards,
  plan,
  positionCards,
  resolveSetup,
  shiftCards,
  type PlanRequest,
  type Quiz,
} from '../../../src/core';

/*
 * Cards against an independent computation: letters, signatures and hands are written out here once more, from what every player knows.
 */

const LETTERS = 'CDEFGAB';
const NATURAL = [0, 2, 4, 5, 7, 9, 11];
const SHARPS = 'FCGDAEB';

/** Signs of a key, by letter: +1 sharp, -1 flat. */
const SIGNATURES: Readonly<Record<string, number>> = {
  ...{ 'C major': 0, 'G major': 1, 'D major': 2, 'A major': 3, 'E major': 4, 'F major': -1, 'Bb major': -2 },
  ...{ 'Eb major': -3, 'Ab major': -4, 'E minor': 1, 'A minor': 0, 'C minor': -3 },
};
const KEYS = Object.keys(SIGNATURES);

function signIn(key: string, letter: string): number {
  const fifths = SIGNATURES[key];
  const at = SHARPS.indexOf(letter);
  if (fifths > 0) return at < fifths ? 1 : 0;
  return 6 - at < -fifths ? -1 : 0;
}

interface Note {
  readonly name: string;
  readonly midi: number;
}

const signText = (sign: number) => (sign > 0 ? '#' : sign < 0 ? 'b' : '');

/** "F#4" with its number of semitones. */
function noteOf(text: string): { readonly letter: string; readonly sign: number; readonly midi: number } {
  const [, letter, signs, octave] = /^([A-G])([#b]*)(-?\d+)$/.exec(text) ?? [];
  const sign = [...signs].reduce((sum, one) => sum + (one === '#' ? 1 : -1), 0);
  return { letter, sign, midi: NATURAL[LETTERS.indexOf(letter)] + sign + 12 * (Number(octave) + 1) };
}

/** The key's note some letters above an open string, as violinists count: finger f in position p is p + f - 1 letters up. */
function lettersUp(open: string, steps: number, key: string): Note {
  const { letter } = noteOf(open);
  const octave = Number(open.slice(-1));
  const at = LETTERS.indexOf(letter) + steps;
  const name = LETTERS[at % 7];
  const sign = signIn(key, name);
  const up = octave + Math.floor(at / 7);
  return { name: name + signText(sign), midi: NATURAL[at % 7] + sign + 12 * (up + 1) };
}

/** Stops of the closed hand in a position, as cellists and bassists of the one-two-four school know them. */
const FIRST_FINGER: Readonly<Record<string, number>> = { 0.5: 1, 1: 2, 2: 3, 3: 5, 4: 7 };
const HANDS: Readonly<Record<string, Readonly<Record<number, number>>>> = {
  cello: { 1: 0, 2: 1, 3: 2, 4: 3 },
  bass: { 1: 0, 2: 1, 4: 2 },
};

/** Every place of a position in a key: string, finger, note. */
function places(instrument: string, tuning: readonly string[], position: number, key: string) {
  const own = new Set([...LETTERS].map((letter) => letter + signText(signIn(key, letter))));
  return tuning.flatMap((open) => {
    const low = noteOf(open).midi;
    if (instrument === 'violin' || instrument === 'viola')
      return [1, 2, 3, 4].flatMap((finger) => {
        const note = lettersUp(open, position + finger - 1, key);
        // A finger has at least its own number of semitones under it.
        return note.midi - low >= finger ? [{ open, finger, ...note }] : [];
      });
    const first = FIRST_FINGER[position];
    return Object.entries(HANDS[instrument]).flatMap(([finger, place]) => {
      const midi = low + first + place;
      const name = [...own].find((one) => (noteOf(`${one}4`).midi - midi) % 12 === 0);
      return name === undefined ? [] : [{ open, finger: Number(finger), name, midi }];
    });
  });
}

const INSTRUMENTS = {
  violin: ['G3', 'D4', 'A4', 'E5'],
  viola: ['C3', 'G3', 'D4', 'A4'],
  cello: ['C2', 'G2', 'D3', 'A3'],
  bass: ['E1', 'A1', 'D2', 'G2'],
} as const;
type Kind = keyof typeof INSTRUMENTS;
const ALL = Object.keys(INSTRUMENTS) as Kind[];

let checked = 0;
const counted = (quizzes: readonly Quiz[]) => {
  checked += quizzes.length;
  return quizzes;
};

/** Every answer that may be given: one of the options, or any place of any string. */
function allAnswers({ ask, options }: Quiz, tuning: readonly string[]): string[] {
  if (options) return [...options];
  if (ask.kind === 'place') return tuning.flatMap((open) => [0, 1, 2, 3, 4].map((finger) => `${open} ${finger}`));
  if (ask.kind === 'elsewhere')
    return tuning.flatMap((open) => Array.from({ length: 25 }, (_, semitones) => `${open}+${semitones}`));
  return [...LETTERS].flatMap((letter) => ['', '#', 'b'].map((sign) => letter + sign));
}

test('of cards about positions every right answer is right and every other one wrong', () => {
  for (const instrument of ALL) {
    const tuning = INSTRUMENTS[instrument];
    const setup = resolveSetup({ instrument });
    for (const position of [1, 2, 3, 4])
      for (const key of KEYS) {
        const lie = places(instrument, tuning, position, key);
        for (const quiz of counted(positionCards({ setup, positions: [position], keys: [key] }))) {
          const { ask } = quiz;
          const isTrue = (answer: string): boolean => {
            switch (ask.kind) {
              case 'place': {
                const [open, finger] = answer.split(' ');
                const { midi } = noteOf(ask.pitch);
                if (finger === '0') return noteOf(open).midi === midi;
                return lie.some((one) => one.open === open && String(one.finger) === finger && one.midi === midi);
              }
              case 'name':
                return lie.some((one) => one.open === ask.string && one.finger === ask.finger && one.name === answer);
              case 'across': {
                const up = (open: string, finger: number) => {
                  const own = lie.find((one) => one.open === open && one.finger === finger);
                  return own && own.midi - noteOf(open).midi;
                };
                const from = up(ask.string, Number(ask.finger));
                const beside = [1, 2, 3, 4].filter((finger) => up(ask.other, finger) === from);
                return answer === 'none' ? beside.length === 0 : beside.includes(Number(answer));
              }
              default:
                return isRight(quiz, answer);
            }
          };
          for (const answer of allAnswers(quiz, tuning))
            assert.equal(isRight(quiz, answer), isTrue(answer), `${instrument} ${JSON.stringify(ask)} ${answer}`);
          assert.ok(quiz.right.every(isTrue));
        }
      }
  }
});

test('the names of a scale are those of its signature, forward and backwards', () => {
  for (const key of KEYS) {
    const [tonic] = key.split(' ');
    const from = LETTERS.indexOf(tonic[0]);
    const names = Array.from({ length: 8 }, (_, at) => LETTERS[(from + at) % 7]).map(
      (letter) => letter + signText(signIn(key, letter)),
    );
    assert.equal(names[0], tonic);
    const [up, down] = counted(namesCards(key));
    assert.deepEqual([up.right, down.right], [[names.join(' ')], [[...names].reverse().join(' ')]]);
  }
});

/** Intervals that the ear can judge, by semitones: pure ratio, and whether only together. */
const PURE: readonly (readonly [
  semitones: number,
  steps: number,
  ratio: readonly [number, number],
  together: boolean,
])[] = [
  [0, 0, [1, 1], false],
  [12, 7, [2, 1], false],
  [24, 14, [4, 1], false],
  [7, 4, [3, 2], false],
  [5, 3, [4, 3], false],
  [19, 11, [3, 1], false],
  [4, 2, [5, 4], true],
  [3, 2, [6, 5], true],
  [9, 5, [5, 3], true],
  [8, 5, [8, 5], true],
  [16, 9, [5, 2], true],
  [15, 9, [12, 5], true],
];

const cents = ([a, b]: readonly [number, number]) => 1200 * Math.log2(a / b);
/** Places by fifths from D: in Pythagorean tuning each fifth is 1.955 cents wider than the equal one. */
const FIFTH = cents([3, 2]) - 700;
const fifthsOf = (name: string) => {
  const { letter, sign } = noteOf(name);
  return 'FCGDAEB'.indexOf(letter) - 1 + 7 * sign;
};
const TOLERANCE = 12;

test('of cards about checks, other places and shifts every right answer is right and every other one wrong', () => {
  for (const instrument of ALL) {
    const tuning = INSTRUMENTS[instrument];
    const setup = resolveSetup({ instrument });
    for (const tonic of ['C', 'D', 'Eb', 'E', 'F', 'G', 'Ab', 'A', 'Bb'])
      for (const scale of ['major', 'natural-minor', 'harmonic-minor'])
        for (const octaves of [1, 2]) {
          const low = tuning.map((open) => noteOf(open).midi)[0];
          const octave = [1, 2, 3, 4].find((one) => noteOf(`${tonic}${one}`).midi >= low + 1) ?? 4;
          const request: PlanRequest = {
            instrument,
            material: { type: 'scale', tonic: `${tonic}${octave}`, scale, octaves, direction: 'updown' },
          };
          const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
          const [best] = response.plans;
          if (!best) continue;
          const aim = { system: 'pythagorean', tuning: 'pure', level: 'middle' } as const;
          const letter = LETTERS.indexOf(tonic[0]);
          const tonicPitch = { letter, alteration: noteOf(`${tonic}4`).sign };
          const { heard, shifts } = findingsOf(request, response, best, { ...aim, drone: tonicPitch });
          const once = new Map(heard.map((one) => [`${one.note.string} ${one.note.semitones}`, one]));
          for (const one of once.values()) {
            const check = checkCard(setup, one);
            const note = response.events[one.note.at];
            if (!check || !('pitches' in note)) continue;
            const [name] = note.pitches;
            const own = noteOf(name);
            for (const answer of counted([check]).flatMap((quiz) => allAnswers(quiz, tuning))) {
              const fits = (open: string) => fitsOpen(own, name, open, tuning, one.note.string, one.note.harmonic);
              const isTrue = answer === 'none' ? !tuning.some(fits) : fits(answer);
              assert.equal(isRight(check, answer), isTrue, `${instrument} ${name} on ${one.note.string}: ${answer}`);
            }
            const other = elsewhereCard(setup, one.note.pitch, one.note.string);
            for (const quiz of counted(other ? [other] : []))
              for (const answer of allAnswers(quiz, tuning)) {
                const [open, semitones] = answer.split('+');
                const isTrue = noteOf(open).midi + Number(semitones) === own.midi && open !== tuning[one.note.string];
                assert.equal(isRight(quiz, answer), isTrue, answer);
              }
          }
          for (const detail of shifts)
            for (const quiz of counted(shiftCards(detail, setup))) {
              const { shift } = detail;
              if (quiz.ask.kind === 'shift-far')
                for (const answer of allAnswers(quiz, tuning))
                  assert.equal(isRight(quiz, answer), Number(answer) === shift.semitones);
              else if (shift.guide) {
                const guide = noteOf(shift.guide.pitch);
                assert.deepEqual(quiz.right, [guide.letter + signText(guide.sign)]);
              }
            }
        }
  }
});

/** True where a note on its Pythagorean target, against an open string tuned in pure fifths, is within the tolerance of a pure interval. */
function fitsOpen(
  own: { readonly midi: number },
  name: string,
  open: string,
  tuning: readonly string[],
  string: number,
  harmonic: boolean,
): boolean {
  const at = tuning.indexOf(open);
  if (at === string) return false;
  const other = noteOf(open);
  const [above, below] = own.midi >= other.midi ? [own.midi, other.midi] : [other.midi, own.midi];
  const letters = (text: string) => LETTERS.indexOf(noteOf(text).letter) + 7 * Number(/-?\d+$/.exec(text)?.[0]);
  const steps = Math.abs(letters(name) - letters(open));
  const pure = PURE.find(([semitones, apart]) => semitones === above - below && apart === steps);
  if (!pure) return false;
  const [semitones, , ratio, together] = pure;
  if (together && Math.abs(at - string) !== 1) return false;
  const target = (text: string) => (fifthsOf(text) - fifthsOf('A4')) * FIFTH;
  const wide = (target(name) - target(open)) * (own.midi >= other.midi ? 1 : -1);
  return !harmonic && Math.abs(100 * semitones + wide - cents(ratio)) <= TOLERANCE;
}

test('by ear the target is where the card says, and the other lies as it says', () => {
  for (let midi = 40; midi < 90; midi++) {
    const octave = Math.floor(midi / 12) - 1;
    const letter = NATURAL.indexOf(midi % 12);
    if (letter < 0) continue;
    const [which, side] = counted(earCards({ letter, alteration: 0, octave }));
    assert.ok(which.ask.kind === 'ear-which' && side.ask.kind === 'ear-side');
    assert.equal(which.right.length, 1);
    assert.ok(['first', 'second'].includes(which.right[0]));
    assert.deepEqual(side.right, [side.ask.cents > 0 ? 'high' : 'low']);
    assert.ok(Math.abs(side.ask.cents) >= 20);
    assert.equal(which.ask.midi, midi);
  }
});

test('a card by ear sounds high or low by chance, and less far off the more the level hears', () => {
  const [which, side] = earCards({ letter: 0, alteration: 0, octave: 4 });
  let seed = 1;
  const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const sizes = (['first-year', 'early', 'middle', 'advanced'] as const).map((level) => {
    const drawn = Array.from({ length: 400 }, () => drawnQuiz(side, level, chance));
    for (const { ask, right } of drawn)
      assert.ok(ask.kind === 'ear-side' && right[0] === (ask.cents > 0 ? 'high' : 'low'));
    const high = drawn.filter(({ right }) => right[0] === 'high').length;
    assert.ok(high > 150 && high < 250, `${level}: ${high}`);
    return Math.max(...drawn.map(({ ask }) => (ask.kind === 'ear-side' ? Math.abs(ask.cents) : 0)));
  });
  assert.deepEqual(
    [...sizes].sort((a, b) => b - a),
    sizes,
  );
  assert.equal(new Set(sizes).size, 4);
  const firsts = Array.from({ length: 400 }, () => drawnQuiz(which, 'middle', chance).right[0]);
  const first = firsts.filter((one) => one === 'first').length;
  assert.ok(first > 150 && first < 250, String(first));
});

test('five thousand cards were held against it', () => {
  assert.ok(checked >= 5000, String(checked));
});
