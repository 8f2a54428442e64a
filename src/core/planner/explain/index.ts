/** Why a plan is as it is: reasons, comparison, and what would help where there is none. */
export * from './compare';
export { stepReasons } from './held';
export { problemsOf } from './problems';
export { shiftReasons } from './reasons';
