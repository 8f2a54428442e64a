/*
 * The path as a search sees it: things that are not yet known, steps that bring some of them, and what the goal needs.
 */

/** A step that may be taken: one plan. */
export interface Option {
  /** The skills it has that the student does not know, by their numbers, rising. */
  readonly brings: readonly number[];
  /** How many skills that are shaky, and at work, come round again in it. */
  readonly shaky: number;
  readonly atWork: number;
  /** What its fingering costs, a note: the easier, the less. */
  readonly cost: number;
  readonly key: string;
  /** Its request, which decides at last. */
  readonly text: string;
}

export interface PathProblem {
  /** How many skills there are that the student does not know. */
  readonly size: number;
  /** 1 for each that the goal needs. */
  readonly needed: Uint8Array;
  /** The place of each in the order of positions; -1 where the order does not say. */
  readonly rank: Int16Array;
  readonly options: readonly Option[];
  /** Options that have to be taken, in this order; the last of them ends the row. */
  readonly stations: readonly number[];
}

/** Options that bring the same things. */
export interface Group {
  readonly brings: readonly number[];
  /** The numbers of the options, the one to be taken first. */
  readonly options: readonly number[];
}

/** Which of two options that bring the same is taken: what is shaky comes round, then what is at work, then the easier, then by the text. */
export function compareOptions(a: Option, b: Option): number {
  return (
    b.shaky - a.shaky || b.atWork - a.atWork || a.cost - b.cost || (a.text < b.text ? -1 : a.text > b.text ? 1 : 0)
  );
}

/** The options that bring anything, by what they bring; stations have their turn and are no others' step. */
export function groupsOf({ options, stations }: PathProblem): Group[] {
  const groups = new Map<string, number[]>();
  options.forEach(({ brings }, at) => {
    if (brings.length === 0 || stations.includes(at)) return;
    const tag = brings.join();
    groups.set(tag, [...(groups.get(tag) ?? []), at]);
  });
  return [...groups.values()].map((list) => ({
    brings: options[list[0]].brings,
    options: list.sort((a, b) => compareOptions(options[a], options[b])),
  }));
}

/** What is known on the way, and how far the row has come. */
export interface Stand {
  /** 1 for each skill that is had by now. */
  readonly has: Uint8Array;
  /** How many stations are behind. */
  readonly station: number;
  /** The farthest place in the order of positions that was brought; -1 before the first. */
  readonly top: number;
}

export const standTag = ({ has, station, top }: Stand) => `${has.join('')}.${station}.${top}`;

/** The things of a list that are not had. */
export function missingOf(brings: readonly number[], { has }: Stand): number[] {
  return brings.filter((skill) => has[skill] === 0);
}

/** The one thing of a list that is not had; -1 where there is none, or several. */
export function onlyMissing(brings: readonly number[], has: Uint8Array): number {
  let only = -1;
  for (const skill of brings) {
    if (has[skill] === 1) continue;
    if (only >= 0) return -1;
    only = skill;
  }
  return only;
}

/** True where positions come in their order: nothing that is brought lies before what was, and no needed one is left behind. */
export function keepsOrder({ rank, needed }: PathProblem, brought: readonly number[], { has, top }: Stand): boolean {
  let [least, most] = [Infinity, -1];
  for (const skill of brought) {
    if (rank[skill] < 0) continue;
    least = Math.min(least, rank[skill]);
    most = Math.max(most, rank[skill]);
  }
  if (most < 0) return true;
  if (least < top) return false;
  return needed.every(
    (isNeeded, skill) =>
      isNeeded === 0 || has[skill] === 1 || rank[skill] < 0 || rank[skill] >= most || brought.includes(skill),
  );
}

/** The stand after some things are brought. */
export function after(problem: PathProblem, stand: Stand, brought: readonly number[], stations = 0): Stand {
  const has = stand.has.slice();
  for (const skill of brought) has[skill] = 1;
  const top = Math.max(stand.top, ...brought.map((skill) => problem.rank[skill]));
  return { has, station: stand.station + stations, top };
}

/** What the goal needs and is not had. */
export function stillMissing({ needed }: PathProblem, { has }: Stand): number[] {
  return [...needed.keys()].filter((skill) => needed[skill] === 1 && has[skill] === 0);
}
