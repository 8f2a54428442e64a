/*
 * Every package and font of others that the app sends to the browser, with its licence, for the page about licences and the text file in the build.
 */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, type Plugin } from 'esbuild';
import type { Licensed } from '../../src/views/licences/licensed';

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
/** The list of scales and chords is taken out of this package. */
const SCALE_LIST = 'tonal';
/** Notes are drawn with outlines taken out of this font. */
const MUSIC_FONT = '@vexflow-fonts/bravura';
const STYLES = 'src/styles/app.css';

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
    // The list itself is not there yet.
    external: ['#generated/licences.json'],
    plugins: [FILES_BY_ADDRESS],
    loader: { '.woff': 'file' },
  });
  // What puts the views into the page comes from the framework itself.
  const names = new Set<string>(['astro', MUSIC_FONT, SCALE_LIST]);
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
  const { version, license, author } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as {
    version: string;
    license: string;
    author?: string | { readonly name?: string };
  };
  const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying)/i.test(one));
  return {
    name,
    version,
    licence: license,
    text: file ? readFileSync(join(folder, file), 'utf8').trim() : standardText(name, license, author),
  };
}

/** Some packages name their licence and leave its text to whoever knows it. */
function standardText(name: string, licence: string, author: string | { readonly name?: string } = ''): string {
  const by = typeof author === 'string' ? author : (author.name ?? '');
  const text = STANDARD[licence];
  if (!text) throw new Error(`${name} has no text for its licence ${licence}`);
  return `Copyright (c) ${by || `the authors of ${name}`}\n\n${text}`;
}

const DISCLAIMER =
  'THE SOFTWARE IS PROVIDED "AS IS", WITHOUT WARRANTY OF ANY KIND, EXPRESS OR IMPLIED, INCLUDING BUT NOT LIMITED TO THE WARRANTIES OF MERCHANTABILITY, FITNESS FOR A PARTICULAR PURPOSE AND NONINFRINGEMENT. IN NO EVENT SHALL THE AUTHORS OR COPYRIGHT HOLDERS BE LIABLE FOR ANY CLAIM, DAMAGES OR OTHER LIABILITY, WHETHER IN AN ACTION OF CONTRACT, TORT OR OTHERWISE, ARISING FROM, OUT OF OR IN CONNECTION WITH THE SOFTWARE OR THE USE OR OTHER DEALINGS IN THE SOFTWARE.';
const STANDARD: Readonly<Record<string, string>> = {
  MIT: `Permission is hereby granted, free of charge, to any person obtaining a copy of this software and associated documentation files (the "Software"), to deal in the Software without restriction, including without limitation the rights to use, copy, modify, merge, publish, distribute, sublicense, and/or sell copies of the Software, and to permit persons to whom the Software is furnished to do so, subject to the following conditions:\n\nThe above copyright notice and this permission notice shall be included in all copies or substantial portions of the Software.\n\n${DISCLAIMER}`,
  ISC: 'Permission to use, copy, modify, and/or distribute this software for any purpose with or without fee is hereby granted, provided that the above copyright notice and this permission notice appear in all copies.\n\nTHE SOFTWARE IS PROVIDED "AS IS" AND THE AUTHOR DISCLAIMS ALL WARRANTIES WITH REGARD TO THIS SOFTWARE INCLUDING ALL IMPLIED WARRANTIES OF MERCHANTABILITY AND FITNESS. IN NO EVENT SHALL THE AUTHOR BE LIABLE FOR ANY SPECIAL, DIRECT, INDIRECT, OR CONSEQUENTIAL DAMAGES OR ANY DAMAGES WHATSOEVER RESULTING FROM LOSS OF USE, DATA OR PROFITS, WHETHER IN AN ACTION OF CONTRACT, NEGLIGENCE OR OTHER TORTIOUS ACTION, ARISING OUT OF OR IN CONNECTION WITH THE USE OR PERFORMANCE OF THIS SOFTWARE.',
};
