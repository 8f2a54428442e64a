import assert from 'node:assert/strict';
import test from 'node:test';
import type { Plan, Style } from '../../../src/core';
import { best } from '../best';
import { readPassages, type Passage } from '../../support/passages';

/* Passages of pieces against what a teacher pencilled before the planner was asked. */

const PASSAGES = readPassages();
const STYLES = ['secure', 'singing'] as const;
const plans = new Map(PASSAGES.map((passage) => [passage, STYLES.map((style) => best({ ...passage.request, style }))]));
const planIn = (passage: Passage, style: (typeof STYLES)[number]): Plan =>
  plans.get(passage)?.[STYLES.indexOf(style)] ?? assert.fail(passage.name);

/** The pencilled events that a plan has otherwise. */
function missed(passage: Passage, style: (typeof STYLES)[number]): number[] {
  const own = new Map(
    planIn(passage, style).steps.map(({ at, stops: [{ finger, string }] }) => [at, `${finger}${string[0]}`]),
  );
  return [...passage.pencilled].flatMap(([at, marks]) => {
    const wanted = marks[style];
    return wanted.length === 0 || wanted.includes(own.get(at) ?? '') ? [] : [at];
  });
}

test('twenty passages of sixteen bars, at their decisive places', () => {
  assert.equal(PASSAGES.length, 20);
  for (const [style, share] of [
    ['secure', 0.95],
    ['singing', 0.85],
  ] as const) {
    const count = PASSAGES.flatMap(({ pencilled }) => [...pencilled.values()]).filter(
      (marks) => marks[style].length > 0,
    ).length;
    const wrong = PASSAGES.flatMap((passage) => missed(passage, style)).length;
    assert.ok(count > 200 && count - wrong >= share * count, `${style}: ${wrong} of ${count}`);
  }
  for (const passage of PASSAGES)
    for (const style of STYLES) {
      const listed = (passage.otherwise ?? []).filter((one) => one.style === (style as Style)).flatMap(({ at }) => at);
      assert.deepEqual(missed(passage, style), listed, `${passage.name}, ${style}`);
    }
});

/** Notes on the string of event t that follow each other without a rest, t among them. */
function stayAt({ steps }: Plan, t: number): number {
  const { string } = steps[t].stops[0];
  const goesOn = (a: number, b: number) => steps[b]?.stops[0].string === string && steps[b].at === steps[a].at + 1;
  let [from, to] = [t, t];
  while (from > 0 && steps[from - 1].stops[0].string === string && goesOn(from - 1, from)) from--;
  while (goesOn(to, to + 1)) to++;
  return to - from + 1;
}

test('singing shifts little more than secure, and climbs a string only for a stay of eight notes', () => {
  const shifts = (style: (typeof STYLES)[number]) =>
    PASSAGES.reduce((sum, one) => sum + planIn(one, style).shifts.length, 0);
  assert.ok(shifts('singing') <= 1.8 * shifts('secure'), `${shifts('singing')} against ${shifts('secure')}`);
  for (const passage of PASSAGES) {
    const [secure, singing] = STYLES.map((style) => planIn(passage, style));
    const { material, tempo } = passage.request;
    singing.steps.forEach((step, t) => {
      const [own, other] = [step.stops[0], secure.steps[t].stops[0]];
      if (own.finger === 0 || own.semitones - other.semitones <= 5) return;
      const event = material.type === 'notes' ? material.notes[step.at] : undefined;
      const [above, below = 1] = String(event?.beats ?? 1)
        .split('/')
        .map(Number);
      // A long note that lies open is stopped in singing.
      if (other.finger === 0 && ((above / below) * 60) / (tempo?.bpm ?? 60) > 1) return;
      assert.ok(stayAt(singing, t) >= 8, `${passage.name}, event ${step.at}`);
    });
  }
});
