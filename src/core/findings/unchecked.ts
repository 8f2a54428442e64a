import type { Heard } from './heard';

const hasNone = ({ note, checks }: Heard) => note.finger !== 0 && !checks.some(({ fits }) => fits);

/** True where there are stopped notes and no string of this tuning checks any of them. */
export function isUnchecked(heard: readonly Heard[]): boolean {
  const stopped = heard.filter(({ note }) => note.finger !== 0);
  return stopped.length > 0 && stopped.every(hasNone);
}

/** The notes that nothing checks, those that follow each other as one. */
export function uncheckedRuns(heard: readonly Heard[]): (readonly Heard[])[] {
  const runs: Heard[][] = [];
  let run: Heard[] = [];
  const close = () => {
    if (run.length > 0) runs.push(run);
    run = [];
  };
  for (const one of heard) {
    if (hasNone(one)) run.push(one);
    else close();
  }
  close();
  return runs;
}
