import assert from 'node:assert/strict';
import { test } from 'node:test';
import { createElement, type FunctionComponent } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { Neck } from '../../../src/drawing/board/Neck';
import { Pattern } from '../../../src/drawing/board/Pattern';
import { TargetBoard } from '../../../src/drawing/board/TargetBoard';
import { findingsOf, plan, resolveHand, resolveSetup, stopMm, type Heard, type PlanRequest } from '../../../src/core';
import { HandTrail, TrailAxis, trailScale } from '../../../src/views/bench/HandTrail';
import { StringRow } from '../../../src/views/bench/StringRow';
import { NameRow } from '../../../src/views/bench/NameRow';
import { BesideRow } from '../../../src/views/bench/BesideRow';
import { TrailNeck } from '../../../src/views/bench/TrailNeck';
import { Help } from '../../../src/ui/Help';
import { HELP, type HelpWord } from '../../../src/wording/help';
import { speechOf } from '../../../src/wording/plans';
import { aimFor } from '../../../src/core';

/* Pictures as they are drawn, read as text: where things lie is measured, not looked at. */

const draw = <P extends object>(picture: FunctionComponent<P>, props: P) =>
  renderToStaticMarkup(createElement(picture, props));

/** All numbers of one attribute of one kind of element, in the order they are drawn. */
function numbers(markup: string, element: string, attribute: string): number[] {
  const tags = markup.match(new RegExp(`<${element}\\b[^>]*>`, 'g')) ?? [];
  return tags.flatMap((tag) => {
    const found = new RegExp(`\\s${attribute}="([-\\d.]+)"`).exec(tag);
    return found ? [Number(found[1])] : [];
  });
}

const texts = (markup: string) => [...markup.matchAll(/<text\b[^>]*>([^<]*)<\/text>/g)].map(([, words]) => words);

const E_FLAT: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' },
  rules: { positions: { from: 1, to: 3 } },
};
const COLUMN = 26;
const HEIGHT = 240;

function rowsOf(request: PlanRequest) {
  const response = plan(request);
  const setup = resolveSetup(request);
  const { events } = response;
  const layout = {
    width: events.length * COLUMN,
    height: 100,
    scale: 0.95,
    middleLine: 60,
    left: (at: number) => at * COLUMN,
  };
  const rows = {
    events,
    plan: response.plans[0],
    setup,
    visible: { first: 0, last: events.length },
    layout,
    height: HEIGHT,
    speech: speechOf(request.instrument, response),
  };
  return { response, setup, rows };
}

test('each note of the trail lies in its own column, at its true place along the neck, with its finger in it', () => {
  const { rows } = rowsOf(E_FLAT);
  const markup = draw(HandTrail, { ...rows, demanded: new Map() });
  const shapes = [...markup.matchAll(/<path data-part="(\w+)" d="([^"]+)"/g)];
  const tokens = shapes
    .flatMap(([, look, d]) =>
      [...d.matchAll(/M(\S+) (\S+?)a(\S+) /g)].map(([, left, y, radius]) => ({
        look,
        x: Number(left) + Number(radius),
        y: Number(y),
        radius: Number(radius),
      })),
    )
    .sort((one, other) => one.x - other.x);
  assert.equal(tokens.length, rows.plan.steps.length);
  const fingers = [...markup.matchAll(/<text x="([^"]+)" y="([^"]+)"[^>]*>([0-4]+)<\/text>/g)].flatMap(
    ([, xs, ys, signs]) => xs.split(' ').map((x, n) => ({ x: Number(x), y: Number(ys.split(' ')[n]), sign: signs[n] })),
  );
  const { at: y } = trailScale(rows.plan, HEIGHT);
  const verdicts = new Map(rows.plan.reach.map(({ at, verdict }) => [at, verdict]));
  rows.plan.steps.forEach(({ at, stops: [stop] }, n) => {
    assert.equal(tokens[n].x, at * COLUMN + COLUMN / 2);
    assert.ok(Math.abs(tokens[n].y - y(stop.stopMm)) < 0.01);
    assert.ok(tokens[n].radius >= 8);
    assert.equal(tokens[n].look, stop.finger === 0 ? 'open' : (verdicts.get(at) ?? 'easy'));
    const inside = fingers.filter((one) => one.x === tokens[n].x && Math.abs(one.y - tokens[n].y) < tokens[n].radius);
    assert.deepEqual(
      inside.map(({ sign }) => sign),
      [String(stop.finger)],
    );
  });
});

test('where the hand is too small the trail says so in another colour than a stretch', () => {
  const { rows } = rowsOf({ ...E_FLAT, hand: 'small' });
  const [reach] = rows.plan.reach.filter(({ verdict }) => verdict === 'stretch');
  assert.ok(reach);
  const beyond = {
    ...rows.plan,
    reach: rows.plan.reach.map((one) => (one.at === reach.at ? { ...one, verdict: 'beyond' as const } : one)),
  };
  const markup = draw(HandTrail, { ...rows, plan: beyond, demanded: new Map() });
  assert.match(markup, /data-part="beyond"[^>]*stroke="var\(--color-madder\)"/);
  assert.deepEqual(
    texts(markup).filter((words) => words === 'beyond'),
    ['beyond'],
  );
});

