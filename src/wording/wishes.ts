import { positionsOf, resolveSetup, type PlanRequest, type PositionNumber, type Rules } from '../core';
import { counted } from './grammar';
import { positionWords } from './places';

/*
 * Wishes of what a plan must do: a position to go to, how often to shift, down as up.
 */

interface Wish {
  readonly id: string;
  readonly words: string;
  /** What makes it, laid over the rules. */
  readonly rules: Rules;
}

/** Highest position that a lesson is about by name; in first everybody is. */
const TAUGHT_TO = 7;
const SHIFTS = [0, 1, 2, 3, 4];
const MOST_VISITS = 2;

/** The wishes not yet made. */
export function wishesToAdd(request: PlanRequest): Wish[] {
  const { rules = {}, material } = request;
  const { visit = [], mostShifts, sameBack } = rules;
  const positions = positionsOf(resolveSetup(request), request.school).filter(
    (position) =>
      position === 'thumb' || (position > 1 && position <= TAUGHT_TO && Number.isInteger(position)),
  );
  return [
    ...(visit.length < MOST_VISITS ? positions : [])
      .filter((position) => !visit.includes(position))
      .map((position) => ({
        id: `visit-${position}`,
        words: visitWords(position, request),
        rules: { visit: [...visit, position] },
      })),
    ...SHIFTS.filter((most) => most !== mostShifts).map((most) => ({
      id: `shifts-${most}`,
      words: shiftsWords(most),
      rules: { mostShifts: most },
    })),
    ...('direction' in material && material.direction === 'updown' && !sameBack
      ? [{ id: 'same-back', words: SAME_BACK, rules: { sameBack: true } }]
      : []),
  ];
}

/** The wishes made, each with what takes it out again. */
export function wishesMade(request: PlanRequest): (Omit<Wish, 'rules'> & { readonly without: Rules })[] {
  const { visit = [], mostShifts, sameBack } = request.rules ?? {};
  return [
    ...visit.map((position) => {
      const others = visit.filter((other) => other !== position);
      return {
        id: `visit-${position}`,
        words: visitWords(position, request),
        without: { visit: others.length > 0 ? others : undefined },
      };
    }),
    ...(mostShifts === undefined
      ? []
      : [{ id: 'shifts', words: shiftsWords(mostShifts), without: { mostShifts: undefined } }]),
    ...(sameBack ? [{ id: 'same-back', words: SAME_BACK, without: { sameBack: undefined } }] : []),
  ];
}

const SAME_BACK = 'the same fingers back down';

function visitWords(position: PositionNumber, { instrument }: PlanRequest): string {
  return `going to ${positionWords(position, instrument)}`;
}

function shiftsWords(most: number): string {
  return most === 0 ? 'no shift at all' : `at most ${counted(most, 'shift')}`;
}
