import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

/*
 * Part of the build: puts a brotli and a gzip copy beside each file of text that the browser fetches, so that the server never compresses them itself.
 */

const TEXT = /\.(js|css|svg|txt|json|html)$/;
/** Smaller files are no faster compressed. */
const LEAST_BYTES = 1000;
/** Of 11; higher ones take minutes for a tenth less. */
const QUALITY = 9;

/** @returns an integration that compresses dist/client */
export function compressed() {
  return {
    name: 'compressed',
    hooks: {
      'astro:build:done': ({ dir }) => {
        const folder = fileURLToPath(dir);
        for (const name of readdirSync(folder, { recursive: true })) {
          if (!TEXT.test(name)) continue;
          const path = join(folder, name);
          const bytes = readFileSync(path);
          if (bytes.length < LEAST_BYTES) continue;
          writeFileSync(
            `${path}.br`,
            brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } }),
          );
          writeFileSync(`${path}.gz`, gzipSync(bytes));
        }
      },
    },
  };
}
