/* The pool's thread from its TypeScript source, in development and tests: a thread does not take over its parent's loader. */
import { tsImport } from 'tsx/esm/api';

const { default: work } = await tsImport('./plan.thread.ts', import.meta.url);
export default work;
