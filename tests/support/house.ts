import { readdirSync, readFileSync } from 'node:fs';
import { basename, dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';

/*
 * Checks on the source tree itself: which way imports go, circles, names. Each takes sources and gives its faults as lines, so that a test can plant a case.
 */

export interface Source {
  /** Path below `src`. */
  readonly name: string;
  readonly text: string;
}

const SRC = fileURLToPath(new URL('../../src', import.meta.url));

/** Every source file of the program. */
export function sourcesOfApp(): Source[] {
  return (readdirSync(SRC, { recursive: true }) as string[])
    .filter((name) => /\.(ts|tsx|astro)$/.test(name))
    .map((name) => ({ name, text: readFileSync(join(SRC, name), 'utf8') }));
}

/** The rooms, lowest first: a file imports from its own room and those before it. */
export const ROOMS = [
  'core/vocabulary',
  'core/issue',
  'core/pitch',
  'core/instrument',
  'core/hand',
  'core/material',
  'core/planner/place',
  'core/planner/cost',
  'core/planner/graph',
  'core/planner/search',
  'core/planner/searched',
  'core/planner/explain',
  'core/planner/opened',
  'core/planner/answer',
  'core/planner/ways',
  'core/planner',
  'core/taste',
  'core/findings',
  'core/practice',
  'core/written',
  'core/formats',
  'core',
  'contract',
  'wording',
  'store',
  'work',
  'audio',
  'notation',
  'board',
  'app',
  'styles',
  'ui',
  'views',
  'server',
  'pages',
] as const;

const NAMED = /^(?:import|export)\s+(?:type\b)?[^'"]*?from\s+['"]([^'"]+)['"]/gm;
const BARE = /^import\s+['"]([^'"]+)['"]/gm;
const LAZY = /\bimport\(\s*['"]([^'"]+)['"]/g;

/** What a text imports, types too. */
export function importsOf(text: string): string[] {
  return [NAMED, BARE, LAZY].flatMap((pattern) => [...text.matchAll(pattern)].map(([, from]) => from));
}

/** What it imports of the program's own files, as paths below `src`, without endings. */
export function localImports({ name, text }: Source): string[] {
  return importsOf(text)
    .filter((from) => from.startsWith('.'))
    .map((from) => relative(SRC, resolve(SRC, dirname(name), from)));
}

const bare = (path: string) => path.replace(/\.(d\.ts|ts|tsx|astro|css|js)$/, '');

function roomOf(path: string): number {
  const found = ROOMS.findIndex((room) => bare(path) === room || bare(path).startsWith(`${room}/`));
  return found >= 0 ? found : ROOMS.length;
}

/** Imports that go upwards. */
export function upwardImports(sources: readonly Source[]): string[] {
  return sources.flatMap((source) =>
    localImports(source)
      .filter((target) => roomOf(target) > roomOf(source.name))
      .map((target) => `${source.name} imports ${target}`),
  );
}

/** Ways by which a file imports itself. */
export function circles(sources: readonly Source[]): string[] {
  const known = new Map(sources.map((source) => [bare(source.name), source]));
  const found: string[] = [];
  const done = new Set<string>();
  const visit = (path: string, way: readonly string[]) => {
    if (way.includes(path)) {
      found.push([...way.slice(way.indexOf(path)), path].join(' → '));
      return;
    }
    const source = known.get(path) ?? known.get(`${path}/index`);
    if (!source || done.has(path)) return;
    for (const target of localImports(source)) {
      const next = known.has(bare(target)) ? bare(target) : `${bare(target)}/index`;
      if (known.has(next)) visit(next, [...way, path]);
    }
    done.add(path);
  };
  for (const path of known.keys()) visit(path, []);
  return found;
}

/** Names that more than two files have, index files and pages apart. */
export function sharedBaseNames(sources: readonly Source[]): string[] {
  const files = new Map<string, string[]>();
  for (const { name } of sources) {
    const base = bare(basename(name)).toLowerCase();
    if (base === 'index' || name.startsWith('pages/')) continue;
    files.set(base, [...(files.get(base) ?? []), name]);
  }
  return [...files.values()].filter((names) => names.length > 2).map((names) => names.join(', '));
}

/** Every node of a source's syntax tree; of an Astro file its script and its markup, read as one component. */
export function walk({ name, text }: Source, see: (node: ts.Node) => boolean | void): void {
  const kind = name.endsWith('.ts') ? ts.ScriptKind.TS : ts.ScriptKind.TSX;
  const code = name.endsWith('.astro') ? astroAsComponent(text) : text;
  const visit = (node: ts.Node) => {
    if (see(node) !== false) ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(name, code, ts.ScriptTarget.Latest, true, kind));
}

function astroAsComponent(text: string): string {
  const [, script = '', markup = text] = /^---\n([^]*?)\n---\n([^]*)$/.exec(text) ?? [];
  const plain = markup.replace(/<!doctype[^>]*>/i, '').replace(/<style[^]*?<\/style>/g, '');
  return `${script}\nconst markup = <>${plain}</>;`;
}
