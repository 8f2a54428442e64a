/** The cheapest paths through a trellis, exactly: passes over it, what is left near the best, and the best that is as wanted. */
export { cheapestNear, cheapestPath, type Wanted } from './cheapest';
export { fewestShifts, type Counted } from './counted';
export { fightingEvents } from './conflict';
export { apartIn } from './apart';
export { passesOver, type Passes } from './passes';
export { isFreshStand, nodeOf, standAfter, standBefore, type Stand } from './trace';
