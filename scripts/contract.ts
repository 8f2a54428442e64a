/*
 * npm run contract: makes the JSON Schema files and the validators out of the one description in src/contract/describe.ts. The validators are plain
 * functions, so that the page needs no code made at run time (its Content-Security-Policy forbids it). A unit test holds files and description together.
 */
import { writeFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import standalone from 'ajv/dist/standalone/index.js';
import { SCHEMAS } from '../src/contract/describe';

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

/** Every made file of the contract, by its name below src/contract. */
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
  const generated = `// Made by scripts/contract.ts from src/contract/describe.ts; do not edit.\n${code}\n`;
  return { ...Object.fromEntries(schemas), 'validators.generated.js': generated };
}

/** Without the marks that the description package leaves for itself. */
function plain(schema: object): object {
  return JSON.parse(JSON.stringify(schema)) as object;
}

if (process.argv[1] === new URL(import.meta.url).pathname)
  for (const [name, text] of Object.entries(contractFiles()))
    writeFileSync(new URL(`../src/contract/${name}`, import.meta.url), text);
