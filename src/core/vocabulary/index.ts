/*
 * The ground that everything stands on: closed lists, and the types of requests, answers and what is kept. The schemas that give the types are in
 * `records`; nothing at run time reads them but what makes the validators, so no page loads them.
 */
export * from './answers';
export * from './players';
export * from './music';
export * from './practising';
export * from './rules';
export type * from './weights';
export type * from './records';
