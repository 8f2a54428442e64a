import type { Heard } from './heard';

/** From so many on, notes that follow each other without a check are one thing to work at, not many. */
const LONG_RUN = 4;

/** The notes that nothing checks: a long run of them as one, of shorter ones each by itself. */
export function uncheckedRuns(heard: readonly Heard[]): (readonly Heard[])[] {
  const runs: Heard[][] = [];
  let run: Heard[] = [];
  const close = () => {
    runs.push(...(run.length >= LONG_RUN ? [run] : run.map((one) => [one])));
    run = [];
  };
  for (const one of heard) {
    if (one.note.finger !== 0 && !one.checks.some(({ fits }) => fits)) run.push(one);
    else close();
  }
  close();
  return runs;
}
