import type { PlanRecord, StudentRecord } from '../core';
import { planTitle } from '../wording/material';
import { barWords } from '../wording/places';
import type { Speech } from '../wording/plans';
import { planLine } from '../wording/ways';
import { session } from './bench';
import {
  carryMarked,
  choosePlan,
  layBeside,
  moveCursor,
  redo,
  setStudent,
  takeOwnNotes,
  toggleMarking,
  undo,
  unmark,
} from './edits';
import { keyOf, type KeyId } from './keymap';
import { listen, setCountIn, setDrone, setLoop, useListening } from './listening';
import { LINE_WORDS, NAMES_WORDS, setLines, setNames, toggleNeck, useLook, zoomBy } from './look';
import { givePlan, newPlanFor, openPlan, practise } from './opening';
import { planOf, responseOf } from './session/state';
import * as appText from '../wording/rooms/app';
import * as commandListText from '../wording/rooms/commandList';

/** Something that can be done by its name. */
export interface Command {
  /** Tells it from all others, also from those of the same name. */
  readonly id: string;
  readonly words: string;
  /** The key that does the same, where there is one. */
  readonly keys?: string;
  readonly act: () => void;
}

function command(id: string, words: string, act: () => void, key?: KeyId): Command {
  return { id, words, act, ...(key ? { keys: keyOf(key).shown } : {}) };
}

/** Everything that can be done on the Bench now. */
export function commandsFor(
  students: readonly StudentRecord[],
  plans: readonly PlanRecord[],
  speech: Speech | null,
): Command[] {
  const state = session.store.getState();
  const { record, selection, chosen } = state;
  const { playing, loop, countIn, drone } = useListening.getState();
  const { lines, neck } = useLook.getState();
  const response = responseOf(state);
  const owner = (plan: PlanRecord) => students.find(({ id }) => id === plan.studentId);
  return [
    command('listen', playing ? commandListText.stopListening : 'Listen', listen, 'listen'),
    command('loop', loop ? commandListText.playOnce : commandListText.playInALoop, () => setLoop(!loop)),
    command('count-in', countIn ? commandListText.startWithoutCountingIn : commandListText.countInFirst, () =>
      setCountIn(!countIn),
    ),
    ...(drone === null ? [] : [command('drone-off', commandListText.silenceTheDrone, () => setDrone(null))]),
    command('undo', 'Undo', undo, 'undo'),
    command('redo', 'Redo', redo, 'redo'),
    command('mark', commandListText.markNotes, toggleMarking),
    ...(selection
      ? [
          command('carry-on', commandListText.repeatTheMarkedFingering, carryMarked),
          command('unmark', 'Unmark', unmark),
        ]
      : []),
    command('new-plan', commandListText.newPlanForNobody, () => void newPlanFor(null)),
    ...students.map((student) =>
      command(`new-for-${student.id}`, commandListText.newPlanFor(student.name), () => void newPlanFor(student)),
    ),
    command('own-notes', commandListText.notesOfMyOwn, () => takeOwnNotes()),
    ...LINE_WORDS.filter(([choice]) => choice !== lines).map(([choice, words]) =>
      command(`lines-${choice}`, `Picture: ${words}`, () => setLines(choice)),
    ),
    command('larger', commandListText.closerPicture, () => zoomBy(1)),
    command('smaller', commandListText.moreOfTheMusic, () => zoomBy(-1)),
    command('neck', neck ? commandListText.putTheLargeNeck : commandListText.showTheNeckLarge, toggleNeck),
    ...NAMES_WORDS.map(([names, words]) =>
      command(`names-${names}`, commandListText.noteNames(words), () => setNames(names)),
    ),
    ...(planOf(state)?.shifts ?? []).map((shift, at) =>
      command(
        `shift-${shift.to}`,
        commandListText.goToShift(at + 1, speech ? appText.at(barWords(speech.place(shift.to))) : ''),
        () => moveCursor(shift.to),
      ),
    ),
    ...(response?.plans ?? []).flatMap((plan, at) => {
      if (at === chosen || !speech) return [];
      const words = planLine(plan, speech);
      return [
        command(`choose-${at}`, commandListText.chooseWay(at + 1, words), () => choosePlan(plan)),
        command(`compare-${at}`, commandListText.compareWithWay(at + 1), () => layBeside(at)),
      ];
    }),
    ...students
      .filter(({ id }) => id !== record.studentId)
      .flatMap((student) => [
        command(`for-${student.id}`, commandListText.planThisFor(student.name), () => setStudent(student)),
        command(`give-${student.id}`, commandListText.giveACopyTo(student.name), () => void givePlan(student)),
      ]),
    ...plans
      .filter(({ id }) => id !== record.id)
      .map((plan) =>
        command(`open-${plan.id}`, commandListText.open(planTitle(plan, owner(plan))), () => void openPlan(plan.id)),
      ),
    command(
      'practise',
      selection ? commandListText.practiseTheMarkedNotes : commandListText.practiseThisPlan,
      () => void practise(),
    ),
    command('studio', commandListText.goToTheStudio, () => location.assign('/studio')),
    command('keys', commandListText.allKeys, () => location.assign('/keys')),
    command('licences', 'Licences', () => location.assign('/licences')),
    command('typing', commandListText.howToTypeNotes, () => location.assign('/notes')),
  ];
}
