import { bowing } from '../material/bows';
import type { ResponseEvent } from '../vocabulary';
import type { LadderStep } from './ladder';
import { RHYTHMS, STOP_BEATS } from './terms';

/*
 * A passage as a step has it played: its notes with the lengths, the bows and the voices of the step.
 */

/** The events of a step, in order, with lengths and bows as they are played. They keep their places in the plan. */
export function eventsOfStep(
  events: readonly ResponseEvent[],
  step: LadderStep,
  shiftsFrom: ReadonlySet<number>,
): ResponseEvent[] {
  const own = events.slice(step.from, step.to + 1);
  const long = own.map((event) => ({ ...event, beats: event.beats * step.beatsEach }));
  const rhythmic = step.rhythm ? inRhythm(long, step, shiftsFrom) : long;
  const bowed = step.perBow ? onBows(rhythmic, step.perBow) : rhythmic;
  return step.voices ? bowed.map((event) => withVoices(event, step.voices)) : bowed;
}

function inRhythm(
  events: readonly ResponseEvent[],
  { rhythm, to }: LadderStep,
  shiftsFrom: ReadonlySet<number>,
): ResponseEvent[] {
  const lengths = RHYTHMS.find(({ name }) => name === rhythm)?.lengths ?? [1];
  let note = 0;
  return events.flatMap((event): ResponseEvent[] => {
    if ('rest' in event) {
      note = 0;
      return [event];
    }
    const played = { ...event, beats: event.beats * lengths[note++ % lengths.length] };
    if (rhythm !== 'stop-before-shifts' || !shiftsFrom.has(event.at) || event.at === to) return [played];
    return [played, { at: event.at, rest: true, beats: STOP_BEATS }];
  });
}

/** So many notes to a bow, whatever was written. */
function onBows(events: readonly ResponseEvent[], perBow: number): ResponseEvent[] {
  let onBow = 0;
  return events.map((event, at): ResponseEvent => {
    if ('rest' in event) {
      onBow = 0;
      return event;
    }
    onBow = onBow === perBow ? 1 : onBow + 1;
    const { bow } = event;
    const next = events[at + 1];
    const joins = onBow < perBow && next !== undefined && !('rest' in next);
    return { ...event, slur: undefined, ...bowing({ bow, ...(joins ? { slur: true } : {}) }) };
  });
}

function withVoices(event: ResponseEvent, voices: LadderStep['voices']): ResponseEvent {
  if ('rest' in event || event.pitches.length < 2) return event;
  const [first, last] = [0, event.pitches.length - 1];
  const only = voices === 'lower' ? first : voices === 'upper' ? last : null;
  return only === null ? event : { ...event, pitches: [event.pitches[only]], midi: [event.midi[only]] };
}
