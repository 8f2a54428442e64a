import assert from 'node:assert/strict';
import { test } from 'node:test';
import ts from 'typescript';
import { circles, importsOf, localImports, sourcesOfApp, upwardImports } from '../../support/house';

const sources = sourcesOfApp();

/** Rooms with one public file. */
const CLOSED = ['cost', 'graph', 'search', 'explain', 'ways'].map((room) => `core/planner/${room}`);

test('imports only go downwards, those of types too', () => {
  assert.deepEqual(upwardImports(sources), []);
  const planted = [{ name: 'core/pitch/key.ts', text: "import type { Plan } from '../planner/plan';\n" }];
  assert.deepEqual(upwardImports(planted), ['core/pitch/key.ts imports core/planner/plan']);
});

test('no file imports itself by any way round, types included', () => {
  assert.deepEqual(circles(sources), []);
  const planted = [
    { name: 'core/pitch/a.ts', text: "import type { B } from './b';\n" },
    { name: 'core/pitch/b.ts', text: "export { C } from './deep';\n" },
    { name: 'core/pitch/deep/index.ts', text: "import { A } from '../a';\n" },
  ];
  assert.equal(circles(planted).length, 1);
});

test('the vocabulary stands on nothing but the schema library', () => {
  for (const source of sources.filter(({ name }) => name.startsWith('core/vocabulary/'))) {
    for (const from of importsOf(source.text))
      assert.ok(from.startsWith('.') || from === '@sinclair/typebox', `${source.name} imports ${from}`);
    for (const target of localImports(source)) assert.match(target, /^core\/vocabulary\//, source.name);
  }
});

test('above the core only its public faces are imported', () => {
  for (const source of sources.filter(({ name }) => !name.startsWith('core/')))
    for (const target of localImports(source)) {
      const face =
        target === 'core' ||
        target === 'core/formats' ||
        target === 'core/listening' ||
        target === 'core/path' ||
        (target === 'core/vocabulary/records' && source.name.startsWith('contract/'));
      assert.ok(face || !target.startsWith('core'), `${source.name} reaches past the core's face: ${target}`);
    }
});

test('the rooms of the planner are entered by their one public file', () => {
  for (const source of sources)
    for (const target of localImports(source)) {
      const room = CLOSED.find((closed) => target.startsWith(`${closed}/`));
      assert.ok(
        !room || source.name.startsWith(`${room}/`),
        `${source.name} reaches past the face of ${room}: ${target}`,
      );
    }
});

test('one view never imports another', () => {
  for (const source of sources.filter(({ name }) => name.startsWith('views/')))
    for (const target of localImports(source))
      if (target.startsWith('views/')) assert.equal(target.split('/')[1], source.name.split('/')[1], source.name);
});

/** What the rooms of the core may use besides themselves. */
const FOREIGN: readonly (readonly [string, readonly string[]])[] = [
  ['core/vocabulary/', ['@sinclair/typebox']],
  ['core/formats/', ['saxes', 'fflate', 'midi-file', 'papaparse']],
  ['core/listening/', ['fft.js']],
  ['core/', ['d3-array', '#generated/patterns']],
];

test('the core is free of page, server and framework, of clock and chance', () => {
  const core = sources.filter(({ name }) => name.startsWith('core/'));
  for (const { name, text } of core) {
    const [, allowed] = FOREIGN.find(([room]) => name.startsWith(room)) ?? [];
    for (const from of importsOf(text))
      assert.ok(from.startsWith('.') || allowed?.includes(from), `${name} imports ${from}`);
    const foreign =
      /\b(window|document|navigator|localStorage|process|Buffer|Date|performance|setTimeout|Intl)\b[.(]|Math\.random/;
    assert.ok(!foreign.test(text), `${name} uses ${foreign.exec(text)?.[0]}`);
  }
});

/** Text in quotes that is more than a name: words with blanks between, or a sentence's end. */
function sentencesIn(name: string, text: string): string[] {
  const found: string[] = [];
  const visit = (node: ts.Node) => {
    // What a programmer's mistake is told by is not for a reader.
    if (ts.isThrowStatement(node)) return;
    const words =
      ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
        ? node.text
        : ts.isTemplateExpression(node)
          ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…')
          : '';
    // Markup of a file format is no sentence.
    if (words.startsWith('<')) return;
    if (/[a-z]{2,} [a-z]{2,}|[a-z]{2,}[.!?]$|[a-z]{3,} …|… [a-z]{3,}/.test(words)) found.push(words);
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true));
  return found;
}

/** Names with a blank: of the theory package, and of a file format. */
const THEORY = new Set([
  'harmonic minor',
  'melodic minor',
  'whole tone',
  'major pentatonic',
  'minor pentatonic',
  'C major',
  '… major',
  '… minor',
  'forward hook',
  'backward hook',
]);

test('no sentence comes out of the core', () => {
  for (const { name, text } of sources.filter(({ name }) => name.startsWith('core/')))
    for (const words of sentencesIn(name, text)) assert.ok(THEORY.has(words), `${name}: “${words}”`);
  assert.deepEqual(sentencesIn('x.ts', 'const a = "No room left."; const b = `has ${1} shifts`;').length, 2);
});

test('no type of the contract is written a second time by hand', () => {
  const described = new Set(
    sources
      .filter(({ name }) => name.startsWith('core/vocabulary/records/'))
      .flatMap(({ text }) => [...text.matchAll(/^export type (\w+) = Described</gm)].map(([, type]) => type)),
  );
  assert.ok(described.has('PlanRequest') && described.has('StudentRecord'));
  const others = sources.filter(({ name }) => !name.startsWith('core/vocabulary/'));
  for (const { name, text } of others.filter(({ name }) => /^(core|contract|wording|work|store)\//.test(name)))
    for (const [, type] of text.matchAll(/^(?:export )?(?:interface|type) (\w+)\b(?=[^;]*?\{)/gm))
      assert.ok(!described.has(type), `${name} writes ${type} by hand`);
});
