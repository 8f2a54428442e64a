import type { SessionRecord } from '../core';

/*
 * Minutes of a session that may be played on several computers. Each counts its own, so that together they add up; a correction takes the place of what was
 * counted until then.
 */

type Minutes = Pick<SessionRecord, 'minutes' | 'played' | 'corrected'>;
type Shares = Readonly<Record<string, number>>;

/** The share of what was counted before each computer counted its own. */
const EARLIER = '';
/** Minutes of a day. */
const MOST = 1440;

const sharesOf = ({ played, minutes }: Minutes): Shares => played ?? { [EARLIER]: minutes };

const sum = (numbers: readonly number[]) => numbers.reduce((all, one) => all + one, 0);

function withTotal(played: Shares, corrected: Minutes['corrected']) {
  const since = Object.entries(played).map(([device, minutes]) => minutes - (corrected?.played[device] ?? 0));
  const minutes = Math.min(MOST, (corrected?.minutes ?? 0) + Math.max(0, sum(since)));
  return { minutes, played, ...(corrected && { corrected }) };
}

/** The minutes with some more that were played on a device. */
export function withPlayed(session: Minutes, more: number, device: string) {
  const shares = sharesOf(session);
  return withTotal({ ...shares, [device]: (shares[device] ?? 0) + more }, session.corrected);
}

/** The minutes as somebody corrected them. */
export function withCorrection(session: Minutes, minutes: number) {
  const played = sharesOf(session);
  return withTotal(played, { minutes, played });
}

/** The minutes of two states of one session. @param corrected the correction that holds, if any */
export function joinedMinutes(here: Minutes, there: Minutes, corrected: Minutes['corrected']) {
  if (!here.played && !there.played && !corrected) return { minutes: Math.max(here.minutes, there.minutes) };
  const [ours, theirs] = [sharesOf(here), sharesOf(there)];
  const devices = [...new Set([...Object.keys(ours), ...Object.keys(theirs)])].sort();
  const larger = devices.map((device) => [device, Math.max(ours[device] ?? 0, theirs[device] ?? 0)] as const);
  return withTotal(Object.fromEntries(larger), corrected);
}
