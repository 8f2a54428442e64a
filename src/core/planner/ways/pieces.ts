import { positionsOf } from '../../hand/positions';
import { midiOf } from '../../pitch/pitch';
import { heldAlike } from '../explain';
import { positionAllowed, type HoldTrellis } from '../graph';
import type { Context } from '../cost';
import type { Demand, Plan, PlaceRule, WayName } from '../../vocabulary';
import type { Asked } from './demands';

/*
 * The ways of a piece. Of a scale there are a few; a piece has as many as it has phrases, and a teacher asks for one that is another way of playing much of
 * it without costing much, or for one phrase otherwise.
 */

/** More events than this are a piece though nothing parts them. */
const MANY = 32;

export function isPiece({ request, phrases, sounding }: Context): boolean {
  return request.material.type === 'notes' && (phrases.size > 0 || sounding.length > MANY);
}

/** What a teacher asks of any piece before all else: as it is played securely, and all in first position. */
export function askedFirst({ request }: Context): Demand[] {
  const secure = request.style === 'singing' ? [{ style: 'secure' as const }] : [];
  const first = positionAllowed(request.rules?.positions, 1) ? [{ rules: { positions: { only: [1] } } }] : [];
  return [...secure, ...first];
}

export const nameOfFirst = ({ style }: Demand): WayName =>
  style === 'secure' ? { code: 'as-secure' } : { code: 'in-position', position: 1 };

/** Notes of a phrase from which it is asked for otherwise. */
const LEAST_PHRASE = 4;
/** Demands tried of single phrases: each is planned by itself. */
const MOST_TRIED = 4;
/** Positions that a phrase is asked for in. */
const TEACHING = 3;
/** A phrase is not asked for on one string where that spans more semitones. */
const MOST_ON_ONE = 14;

/** A phrase by its first and last sounding event. */
interface Phrase {
  readonly from: number;
  readonly to: number;
}

/** One phrase in another position, on one string, or sung: the longest phrases first. */
export function askedOfPhrases(context: Context, trellis: HoldTrellis, best: Plan): Asked[] {
  const phrases = phrasesOf(context);
  if (phrases.length < 2) return [];
  const asked = phrases
    .filter(({ from, to }) => to - from + 1 >= LEAST_PHRASE)
    .sort((a, b) => b.to - b.from - (a.to - a.from))
    .flatMap((phrase) => {
      const [from, to] = [phrase.from, phrase.to].map((t) => context.sounding[t].at);
      return otherwise(context, trellis, best, phrase).map((demands): Asked => ({
        way: { code: 'phrase', from, to, ...told(demands) },
        demand: { rules: { places: [{ from, to, ...demands }] } },
      }));
    });
  return asked.slice(0, MOST_TRIED);
}

type Otherwise = Pick<PlaceRule, 'positions' | 'strings' | 'style'>;

function told({ positions, strings, style }: Otherwise) {
  if (positions && 'only' in positions) return { position: positions.only[0] };
  return strings ? { string: strings[0] } : { style };
}

function phrasesOf({ phrases, sounding }: Context): Phrase[] {
  const starts = [0, ...phrases.keys()].sort((a, b) => a - b);
  return starts.map((from, n) => ({ from, to: (starts[n + 1] ?? sounding.length) - 1 }));
}

/** What may be asked of a phrase that it does not have yet. */
function otherwise(context: Context, { layers }: HoldTrellis, best: Plan, { from, to }: Phrase): Otherwise[] {
  const { setup, sounding, request, model } = context;
  const steps = best.steps.slice(from, to + 1);
  const own = layers.slice(from, to + 1);
  const positions = positionsOf(setup, request.school).filter(
    (position) =>
      typeof position === 'number' &&
      Number.isInteger(position) &&
      position <= TEACHING &&
      positionAllowed(request.rules?.positions, position) &&
      own.every(({ touchesAt }) => touchesAt.some((there, at) => there && model.label(at) === position)) &&
      steps.some((step) => step.position !== position),
  );
  const midis = sounding.slice(from, to + 1).map(({ pitches }) => (pitches.length === 1 ? midiOf(pitches[0]) : NaN));
  const [low, high] = [Math.min(...midis), Math.max(...midis)];
  const used = new Set(steps.flatMap(({ stops }) => stops.map(({ string }) => string)));
  const strings = setup.strings.filter(
    ({ midi, name }) =>
      low >= midi && high - midi <= MOST_ON_ONE && used.size > 1 && (request.rules?.strings?.includes(name) ?? true),
  );
  const style = request.style === 'singing' ? ('secure' as const) : ('singing' as const);
  return [
    ...positions.map((position) => ({ positions: { only: [position] } })),
    ...strings.map(({ name }) => ({ strings: [name] })),
    ...(request.style === 'early' ? [] : [{ style }]),
  ];
}

/** How far a way for one phrase may differ beside it: the notes that join it to the others. */
const JOIN = 2;

/** True where two plans differ in one stretch and its join only. */
export function differsOnlyIn({ steps }: Plan, { steps: others }: Plan, demand: Demand): boolean {
  const place = demand.rules?.places?.at(-1);
  if (!place) return true;
  const [first, last] = [
    steps.findIndex(({ at }) => at >= place.from) - JOIN,
    steps.findLastIndex(({ at }) => at <= place.to) + JOIN,
  ];
  return steps.every((step, t) => (t >= first && t <= last) || heldAlike(step, others[t]));
}

/** The share of notes with another string or finger. */
export function shareOfOthers({ steps }: Plan, { steps: others }: Plan): number {
  const other = steps.filter(({ stops }, t) =>
    stops.some(({ string, finger }, n) => string !== others[t].stops[n].string || finger !== others[t].stops[n].finger),
  );
  return other.length / steps.length;
}

/** Times that what nobody would ask for may come in a piece: it is counted for so many events. */
export const timesOfPiece = ({ sounding }: Context) => Math.max(1, sounding.length / MANY);
