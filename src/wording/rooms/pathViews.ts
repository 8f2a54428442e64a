import { positionName } from '../places';
import type { InstrumentName, PositionNumber } from '../../core';

export const path = 'Path';
export const whatComesNext = 'What comes next';
export const goal = 'Goal';
export const order = 'Positions come';
export const asItFallsOut = 'as it falls out';
export const goalPosition = (position: PositionNumber, instrument: InstrumentName) =>
  `${positionName(position, instrument)} position`;
export const goalScales = (octaves: string) => `all major scales, ${octaves}`;
export const oneOctave = 'one octave';
export const twoOctaves = 'two octaves';
export const threeOctaves = 'three octaves';
export const ownPlans = 'a plan of the student: ';
export const orderWords = (words: readonly string[]) => words.join(', ');
export const opened = 'opened';
export const lookingForSteps = 'Looking for steps …';
export const plannedOf = (done: number, all: number) => `Planning the steps that could come: ${done} of ${all}.`;
export const stop = 'Stop';
export const stopped = 'Stopped. Choose a goal to look again.';
export const goalIsReached = 'This goal is reached: nothing is missing.';
export const noWay = 'No row of steps leads there.';
export const stepsSoFar = (steps: string, things: string) => `${steps}; ${things} missing now.`;
export const comesAgain = 'comes round again';
export const atGoal = 'the goal';
export const open = 'Open';
export const hasIt = 'Has it';
export const skip = 'Skip';
export const intoNextWeek = 'Into next week';
export const isInNextWeek = (what: string) => `${what} is assigned for next week.`;
export const toTheLesson = 'To the lesson';
export const couldComeFirst = 'What could come first';
export const where = 'Where the student stands';
export const standingWords = { known: 'known', shaky: 'shaky', 'at-work': 'at work' } as const;
export const saidByTeacher = 'the teacher’s word';
export const evidence = (days: number, off: number, tries: number) =>
  [`clean on ${days} ${days === 1 ? 'day' : 'days'}`, ...(tries > 0 ? [`${off} of the last ${tries} off`] : [])].join(
    ', ',
  );
export const notYet = 'Not yet';
export const nothingKnown =
  'Nothing is known of this student yet. Say what is there, and the path begins behind it; or let the log show it.';
export const tickWhatIsThere = 'What does the student have?';
export const couldNotBeFound = 'The path could not be worked out. Choose a goal to try again.';
export const planIsGone = 'The plan that was the goal is gone. Choose another goal.';
export const bestOfAll = 'No better row of steps exists.';
export const maybeBetter = (worse: number) =>
  worse > 0
    ? `A better row may exist: it would have ${worse} fewer hard steps or things not needed at most.`
    : 'No row needs fewer hard steps or other things; another order may suit as well.';
export const outOfOrder = 'No row brings the positions in this order; here they come as they fall out.';
export const twoAtOnce = 'several at once: no plan brings them one by one';
export const restIs = (words: string) => `After that is still missing: ${words}.`;
export const undoSkips = (count: number) => `Take ${count} skipped ${count === 1 ? 'step' : 'steps'} in again`;
