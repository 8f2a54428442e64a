import assert from 'node:assert/strict';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, test } from 'node:test';
import { requestIssues, type PlanRequest } from '../../../src/core';
import { run } from '../../support/commands';
import { notesIn, pieceOf, xmlNote, xmlOpening, xmlScore } from '../../support/files';
import { quarter } from '../../support/scores';

/*
 * The commands that read, judge and write files, as they are typed.
 */

const folder = mkdtempSync(join(tmpdir(), 'dove-path-'));
after(() => rmSync(folder, { recursive: true }));

const file = (name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};

const REQUEST: PlanRequest = {
  instrument: 'viola',
  material: { type: 'scale', tonic: 'D3', scale: 'major', octaves: 2, direction: 'up' },
};
const fingering = (number: number) => `<notations><technical><fingering>${number}</fingering></technical></notations>`;
const SCORE = xmlScore([
  { name: 'Horn', measures: [xmlOpening(1) + quarter('C')] },
  {
    name: 'Violin',
    measures: [
      xmlOpening(1) +
        xmlNote({ step: 'D', duration: 1, more: fingering(4) }) +
        xmlNote({ step: 'E', duration: 1, more: fingering(1) }),
      `<note><grace/><pitch><step>A</step><octave>4</octave></pitch></note>${quarter('F')}`,
    ],
  },
]);

test('a plan is written as a file of each kind, to a place or to standard output', () => {
  const request = file('request.json', JSON.stringify(REQUEST));
  const heads: Readonly<Record<string, string>> = { musicxml: '<?xml', pdf: '%PDF' };
  for (const [format, head] of Object.entries(heads)) {
    const { code, out, said } = run('plan', [request, '--as', format]);
    assert.equal(code, 0, said);
    assert.ok(out.toString('latin1').startsWith(head), format);
  }
  const place = join(folder, 'plan.mxl');
  assert.equal(run('plan', [request, '--as', 'mxl', '--out', place]).code, 0);
  assert.deepEqual(
    pieceOf(readFileSync(place)).parts.map(({ name }) => name),
    ['Viola'],
  );
});

test('another way is another fingering of the same notes', () => {
  const input = JSON.stringify(REQUEST);
  const [best, other] = ['0', '1'].map((way) => run('plan', ['-', '--as', 'csv', '--way', way], input).out.toString());
  const column = (table: string, n: number) =>
    table
      .trim()
      .split('\r\n')
      .slice(1)
      .map((line) => line.split(',')[n]);
  assert.deepEqual(column(best, 4), column(other, 4), 'the pitches');
  assert.notDeepEqual(column(best, 6), column(other, 6), 'the fingers');
});

test('what cannot be written is said with what to do, and nothing half is left', () => {
  const input = JSON.stringify(REQUEST);
  const troubles: readonly (readonly [readonly string[], RegExp])[] = [
    [['-', '--as', 'docx'], /There is no format/],
    [['-', '--as', 'csv', '--way', '99'], /There is no way 99: this request has \d+/],
  ];
  for (const [args, words] of troubles) {
    const { code, said, out } = run('plan', args, input);
    assert.equal(code, 2, args.join(' '));
    assert.equal(out.length, 0);
    assert.match((JSON.parse(said) as { error: { issues: { message: string }[] } }).error.issues[0].message, words);
  }
  const nowhere = run('plan', ['-', '--as', 'csv', '--out', join(folder, 'no', 'such', 'place.csv')], input);
  assert.equal(nowhere.code, 1);
  assert.match(nowhere.said, /its folder is not there/);
});

test('the best plan can be had first, and the whole after it', () => {
  const { code, out } = run('plan', ['-', '--stream'], JSON.stringify(REQUEST));
  assert.equal(code, 0);
  const [first, whole, ...more] = out
    .toString()
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { partial?: true; plans: { cost: number }[] });
  assert.deepEqual([first.partial, first.plans.length, whole.partial, more.length], [true, 1, undefined, 0]);
  assert.ok(whole.plans.length > 1);
  assert.equal(first.plans[0].cost, whole.plans[0].cost);
});

