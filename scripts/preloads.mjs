import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/*
 * Part of the build: writes down which scripts each page begins with, so that the server can name them all with the page. A browser would find them only
 * one after the other, each in the one before.
 */

const PAGES = new URL('../src/pages/', import.meta.url);
const RENDERER = '/@astrojs/react/dist/client.js';

/** The view that a page shows, as the end of its file's path. */
function viewsByPage() {
  return readdirSync(PAGES)
    .filter((name) => name.endsWith('.astro'))
    .flatMap((page) => {
      const [, view] = /from '\.\.\/(views\/[^']+)'/.exec(readFileSync(new URL(page, PAGES), 'utf8')) ?? [];
      const path = page === 'index.astro' ? '/' : `/${page.replace(/\.astro$/, '')}`;
      return view ? [[path, `/src/${view}`]] : [];
    });
}

/** Files that a file begins with: itself, and all that those ask for without waiting. */
function closureOf(bundle, file, known = new Set()) {
  if (known.has(file)) return known;
  known.add(file);
  for (const next of bundle[file]?.imports ?? []) closureOf(bundle, next, known);
  return known;
}

/** @returns an integration that writes preloads.json beside the server */
export function preloads() {
  const lists = {};
  const plugin = {
    name: 'preloads',
    apply: 'build',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).filter(
        ({ type, fileName }) => type === 'chunk' && fileName.startsWith('_astro/'),
      );
      const entry = (end) => chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(end))?.fileName;
      const renderer = entry(RENDERER);
      if (!renderer) return;
      for (const [path, view] of viewsByPage()) {
        const file = entry(view);
        if (file)
          lists[path] = [...new Set([...closureOf(bundle, renderer), ...closureOf(bundle, file)])].map(
            (name) => `/${name}`,
          );
      }
    },
  };
  return {
    name: 'preloads',
    hooks: {
      'astro:config:setup': ({ updateConfig }) => updateConfig({ vite: { plugins: [plugin] } }),
      'astro:build:done': ({ dir }) =>
        writeFileSync(fileURLToPath(new URL('../server/preloads.json', dir)), JSON.stringify(lists)),
    },
  };
}
