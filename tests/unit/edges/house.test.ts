import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
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
