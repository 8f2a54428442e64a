/*
 * npm run licences: lists every package and font of others that the app sends to the browser, with its licence, for the page about licences and the
 * text file in the build. A unit test holds list and code together.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, type Plugin } from 'esbuild';
import type { Licensed } from '../src/views/licences/licensed';

/** Where the browser's code begins: each view, the planner's worker, and what draws the views. */
const ENTRIES = [
  ...readdirSync('src/pages')
    .filter((name) => name.endsWith('.astro'))
    .flatMap((page) =>
      [...readFileSync(join('src/pages', page), 'utf8').matchAll(/from '\.\.\/(views\/[^']+)'/g)].map(
        ([, view]) => `src/${view}.tsx`,
      ),
    ),
  'src/work/plan.worker.ts',
  'src/app/paper/paper.worker.ts',
  'node_modules/@astrojs/react/dist/client.js',
];
/** Files that are fetched by their address, fonts among them. */
const FILES_BY_ADDRESS: Plugin = {
  name: 'files-by-address',
  setup({ onResolve, resolve }) {
    onResolve({ filter: /\?url$/ }, ({ path, kind, resolveDir }) =>
      resolve(path.replace(/\?url$/, ''), { kind, resolveDir }),
    );
  },
};
const STYLES = 'src/styles/app.css';
const OUT = 'src/views/licences/licences.generated.json';

/** Every package of others in the browser's code, by name. */
export async function licensed(): Promise<Licensed[]> {
  const { metafile } = await build({
    entryPoints: ENTRIES.filter(existsSync),
    outdir: 'unused',
    bundle: true,
    splitting: true,
    format: 'esm',
    jsx: 'automatic',
    write: false,
    metafile: true,
    logLevel: 'error',
    define: { 'import.meta.env.DEV': 'false' },
    plugins: [FILES_BY_ADDRESS],
    loader: { '.woff': 'file' },
  });
  // What puts the views into the page comes from the framework itself.
  const names = new Set<string>(['astro']);
  for (const { inputs } of Object.values(metafile.outputs))
    for (const [path, { bytesInOutput }] of Object.entries(inputs)) {
      const name = packageOf(path);
      if (name && bytesInOutput > 0) names.add(name);
    }
  for (const [, name] of readFileSync(STYLES, 'utf8').matchAll(/@import '((?:@[^/']+\/)?[^/']+)[^']*'/g))
    names.add(name);
  return [...names].sort().map(described);
}

/** The package a file lies in; undefined for our own. */
function packageOf(path: string): string | undefined {
  const inside = path.split('node_modules/').at(-1);
  if (inside === undefined || inside === path) return undefined;
  return inside.split('/', inside.startsWith('@') ? 2 : 1).join('/');
}

function described(name: string): Licensed {
  const folder = join('node_modules', name);
  const { version, license } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as {
    version: string;
    license: string;
  };
  const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying)/i.test(one));
  return {
    name,
    version,
    licence: license,
    text: file ? readFileSync(join(folder, file), 'utf8').trim() : '',
  };
}

export const licencesFile = (list: readonly Licensed[]) => `${JSON.stringify(list, null, 2)}\n`;

if (process.argv[1] === new URL(import.meta.url).pathname) writeFileSync(OUT, licencesFile(await licensed()));
