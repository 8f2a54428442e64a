import { resolveSetup, setupIssues } from '../instrument/setup';
import type { Issue } from '../issue';
import { buildMusic } from '../material/build';
import { materialIssues } from '../material/materialIssues';
import { parsePitch } from '../pitch/pitch';
import { opensBothWays } from '../hand/positions';
import { instrumentRecord } from '../instrument/instruments';
import type { Lock, PlanRequest, Rules } from '../vocabulary';
import { stretchIssues } from './stretchIssues';

/**
 * What cannot be understood in a request whose shape is right: unknown names, strings that are not there, locks on no note.
 * A request that is understood but cannot be played is not an issue; the plan answers it with a problem.
 */
export function requestIssues(request: PlanRequest): Issue[] {
  const issues = [
    ...setupIssues(request),
    ...handIssues(request),
    ...materialIssues(request.material),
    ...droneIssues(request),
  ];
  if (issues.length > 0) return issues;
  return request.rules ? ruleIssues(request, request.rules) : [];
}

function droneIssues({ meaning }: PlanRequest): Issue[] {
  const name = meaning?.drone;
  if (name === undefined || parsePitch(name)) return [];
  return [{ path: '/meaning/drone', code: 'no-pitch', data: { name } }];
}

function handIssues({ hand }: PlanRequest): Issue[] {
  if (typeof hand !== 'object' || hand.relaxedMm <= hand.fullMm) return [];
  const data = { relaxed: hand.relaxedMm, full: hand.fullMm };
  return [{ path: '/hand/relaxedMm', code: 'spreads-swapped', data }];
}

function ruleIssues(request: PlanRequest, rules: Rules): Issue[] {
  const names = resolveSetup(request).strings.map(({ name }) => name);
  const issues: Issue[] = [];
  const checkString = (path: string, name: string) => {
    if (!names.includes(name)) issues.push({ path, code: 'no-string', data: { name, strings: names } });
  };
  const checkDemands = (path: string, { positions, strings, patterns, fingers, fourthFinger }: Rules) => {
    strings?.forEach((name, at) => checkString(`${path}/strings/${at}`, name));
    if (positions && 'from' in positions && positions.to !== 'thumb' && positions.from > positions.to)
      issues.push({
        path: `${path}/positions`,
        code: 'positions-swapped',
        data: { from: positions.from, to: positions.to },
      });
    patterns?.forEach(({ string, touch: [a, b] }, at) => {
      checkString(`${path}/patterns/${at}/string`, string);
      if (Math.abs(a - b) !== 1)
        issues.push({ path: `${path}/patterns/${at}/touch`, code: 'not-neighbours', data: { a, b } });
    });
    if (fingers?.never.includes(4) && fourthFinger === 'prefer')
      issues.push({ path: `${path}/fingers`, code: 'little-finger-at-odds' });
  };
  const { locks = [], never = [], places = [], same = [], prepare = [] } = rules;
  checkDemands('/rules', rules);
  places.forEach((place, at) => checkDemands(`/rules/places/${at}`, place));
  if ([locks, never, places, same, prepare].every(({ length }) => length === 0)) return issues;
  const { events } = buildMusic(request.material);
  issues.push(...stretchIssues(rules, events));
  const opens = opensBothWays(instrumentRecord(request.instrument));
  const checkPlace = (path: string, place: Lock) => {
    if (place.string !== undefined) checkString(`${path}/string`, place.string);
    if (place.frame !== undefined && !opens) issues.push({ path: `${path}/frame`, code: 'no-frames' });
    const event = events[place.at];
    if (event?.kind === 'sounding') return;
    const data = { at: place.at, last: events.length - 1 };
    issues.push({ path: `${path}/at`, code: event ? 'on-a-rest' : 'no-event', data });
  };
  locks.forEach((lock, at) => checkPlace(`/rules/locks/${at}`, lock));
  never.forEach((one, at) => checkPlace(`/rules/never/${at}`, one));
  return issues;
}
