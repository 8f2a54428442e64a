import type { PositionNumber, PlanRequest, PositionRule, Rules, Demand, Plan, WayName } from '../../vocabulary';
import { positionOrder, positionsOf } from '../../hand/positions';
import { schoolsOf } from '../../instrument/instruments';
import { isLongNote } from '../../material/tempo';
import { midiOf } from '../../pitch/pitch';
import { couldRing, couldStop, rulesOver, type Context, type Over } from '../cost';
import { holdAllowed, type HoldTrellis, type Mask } from '../graph';
/*
 * What a teacher asks after the best plan: and without open strings? low down? all on one string? Each question is one more demand, a piece of a
 * request.
 */

/** One more demand that may make another way. */
export interface Asked {
  readonly way: WayName;
  readonly demand: Demand;
  /** How it is laid on the trellis of the request; undefined where the request has to be laid out anew. */
  readonly mask?: Mask;
}

/** A request with one more demand, as the contract says: words, positions and strings replace what was there; what is said of single notes and stretches is added. */
export function withDemand(request: PlanRequest, { rules, school, style }: Demand): PlanRequest {
  const own = request.rules ?? {};
  const locks = [...(own.locks ?? []), ...(rules?.locks ?? [])];
  const never = [...(own.never ?? []), ...(rules?.never ?? [])];
  const places = [...(own.places ?? []), ...(rules?.places ?? [])];
  const same = [...(own.same ?? []), ...(rules?.same ?? [])];
  return {
    ...request,
    ...(school ? { school } : {}),
    ...(style ? { style } : {}),
    rules: {
      ...own,
      ...rules,
      ...(locks.length > 0 ? { locks } : {}),
      ...(never.length > 0 ? { never } : {}),
      ...(places.length > 0 ? { places } : {}),
      ...(same.length > 0 ? { same } : {}),
    },
  };
}

/** Notes that ask something of the little finger from which a teacher asks for a way without it. */
const ASKED_TWICE = 2;
/** Semitones above the open string from which a note is high. */
const HIGH = 12;

/** How many notes of the little finger are long, high or stretched. */
function askedOfLittleFinger({ sounding, secondsPerBeat }: Context, { steps, reach }: Plan): number {
  const stretched = new Set(reach.filter(({ verdict }) => verdict !== 'easy').map(({ at }) => at));
  return steps.filter(({ at, stops, extended }, t) => {
    const fourth = stops.find(({ finger }) => finger === 4);
    if (!fourth) return false;
    return isLongNote(sounding[t].beats, secondsPerBeat) || fourth.semitones > HIGH || extended || stretched.has(at);
  }).length;
}

/** A plan below such a position stays low. */
const LOW: readonly number[] = [1, 2, 3];
/** A plan with no more shifts than this may be asked to make one of them elsewhere. */
const MOVABLE = 3;

/** Nobody asks for more than an octave and a fifth on one string. */
const MOST_ON_ONE = 19;

/** Of more shifts than this nobody asks for one fewer. */
const COUNTABLE = 30;

/** The demands worth asking after a plan: each would change it. */
export function demandsAfter(context: Context, trellis: HoldTrellis, best: Plan, comesBack: boolean): Asked[] {
  const { request } = context;
  const rules = request.rules ?? {};
  const stops = best.steps.flatMap((step) =>
    step.stops.map(({ finger, semitones, string }) => ({
      finger,
      semitones,
      string: context.setup.strings.findIndex(({ name }) => name === string),
    })),
  );
  const plays = (finger: number) => stops.some((stop) => stop.finger === finger);
  const asked: (Asked | false)[] = [
    free(rules.openStrings, 'avoid') &&
      plays(0) &&
      byHolds(context, { code: 'no-open-string' }, { openStrings: 'never' }),
    free(rules.openStrings) &&
      stops.some((stop) => stop.finger !== 0 && couldRing(context, stop)) && {
        way: { code: 'more-open-strings' },
        demand: { rules: { openStrings: 'prefer' } },
        mask: {},
      },
    free(rules.fourthFinger, 'avoid', 'no-shift') &&
      askedOfLittleFinger(context, best) >= ASKED_TWICE &&
      byHolds(context, { code: 'no-little-finger' }, { fourthFinger: 'never' }),
    free(rules.fourthFinger) &&
      stops.some((stop) => stop.finger === 0 && couldStop(context, stop)) && {
        way: { code: 'little-finger' },
        demand: { rules: { fourthFinger: 'prefer' } },
        mask: {},
      },
    free(rules.fourthFinger, 'avoid') &&
      best.shifts.some(({ fromFinger, toFinger }) => fromFinger === 4 || toFinger === 4) && {
        way: { code: 'no-little-shifts' },
        demand: { rules: { fourthFinger: 'no-shift' } },
        mask: { shift: { adds: (from, to) => (from.fourth || to.fourth ? Infinity : 0), least: 0 } },
      },
    free(rules.extensions, 'avoid', 'forward', 'back') &&
      best.steps.some(({ extended }) => extended) &&
      byHolds(context, { code: 'no-extension' }, { extensions: 'never' }),
    !comesBack && !rules.sameBack && { way: { code: 'same-back' }, demand: { rules: { sameBack: true } }, mask: {} },
    ...lowDown(context, best),
    ...inOnePosition(context, trellis, best),
    ...onOneString(context, best),
    best.shifts.length > 0 &&
      best.shifts.length <= COUNTABLE &&
      (rules.mostShifts ?? Infinity) >= best.shifts.length && {
        way: best.shifts.length === 1 ? { code: 'no-shift' } : { code: 'fewer-shifts', fewer: 1 },
        demand: { rules: { mostShifts: best.shifts.length - 1 } },
        mask: {},
      },
    ...elsewhere(context, best),
    ...otherSchools(context),
  ];
  return asked.filter((one) => one !== false);
}

