import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import type * as Core from '../src/core';

/**
 * The core of a checkout as it ships to the page and to the server's threads: in one file.
 * @param folder the checkout, with its packages in place
 */
export async function shippedCore(folder: string): Promise<typeof Core> {
  const made = mkdtempSync(join(tmpdir(), 'dove-path-'));
  const outfile = join(made, 'core.mjs');
  await build({
    entryPoints: [join(folder, 'src/core/index.ts')],
    outfile,
    bundle: true,
    minify: false,
    platform: 'node',
    format: 'esm',
  });
  const core = (await import(pathToFileURL(outfile).href)) as typeof Core;
  rmSync(made, { recursive: true });
  return core;
}
