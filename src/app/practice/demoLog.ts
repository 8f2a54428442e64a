import {
  heardOf,
  isRight,
  reachedIn,
  stepsOf,
  USUAL_TIMES,
  climbOf,
  type HeardAs,
  type Judged,
  type JudgedPlace,
  type PracticeTask,
  type Repetition,
  type AnswerRecord,
  type CardRecord,
  type LessonRecord,
  type PlanRecord,
  type SessionRecord,
  type StudentRecord,
} from '../../core';
import { sessionsOf, listPlans, listStudents } from '../../store/read';
import { joinLists } from '../../store/join';
import type { Lists } from '../../store/tableFiles';
import { isExample } from '../../store/records';
import { planTitle } from '../../wording/material';
import { meaningOf, type Meaning } from '../meaning';
import { dayOf, daysFrom } from './calendar';
import { positionQuizzes } from './decks';
import { demoTake } from './demoTakes';
import { assignedFor, proposed } from './lessons';
import { passageOf, placesOf } from './playedPassage';
import { seeded } from './seeded';

/*
 * Six weeks of made-up practice for the made-up studio, counted back from today, always by the same chances. Each student has a weakness or none; the program is left
 * to find it.
 */

/** How one student plays. */
interface Habit {
  readonly name: string;
  readonly perWeek: number;
  readonly repetitions: number;
  readonly tempo: readonly [first: number, goal: number];
  /** How likely a place is off, and how likely that is low; at so many beats a minute. */
  readonly off: (kinds: readonly string[], bpm: number) => number;
  readonly low: (kinds: readonly string[]) => number;
  readonly words: readonly string[];
  /** The microphone listens now and then. */
  readonly listens?: true;
}

const EVEN = 0.5;
const SLIP = 0.006;

const HABITS: readonly Habit[] = [
  {
    name: 'Wren',
    perWeek: 5,
    repetitions: 14,
    tempo: [60, 92],
    off: (kinds) => (kinds.includes('finger-3-3') ? 0.22 : SLIP),
    low: (kinds) => (kinds.includes('finger-3-3') ? 0.88 : EVEN),
    words: ['went well', 'the top is shaky', 'slow bow helped', ''],
    listens: true,
  },
  {
    name: 'Juno',
    perWeek: 4,
    repetitions: 12,
    tempo: [56, 80],
    off: (kinds) => (kinds.includes('up-3') ? 0.3 : SLIP),
    low: (kinds) => (kinds.includes('up-3') ? 0.9 : EVEN),
    words: ['arm tired after the thumb', '', 'heard each shift first'],
  },
  {
    name: 'Marlow',
    perWeek: 4,
    repetitions: 14,
    tempo: [72, 120],
    off: (_, bpm) => (bpm >= 100 ? 0.035 : SLIP / 2),
    low: () => EVEN,
    words: ['fast is a mess', '', 'better in rhythms'],
  },
  {
    name: 'Pip',
    perWeek: 3,
    repetitions: 8,
    tempo: [50, 66],
    off: () => 0.02,
    low: () => EVEN,
    words: ['fun', 'forgot the fourth finger', ''],
  },
  {
    name: 'Otis',
    perWeek: 2,
    repetitions: 8,
    tempo: [50, 63],
    off: () => 0.015,
    low: () => EVEN,
    words: ['', 'half position is cold'],
  },
];

const WEEKS = 6;
/** Of the sessions of a student who is listened to, every third. */
const LISTENED = 3;
const DAY_MS = 86_400_000;

/** Fills the log of the made-up students. What cannot be planned here is left out. */
export async function fillWithDemoPractice(now = Date.now()): Promise<void> {
  const [students, plans] = await Promise.all([listStudents(), listPlans()]);
  for (const [at, habit] of HABITS.entries()) {
    const student = students.find(({ id, name }) => isExample(id) && name === habit.name);
    // Not plans of one's own that were made for that student meanwhile.
    const own = plans.filter(({ id, studentId }) => isExample(id) && studentId === student?.id);
    if (student && (await sessionsOf(student.id)).length > 0) continue;
    const state = own[0] && (await meaningOf(own[0]));
    if (student && state?.kind === 'there')
      await joinLists(demoPractice(habit, student, own, state.meaning, now, seeded(at + 11)));
  }
}

function demoPractice(
  habit: Habit,
  student: StudentRecord,
  plans: readonly PlanRecord[],
  meaning: Meaning,
  now: number,
  chance: () => number,
): Lists {
  const today = dayOf(now);
  const sessions: SessionRecord[] = [];
  const repetitions: Repetition[] = [];
  const days = WEEKS * 7;
  for (let back = days; back >= 1; back--) {
    if (chance() > habit.perWeek / 7) continue;
    const day = daysFrom(today, -back);
    const startedAt = now - back * DAY_MS - Math.floor(chance() * 4 * 3_600_000);
    const progress = 1 - back / days;
    const left = habit.name === 'Otis' && back <= 2;
    const made = demoSession(habit, { student, meaning, day, startedAt, progress, left }, chance);
    const listens = habit.listens && sessions.length % LISTENED === 0;
    sessions.push(listens ? { ...made.session, byEar: true } : made.session);
    repetitions.push(...made.judged, ...(listens ? [demoTake(made.session, meaning, progress, chance)] : []));
  }
  const { cards, answers } = habit.name === 'Wren' ? demoCards(student, now, chance) : { cards: [], answers: [] };
  return { sessions, repetitions, cards, answers, lessons: [demoLesson(habit, student, plans, today, now, cards)] };
}

