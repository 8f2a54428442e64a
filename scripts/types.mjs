/*
 * npm run types: the native compiler checks all TypeScript, and the Astro files as the components they stand for. They are written where tsconfig.json looks
 * for a file beside the others, so that their imports hold.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { convertToTSX } from '@astrojs/compiler';

const COMPONENTS = '.generated/astro';

rmSync(COMPONENTS, { recursive: true, force: true });
for (const name of readdirSync('src', { recursive: true }).filter((file) => file.endsWith('.astro'))) {
  const source = join('src', name);
  const { code } = await convertToTSX(readFileSync(source, 'utf8'), { filename: source, sourcemap: 'external' });
  const target = join(COMPONENTS, `${name}.tsx`);
  mkdirSync(dirname(target), { recursive: true });
  writeFileSync(target, code.replace(/<(\/?)Fragment>/g, '<$1>'));
}
const { status } = spawnSync(process.execPath, ['node_modules/typescript-native/bin/tsc', '--noEmit'], {
  stdio: 'inherit',
});
process.exit(status ?? 1);
