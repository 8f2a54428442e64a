import {
  aimFor,
  clefsFor,
  metronomeOf,
  drillForFinding,
  findingsOf,
  plan,
  resolveSetup,
  temposOf,
  type Clef,
  type Finding,
  type FingerNames,
  type Findings,
  type Level,
  type NoteNames,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../../core';
import { findingWords } from '../../wording/findings';
import { sentence } from '../../wording/grammar';
import { requestWords } from '../../wording/material';
import { liesWords, speechOf } from '../../wording/plans';
import { titleInWords } from '../../wording/sheets';

/*
 * What a sheet has of a plan besides its notes: what is heard, the hard places with their drills, the ladder.
 */

/** A plan with its request and answer. */
export interface Planned {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
  /** For ringing notes and checks. */
  readonly findings?: Findings;
  /** The clef of each event. */
  readonly clefs: readonly Clef[];
}

/** A place that is worked at by itself. */
export interface HardPlace {
  readonly words: string;
  readonly from: number;
  readonly to: number;
  readonly drill?: Planned;
}

export interface SheetPlan extends Planned {
  readonly title: string;
  /** What lies low or high on each string, where its reader hears it so. */
  readonly lies: readonly string[];
  readonly hard: readonly HardPlace[];
}

/** How it is to be read. */
export interface Reader {
  readonly level: Level;
  readonly names: NoteNames;
  readonly fingers?: FingerNames;
  readonly clefs?: readonly Clef[];
}

/** Places that are named on a sheet. */
const MOST_HARD = 3;
/** What is found but is no place to be worked at with a drill. */
const NOT_DRILLED: ReadonlySet<Finding['kind']> = new Set(['no-check', 'comma', 'lesson']);

/** A plan made ready for a sheet. */
export function sheetPlan(
  { request, response, plan: one }: Omit<Planned, 'findings' | 'clefs'>,
  reader: Reader,
  title = '',
): SheetPlan {
  const findings = findingsOf(request, response, one, aimFor(reader.level));
  const speech = speechOf(request.instrument, response, reader.names, reader.fingers);
  const setup = resolveSetup(request);
  const hard = findings.ranked
    .filter(({ kind }) => !NOT_DRILLED.has(kind))
    .slice(0, MOST_HARD)
    .map((finding): HardPlace => {
      const drill = planned(drillForFinding(request, response, one, setup, finding), reader);
      return {
        words: findingWords(finding, setup, speech),
        from: Math.min(...finding.events),
        to: Math.max(...finding.events),
        ...(drill ? { drill } : {}),
      };
    });
  const clefs = clefsFor(response.events, request.instrument, reader.clefs);
  return {
    request,
    response,
    findings,
    hard,
    clefs,
    lies: reader.fingers === 'low-high' ? liesWords(one, request.instrument) : [],
    plan: one,
    title: titleInWords(title || sentence(requestWords(request))),
  };
}

function planned(request: PlanRequest | null, reader: Reader): Planned | null {
  if (!request) return null;
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const [one] = response.plans;
  return one
    ? { request, response, plan: one, clefs: clefsFor(response.events, request.instrument, reader.clefs) }
    : null;
}

/** How much faster the goal is than the beginning, where nobody said. */
const USUAL_GOAL = 1.6;
const USUAL_BPM = 60;
const STEPS = 6;

/** Steps of a tempo ladder, as they are ticked off. */
export function ladderLabels(request: PlanRequest, goal?: number): string[] {
  const from = Math.round(metronomeOf(request) ?? USUAL_BPM);
  const to = Math.max(from + 2, Math.round(goal ?? from * USUAL_GOAL));
  // Marks that a metronome has: by even numbers.
  const beats = Math.max(2, 2 * Math.round((to - from) / STEPS / 2));
  return temposOf({ kind: 'tempo', from, to, by: { beats } }).map((bpm) => `${bpm} a minute`);
}