interface Moment {
  readonly student: StudentRecord;
  readonly meaning: Meaning;
  readonly day: string;
  readonly startedAt: number;
  /** From 0 six weeks ago to 1 today. */
  readonly progress: number;
  /** True where it was left in the middle. */
  readonly left: boolean;
}

function demoSession(habit: Habit, { student, meaning, day, startedAt, progress, left }: Moment, chance: () => number) {
  const { record, response } = meaning;
  const [first, goal] = habit.tempo;
  const from = Math.round(first + (goal - first) * progress * 0.6);
  const task: PracticeTask = {
    from: 0,
    to: response.events.length - 1,
    bpm: from,
    times: USUAL_TIMES,
    beatsEach: 1,
    clicks: 1,
    hearFirst: false,
    reminders: [],
    ladder: { kind: 'tempo', from, to: Math.max(from + 12, goal), by: { steps: 4 } },
  };
  const steps = stepsOf(task, passageOf(meaning));
  const places = placesOf(meaning, task);
  const id = crypto.randomUUID();
  const judged: Judged[] = [];
  const heards: HeardAs[] = [];
  const count = habit.repetitions + Math.floor(chance() * 5);
  for (let number = 0; number < (left ? 4 : count); number++) {
    const { step, done } = climbOf(heards, { steps: steps.length, times: task.times, plain: false });
    if (done) break;
    const { bpm } = steps[step];
    const slip = slipIn(places, bpm, habit, chance);
    heards.push(slip?.heard ?? 'in');
    judged.push({
      kind: 'judged',
      id: crypto.randomUUID(),
      sessionId: id,
      number,
      at: startedAt + number * 55_000,
      step,
      from: task.from,
      to: task.to,
      bpm,
      heard: slip?.heard ?? 'in',
      place: slip?.place ?? null,
    });
  }
  const minutes = Math.round(judged.length * 0.9 + chance() * 3);
  const reached = reachedIn(judged, task);
  const session: SessionRecord = {
    id,
    studentId: student.id,
    day,
    startedAt,
    endedAt: left ? null : startedAt + minutes * 60_000,
    minutes,
    what: planTitle(record),
    planId: record.id,
    task,
    places,
    heard: heardOf(judged),
    ...(reached === undefined ? {} : { reached }),
    goal: '',
    playerWords: habit.words[Math.floor(chance() * habit.words.length)],
    teacherWords: '',
    question: '',
    next: '',
    createdAt: startedAt,
    changedAt: startedAt,
  };
  return { session, judged };
}

/** The first place that goes wrong, if any does. */
function slipIn(
  places: readonly JudgedPlace[],
  bpm: number,
  { off, low }: Habit,
  chance: () => number,
): { readonly heard: HeardAs; readonly place: number } | null {
  for (const { at, kinds } of places)
    if (chance() < off(kinds, bpm)) {
      const missed = chance() < 0.1;
      return { heard: missed ? 'missed' : chance() < low(kinds) ? 'low' : 'high', place: at };
    }
  return null;
}

/** A deck half known. */
function demoCards(
  student: StudentRecord,
  now: number,
  chance: () => number,
): Required<Pick<Lists, 'cards' | 'answers'>> {
  const quizzes = positionQuizzes(student, 3, 'D major');
  const before = now - 20 * DAY_MS;
  const cards = quizzes.map((quiz, at): CardRecord => ({
    id: crypto.randomUUID(),
    studentId: student.id,
    deck: 'D major, 3rd position',
    quiz,
    createdAt: before + at,
    changedAt: before + at,
  }));
  const answers = cards
    .slice(0, 24)
    .flatMap((card): AnswerRecord[] =>
      [12, 9, 5].map((back) => ({
        id: crypto.randomUUID(),
        cardId: card.id,
        studentId: student.id,
        at: now - back * DAY_MS,
        right: isRight(card.quiz, card.quiz.right[0]) && chance() < 0.85,
        took: 3000 + Math.floor(chance() * 9000),
      })),
    );
  return { cards, answers };
}

/** The last lesson, a week ago. */
function demoLesson(
  { tempo }: Habit,
  student: StudentRecord,
  plans: readonly PlanRecord[],
  today: string,
  now: number,
  cards: readonly CardRecord[],
): LessonRecord {
  const minutes = student.level === 'first-year' ? 12 : 25;
  const assigned = plans
    .slice(0, 2)
    .map((plan, at) => ({ ...assignedFor(plan), ...(at === 0 ? { goalBpm: tempo[1] } : {}) }));
  const before = now - 7 * DAY_MS;
  return {
    id: crypto.randomUUID(),
    studentId: student.id,
    day: daysFrom(today, -7),
    minutes,
    assigned,
    items: proposed({ trends: [], old: [], cardsDue: cards.length, cards }, assigned, minutes),
    goal: 'Hear each shift before it is made',
    words: '',
    createdAt: before,
    changedAt: before,
  };
}
