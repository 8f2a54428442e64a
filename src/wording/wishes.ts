import {
  positionsOf,
  resolveSetup,
  type PlanRequest,
  type PositionNumber,
  type Rules,
  type TouchingPattern,
} from '../core';
import { patternWords, sparedWords } from './brief';
import { counted, countWords } from './grammar';
import { positionWords } from './places';
import { stretchesMade } from './stretches';

/*
 * Wishes of what a plan must do: a position to go to, how often to shift, down as up; and how it is bowed.
 */

interface Wish {
  readonly id: string;
  /** What the list calls such wishes. */
  readonly group: string;
  readonly words: string;
  /** The request with it. */
  readonly request: PlanRequest;
}

/** Highest position that a lesson is about by name; in first everybody is. */
const TAUGHT_TO = 7;
const SHIFTS = [0, 1, 2, 3, 4];
const MOST_VISITS = 2;

/** The wishes not yet made. */
export function wishesToAdd(request: PlanRequest): Wish[] {
  const { rules = {}, material } = request;
  const { visit = [], mostShifts, sameBack, patterns = [] } = rules;
  const spared = rules.fingers?.never ?? [];
  const withRules = (part: Rules) => ({ ...request, rules: { ...rules, ...part } });
  const positions = positionsOf(resolveSetup(request), request.school).filter(
    (position) => position === 'thumb' || (position > 1 && position <= TAUGHT_TO && Number.isInteger(position)),
  );
  return [
    ...(visit.length < MOST_VISITS ? positions : [])
      .filter((position) => !visit.includes(position))
      .map((position) => ({
        id: `visit-${position}`,
        group: 'Positions',
        words: visitWords(position, request),
        request: withRules({ visit: [...visit, position] }),
      })),
    ...SHIFTS.filter((most) => most !== mostShifts).map((most) => ({
      id: `shifts-${most}`,
      group: 'Shifts',
      words: shiftsWords(most),
      request: withRules({ mostShifts: most }),
    })),
    ...SPARED.filter((finger) => !spared.includes(finger)).map((finger) => ({
      id: `spare-${finger}`,
      group: 'Fingers',
      words: sparedWords(finger),
      request: withRules({ fingers: { never: [...spared, finger] } }),
    })),
    ...resolveSetup(request).strings.flatMap(({ name }) =>
      TOUCHING.map(([a, b]): TouchingPattern => ({ string: name, touch: [a, b] }))
        .filter((pattern) => !patterns.some((made) => patternId(made) === patternId(pattern)))
        .map((pattern) => ({
          id: patternId(pattern),
          group: PATTERNS,
          words: patternWords(pattern),
          request: withRules({ patterns: [...patterns, pattern] }),
        })),
    ),
    ...('direction' in material && material.direction === 'updown' && !sameBack
      ? [{ id: 'same-back', group: 'Fingers', words: SAME_BACK, request: withRules({ sameBack: true }) }]
      : []),
    ...('direction' in material ? PER_BOW.filter((count) => count !== material.notesPerBow) : []).map((count) => ({
      id: `bow-${count}`,
      group: 'Bow',
      words: perBowWords(count),
      request: onBows(request, count),
    })),
  ];
}

/** The wishes made, each with the request without it. */
export function wishesMade(request: PlanRequest): Wish[] {
  const { material } = request;
  const { visit = [], mostShifts, sameBack, fingers, patterns = [] } = request.rules ?? {};
  const without = (part: Rules) => ({ ...request, rules: { ...request.rules, ...part } });
  const perBow = 'direction' in material ? material.notesPerBow : undefined;
  return [
    ...visit.map((position) => {
      const others = visit.filter((other) => other !== position);
      return {
        id: `visit-${position}`,
        group: 'Positions',
        words: visitWords(position, request),
        request: without({ visit: others.length > 0 ? others : undefined }),
      };
    }),
    ...(mostShifts === undefined
      ? []
      : [
          {
            id: 'shifts',
            group: 'Shifts',
            words: shiftsWords(mostShifts),
            request: without({ mostShifts: undefined }),
          },
        ]),
    ...(fingers?.never ?? []).map((finger) => {
      const others = (fingers?.never ?? []).filter((other) => other !== finger);
      return {
        id: `spare-${finger}`,
        group: 'Fingers',
        words: sparedWords(finger),
        request: without({ fingers: others.length > 0 ? { never: others } : undefined }),
      };
    }),
    ...patterns.map((pattern) => {
      const others = patterns.filter((other) => other !== pattern);
      return {
        id: patternId(pattern),
        group: PATTERNS,
        words: patternWords(pattern),
        request: without({ patterns: others.length > 0 ? others : undefined }),
      };
    }),
    ...(sameBack
      ? [{ id: 'same-back', group: 'Fingers', words: SAME_BACK, request: without({ sameBack: undefined }) }]
      : []),
    ...stretchesMade(request).map(({ id, words, request: left }) => ({ id, group: 'Stretches', words, request: left })),
    ...(perBow ? [{ id: 'bow', group: 'Bow', words: perBowWords(perBow), request: onBows(request, undefined) }] : []),
  ];
}

/** Notes to a bow that are asked for in lessons. */
const PER_BOW = [1, 2, 3, 4, 6, 8];

function onBows(request: PlanRequest, notesPerBow: number | undefined): PlanRequest {
  const { material } = request;
  return material.type === 'notes' ? request : { ...request, material: { ...material, notesPerBow } };
}

/** "four notes to a bow". */
export function perBowWords(count: number): string {
  return count === 1 ? 'a bow to each note' : `${countWords(count)} notes to a bow`;
}

/** Fingers that a lesson may do without; the little finger has words of its own. */
const SPARED = [2, 3] as const;

/** Neighbouring fingers that may touch. */
const TOUCHING = [
  [1, 2],
  [2, 3],
  [3, 4],
] as const;
const PATTERNS = 'Patterns';

const patternId = ({ string, touch }: TouchingPattern) => `touch-${[...touch].sort().join('-')}-${string}`;

const SAME_BACK = 'the same fingers back down';

function visitWords(position: PositionNumber, { instrument }: PlanRequest): string {
  return `going to ${positionWords(position, instrument)}`;
}

function shiftsWords(most: number): string {
  return most === 0 ? 'no shift at all' : `at most ${counted(most, 'shift')}`;
}
