import type { Level } from '../vocabulary';

/** How exactly a note must be met, in cents, by how far the player has come: wide for beginners, so that the ear is led and not discouraged. */
export const TOLERANCES: Readonly<Record<Level, number>> = { 'first-year': 25, early: 18, middle: 12, advanced: 7 };
