import { positionsOf } from '../../hand/positions';
import type { Setup } from '../../instrument/setup';
import type { PositionNumber, Quiz, QuizAsk, School } from '../../vocabulary';
import { readKey } from '../drills';
import { acrossCards } from './acrossCard';
import { inKey, lyingIn } from './lying';
import { nameCard } from './nameCard';
import { namesCards } from './namesCard';
import { placeCards } from './placeCard';

/*
 * Cards: questions made from a student's own instrument, positions and keys, or from a plan; a file a kind. Each has every answer that is right, so that where two
 * are, both count.
 */

export { NO_FINGER } from './acrossCard';
export { checkCard, NO_STRING } from './checkCard';
export { drawnQuiz, earCards } from './earCard';
export { elsewhereCard, spotAnswer } from './elsewhereCard';
export { lyingIn, type Lying } from './lying';
export { namesCards } from './namesCard';
export { placeAnswer } from './placeCard';
export { shiftCards } from './shiftCard';

/** How a card is answered: on the fingers as they lie, on the whole neck, by a choice, by a letter, by letters one after the other. */
export type AnsweredBy = 'fingers' | 'neck' | 'choice' | 'letter' | 'letters';

/** Every kind of card, with how it is answered. */
const KINDS: Readonly<Record<QuizAsk['kind'], AnsweredBy>> = {
  place: 'fingers',
  name: 'letter',
  across: 'choice',
  elsewhere: 'neck',
  check: 'choice',
  'shift-far': 'choice',
  'shift-guide': 'letter',
  names: 'letters',
  'names-backwards': 'letters',
  'ear-which': 'choice',
  'ear-side': 'choice',
};

export const answeredBy = ({ ask }: Pick<Quiz, 'ask'>): AnsweredBy => KINDS[ask.kind];

/** What cards are made for. */
export interface Pupil {
  readonly setup: Setup;
  readonly school?: School;
  readonly positions: readonly PositionNumber[];
  /** Keys by name, such as "D major". */
  readonly keys: readonly string[];
}

/** Every card that a position and a key give: where notes lie, what fingers play, what lies side by side, and the scale's names. */
export function positionCards({ setup, school, positions, keys }: Pupil): Quiz[] {
  return keys.flatMap((name) => {
    const key = readKey(name);
    return [
      ...positions.flatMap((position) => {
        const lying = lyingIn(setup, key, position, school);
        const own = lying.filter(({ pitch }) => inKey(key, pitch));
        return [
          ...placeCards(setup, name, position, own),
          ...own.map((one) => nameCard(setup, name, position, one)),
          ...acrossCards(setup, name, position, own),
        ];
      }),
      ...namesCards(name),
    ];
  });
}

/** Positions that a pupil has on their instrument, by the numbered ones they know. */
export function positionsKnown(
  setup: Setup,
  school: School | undefined,
  knows: (position: PositionNumber) => boolean,
): PositionNumber[] {
  return positionsOf(setup, school).filter((position) => position !== 'thumb' && knows(position));
}

/** True where an answer counts; of names the whole list, in its order. */
export function isRight({ right }: Quiz, answer: string): boolean {
  return right.includes(answer);
}
