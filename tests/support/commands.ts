import { spawnSync } from 'node:child_process';

/** What a command did: its exit code, and what it wrote to standard output and standard error. */
export interface Ran {
  readonly code: number | null;
  readonly out: Buffer;
  readonly said: string;
}

/** Runs a command as the unit tests have it: in one file, which starts the sooner. */
export function run(
  command: 'plan' | 'read' | 'check' | 'listen' | 'simulate' | 'skills' | 'path',
  args: readonly string[],
  input?: string,
): Ran {
  const path = `.unit/commands/${command}.mjs`;
  const { status, stdout, stderr } = spawnSync(process.execPath, [path, ...args], { input });
  return { code: status, out: stdout, said: stderr.toString() };
}
