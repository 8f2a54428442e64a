import { INSTRUMENTS } from '../instrument/instruments';
import type { SoundingEvent } from '../material/events';
import { midiOf, pitchName } from '../pitch/pitch';
import { fightingEvents } from './fight';
import { positionAllowed, positionOrder } from './limits';
import type { PositionNumber, PositionRule, Rules } from './request';
import type { Problem } from './response';
import type { Stage } from './scene';
import { costsOf, leastCost } from './togo';
import { allowedGrips, beyondHand } from './allowed';
import { weave, type Web } from './weave';

/*
 * When no plan is left: which note breaks the demands, and the smallest change that would help.
 */

/** @returns the problems of a stage whose web has no path; never empty. */
export function problemsOf(stage: Stage, web: Web): Problem[] {
  const unplayable = stage.sounding.filter((event) => stage.holdsOf(event).all.length === 0);
  if (unplayable.length > 0)
    return unplayable.slice(0, MOST_PROBLEMS).map((event) => outOfRange(stage, event));
  const beyond = stage.sounding.find((event) =>
    stage.holdsOf(event).all.every((hold) => beyondHand(stage, hold)),
  );
  const rules = stage.request.rules ?? {};
  if (beyond && !(rules.locks ?? []).some((lock) => lock.at === beyond.at)) return [beyondReach(beyond)];
  const empty = web.layers.findIndex((layer) => layer.nodes === 0);
  if (empty >= 0) return [outOfRules(stage, [stage.sounding[empty]])];
  return [
    outOfRules(
      stage,
      (fightingEvents(web) ?? []).map((t) => stage.sounding[t]),
    ),
  ];
}

/** More problems of one kind than this tell the reader nothing new. */
const MOST_PROBLEMS = 5;

function outOfRange(stage: Stage, event: SoundingEvent): Problem {
  const { setup } = stage;
  const names = event.pitches.map(pitchName).join(' and ');
  const { label } = INSTRUMENTS[setup.kind];
  const lowest = setup.strings[0];
  const top = setup.strings[setup.strings.length - 1];
  const midis = event.pitches.map(midiOf);
  if (Math.min(...midis) < lowest.midi - setup.extensionSemitones) {
    const message = `${names} lies below the lowest string (${lowest.name}) of this ${label}. Start higher, take fewer octaves down, or tune the string lower.`;
    return { code: 'too-low', at: event.at, message };
  }
  if (Math.max(...midis) > top.midi + setup.reachSemitones) {
    const message = `${names} lies above the end of the fingerboard of this ${label}. Start lower or take fewer octaves.`;
    return { code: 'too-high', at: event.at, message };
  }
  const message = `${names} cannot be stopped together in one position on neighbouring strings of this ${label}. Leave a note out or change the voicing.`;
  return { code: 'not-together', at: event.at, message };
}

function beyondReach(event: SoundingEvent): Problem {
  const names = event.pitches.map(pitchName).join(' and ');
  return {
    code: 'beyond-reach',
    at: event.at,
    message: `${names} asks for a wider spread than this hand has. Choose a smaller instrument or a larger hand, or lock a fingering here to see it all the same.`,
  };
}

/** @param events the one that has no place, or the two that no way joins */
function outOfRules(stage: Stage, events: readonly SoundingEvent[]): Problem {
  const [first, second] = events.map(
    (event) => `${event.pitches.map(pitchName).join(' and ')} (note ${event.at + 1})`,
  );
  const ways = waysOut(stage, events);
  const found = ways.at(0) ?? pairThatHelps(stage);
  const broken = second
    ? `${first} and ${second} fight: as they are demanded, no way leads from the one to the other.`
    : `${first} has no place within the rules.`;
  const help = found
    ? `What would help: ${found.words}.`
    : 'Taking off one or two of the rules does not help; take them off and add them back one by one.';
  return {
    code: 'out-of-rules',
    at: events[events.length - 1].at,
    ...(second ? { fight: [events[0].at, events[1].at] as const } : {}),
    message: `${broken} ${help}`,
    relax: found?.change,
    ways: ways.map(({ words, change }) => ({ words, relax: change })),
  };
}

interface Relaxation {
  readonly change: Rules;
  readonly words: string;
  /** The event whose lock it takes off. */
  readonly at?: number;
}

/** Ways out offered at once. */
const MOST_WAYS = 3;

