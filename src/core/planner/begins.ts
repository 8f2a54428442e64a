import { buildMusic } from '../material/build';
import type { Music, SoundingEvent } from '../material/events';
import type { PlanRequest } from '../vocabulary';
import { resolveSetup, setupReaching } from '../instrument/setup';
import { midiOf } from '../pitch/pitch';
import { contextFor } from './cost';

/*
 * The music that is planned. A scale in double stops begins with the first that the instrument has: on the lowest string there is none below it to
 * take the other voice. Of two notes that no hand on the instrument stops together one is planned: they are written for two players.
 */

export interface PlannedMusic {
  readonly music: Music;
  /** How many double stops at the low end do not exist. */
  readonly missing: number;
  /** The events of which one of two notes is planned. */
  readonly divided: readonly number[];
}

/** @param request must have passed requestIssues */
export function plannedMusic(request: PlanRequest): PlannedMusic {
  const { material } = request;
  const music = buildMusic(material);
  if (material.type === 'notes') return withoutDivisi(request, music);
  const divided: readonly number[] = [];
  if (material.type !== 'double-stops') return { music, missing: 0, divided };
  const { holdsOf } = contextFor(request, music);
  const exists = music.events.map((event) => event.kind === 'sounding' && holdsOf(event).all.length > 0);
  const [first, last] = [exists.indexOf(true), exists.lastIndexOf(true)];
  // Where none exists, or where it is the upper end that is missing, the planner names the notes.
  const down = material.direction === 'down';
  const missing = Math.max(0, down ? exists.length - 1 - last : first);
  if (first < 0 || missing === 0 || (music.returns && last !== exists.length - 1 - missing))
    return { music, missing: 0, divided };
  const from = down ? 0 : missing;
  const to = down || music.returns ? exists.length - missing : exists.length;
  const events = music.events
    .slice(from, to)
    .map((event, at) => ({ ...event, ...(at === 0 ? { bar: undefined } : {}), at }) as SoundingEvent);
  return { music: { ...music, events }, missing, divided };
}

/** Each two notes that cannot be stopped together with one of them left to the other player. */
function withoutDivisi(request: PlanRequest, music: Music): PlannedMusic {
  const pairs = music.events.filter((event) => event.kind === 'sounding' && event.pitches.length === 2);
  if (pairs.length === 0) return { music, missing: 0, divided: [] };
  const { strings, extensionSemitones, reachSemitones } = setupReaching(resolveSetup(request), highestOf(music));
  const has = (string: number, midi: number) => {
    const semitones = midi - strings[string].midi;
    return semitones >= (string === 0 ? -extensionSemitones : 0) && semitones <= reachSemitones;
  };
  const together = ([low, high]: readonly number[]) =>
    strings.slice(1).some((_, n) => (has(n, low) && has(n + 1, high)) || (has(n, high) && has(n + 1, low)));
  const onItsOwn = (midi: number) => strings.some((_, n) => has(n, midi));
  const divided: number[] = [];
  const events = music.events.map((event) => {
    if (event.kind === 'rest' || event.pitches.length !== 2) return event;
    const midis = event.pitches.map(midiOf);
    if (together(midis) || !midis.every(onItsOwn)) return event;
    divided.push(event.at);
    const [lower, upper] = event.pitches;
    const [planned, left] = event.divisi === 'lower' ? [lower, upper] : [upper, lower];
    return { ...event, pitches: [planned], left };
  });
  return { music: { ...music, events }, missing: 0, divided };
}

const highestOf = ({ events }: Music) =>
  Math.max(...events.flatMap((event) => (event.kind === 'sounding' ? event.pitches.map(midiOf) : [])));
