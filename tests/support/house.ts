import { readdirSync, readFileSync } from 'node:fs';
import { basename, dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { INSTRUMENT_NAMES } from '../../src/core';

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
const ROOMS = [
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
  'core/listening',
  'core/practice',
  'core/written',
  'core/formats',
  'core',
  'contract',
  'wording',
  'drawing',
  'store',
  'work',
  'audio',
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
    const base = bare(basename(name));
    if (base === 'index' || name.startsWith('pages/')) continue;
    files.set(base, [...(files.get(base) ?? []), name]);
  }
  return [...files.values()].filter((names) => names.length > 2).map((names) => names.join(', '));
}

/** Every node of a source's syntax tree; of an Astro file its script and its markup, read as one component. */
function walk(source: Source, see: (node: ts.Node) => boolean | void): void {
  const visit = (node: ts.Node) => {
    if (see(node) !== false) ts.forEachChild(node, visit);
  };
  visit(treeOf(source));
}

const trees = new WeakMap<Source, ts.SourceFile>();

function treeOf(source: Source): ts.SourceFile {
  const { name, text } = source;
  const kind = name.endsWith('.ts') ? ts.ScriptKind.TS : ts.ScriptKind.TSX;
  const code = name.endsWith('.astro') ? astroAsComponent(text) : text;
  const tree = trees.get(source) ?? ts.createSourceFile(name, code, ts.ScriptTarget.Latest, true, kind);
  trees.set(source, tree);
  return tree;
}

function astroAsComponent(text: string): string {
  const [, script = '', markup = text] = /^---\n([^]*?)\n---\n([^]*)$/.exec(text) ?? [];
  const plain = markup.replace(/<!doctype[^>]*>/i, '').replace(/<style[^]*?<\/style>/g, '');
  return `${script}\nconst markup = <>${plain}</>;`;
}

const SPOKEN_ATTRIBUTES = /^(label|title|alt|placeholder|heading|aria-(label|description|roledescription|valuetext))$/;
const SPOKEN_FIELDS = /^(message|label|title|placeholder|words)$/;
const SILENT_ATTRIBUTES =
  /^(className|class|style|d|href|id|key|type|role|transform|viewBox|rel|name|aria-(labelledby|describedby|controls|live|haspopup|current))$/;
/** A class string, a path, markup of a file format, a header of HTTP, a list of fonts. */
const NOT_WORDS =
  /(^|\s)(flex|grid|text-|bg-|px-|py-|m[tblrxy]?-|p[tblr]?-|gap-|min-|max-|border|rounded|w-|h-|size-|items-|outline-|stroke-|fill-|absolute|inline)|^[MLHVCQ][\d .-]|^(translate|rotate|matrix|calc|url|var)\(|^<|charset|^HTTP\/|sans-serif|,serif|^[A-Z]+(, [A-Z]+)+$|transform=|^id(, [\w[\]+]+)*$|^(rest|time|tuplet|planner |\/request)…$|^width=|^(top|bottom) (start|end)$/;
/** A key's name is data, and so is a word of the help, which asks the wording for its text. */
const DATA = /^[A-G](b|#)? (major|minor)$|^(early music|finger pattern)$/;

/** Two words or more, or one with the end of a sentence. */
const isSpoken = (words: string) =>
  /[a-z]{2,}[,;:’”]? [“‘(]?[a-z]{2,}|[A-Za-z]{3,}[.!?…]$|… [a-z]{3,}|[a-z]{3,} …/i.test(words) &&
  !NOT_WORDS.test(words) &&
  !DATA.test(words);

/** English that a person reads and that does not come out of the wording. Programmers' errors and demo data are not meant. */
export function englishIn(sources: readonly Source[]): string[] {
  const found: string[] = [];
  for (const source of sources) {
    const tell = (words: string) => found.push(`${source.name}: “${words.replace(/\s+/g, ' ').trim()}”`);
    walk(source, (node) => {
      if (ts.isThrowStatement(node) || ts.isImportDeclaration(node) || ts.isTypeNode(node)) return false;
      if (isSelector(node) || isFontFamily(node)) return false;
      if (ts.isJsxText(node)) {
        if (/[A-Za-z]{2,}/.test(node.text)) tell(node.text);
        return;
      }
      if (ts.isJsxAttribute(node) && SILENT_ATTRIBUTES.test(node.name.getText())) return false;
      const words = wordsOf(node);
      const { parent } = node;
      if (
        words === null ||
        ((ts.isPropertyAssignment(parent) || ts.isPropertySignature(parent)) && parent.name === node)
      )
        return;
      const attribute = ts.isJsxAttribute(parent) ? parent.name.getText() : '';
      const field = ts.isPropertyAssignment(parent) && parent.initializer === node ? parent.name.getText() : '';
      const spoken = SPOKEN_ATTRIBUTES.test(attribute) || SPOKEN_FIELDS.test(field);
      if (isSpoken(words) || (spoken && /[A-Z][a-z]/.test(words))) tell(words);
    });
  }
  return found;
}

/** What an element of the page is found by. */
const isSelector = ({ parent }: ts.Node) =>
  (parent as ts.Node | undefined) !== undefined &&
  ts.isCallExpression(parent) &&
  ts.isPropertyAccessExpression(parent.expression) &&
  /^(closest|matches|querySelector(All)?)$/.test(parent.expression.name.text);

const isFontFamily = (node: ts.Node) => ts.isStringLiteral(node) && /^'[^']+',/.test(node.text);

/** The words of a string or a template, with … for what is put in; null for any other node. */
function wordsOf(node: ts.Node): string | null {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  if (!ts.isTemplateExpression(node)) return null;
  return [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…');
}

const INSTRUMENTS = new Set<string>(INSTRUMENT_NAMES);
const isInstrument = (node: ts.Node) => ts.isStringLiteral(node) && INSTRUMENTS.has(node.text);

/** Places that compare with an instrument's name, or go by a table of instruments: what differs is a field of its record. */
export function instrumentsCompared(sources: readonly Source[]): string[] {
  const found: string[] = [];
  for (const source of sources)
    walk(source, (node) => {
      const compared =
        (ts.isBinaryExpression(node) &&
          /^[!=]==?$/.test(node.operatorToken.getText()) &&
          (isInstrument(node.left) || isInstrument(node.right))) ||
        (ts.isCaseClause(node) && isInstrument(node.expression));
      const table =
        ts.isObjectLiteralExpression(node) &&
        node.properties.filter(({ name }) => name && INSTRUMENTS.has(name.getText().replace(/['"]/g, ''))).length > 1;
      if (compared || table) found.push(`${source.name}: ${node.getText().slice(0, 60)}`);
    });
  return found;
}

/** Places that spread an object made on the spot into another: unknown fields in it are not seen by the compiler. */
export function literalsSpread(sources: readonly Source[]): string[] {
  const found: string[] = [];
  for (const source of sources)
    walk(source, (node) => {
      if (ts.isSpreadAssignment(node) && ts.isObjectLiteralExpression(node.expression))
        found.push(`${source.name}: ${node.getText().slice(0, 60)}`);
    });
  return found;
}
