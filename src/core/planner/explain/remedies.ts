import { leastIndex } from 'd3-array';
import { positionOrder, positionsOf } from '../../hand/positions';
import type { SoundingEvent } from '../../material/events';
import { contextAt, contextFor, eachStretch, freshTables, rulesOver, type Candidate, type Context } from '../cost';
import {
  buildTrellis,
  candidatesFor,
  holdAllowed,
  locksAt,
  shiftsFrom,
  positionAllowed,
  type HoldTrellis,
  type Path,
} from '../graph';
import { placeOf } from '../place';
import { isListed, leftOf, LISTED, STRETCHES } from './listed';
import type { PositionRule, Rules, RuleChange } from '../../vocabulary';
import { bestPath, withCosts } from '../searched';

/*
 * What would help where the demands leave no plan. One demand after the other is left out, the dearest to a teacher last; the plan found then, which
 * keeps to the demand wherever it can, says what has to be let in. Each remedy is that and no more, and yields that plan.
 */

export interface Remedy {
  readonly changes: readonly RuleChange[];
  /** What is put in place of the rules it names. */
  readonly relax: Rules;
}

/** Remedies offered at once. */
const MOST_REMEDIES = 3;

/** What looking for remedies may take, in events looked at; the core has no clock. */
interface Budget {
  left: number;
}
const MOST_LOOKED_AT = 60_000;
/** A whole trellis takes as long as looking so often at whether each event has a hold. */
const TRELLIS = 10;
/** Locks and forbidden things tried one by one beside those of the notes that break. */
const MOST_SINGLE = 12;

/** One demand, or one lock, as it can be left out. */
interface Part {
  readonly name: keyof Rules;
  /** Of one lock or one forbidden thing its number in the list. */
  readonly number?: number;
}

/** The demands in the order in which a teacher lets go of them, the lightest first; what is said of single notes here and elsewhere. */
const LIGHTEST_FIRST = [
  'harmonics',
  'shiftOn',
  'extensions',
  'patterns',
  'prepare',
  'same',
  'sameBack',
  'mostShifts',
  'visit',
  'openStrings',
  'fourthFinger',
  'fingers',
  'here',
  'places',
  'positions',
  'strings',
  'elsewhere',
] as const;

/** The smallest remedies, at most three; none where nothing helps or looking for it would take too long. */
export function remediesFor(context: Context, events: readonly SoundingEvent[]): Remedy[] {
  const budget = { left: MOST_LOOKED_AT };
  const parts = partsOf(context, events, MOST_SINGLE);
  const found: Remedy[] = [nearestHarmonic(context, budget)].filter((one) => one !== null);
  const kinds = new Set<string>();
  for (const part of parts) {
    if (found.length === MOST_REMEDIES || budget.left < 0) break;
    const kind = part.number === undefined ? part.name : `${part.name} ${placeOfPart(context, part)}`;
    if (kinds.has(kind)) continue;
    const remedy = remedyBy(context, [part], budget);
    if (!remedy) continue;
    kinds.add(kind);
    found.push(remedy);
  }
  if (found.length > 0) return found;
  const several = fewestThatHelp(context, partsOf(context, events, Infinity), budget);
  return several ? [several] : [];
}

/** A harmonic asked for at a note that has none, at the nearest note that has one; null where none was asked for, or where it leaves no plan. */
function nearestHarmonic(context: Context, budget: Budget): Remedy | null {
  const { sounding, request } = context;
  const rules = request.rules ?? {};
  const asked = rules.locks?.find(({ at, harmonic }) => harmonic && !hasHarmonic(context, at));
  if (!asked) return null;
  const from = sounding.findIndex(({ at }) => at === asked.at);
  const has = sounding.flatMap(({ at }, t) => (hasHarmonic(context, at) ? [{ at, away: Math.abs(t - from) }] : []));
  const nearest = leastIndex(has, ({ away }) => away);
  if (nearest === undefined) return null;
  const { at } = has[nearest];
  const others = (rules.locks ?? []).filter((lock) => lock !== asked && lock.at !== at);
  const locks = [...others, { at, harmonic: true as const }].sort((a, b) => a.at - b.at);
  if (!planNear(context, withRules(context, { ...rules, locks }), [], budget)) return null;
  return { changes: [{ kind: 'harmonic-at', at }], relax: { locks } };
}

