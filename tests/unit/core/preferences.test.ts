import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  learnTaste,
  plan,
  requestWeights,
  type Plan,
  type PlanRequest,
  type Preferences,
  type TasteChoice,
  type Wanted,
} from '../../../src/core';
import { answerValue, isError } from '../../../src/work/answering';
import { planAlone } from '../best';

const scale = (instrument: PlanRequest['instrument'], tonic: string, name = 'major', octaves = 2): PlanRequest => ({
  instrument,
  material: { type: 'scale', tonic, scale: name, octaves, direction: 'up' },
  alternatives: 1,
  explain: 'nothing',
});
const first = (request: PlanRequest): Plan => planAlone(request).plans[0] ?? assert.fail();
const play = (request: PlanRequest, preferences: Preferences) => first({ ...request, preferences });
const count = ({ steps }: Plan, finger: number) =>
  steps.filter(({ stops }) => stops.some((stop) => stop.finger === finger)).length;

/** Where two plans of the same notes hold a note otherwise, as the second has it. */
function differing(one: Plan, other: Plan): Wanted[] {
  return other.steps.flatMap(({ at, stops: [stop] }, t) => {
    const [own] = one.steps[t].stops;
    const same = own.finger === stop.finger && own.string === stop.string;
    return same ? [] : [{ at, finger: stop.finger, string: stop.string }];
  });
}

const LEARNED_FROM = [
  ...['A3', 'B3', 'C4', 'D4'].map((tonic) => scale('violin', tonic)),
  ...['D3', 'E3'].map((tonic) => scale('viola', tonic)),
  scale('violin', 'G3', 'natural-minor'),
  scale('viola', 'C3', 'natural-minor'),
];
const TRIED_ON = [
  ...['E4', 'F4', 'G3', 'Bb3'].map((tonic) => scale('violin', tonic)),
  ...['F3', 'G3'].map((tonic) => scale('viola', tonic)),
  scale('violin', 'A3', 'natural-minor'),
  scale('viola', 'D3', 'natural-minor'),
];

const CELLO = (tonics: readonly string[], name: string) => tonics.map((tonic) => scale('cello', tonic, name));

/** Three teachers with a taste of their own, the music they chose in and the music that is tried. */
const TEACHERS: readonly {
  readonly who: string;
  readonly taste: Preferences;
  readonly from: readonly PlanRequest[];
  readonly on: readonly PlanRequest[];
}[] = [
  {
    who: 'keeps the little finger for open strings',
    taste: { 'little-finger': 0.3 },
    from: LEARNED_FROM,
    on: TRIED_ON,
  },
  { who: 'stops every note', taste: { 'open-string': 4 }, from: LEARNED_FROM, on: TRIED_ON },
  {
    who: 'shifts rather than opens the hand',
    taste: { extension: 4 },
    from: [...CELLO(['D2', 'E2', 'F#2', 'A2'], 'major'), ...CELLO(['E2', 'F2', 'G2', 'C2'], 'melodic-minor')],
    on: [...CELLO(['Db2', 'Eb2', 'B2', 'Ab2'], 'major'), ...CELLO(['D2', 'F#2', 'A2', 'B2'], 'melodic-minor')],
  },
];

test('made-up teachers: after their choices on eight plans the first plan of eight others agrees with them, and no one else’s changes', () => {
  for (const { who, taste, from, on } of TEACHERS) {
    const choices = from.flatMap((request): TasteChoice[] =>
      differing(first(request), play(request, taste)).map((wanted) => ({ request, wanted: [wanted] })),
    );
    assert.ok(choices.length >= 8, `${who}: ${choices.length}`);
    const learned = learnTaste(choices) ?? assert.fail(who);
    assert.ok(learned.agreed > learned.of / 2);
    let [agreed, places] = [0, 0];
    for (const request of on) {
      const wanted = differing(first(request), play(request, taste));
      const now = play(request, learned.preferences);
      places += wanted.length;
      agreed += wanted.filter(({ at, finger, string }) => {
        const [stop] = now.steps.find((step) => step.at === at)?.stops ?? [];
        return stop?.finger === finger && stop.string === string;
      }).length;
    }
    assert.ok(places > 5, `${who}: ${places} places`);
    assert.ok(agreed >= 0.8 * places, `${who}: ${agreed} of ${places} with ${JSON.stringify(learned.preferences)}`);
  }
  for (const request of TRIED_ON)
    assert.deepEqual(requestWeights({ ...request, preferences: {} }), requestWeights(request));
});

test('nothing is learned from a few choices, from one plan, or from choices that have nothing in common', () => {
  const request = scale('violin', 'A3');
  const some = differing(first(request), play(request, { 'little-finger': 0.3 })).map((wanted) => ({
    request,
    wanted: [wanted],
  }));
  assert.equal(learnTaste(some.slice(0, 3)), null);
  assert.equal(learnTaste([...some, ...some, ...some, ...some]), null, 'one plan is no taste');
  const mixed = LEARNED_FROM.slice(0, 4).flatMap((one, n) =>
    [2, 9].map((at): TasteChoice => ({ request: one, wanted: [{ at, finger: n % 2 === 0 ? 4 : 1, string: 'G3' }] })),
  );
  assert.equal(learnTaste(mixed), null);
});

test('a preference decides, says so, and is overruled by a rule on the same thing', () => {
  const request = scale('violin', 'A3');
  const liked = plan({ ...request, preferences: { 'little-finger': 0.25 } });
  assert.ok(count(liked.plans[0], 4) > count(first(request), 4));
  assert.deepEqual(liked.taste, { decided: ['little-finger'], overruled: [] });
  const ruled = plan({ ...request, preferences: { 'little-finger': 0.25 }, rules: { fourthFinger: 'never' } });
  assert.equal(count(ruled.plans[0], 4), 0);
  assert.deepEqual(ruled.taste, { decided: [], overruled: ['little-finger'] });
  assert.equal(plan(request).taste, undefined);
  assert.deepEqual(plan({ ...request, preferences: { shift: 1 } }).taste, { decided: [], overruled: [] });
});

test('preferences give the same plan at every door; beyond their bounds they are refused with where', () => {
  const request = { ...scale('violin', 'D4'), preferences: { 'open-string': 4 } };
  const answer = answerValue(request);
  assert.ok(!isError(answer));
  assert.deepEqual(
    answer.plans[0].steps.map(({ stops }) => stops),
    plan(request).plans[0].steps.map(({ stops }) => stops),
  );
  for (const preferences of [{ 'open-string': 40 }, { shift: 0 }, { colour: 2 }]) {
    const refused = answerValue({ ...request, preferences });
    assert.ok(isError(refused));
    assert.match(refused.error.issues[0].path, /^\/preferences/);
  }
});
