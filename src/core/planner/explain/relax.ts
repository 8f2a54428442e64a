import type { PositionNumber } from '../../hand/hold';
import type { SoundingEvent } from '../../material/events';
import { midiOf } from '../../pitch/pitch';
import { fightingEvents } from '../search';
import { positionOrder } from '../../hand/positions';
import { positionAllowed } from '../graph';
import { placeOf } from '../place';
import type { PositionRule, Rules } from '../request';
import type { RuleChange, Problem } from '../response';
import type { Context } from '../cost';
import { passesOver, leastCost } from '../search';
import { candidatesFor, beyondHand } from '../graph';
import { buildTrellis, type HoldTrellis } from '../graph';

/*
 * When no plan is left: which note breaks the demands, and the smallest change that would help.
 */

/** @returns the problems of a stage whose web has no path; never empty. */
export function problemsOf(context: Context, trellis: HoldTrellis): Problem[] {
  const unplayable = context.sounding.filter((event) => context.holdsOf(event).all.length === 0);
  if (unplayable.length > 0)
    return unplayable.slice(0, MOST_PROBLEMS).map((event) => outOfRange(context, event));
  const beyond = context.sounding.find((event) =>
    context.holdsOf(event).all.every((hold) => beyondHand(context, hold)),
  );
  const rules = context.request.rules ?? {};
  if (beyond && !(rules.locks ?? []).some((lock) => lock.at === beyond.at))
    return [{ code: 'beyond-reach', at: beyond.at }];
  const empty = trellis.layers.findIndex((layer) => layer.nodes === 0);
  if (empty >= 0) return [outOfRules(context, [context.sounding[empty]])];
  return [
    outOfRules(
      context,
      (fightingEvents(trellis) ?? []).map((t) => context.sounding[t]),
    ),
  ];
}

/** More problems of one kind than this tell the reader nothing new. */
const MOST_PROBLEMS = 5;

function outOfRange({ setup }: Context, event: SoundingEvent): Problem {
  const midis = event.pitches.map(midiOf);
  const top = setup.strings[setup.strings.length - 1];
  if (Math.min(...midis) < setup.strings[0].midi - setup.extensionSemitones)
    return { code: 'too-low', at: event.at };
  const beyondEnd = Math.max(...midis) > top.midi + setup.reachSemitones;
  return { code: beyondEnd ? 'too-high' : 'not-together', at: event.at };
}

/** @param events the one that has no place, or the two that no way joins */
function outOfRules(context: Context, events: readonly SoundingEvent[]): Problem {
  const budget = { left: MOST_LOOKED_AT };
  const ways = waysOut(context, events, budget);
  const found = ways.at(0) ?? pairThatHelps(context, budget);
  const [first, second] = events;
  return {
    code: 'out-of-rules',
    at: events[events.length - 1].at,
    ...(second ? { fight: [first.at, second.at] as const } : {}),
    ...(found ? { changes: found.changes, relax: found.relax } : {}),
    ways: ways.map(({ changes, relax }) => ({ changes, relax })),
  };
}

interface Relaxation {
  readonly changes: readonly RuleChange[];
  /** What is put in place of the rules it names. */
  readonly relax: Rules;
  /** The event whose lock it takes off. */
  readonly at?: number;
}

/** Ways out offered at once. */
const MOST_WAYS = 3;

/** Single changes that leave a plan, the smallest of each kind; to unlock one fighting note or the other are two kinds. */
function waysOut(context: Context, events: readonly SoundingEvent[], budget: Budget): Relaxation[] {
  const ways = new Map<string, Relaxation>();
  const fights = (at: number | undefined) => events.some((event) => event.at === at);
  const all = relaxations(context);
  for (const one of [...all.filter(({ at }) => fights(at)), ...all.filter(({ at }) => !fights(at))]) {
    const [rule] = Object.keys(one.relax);
    const kind = fights(one.at) ? `${rule} ${one.at}` : rule;
    if (ways.size < MOST_WAYS && !ways.has(kind) && leavesPlan(context, one.relax, budget))
      ways.set(kind, one);
  }
  return [...ways.values()];
}

/** Where no single change helps: the first two that do so together. */
function pairThatHelps(context: Context, budget: Budget): Relaxation | null {
  const single = relaxations(context);
  for (const first of single) {
    if (budget.left < 0) return null;
    for (const second of single) {
      if (Object.keys(second.relax).some((name) => name in first.relax)) continue;
      const relax = { ...first.relax, ...second.relax };
      if (leavesPlan(context, relax, budget))
        return { relax, changes: [...first.changes, ...second.changes] };
    }
  }
  return null;
}

/** What looking for a way out may take, in events looked at; the core has no clock. */
interface Budget {
  left: number;
}
const MOST_LOOKED_AT = 60_000;
/** A whole trellis takes as long as looking so often at whether each event has a hold. */
const TRELLIS = 10;