function hasHarmonic(context: Context, at: number): boolean {
  const event = context.sounding.find((one) => one.at === at);
  return event !== undefined && candidatesFor(context, event, [{ at, harmonic: true }]).length > 0;
}

/** Where a lock or a forbidden thing stands. */
function placeOfPart({ request }: Context, { name, number = 0 }: Part): number | undefined {
  const list = isListed(name) ? request.rules?.[name] : undefined;
  const one = list?.[number];
  return one && ('at' in one ? one.at : one.from);
}

/** The demands that are in force, the lightest first; of locks and forbidden things first those at the events that break. */
function partsOf({ request }: Context, events: readonly SoundingEvent[], most: number): Part[] {
  const rules = request.rules ?? {};
  const here = new Set(events.map(({ at }) => at));
  const single = (name: 'locks' | 'never', breaking: boolean): Part[] =>
    (rules[name] ?? [])
      .map(({ at }, number) => ({ name, number, at }))
      .filter(({ at }) => here.has(at) === breaking)
      .slice(0, most)
      .map(({ name, number }) => ({ name, number }));
  return LIGHTEST_FIRST.flatMap((name): Part[] => {
    switch (name) {
      case 'here':
        return [...single('locks', true), ...single('never', true)];
      case 'elsewhere':
        return [...single('never', false), ...single('locks', false)];
      case 'places':
      case 'same':
      case 'prepare':
        return (rules[name] ?? []).slice(0, most).map((_, number) => ({ name, number }));
      case 'visit':
        return (rules.visit?.length ?? 0) > 0 ? [{ name }] : [];
      case 'fingers':
        return (rules.fingers?.never.length ?? 0) > 0 ? [{ name }] : [];
      case 'harmonics':
      case 'openStrings':
        return rules[name] === 'never' ? [{ name }] : [];
      case 'extensions':
        return ['never', 'forward', 'back'].includes(rules[name] ?? '') ? [{ name }] : [];
      case 'shiftOn':
        return rules[name] === 'semitone' ? [{ name }] : [];
      case 'patterns':
        return (rules.patterns?.length ?? 0) > 0 ? [{ name }] : [];
      case 'fourthFinger':
        return rules[name] === 'never' || rules[name] === 'no-shift' ? [{ name }] : [];
      default:
        return rules[name] === undefined || rules[name] === false ? [] : [{ name }];
    }
  });
}

/** The rules without some of their parts. */
function without(rules: Rules, parts: readonly Part[]): Rules {
  const left: { -readonly [Name in keyof Rules]: Rules[Name] } = { ...rules };
  for (const { name } of parts)
    if (isListed(name)) Object.assign(left, { [name]: leftOf(rules, name, parts) });
    else delete left[name];
  // What is let in is not sought.
  for (const name of ['openStrings', 'fourthFinger', 'extensions'] as const)
    if (parts.some((part) => part.name === name)) left[name] = 'avoid';
  return left;
}

/** What has to be let in if some parts go; null where that does not help. */
function remedyBy(context: Context, parts: readonly Part[], budget: Budget): Remedy | null {
  const rules = context.request.rules ?? {};
  const left = without(rules, parts);
  const found = planNear(context, withRules(context, left), parts, budget);
  if (!found) return null;
  const whole = parts.map((part) => pieceOf(context, part, found));
  // With all that is let in beside them the positions are as few as can be.
  const beside = Object.assign({}, left, ...whole.map(({ relax }) => relax)) as Rules;
  const pieces = whole.map((piece, at) =>
    parts[at].name === 'positions' ? fewerPositions(context, beside, piece, budget) : piece,
  );
  return {
    changes: pieces.flatMap(({ changes }) => changes),
    relax: {
      ...Object.assign({}, ...pieces.map(({ relax }) => relax)),
      ...Object.fromEntries(
        LISTED.filter((list) => parts.some(({ name }) => name === list)).map((list) => [list, left[list] ?? []]),
      ),
    },
  };
}

function withRules(context: Context, rules: Rules): Context {
  const request = { ...context.request, rules };
  if (STRETCHES.some((name) => rules[name] !== context.request.rules?.[name]))
    return contextFor(request, context.written, context.pricing.weights);
  return eachStretch(context, (own, over) => ({
    ...own,
    request: { ...own.request, rules: rulesOver(rules, over) },
    tables: freshTables(own.tables),
  }));
}

