/*
 * npm run prepare: makes the files that follow from others (scales and chords, schemas, validators, outlines of signs, the list of licences) into .generated, where nothing
 * of what they follow from is as it was. Runs after an install, and before build, tests and types.
 */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

const OUT = '.generated';
const STAMP = join(OUT, 'stamp');

const stamp = hashOf(['package-lock.json', ...filesIn('scripts/prepare'), ...filesIn('src')]);
if (!existsSync(STAMP) || readFileSync(STAMP, 'utf8') !== stamp) {
  // One after the other: the list of licences is made of the bundled app, which needs the validators.
  write((await import('./patterns')).patternFiles());
  write((await import('./contract')).contractFiles());
  write((await import('./paperFonts')).paperFontFiles());
  const list = await (await import('./licences')).licensed();
  write({ 'licences.json': JSON.stringify(list, null, 2) });
  write({ stamp });
}

function filesIn(folder: string): string[] {
  const names = readdirSync(folder, { recursive: true }) as string[];
  return names
    .map((name) => join(folder, name))
    .filter((path) => statSync(path).isFile())
    .sort();
}

function hashOf(paths: readonly string[]): string {
  const hash = createHash('sha256');
  for (const path of paths) hash.update(path).update(readFileSync(path));
  return hash.digest('hex');
}

function write(files: Readonly<Record<string, string>>): void {
  for (const [name, text] of Object.entries(files)) {
    const path = join(OUT, name);
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, text);
  }
}
