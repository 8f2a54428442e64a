import type { Heard } from './heard';

/** From so many on, notes that follow each other without a check are one thing to work at, not many. */
const LONG_RUN = 4;

const hasNone = ({ note, checks }: Heard) => note.finger !== 0 && !checks.some(({ fits }) => fits);

/** True where there are stopped notes and no string of this tuning checks any of them. */
export function isUnchecked(heard: readonly Heard[]): boolean {
  const stopped = heard.filter(({ note }) => note.finger !== 0);
  return stopped.length > 0 && stopped.every(hasNone);
}

/** The notes that nothing checks: a long run of them as one, of shorter ones each by itself. */
export function uncheckedRuns(heard: readonly Heard[]): (readonly Heard[])[] {
  const runs: Heard[][] = [];
  let run: Heard[] = [];
  const close = () => {
    runs.push(...(run.length >= LONG_RUN ? [run] : run.map((one) => [one])));
    run = [];
  };
  for (const one of heard) {
    if (hasNone(one)) run.push(one);
    else close();
  }
  close();
  return runs;
}
