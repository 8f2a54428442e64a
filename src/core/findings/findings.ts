import { resolveHand } from '../hand/profile';
import { resolveSetup, type Setup } from '../instrument/setup';
import { atOneTempo } from '../material/tempo';
import type { PlanRequest, Plan, PlanResponse, Level } from '../vocabulary';
import { secondsPerBeat } from '../material/tempo';
import { crowdsIn, type Crowd } from './crowding';
import { cuesFor, type CueAt } from './economy';
import { heardNotes, type Heard } from './heard';
import { byEvent, playedNotes } from './played';
import { roughPlaces } from './rough';
import { shiftDetails, type ShiftDetail } from './shifts';
import { hardness, levelWeight, oncePerPlace, roughWeight, runWeight, stretchWeight } from './ranking';
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
      kind: 'shift',
      detail,
      weight: hardness(detail).weight,
      events: [detail.shift.from, detail.shift.to],
    })),
    ...plan.reach
      .filter(({ verdict }) => verdict !== 'easy')
      .map((reach): Finding => ({
        kind: 'stretch',
        reach,
        limitMm: reach.spreadMm / reach.share,
        events: [reach.at],
        weight: stretchWeight(reach, stepAt.get(reach.at), setup, events[reach.at].beats * beat),
      })),
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
        ? [{ kind: 'comma', note, conflict: comma, events: [note.at], weight: 1.5 }]
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
  return {
    setup,
    shifts,
    traps,
    crowds,
    heard,
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
