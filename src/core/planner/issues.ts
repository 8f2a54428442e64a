import { resolveSetup, setupIssues, type ChoiceIssue } from '../instrument/setup';
import { buildMusic } from '../material/build';
import { materialIssues } from '../material/issues';
import type { PlanRequest, Rules } from './request';

/**
 * What cannot be understood in a request whose shape is right: unknown names, strings that are not there, locks on no note.
 * A request that is understood but cannot be played is not an issue; the plan answers it with a problem.
 */
export function requestIssues(request: PlanRequest): ChoiceIssue[] {
  const issues = [...setupIssues(request), ...handIssues(request), ...materialIssues(request.material)];
  if (issues.length > 0) return issues;
  return request.rules ? ruleIssues(request, request.rules) : [];
}

function handIssues({ hand }: PlanRequest): ChoiceIssue[] {
  if (typeof hand !== 'object' || hand.relaxedMm <= hand.fullMm) return [];
  return [
    {
      path: '/hand/relaxedMm',
      message: `The comfortable spread (${hand.relaxedMm} mm) cannot be wider than the full one (${hand.fullMm} mm); measure again or swap them.`,
    },
  ];
}

function ruleIssues(request: PlanRequest, rules: Rules): ChoiceIssue[] {
  const names = resolveSetup(request).strings.map(({ name }) => name);
  const issues: ChoiceIssue[] = [];
  const checkString = (path: string, name: string) => {
    if (!names.includes(name))
      issues.push({
        path,
        message: `There is no string "${name}" here; the strings are ${names.join(', ')}.`,
      });
  };
  rules.strings?.forEach((name, at) => checkString(`/rules/strings/${at}`, name));
  const positions = rules.positions;
  if (positions && 'from' in positions && positions.to !== 'thumb' && positions.from > positions.to) {
    issues.push({
      path: '/rules/positions',
      message: `Positions run upwards: ${positions.from} is above ${positions.to}; swap them.`,
    });
  }
  const { locks = [], never = [] } = rules;
  if (locks.length + never.length === 0) return issues;
  const { events } = buildMusic(request.material);
  const checkPlace = (path: string, place: { readonly at: number; readonly string?: string }) => {
    if (place.string !== undefined) checkString(`${path}/string`, place.string);
    const event = events[place.at];
    if (event?.kind !== 'sounding')
      issues.push({
        path: `${path}/at`,
        message: event
          ? `Event ${place.at} is a rest; this needs a note.`
          : `There is no event ${place.at}; the material has events 0 to ${events.length - 1}.`,
      });
  };
  locks.forEach((lock, at) => checkPlace(`/rules/locks/${at}`, lock));
  never.forEach((one, at) => checkPlace(`/rules/never/${at}`, one));
  return issues;
}