/** Single changes that leave a plan, the smallest of each kind; to unlock one fighting note or the other are two kinds. */
function waysOut(stage: Stage, events: readonly SoundingEvent[]): Relaxation[] {
  const ways = new Map<string, Relaxation>();
  const fights = (at: number | undefined) => events.some((event) => event.at === at);
  const all = relaxations(stage);
  for (const one of [...all.filter(({ at }) => fights(at)), ...all.filter(({ at }) => !fights(at))]) {
    const [rule] = Object.keys(one.change);
    const kind = fights(one.at) ? `${rule} ${one.at}` : rule;
    if (ways.size < MOST_WAYS && !ways.has(kind) && leavesPlan(stage, one.change)) ways.set(kind, one);
  }
  return [...ways.values()];
}

/** Where no single change helps: the first two that do so together. */
function pairThatHelps(stage: Stage): Relaxation | null {
  const single = relaxations(stage);
  for (const first of single) {
    for (const second of single) {
      if (Object.keys(second.change).some((name) => name in first.change)) continue;
      const change = { ...first.change, ...second.change };
      if (leavesPlan(stage, change)) return { change, words: `${first.words}, and ${second.words}` };
    }
  }
  return null;
}

function leavesPlan(stage: Stage, change: Rules): boolean {
  const rules = { ...stage.request.rules, ...change };
  const relaxed: Stage = { ...stage, request: { ...stage.request, rules } };
  const locksAt = (event: SoundingEvent) => (rules.locks ?? []).filter((lock) => lock.at === event.at);
  if (!stage.sounding.every((event) => allowedGrips(relaxed, event, locksAt(event)).length > 0)) return false;
  const shiftsBound = rules.fourthFinger === 'no-shift' || rules.never?.some((one) => 'shift' in one);
  return !shiftsBound || leastCost(costsOf(weave(relaxed))) < Infinity;
}

/** Single changes to the rules in force, from the least to the greatest. */
function relaxations(stage: Stage): Relaxation[] {
  const rules = stage.request.rules ?? {};
  const list: Relaxation[] = [];
  if (rules.openStrings === 'never')
    list.push({ change: { openStrings: 'avoid' }, words: 'allow open strings where nothing else is left' });
  if (rules.fourthFinger === 'never')
    list.push({
      change: { fourthFinger: 'avoid' },
      words: 'allow the little finger where nothing else is left',
    });
  if (rules.fourthFinger === 'no-shift')
    list.push({ change: { fourthFinger: 'avoid' }, words: 'allow the little finger to shift' });
  if (rules.extensions === 'never')
    list.push({ change: { extensions: 'avoid' }, words: 'allow an extension where nothing else is left' });
  if (rules.positions) list.push(...widerPositions(stage, rules.positions));
  for (const lock of rules.locks ?? [])
    list.push({
      change: { locks: (rules.locks ?? []).filter((other) => other !== lock) },
      words: `unlock note ${lock.at + 1}`,
      at: lock.at,
    });
  for (const one of rules.never ?? [])
    list.push({
      change: { never: (rules.never ?? []).filter((other) => other !== one) },
      words: `allow again what was forbidden at note ${one.at + 1}`,
    });
  if (rules.strings) list.push(...moreStrings(stage, rules.strings));
  return list;
}

/** The rule widened by ever more positions, those nearest to it first. */
function widerPositions(stage: Stage, rule: PositionRule): Relaxation[] {
  const labels = Array.from({ length: stage.model.positionCount }, (_, at) => stage.model.label(at));
  const inside = labels.map(({ label }) => positionAllowed(rule, label));
  const first = Math.max(0, inside.indexOf(true));
  const last = Math.max(first, inside.lastIndexOf(true));
  const wider: { readonly from: number; readonly to: number }[] = [];
  for (let from = first; from >= 0; from--)
    for (let to = last; to < labels.length; to++) if (from < first || to > last) wider.push({ from, to });
  const grown = (range: { from: number; to: number }) => first - range.from + range.to - last;
  const ranges = wider.sort((a, b) => grown(a) - grown(b)).slice(0, MOST_RANGES);
  const list = ranges.map(({ from, to }) => ({
    change: { positions: asRange(labels[from].label, labels[to].label) },
    words: `allow ${labels[from].name} to ${labels[to].name} position`,
  }));
  if (!('only' in rule)) return list;
  const added = labels
    .filter(({ label }) => !rule.only.includes(label))
    .sort((a, b) => nearness(rule.only, a.label) - nearness(rule.only, b.label))
    .map(({ label, name }) => ({
      change: { positions: { only: [...rule.only, label] } },
      words: `allow ${name} position too`,
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

function moreStrings(stage: Stage, strings: readonly string[]): Relaxation[] {
  const others = stage.setup.strings.map(({ name }) => name).filter((name) => !strings.includes(name));
  const added = others.map((name) => ({
    change: { strings: [...strings, name] },
    words: `allow the ${name} string too`,
  }));
  const all = { change: { strings: [...strings, ...others] }, words: 'allow all strings' };
  return others.length > 1 ? [...added, all] : added;
}