test('a shift is a step with its way in words; two that are close do not run together', () => {
  const { rows } = rowsOf({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 4, direction: 'updown' },
  });
  const markup = draw(HandTrail, { ...rows, demanded: new Map() });
  const ways = [...markup.matchAll(/<text x="([-\d.]+)" y="([-\d.]+)"[^>]*>([↑↓] \d+ mm)<\/text>/g)];
  assert.equal(ways.length, rows.plan.shifts.length);
  rows.plan.shifts.forEach(({ travelMm, to }, n) => {
    assert.ok(ways[n][3].endsWith(`${Math.round(travelMm)} mm`));
    assert.equal(Number(ways[n][1]), to * COLUMN);
  });
  ways.slice(1).forEach(([, x, y], n) => {
    const near = Math.abs(Number(x) - Number(ways[n][1])) < 50;
    if (near) assert.ok(Math.abs(Number(y) - Number(ways[n][2])) >= 6, `${ways[n][3]} and the next`);
  });
});

test('the trail says where the hand stretches, once for a run of notes', () => {
  const { rows } = rowsOf(E_FLAT);
  const markup = draw(HandTrail, { ...rows, demanded: new Map([[2, 'kept'] as const, [4, 'never'] as const]) });
  const wide = rows.plan.reach.filter(({ verdict }) => verdict === 'stretch').map(({ at }) => at);
  const runs = wide.filter((at) => !wide.includes(at - 1)).length;
  assert.equal(texts(markup).filter((words) => words === 'stretch').length, runs);
  assert.ok(markup.includes('data-testid="kept"') && markup.includes('data-testid="never"'));
});

test('the marks of the axis never run together, however low the trail is', () => {
  const { rows } = rowsOf({
    instrument: 'cello',
    material: { type: 'scale', tonic: 'C2', scale: 'major', octaves: 3, direction: 'up' },
  });
  for (const height of [120, 160, 240, 480]) {
    const markup = draw(TrailAxis, { plan: rows.plan, width: 90, height });
    const marks = numbers(markup, 'text', 'y').slice(1);
    assert.ok(marks.length >= 2);
    marks.slice(1).forEach((y, at) => assert.ok(Math.abs(y - marks[at]) >= 12, `${height}: ${marks}`));
  }
});

test('the neck at the end of the trail is on the same scale, with the played finger on its string', () => {
  const { rows, setup } = rowsOf(E_FLAT);
  const hand = resolveHand(setup, 'medium');
  const { at: y } = trailScale(rows.plan, HEIGHT);
  for (const step of rows.plan.steps) {
    const markup = draw(TrailNeck, { plan: rows.plan, step, setup, hand, above: 0, height: HEIGHT });
    const [played] = markup.match(/<ellipse\b[^>]*data-testid="trail-neck-finger"[^>]*>/g) ?? [];
    assert.ok(played);
    assert.ok(Math.abs(numbers(played, 'ellipse', 'cy')[0] - y(step.stops[0].stopMm)) < 0.01);
    const strings = numbers(markup, 'line', 'x1').slice(0, 4);
    const string = setup.strings.findIndex(({ name }) => name === step.stops[0].string);
    assert.equal(numbers(played, 'ellipse', 'cx')[0], strings[string]);
  }
  const empty = draw(TrailNeck, { plan: rows.plan, step: undefined, setup, hand, above: 0, height: HEIGHT });
  assert.ok(!empty.includes('<ellipse'));
});

test('the string row has a line for each stay on a string, from the first note to the last', () => {
  const { rows } = rowsOf(E_FLAT);
  const markup = draw(StringRow, { ...rows, height: 26 });
  const changes = rows.plan.steps.filter(
    ({ stops }, t) => t === 0 || stops[0].string !== rows.plan.steps[t - 1].stops[0].string,
  );
  assert.deepEqual(
    texts(markup),
    changes.map(({ stops }) => stops[0].string[0]),
  );
  const ends = numbers(markup, 'line', 'x2');
  assert.equal(ends[ends.length - 1], rows.events.length * COLUMN - 4);
});

test('names stand under their notes as the student calls them', () => {
  const { rows } = rowsOf(E_FLAT);
  const markup = draw(NameRow, { ...rows, height: 22, names: 'german' });
  assert.deepEqual(texts(markup).slice(0, 4), ['Es', 'F', 'G', 'As']);
  assert.ok(numbers(markup, 'text', 'font-size').every((size) => size >= 12));
});

