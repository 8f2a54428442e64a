import { resolveHand } from '../hand/profile';
import { resolveSetup, type Setup } from '../instrument/setup';
import { atOneTempo } from '../material/tempo';
import { soundsAlikeTouched } from '../instrument/nodes';
import type { Finger, PlanRequest, Plan, PlanResponse, Level } from '../vocabulary';
import { secondsPerBeat } from '../material/tempo';
import { crowdsIn, type Crowd } from './crowding';
import { cuesFor, type CueAt } from './economy';
import { heardNotes, type Heard } from './heard';
import { eventsOf, lessonsIn } from './firstLessons';
import { octavePassages } from './octaves';
import { byEvent, playedNotes, type Played } from './played';
import { roughPlaces } from './rough';
import { shiftDetails, type ShiftDetail } from './shifts';
import {
  commaWeight,
  hardness,
  lessonWeight,
  octavesWeight,
  levelWeight,
  oncePerPlace,
  roughWeight,
  runWeight,
  stretchWeight,
} from './ranking';
import { uncheckedRuns } from './unchecked';
import type { Aim } from './targets';
import { trapsIn, type Trap } from './traps';
import type { Finding } from './finding';

export interface Findings {
  readonly setup: Setup;
  readonly shifts: readonly ShiftDetail[];
  readonly traps: readonly Trap[];
  readonly crowds: readonly Crowd[];
  readonly cues: readonly CueAt[];
  readonly heard: readonly Heard[];
  /** Everything, the weightiest first. */
  readonly ranked: readonly Finding[];
}

/**
 * What a plan means for its student, worked out from the plan alone.
 * @param plan one of the response's
 */
export function findingsOf(request: PlanRequest, answer: PlanResponse, plan: Plan, aim: Aim): Findings {
  const events = atOneTempo(answer.events, answer.changes, request.tempo?.bpm);
  const setup = resolveSetup(request);
  const hand = resolveHand(setup, request.hand);
  const beat = secondsPerBeat(request.tempo);
  const notes = playedNotes(events, plan, setup);
  const lines = byEvent(notes);
  const hearer = { school: request.school, never: fingersNever(request) };
  const player = { ...hearer, tempo: request.tempo, style: request.style, level: aim.level };
  const shifts = shiftDetails(events, notes, plan, setup, player);
  const traps = trapsIn(notes, plan);
  const crowds = crowdsIn(plan, setup, hand);
  const heard = heardNotes(notes, answer, setup, aim, hearer);
  const lineAt = new Map(lines.map((line) => [line[0].at, line]));
  const octaves = octavePassages(lines, plan.shifts, setup);
  const inOctaves = new Set(octaves.flatMap(({ events: [, ...later] }) => later));
  const findings: Finding[] = [
    ...octaves.map((passage): Finding => ({
      kind: 'octaves',
      passage,
      weight: octavesWeight(passage),
      events: passage.events,
    })),
    ...shifts
      .filter(({ shift }) => !inOctaves.has(shift.to))
      .map((detail): Finding => ({
        kind: 'shift',
        detail,
        weight: hardness(detail).weight,
        events: [detail.shift.from, detail.shift.to],
      })),
    ...plan.reach.flatMap((reach): Finding[] => {
      const note = reach.verdict === 'easy' ? undefined : playerOf(reach.fingers, lineAt.get(reach.at) ?? []);
      if (!note) return [];
      const seconds = events[reach.at].beats * beat;
      return [
        {
          kind: 'stretch',
          reach,
          limitMm: reach.spreadMm / reach.share,
          note,
          ...touchedInstead(note, notes),
          events: [reach.at],
          weight: stretchWeight(reach, note.step, setup, seconds),
        },
      ];
    }),
    ...crowds.map((crowd): Finding => ({
      kind: 'crowding',
      crowd,
      events: crowd.events,
      weight: 1 + 2 * (1 - crowd.roomMm / crowd.tipMm),
    })),
    ...traps.map((trap): Finding => ({
      kind: 'trap',
      trap,
      events: [trap.from.at, trap.to.at],
      // Straight after it is a trap; some notes later the hand has had time.
      weight: Math.abs(trap.move) * (trap.to.at - trap.from.at === 1 ? 3 : 1.2),
    })),
    ...heard.flatMap(({ note, comma, target }): Finding[] =>
      // What lies within the tolerance is nothing to work at yet.
      comma && comma.apart > target.toleranceCents
        ? [{ kind: 'comma', note, conflict: comma, events: [note.at], weight: commaWeight(request.material) }]
        : [],
    ),
    ...roughPlaces(lines, plan.shifts, setup, beat).map((rough): Finding => ({
      kind: rough.kind,
      rough,
      weight: roughWeight(rough),
      events: rough.notes.map(({ at }) => at),
    })),
    ...uncheckedRuns(heard).map((run): Finding => ({
      kind: 'no-check',
      run,
      weight: runWeight(run.length),
      events: run.map(({ note }) => note.at),
    })),
  ];
  const lessons = lessonsIn(lines, heard, plan, setup).map((lesson, n): Finding => ({
    kind: 'lesson',
    lesson,
    weight: lessonWeight(n),
    events: eventsOf(lesson, notes),
  }));
  return {
    setup,
    shifts,
    traps,
    crowds,
    heard,
    cues: cuesFor(lines, shifts, setup, { level: aim.level, secondsPerBeat: beat, hand }),
    ranked: rankedFor(
      findings.length === 0 || taughtByLessons(aim.level) ? [...findings, ...lessons] : findings,
      aim.level,
    ),
  };
}

/** Who is still told what is new in everything played. */
function taughtByLessons(level: Level): boolean {
  return level === 'first-year' || level === 'early';
}

/** The note of a stretched hand that is told: the one under the upper finger, else under the lower, else the first. */
function playerOf([low, high]: readonly Finger[], line: readonly Played[]): Played | undefined {
  const by = (finger: Finger) => line.find((note) => note.finger === finger);
  return by(high) ?? by(low) ?? line[0];
}

/** A top note that the string has as a harmonic in the same place. */
function touchedInstead(note: Played, notes: readonly Played[]): Pick<Finding & { kind: 'stretch' }, 'harmonic'> {
  const top = notes.every(({ midi }) => midi <= note.midi);
  const alone = note.step.stops.length === 1;
  return top && alone && note.finger === 4 && !note.harmonic && soundsAlikeTouched(note.semitones)
    ? { harmonic: note.pitch }
    : {};
}

/** Fingers that the rules leave out. */
function fingersNever({ rules }: PlanRequest): ReadonlySet<Finger> {
  return new Set([...(rules?.fingers?.never ?? []), ...(rules?.fourthFinger === 'never' ? ([4] as const) : [])]);
}

/** One a kind of place, the weightiest for this level first. */
function rankedFor(findings: readonly Finding[], level: Level): Finding[] {
  return oncePerPlace(findings)
    .map((one) => ({ ...one, weight: one.weight * levelWeight(level, one.kind) }))
    .sort((a, b) => b.weight - a.weight || a.events[0] - b.events[0]);
}
