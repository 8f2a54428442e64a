/*
 * The JSON Schema files and the validators, made of the records in src/core/vocabulary. The validators are plain functions, so that the page needs no code
 * made at run time (its Content-Security-Policy forbids it).
 */
import { Ajv } from 'ajv';
import standalone from 'ajv/dist/standalone/index.js';
import { SCHEMAS } from '../../src/contract/schemas';

/** The package is CommonJS: what it exports as default lies one deeper where it is imported as a module. */
const standaloneCode = (
  'default' in standalone ? standalone.default : standalone
) as typeof import('ajv/dist/standalone').default;

/** Validators by the name of their function. */
const VALIDATORS = {
  validRequest: 'request',
  validResponse: 'response',
  validPlan: 'plan',
  validStudent: 'student',
  validBrief: 'brief',
  validSession: 'session',
  validRepetition: 'repetition',
  validCard: 'card',
  validAnswer: 'answer',
  validLesson: 'lesson',
  validBook: 'book',
};

/** Every made file of the contract, by its name. */
export function contractFiles(): Record<string, string> {
  const schemas = Object.entries(SCHEMAS).map(([name, schema]) => [
    `schemas/${name}.json`,
    `${JSON.stringify(schema, null, 2)}\n`,
  ]);
  const ajv = new Ajv({
    schemas: Object.values(SCHEMAS).map(plain),
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
  const exports = Object.fromEntries(
    Object.entries(VALIDATORS).map(([validator, name]) => [validator, `dove-path/${name}`]),
  );
  const code = standaloneCode(ajv, exports);
  if (code.includes('require(')) throw new Error('a schema keyword needs a run-time helper; use another');
  const generated = `// Made by scripts/prepare from src/core/vocabulary; do not edit.\n${code}\n`;
  const names = Object.keys(VALIDATORS).map((name) => `export const ${name}: ValidateFunction;\n`);
  const types = `import type { ValidateFunction } from 'ajv';\n\n${names.join('')}`;
  return { ...Object.fromEntries(schemas), 'validators.js': generated, 'validators.d.ts': types };
}

/** Without the marks that the description package leaves for itself. */
function plain(schema: object): object {
  return JSON.parse(JSON.stringify(schema)) as object;
}
