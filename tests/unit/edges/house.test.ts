import assert from 'node:assert/strict';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import {
  englishIn,
  instrumentsCompared,
  literalsSpread,
  sharedBaseNames,
  sourcesOfApp,
  type Source,
} from '../../support/house';

const sources = sourcesOfApp();
const outside = (rooms: RegExp) => sources.filter(({ name }) => !rooms.test(name));

const scripts: Source[] = (readdirSync('scripts', { recursive: true }) as string[])
  .filter((name) => /\.m?ts$|\.mjs$/.test(name))
  .map((name) => ({ name: `scripts/${name}`, text: readFileSync(`scripts/${name}`, 'utf8') }));

/** What is made up for the example studio, or written into files for other programs. */
const DEMO = /(^|\/)(demo\w*|screenshots)\.ts$/;
/** Titles of the JSON Schemas are for programmers. */
const SCHEMAS = /^contract\/schemas\.ts$|^scripts\/prepare\//;

test('every text that a person reads stands in the wording', () => {
  const all = [...outside(/^(wording|core)\//), ...scripts];
  assert.deepEqual(englishIn(all.filter(({ name }) => !DEMO.test(name) && !SCHEMAS.test(name))), []);
});

test('the check for English sees it wherever it is read', () => {
  const planted = [
    { name: 'a.tsx', text: 'const A = () => <p className="mt-2 flex">Nothing yet</p>;' },
    { name: 'b.tsx', text: 'const B = () => <button aria-label="Close" className="button" />;' },
    { name: 'c.ts', text: 'say({ kind: "done", message: `${n} plans were deleted` });' },
    { name: 'd.astro', text: '---\nconst a = 1;\n---\n<h1 class="p-6">Book</h1>' },
    { name: 'e.ts', text: 'console.log("The disk is full.");' },
  ];
  assert.equal(englishIn(planted).length, planted.length);
  const silent = [
    { name: 'a.ts', text: 'throw new Error("this cannot be so"); const path = "M 0 0 L 2 3";' },
    { name: 'b.tsx', text: 'const B = () => <g className="flex gap-2" key="one">{words.close}</g>;' },
  ];
  assert.deepEqual(englishIn(silent), []);
});

test('what differs between instruments is in their records', () => {
  assert.deepEqual(instrumentsCompared(outside(/^(core\/instrument|core\/vocabulary|wording)\//)), []);
  const planted = [
    { name: 'a.ts', text: "const thumb = kind === 'cello';" },
    { name: 'b.ts', text: "switch (kind) { case 'bass': break; }" },
    { name: 'c.ts', text: "const TONIC = { violin: 'D4', viola: 'G3' };" },
  ];
  assert.equal(instrumentsCompared(planted).length, 3);
  assert.deepEqual(instrumentsCompared([{ name: 'd.ts', text: "const clef = { bass: 'fClef' };" }]), []);
});

test('a base name stands for one idea: at most two files have it', () => {
  assert.deepEqual(sharedBaseNames(sources), []);
  const planted = ['core/a/cards.ts', 'views/cards.tsx', 'wording/cards.ts'].map((name) => ({ name, text: '' }));
  assert.equal(sharedBaseNames(planted).length, 1);
});

test('no literal is spread into another', () => {
  assert.deepEqual(literalsSpread(sources), []);
  assert.equal(literalsSpread([{ name: 'a.ts', text: 'const a = { ...{ id: 1 }, name };' }]).length, 1);
});

test('a dead export and a dead text are seen by the lint', () => {
  const folder = mkdtempSync(join(tmpdir(), 'dead-'));
  const files = {
    'package.json': '{ "name": "planted", "type": "module" }',
    'knip.json': '{ "entry": ["index.ts"], "project": ["*.ts"] }',
    'index.ts': "import * as words from './words';\nimport { used } from './used';\nconsole.log(words.said, used);\n",
    'words.ts': "export const said = 'said';\nexport const unsaid = 'unsaid';\n",
    'used.ts': 'export const used = 1;\nexport const unused = 2;\n',
  };
  for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), text);
  const { status, stdout } = spawnSync('node_modules/.bin/knip', ['--directory', folder], { encoding: 'utf8' });
  rmSync(folder, { recursive: true });
  assert.equal(status, 1, stdout);
  assert.match(stdout, /unused/);
  assert.match(stdout, /unsaid/);
});
