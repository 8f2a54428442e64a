/** The cheapest paths through a trellis, exactly: passes over it, bounds, and the k best that differ. */
export { fightingEvents } from './conflict';
export { differentPaths, type Found, type Wanted } from './kbest';
export { leastCost, passesOver, type Passes } from './passes';
