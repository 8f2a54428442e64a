/**
 * The descriptions of what the core takes and gives: JSON Schemas are made of them, and the types everywhere are theirs. Nothing at run time reads
 * them, so no page loads them.
 */
export * from './describe';
export * from './material';
export * from './request';
export * from './kept';
export * from './response';
export * from './practice';
export * from './quiz';