/** As few positions of those let in as still leave a plan: of a range the nearest end, of single ones each that is needed. */
function fewerPositions(context: Context, rules: Rules, piece: Remedy, budget: Budget): Remedy {
  const [change] = piece.changes;
  const own = context.request.rules?.positions;
  if (change.kind !== 'allow-positions' || !rules.positions) return piece;
  const leaves = (positions: PositionRule) =>
    planNear(context, withRules(context, { ...rules, positions }), [], budget) !== null;
  const { at } = change;
  const { positions } = rules;
  if ('only' in positions) {
    let places = change.places;
    for (const place of change.places) {
      const others = places.filter((other) => other !== place);
      const rule = widened(
        own,
        others.map(({ position }) => position),
      );
      if (others.length > 0 && leaves(rule)) places = others;
    }
    const rule = widened(
      own,
      places.map(({ position }) => position),
    );
    return { changes: [{ kind: 'allow-positions', places, at }], relax: { positions: rule } };
  }
  if (!own || 'only' in own || positions.to === own.to) return piece;
  const between = positionsOf(context.setup, context.request.school).filter(
    (position) =>
      positionOrder(position) > positionOrder(own.to) && positionOrder(position) <= positionOrder(positions.to),
  );
  const to = between.find((position) => position === positions.to || leaves({ ...positions, to: position }));
  const top = to ?? positions.to;
  return { changes: [{ kind: 'allow-up-to', position: top, at }], relax: { positions: { ...positions, to: top } } };
}

interface Near {
  readonly trellis: HoldTrellis;
  readonly path: Path;
  readonly context: Context;
}

/** Dearer than anything that could be saved by it: what the demand forbids is taken only where nothing else is left. */
const SHUNNED = 1000;

/** The best plan without some demands that still keeps to them wherever it can; null where there is none. */
function planNear(context: Context, freed: Context, parts: readonly Part[], budget: Budget): Near | null {
  const { length } = context.sounding;
  if (budget.left < 0) return null;
  budget.left -= length;
  const held = context.sounding.every(
    (event, t) => candidatesFor(contextAt(freed, t), event, locksAt(freed, event)).length > 0,
  );
  if (!held) return null;
  budget.left -= TRELLIS * length;
  const trellis = buildTrellis(freed);
  if (trellis.layers.some(({ nodes }) => nodes === 0)) return null;
  const shunned = parts.flatMap((part) => shunnedBy(context, part) ?? []);
  const layers = trellis.layers.map((layer) => ({
    ...layer,
    cost: layer.cost.map((cost, node) => (shunned.some((is) => is(layer.candidates[node])) ? cost + SHUNNED : cost)),
  }));
  const path = bestPath(withCosts(freed, { ...trellis, layers }));
  return path && { trellis, path, context: freed };
}

/** What a demand on how notes are held forbids. */
function shunnedBy({ request, model, setup }: Context, { name }: Part): ((candidate: Candidate) => boolean) | null {
  const { positions, strings, fingers, extensions } = request.rules ?? {};
  switch (name) {
    case 'positions':
      return ({ hold }) => !positionAllowed(positions, model.label(hold.position));
    case 'strings':
      return ({ hold }) => hold.stops.some(({ string }) => !strings?.includes(setup.strings[string].name));
    case 'openStrings':
      return ({ hold }) => hold.stops.some(({ finger }) => finger === 0);
    case 'fourthFinger':
      return ({ hold }) => hold.stops.some(({ finger }) => finger === 4);
    case 'extensions':
      return ({ hold }) => !holdAllowed(setup, model, { extensions }, hold);
    case 'harmonics':
      return ({ hold }) => hold.stops.some(({ harmonic }) => harmonic);
    case 'fingers':
      return ({ hold }) => hold.stops.some(({ finger }) => fingers?.never.some((spared) => spared === finger));
    default:
      return null;
  }
}

