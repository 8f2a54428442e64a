import assert from 'node:assert/strict';
import { test } from 'node:test';
import { aimFor, findingsOf, type Finding, type Level, type PlanRequest } from '../../../src/core';
import { planAlone } from '../best';

/*
 * Fifteen students, and what a good teacher says first to each.
 */

type Kind = Finding['kind'] | 'pattern' | 'low-high';

interface Situation {
  readonly who: string;
  /** What is said first, in a teacher's words. */
  readonly says: string;
  /** The findings that say so. */
  readonly first: readonly Kind[];
  readonly level: Level;
  readonly request: PlanRequest;
}

const scale = (tonic: string, octaves: number, name = 'major') =>
  ({ type: 'scale', tonic, scale: name, octaves, direction: 'updown' }) as const;
const doubles = (interval: 'third' | 'octave', tonic: string) =>
  ({ type: 'double-stops', interval, tonic, scale: 'major', octaves: 1, direction: 'updown' }) as const;
const FIRST = { positions: { only: [1] } } as const;

const SITUATIONS: readonly Situation[] = [
  {
    who: 'a child in its first month',
    says: 'On both strings 2 and 3 touch; 1 stands apart.',
    first: ['pattern'],
    level: 'first-year',
    request: {
      instrument: 'violin',
      size: '1/4',
      material: scale('D4', 1),
      rules: { ...FIRST, fourthFinger: 'never' },
    },
  },
  {
    who: 'a child with a quarter-size cello',
    says: 'One, three, four on D, and the same again on A.',
    first: ['pattern'],
    level: 'first-year',
    request: { instrument: 'cello', size: '1/4', material: scale('D3', 1), rules: FIRST },
  },
  {
    who: 'an adult beginner on the viola',
    says: 'Three is low here and high there; the fingers touch otherwise on each string.',
    first: ['pattern', 'trap', 'low-high'],
    level: 'first-year',
    request: { instrument: 'viola', material: scale('C3', 2), rules: FIRST },
  },
  {
    who: 'somebody who learns to shift',
    says: 'The shift: hear where it goes, and let the first finger carry the hand.',
    first: ['shift'],
    level: 'early',
    request: { instrument: 'violin', material: scale('C4', 2), rules: { positions: { from: 1, to: 3 } } },
  },
  {
    who: 'an advanced player with a small hand',
    says: 'Mind the reach: warm up, and do not hold it.',
    first: ['stretch'],
    level: 'advanced',
    request: { instrument: 'viola', size: '16.5', hand: 'small', material: doubles('octave', 'D3') },
  },
  {
    who: 'an audition at speed',
    says: 'The shift has no time at this tempo: begin slower, and stop before it.',
    first: ['shift'],
    level: 'advanced',
    request: { instrument: 'violin', material: scale('G3', 3), tempo: { bpm: 480 } },
  },
  {
    who: 'octaves',
    says: 'The frame narrows all the way up.',
    first: ['octaves', 'stretch'],
    level: 'middle',
    request: { instrument: 'violin', material: doubles('octave', 'A3') },
  },
  {
    who: 'thirds',
    says: 'One shift for two thirds: both fingers go together.',
    first: ['shift'],
    level: 'middle',
    request: { instrument: 'violin', material: doubles('third', 'C4') },
  },
  {
    who: 'a chromatic scale',
    says: 'The finger slides: low, then high, and far enough.',
    first: ['low-high', 'shift', 'trap'],
    level: 'early',
    request: { instrument: 'violin', material: scale('A3', 2, 'chromatic') },
  },
  {
    who: 'thumb position on the cello',
    says: 'The thumb comes up: arm and first finger carry the hand.',
    first: ['shift'],
    level: 'middle',
    request: { instrument: 'cello', material: scale('D2', 3) },
  },
  {
    who: 'half position on the bass',
    says: 'From one to four is the tone; where the hand moves, it moves as one.',
    first: ['pattern', 'shift'],
    level: 'first-year',
    request: { instrument: 'bass', material: scale('F1', 1), rules: { positions: { from: 0.5, to: 1 } } },
  },
  {
    who: 'a class in first position',
    says: 'Two and three touch on both strings.',
    first: ['pattern'],
    level: 'first-year',
    request: { instrument: 'violin', material: scale('G3', 1), rules: FIRST },
  },
  {
    who: 'a piece that goes to another key',
    says: 'Two lies low for F, then high for F sharp.',
    first: ['trap', 'low-high'],
    level: 'middle',
    request: {
      instrument: 'violin',
      material: {
        type: 'notes',
        key: 'C major',
        notes: 'C4 E4 F4 E4 A4 C5 B4 A4 F#4 A4 D5 C#5 B4 A4 F#4 D4'.split(' ').map((pitch) => ({ pitches: [pitch] })),
        changes: [{ at: 8, key: 'D major' }],
      },
      rules: FIRST,
    },
  },
  {
    who: 'an injured little finger',
    says: 'Without 4 the hand moves where it would have reached: look at those places first.',
    first: ['shift'],
    level: 'middle',
    request: { instrument: 'violin', material: scale('Ab3', 2), rules: { fingers: { never: [4] } } },
  },
  {
    who: 'a student at a conservatory',
    says: 'The far shift at the top; then where each note is true.',
    first: ['shift'],
    level: 'advanced',
    request: { instrument: 'violin', material: scale('Ab3', 3), tempo: { bpm: 120 } },
  },
];

const kindOf = (finding: Finding): Kind => (finding.kind === 'lesson' ? (finding.lesson.kind as Kind) : finding.kind);

test('what a teacher says first stands at the top for twelve of fifteen students, and nobody is told nothing', () => {
  const missed = SITUATIONS.flatMap(({ who, first, level, request }) => {
    const response = planAlone(request);
    assert.ok(response.plans[0], who);
    const { ranked } = findingsOf(request, response, response.plans[0], aimFor(level));
    assert.ok(ranked.length > 0, who);
    return first.includes(kindOf(ranked[0])) ? [] : [`${who}: ${ranked.slice(0, 3).map(kindOf).join(', ')}`];
  });
  assert.ok(SITUATIONS.length - missed.length >= 12, missed.join('\n'));
});
