/*
 * npm run nightly: what is long or left to chance, with new seeds every time: the laws ten times over, every instrument and key, shaken weights, hostile
 * requests, all browser tests with the long ones, a long storm of edits. The seed is printed first: NIGHTLY=seed repeats the night.
 */
import { spawnSync } from 'node:child_process';
import * as measuringText from '../src/wording/rooms/measuring';

const seed = process.env.NIGHTLY ?? String(Date.now() % 1_000_000_007);
console.log(measuringText.seed(seed));

const STEPS = [
  ['unit'],
  ['sweep'],
  ['sweep', '--', '--craft'],
  ['bench', '--', 'trends'],
  ['bench', '--', 'listening'],
  ['robust'],
  ['build'],
  ['e2e'],
  ['faults'],
];

const failed = STEPS.filter((step) => {
  console.log(measuringText.step(step.join(' ')));
  const { status } = spawnSync('npm', ['run', '-s', ...step], {
    stdio: 'inherit',
    env: { ...process.env, NIGHTLY: seed, SEED: seed },
  });
  return status !== 0;
});
console.log(
  measuringText.end(
    failed.map((step) => step.join(' ')),
    seed,
  ),
);
process.exit(failed.length > 0 ? 1 : 0);
