import type { Fault } from '../../core';
import type { Meaning } from '../../app/meaning';
import type { Listener } from '../../wording/listening';
import { mm, sentence } from '../../wording/grammar';
import { printed } from '../../wording/notes';
import { barWords, fingerWords, positionWords } from '../../wording/places';
import * as listenText from '../../wording/rooms/listenViews';

/*
 * Ways in which the simulated player plays this plan.
 */

export interface WayToPlay {
  readonly words: string;
  readonly faults: readonly Fault[];
}

/** What stands out on every size of string: so many thousandths of its length. */
const SHARE = 0.007;
const FLAT = -12;
const SHORT = -30;

const mostOften = <T>(values: readonly T[]): T | undefined => {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
};

/** The ways, by what this plan has. */
export function waysToPlay({ plan }: Pick<Meaning, 'plan'>, { instrument, expected, place }: Listener): WayToPlay[] {
  const { events, setup } = expected;
  const stopped = events.filter(({ stops }) => !stops[0].open);
  const off = Math.round(SHARE * setup.lengthMm);
  const position = mostOften(stopped.map((event) => event.position));
  const finger = mostOften(
    stopped.flatMap(({ stops: [{ finger: one }] }) => (typeof one === 'number' && one > 1 ? [one] : [])),
  );
  const string = mostOften(events.map(({ stops }) => stops[0].string));
  const name = string === undefined ? undefined : setup.strings[string].name;
  const shift = plan.shifts.find(({ to }) => stopped.some(({ at }) => at === to));
  const middle = events[Math.floor(events.length / 2)];
  return [
    ...(position === undefined
      ? []
      : [
          {
            words: listenText.handTowardsBridge(mm(off), positionWords(position, instrument)),
            faults: [{ fault: 'hand', position, mm: off } as const],
          },
        ]),
    ...(finger === undefined
      ? []
      : [
          {
            words: listenText.fingerTowardsNut(sentence(fingerWords(finger)), mm(off)),
            faults: [{ fault: 'finger', finger, mm: -off } as const],
          },
        ]),
    ...(name === undefined
      ? []
      : [
          {
            words: listenText.stringFlat(printed(name)),
            faults: [{ fault: 'string', string: name, cents: FLAT } as const],
          },
        ]),
    ...(shift
      ? [
          {
            words: listenText.landsShort(barWords(place(shift.to))),
            faults: [{ fault: 'shift', at: shift.to, cents: SHORT, slid: true } as const],
          },
        ]
      : []),
    { words: listenText.startsAgain, faults: [{ fault: 'restart', after: middle.at, from: events[0].at } as const] },
    { words: listenText.withVibrato, faults: [{ fault: 'vibrato', hz: 5.5, cents: 20 } as const] },
    { words: listenText.playsTrue, faults: [] },
  ];
}
