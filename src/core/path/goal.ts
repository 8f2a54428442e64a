import { resolveSetup } from '../instrument/setup';
import { midiOf, parsePitch, pitchName } from '../pitch/pitch';
import { bestAlone, plan } from '../planner/plan';
import type {
  NoteSpec,
  PathAsk,
  PathStudent,
  Plan,
  PlanRequest,
  PlanResponse,
  PositionNumber,
  Problem,
  ScalesGoal,
} from '../vocabulary';
import { scalesIn } from './candidates';
import type { Wanted } from './range';
import { skillsOf, type Skill } from './skills';
import { plannedStep, stepOf, type PlannedStep } from './steps';

/*
 * Where a path leads: the plans it has to end with, or those whose skills it has to bring, and parts of them as steps of their own.
 */

/** What cannot be reached: a plan that this hand cannot play, with what would help; or a thing that is beyond its spread. */
export interface Unreachable {
  /** The skill; "plan" where there is no fingering at all. */
  readonly id: string;
  readonly request: PlanRequest;
  /** Why there is no fingering, and the answer that says so. */
  readonly problem?: Problem;
  readonly response?: PlanResponse;
  /** Where a spread is beyond the hand, in events. */
  readonly at?: number;
}

export interface Goal {
  /** Plans that the row passes in this order; it ends with the last. */
  readonly stations: readonly PlannedStep[];
  /** Plans whose skills are needed too, that may be steps. */
  readonly others: readonly PlannedStep[];
  /** Parts of the goal's plans as steps of their own. */
  readonly parts: readonly PlanRequest[];
  readonly unreachable: readonly Unreachable[];
  readonly wanted: Wanted;
}

const NO_GOAL: Goal = {
  stations: [],
  others: [],
  parts: [],
  unreachable: [],
  wanted: { positions: [], octaves: 1, doubleStops: false },
};

/** A goal, planned. */
export function goalOf(student: PathStudent, goal: PathAsk['goal']): Goal {
  if ('all' in goal) return goal.all.map((one) => goalOf(student, one)).reduce(joined, NO_GOAL);
  if ('position' in goal) return positionGoal(student, goal.position);
  if ('scales' in goal) return scalesGoal(student, goal);
  return planGoal(goal);
}

function joined(a: Goal, b: Goal): Goal {
  return {
    stations: [...a.stations, ...b.stations],
    others: [...a.others, ...b.others],
    parts: [...a.parts, ...b.parts],
    unreachable: [...a.unreachable, ...b.unreachable],
    wanted: {
      positions: [...a.wanted.positions, ...b.wanted.positions],
      octaves: Math.max(a.wanted.octaves, b.wanted.octaves),
      doubleStops: a.wanted.doubleStops || b.wanted.doubleStops,
    },
  };
}

/** One plan or piece. */
function planGoal(request: PlanRequest): Goal {
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const [best] = response.plans;
  if (!best) return { ...NO_GOAL, unreachable: [{ id: 'plan', request, problem: response.problems[0], response }] };
  const skills = skillsOf(request, response, best);
  const station = stepOf(request, response);
  return {
    ...NO_GOAL,
    stations: station ? [station] : [],
    parts: partsOf(request, response, best, skills),
    unreachable: station ? [] : beyondIn(request, response, best, skills),
    wanted: wantedOf(request, best),
  };
}

/** The skills that show at notes which are beyond the hand. */
function beyondIn(request: PlanRequest, response: PlanResponse, best: Plan, skills: readonly Skill[]): Unreachable[] {
  const beyond = best.reach.filter(({ verdict }) => verdict === 'beyond').map(({ at }) => at);
  const of = skills.filter(({ id, at }) => isOfTheHand(id) && at.some((one) => beyond.includes(one)));
  const found = of.map(({ id, at }) => ({ id, request, response, at: at.find((one) => beyond.includes(one)) }));
  return found.length > 0 ? found : [{ id: 'plan', request, response, at: beyond[0] }];
}

const isOfTheHand = (id: string) => /^(pattern|extension|double|fourth-for-open)/.test(id);

function wantedOf({ material }: PlanRequest, { steps }: Plan): Wanted {
  const stopped = steps.filter(({ stops }) => stops.some(({ finger }) => finger !== 0));
  return {
    positions: [...new Set(stopped.map(({ position }) => position))],
    octaves: 'octaves' in material ? material.octaves : 1,
    doubleStops: steps.some(({ stops }) => stops.length > 1),
  };
}

/** How many places that show a skill become steps of their own. */
const PARTS_EACH = 2;
/** A part is the notes that show a skill with one, two or three round them. */
const AROUND = [1, 2, 3];
/** Fewer notes are no step: what is new has to be met in a line. */
const LEAST_NOTES = 4;
/** What a part is taken out for: what the hand does. Keys, strings and bows come with scales. */
const SHOWN_BY_PARTS =
  /^(pattern|shift|thumb|extension|contraction|fourth-for-open|slide|replaced|skip|double|harmonic)/;

