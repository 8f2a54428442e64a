import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { test } from 'node:test';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';

const SRC = fileURLToPath(new URL('../../../src', import.meta.url));

/** The rooms, lowest first: a file imports from its own room and those before it. */
const ROOMS = [
  'core/issue',
  'core/pitch',
  'core/instrument',
  'core/hand',
  'core/material',
  'core/planner/request',
  'core/planner/response',
  'core/planner/place',
  'core/planner/cost',
  'core/planner/graph',
  'core/planner/search',
  'core/planner/searched',
  'core/planner/explain',
  'core/planner/opened',
  'core/planner/answer',
  'core/planner/ways',
  'core/practice/terms',
  'core/described',
  'core/planner',
  'core/taste',
  'core/findings',
  'core/practice',
  'core/written',
  'core/formats',
  'core',
  'contract',
  'wording',
  'work',
  'store',
  'audio',
  'notation',
  'board',
  'app',
  'styles',
  'ui',
  'views',
  'server',
  'pages',
];

/** Rooms with one public file. */
const CLOSED = ['cost', 'graph', 'search', 'explain', 'ways'].map((room) => `core/planner/${room}`);

interface Import {
  readonly from: string;
  readonly typeOnly: boolean;
}

const names = (readdirSync(SRC, { recursive: true }) as string[]).filter((name) =>
  /\.(ts|tsx|astro)$/.test(name),
);
const sources = names.map((name) => ({ name, text: readFileSync(join(SRC, name), 'utf8') }));

function roomOf(path: string): number {
  const bare = path.replace(/\.(d\.ts|ts|tsx|astro|css|js)$/, '');
  const found = ROOMS.findIndex((room) => bare === room || bare.startsWith(`${room}/`));
  return found >= 0 ? found : ROOMS.length;
}

const NAMED = /^(?:import|export)\s+(type\b)?[^'"]*?from\s+'([^']+)'/gm;
const BARE = /^import\s+'([^']+)'/gm;
const LAZY = /\bimport\(\s*'([^']+)'/g;

function importsOf(text: string): Import[] {
  const named = [...text.matchAll(NAMED)].map(([, type, from]) => ({ from, typeOnly: type !== undefined }));
  const others = [...text.matchAll(BARE), ...text.matchAll(LAZY)].map(([, from]) => ({
    from,
    typeOnly: false,
  }));
  return [...named, ...others];
}

/** The file or folder below src that an import names. */
const targetOf = (name: string, from: string) => relative(SRC, resolve(SRC, dirname(name), from));

test('imports only go downwards; types of the core are its descriptions', () => {
  let seen = 0;
  for (const { name, text } of sources) {
    for (const { from, typeOnly } of importsOf(text).filter(({ from }) => from.startsWith('.'))) {
      const target = targetOf(name, from);
      const described = typeOnly && name.startsWith('core/') && target.startsWith('core/described/');
      assert.ok(described || roomOf(target) <= roomOf(name), `${name} imports ${from}`);
      seen++;
    }
  }
  assert.ok(seen > 300, String(seen));
});

test('no file imports itself by any way round', () => {
  const known = new Map(names.map((name) => [name.replace(/\.(ts|tsx|astro)$/, ''), name]));
  const next = new Map(
    sources.map(({ name, text }) => [
      name,
      importsOf(text)
        .filter(({ from, typeOnly }) => from.startsWith('.') && !typeOnly)
        .flatMap(({ from }) => {
          const target = targetOf(name, from).replace(/\.(ts|tsx|astro)$/, '');
          return known.get(target) ?? known.get(`${target}/index`) ?? [];
        }),
    ]),
  );
  const done = new Set<string>();
  const visit = (name: string, way: readonly string[]) => {
    assert.ok(!way.includes(name), [...way, name].join(' → '));
    if (done.has(name)) return;
    for (const other of next.get(name) ?? []) visit(other, [...way, name]);
    done.add(name);
  };
  for (const name of names) visit(name, []);
  assert.ok(done.size > 150);
});

test('above the core only its public faces are imported', () => {
  for (const { name, text } of sources.filter(({ name }) => !name.startsWith('core/')))
    for (const { from } of importsOf(text).filter(({ from }) => from.startsWith('.'))) {
      const target = targetOf(name, from);
      const face =
        target === 'core' ||
        target === 'core/formats' ||
        (target === 'core/described' && name.startsWith('contract/'));
      assert.ok(face || !target.startsWith('core'), `${name} reaches past the core's face: ${from}`);
    }
});

test('the rooms of the planner are entered by their one public file', () => {
  for (const { name, text } of sources)
    for (const { from } of importsOf(text).filter(({ from }) => from.startsWith('.'))) {
      const target = targetOf(name, from);
      const room = CLOSED.find((closed) => target.startsWith(`${closed}/`));
      assert.ok(!room || name.startsWith(`${room}/`), `${name} reaches past the face of ${room}: ${from}`);
    }
});

test('one view never imports another', () => {
  for (const { name, text } of sources.filter(({ name }) => name.startsWith('views/')))
    for (const { from } of importsOf(text).filter(({ from }) => from.startsWith('.'))) {
      const target = targetOf(name, from);
      if (target.startsWith('views/')) assert.equal(target.split('/')[1], name.split('/')[1], name);
    }
});

/** What the rooms of the core may use besides themselves. */
const FOREIGN: readonly (readonly [string, readonly string[]])[] = [
  ['core/described/', ['@sinclair/typebox']],
  ['core/formats/', ['saxes', 'fflate', 'midi-file', 'papaparse']],
  ['core/', ['tonal']],
];

test('the core is free of page, server and framework, of clock and chance', () => {
  const core = sources.filter(({ name }) => name.startsWith('core/'));
  for (const { name, text } of core) {
    const [, allowed] = FOREIGN.find(([room]) => name.startsWith(room)) ?? [];
    for (const { from } of importsOf(text))
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
      .filter(({ name }) => name.startsWith('core/described/') || name === 'contract/describe.ts')
      .flatMap(({ text }) =>
        [...text.matchAll(/export const (\w+?)(?:Described)? =/g)].map(([, type]) => type),
      ),
  );
  assert.ok(described.has('PlanRequest') && described.has('StudentRecord'));
  const below = sources.filter(({ name }) => /^(core|contract|wording|work|store)\//.test(name));
  for (const { name, text } of below)
    for (const [, type] of text.matchAll(/(?:interface|type) (\w+)\b(?=[^;]*?\{)/g))
      if (described.has(type))
        assert.match(
          text,
          new RegExp(`export type ${type} = Described<|type ${type}\\b[^=]*from`),
          `${name} writes ${type} by hand`,
        );
});
