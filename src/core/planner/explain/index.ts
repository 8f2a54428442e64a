/** Why a plan is as it is: reasons, what sets plans apart, comparison, and what would help where there is none. */
export { traitsOf } from './traits';
export * from './codes';
export * from './compare';
export { shiftlessSteps, shiftReasons, stepReasons } from './reasons';
export { problemsOf } from './relax';