test('a part is printed with every finger, the decisive ones, those that are ours, or none; and with any title', () => {
  const locked = { ...REQUEST, rules: { locks: [{ at: 0, finger: 1 }] } };
  const count = (choice: string) => {
    const { code, out, said } = run(
      'plan',
      ['-', '--as', 'musicxml', '--fingers', choice, '--title', 'Študija č. 1'],
      JSON.stringify(locked),
    );
    assert.equal(code, 0, said);
    assert.match(out.toString(), /<work-title>Študija č. 1</);
    return (out.toString().match(/<fingering>|<open-string/g) ?? []).length;
  };
  const [every, decisive, ours, none] = ['every', 'decisive', 'ours', 'none'].map(count);
  assert.ok(every > decisive && decisive > ours && ours >= none, `${every} ${decisive} ${ours}`);
  assert.equal(none, 0);
  assert.equal(run('plan', ['-', '--as', 'csv', '--fingers', 'some'], JSON.stringify(locked)).code, 2);
});

test('a score is read as a request, and what was left out is told', () => {
  const score = file('score.musicxml', SCORE);
  const { code, out, said } = run('read', [score, '--keep', 'fingerings']);
  assert.equal(code, 0);
  const request = JSON.parse(out.toString()) as PlanRequest;
  assert.equal(request.instrument, 'violin');
  assert.deepEqual(
    notesIn(request).map(([pitch]) => pitch),
    ['D4', 'E4', 'F4'],
  );
  assert.deepEqual(request.rules?.locks, [
    { at: 0, finger: 4 },
    { at: 1, finger: 1 },
  ]);
  assert.deepEqual(
    said
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as object),
    [{ notice: 'Left out: 1 grace note.' }],
  );
  assert.deepEqual(requestIssues(request), [], 'it can be planned as it is');
  const bars = JSON.parse(run('read', [score, '--bars', '2', '--instrument', 'viola']).out.toString()) as PlanRequest;
  assert.deepEqual([bars.instrument, notesIn(bars).map(([pitch]) => pitch)], ['viola', ['F4']]);
});

test('typed notes are read on the instrument that is named', () => {
  const { out } = run('read', ['-', '--instrument', 'bass'], 'E2 F G A:2');
  const request = JSON.parse(out.toString()) as PlanRequest;
  assert.equal(request.instrument, 'bass');
  assert.deepEqual(
    notesIn(request),
    [
      ['E1', 1],
      ['F1', 1],
      ['G1', 1],
      ['A1', 2],
    ],
    'written an octave up',
  );
});

test('what cannot be read ends with 2, and the path has part and bar', () => {
  const broken = file(
    'broken.musicxml',
    xmlScore([{ name: 'Violin', measures: [xmlOpening(1) + quarter('A'), xmlNote({ step: 'B', duration: -3 })] }]),
  );
  const { code, said, out } = run('read', [broken]);
  assert.equal(code, 2);
  assert.equal(out.length, 0);
  assert.deepEqual(
    (JSON.parse(said) as { error: { code: string; issues: { path: string }[] } }).error.issues.map(({ path }) => path),
    ['/part/P1/bar/2'],
  );
  for (const [args, words] of [
    [['--part', 'Oboe'], /There is no part/],
    [['--instrument', 'lute'], /There is no instrument/],
  ] as const)
    assert.match(run('read', [file('score.xml', SCORE), ...args]).said, words);
});

test('a written fingering is judged: its cost, ours, and where they part', () => {
  const { code, out } = run('check', [file('judged.musicxml', SCORE)]);
  assert.equal(code, 0);
  const answer = JSON.parse(out.toString()) as {
    readonly asWritten: { readonly cost: number; readonly steps: readonly object[] };
    readonly best: { readonly cost: number };
    readonly differences: readonly { readonly message: string }[];
    readonly beyond: readonly object[];
    readonly unplayable: readonly object[];
  };
  assert.ok(answer.asWritten.cost > answer.best.cost);
  assert.equal(answer.asWritten.steps.length, 3, 'the third note is completed');
  assert.match(answer.differences[0].message, /written 4.*ours 0.*Ours: .*no little finger/);
  assert.deepEqual([answer.beyond, answer.unplayable], [[], []]);
});

test('of a request its locks are what is judged', () => {
  const request = {
    ...REQUEST,
    rules: {
      locks: [
        { at: 0, finger: 3, string: 'A4' },
        { at: 1, finger: 2 },
      ],
    },
  };
  const answer = JSON.parse(run('check', ['-'], JSON.stringify(request)).out.toString()) as {
    readonly unplayable: readonly { readonly message: string }[];
  };
  assert.match(answer.unplayable[0].message, /^Bar 1, beat 1: finger 3 on the A string cannot have this note\.$/);
});
