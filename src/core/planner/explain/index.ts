/** Why a plan is as it is: reasons, comparison, and what would help where there is none. */
export * from './codes';
export * from './compare';
export { shiftReasons, stepReasons } from './reasons';
export { problemsOf } from './problems';
