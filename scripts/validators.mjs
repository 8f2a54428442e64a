/*
 * Compiles the JSON schemas into plain validator functions, so that the page needs no code made at run time (the
 * Content-Security-Policy forbids it). Run after a schema changes: npm run validators. A unit test holds the two together.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import Ajv from 'ajv';
import standaloneCode from 'ajv/dist/standalone/index.js';

const SCHEMAS = { validRequest: 'request', validResponse: 'response', validBackup: 'backup' };
const folder = new URL('../src/contract/', import.meta.url);

/** @returns the source of the generated module. */
export function validatorSource() {
  const schemas = Object.values(SCHEMAS).map((name) =>
    JSON.parse(readFileSync(new URL(`schemas/${name}.json`, folder), 'utf8')),
  );
  const ajv = new Ajv({
    schemas,
    allErrors: true,
    discriminator: true,
    strict: true,
    strictTypes: false,
    strictRequired: false,
    code: { source: true, esm: true },
  });
  const exports = Object.fromEntries(Object.entries(SCHEMAS).map(([fn, name]) => [fn, `dove-path/${name}`]));
  const code = standaloneCode(ajv, exports);
  if (code.includes('require(')) throw new Error('a schema keyword needs a run-time helper; use another');
  return `// Made by scripts/validators.mjs from the schemas; do not edit.\n${code}\n`;
}

if (process.argv[1] === new URL(import.meta.url).pathname)
  writeFileSync(new URL('validators.generated.js', folder), validatorSource());
