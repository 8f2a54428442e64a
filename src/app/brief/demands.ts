import {
  midiOf,
  parsePitch,
  soundsAlikeTouched,
  type Finger,
  type Forbidding,
  type Lock,
  type PlanRequest,
  type Setup,
} from '../../core';

/*
 * What a teacher demands at single notes: locks and things that must never be there, laid into the request.
 */

export type LockPart = Omit<Lock, 'at'>;

export function lockAt(request: PlanRequest, at: number): Lock | undefined {
  return request.rules?.locks?.find((lock) => lock.at === at);
}

/** The lock that one request has more than another, or has other; undefined where none was put. */
export function lockPut(before: PlanRequest, after: PlanRequest): Lock | undefined {
  return after.rules?.locks?.find((lock) => JSON.stringify(lockAt(before, lock.at)) !== JSON.stringify(lock));
}

export function neverAt(request: PlanRequest, at: number): Forbidding[] {
  return (request.rules?.never ?? []).filter((one) => one.at === at);
}

/** Events at which something is demanded: kept as it is, or only forbidden. */
export function demandedAt({ rules }: Pick<PlanRequest, 'rules'>): ReadonlyMap<number, 'kept' | 'never'> {
  const never = (rules?.never ?? []).map(({ at }) => [at, 'never'] as const);
  return new Map([...never, ...(rules?.locks ?? []).map(({ at }) => [at, 'kept'] as const)]);
}

/** The request with more of one note locked; a part that is undefined is set free. */
export function withLock(request: PlanRequest, at: number, part: LockPart): PlanRequest {
  const lock = { ...lockAt(request, at), ...part, at };
  const { finger, string, position, shift, harmonic, frame } = lock;
  const others = (request.rules?.locks ?? []).filter((other) => other.at !== at);
  const empty = [finger, string, position, shift, harmonic, frame].every((one) => one === undefined);
  const locks = empty ? others : [...others, lock].sort((a, b) => a.at - b.at);
  return { ...request, rules: { ...request.rules, locks: locks.length > 0 ? locks : undefined } };
}

/** The request with one more thing that must never be. */
export function withNever(request: PlanRequest, one: Forbidding): PlanRequest {
  return { ...request, rules: { ...request.rules, never: [...(request.rules?.never ?? []), one] } };
}

/** The request with nothing demanded of one note. */
export function withoutDemands(request: PlanRequest, at: number): PlanRequest {
  const left = <T extends { readonly at: number }>(list: readonly T[] = []) => {
    const others = list.filter((one) => one.at !== at);
    return others.length > 0 ? others : undefined;
  };
  const { rules } = request;
  return { ...request, rules: { ...rules, locks: left(rules?.locks), never: left(rules?.never) } };
}

/** Strings a pitch can be played on, low to high. */
export function stringsFor(setup: Setup, pitch: string): string[] {
  const midi = pitchMidi(pitch);
  return setup.strings
    .filter(({ midi: open }) => midi >= open && midi <= open + setup.furthestSemitones)
    .map(({ name }) => name);
}

/** True where some string may have a pitch as a natural harmonic. */
export function mayBeTouched(setup: Setup, pitch: string): boolean {
  return setup.strings.some(({ midi }) => soundsAlikeTouched(pitchMidi(pitch) - midi));
}

/** The string next up or down on which a pitch can be played; undefined at the end. */
export function nextString(setup: Setup, pitch: string, from: string, up: boolean): string | undefined {
  const strings = stringsFor(setup, pitch);
  return strings[strings.indexOf(from) + (up ? 1 : -1)];
}

/** Fingers that a pitch can be taken with on some string. */
export function fingersFor(setup: Setup, pitch: string): Finger[] {
  const open = setup.strings.some(({ midi }) => midi === pitchMidi(pitch));
  const { thumb } = setup.instrument;
  return [...(open ? [0 as const] : []), 1, 2, 3, 4, ...(thumb ? ['T' as const] : [])];
}

function pitchMidi(name: string): number {
  const pitch = parsePitch(name);
  return pitch ? midiOf(pitch) : NaN;
}