/** What one part of a remedy lets in, by the plan found without it. */
function pieceOf(context: Context, part: Part, { trellis, path }: Near): Remedy {
  const { request, model, setup, sounding } = context;
  const rules = request.rules ?? {};
  const is = shunnedBy(context, part);
  const taken = Array.from(path, (node, t) => trellis.layers[t].candidates[node]);
  const first = is ? taken.findIndex(is) : -1;
  const at = sounding[Math.max(0, first)].at;
  switch (part.name) {
    case 'openStrings':
      return { changes: [{ kind: 'allow-open-strings', at }], relax: { openStrings: 'avoid' } };
    case 'fourthFinger':
      return rules.fourthFinger === 'never'
        ? { changes: [{ kind: 'allow-little-finger', at }], relax: { fourthFinger: 'avoid' } }
        : { changes: [{ kind: 'allow-little-shifts' }], relax: { fourthFinger: 'avoid' } };
    case 'extensions':
      return { changes: [{ kind: 'allow-extension', at }], relax: { extensions: 'avoid' } };
    case 'harmonics':
      return { changes: [{ kind: 'allow-harmonic', at }], relax: { harmonics: 'free' } };
    case 'fingers': {
      const spared = rules.fingers?.never ?? [];
      const used = new Set<number>(taken.flatMap(({ hold }) => hold.stops.map(({ finger }) => finger)));
      return {
        changes: [{ kind: 'allow-fingers', fingers: spared.filter((finger) => used.has(finger)), at }],
        relax: { fingers: { never: spared.filter((finger) => !used.has(finger)) } },
      };
    }
    case 'positions': {
      const used = [...new Set(taken.flatMap((one) => (is?.(one) ? [one.hold.position] : [])))];
      const places = used.sort((a, b) => a - b).map((position) => placeOf(model, position));
      return {
        changes: [{ kind: 'allow-positions', places, at }],
        relax: {
          positions: widened(
            rules.positions,
            places.map(({ position }) => position),
          ),
        },
      };
    }
    case 'strings': {
      const used = taken.flatMap(({ hold }) => hold.stops.map(({ string }) => setup.strings[string].name));
      const others = setup.strings
        .map(({ name }) => name)
        .filter((name) => used.includes(name) && !rules.strings?.includes(name));
      return {
        changes: [{ kind: 'allow-strings', strings: others, at }],
        relax: { strings: [...(rules.strings ?? []), ...others] },
      };
    }
    case 'mostShifts': {
      const shifts = taken.filter((_, t) => t > 0 && shiftsFrom(trellis, path, t - 1)).length;
      return { changes: [{ kind: 'allow-shifts', most: shifts }], relax: { mostShifts: shifts } };
    }
    case 'visit':
      return { changes: [{ kind: 'forgo-visit' }], relax: { visit: [] } };
    case 'shiftOn':
      return { changes: [{ kind: 'forgo-semitone-shifts' }], relax: { shiftOn: 'anywhere' } };
    case 'patterns':
      return { changes: [{ kind: 'forgo-patterns' }], relax: { patterns: [] } };
    case 'sameBack':
      return { changes: [{ kind: 'forgo-same-back' }], relax: { sameBack: false } };
    case 'locks':
      return { changes: [{ kind: 'unlock', at: placeOfPart(context, part) ?? 0 }], relax: {} };
    case 'never':
      return { changes: [{ kind: 'allow-again', at: placeOfPart(context, part) ?? 0 }], relax: {} };
    case 'places':
    case 'same':
    case 'prepare': {
      const one = rules[part.name]?.[part.number ?? 0];
      const [from, to] = one ? [one.from, 'for' in one ? one.for : one.to] : [0, 0];
      const kind = ({ places: 'forgo-place', same: 'forgo-same', prepare: 'forgo-prepare' } as const)[part.name];
      return { changes: [{ kind, from, to }], relax: {} };
    }
    case 'chromatic':
      return { changes: [], relax: {} };
  }
}

/** A rule on positions with some more let in. */
function widened(rule: PositionRule | undefined, more: readonly (number | 'thumb')[]): PositionRule {
  if (!rule || 'only' in rule) return { only: [...new Set([...(rule?.only ?? []), ...more])] };
  const all = [...more, rule.to].sort((a, b) => positionOrder(a) - positionOrder(b));
  const from = Math.min(rule.from, ...more.filter((position) => position !== 'thumb'));
  return { from, to: all[all.length - 1] };
}

/** Where no single demand is the cause: as few as have to go together, the dearest to a teacher kept where they can be. */
function fewestThatHelp(context: Context, parts: readonly Part[], budget: Budget): Remedy | null {
  const dearest = [...parts].reverse();
  let gone: Part[] = [...parts];
  for (const part of dearest) {
    const fewer = gone.filter((other) => other !== part);
    if (fewer.length > 0 && remedyBy(context, fewer, budget)) gone = fewer;
  }
  return remedyBy(context, gone, { left: Infinity });
}
