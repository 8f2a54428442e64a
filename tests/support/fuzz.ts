import fc from 'fast-check';
import { response as validResponse } from '#generated/validators.js';
import { plan, requestIssues, resolveSetup, type PlanRequest, type PlanResponse, type Rules } from '../../src/core';
import { answerText, answerValue, isError } from '../../src/work/answering';
import { someRequest } from '../unit/requests';

/*
 * Requests by chance, good and hostile, and what must hold for every answer. The seed makes every run the same.
 */

const TUNINGS = {
  violin: ['G3', 'D4', 'A4', 'E5'],
  viola: ['C3', 'G3', 'D4', 'A4'],
  cello: ['C2', 'G2', 'D3', 'A3'],
  bass: ['E1', 'A1', 'D2', 'G2'],
} as const;

/** A request with demands at single notes too, on some of the strings, some basses with an extension. */
export const demandingRequest: fc.Arbitrary<PlanRequest> = someRequest.chain((request) => {
  const strings = TUNINGS[request.instrument];
  const held = fc.record(
    {
      finger: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const, 4 as const),
      string: fc.constantFrom(...strings),
      position: fc.constantFrom(0.5, 1, 2, 3, 5),
    },
    { requiredKeys: [] },
  );
  const at = fc.constantFrom(0, 1);
  const lock = fc.tuple(at, held).filter(([, one]) => Object.keys(one).length > 0);
  const locks = lock.map(([at, one]) => [{ at, ...one }]);
  const demands = fc.record(
    { locks, never: locks, strings: fc.subarray([...strings], { minLength: 1 }) },
    { requiredKeys: [] },
  );
  const extension = fc.constantFrom(undefined, request.instrument === 'bass' ? 'C1' : undefined);
  return fc
    .tuple(demands, extension)
    .map(([more, extensionTo]) => ({
      ...request,
      ...(extensionTo ? { extensionTo } : {}),
      rules: { ...request.rules, ...more },
    }));
});

/** What is wrong with the answer to a good request; null where nothing is. */
export function answerFault(request: PlanRequest): string | null {
  if (requestIssues(request).length > 0) return null;
  const answer = answerValue(request);
  if (isError(answer)) return `an error: ${JSON.stringify(answer)}`;
  if (!validResponse(answer)) return `against the schema: ${JSON.stringify(validResponse.errors?.[0])}`;
  if (JSON.stringify(answerValue(request)) !== JSON.stringify(answer)) return 'two answers to one request';
  const response = plan(request);
  const unsound = planSoundness(request, response);
  if (unsound) return unsound;
  const [best] = response.plans;
  const everyString = { ...request, rules: { ...request.rules, strings: [...TUNINGS[request.instrument]] } };
  if (best && !request.rules?.strings && Math.abs(plan(everyString).plans[0].cost - best.cost) > 1e-9)
    return 'naming every string changes the price';
  const dearer = best ? looserIsDearer(request, best.cost) : null;
  if (dearer) return dearer;
  for (const { ways = [] } of response.problems)
    for (const { relax } of ways) {
      const helped = plan({ ...request, rules: { ...request.rules, ...relax } });
      if (helped.plans.length === 0) return `a remedy that does not help: ${JSON.stringify(relax)}`;
    }
  return null;
}

