import type { Plan, PlanResponse } from '../core';
import { mm } from './grammar';
import { noteWords, printed } from './notes';
import { barWords, placeName } from './places';
import type { Speech } from './plans';

/*
 * A plan as a table of words, a line an event.
 */

export const TABLE_HEADS = ['No.', 'Where', 'Note', 'String', 'Finger', 'Position', 'What happens'] as const;

/** The lines of the table; a rest has a line of its own. */
export function tableOf({ events }: PlanResponse, { steps, shifts, reach }: Plan, speech: Speech): string[][] {
  const byAt = new Map(steps.map((step) => [step.at, step]));
  const arrivals = new Map(shifts.map((shift) => [shift.to, shift]));
  const spreads = new Map(reach.map((one) => [one.at, one]));
  return events.map((event, at) => {
    const where = barWords(speech.place(at));
    const number = String(at + 1);
    if (!('pitches' in event)) return [number, where, 'rest', '', '', '', ''];
    const notes = event.pitches.map((name) => noteWords(name, speech.names)).join(' + ');
    const step = byAt.get(at);
    if (!step) return [number, where, notes, '', '', '', 'not planned'];
    const shift = arrivals.get(at);
    const spread = spreads.get(at);
    const happens = [
      ...(shift ? [`shift of ${mm(shift.travelMm)}`] : []),
      ...(step.extended ? ['extended'] : []),
      ...(step.contracted ? ['contracted'] : []),
      ...(spread && spread.verdict !== 'easy' ? [spread.verdict] : []),
    ];
    return [
      number,
      where,
      notes,
      step.stops.map(({ string }) => printed(string)).join(' + '),
      step.stops.map(({ finger }) => (finger === 0 ? 'open' : String(finger))).join(' + '),
      placeName(step, speech.instrument),
      happens.join(', '),
    ];
  });
}
