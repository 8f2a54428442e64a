/*
 * The time at work in a session: from its first moment to its last, less the pauses. A gap of more than a minute in which nothing sounds is a pause.
 */

/** In minutes. */
const PAUSE = 1;

let last = 0;
let gathered = 0;

/** A session begins, or is gone on with. */
export function firstMoment(now: number) {
  last = now;
  gathered = 0;
}

/** Something was done. @param sounding true where the time since the last moment was played through */
export function moment(now: number, sounding = false) {
  // A clock that was set back counts nothing.
  const gone = Math.max(0, now - last) / 60_000;
  last = now;
  if (sounding || gone <= PAUSE) gathered += gone;
}

/** The minutes that were gathered and not taken yet. */
export function takeMinutes(): number {
  const minutes = gathered;
  gathered = 0;
  return minutes;
}
