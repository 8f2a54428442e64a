import { FINGERS } from '../players';
import { closed, oneOf, tagged, Type, type Described } from '../schema';
import { PositionSchema } from './request';

/*
 * A card's question, described. What is right is worked out when the card is made, so that it holds whatever becomes of the plan.
 */

const Finger = oneOf(FINGERS);
const Pitch = Type.String();
const Midi = Type.Integer();

export const QuizAsk = tagged('kind', [
  // Which string and finger for this note in this position.
  closed({ kind: oneOf(['place']), pitch: Pitch, position: PositionSchema, key: Type.String() }),
  // Which note is this finger on that string in that position.
  closed({ kind: oneOf(['name']), string: Pitch, finger: Finger, position: PositionSchema, key: Type.String() }),
  // Where else can it be played.
  closed({ kind: oneOf(['elsewhere']), pitch: Pitch, string: Pitch }),
  // Which finger on the next string lies right beside this one.
  closed({
    kind: oneOf(['across']),
    key: Type.String(),
    position: PositionSchema,
    string: Pitch,
    finger: Finger,
    other: Pitch,
  }),
  // Which open strings can it be checked against.
  closed({ kind: oneOf(['check']), pitch: Pitch, string: Pitch, finger: Finger }),
  // How far is this shift, and what is its guide note.
  closed({
    kind: oneOf(['shift-far', 'shift-guide']),
    from: Pitch,
    to: Pitch,
    string: Pitch,
    fromFinger: Finger,
    toFinger: Finger,
    fromPosition: PositionSchema,
    toPosition: PositionSchema,
  }),
  // The names of a scale, forward or backwards.
  closed({ kind: oneOf(['names', 'names-backwards']), key: Type.String(), position: Type.Optional(PositionSchema) }),
  // By ear: which of two is the target; is it high or low.
  closed({ kind: oneOf(['ear-which', 'ear-side']), pitch: Pitch, midi: Midi, cents: Type.Number() }),
]);
export type QuizAsk = Described<typeof QuizAsk>;

export const Quiz = closed({
  ask: QuizAsk,
  /** Every answer that counts; of names, the one list in its order. */
  right: Type.Array(Type.String(), { minItems: 1 }),
  /** What is offered to choose from; what is clicked on the neck or typed has none. */
  options: Type.Optional(Type.Array(Type.String())),
});
export type Quiz = Described<typeof Quiz>;
