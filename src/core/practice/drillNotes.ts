import { parseKey } from '../material/build';
import { keysAt } from '../material/keys';
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

/** The key in force at an event, by a name that a drill in it can have: its own where that is a scale, else the major or minor key on its tonic. */
export function drillKey(music: Pick<PlanResponse, 'key' | 'changes'>, at = 0): string {
  const key = keysAt(music)(at);
  if (parseKey(key.name)) return key.name;
  const [tonic] = key.name.split(' ');
  const own = [`${tonic} major`, `${tonic} minor`].find((name) => parseKey(name)?.fifths === key.fifths);
  return own ?? signatureName(key.fifths);
}

/** One voice of an event by itself, the lowest 0; null where there is none. */
export function plannedVoice({ events }: PlanResponse, plan: Plan, at: number, voice: number): DrillNote | null {
  const event = events[at];
  const stop = plan.steps.find((one) => one.at === at)?.stops[voice];
  if (!stop || !event || !('pitches' in event)) return null;
  return { pitches: [event.pitches[voice]], finger: stop.finger, string: stop.string };
}

/** How many voices sound at once in some events, at the most. */
export function voicesIn({ events }: PlanResponse, at: readonly number[]): number {
  return Math.max(1, ...at.map((one) => (events[one] && 'pitches' in events[one] ? events[one].pitches.length : 1)));
}

/** A note of a plan with the finger, string and position it has there; null where there is none. */
export function plannedNote({ events }: PlanResponse, plan: Plan, at: number): DrillNote | null {
  const event = events[at];
  const step = plan.steps.find((one) => one.at === at);
  if (!step || !event || !('pitches' in event)) return null;
  const { finger, string } = step.stops[0];
  return { pitches: event.pitches, finger, string, position: finger === 0 ? undefined : step.position };
}
