import type { ShiftDetail } from '../findings/shifts';
import type { Setup } from '../instrument/setup';
import { pitchName } from '../pitch/pitch';
import type { PlanRequest, Plan, PlanResponse } from '../vocabulary';
import { drillKey, drillRequest, plannedNote, type DrillNote } from './drillNotes';

/** The steps of a rehearsal, in order; the light one is the ghost. */
export const REHEARSAL_STEPS = ['hear', 'guide', 'light', 'rhythm', 'turned', 'joined'] as const;
export type RehearsalStep = (typeof REHEARSAL_STEPS)[number];

export interface Rehearsal {
  /** Ready to be planned, played and printed; every note locked as it lies in the plan. */
  readonly request: PlanRequest;
  /** Where each step begins and how many events it has. */
  readonly steps: readonly { readonly step: RehearsalStep; readonly at: number; readonly length: number }[];
}

/** How often the shift is made in rhythm. */
export const TURNS = 4;

/**
 * One shift rehearsed in its steps: heard the easy way, slid audibly on the guide, the same feather-light, in rhythm, turned round, and joined to its neighbours.
 * It ends on the shift's own notes.
 */
export function rehearse(
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  setup: Setup,
  detail: ShiftDetail,
): Rehearsal {
  const { shift } = detail;
  const own = (at: number, beats = 1): DrillNote => lockedNote(response, plan, at, beats);
  const [from, to] = [own(shift.from), own(shift.to)];
  const easy: DrillNote = { beats: 2, ...easyPlace(detail, setup) };
  const guide: DrillNote | null = shift.guide
    ? { pitches: [shift.guide.pitch], beats: 2, finger: shift.guide.finger, string: shift.guide.string }
    : null;
  const slide = (beats: number): DrillNote[] => {
    const [start, end] = [
      { ...from, beats },
      { ...to, beats },
    ];
    if (!guide || sameNote(guide, from) || sameNote(guide, to)) return [start, end];
    // The new finger is set down at its place in the old position, and slides from there.
    return [start, { ...guide, beats: shift.kind === 'new-finger' ? beats / 2 : beats }, end];
  };
  const around = [shift.from - 1, shift.from, shift.to, shift.to + 1].filter((at) => playable(response, at));
  const parts: readonly (readonly [RehearsalStep, readonly DrillNote[]])[] = [
    ['hear', [easy, { ...to, beats: 2 }]],
    ['guide', slide(2)],
    ['light', slide(1)],
    ['rhythm', Array.from({ length: TURNS }, () => [from, to, { pitches: [], beats: 2 }]).flat()],
    ['turned', [to, from, to, { ...from, beats: 2 }]],
    ['joined', [...around.map((at) => own(at)), from, { ...to, beats: 4 }]],
  ];
  const notes: DrillNote[] = [];
  const steps = parts.map(([step, part]) => {
    const at = notes.length;
    notes.push({ ...part[0], bar: at > 0 }, ...part.slice(1));
    return { step, at, length: part.length };
  });
  return { request: drillRequest(request, drillKey(response, shift.to), notes), steps };
}

function playable({ events }: PlanResponse, at: number): boolean {
  const event = events[at];
  return event !== undefined && 'pitches' in event && event.pitches.length === 1;
}

function lockedNote(response: PlanResponse, plan: Plan, at: number, beats: number): DrillNote {
  return { ...(plannedNote(response, plan, at) ?? { pitches: [] }), beats };
}

const sameNote = (a: DrillNote, b: DrillNote) => a.pitches[0] === b.pitches[0] && a.string === b.string;

/** The target where it is easily heard: half position is left to the plan for the lowest notes. */
function easyPlace({ hear, to }: Pick<ShiftDetail, 'hear' | 'to'>, setup: Setup): Omit<DrillNote, 'beats'> {
  const octaves = hear.kind === 'in-place' ? 0 : hear.octaves;
  const pitches = [pitchName({ ...to.pitch, octave: to.pitch.octave - octaves })];
  if (hear.kind === 'in-place') return { pitches, string: setup.strings[to.string].name };
  const string = setup.strings[hear.string].name;
  if (hear.kind === 'open') return { pitches, finger: 0, string };
  const { finger, position } = hear;
  return position === 1 ? { pitches, string, finger, position } : { pitches, string };
}
