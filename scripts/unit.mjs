/*
 * npm run unit: the unit tests, bundled before they run. Tests that keep to themselves run many to a process: reading and warming the core costs each process
 * more than a second. Names may be given, then each is a process of its own: npm run unit -- trends week
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { setupText } from '../src/wording/setup.mjs';
import { stop } from './setup.mjs';

const TESTS = 'tests/unit';
/** What tests start by itself: the commands, and the thread that plans. */
const COMMANDS = [
  'scripts/plan.ts',
  'scripts/read.ts',
  'scripts/check.ts',
  'scripts/listen.ts',
  'scripts/simulate.ts',
  'scripts/skills.ts',
  'scripts/path.ts',
  'src/work/plan.thread.ts',
];
const BUNDLES = '.unit';
/** Processes that tests which keep to themselves are dealt out to. */
const GROUPS = 2;
/** What a test does that shares its process with no other: hooks for every test, a database, the globals of a page. */
const KEEPS_ALONE = /beforeEach|\bbefore\(|after\(|globalThis|fake-indexeddb|process\.env|spawn/;

const wanted = process.argv.slice(2);
const files = readdirSync(TESTS, { recursive: true })
  .filter((name) => name.endsWith('.test.ts'))
  .filter((name) => wanted.length === 0 || wanted.includes(basename(name, '.test.ts')));
if (files.length === 0) stop(setupText.noSuchTest(wanted.join(' or '), TESTS));

rmSync(BUNDLES, { recursive: true, force: true });
const usual = {
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  plugins: [placeOf()],
};
const entries = wanted.length > 0 ? files.map((name) => join(TESTS, name)) : grouped();
await build({ ...usual, entryPoints: entries, outbase: '.', outdir: BUNDLES });
await build({
  ...usual,
  entryPoints: COMMANDS.map((path) => ({ in: path, out: basename(path, '.ts') })),
  outdir: join(BUNDLES, 'commands'),
});
const bundles = entries.map((name) => join(BUNDLES, name.replace(/\.ts$/, '.mjs')));
// The stand-in for the browser's database comes before anything that looks for one: a bundle may load its parts in another order.
const flags = ['--import', 'fake-indexeddb/auto', '--test', '--test-concurrency=2'];
const { status } = spawnSync(process.execPath, [...flags, ...bundles], {
  stdio: 'inherit',
  env: { ...process.env, CORPUS: await corpusFile() },
});
process.exit(status ?? 1);

/** The files to be bundled: tests that keep alone, and groups of the others. */
function grouped() {
  const paths = files.map((name) => join(TESTS, name));
  const alone = paths.filter((path) => KEEPS_ALONE.test(readFileSync(path, 'utf8')));
  const others = paths.filter((path) => !alone.includes(path));
  mkdirSync(BUNDLES, { recursive: true });
  const groups = Array.from({ length: GROUPS }, (_, group) => {
    const path = join(BUNDLES, `group-${group}.test.ts`);
    const lines = others.filter((_, at) => at % GROUPS === group).map((name) => `import '../${name}';\n`);
    writeFileSync(path, lines.join(''));
    return path;
  });
  return [...groups, ...alone];
}

/** Random requests are planned once for all tests that read them, and anew where the core is another; by night by each test. */
async function corpusFile() {
  if (process.env.NIGHTLY !== undefined) return '';
  const core = join(BUNDLES, 'corpus.mjs');
  await build({
    ...usual,
    splitting: false,
    sourcemap: false,
    entryPoints: ['tests/support/corpus.ts'],
    outfile: core,
  });
  const hash = createHash('sha256').update(readFileSync(core)).digest('hex').slice(0, 16);
  const file = join('node_modules/.cache/dove-path', `corpus-${hash}.json`);
  if (!existsSync(file)) (await import(pathToFileURL(core).href)).writeCorpus(file);
  return file;
}

/** A file that asks where it is hears where it was written, not where its bundle stands. */
function placeOf() {
  return {
    name: 'place-of',
    setup(bundler) {
      bundler.onLoad({ filter: /[\\/](tests|src|scripts)[\\/].*\.ts$/ }, ({ path }) => {
        const text = readFileSync(path, 'utf8');
        const place = JSON.stringify(pathToFileURL(path).href);
        return { contents: text.replaceAll('import.meta.url', place), loader: 'ts' };
      });
    },
  };
}
