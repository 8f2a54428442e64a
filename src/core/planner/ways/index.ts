/** The other ways to play it, each the best under one more demand. */
export { withDemand } from './demands';
export { waysBeside, type Best, type Way } from './ways';
export { changesBetween, changesWithin } from './traits';
