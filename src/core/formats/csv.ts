import Papa from 'papaparse';
import { placesIn } from '../material/bars';
import type { Plan, PlanResponse } from '../vocabulary';

const COLUMNS =
  'at,bar,beat,beats,pitches,strings,fingers,semitones,stop_mm,position,shift,travel_mm,guide,extended,reach'.split(
    ',',
  );

/** A plan as a table, a line an event (RFC 4180); several stops are joined by "+". */
export function writeCsv(response: PlanResponse, plan: Plan): string {
  const placeOf = placesIn(response);
  const steps = new Map(plan.steps.map((step) => [step.at, step]));
  const shifts = new Map(plan.shifts.map((shift) => [shift.to, shift]));
  const reach = new Map(plan.reach.map((one) => [one.at, one]));
  const lines = response.events.map((event) => {
    const { at, beats } = event;
    const { bar, beat } = placeOf(at);
    const step = steps.get(at);
    const shift = shifts.get(at);
    const each = <T>(value: (stop: NonNullable<typeof step>['stops'][number]) => T) =>
      step?.stops.map(value).join('+') ?? '';
    return [
      ...[at, bar, rounded(beat), rounded(beats)],
      'pitches' in event ? event.pitches.join('+') : '',
      each(({ string }) => string),
      each(({ finger }) => finger),
      each(({ semitones }) => semitones),
      each(({ stopMm }) => stopMm),
      step?.position ?? '',
      shift?.kind ?? '',
      shift?.travelMm ?? '',
      shift?.guide?.pitch ?? '',
      step ? (step.extended ? 'yes' : 'no') : '',
      reach.get(at)?.verdict ?? '',
    ];
  });
  return `${Papa.unparse({ fields: COLUMNS, data: lines }, { newline: '\r\n' })}\r\n`;
}

const rounded = (beats: number) => Math.round(beats * 1e6) / 1e6;