/** Parts of a plan that show one of its skills, with its fingers: as a teacher takes two notes out of a piece. */
function partsOf(request: PlanRequest, response: PlanResponse, best: Plan, skills: readonly Skill[]): PlanRequest[] {
  const ranges = new Map<string, readonly [from: number, to: number]>();
  for (const { id, at } of skills.filter((skill) => SHOWN_BY_PARTS.test(skill.id)))
    for (const one of at.slice(0, PARTS_EACH))
      for (const around of AROUND) {
        const before = id.startsWith('shift') || id.startsWith('thumb:') ? 1 : 0;
        const range = [Math.max(0, one - before - around), Math.min(response.events.length - 1, one + around)] as const;
        if (range[1] - range[0] + 1 >= LEAST_NOTES) ranges.set(range.join(), range);
      }
  return [...ranges.values()].map(([from, to]) => partOf(request, response, best, from, to));
}

function partOf(request: PlanRequest, response: PlanResponse, best: Plan, from: number, to: number): PlanRequest {
  const events = response.events.slice(from, to + 1);
  const notes = events.map((event): NoteSpec => {
    if (!('pitches' in event)) return { rest: true, beats: event.beats };
    const slurred = event.slur && event.at < to;
    return { pitches: event.pitches, beats: event.beats, ...(slurred ? { slur: true as const } : {}) };
  });
  const locks = best.steps
    .filter(({ at }) => at >= from && at <= to)
    .flatMap(({ at, stops, position }) =>
      stops.map(({ finger, string }) => ({
        at: at - from,
        finger,
        string,
        position: finger === 0 ? undefined : position,
      })),
    );
  const { rules, material: _, ...student } = request;
  const key = keyAt(response, from);
  return {
    ...student,
    material: { type: 'notes', ...(key === undefined ? {} : { key }), notes },
    rules: { ...(rules?.positions ? { positions: rules.positions } : {}), locks },
  };
}

/** Major keys by their signature, as notes are given theirs. */
function keyAt({ key, changes = [] }: PlanResponse, at: number): string | undefined {
  const inForce = changes.filter((change) => change.key && change.at <= at).at(-1)?.key ?? key;
  return Math.abs(inForce.fifths) <= 7 ? inForce.name : undefined;
}

/** A position: each of its one-octave scales without open strings. */
function positionGoal(student: PathStudent, position: PositionNumber): Goal {
  const setup = resolveSetup(student);
  const byLetters = setup.instrument.fingering.by === 'letters';
  // Nothing slides in a position; where the hand goes by letters it is not opened either.
  const liesIn = ({ skills }: PlannedStep) => !skills.includes('slide') && !(byLetters && skills.includes('extension'));
  // The keys with few signs come first.
  const scales = scalesIn(student, setup, position);
  const found = scales.flatMap(
    ({ requests }) => requests.flatMap((request) => plannedStep(request) ?? []).find(liesIn) ?? [],
  );
  const nothing: Unreachable[] = found.length > 0 ? [] : [{ id: positionId(position), request: scales[0].requests[0] }];
  return { ...NO_GOAL, others: found, unreachable: nothing, wanted: { ...NO_GOAL.wanted, positions: [position] } };
}

const positionId = (position: PositionNumber) => (position === 'thumb' ? 'thumb' : `position:${position}`);

/** Scales in the order of their keys, each as low as the instrument has it. */
function scalesGoal(student: PathStudent, { scales, octaves, keys }: ScalesGoal): Goal {
  return keys.map((key) => planGoal(scaleIn(student, key.split(' ')[0], scales, octaves))).reduce(joined, NO_GOAL);
}

/** Where no string has a tonic that is low enough, the scale is asked for here, and the answer says why it cannot be played. */
const MIDDLE_OCTAVE = 4;

/** A scale on the lowest of its tonics from which all of it can be played; on the lowest where none can. */
function scaleIn(student: PathStudent, tonic: string, scale: string, octaves: number): PlanRequest {
  const { strings } = resolveSetup(student);
  const tonics = Array.from({ length: 8 }, (_, octave) => parsePitch(`${tonic}${octave}`)).flatMap((pitch) =>
    pitch && midiOf(pitch) >= strings[0].midi && midiOf(pitch) <= strings[strings.length - 1].midi
      ? [pitchName(pitch)]
      : [],
  );
  const requests = tonics.map((one) => scaleRequest(student, one, scale, octaves));
  return (
    requests.find((request) => bestAlone(request)) ??
    requests.at(0) ??
    scaleRequest(student, `${tonic}${MIDDLE_OCTAVE}`, scale, octaves)
  );
}

function scaleRequest(student: PathStudent, tonic: string, scale: string, octaves: number): PlanRequest {
  return { ...student, material: { type: 'scale', tonic, scale, octaves, direction: 'updown' } };
}