/** Every plan has every note, each stop sounds it, and the demands are kept. */
function planSoundness(request: PlanRequest, { events, plans, problems }: PlanResponse): string | null {
  if (plans.length === 0) return problems.length > 0 ? null : 'no plan and no problem';
  const { rules = {} } = request;
  const open = new Map(resolveSetup(request).strings.map(({ name, midi }) => [name, midi]));
  const sounding = events.flatMap((event) => ('midi' in event ? [event] : []));
  for (const { steps, cost, terms } of plans) {
    const sum = Object.values(terms).reduce((all, one) => all + one, 0);
    if (Math.abs(sum - cost) > 1e-9 || !Number.isFinite(cost)) return 'terms do not add up';
    if (steps.length !== sounding.length) return 'notes are missing';
    for (const [t, { at, stops, position }] of steps.entries()) {
      const sounds = stops.map(({ string, semitones }) => (open.get(string) ?? NaN) + semitones);
      if (sounds.sort((a, b) => a - b).join() !== [...sounding[t].midi].sort((a, b) => a - b).join())
        return `event ${at} sounds ${sounds.join()}`;
      const held = (one: { readonly finger?: unknown; readonly string?: string; readonly position?: unknown }) =>
        (one.position === undefined || one.position === position) &&
        stops.some(
          ({ finger, string }) =>
            (one.finger === undefined || one.finger === finger) && (one.string === undefined || one.string === string),
        );
      if (rules.locks?.some((lock) => lock.at === at && !held(lock))) return `the lock at ${at} is not kept`;
      if (rules.never?.some((one) => one.at === at && !('shift' in one) && held(one)))
        return `what is forbidden at ${at} is there`;
      if (rules.strings && stops.some(({ string }) => !rules.strings?.includes(string))) return 'another string';
      if (rules.openStrings === 'never' && stops.some(({ finger }) => finger === 0)) return 'an open string';
      if (rules.fourthFinger === 'never' && stops.some(({ finger }) => finger === 4)) return 'a little finger';
    }
  }
  return null;
}

/** Rules on fingers and open strings, each with the next looser word. */
const LOOSER: readonly (readonly [keyof Rules, string, string | undefined])[] = [
  ['openStrings', 'never', 'avoid'],
  ['fourthFinger', 'never', 'avoid'],
  ['fourthFinger', 'no-shift', undefined],
  ['extensions', 'never', 'avoid'],
];

function looserIsDearer(request: PlanRequest, cost: number): string | null {
  for (const [rule, strict, loose] of LOOSER) {
    if (request.rules?.[rule] !== strict) continue;
    const rules = { ...request.rules, [rule]: loose };
    const [looser] = plan({ ...request, rules, explain: 'nothing' }).plans;
    // "Avoid" has a price of its own, which a plan that had nothing to avoid does not pay.
    if (looser && looser.cost > cost + 1e-9) return `${rule} "${strict}" loosened is dearer`;
  }
  return null;
}

const HOSTILE_TEXTS = [
  '__proto__',
  'constructor',
  'toString',
  'hasOwnProperty',
  'A99999',
  `A${'9'.repeat(400)}`,
  `A${'#'.repeat(4000)}4`,
  'AInfinity',
  'ANaN',
  '',
  ' ',
  '\u0000',
  '𝄞',
  '<script>alert(1)</script>',
  '${7*7}',
  '../../etc/passwd',
  'x'.repeat(100_000),
];
const HOSTILE_VALUES: readonly unknown[] = [
  ...HOSTILE_TEXTS,
  null,
  true,
  0,
  -1,
  1e308,
  Number.MAX_SAFE_INTEGER,
  [],
  {},
  [[[[]]]],
];

/** A good request with one field, however deep, put to something hostile. */
export const hostileRequest: fc.Arbitrary<unknown> = fc
  .tuple(demandingRequest, fc.nat(), fc.constantFrom(...HOSTILE_VALUES), fc.boolean())
  .map(([request, where, value, added]) => {
    const copy = structuredClone(request) as unknown;
    const places = placesIn(copy);
    const [holder, name] = places[where % places.length];
    if (added) holder[typeof value === 'string' && value !== '__proto__' ? value.slice(0, 200) : 'more'] = value;
    else holder[name] = value;
    return copy;
  });

type Holder = Record<string, unknown>;

function placesIn(value: unknown): [Holder, string][] {
  if (typeof value !== 'object' || value === null) return [];
  const holder = value as Holder;
  return Object.keys(holder).flatMap((name) => [[holder, name] as [Holder, string], ...placesIn(holder[name])]);
}

/** Largest answer to a request that cannot be understood, in bytes. */
const MOST_REFUSAL = 64_000;

/** What is wrong with the answer to a hostile text; null where nothing is. */
export function refusalFault(text: string): string | null {
  const answer = answerText(text);
  if (!isError(answer)) return null;
  const whole = JSON.stringify(answer);
  if (answer.error.code === 'internal') return `a mistake of our own: ${whole}`;
  if (answer.error.issues.length > 20) return 'more than 20 issues';
  if (whole.length > MOST_REFUSAL) return `an answer of ${whole.length} letters`;
  return /\bat .*:\d+:\d+/.test(whole) ? `a stack trace: ${whole}` : null;
}
