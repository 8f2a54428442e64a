import { parseKey } from '../material/build';
import type { NoteSpec, Lock, PlanRequest, Plan, PlanResponse } from '../vocabulary';
import { signatureName } from '../pitch/key';

/** A note to be practised with what is demanded of it, or a rest. */
export interface DrillNote {
  /** One pitch or several at once, low to high; none is a rest. */
  readonly pitches: readonly string[];
  readonly beats?: number;
  readonly bar?: boolean;
  readonly finger?: Lock['finger'];
  readonly string?: string;
  readonly position?: Lock['position'];
  /** The hand moves here. */
  readonly shift?: true;
}

/** Drill notes as an ordinary request: typed notes with their fingers, strings and positions locked. */
export function drillRequest(request: PlanRequest, key: string, notes: readonly DrillNote[]): PlanRequest {
  const written = notes.map(({ pitches, beats = 1, bar }): NoteSpec => ({
    ...(pitches.length === 0 ? { rest: true as const } : { pitches }),
    beats,
    ...(bar ? { bar: true as const } : {}),
  }));
  const locks = notes.flatMap(({ pitches, finger, string, position, shift }, at): Lock[] => {
    const asked = [finger, string, position, shift].some((one) => one !== undefined);
    return pitches.length > 0 && asked ? [{ at, finger, string, position, shift }] : [];
  });
  return { ...bareRequest(request), material: { type: 'notes', key, notes: written }, rules: { locks } };
}

/** The instrument, the hand and the manner of a request, without what is played and the rules for it. */
export function bareRequest(request: PlanRequest): Omit<PlanRequest, 'material' | 'rules'> {
  const { instrument, size, tuning, extensionTo, stringLengthMm, fingerboardSemitones, hand, school, style, tempo } =
    request;
  return { instrument, size, tuning, extensionTo, stringLengthMm, fingerboardSemitones, hand, school, style, tempo };
}

/** The key of a plan by a name that a drill in it can have: its own where that is a major or minor key, else that of its signature. */
export function drillKey({ key }: PlanResponse): string {
  return parseKey(key.name) ? key.name : signatureName(key.fifths);
}

/** A note of a plan with the finger, string and position it has there; null where there is none. */
export function plannedNote({ events }: PlanResponse, plan: Plan, at: number): DrillNote | null {
  const event = events[at];
  const step = plan.steps.find((one) => one.at === at);
  if (!step || !event || !('pitches' in event)) return null;
  const { finger, string } = step.stops[0];
  return { pitches: event.pitches, finger, string, position: finger === 0 ? undefined : step.position };
}
