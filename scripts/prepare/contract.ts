/*
 * The JSON Schema files and the validators, made of the records in src/core/vocabulary. The validators are plain functions, so that the page needs no code
 * made at run time (its Content-Security-Policy forbids it).
 */
import { Ajv } from 'ajv';
import standalone from 'ajv/dist/standalone/index.js';
import { fileSchema, SCHEMAS } from '../../src/contract/schemas';
import { FILE_VERSIONS, TABLE_NAMES, tableOf, tablesOfFile } from '../../src/store/tables';

/** The package is CommonJS: what it exports as default lies one deeper where it is imported as a module. */
const standaloneCode = (
  'default' in standalone ? standalone.default : standalone
) as typeof import('ajv/dist/standalone').default;

/** The schemas that have a validator, by which it is called: requests, answers, and the rows of each table. */
const VALIDATED = ['request', 'response', 'faults', 'path', ...TABLE_NAMES.map((name) => tableOf(name).schema)];

/** The schemas with those of the files that hold rows of tables. */
function allSchemas(): Readonly<Record<string, object>> {
  const listsOf = (kind: 'backup' | 'practice') =>
    Object.fromEntries(tablesOfFile(kind).map((name) => [name, tableOf(name).schema]));
  return {
    ...SCHEMAS,
    backup: fileSchema('backup', `A backup file, version ${FILE_VERSIONS.backup}`, listsOf('backup')),
    practice: fileSchema('practice', `A practice file, version ${FILE_VERSIONS.practice}`, listsOf('practice')),
  };
}

/** Every made file of the contract, by its name. */
export function contractFiles(): Record<string, string> {
  const described = allSchemas();
  const schemas = Object.entries(described).map(([name, schema]) => [
    `schemas/${name}.json`,
    `${JSON.stringify(schema, null, 2)}\n`,
  ]);
  const ajv = new Ajv({
    schemas: Object.values(described).map(plain),
    allErrors: true,
    messages: false,
    discriminator: true,
    strict: true,
    strictTypes: false,
    strictRequired: false,
    // A long list of names is compared name by name: a loop would need a helper at run time.
    loopEnum: Infinity,
    inlineRefs: false,
    code: { source: true, esm: true },
  });
  const exports = Object.fromEntries(VALIDATED.map((name) => [name, `dove-path/${name}`]));
  const code = standaloneCode(ajv, exports);
  if (code.includes('require(')) throw new Error('a schema keyword needs a run-time helper; use another');
  const generated = `// Made by scripts/prepare from src/core/vocabulary; do not edit.\n${code}\n`;
  const names = VALIDATED.map((name) => `export const ${name}: ValidateFunction;\n`);
  const types = `import type { ValidateFunction } from 'ajv';\n\n${names.join('')}`;
  return { ...Object.fromEntries(schemas), 'validators.js': generated, 'validators.d.ts': types };
}

/** Without the marks that the description package leaves for itself. */
function plain(schema: object): object {
  return JSON.parse(JSON.stringify(schema)) as object;
}