/** True where a rule is at its default, or at a word that the demand only makes stricter. */
function free(rule: string | undefined, ...milder: string[]): boolean {
  return rule === undefined || rule === 'free' || milder.includes(rule);
}

/** A demand on how each note is held. */
function byHolds({ setup, model, request }: Context, way: WayName, more: Rules): Asked {
  const rules = { ...request.rules, ...more };
  // A place goes before what is asked of the whole.
  const rulesUnder = (over: Over) => rulesOver(rules, over);
  return {
    way,
    demand: { rules: more },
    mask: { allows: ({ hold }, over) => holdAllowed(setup, model, rulesUnder(over), hold) },
  };
}

/** Up to first, second or third position, where the plan goes above that. */
function lowDown(context: Context, best: Plan): Asked[] {
  const { positions } = context.request.rules ?? {};
  const highest = Math.max(...best.steps.map(({ position }) => positionOrder(position)));
  return LOW.filter((to) => to < highest).flatMap((to) => {
    const rule = upTo(positions, to);
    return rule ? [byHolds(context, { code: 'low', position: to }, { positions: rule })] : [];
  });
}

/** A rule on positions cut off above some position; null where nothing is left. */
function upTo(rule: PositionRule | undefined, to: number): PositionRule | null {
  if (rule && 'only' in rule) {
    const only = rule.only.filter((position) => positionOrder(position) <= to);
    return only.length > 0 ? { only } : null;
  }
  const from = rule?.from ?? 0.5;
  return from <= to ? { from, to } : null;
}

/** Each position that has all the notes. */
function inOnePosition(context: Context, { layers }: HoldTrellis, best: Plan): Asked[] {
  const there = new Set<PositionNumber>();
  for (let position = 0; position < context.model.positionCount; position++)
    if (layers.every(({ touchesAt }) => touchesAt[position])) there.add(context.model.label(position));
  return positionsOf(context.setup, context.request.school)
    .filter((position) => position !== 'thumb' && there.has(position))
    .filter((position) => position !== 0.5 || !there.has(1) || !drawnBack(context.setup))
    .filter((position) => best.steps.some((step) => step.position !== position))
    .map((position) => byHolds(context, { code: 'in-position', position }, { positions: { only: [position] } }));
}

/** Where half position is the first drawn back: nobody plays there what lies in first position. On the low instruments it is a place of its own. */
const drawnBack = ({ instrument }: Context['setup']) => instrument.fingering.by === 'letters';

/** Each string that has all the notes. What lies high on it was not looked at for the best plan, so it is laid out anew. */
function onOneString({ setup, sounding, request }: Context, best: Plan): Asked[] {
  const used = new Set(best.steps.flatMap(({ stops }) => stops.map(({ string }) => string)));
  if (used.size < 2 || sounding.some(({ pitches }) => pitches.length > 1)) return [];
  const midis = sounding.map(({ pitches: [pitch] }) => midiOf(pitch));
  const [low, high] = [Math.min(...midis), Math.max(...midis)];
  if (high - low > MOST_ON_ONE) return [];
  return setup.strings
    .filter(({ midi }) => low >= midi && high <= midi + setup.reachSemitones)
    .filter(({ name }) => !request.rules?.strings || request.rules.strings.includes(name))
    .map(({ name }) => ({ way: { code: 'on-string', string: name }, demand: { rules: { strings: [name] } } }));
}

/** Where there are few shifts, each of them at another place. */
function elsewhere({ sounding }: Context, best: Plan): Asked[] {
  if (best.shifts.length > MOVABLE) return [];
  return best.shifts.map(({ to }) => ({
    way: { code: 'shift-elsewhere', at: to },
    demand: { rules: { never: [{ at: to, shift: true }] } },
    mask: { noShiftTo: sounding.findIndex(({ at }) => at === to) },
  }));
}

function otherSchools({ setup: { instrument }, request: { school } }: Context): Asked[] {
  const schools = schoolsOf(instrument);
  return schools
    .filter((other) => other !== (school ?? schools[0]))
    .map((other) => ({ way: { code: 'school', school: other }, demand: { school: other } }));
}
