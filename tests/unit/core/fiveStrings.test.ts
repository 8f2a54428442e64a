import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  addInstrument,
  clefsFor,
  plan,
  requestIssues,
  resolveSetup,
  type InstrumentRecord,
  type PlanRequest,
} from '../../../src/core';
import { instrumentRecord } from '../../../src/core/instrument/instruments';
import { svgOf } from '../../../src/drawing/paper/svg';
import { pictureOf } from '../../../src/drawing/sheet/pictures';
import { usualSheet } from '../../../src/drawing/sheet/usual';
import { pdfFile } from '../../../scripts/lib/sheets';

/*
 * An instrument that nobody has built, as one record: five strings in fourths, and a hand of three fingers that lies a tone apart.
 */

const FRAMES = {
  positions: { 1: 0.5, 2: 1, 3: 2, 4: 3, 5: 4, 6: 5, 7: 6, 8: 7 },
  regions: [
    {
      from: 1,
      to: 8,
      thumb: false,
      shapes: [{ places: { 1: 0, 2: 2, 3: 4 }, unsteady: 0, extended: 0 }],
      resting: { 1: 0, 2: 2, 3: 4 },
    },
  ],
  landmark: 5,
  touched: [],
} as const;

const RECORD: InstrumentRecord = {
  ...instrumentRecord('cello'),
  name: 'five-string' as never,
  tuning: ['E2', 'A2', 'D3', 'G3', 'C4'],
  sizes: { '4/4': 600 },
  fullMm: 600,
  adultFromMm: 600,
  reachSemitones: 12,
  clefs: ['bass'],
  fingering: { by: 'frames', usual: FRAMES, schools: {} },
  thumb: false,
  octaves: { strings: [0, 2], start: 1, together: false },
  classFrom: 'E2',
  program: 43,
  partNames: /five-string/,
};
addInstrument(RECORD);

const request: PlanRequest = {
  instrument: 'five-string' as never,
  material: { type: 'scale', tonic: 'F2', scale: 'major', octaves: 2, direction: 'up' },
  alternatives: 1,
};

test('a made-up instrument is planned with its own strings and frames', () => {
  assert.deepEqual(requestIssues(request), []);
  const [best] = plan(request).plans;
  assert.ok(best);
  const open = new Map(resolveSetup(request).strings.map(({ name, midi }) => [name, midi]));
  assert.deepEqual([...open.keys()], RECORD.tuning);
  for (const { stops, hand } of best.steps)
    for (const { finger, semitones, string } of stops) {
      assert.ok(open.has(string));
      if (finger === 0) continue;
      assert.ok([1, 2, 3].includes(finger as number), `finger ${finger}`);
      assert.equal(hand[String(finger) as '1'], semitones);
      assert.equal((hand['3'] ?? 0) - (hand['1'] ?? 0), 4, 'a tone between neighbours');
    }
  assert.ok(best.steps.some(({ stops: [{ string }] }) => string === 'C4'));
});

test('what the record says is checked: a size and a string that it has not', () => {
  assert.deepEqual(
    requestIssues({ ...request, size: '1/2' }).map(({ code }) => code),
    ['no-size'],
  );
  assert.deepEqual(
    requestIssues({ ...request, rules: { strings: ['E5'] } }).map(({ code }) => code),
    ['no-string'],
  );
});

test('it is drawn and printed with its five strings', async () => {
  const response = plan(request);
  const clefs = clefsFor(response.events, request.instrument);
  const planned = { request, response, plan: response.plans[0], clefs };
  for (const name of ['staff', 'trail', 'neck'] as const) {
    const svg = svgOf(pictureOf(name, planned), name);
    assert.match(svg, /^<svg/);
    if (name === 'neck') for (const string of ['E', 'A', 'D', 'G', 'C']) assert.match(svg, new RegExp(`>${string}<`));
  }
  const { pages } = usualSheet(planned, new Date(0));
  const pdf = await pdfFile(pages, { title: 'Five strings', author: '' } as never);
  assert.equal(new TextDecoder().decode(pdf.slice(0, 5)), '%PDF-');
});
