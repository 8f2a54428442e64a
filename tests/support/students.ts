import {
  aimFor,
  countsOf,
  findingsOf,
  joinedSums,
  kindsOfNotes,
  plan,
  playedNotes,
  trendsIn,
  type DayOfSums,
  type Judged,
  type JudgedPlace,
  type Kind,
  type PlanRequest,
  type Sums,
  type Trend,
} from '../../src/core';

/*
 * Made-up students over real plans: what they would write into the log, and what is told of it.
 */

const REQUESTS: readonly PlanRequest[] = [
  ['violin', 'A3', 2],
  ['violin', 'Eb4', 2],
  ['violin', 'G3', 3],
  ['viola', 'D3', 2],
  ['cello', 'F2', 2],
].map(([instrument, tonic, octaves]): PlanRequest => ({
  instrument: instrument as 'violin',
  material: { type: 'scale', tonic: String(tonic), scale: 'major', octaves: Number(octaves), direction: 'updown' },
  alternatives: 1,
  explain: 'nothing',
}));

let made: readonly (readonly JudgedPlace[])[] | undefined;

/** The places of some plans, by their kinds. */
function planPlaces(): readonly (readonly JudgedPlace[])[] {
  made ??= REQUESTS.map((request) => {
    const response = plan(request);
    const [first] = response.plans;
    const findings = findingsOf(request, response, first, aimFor('middle'));
    const kinds = kindsOfNotes(playedNotes(response.events, first, findings.setup), findings);
    return [...kinds].map(([at, own]) => ({ at, kinds: own }));
  });
  return made;
}

export type Chance = () => number;

/** One repetition to come: what is played, and how likely each place is off. */
interface Task {
  readonly places: readonly JudgedPlace[];
  readonly off: (place: JudgedPlace) => number;
  readonly bpm: number;
}

/** How a student works: the repetitions of one day. */
export type Habit = (chance: Chance, plans: readonly (readonly JudgedPlace[])[], day: number) => readonly Task[];

const pick = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance() * list.length)];
const REPETITIONS = 10;

/** A stretch of a plan of so many notes. */
function stretch(chance: Chance, places: readonly JudgedPlace[], notes: number): readonly JudgedPlace[] {
  const from = Math.floor(chance() * Math.max(1, places.length - notes));
  return places.slice(from, from + notes);
}

/** How likely each of some notes is off where one repetition in so many slips. */
const each = (slips: number, notes: number) => 1 - (1 - slips) ** (1 / notes);

const many = (task: Task, times = REPETITIONS): Task[] => Array.from({ length: times }, () => task);

const target = (chance: Chance, places: readonly JudgedPlace[], bpm = 60): Task[] =>
  many({ places: [pick(chance, places)], off: () => 0.2, bpm });

const passage = (chance: Chance, places: readonly JudgedPlace[], notes: number, bpm = 60): Task[] =>
  many({ places: stretch(chance, places, notes), off: () => each(0.4, notes), bpm });

/** Students without any weakness. */
export const STEADY: Readonly<Record<string, Habit>> = {
  targets: (chance, plans) => [...target(chance, plans[0]), ...target(chance, plans[1])],
  'whole passages': (chance, plans) => [...passage(chance, plans[0], 16), ...passage(chance, plans[2], 16)],
  'half and half': (chance, plans) => [...target(chance, plans[1]), ...passage(chance, plans[1], 16)],
  'mixed lengths': (chance, plans) =>
    [4, 9, 16, 25].flatMap((notes) => passage(chance, pick(chance, plans.slice(0, 3)), notes).slice(0, 5)),
  'growing from the end': (chance, plans) => {
    const whole = stretch(chance, plans[0], 12);
    return whole.flatMap((_, n) => {
      const own = whole.slice(whole.length - 1 - n);
      return many({ places: own, off: () => each(0.35, own.length), bpm: 60 }, 3);
    });
  },
  'a ladder of tempi': (chance, plans) =>
    [60, 72, 84, 96, 108].flatMap((bpm) => passage(chance, plans[3], 14, bpm).slice(0, 4)),
};

/** One repetition as it is written: of a passage the first slip is named. */
function judge(chance: Chance, { places, off, bpm }: Task, low: (kinds: readonly string[]) => number): Judged {
  const slip = places.find((place) => chance() < off(place));
  const heard = !slip ? 'in' : chance() < 0.1 ? 'missed' : chance() < low(slip.kinds) ? 'low' : 'high';
  return {
    ...{ kind: 'judged', id: '', sessionId: '', number: 0, at: 0, step: 0 },
    ...{ from: places[0].at, to: places[places.length - 1].at, bpm, heard, place: slip?.at ?? null },
  };
}

const even = () => 0.5;

/** The sums of one day. */
function dayOf(chance: Chance, tasks: readonly Task[], low: (kinds: readonly string[]) => number): Sums {
  return tasks.reduce<Sums>((sums, task) => joinedSums(sums, countsOf(judge(chance, task, low), task.places)), {});
}

/** Days of half a year; looked at every second. */
const HALF_A_YEAR = 182;

/** What is told to a student in half a year, looked at every so many days; the first time anything is. */
export function firstTold(chance: Chance, habit: Habit, every = 2): Trend | undefined {
  const plans = planPlaces();
  const days: DayOfSums[] = [];
  for (let n = 0; n < HALF_A_YEAR; n++) {
    days.push({ day: String(n).padStart(4, '0'), sums: dayOf(chance, habit(chance, plans, n), even) });
    if (n % every !== every - 1) continue;
    const [trend] = trendsIn(days);
    if (trend) return trend;
  }
  return undefined;
}

/** Whether a kind that is low so often is told once so many of its tries were off; beside others that are not. */
export function sideTold(chance: Chance, off: number, low = 0.8): boolean {
  const weak: Kind = 'finger-3-3';
  const days: DayOfSums[] = [];
  for (let n = 0; n < off; n++) {
    const isLow = Number(chance() < low);
    const sums: Sums = {
      [`${weak} of-16`]: [4, isLow, 1 - isLow, 0],
      'finger-1-1 of-16': [40, Number(chance() < 0.5), Number(chance() < 0.5), 0],
    };
    days.push({ day: String(n).padStart(4, '0'), sums });
    if (trendsIn(days).some(({ kind, side }) => kind === weak && side === 'low')) return true;
  }
  return false;
}

/** Whether a place that is off in one share, beside others off in another, is told after so many tries. */
export function oftenTold(
  chance: Chance,
  { tries, others, off = 0.2, otherOff = 0.1 }: { tries: number; others: number; off?: number; otherOff?: number },
): boolean {
  const weak: Kind = 'finger-3-3';
  const DAYS = 50;
  const days: DayOfSums[] = [];
  const tossed = (count: number, share: number): readonly [number, number, number, number] => {
    let low = 0;
    let high = 0;
    for (let n = 0; n < count; n++) {
      if (chance() >= share) continue;
      if (chance() < 0.5) low++;
      else high++;
    }
    return [count, low, high, 0];
  };
  for (let n = 0; n < DAYS; n++) {
    const part = (all: number) => Math.floor(((n + 1) * all) / DAYS) - Math.floor((n * all) / DAYS);
    days.push({
      day: String(n).padStart(4, '0'),
      sums: { [`${weak} of-16`]: tossed(part(tries), off), 'finger-1-1 of-16': tossed(part(others), otherOff) },
    });
    if (trendsIn(days).some(({ kind, often }) => kind === weak && often)) return true;
  }
  return false;
}
