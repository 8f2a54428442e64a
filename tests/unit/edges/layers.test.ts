import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { test } from 'node:test';
import { fileURLToPath } from 'node:url';

const SRC = fileURLToPath(new URL('../../../src', import.meta.url));

/** Lowest first: a file imports from its own layer and those before it. */
const LAYERS = [
  'core/pitch',
  'core/instrument',
  'core/hand',
  'core/material',
  'core/planner',
  'core/findings',
  'core/practice',
  'core/formats',
  'core',
  'contract',
  'work',
  'store',
  'brief',
  'audio',
  'styles',
  'ui',
  'views',
  'pages',
];

const files = (readdirSync(SRC, { recursive: true }) as string[]).filter((name) =>
  /\.(ts|tsx|astro)$/.test(name),
);
const sources = files.map((name) => ({ name, text: readFileSync(join(SRC, name), 'utf8') }));
const IMPORTS = /(?:from\s+|import\s*\(?\s*)'([^']+)'/g;

function layerOf(path: string): number {
  const found = LAYERS.findIndex((layer) => path.startsWith(layer + '/'));
  return found >= 0 ? found : LAYERS.length;
}

function importsOf(text: string): string[] {
  return [...text.matchAll(IMPORTS)].map(([, from]) => from);
}

test('imports only go downwards', () => {
  let seen = 0;
  for (const { name, text } of sources) {
    for (const from of importsOf(text).filter((path) => path.startsWith('.'))) {
      const target = relative(SRC, resolve(SRC, dirname(name), from)) + '/';
      assert.ok(layerOf(target) <= layerOf(name), `${name} imports ${from}`);
      seen++;
    }
  }
  assert.ok(seen > 100);
});

test('above the core only its public face is imported', () => {
  for (const { name, text } of sources.filter(({ name }) => !name.startsWith('core/')))
    for (const from of importsOf(text))
      assert.ok(!/^\..*\/core\//.test(from), `${name} reaches past the core's face: ${from}`);
});

test('one view never imports another', () => {
  for (const { name, text } of sources.filter(({ name }) => name.startsWith('views/')))
    for (const from of importsOf(text).filter((path) => path.startsWith('.'))) {
      const target = relative(SRC, resolve(SRC, dirname(name), from));
      if (target.startsWith('views/')) assert.equal(target.split('/')[1], name.split('/')[1], name);
    }
});

test('the core is free of page, server and framework, of clock and chance', () => {
  const core = sources.filter(({ name }) => name.startsWith('core/'));
  for (const { name, text } of core) {
    for (const from of importsOf(text))
      assert.ok(from.startsWith('.') || from === 'tonal', `${name} imports ${from}`);
    const foreign =
      /\b(window|document|navigator|localStorage|process|Buffer|Date|performance|setTimeout)\b[.(]|Math\.random/;
    assert.ok(!foreign.test(text), `${name} uses ${foreign.exec(text)?.[0]}`);
  }
});
