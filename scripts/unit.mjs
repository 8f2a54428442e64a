/*
 * npm run unit: the unit tests, each bundled into one file first. Read as they stand, the core's many small files cost
 * every test file more than a second of loading. Names may be given: npm run unit -- trends week
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { setupText } from '../src/wording/setup.mjs';
import { stop } from './setup.mjs';

const TESTS = 'tests/unit';
/** The commands that tests call, as they are typed but for the reading of each file. */
const COMMANDS = ['plan', 'read', 'check'];
const BUNDLES = '.unit';

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
await build({ ...usual, entryPoints: files.map((name) => join(TESTS, name)), outbase: TESTS, outdir: BUNDLES });
await build({
  ...usual,
  entryPoints: COMMANDS.map((name) => join('scripts', `${name}.ts`)),
  outdir: join(BUNDLES, 'commands'),
});
const bundles = files.map((name) => join(BUNDLES, name.replace(/\.ts$/, '.mjs')));
// The stand-in for the browser's database comes before anything that looks for one: a bundle may load its parts in another order.
const flags = ['--enable-source-maps', '--import', 'fake-indexeddb/auto', '--test', '--test-concurrency=2'];
const { status } = spawnSync(process.execPath, [...flags, ...bundles], { stdio: 'inherit' });
process.exit(status ?? 1);

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
