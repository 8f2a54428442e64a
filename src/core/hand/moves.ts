import type { Hold } from './hold';

/*
 * Whose move is it: the fingers', or the hand's? Positions have their names, but a hand can move within one: on the low instruments from opened back
 * straight to opened forward, or from pivot to pivot; everywhere where the two fingers of a double stop slide the same way.
 */

/** True where the hand itself has moved between two holds of one position, so that it is a shift. */
export function movesInPlace(from: Hold, to: Hold): boolean {
  if (from.side * to.side < 0) return true;
  return from.stops.length > 1 && to.stops.length > 1 && bothSlide(from, to);
}

/** True where the hand goes to another position or moves within one. */
export function handMoves(from: Hold, to: Hold): boolean {
  return from.position !== to.position || movesInPlace(from, to);
}

/** True where an open string leaves the hand as it was: it keeps the side that the hand lay on before. */
export function keepsSide(from: Hold, to: Hold): boolean {
  return from.side === to.side || to.stops.some(({ finger }) => finger > 0);
}

/** True where the same fingers, two at least, go along the same strings the same way. */
function bothSlide({ stops: from }: Hold, { stops: to }: Hold): boolean {
  const same = from.every(
    ({ string, finger }, at) => finger > 0 && to[at]?.string === string && to[at].finger === finger,
  );
  if (!same || from.length !== to.length) return false;
  const ways = from.map(({ semitones }, at) => Math.sign(to[at].semitones - semitones));
  return ways[0] !== 0 && ways.every((way) => way === ways[0]);
}
