import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { test } from 'node:test';
import fc from 'fast-check';
import { response as validResponse } from '#generated/validators.js';
import { BadRequest, parseRequest, readRequest } from '../../../src/contract/read';
import { answerText, answerValue, isError } from '../../../src/work/answering';
import { wordedIssues } from '../../../src/wording/issues';
import { run } from '../../support/commands';
import { someRequest } from '../requests';
import { runs } from '../../support/runs';

const good = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'up' },
};

function issuesOf(value: unknown) {
  try {
    readRequest(value);
  } catch (error) {
    assert.ok(error instanceof BadRequest);
    return Object.fromEntries(wordedIssues(error.issues).map(({ path, message }) => [path, message]));
  }
  return {};
}

test('good requests pass, and what is answered fits the response schema', () => {
  fc.assert(
    fc.property(someRequest, fc.boolean(), (request, meaning) => {
      const asked = meaning ? { ...request, meaning: { intonation: 'just', level: 'early' } } : request;
      const answer = answerValue(JSON.parse(JSON.stringify(asked)));
      assert.ok(!isError(answer));
      assert.ok(validResponse(JSON.parse(JSON.stringify(answer))), JSON.stringify(validResponse.errors));
    }),
    runs(40),
  );
});

test('bad requests get a path and a sentence for each thing wrong', () => {
  assert.deepEqual(Object.keys(issuesOf({ ...good, instrument: 'violn' })), ['/instrument']);
  assert.match(
    issuesOf({ ...good, material: { ...good.material, type: 'scales' } })['/material/type'],
    /Choose one of scale/,
  );
  assert.match(issuesOf({ instrument: 'violin' })['/material'], /missing/);
  assert.match(issuesOf({ ...good, rules: { openString: 'never' } })['/rules/openString'], /spelling/);
  assert.match(issuesOf({ ...good, rules: { positions: { from: 1.3, to: 2 } } })['/rules/positions/from'], /halves/);
  assert.match(issuesOf({ ...good, stringLengthMm: 5 })['/stringLengthMm'], /150/);
  assert.match(issuesOf({ ...good, alternatives: 0 })['/alternatives'], /1/);
  assert.match(issuesOf({ ...good, size: '9/9' })['/size'], /4\/4, 3\/4/);
  assert.deepEqual(Object.keys(issuesOf('nonsense')), ['']);
  const both = { type: 'notes', notes: [{ rest: true, pitches: ['A4'] }] };
  assert.match(issuesOf({ ...good, material: both })['/material/notes/0/pitches'], /rest has no pitches/);
  assert.throws(() => parseRequest('{'), BadRequest);
});

test('nothing that comes in is thrown back as a stack trace', () => {
  fc.assert(
    fc.property(fc.oneof(fc.json(), fc.string()), (text) => {
      assert.ok(isError(answerText(text)));
    }),
    runs(100),
  );
});

/** A request that uses every field of text there is, for each kind of material. */
const WORDY = [
  {
    ...good,
    instrument: 'violin',
    size: '4/4',
    tuning: ['G3', 'D4', 'A4', 'E5'],
    material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
    hand: 'small',
    style: 'secure',
    rules: { locks: [{ at: 0, finger: 1 }] },
  },
  { ...good, material: { type: 'arpeggio', tonic: 'A3', chord: 'major', octaves: 2, direction: 'up' } },
  { ...good, material: { type: 'notes', time: '4/4', notes: [{ pitches: ['A4'], beats: 1 }] } },
];

/** The request once for each text in it, with another in its place. */
function* withText(value: unknown, other: string): Generator<unknown> {
  if (typeof value === 'string') yield other;
  else if (value && typeof value === 'object')
    for (const [key, part] of Object.entries(value))
      for (const changed of withText(part, other))
        yield Array.isArray(value) ? value.with(Number(key), changed) : { ...value, [key]: changed };
}

test('names that every object has, and endless ones, are refused in every field, with a short sentence', () => {
  for (const wordy of WORDY) {
    assert.deepEqual(issuesOf(wordy), {}, 'it is refused for the one field alone');
    for (const other of ['__proto__', 'constructor', 'toString', `A${'9'.repeat(400)}`])
      for (const request of withText(wordy, other)) {
        const answer = answerText(JSON.stringify(request));
        assert.ok(isError(answer), JSON.stringify(request).slice(0, 200));
        assert.equal(answer.error.code, 'bad-request');
        for (const { message } of answer.error.issues) assert.ok(message.length < 400, message);
      }
  }
});

test('the command line answers one request and exits 0', () => {
  const { code, out, said } = run('plan', ['-'], JSON.stringify(good));
  assert.equal(code, 0, said);
  const text = out.toString();
  assert.equal(JSON.parse(text).contract, 1);
  assert.equal(text.trimEnd().split('\n').length, 1);
});

test('a bad request exits 2 with the error object on standard error only', () => {
  for (const [args, input] of [
    [['-'], '{}'],
    [['no-such-file.json'], ''],
    [[], ''],
  ] as const) {
    const { code, out, said } = run('plan', args, input);
    assert.equal(code, 2);
    assert.equal(out.length, 0);
    assert.equal(JSON.parse(said).error.code, 'bad-request');
  }
});

test('line mode answers in order and goes on after a bad line', () => {
  const { code, out } = run('plan', ['--lines'], `${JSON.stringify(good)}\nnot json\n\n${JSON.stringify(good)}\n`);
  const answers = out
    .toString()
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line));
  assert.equal(code, 0);
  assert.deepEqual(
    answers.map((answer) => answer.contract ?? answer.error.code),
    [1, 'bad-request', 1],
  );
});

test('line mode says which line it skipped, and a mark before the text is no error', () => {
  const { out, said } = run('plan', ['--lines'], `\uFEFF${JSON.stringify(good)}\n\n${JSON.stringify(good)}\n`);
  const text = out.toString();
  assert.equal(text.trimEnd().split('\n').length, 2);
  assert.ok(
    text
      .split('\n')
      .slice(0, 2)
      .every((line) => line.includes('"contract":1')),
  );
  assert.match(said, /"notice":"Line 2 is empty and was skipped."/);
});

test('a full disk is said, and the answer is not taken for whole', () => {
  const full = spawnSync('sh', ['-c', `node --import tsx scripts/plan.ts - > /dev/full`], {
    input: JSON.stringify(good),
    encoding: 'utf8',
  });
  assert.equal(full.status, 1);
  assert.match(full.stderr, /the disk is full/);
});
