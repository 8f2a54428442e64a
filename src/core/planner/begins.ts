import { buildMusic } from '../material/build';
import type { Music, SoundingEvent } from '../material/events';
import type { PlanRequest } from '../vocabulary';
import { contextFor } from './cost';

/*
 * The music that is planned. A scale in double stops begins with the first that the instrument has: on the lowest string there is none below it to
 * take the other voice.
 */

export interface PlannedMusic {
  readonly music: Music;
  /** How many double stops at the low end do not exist. */
  readonly missing: number;
}

/** @param request must have passed requestIssues */
export function plannedMusic(request: PlanRequest): PlannedMusic {
  const { material } = request;
  const music = buildMusic(material);
  if (material.type !== 'double-stops') return { music, missing: 0 };
  const { holdsOf } = contextFor(request, music);
  const exists = music.events.map((event) => event.kind === 'sounding' && holdsOf(event).all.length > 0);
  const [first, last] = [exists.indexOf(true), exists.lastIndexOf(true)];
  // Where none exists, or where it is the upper end that is missing, the planner names the notes.
  const down = material.direction === 'down';
  const missing = Math.max(0, down ? exists.length - 1 - last : first);
  if (first < 0 || missing === 0 || (music.returns && last !== exists.length - 1 - missing))
    return { music, missing: 0 };
  const from = down ? 0 : missing;
  const to = down || music.returns ? exists.length - missing : exists.length;
  const events = music.events
    .slice(from, to)
    .map((event, at) => ({ ...event, ...(at === 0 ? { bar: undefined } : {}), at }) as SoundingEvent);
  return { music: { ...music, events }, missing };
}
