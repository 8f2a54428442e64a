import { resolveHand } from '../hand/profile';
import { resolveSetup, type Setup } from '../instrument/setup';
import { atOneTempo } from '../material/tempo';
import type { PlanRequest } from '../planner/request';
import type { Plan, PlanResponse, ReachAnswer } from '../planner/response';
import { secondsPerBeat } from '../planner/cost';
import type { CommaConflict } from './checks';
import { crowdsIn, type Crowd } from './crowding';
import { cuesFor, type CueAt } from './economy';
import { heardNotes, type Heard } from './heard';
import { byEvent, playedNotes, type Played } from './played';
import { roughPlaces, type Rough } from './rough';
import { shiftDetails, type ShiftDetail } from './shifts';
import { hardness, levelWeight, oncePerPlace, roughWeight, runWeight, stretchWeight } from './ranking';
import { uncheckedRuns } from './unchecked';
import type { Level } from '../pitch/levels';
import type { Aim } from './targets';
import { trapsIn, type Trap } from './traps';

/** One thing worth a teacher's attention, with the notes it is about. */
export type Finding = {
  readonly events: readonly number[];
  readonly weight: number;
  /** The notes of the other places where the same is found. */
  readonly also?: readonly (readonly number[])[];
} & (
  | { readonly kind: 'shift'; readonly detail: ShiftDetail }
  | { readonly kind: 'stretch'; readonly reach: ReachAnswer; readonly limitMm: number }
  | { readonly kind: 'crowding'; readonly crowd: Crowd }
  | { readonly kind: 'trap'; readonly trap: Trap }
  | { readonly kind: 'comma'; readonly conflict: CommaConflict; readonly note: Played }
  | { readonly kind: Rough['kind']; readonly rough: Rough }
  /** One note that nothing checks, or a long run of them as one. */
  | { readonly kind: 'no-check'; readonly run: readonly Heard[] }
);

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
  const shifts = shiftDetails(events, plan, setup, {
    secondsPerBeat: beat,
    style: request.style,
    school: request.school,
  });
  const traps = trapsIn(notes, plan);
  const crowds = crowdsIn(plan, setup, hand);
  const heard = heardNotes(notes, setup, aim, request.school);
  const stepAt = new Map(plan.steps.map((step) => [step.at, step]));
  const findings: Finding[] = [
    ...shifts.map((detail): Finding => ({
      ...{ kind: 'shift', detail, weight: hardness(detail).weight },
      events: [detail.shift.from, detail.shift.to],
    })),
    ...plan.reach
      .filter(({ verdict }) => verdict !== 'easy')
      .map((reach): Finding => ({
        ...{ kind: 'stretch', reach, limitMm: reach.spreadMm / reach.share },
        events: [reach.at],
        weight: stretchWeight(reach, stepAt.get(reach.at), setup, events[reach.at].beats * beat),
      })),
    ...crowds.map((crowd): Finding => ({
      ...{ kind: 'crowding', crowd, events: crowd.events },
      weight: 1 + 2 * (1 - crowd.roomMm / crowd.tipMm),
    })),
    ...traps.map((trap): Finding => ({
      ...{ kind: 'trap', trap, events: [trap.from.at, trap.to.at] },
      // Straight after it is a trap; some notes later the hand has had time.
      weight: Math.abs(trap.move) * (trap.to.at - trap.from.at === 1 ? 3 : 1.2),
    })),
    ...heard.flatMap(({ note, comma, target }): Finding[] =>
      // What lies within the tolerance is nothing to work at yet.
      comma && comma.apart > target.toleranceCents
        ? [{ kind: 'comma', note, conflict: comma, events: [note.at], weight: 1.5 }]
        : [],
    ),
    ...roughPlaces(lines, plan.shifts, setup, beat).map((rough): Finding => ({
      ...{ kind: rough.kind, rough, weight: roughWeight(rough) },
      events: rough.notes.map(({ at }) => at),
    })),
    ...uncheckedRuns(heard).map((run): Finding => ({
      ...{ kind: 'no-check', run, weight: runWeight(run.length) },
      events: run.map(({ note }) => note.at),
    })),
  ];
  return {
    ...{ setup, shifts, traps, crowds, heard },
    cues: cuesFor(lines, shifts, setup, { level: aim.level, secondsPerBeat: beat, hand }),
    ranked: rankedFor(findings, aim.level),
  };
}

/** One a kind of place, the weightiest for this level first. */
function rankedFor(findings: readonly Finding[], level: Level): Finding[] {
  return oncePerPlace(findings)
    .map((one) => ({ ...one, weight: one.weight * levelWeight(level, one.kind) }))
    .sort((a, b) => b.weight - a.weight || a.events[0] - b.events[0]);
}