test('what is laid beside is marked where it differs, and nowhere else', () => {
  const { rows, response } = rowsOf(E_FLAT);
  const same = draw(BesideRow, { ...rows, height: 46, other: rows.plan });
  assert.ok(!same.includes('data-testid="parts"'));
  const other = response.plans[1] ?? assert.fail('one way only');
  const markup = draw(BesideRow, { ...rows, height: 46, other });
  const marked = (markup.match(/data-testid="parts"/g) ?? []).length;
  const apart = rows.plan.steps.filter(({ stops, position }, t) => {
    const theirs = other.steps[t];
    return (
      position !== theirs.position ||
      stops.some(({ string, finger }, at) => string !== theirs.stops[at].string || finger !== theirs.stops[at].finger)
    );
  }).length;
  assert.equal(marked, apart);
  assert.ok(marked > 0);
});

function heardIn(request: PlanRequest): {
  readonly heard: readonly Heard[];
  readonly setup: ReturnType<typeof resolveSetup>;
} {
  const response = plan(request);
  const found = findingsOf(request, response, response.plans[0], aimFor('middle'));
  return { heard: found.heard, setup: found.setup };
}

test('targets are drawn to scale, each with the band that its tolerance allows', () => {
  const { heard, setup } = heardIn(E_FLAT);
  const markup = draw(TargetBoard, { setup, notes: heard, open: 0, onOpen: () => undefined });
  const stopped = heard.filter(({ note }) => note.finger !== 0);
  const targets = markup.split('data-testid="target"').slice(1);
  assert.equal(targets.length, stopped.length);
  const middles = targets.map((one) => numbers(one, 'line', 'x1')[0]);
  const perMm = (middles[1] - middles[0]) / (stopped[1].target.mm - stopped[0].target.mm);
  stopped.forEach(({ target }, at) => {
    const [, band] = numbers(targets[at], 'rect', 'width');
    assert.ok(Math.abs(band - 2 * target.toleranceMm * perMm) < 0.01);
    const away = middles[at] - middles[0] - (target.mm - stopped[0].target.mm) * perMm;
    assert.ok(Math.abs(away) < 0.01);
  });
});

test('a comma is two places over its note, a comma apart; a note without one has no mark', () => {
  const { heard, setup } = heardIn({
    instrument: 'violin',
    material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
  });
  const markup = draw(TargetBoard, { setup, notes: heard, open: 0, onOpen: () => undefined });
  const targets = markup.split('data-testid="target"').slice(1);
  const stopped = heard.filter(({ note }) => note.finger !== 0);
  assert.ok(stopped.some(({ comma }) => comma));
  stopped.forEach(({ comma, note }, at) => {
    const marks = [...targets[at].matchAll(/d="M([\d.]+) /g)].map(([, x]) => Number(x));
    assert.equal(marks.length, comma ? 2 : 0);
    if (!comma) return;
    const mm = [comma.fifth, comma.third].map(({ cents }) => stopMm(setup.lengthMm, note.semitones + cents / 100));
    assert.equal(Math.sign(marks[0] - marks[1]), Math.sign(mm[0] - mm[1]));
    assert.ok(Math.abs(mm[0] - mm[1]) > 1);
  });
});

test('the enlarged neck has every string, the played finger solid and the others in outline', () => {
  const { rows, setup } = rowsOf(E_FLAT);
  const [step] = rows.plan.steps;
  const markup = draw(Neck, { setup, hand: resolveHand(setup, 'medium'), step, rings: new Set([0]) });
  for (const name of ['G', 'D', 'A', 'E']) assert.ok(texts(markup).includes(name));
  assert.equal(texts(markup).filter((words) => words === 'rings').length, 1);
  const tips = markup.match(/<circle\b[^>]*>/g) ?? [];
  assert.equal(tips.filter((tip) => tip.includes('fill="currentColor"')).length, 1);
  assert.equal(tips.filter((tip) => tip.includes('stroke-dasharray')).length, 3);
});

test('a finger pattern reads as tones between fingers', () => {
  const words = (fingers: Parameters<typeof Pattern>[0]['fingers']) =>
    /aria-label="([^"]*)"/.exec(draw(Pattern, { fingers, lengthMm: 328 }))?.[1];
  assert.equal(words({ 1: 2, 2: 4, 3: 5 }), 'tones between fingers 1 and 2: one; 2 and 3: a half');
  assert.equal(words({ 1: 2, 4: 7 }), 'tones between fingers 1 and 4: two and a half');
  assert.equal(words({ 4: 7 }), 'finger 4 alone');
});

test('every word of the craft is explained behind a question mark of its own', () => {
  for (const word of Object.keys(HELP) as HelpWord[]) {
    const markup = draw(Help, { word });
    const id = /popovertarget="([^"]*)"/i.exec(markup)?.[1];
    assert.ok(id && markup.includes(`id="${id}"`), word);
    assert.ok(markup.includes(`What is meant by “${word}”?`));
    assert.ok(HELP[word].length > 60 && HELP[word].endsWith('.'), word);
  }
});
