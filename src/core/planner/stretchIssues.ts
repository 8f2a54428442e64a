import type { MusicEvent } from '../material/events';
import type { Issue } from '../issue';
import { midiOf } from '../pitch/pitch';
import type { Rules } from '../vocabulary';

/*
 * What cannot be understood of rules for stretches: ends that are turned or not there, stretches that are to be fingered alike and are not alike.
 */

/** @param events of the material, rests too */
export function stretchIssues({ places = [], same = [], prepare = [] }: Rules, events: readonly MusicEvent[]): Issue[] {
  return [
    ...places.flatMap(({ from, to }, n) => endsIssues(`/rules/places/${n}`, from, to, 'to', events)),
    ...prepare.flatMap(({ from, for: goal }, n) => endsIssues(`/rules/prepare/${n}`, from, goal, 'for', events)),
    ...prepare.flatMap(({ for: goal }, n) =>
      events[goal]?.kind === 'rest'
        ? [{ path: `/rules/prepare/${n}/for`, code: 'on-a-rest', data: { at: goal } } as const]
        : [],
    ),
    ...sameIssues(same, events),
  ];
}

function endsIssues(path: string, from: number, to: number, end: string, events: readonly MusicEvent[]): Issue[] {
  const last = events.length - 1;
  if (from > to) return [{ path: `${path}/from`, code: 'stretch-turned', data: { from, to } }];
  return to > last ? [{ path: `${path}/${end}`, code: 'no-event', data: { at: to, last } }] : [];
}

type Same = NonNullable<Rules['same']>[number];

function sameIssues(same: readonly Same[], events: readonly MusicEvent[]): Issue[] {
  const last = events.length - 1;
  const issues = same.flatMap(({ from, to, as }, n): Issue[] => {
    const path = `/rules/same/${n}`;
    const turned = endsIssues(path, from, to, 'to', events);
    if (turned.length > 0) return turned;
    const end = as + to - from;
    if (end > last) return [{ path: `${path}/as`, code: 'no-event', data: { at: end, last } }];
    if (as <= to && end >= from) return [{ path: `${path}/as`, code: 'same-overlaps', data: { from, to, as } }];
    const differs = events.slice(from, to + 1).findIndex((event, i) => !soundsAlike(event, events[as + i]));
    if (differs < 0) return [];
    return [{ path: `${path}/as`, code: 'same-differs', data: { at: from + differs, as: as + differs } }];
  });
  if (issues.length > 0) return issues;
  const loop = loopOf(same);
  return loop < 0 ? [] : [{ path: `/rules/same/${loop}`, code: 'same-loops', data: {} }];
}

/** Both rests, or the same pitches, octave included. */
function soundsAlike(a: MusicEvent, b: MusicEvent): boolean {
  if (a.kind === 'rest' || b.kind === 'rest') return a.kind === b.kind;
  return a.pitches.map(midiOf).join() === b.pitches.map(midiOf).join();
}

/** The first stretch that is to be fingered as itself by way of others; -1 where there is none. */
function loopOf(same: readonly Same[]): number {
  const models = ({ from, to, as }: Same, at: number) => (at >= from && at <= to ? [as + at - from] : []);
  const reaches = (start: number, goal: number, seen: Set<number>): boolean => {
    if (start === goal) return true;
    if (seen.has(start)) return false;
    seen.add(start);
    return same.some((one) => models(one, start).some((next) => reaches(next, goal, seen)));
  };
  return same.findIndex(({ from, to, as }) =>
    Array.from({ length: to - from + 1 }, (_, i) => i).some((i) => reaches(as + i, from + i, new Set())),
  );
}
