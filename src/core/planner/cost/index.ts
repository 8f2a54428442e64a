/** What fingering costs: the terms, their weights, and what a note, a stay and a move are charged. */
export * from './charges';
export * from './context';
export * from './held';
export { preferencesOf } from './preferences';
export { freshTables, type Tables } from './tables';
export * from './moment';
export { rulesOver, type Over } from './over';
export { contextAt, contextTo, eachStretch, overOf } from './inForce';
export * from './terms';
export * from './weights';