function leavesPlan(context: Context, change: Rules, budget: Budget): boolean {
  const events = context.sounding.length;
  if (budget.left < 0) return false;
  budget.left -= events;
  const rules = { ...context.request.rules, ...change };
  const relaxed: Context = { ...context, request: { ...context.request, rules } };
  const locksOf = (event: SoundingEvent) => (rules.locks ?? []).filter((lock) => lock.at === event.at);
  if (!context.sounding.every((event) => candidatesFor(relaxed, event, locksOf(event)).length > 0))
    return false;
  // Every event has a hold; whether a hand can go from each to the next is seen on the whole trellis.
  budget.left -= TRELLIS * events;
  const trellis = buildTrellis(relaxed);
  return trellis.layers.every(({ nodes }) => nodes > 0) && leastCost(passesOver(trellis)) < Infinity;
}

/** Single changes to the rules in force, from the least to the greatest. */
function relaxations(context: Context): Relaxation[] {
  const rules = context.request.rules ?? {};
  const list: Relaxation[] = [];
  const add = (kind: Extract<RuleChange, { kind: `allow-${string}` }>['kind'], relax: Rules) =>
    list.push({ changes: [{ kind } as RuleChange], relax });
  if (rules.openStrings === 'never') add('allow-open-strings', { openStrings: 'avoid' });
  if (rules.fourthFinger === 'never') add('allow-little-finger', { fourthFinger: 'avoid' });
  if (rules.fourthFinger === 'no-shift') add('allow-little-shifts', { fourthFinger: 'avoid' });
  if (rules.extensions === 'never') add('allow-extension', { extensions: 'avoid' });
  if (rules.positions) list.push(...widerPositions(context, rules.positions));
  for (const lock of rules.locks ?? [])
    list.push({
      changes: [{ kind: 'unlock', at: lock.at }],
      relax: { locks: (rules.locks ?? []).filter((other) => other !== lock) },
      at: lock.at,
    });
  for (const one of rules.never ?? [])
    list.push({
      changes: [{ kind: 'allow-again', at: one.at }],
      relax: { never: (rules.never ?? []).filter((other) => other !== one) },
    });
  if (rules.strings) list.push(...moreStrings(context, rules.strings));
  return list;
}

/** The rule widened by ever more positions, those nearest to it first. */
function widerPositions({ model }: Context, rule: PositionRule): Relaxation[] {
  const places = Array.from({ length: model.positionCount }, (_, at) => placeOf(model, at));
  const inside = places.map(({ position }) => positionAllowed(rule, position));
  const first = Math.max(0, inside.indexOf(true));
  const last = Math.max(first, inside.lastIndexOf(true));
  const wider: { readonly from: number; readonly to: number }[] = [];
  for (let from = first; from >= 0; from--)
    for (let to = last; to < places.length; to++) if (from < first || to > last) wider.push({ from, to });
  const grown = (range: { from: number; to: number }) => first - range.from + range.to - last;
  const ranges = wider.sort((a, b) => grown(a) - grown(b)).slice(0, MOST_RANGES);
  const list = ranges.map(({ from, to }): Relaxation => ({
    changes: [{ kind: 'allow-positions', from: places[from], to: places[to] }],
    relax: { positions: asRange(places[from].position, places[to].position) },
  }));
  if (!('only' in rule)) return list;
  const added = places
    .filter(({ position }) => !rule.only.includes(position))
    .sort((a, b) => nearness(rule.only, a.position) - nearness(rule.only, b.position))
    .map((place): Relaxation => ({
      changes: [{ kind: 'allow-position', ...place }],
      relax: { positions: { only: [...rule.only, place.position] } },
    }));
  return [...added, ...list];
}

/** Position ranges tried; a request is answered in well under a second with this many. */
const MOST_RANGES = 120;

function asRange(from: PositionNumber, to: PositionNumber): PositionRule {
  return from === 'thumb' ? { only: ['thumb'] } : { from, to };
}

function nearness(only: readonly PositionNumber[], label: PositionNumber): number {
  return Math.min(...only.map((own) => Math.abs(positionOrder(own) - positionOrder(label)) || 0));
}

function moreStrings(context: Context, strings: readonly string[]): Relaxation[] {
  const others = context.setup.strings.map(({ name }) => name).filter((name) => !strings.includes(name));
  const added = others.map((name): Relaxation => ({
    changes: [{ kind: 'allow-string', string: name }],
    relax: { strings: [...strings, name] },
  }));
  const all: Relaxation = {
    changes: [{ kind: 'allow-all-strings' }],
    relax: { strings: [...strings, ...others] },
  };
  return others.length > 1 ? [...added, all] : added;
}
