/** All that could be played, as a trellis: a layer of candidates an event, a block of priced steps between two layers. */
export { heldIn, isAlike, locksAtOdds, paidAgain, type Again } from './again';
export { buildTrellis, type HoldTrellis } from './build';
export { beyondHand, candidatesFor, locksAt, takesOctave } from './candidates';
export { foldLattice, type Alike, type Fold } from './fold';
export { width, type Lattice } from './lattice';
export { chargeEvent, shiftsFrom, tallyOf } from './pathcost';
export { holdAllowed, positionAllowed } from './rules';
export { masked, type Mask } from './mask';
export { paidStays, stayAfter, NO_STAY, type Stays } from './stays';
export {
  isFresh,
  moveCost,
  moveCostBetween,
  inPlaceCost,
  stayCostBetween,
  type Block,
  type Layer,
  type Path,
  type Trellis,
} from './trellis';
export { alikeIn, comesBackAlike, sameBackIn } from './wayback';
